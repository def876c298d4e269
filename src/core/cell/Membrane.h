// src/core/cell/Membrane.h - a charged membrane against the liquid beside it.
//
// Law        Donnan: Σ z c e^(-z φ) + X = 0 inside, X the fixed charge.
// Units      mol/m³; potentials in RT/F.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "core/liquid/Solution.h"
#include <vector>

namespace anodex::cell {

using Concentrations = std::vector<double>; ///< mol/m³ by species.

[[nodiscard]] Concentrations ionsOf(const chemistry::Catalogue& catalogue, const liquid::Solution& solution);

/// Inside over outside.
[[nodiscard]] double donnanPotential(const chemistry::Catalogue& catalogue, const Concentrations& outside,
                                     double fixedCharge);

/// Times as much of a charge inside as outside.
[[nodiscard]] double partition(double charge, double donnanPotential);

} // namespace anodex::cell
