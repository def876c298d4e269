// src/core/electrode/ElectrodeModel.h - one electrode as the sum of all routes on all its phases.
//
// Law        net current = Σ phases Σ reactions of the rate law, rising in E; at rest it is zero (the mixed
//            potential: Wagner & Traud, Z. Elektrochem. 44, 391 (1938)). A load that has been on for t seconds
//            finds layers as deep as diffusion reached, and its double layer adds C (E - E0) / t: one implicit
//            step in time. `first` is t = 5 s, `settled` the limit of long times.
// Units      A (anodic positive), V against SHE.
#pragma once
#include "core/electrode/RateLaw.h"
#include "core/electrode/Transport.h"
#include <vector>

namespace anodex::electrode {

enum class Blocked { No, Film, NoReactant };

/// One reaction on one phase with one rate.
struct Route {
    std::size_t reaction = 0;
    chemistry::SpeciesIndex phase = 0;
    double equilibriumVolts = 0.0; ///< Of its couple.
    RateLaw law;                   ///< Its own, or of the reaction from whose current it takes its share.
    double takenShare = 0.0;       ///< Of that reaction's anodic current; 0: its own master.
    std::size_t host = 0;          ///< That reaction, where it takes a share.
    Blocked blocked = Blocked::No;
    chemistry::SpeciesIndex missing = 0; ///< When blocked by NoReactant.

    /// Its current with the derivative, A and A/V; none where it is blocked.
    [[nodiscard]] base::Sloped at(double volts) const;
    [[nodiscard]] double current(double volts) const { return at(volts).value; }
};

class ElectrodeModel {
public:
    ElectrodeModel() = default;
    /// `acidityShift` is added to the pH that decides which films hold.
    ElectrodeModel(const Situation& here, double seconds, double acidityShift = 0.0);

    /// The same electrode in another state; allocates nothing.
    void bind(const Situation& here, double seconds, double acidityShift = 0.0);

    /// Net current with its derivative, A and A/V; allocates nothing.
    [[nodiscard]] base::Sloped at(double volts) const;
    [[nodiscard]] double currentAt(double volts) const { return at(volts).value; }
    /// Where the electrode sits while it passes `amps` (anodic positive).
    [[nodiscard]] double potentialAt(double amps) const;
    [[nodiscard]] const std::vector<Route>& routes() const { return m_routes; }
    /// Begins a load at a rest found with settled layers; the double layer may stand elsewhere.
    void startFrom(double restVolts, double doubleLayerVolts);

private:
    [[nodiscard]] double restVolts() const;

    struct Running {
        RateLaw law;
        double toLeads = 1.0; ///< Share of its anodic current that no other reaction takes on the spot.
    };

    std::vector<Route> m_routes;
    std::vector<Running> m_running;      ///< Those that nothing blocks.
    double m_capacitancePerSecond = 0.0; ///< A/V
    double m_doubleLayerVolts = 0.0;
    double m_residual = 0.0; ///< Net current of the routes at rest, taken as already balanced.
    mutable double m_lastVolts = 0.0;
};

} // namespace anodex::electrode
