// src/core/liquid/Conductivity.h - conductivity of mixtures from tables of single salts.
//
// Rule       equivalent-fraction mixing: Λ = Σ x(cation) x(anion) Λ(pair), each pair read from its own salt's
//            table at the mixture's total equivalents per volume (compare Miller, J. Phys. Chem. 100, 1220
//            (1996)). Pairs without a table: limiting conductivities with a Kohlrausch-type fall.
// Units      S/m.
#pragma once
#include "core/liquid/Solution.h"

namespace anodex::liquid {

struct ConductivityResult {
    double siemensPerMetre = 0.0;
    bool estimated = false; ///< Over a tenth of the current is carried by pairs without a table.
};

/// Needs the solution's molalities, density and volume.
[[nodiscard]] ConductivityResult mixtureConductivity(const chemistry::Catalogue& catalogue,
                                                     const Solution& solution);

} // namespace anodex::liquid
