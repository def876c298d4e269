#include "core/run/CurrentSign.h"

#include <algorithm>
#include <cmath>

namespace anodex::run {

std::optional<double> shareMovingTogether(std::span<const double> volts, std::span<const double> amps) {
    double largest = 0.0;
    for (const double one : amps) {
        largest = std::max(largest, std::abs(one));
    }
    constexpr double kStep = 0.2;   // of the largest current; less is the logger's own flutter
    constexpr double kLeast = 1e-4; // V; less is the meter's last digit
    double together = 0.0;
    double apart = 0.0;
    for (std::size_t i = 1; i < amps.size(); ++i) {
        const double step = amps[i] - amps[i - 1];
        if (std::abs(step) > kStep * largest) {
            const double moved = (volts[i] - volts[i - 1]) * (step > 0.0 ? 1.0 : -1.0);
            (moved > 0.0 ? together : apart) += std::abs(moved);
        }
    }
    const double all = together + apart;
    return all < kLeast ? std::nullopt : std::optional(together / all);
}

} // namespace anodex::run
