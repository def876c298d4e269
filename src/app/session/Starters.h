// src/app/session/Starters.h - the cells that ship with the program, to begin from.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "core/design/Design.h"
#include "core/shelf/Shelf.h"

#include <string>
#include <vector>

namespace anodex::app {

struct Starter {
    std::string id;            ///< Its file's name: "foil-salt".
    design::CellDesign design; ///< Its name is in the language in use.
};

/// Of a family together, in the order families are told in.
[[nodiscard]] std::vector<Starter> starters();

/// One of the catalogue's families; the last, "other", where none of them is stated.
[[nodiscard]] std::string familyOf(const design::CellDesign& design);
/// Its place in the order families are told in; behind all others where it is none of them.
[[nodiscard]] std::size_t placeOfFamily(const std::string& family);

/// Metals, powders, liquids, separators and cases it is made of; each counts once.
[[nodiscard]] int thingsToGet(const design::CellDesign& design);

/// The shelf holds everything it is made of, but for its case.
[[nodiscard]] bool isOnShelf(const chemistry::Catalogue& catalogue, shelf::Shelf shelf,
                             design::CellDesign design);

/// Names of those that use a material, substance or liquid of the catalogue.
[[nodiscard]] std::vector<std::string> startersWith(const chemistry::Catalogue& catalogue,
                                                    const std::string& id);

} // namespace anodex::app
