#include "core/electrode/Draw.h"

#include "core/base/Random.h"

#include <cmath>

namespace anodex::electrode {

Draw Draw::sampled(std::uint64_t seed, std::uint64_t sample, std::vector<DrawnInput>* log) {
    Draw draw;
    draw.m_nominal = false;
    draw.m_seed = seed;
    draw.m_sample = sample;
    draw.m_log = log;
    return draw;
}

double Draw::deviation(const std::string& input) const {
    const double value = base::normalAt(m_seed, m_sample, base::addressOf(input.c_str()));
    if (m_log != nullptr) {
        m_log->push_back({input, value});
    }
    return value;
}

double Draw::factor(const std::string& input, const chemistry::FactorSpread& spread) const {
    if (m_nominal || spread.factor <= 1.0) {
        return spread.value;
    }
    return spread.value *
           std::exp(std::log(spread.factor) / chemistry::kNinetyFifthPercentile * deviation(input));
}

double Draw::offset(const std::string& input, const chemistry::OffsetSpread& spread) const {
    if (m_nominal || spread.halfWidth <= 0.0) {
        return spread.value;
    }
    return spread.value + spread.halfWidth / chemistry::kNinetyFifthPercentile * deviation(input);
}

double Draw::logUniform(const std::string& input, double value, double low, double high) const {
    if (m_nominal || !(high > low)) {
        return value;
    }
    const double share = 0.5 * std::erfc(-deviation(input) / std::sqrt(2.0));
    return low * std::pow(high / low, share);
}

} // namespace anodex::electrode
