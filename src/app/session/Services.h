// src/app/session/Services.h - what the window gets from outside, so that tests can stand in for it.
#pragma once
#include "app/session/Log.h"
#include "core/record/Record.h"
#include <QString>
#include <functional>
#include <memory>

namespace anodex::app {

struct Services {
    std::function<record::Millis()> now; ///< Wall clock, ms since 1970 UTC.
    std::function<QString(const QString& title, const QString& filter)> chooseOpen;
    std::function<QString(const QString& title, const QString& suggested)> chooseSave;
    std::function<void(const QString& path)> showFile = [](const QString&) {
    };                       ///< With the desktop's own viewer.
    QString zone;            ///< Of local stamps in files, by its name in the time zone database; empty: UTC.
    QString documentsFolder; ///< Where a first notebook is made.
    QString settingsFile;    ///< INI file; empty: nothing is remembered outside notebooks.
    bool motion = true;
    /// Told of a law of the model that failed; fatal in tests.
    std::function<void(const QString& law)> faulted = [](const QString&) {};
    std::shared_ptr<Log> log = std::make_shared<Log>(std::string());
};

/// The real clock, file dialogs and folders.
[[nodiscard]] Services desktopServices();

} // namespace anodex::app
