// src/core/electrode/PotentialSearch.h - where an electrode sits while it passes a current.
//
// Units      V against SHE; A, anodic positive.
// Errors     as RootFinding.h.
#pragma once
#include "core/base/RootFinding.h"

namespace anodex::electrode {

inline constexpr double kVoltsTolerance = 1e-11; ///< Of the searches.

[[nodiscard]] inline base::RootOptions potentialSpan() {
    base::RootOptions options;
    options.lowest = -30.0; // no couple comes near these ends
    options.highest = 30.0;
    options.tolerance = kVoltsTolerance;
    options.lastStep = 1e-7;
    return options;
}

/// `currentAt` gives amps with their slope; searched from `guess`.
template <typename Current>
[[nodiscard]] double potentialWhere(const Current& currentAt, double amps, double guess,
                                    double tolerance = kVoltsTolerance) {
    base::RootOptions options = potentialSpan();
    options.tolerance = tolerance;
    return base::rootOfRisingBySlope(
        [&](double volts) {
            const base::Sloped here = currentAt(volts);
            return base::Sloped{here.value - amps, here.slope};
        },
        guess, options);
}

/// Without any current. Where every route that runs one way has ended and none that runs the other way has begun, the
/// middle of that span: the same whatever was asked before.
template <typename Current> [[nodiscard]] double restWhere(const Current& currentAt, double guess) {
    const auto edge = [&](const auto& isAbove) {
        double low = potentialSpan().lowest;
        double high = potentialSpan().highest;
        while (high - low > kVoltsTolerance) {
            const double middle = 0.5 * (low + high);
            (isAbove(currentAt(middle).value) ? high : low) = middle;
        }
        return 0.5 * (low + high);
    };
    const double found = potentialWhere(currentAt, 0.0, guess);
    constexpr double kBeside = 1e-6; // V
    // A route that begins within Newton's last step hides that the current had not turned.
    if (currentAt(found - kBeside).value < 0.0 && currentAt(found + kBeside).value > 0.0) {
        return found;
    }
    return 0.5 *
           (edge([](double amps) { return amps >= 0.0; }) + edge([](double amps) { return amps > 0.0; }));
}

} // namespace anodex::electrode
