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

namespace anodex::app {

class Ladder;
class LiquidPanel;
class MaterialPicker;

class CoupleView : public View {
    Q_OBJECT
public:
    CoupleView(Workbench& bench, const Theme& theme, QWidget* parent);

    [[nodiscard]] Ladder* ladder() const { return m_ladder; }

signals:
    void refused(const QString& text);

protected:
    void showEvent(QShowEvent* event) override;

private:
    void refresh();
    void splitOrJoin();
    QWidget* makeLoadRow();

    Workbench& m_bench;
    Ladder* m_ladder;
    MaterialPicker* m_picker;
    LiquidPanel* m_left;
    LiquidPanel* m_right;
    QPushButton* m_split;
    QSlider* m_load = nullptr;
    QPushButton* m_loadText = nullptr;
};

} // namespace anodex::app
