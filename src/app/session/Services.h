// src/app/session/Services.h - what the window gets from outside, so that tests can stand in for it.
#pragma once
#include "core/record/Record.h"
#include <QString>
#include <functional>

namespace anodex::app {

struct Services {
    std::function<record::Millis()> now; ///< Wall clock, ms since 1970 UTC.
    std::function<QString(const QString& title, const QString& filter)> chooseOpen;
    std::function<QString(const QString& title, const QString& suggested)> chooseSave;
    QString documentsFolder; ///< Where a first notebook is made.
    QString settingsFile;    ///< INI file; empty: nothing is remembered outside notebooks.
    bool motion = true;
};

/// The real clock, file dialogs and folders.
[[nodiscard]] Services desktopServices();

} // namespace anodex::app
