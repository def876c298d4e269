// src/app/views/notebook/NotebookView.h - is it getting better? Every revision and build, and what changed
// between.
#pragma once
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"
#include "app/views/View.h"

class QLineEdit;
class QStackedWidget;

namespace anodex::app {

class Doors;
class PictureScroll;
class ProjectChoice;
class Timeline;

class NotebookView : public View {
    Q_OBJECT
public:
    NotebookView(Workbench& bench, const Theme& theme, QWidget* parent);

    [[nodiscard]] Timeline* timeline() const { return m_timeline; }
    void renameCurrent();
    /// The gallery, though there are designs already; Escape leads back.
    void beginAnother();
    void arrive() override;
    [[nodiscard]] std::vector<Deed> deeds() override;

protected:
    void keyPressEvent(QKeyEvent* event) override;

private:
    void refresh();
    /// Scrolls to the revision at hand.
    void showCurrent();
    void begin(const design::CellDesign& design);
    /// A line of its own, from the design at hand.
    void beginCopy();
    void showOthers();
    QWidget* makeHead();

    Workbench& m_bench;
    QStackedWidget* m_stack;
    Doors* m_doors;
    Timeline* m_timeline;
    PictureScroll* m_scroll = nullptr; ///< In which it lies.
    ProjectChoice* m_project = nullptr;
    QLineEdit* m_rename;
    bool m_beginning = false; ///< The gallery is asked for, though there are designs.
};

} // namespace anodex::app
