// src/core/liquid/SolveSolution.h - brings a liquid to equilibrium, as poured or as it has become.
//
// Law        a liquid that was changed keeps what was measured on it when poured: a pH as ions that nobody
//            named, density and conductivity as factors of the computed ones. Volume: the poured portions in
//            the solvent there is now, and for what was put in or taken the conventional partial molar
//            volumes of the ions (data/catalogue/species.json).
// Errors     a composition that the search does not reach throws base::Fault; the solution's `notes` say
//            where it left the published range.
#pragma once
#include "core/liquid/Solution.h"

namespace anodex::liquid {

[[nodiscard]] Solution solveSolution(const chemistry::Catalogue& catalogue, const Mixture& mixture);

/// What stands around a liquid.
struct Surroundings {
    double temperatureKelvin = 293.15;
    double oxygenPressureBar = 0.2095;
};

/// The same liquid with other amounts in it. Masters below zero count as none.
[[nodiscard]] Solution solveChanged(const chemistry::Catalogue& catalogue, const Solution& before,
                                    const Composition& composition, const Surroundings& around);

} // namespace anodex::liquid
