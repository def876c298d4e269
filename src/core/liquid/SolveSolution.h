// src/core/liquid/SolveSolution.h - brings a liquid to equilibrium, as poured or as it has become.
//
// Law        a liquid that was changed keeps what was measured on it when poured: a pH as ions that nobody
//            named, density and conductivity as factors of the computed ones. Volume: see Density.h.
// Errors     a composition that the search does not reach throws base::Fault; the solution's `notes` say
//            where it left the published range.
// Threads    one solver serves one thread.
#pragma once
#include "core/liquid/Conductivity.h"
#include "core/liquid/Equilibrium.h"
#include "core/liquid/Solution.h"
#include "core/liquid/Traces.h"

namespace anodex::liquid {

/// What stands around a liquid.
struct Surroundings {
    double temperatureKelvin = 293.15;
    double oxygenPressureBar = 0.2095;
};

class LiquidSolver {
public:
    explicit LiquidSolver(const chemistry::Catalogue& catalogue);

    const Solution& pour(const Mixture& mixture);
    /// Goes on from a liquid that was solved before.
    void beginWith(const Solution& before);
    /// The liquid in hand with other amounts in it; masters below zero count as none. Starts from its last
    /// answer and allocates nothing while the same masters stand in it.
    const Solution& change(const Composition& composition, const Surroundings& around);
    /// The liquid in hand at another acidity, the charge made up by ions that take no part. Density and conductivity
    /// stay. It is found from the liquid at an acidity nearby, whatever was asked in between.
    const Solution& titrate(const Solution& from, double pH);

    [[nodiscard]] const Solution& solution() const { return m_solution; }

private:
    void startFrom(const Solution& before);
    void settle(std::optional<double> pH);
    void setTotals();
    void takeResult();
    void sumMoieties();
    void dissolveOxygen();
    void takeDissolved(Composition& dissolved) const;
    [[nodiscard]] double chargeThere() const;

    [[nodiscard]] ConductivityResult conductivityOf(const Solution& solution);

    const chemistry::Catalogue& m_catalogue;
    Equilibrium m_equilibrium;
    Traces m_traces;
    std::optional<Conductivity> m_conductivity; ///< Made when first asked for.
    SpeciationSetting m_setting;
    Composition m_dissolved;
    Solution m_solution;
};

[[nodiscard]] Solution solveSolution(const chemistry::Catalogue& catalogue, const Mixture& mixture);

/// A solved liquid with other amounts in it.
[[nodiscard]] Solution solveChanged(const chemistry::Catalogue& catalogue, const Solution& before,
                                    const Composition& composition, const Surroundings& around);

} // namespace anodex::liquid
