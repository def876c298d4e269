// src/app/widgets/RoundStep.h - steps that scales are marked in.
#pragma once
#include <cmath>

namespace anodex::app {

/// 1, 2 or 5 times a power of ten, at least so large; `least` > 0.
[[nodiscard]] inline double roundStep(double least) {
    const double decade = std::pow(10.0, std::floor(std::log10(least)));
    for (const double factor : {1.0, 2.0, 5.0}) {
        if (factor * decade >= least) {
            return factor * decade;
        }
    }
    return 10.0 * decade;
}

} // namespace anodex::app
