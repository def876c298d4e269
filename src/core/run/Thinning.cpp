#include "core/run/Thinning.h"

#include <algorithm>

namespace anodex::run {

std::vector<CurveSample> thinned(std::span<const double> xs, std::span<const double> ys,
                                 std::size_t buckets) {
    const std::size_t count = std::min(xs.size(), ys.size());
    std::vector<CurveSample> curve;
    if (count <= 2 * buckets || buckets == 0) {
        for (std::size_t i = 0; i < count; ++i) {
            curve.push_back({xs[i], ys[i]});
        }
        return curve;
    }
    for (std::size_t b = 0; b < buckets; ++b) {
        const std::size_t from = b * count / buckets;
        const std::size_t to = (b + 1) * count / buckets;
        const auto [low, high] = std::minmax_element(ys.begin() + static_cast<std::ptrdiff_t>(from),
                                                     ys.begin() + static_cast<std::ptrdiff_t>(to));
        const auto lowAt = static_cast<std::size_t>(low - ys.begin());
        const auto highAt = static_cast<std::size_t>(high - ys.begin());
        for (const std::size_t i : {std::min(lowAt, highAt), std::max(lowAt, highAt)}) {
            curve.push_back({xs[i], ys[i]});
        }
    }
    return curve;
}

} // namespace anodex::run
