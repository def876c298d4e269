// src/app/views/notebook/ProjectChoice.h - to which project the notebook is narrowed; projects are made, named
// and filled here.
#pragma once
#include "app/session/Workbench.h"
#include <QWidget>

class QLineEdit;
class QMenu;
class QPushButton;

namespace anodex::app {

class ProjectChoice : public QWidget {
    Q_OBJECT
public:
    ProjectChoice(Workbench& bench, QWidget* parent);

    /// Asks in place for the name of a new one.
    void askNew();

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void refresh();
    void fill();
    void fillMove(QMenu& menu);
    void askName();
    void ask(const record::Id& project, const QString& name);
    void take();
    void putAway();

    Workbench& m_bench;
    QPushButton* m_button;
    QLineEdit* m_name;  ///< In place of the button while a name is asked for.
    record::Id m_asked; ///< The project to be named; none: a new one.
};

} // namespace anodex::app
