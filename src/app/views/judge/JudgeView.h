// src/app/views/judge/JudgeView.h - was it as expected, and why not? A sentence, the curve, and the ledger.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/View.h"

class QLabel;
class QStackedWidget;

namespace anodex::app {

class CurvePlot;
class Ledger;

class JudgeView : public View {
    Q_OBJECT
public:
    JudgeView(Workbench& bench, const Theme& theme, QWidget* parent);

private:
    void refresh();
    void refreshSentence();
    void refreshCurves();

    Workbench& m_bench;
    const Theme& m_theme;
    QStackedWidget* m_stack;
    QLabel* m_sentence;
    CurvePlot* m_plot;
    Ledger* m_ledger;
};

} // namespace anodex::app
