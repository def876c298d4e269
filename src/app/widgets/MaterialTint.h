// src/app/widgets/MaterialTint.h - the colour that a clean piece of a material has by daylight.
//
// Source        data/looks/tints.json.
#pragma once
#include "app/theme/Theme.h"
#include "core/chemistry/Catalogue.h"

namespace anodex::app {

/// The rule's colour where none is known.
[[nodiscard]] QColor tintOf(const chemistry::Catalogue& catalogue, const chemistry::Material& material,
                            const Colours& colours);

} // namespace anodex::app
