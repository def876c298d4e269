// src/app/frame/FindEntries.h - everything that can be found by name, and where it leads.
#pragma once
#include "app/frame/FindPanel.h"
#include "app/views/ViewList.h"

namespace anodex::app {

[[nodiscard]] std::vector<FindEntry> findEntries(Workbench& bench, const std::vector<ViewEntry>& views,
                                                 const std::vector<Deed>& deeds,
                                                 const std::function<void(const QString& station)>& show);

} // namespace anodex::app
