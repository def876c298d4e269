// src/core/liquid/Density.h - mass and volume of a liquid, without solving its equilibria.
//
// Law        each solute brings the apparent volume it has in its own solution of the same total mass
//            fraction (a form of Young's rule). Pure solvent: Kell, J. Chem. Eng. Data 20, 97 (1975). What is
//            put in or taken later counts with the conventional partial molar volumes at infinite dilution;
//            hydrogen ions that a liquid lacks are hydroxide that it holds.
// Units      kg, m³, kg/m³.
#pragma once
#include "core/liquid/Composition.h"
#include "core/liquid/Mixture.h"
#include <span>

namespace anodex::liquid {

struct Bulk {
    double kilograms = 0.0;
    double volumeM3 = 0.0;
};

/// Of the pure solvent.
[[nodiscard]] double solventDensity(double temperatureKelvin);

/// Solvent with what is dissolved in it.
[[nodiscard]] Bulk bulkOf(const chemistry::Catalogue& catalogue, double solventKg,
                          std::span<const Portion> portions, double temperatureKelvin);

/// Used to turn volumes into masses.
[[nodiscard]] double mixtureDensity(const chemistry::Catalogue& catalogue, const Mixture& mixture);

/// What `now` holds more than `before`, solvent apart.
[[nodiscard]] Bulk changeBetween(const chemistry::Catalogue& catalogue, const Composition& before,
                                 const Composition& now, double temperatureKelvin);

} // namespace anodex::liquid
