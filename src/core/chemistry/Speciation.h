// src/core/chemistry/Speciation.h - which species a set of totals settles into, and what falls out of it.
//
// Method     minimum of the convex dual of the Gibbs energy (mass action with fixed activity coefficients),
//            by damped Newton steps with a line search: it cannot diverge. Charge balance fixes the pH.
//            Saturated solids are linear equations in the logarithms of the masters' activities; an active
//            set adds the most supersaturated and drops those that would be used up.
// Threads    one object serves one thread.
#pragma once
#include "core/chemistry/Catalogue.h"
#include <memory>
#include <optional>
#include <vector>

namespace anodex::chemistry {

struct Totals {
    std::vector<SpeciesTerm> masters; ///< Species index of the master, and mol/kg of its moiety. > 0.
};

struct SpeciationSetting {
    Totals totals;
    double temperatureKelvin = 298.15;
    std::optional<double> fixedLnHydrogenActivity; ///< A measured pH replaces the charge balance.
};

struct SpeciationResult {
    std::vector<double> molality;         ///< By catalogue species.
    std::vector<double> lnActivity;       ///< By catalogue species; meaningful where molality > 0.
    std::vector<SpeciesTerm> precipitate; ///< mol/kg of each solid that has fallen out.
    double lnHydrogenActivity = 0.0;
    bool converged = false;
};

class Speciation {
public:
    Speciation(const Catalogue& catalogue, SpeciationSetting setting);
    ~Speciation();
    Speciation(const Speciation&) = delete;
    Speciation& operator=(const Speciation&) = delete;

    /// Coefficients by catalogue species. Each call continues from the last answer.
    [[nodiscard]] SpeciationResult solve(const std::vector<double>& lnGamma, double lnSolventActivity);

private:
    class Solver;
    std::unique_ptr<Solver> m_solver;
};

/// ln of a formation constant at a temperature (van 't Hoff).
[[nodiscard]] double lnFormationConstant(const Formation& formation, double temperatureKelvin);

/// Moles of each master's moiety in one mole of the species (hydrogen ion and solvent left out).
[[nodiscard]] const std::vector<SpeciesTerm>& moietiesOf(const Catalogue& catalogue, SpeciesIndex species);

/// Works the moieties out once, after the species are complete.
void indexMoieties(Catalogue& catalogue);

} // namespace anodex::chemistry
