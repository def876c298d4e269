// src/app/session/ShelfBook.h - the shelf that a notebook keeps, and changes to it as commands.
#pragma once
#include "app/session/Workbench.h"
#include "core/shelf/Shelf.h"

namespace anodex::app {

/// Empty when the notebook keeps none, or none that reads.
[[nodiscard]] shelf::Shelf shelfIn(const Workbench& bench);
bool keepShelf(Workbench& bench, const shelf::Shelf& shelf, const QString& sentence);

} // namespace anodex::app
