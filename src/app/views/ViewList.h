// src/app/views/ViewList.h - every view there is, in one list: the wire, find, keys, pictures and tests walk
// it.
//
// To add one: a folder that defines its ...Entry(), and its name in ViewList.inc.
#pragma once
#include "app/views/View.h"
#include <QString>

namespace anodex::app {

class Theme;
class Workbench;

struct ViewEntry {
    enum class Needs { Nothing, Design };

    const char* id;
    QString title; ///< As on the wire.
    QString hint;  ///< What it is for, beside its title when it is sought.
    int place; ///< On the wire, and Alt+place; fixed for good, even while others are absent. 0: not on it.
    QKeySequence keys; ///< Others beside Alt+place.
    Needs needs;       ///< Without it the doors are shown.
    bool ofBuild;      ///< Its numbers are of the build as it was built, not of the design.
    View* (*make)(Workbench& bench, const Theme& theme, QWidget* parent);
};

/// In the order of the wire, then those beside it. In the language in use.
[[nodiscard]] std::vector<ViewEntry> viewList();

} // namespace anodex::app
