// src/app/session/ShelfBook.h - the shelf that a notebook keeps, and changes to it as commands.
#pragma once
#include "app/session/Workbench.h"
#include "core/shelf/Shelf.h"

namespace anodex::app {

/// With its names looked up in the catalogue; empty when the notebook keeps none. One that does not read is
/// said and left as it is.
[[nodiscard]] shelf::Shelf shelfIn(Workbench& bench);
bool keepShelf(Workbench& bench, const shelf::Shelf& shelf, const base::Said& said);

} // namespace anodex::app
