// src/app/frame/Drawer.h - the menu behind the minus terminal.
#pragma once
#include <QCoreApplication>
#include <QMenu>
#include <functional>

namespace anodex::app {

class FileActions;
class Theme;
class Workbench;

/// What the drawer asks the window itself to do.
struct DrawerActions {
    std::function<void()> anotherDesign;
    std::function<void()> importRun;
    std::function<void(const QString& station)> show;
    std::function<void(int choice)> setTheme;
    std::function<void()> quit;
};

class Drawer {
    Q_DECLARE_TR_FUNCTIONS(Drawer)
public:
    /// Fills a menu anew each time it is opened.
    static void fill(QMenu& menu, Workbench& bench, FileActions& files, const Theme& theme,
                     const DrawerActions& actions);
};

} // namespace anodex::app
