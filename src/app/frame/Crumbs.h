// src/app/frame/Crumbs.h - what is at hand: revision and build, each a drop list; undo and redo beside them;
// while an earlier state is looked at, the way back to now.
#pragma once
#include "app/session/Workbench.h"
#include <QWidget>

class QPushButton;

namespace anodex::app {

class Crumbs : public QWidget {
    Q_OBJECT
public:
    Crumbs(Workbench& bench, QWidget* parent);

    /// What lies between the names and Undo, in the parent; more where that is narrow.
    [[nodiscard]] QRect freePart() const;

protected:
    void resizeEvent(QResizeEvent* event) override;

private:
    [[nodiscard]] QString shortened(const QString& name) const;
    void refresh();
    void showLook();
    void fillRevisions();
    void fillBuilds();

    Workbench& m_bench;
    QPushButton* m_revision;
    QPushButton* m_build;
    QPushButton* m_undo;
    QPushButton* m_redo;
    QPushButton* m_along; ///< In the place of Undo and Redo while an earlier state is looked at.
    QPushButton* m_back;
};

} // namespace anodex::app
