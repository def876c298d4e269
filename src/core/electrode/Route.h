// src/core/electrode/Route.h - one reaction on one phase of an electrode with one rate.
//
// Law        see RateLaw.h. Hydroxide that it makes or takes follows from its equation; a metal ion beyond what the
//            liquid at the face holds falls out and takes hydroxide along.
// Units      A (anodic positive), V against SHE. Hydroxide in A: mol/s times F.
#pragma once
#include "core/electrode/RateLaw.h"
#include "core/electrode/Transport.h"
#include <limits>

namespace anodex::electrode {

enum class Blocked { No, Film, NoReactant };

struct Route {
    std::size_t reaction = 0;
    chemistry::SpeciesIndex phase = 0;
    double equilibriumVolts = 0.0; ///< Of its couple.
    RateLaw law;                   ///< Its own, or of the reaction from whose current it takes its share.
    double takenShare = 0.0;       ///< Of that reaction's anodic current; 0: its own master.
    std::size_t host = 0;          ///< That reaction, where it takes a share.
    Blocked blocked = Blocked::No;
    chemistry::SpeciesIndex missing = 0; ///< When blocked by NoReactant.
    double hydroxidePerAmp = 0.0;        ///< A of hydroxide made for each of anodic current.
    double solubleAmps =
        std::numeric_limits<double>::infinity(); ///< Whose ions the face holds; the rest falls out …
    int gasSign = 0;                             ///< Of the current that makes gas; 0: none does.
    double solidHydroxidePerAmp = 0.0;           ///< … and takes as much hydroxide.

    /// Its current with the derivative, A and A/V; none where it is blocked.
    [[nodiscard]] base::Sloped at(double volts) const;
    [[nodiscard]] double current(double volts) const { return at(volts).value; }
};

/// What a reaction meets in the liquid, whatever phase it runs on.
class RouteBuilder {
public:
    /// `acidityShift` is added to the pH that decides which films hold.
    RouteBuilder(const Situation& here, const ReactionParameters& parameters, Absences absent,
                 double acidityShift);

    /// Works out what every route of the reaction shares, once.
    void prepare(Supplies& supplies);
    /// Into a new route, where it stays: many are built at every state.
    void build(const RouteParameters& parameters, Route& route) const;
    /// Nothing of what this route needs was ever poured in.
    [[nodiscard]] bool isUnheardOf(const chemistry::SurfaceKinetics& kinetics) const;

private:
    [[nodiscard]] double anodicLimit(const RouteParameters& parameters) const;
    [[nodiscard]] double cathodicLimit(const RouteParameters& parameters) const;
    [[nodiscard]] double lnExchange(const RouteParameters& parameters, bool storedAnodic) const;
    void block(Route& route, const chemistry::SurfaceKinetics& kinetics) const;
    void findSolid(Supplies& supplies);

    const Situation& m_here;
    double m_acidityShift;
    const ReactionParameters& m_parameters;
    const chemistry::Reaction& m_reaction;
    const liquid::Solution& m_solution; ///< That it meets.
    Absences m_absent;
    bool m_prepared = false;
    double m_equilibrium = 0.0;
    double m_bothPerVolt = 0.0;                                       // ln-slopes of both branches
    double m_perKelvinOver = 0.0;                                     // 1/K over that of 25 °C
    double m_anodicSupply = 0.0;                                      // A/m²
    double m_cathodicSupply = 0.0;                                    // A/m²
    double m_solubleSupply = std::numeric_limits<double>::infinity(); // A/m²
    double m_solidHydroxide = 0.0;
    double m_inserted = std::numeric_limits<double>::infinity(); // A
};

} // namespace anodex::electrode
