// src/core/explain/EntryCurves.h - what a catalogue entry does over strength or acidity, with its sources' points.
//
// Law        a substance in water at 20 °C, as every liquid is solved (SolveSolution.h), from none to what dissolves; a
//            couple at unit activity of everything but hydrogen ion and hydroxide, at 25 °C (Nernst.h).
// Units      mass percent and pH; kg/m³, S/m, activity (pure solvent 1), V against SHE.
#pragma once
#include "core/base/Interpolation.h"
#include "core/chemistry/Catalogue.h"

namespace anodex::explain {

enum class CurveOf { Density, Conductivity, SolventActivity, Potential };

struct EntryCurve {
    CurveOf of = CurveOf::Density;
    base::Table computed;
    base::Table given; ///< By the sources; empty where they give none.
};

/// Empty for the solvent itself, and for what does not dissolve.
[[nodiscard]] std::vector<EntryCurve> curvesOfSubstance(const chemistry::Catalogue& catalogue,
                                                        std::size_t substance);
/// Empty where the acidity does not move the couple.
[[nodiscard]] std::vector<EntryCurve> curvesOfReaction(const chemistry::Catalogue& catalogue,
                                                       std::size_t reaction);

} // namespace anodex::explain
