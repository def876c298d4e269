// src/core/electrode/ElectrodeModel.h - one electrode at a given face as the sum of all routes on all its phases.
//
// Law        net current = Σ phases Σ reactions of the rate law, rising in E; at rest it is zero (the mixed
//            potential: Wagner & Traud, Z. Elektrochem. 44, 391 (1938)).
// Units      A (anodic positive), V against SHE.
#pragma once
#include "core/electrode/Route.h"
#include <vector>

namespace anodex::electrode {

/// What an electrode passes and what hydroxide it makes by that, A.
struct Flows {
    Moving amps;
    Moving hydroxide;
    Moving besideGas; ///< Of the hydroxide, what routes make that raise no gas.
    Moving gas;       ///< That rises from it, A of its making.
};

class ElectrodeModel {
public:
    ElectrodeModel() = default;
    /// `seconds` that a load has been on; `acidityShift` is added to the pH that decides which films hold.
    ElectrodeModel(const Situation& here, double seconds, double acidityShift = 0.0);

    /// The same electrode in another state; allocates nothing.
    void bind(const Situation& here, double seconds, double acidityShift = 0.0);

    /// On the way to another acidity of the same liquid.
    [[nodiscard]] Flows flowsAt(double volts, const ElectrodeModel& other, double share) const;
    /// Net current with its derivative, A and A/V; allocates nothing.
    [[nodiscard]] base::Sloped at(double volts) const;
    [[nodiscard]] double currentAt(double volts) const { return at(volts).value; }
    /// Where the electrode sits while it passes `amps` (anodic positive).
    [[nodiscard]] double potentialAt(double amps) const;
    /// The same routes in the same order for every face of one liquid.
    [[nodiscard]] const std::vector<Route>& routes() const { return m_routes; }

private:
    /// What a sum needs of a route that nothing blocks, with what takes its share on the spot.
    struct Running {
        RateLaw law;
        double toLeads = 1.0;           ///< Share of its anodic current that no other reaction takes.
        double hydroxideAnodic = 0.0;   ///< A made for each of the route's.
        double hydroxideCathodic = 0.0; ///< The same.
        double solubleAmps = 0.0;       ///< As of the route.
        double solidHydroxidePerAmp = 0.0;
        double gasAnodic = 0.0; ///< A of gas for each A.
        double gasCathodic = 0.0;
    };
    void take(const Route& route, const Route* parasite);
    [[nodiscard]] static Moving solidOf(const Running& running, const Moving& route);

    std::vector<Route> m_routes;
    std::vector<Running> m_running;
    mutable double m_lastVolts = 0.0;
};

} // namespace anodex::electrode
