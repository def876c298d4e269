// src/core/liquid/Speciation.h - which species a set of totals settles into, and what falls out of it.
//
// Method     minimum of the convex dual of the Gibbs energy (mass action with fixed activity coefficients),
//            by damped Newton steps with a line search: it cannot diverge. Charge balance fixes the pH.
//            Saturated solids are linear equations in the logarithms of the masters' activities; an active
//            set adds the most supersaturated and drops those that would be used up.
// Errors     more than 64 masters in one liquid throw base::Fault.
// Threads    one object serves one thread.
#pragma once
#include "core/chemistry/Catalogue.h"
#include <memory>
#include <optional>
#include <vector>

namespace anodex::liquid {

struct Totals {
    std::vector<chemistry::SpeciesTerm>
        masters; ///< chemistry::Species index of the master, and mol/kg of its moiety. > 0.
};

struct SpeciationSetting {
    Totals totals;
    double temperatureKelvin = 298.15;
    double charge = 0.0; ///< mol/kg that the species' charges sum to; not 0 where ions are there unnamed.
    std::optional<double> fixedLnHydrogenActivity; ///< A measured pH replaces the charge balance.
};

struct SpeciationResult {
    std::vector<double> molality;                    ///< By catalogue species.
    std::vector<double> lnActivity;                  ///< By catalogue species; meaningful where molality > 0.
    std::vector<chemistry::SpeciesTerm> precipitate; ///< mol/kg of each solid that has fallen out.
    double lnHydrogenActivity = 0.0;
    bool converged = false;
};

class Speciation {
public:
    explicit Speciation(const chemistry::Catalogue& catalogue);
    ~Speciation();
    Speciation(const Speciation&) = delete;
    Speciation& operator=(const Speciation&) = delete;

    /// Goes on from the last answer where the same masters stand in the liquid, and then allocates nothing;
    /// tells whether it does.
    bool setUp(const SpeciationSetting& setting);
    /// The next answer is found from these activities (by catalogue species) with these solids; where the hydrogen ion's
    /// is unknown, it stays as it is.
    void beginWith(const std::vector<double>& lnActivity, const std::vector<chemistry::SpeciesIndex>& solids);
    /// The dissolved species that may be there.
    [[nodiscard]] const std::vector<chemistry::SpeciesIndex>& species() const;
    /// Coefficients parallel to species(). Each call continues from the last answer. It ends with a step of at most
    /// `lastStep` (but 1e-6) in ln activity, and leaves about the square of it.
    const SpeciationResult& solve(const std::vector<double>& lnGamma, double lnSolventActivity,
                                  double lastStep = 0.0);

private:
    class Solver;
    const chemistry::Catalogue& m_catalogue;
    std::unique_ptr<Solver> m_solver;
};

} // namespace anodex::liquid
