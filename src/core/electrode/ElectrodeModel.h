// src/core/electrode/ElectrodeModel.h - one electrode as the sum of all routes on all its phases.
//
// Law        net current = Σ phases Σ reactions of the rate law, rising in E; at rest it is zero (the mixed
//            potential: Wagner & Traud, Z. Elektrochem. 44, 391 (1938)). For the moment `first` the double
//            layer of porous carbon adds C (E - E_rest) / 5 s, and layers start from rest.
// Units      A (anodic positive), V against SHE.
#pragma once
#include "core/electrode/RateLaw.h"
#include "core/electrode/Transport.h"
#include <string>
#include <vector>

namespace anodex::electrode {

enum class Blocked { No, Film, NoReactant };

/// One reaction on one phase with one rate.
struct Route {
    std::size_t reaction = 0;
    chemistry::SpeciesIndex phase = 0;
    RateLaw law;
    Blocked blocked = Blocked::No;
    chemistry::SpeciesIndex missing = 0; ///< When blocked by NoReactant.
};

class ElectrodeModel {
public:
    /// `acidityShift` is added to the pH that decides which films hold.
    ElectrodeModel(const Situation& here, Moment moment, double acidityShift = 0.0);

    /// Net current with its derivative, A and A/V; allocates nothing.
    [[nodiscard]] base::Sloped at(double volts) const;
    [[nodiscard]] double currentAt(double volts) const { return at(volts).value; }
    /// Where the electrode sits while it passes `amps` (anodic positive).
    [[nodiscard]] double potentialAt(double amps) const;
    [[nodiscard]] const std::vector<Route>& routes() const { return m_routes; }
    /// Starts the moment `first` from a rest found with settled layers; the double layer may stand elsewhere.
    void startFrom(double restVolts, double doubleLayerVolts);

private:
    std::vector<Route> m_routes;
    std::vector<RateLaw> m_running;      ///< The laws of those that nothing blocks.
    double m_capacitancePerSecond = 0.0; ///< A/V
    double m_doubleLayerVolts = 0.0;
    double m_residual = 0.0; ///< Net current of the routes at rest, taken as already balanced.
    mutable double m_lastVolts = 0.0;
};

} // namespace anodex::electrode
