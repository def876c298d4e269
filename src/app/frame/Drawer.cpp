#include "app/frame/Drawer.h"

#include "app/frame/FileActions.h"
#include "app/theme/Theme.h"

namespace anodex::app {

void Drawer::fill(QMenu& menu, Workbench& bench, FileActions& files, const Theme& theme,
                  const DrawerActions& actions) {
    menu.addAction(tr("Begin another design…\tCtrl+Shift+N"), actions.anotherDesign);
    menu.addAction(tr("Begin from a cell file…"), &files, &FileActions::openDesign);
    menu.addAction(tr("Save this design as a file…"), &files, &FileActions::saveDesign);
    menu.addAction(tr("Write down a build\tCtrl+B"), &bench, &Workbench::writeDownBuild);
    menu.addAction(tr("Import a run…\tCtrl+I"), actions.importRun);
    menu.addAction(bench.isHeld() ? tr("Let go of the held state\tCtrl+H")
                                  : tr("Hold this state to compare\tCtrl+H"),
                   &bench, &Workbench::toggleHold);
    menu.addSeparator();
    menu.addAction(tr("New notebook…\tCtrl+N"), &files, &FileActions::newNotebook);
    menu.addAction(tr("Open a notebook…\tCtrl+O"), &files, &FileActions::openNotebook);
    if (bench.isDemo()) {
        menu.addAction(tr("Keep the demo as my notebook…"), &files, &FileActions::keepDemo);
    } else {
        menu.addAction(tr("Look at the demo"), &files, &FileActions::openDemo);
        menu.addAction(tr("Save a copy of the notebook…\tCtrl+Shift+S"), &files, &FileActions::saveCopy);
    }
    QMenu* mend = menu.addMenu(tr("Mend"));
    mend->addAction(tr("Restore from a backup…"), &files, &FileActions::restoreBackup);
    mend->addAction(tr("Rescue a damaged notebook…"), &files, &FileActions::rescueNotebook);
    mend->addAction(tr("Show the log"), &files, &FileActions::showLog);
    menu.addSeparator();
    menu.addAction(tr("What can I make?\tCtrl+K"), &menu, [=] { actions.show(QStringLiteral("shelf")); });
    menu.addAction(tr("Catalogue and sources\tCtrl+L"), &menu,
                   [=] { actions.show(QStringLiteral("catalogue")); });
    QMenu* look = menu.addMenu(tr("Look"));
    const std::pair<QString, ThemeChoice> choices[] = {{tr("Follow the desktop"), ThemeChoice::FollowDesktop},
                                                       {tr("Light"), ThemeChoice::Light},
                                                       {tr("Dark"), ThemeChoice::Dark}};
    for (const auto& [words, choice] : choices) {
        QAction* action = look->addAction(
            words, &menu, [=, chosen = choice] { actions.setTheme(static_cast<int>(chosen)); });
        action->setCheckable(true);
        action->setChecked(theme.choice() == choice);
    }
    menu.addSeparator();
    menu.addAction(tr("Quit"), actions.quit);
}

} // namespace anodex::app
