// src/app/frame/Crumbs.h - what is at hand: project, revision, build, each a drop list; undo and redo beside
// them.
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
    void fillRevisions();
    void fillBuilds();

    Workbench& m_bench;
    QPushButton* m_revision;
    QPushButton* m_build;
    QPushButton* m_undo;
    QPushButton* m_redo;
};

} // namespace anodex::app
