// bench/Edits.h - how long the real window takes from an edit to the painted result.
#pragma once
#include "app/frame/MainWindow.h"
#include "core/design/Design.h"
#include <QTemporaryDir>
#include <string>
#include <vector>

namespace anodex::bench {

/// Those of the desktop, kept within a folder.
[[nodiscard]] app::Services servicesIn(const QTemporaryDir& folder);

/// Opens a notebook and shows its bench, painted.
void showBench(app::Workbench& bench, app::MainWindow& window, const std::string& path);

/// Keys, wheel and drags on the section of each design; the 95th percentile has to meet the target, ms.
void benchEdits(app::Workbench& bench, app::MainWindow& window,
                const std::vector<design::CellDesign>& designs, double target);

} // namespace anodex::bench
