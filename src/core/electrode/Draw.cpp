#include "core/electrode/Draw.h"

#include "core/base/Random.h"

#include <cmath>

namespace anodex::electrode {
namespace {

std::uint64_t addressOf(const InputKey& input) {
    const auto number =
        (static_cast<std::uint64_t>(input.kind) << 32U) + static_cast<std::uint32_t>(input.which);
    return base::addressOf(input.id, number);
}

} // namespace

Draw Draw::sampled(std::uint64_t seed, std::uint64_t sample, std::uint64_t samples,
                   std::vector<DrawnInput>* log) {
    Draw draw;
    draw.m_nominal = false;
    draw.m_seed = seed;
    draw.m_sample = sample;
    draw.m_samples = samples;
    draw.m_log = log;
    return draw;
}

double Draw::deviation(const InputKey& input) const {
    const double value = base::normalOf(base::stratifiedAt(m_seed, m_sample, m_samples, addressOf(input)));
    if (m_log != nullptr) {
        m_log->push_back({input, value});
    }
    return value;
}

double Draw::factor(const InputKey& input, const chemistry::FactorSpread& spread) const {
    if (m_nominal || spread.factor <= 1.0) {
        return spread.value;
    }
    return spread.value *
           std::exp(std::log(spread.factor) / chemistry::kNinetyFifthPercentile * deviation(input));
}

double Draw::offset(const InputKey& input, const chemistry::OffsetSpread& spread) const {
    if (m_nominal || spread.halfWidth <= 0.0) {
        return spread.value;
    }
    return spread.value + spread.halfWidth / chemistry::kNinetyFifthPercentile * deviation(input);
}

double Draw::logUniform(const InputKey& input, double value, double low, double high) const {
    if (m_nominal || !(high > low)) {
        return value;
    }
    const double share = 0.5 * std::erfc(-deviation(input) / std::sqrt(2.0));
    return low * std::pow(high / low, share);
}

} // namespace anodex::electrode
