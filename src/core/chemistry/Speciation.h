// src/core/chemistry/Speciation.h - which species a set of totals settles into.
//
// Method     minimum of the convex dual of the Gibbs energy (mass action with fixed activity coefficients),
//            by damped Newton steps with a line search: it cannot diverge. Charge balance fixes the pH.
#pragma once
#include "core/chemistry/Catalogue.h"
#include <optional>
#include <vector>

namespace anodex::chemistry {

struct Totals {
    std::vector<SpeciesTerm> masters; ///< Species index of the master, and mol/kg of its moiety. > 0.
};

struct SpeciationInput {
    Totals totals;
    std::vector<double> lnGamma; ///< By catalogue species.
    double lnSolventActivity = 0.0;
    double temperatureKelvin = 298.15;
    std::optional<double> fixedLnHydrogenActivity; ///< A measured pH replaces the charge balance.
};

struct SpeciationResult {
    std::vector<double> molality;   ///< By catalogue species.
    std::vector<double> lnActivity; ///< By catalogue species; meaningful where molality > 0.
    double lnHydrogenActivity = 0.0;
    bool converged = false;
};

/// `start` continues from an earlier answer when coefficients changed a little.
[[nodiscard]] SpeciationResult speciate(const Catalogue& catalogue, const SpeciationInput& input,
                                        const SpeciationResult* start = nullptr);

/// Moles of each master's moiety in one mole of the species (hydrogen ion and solvent left out).
[[nodiscard]] std::vector<SpeciesTerm> moietiesOf(const Catalogue& catalogue, SpeciesIndex species);

} // namespace anodex::chemistry
