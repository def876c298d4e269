// src/app/views/couple/CoupleView.h - which reactions run, what the meter should read, and why it is less
// than hoped.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/View.h"

class QHBoxLayout;
class QLabel;
class QPushButton;
class QSlider;
class QStackedWidget;

namespace anodex::app {

class ChargeLadder;
class Ladder;
class LiquidPanel;
class MaterialPicker;

class CoupleView : public View {
    Q_OBJECT
public:
    CoupleView(Workbench& bench, const Theme& theme, QWidget* parent);

    [[nodiscard]] Ladder* ladder() const { return m_ladder; }
    [[nodiscard]] ChargeLadder* chargeLadder() const { return m_chargeLadder; }
    void showCharge(bool charge);

signals:
    void refused(const QString& text);

protected:
    void showEvent(QShowEvent* event) override;

private:
    void refresh();
    void splitOrJoin();
    QWidget* makeLoadRow();
    void slide(int value);
    void sayLoad();
    void sayCharge();
    void planCharge();

    Workbench& m_bench;
    Ladder* m_ladder;
    ChargeLadder* m_chargeLadder;
    QStackedWidget* m_pictures;
    MaterialPicker* m_picker;
    LiquidPanel* m_left;
    LiquidPanel* m_right;
    QPushButton* m_split;
    QSlider* m_load = nullptr;
    QPushButton* m_loadText = nullptr;
    QPushButton* m_flip = nullptr;
    QPushButton* m_plan = nullptr;
    QLabel* m_least = nullptr;
    int m_loadValue = 25;
    int m_chargeValue = 40;
};

} // namespace anodex::app
