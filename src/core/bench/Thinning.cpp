#include "core/bench/Thinning.h"

#include <algorithm>

namespace anodex::bench {

std::vector<CurveSample> thinned(std::span<const double> seconds, std::span<const double> values,
                                 std::size_t buckets) {
    const std::size_t count = std::min(seconds.size(), values.size());
    std::vector<CurveSample> curve;
    if (count <= 2 * buckets || buckets == 0) {
        for (std::size_t i = 0; i < count; ++i) {
            curve.push_back({seconds[i], values[i]});
        }
        return curve;
    }
    for (std::size_t b = 0; b < buckets; ++b) {
        const std::size_t from = b * count / buckets;
        const std::size_t to = (b + 1) * count / buckets;
        const auto [low, high] = std::minmax_element(values.begin() + static_cast<std::ptrdiff_t>(from),
                                                     values.begin() + static_cast<std::ptrdiff_t>(to));
        const auto lowAt = static_cast<std::size_t>(low - values.begin());
        const auto highAt = static_cast<std::size_t>(high - values.begin());
        for (const std::size_t i : {std::min(lowAt, highAt), std::max(lowAt, highAt)}) {
            curve.push_back({seconds[i], values[i]});
        }
    }
    return curve;
}

} // namespace anodex::bench
