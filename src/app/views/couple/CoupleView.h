// src/app/views/couple/CoupleView.h - which reactions run, what the meter should read, and why it is less
// than hoped.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/View.h"
#include "core/load/Load.h"
#include <array>

class QHBoxLayout;
class QLabel;
class QLineEdit;
class QPushButton;
class QSlider;
class QStackedWidget;

namespace anodex::app {

class ChargeLadder;
class Curves;
class Ladder;
class LiquidPanel;
class MaterialPicker;

class CoupleView : public View {
    Q_OBJECT
public:
    CoupleView(Workbench& bench, const Theme& theme, QWidget* parent);

    [[nodiscard]] Ladder* ladder() const { return m_ladder; }
    [[nodiscard]] ChargeLadder* chargeLadder() const { return m_chargeLadder; }
    /// Three faces of one couple.
    enum class Face { Ladder, Curves, Charge };
    void showFace(Face face);

protected:
    void showEvent(QShowEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    void refresh();
    void splitOrJoin();
    QWidget* makeLoadRow();
    void slide(int value);
    void setLoad(const load::Load& load);
    void takeTypedLoad();
    [[nodiscard]] bool isNarrow() const;
    void sayLoad();
    void sayCharge();
    void planCharge();

    Workbench& m_bench;
    Ladder* m_ladder;
    Curves* m_curves;
    ChargeLadder* m_chargeLadder;
    QStackedWidget* m_pictures;
    MaterialPicker* m_picker;
    LiquidPanel* m_left;
    LiquidPanel* m_right;
    QPushButton* m_split;
    QSlider* m_load = nullptr;
    QPushButton* m_loadText = nullptr;
    std::array<QPushButton*, 3> m_faces{}; ///< By Face.
    Face m_face = Face::Ladder;
    QPushButton* m_plan = nullptr;
    QPushButton* m_moment = nullptr;
    QLabel* m_least = nullptr;
    QLineEdit* m_loadField = nullptr;
    int m_loadValue = 96; ///< Of the slider: a quarter of the short circuit.
    load::Load m_shown{load::Load::Kind::Share, 0.25, {}};
};

} // namespace anodex::app
