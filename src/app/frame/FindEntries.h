// src/app/frame/FindEntries.h - everything that can be found by name, and where it leads.
#pragma once
#include "app/frame/FindPanel.h"
#include "app/views/ViewList.h"

namespace anodex::app {

/// `show` takes the id of a view, or a place that a view takes.
[[nodiscard]] std::vector<FindEntry> findEntries(Workbench& bench, const std::vector<ViewEntry>& views,
                                                 const std::vector<Deed>& deeds,
                                                 const std::function<void(const QString& where)>& show);

} // namespace anodex::app
