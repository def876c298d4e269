// src/app/views/shelf/Cupboard.h - what lies about in a house, by the place it lies in, to be ticked onto the shelf.
//
// Things     data/cupboard/cupboard.json; each says what ticking it puts on the shelf, as it would be typed.
#pragma once
#include "app/views/shelf/OwnedText.h"

namespace anodex::app {

struct CupboardThing {
    QString id;
    QString name;
    QString looks;      ///< Other than its kind does: can, nails, pipe, rod, coil, heap, pot, fruit.
    OwnedThing owned;   ///< Its kind and amount.
    std::string put;    ///< "500 g table salt"
    shelf::Shelf alone; ///< With it and nothing else.
};

struct CupboardPlace {
    QString name;
    std::vector<CupboardThing> things;
};

/// Names in the language in use. A thing this catalogue does not know is left out.
[[nodiscard]] std::vector<CupboardPlace> cupboard(const chemistry::Catalogue& catalogue);

/// Whatever its amount. `shelf` with its names looked up, as shelfIn() gives it.
[[nodiscard]] bool stands(const shelf::Shelf& shelf, const CupboardThing& thing);
[[nodiscard]] shelf::Shelf without(const shelf::Shelf& shelf, const CupboardThing& thing);

} // namespace anodex::app
