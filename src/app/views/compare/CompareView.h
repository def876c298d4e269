// src/app/views/compare/CompareView.h - two or more builds or designs side by side: what differs, what was expected,
// what was measured, and their curves over one another.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/View.h"
#include "app/views/compare/Compared.h"

class QLabel;
class QListWidget;
class QListWidgetItem;
class QStackedWidget;

namespace anodex::app {

class CompareSheet;
class CurvePlot;

class CompareView : public VisitedView {
    Q_OBJECT
public:
    CompareView(Workbench& bench, const Theme& theme, QWidget* parent);

    /// What is at hand and what came before it, unless it is among what was chosen last.
    void arrive() override;

protected:
    void resizeEvent(QResizeEvent* event) override;

private:
    void layOut();
    /// In or out of what is compared.
    void toggle(QListWidgetItem* row);
    [[nodiscard]] QString atHand() const;
    void refresh();
    void fillList(const std::vector<QString>& ids);
    void drawCurves();

    Workbench& m_bench;
    const Theme& m_theme;
    QListWidget* m_list;
    QLabel* m_few;
    QStackedWidget* m_stack;
    CompareSheet* m_sheet;
    CurvePlot* m_plot;
    std::vector<QString> m_chosen; ///< Ids, in the order of the notebook.
    std::vector<Compared> m_versions;
};

} // namespace anodex::app
