// src/core/cell/AfterUse.h - the cell once it has given part of its charge: what its two couples have used
// up and made.
//
// Law        Faraday for each term of the working couples. Between two liquids ions carry the same charge
//            the other way, each by its share of the conductivity; what protons and hydroxide carry follows
//            from the charge balance of each liquid.
// Units      C.
#pragma once
#include "core/cell/Capacity.h"

namespace anodex::cell {

[[nodiscard]] design::Cell afterUse(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                    const WorkingCouple& negative, const WorkingCouple& positive,
                                    double coulombs);

} // namespace anodex::cell
