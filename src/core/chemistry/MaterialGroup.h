// src/core/chemistry/MaterialGroup.h - under which heading a builder looks for a material.
//
// Law        none: told from its form, its plating and what it is made of, so that own entries find their
//            place too.
#pragma once
#include "core/chemistry/Catalogue.h"

namespace anodex::chemistry {

enum class MaterialGroup {
    Metal,
    Coated, ///< Plated, or another conductor under a working coat.
    Carbon,
    Compound, ///< Oxides and salts as solid pieces.
    Powder    ///< And pastes.
};

[[nodiscard]] MaterialGroup groupOf(const Catalogue& catalogue, const Material& material);

} // namespace anodex::chemistry
