// src/core/base/RootFinding.h - bracketed roots of monotonic functions.
//
// Every solve in the model is one rising function crossing zero, so a bracket always exists and the search
// cannot diverge. The bracketing itself is Boost.Math's TOMS 748 (Alefeld, Potra & Shi, ACM TOMS 21, 327
// (1995)).
#pragma once
#include "core/base/Fault.h"
#include <boost/math/tools/roots.hpp>
#include <cmath>
#include <cstdint>

namespace anodex::base {

struct RootOptions {
    double step = 0.05;   ///< First stride when looking for the other side of zero. > 0.
    double lowest = -1e3; ///< The search does not leave [lowest, highest].
    double highest = 1e3;
    double tolerance = 1e-10; ///< Width of the final bracket, in the argument's unit.
};

/// The zero of a rising `function`, searched outward from `guess`. When the function keeps one sign over the
/// whole allowed span the nearer end is returned: the crossing lies at or beyond it. Throws Fault where the
/// function has no value or the search does not end.
template <typename Function>
[[nodiscard]] double rootOfRising(const Function& function, double guess, const RootOptions& options = {}) {
    double low = guess;
    double high = guess;
    double atLow = function(guess);
    double atHigh = atLow;
    if (atLow == 0.0) {
        return guess;
    }
    if (std::isnan(atLow)) {
        throw Fault(Fault::Kind::OutsideDomain, "root search", guess);
    }
    for (double step = options.step; atLow > 0.0; step *= 2.0) {
        high = low;
        atHigh = atLow;
        if (low <= options.lowest) {
            return options.lowest;
        }
        low = std::max(low - step, options.lowest);
        atLow = function(low);
    }
    for (double step = options.step; atHigh < 0.0; step *= 2.0) {
        low = high;
        atLow = atHigh;
        if (high >= options.highest) {
            return options.highest;
        }
        high = std::min(high + step, options.highest);
        atHigh = function(high);
    }
    if (atLow == 0.0) {
        return low;
    }
    if (atHigh == 0.0) {
        return high;
    }
    constexpr std::uintmax_t kMostIterations = 200;
    std::uintmax_t iterations = kMostIterations;
    const auto closeEnough = [&](double a, double b) { return std::abs(b - a) <= options.tolerance; };
    const auto bracket =
        boost::math::tools::toms748_solve(function, low, high, atLow, atHigh, closeEnough, iterations);
    const double root = 0.5 * (bracket.first + bracket.second);
    if (iterations >= kMostIterations || std::isnan(root)) {
        throw Fault(Fault::Kind::DidNotEnd, "root search", bracket.second - bracket.first);
    }
    return root;
}

} // namespace anodex::base
