// src/core/electrode/RateLaw.h - the one rate law: i = (ia - ic) / (1 + ia/La + ic/Lc).
//
// Zero at the couple's Nernst potential and strictly rising in E whatever the limits, so electrodes made of
// many routes have exactly one resting potential.
//
// Units      amps (rates already multiplied by area), volts.
#pragma once
#include "core/base/RootFinding.h"

namespace anodex::electrode {

/// A value between two acidities, with its derivatives by volts and by the share of the way.
struct Moving {
    double value = 0.0;
    double perVolt = 0.0;
    double perShare = 0.0;
};

struct RateLaw {
    double equilibriumVolts = 0.0; ///< The couple's Nernst potential.
    double lnExchange = -700.0;    ///< ln of the exchange current (A) there.
    double anodicPerVolt = 0.0;    ///< ln-slope of the anodic branch, 1/V. >= 0.
    double cathodicPerVolt = 0.0;  ///< ln-slope of the cathodic branch, 1/V. >= 0.
    double anodicLimit = 0.0;      ///< A; infinity when nothing limits.
    double cathodicLimit = 0.0;    ///< A; 0 when the reactant is absent.
    bool anodicOnly = false;       ///< The other branch does not occur.
    bool cathodicOnly = false;
    double porousCrossover = 0.0; ///< A above which a porous layer's slope doubles; 0: never.

    /// Whether any of it flows there at all: most routes of an electrode run one way only.
    [[nodiscard]] bool runsAt(double volts) const {
        const bool anodic = anodicLimit > 0.0 && !cathodicOnly;
        const bool cathodic = cathodicLimit > 0.0 && !anodicOnly;
        const double over = volts - equilibriumVolts;
        return over > 0.0 ? anodic : over < 0.0 ? cathodic : anodic && cathodic;
    }
    /// Net current of the route itself (anodic positive) with its derivative, A and A/V. At the couple's own
    /// potential the slope of a one-way route is that of the side where it does not run.
    [[nodiscard]] base::Sloped at(double volts) const;
    [[nodiscard]] double current(double volts) const { return at(volts).value; }
};

/// Of one route at two acidities the law at an acidity between them: its potential, the logarithm of its exchange and its
/// limits in proportion, so that a fast couple follows the acidity and not the nearer of the two.
[[nodiscard]] RateLaw lawBetween(const RateLaw& low, const RateLaw& high, double share);
/// Its net current, A, A/V and A for the whole way.
[[nodiscard]] Moving currentBetween(const RateLaw& low, const RateLaw& high, double share, double volts);

} // namespace anodex::electrode
