// src/core/base/RootFinding.h - bracketed roots of monotonic functions.
//
// Every solve in the model is one rising function crossing zero, so a bracket always exists and the search
// cannot diverge. Without a slope the bracketing itself is Boost.Math's TOMS 748 (Alefeld, Potra & Shi, ACM
// TOMS 21, 327 (1995)); with one it is Newton's method kept inside a bracket.
#pragma once
#include "core/base/Fault.h"
#include <algorithm>
#include <boost/math/tools/roots.hpp>
#include <cmath>
#include <cstdint>
#include <limits>

namespace anodex::base {

struct RootOptions {
    double step = 0.05;   ///< First stride when looking for the other side of zero. > 0.
    double lowest = -1e3; ///< The search does not leave [lowest, highest].
    double highest = 1e3;
    double tolerance = 1e-10; ///< Width of the final bracket, in the argument's unit.
    /// A step of Newton's that is no longer ends the search: what it leaves is of the order of its square.
    double lastStep = 0.0;
    /// A value no larger ends the search where it was found.
    double nearlyZero = 0.0;
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

/// A value with its derivative.
struct Sloped {
    double value = 0.0;
    double slope = 0.0;
};

/// The same of a function that gives its slope too: three or four calls where the guess is near. Allocates
/// nothing.
template <typename Function>
[[nodiscard]] double rootOfRisingBySlope(const Function& function, double guess,
                                         const RootOptions& options = {}) {
    double low = options.lowest;
    double high = options.highest;
    bool lowKnown = false;
    bool highKnown = false;
    double x = guess;
    double stride = options.step;
    double lastMove = high - low;
    double lastSize = std::numeric_limits<double>::infinity();
    constexpr int kMostCalls = 400;
    for (int call = 0; call < kMostCalls; ++call) {
        const Sloped here = function(x);
        if (std::isnan(here.value)) {
            throw Fault(Fault::Kind::OutsideDomain, "root search", x);
        }
        if (std::abs(here.value) <= options.nearlyZero || (here.value > 0.0 && x <= options.lowest) ||
            (here.value < 0.0 && x >= options.highest)) {
            return x;
        }
        (here.value > 0.0 ? high : low) = x;
        (here.value > 0.0 ? highKnown : lowKnown) = true;
        double next = x - here.value / here.slope;
        const double newton = next;
        if (lowKnown && highKnown) {
            const bool slow = std::abs(next - x) > 0.5 * std::abs(lastMove);
            if (!(next > low && next < high) || slow) {
                next = 0.5 * (low + high);
            }
        } else {
            const bool slow = std::abs(here.value) > 0.5 * lastSize || std::isinf(here.slope);
            if (slow || !(std::abs(next - x) <= stride)) {
                next = here.value > 0.0 ? x - stride : x + stride;
                stride *= 2.0;
            }
            next = std::clamp(next, options.lowest, options.highest);
        }
        lastSize = std::abs(here.value);
        lastMove = next - x;
        x = next;
        if (std::abs(lastMove) <=
            (x == newton ? std::max(options.tolerance, options.lastStep) : options.tolerance)) {
            return x;
        }
    }
    throw Fault(Fault::Kind::DidNotEnd, "root search", high - low);
}

} // namespace anodex::base
