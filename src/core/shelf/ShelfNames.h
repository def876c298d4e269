// src/core/shelf/ShelfNames.h - the names on a shelf, and the entries they are found under.
#pragma once
#include "core/design/Identify.h"
#include "core/shelf/Shelf.h"
#include <functional>

namespace anodex::shelf {

void eachName(Shelf& shelf, const std::function<void(design::EntryKind, design::Named&)>& visit);
void eachName(const Shelf& shelf, const std::function<void(design::EntryKind, const design::Named&)>& visit);

/// Gives ids to what was only written.
void identify(const chemistry::Catalogue& catalogue, Shelf& shelf);

} // namespace anodex::shelf
