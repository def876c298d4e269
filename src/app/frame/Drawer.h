// src/app/frame/Drawer.h - the menu behind the minus terminal.
#pragma once
#include "app/theme/Theme.h"
#include "app/views/View.h"
#include <QCoreApplication>
#include <QMenu>

namespace anodex::app {

class Drawer {
    Q_DECLARE_TR_FUNCTIONS(Drawer)
public:
    /// Fills a menu anew each time it is opened.
    static void fill(QMenu& menu, const std::vector<Deed>& deeds, const Theme& theme,
                     const std::function<void(ThemeChoice)>& setTheme, const std::function<void()>& quit);
};

} // namespace anodex::app
