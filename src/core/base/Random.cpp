#include "core/base/Random.h"

#include <Random123/philox.h>
#include <boost/math/special_functions/erf.hpp>

namespace anodex::base {
namespace {

std::uint32_t low(std::uint64_t value) {
    return static_cast<std::uint32_t>(value);
}

std::uint32_t high(std::uint64_t value) {
    return static_cast<std::uint32_t>(value >> 32U);
}

std::uint32_t mixed(std::uint32_t value) {
    value = (value ^ (value >> 16U)) * 0x7FEB352DU;
    value = (value ^ (value >> 15U)) * 0x846CA68BU;
    return value ^ (value >> 16U);
}

/// The place of `index` in a shuffled row of `count`: a Feistel network over the next power of four, walked
/// until it lands inside (Black & Rogaway, CT-RSA 2002).
std::uint64_t shuffled(std::uint64_t index, std::uint64_t count, std::uint64_t key) {
    unsigned half = 1;
    while ((1ULL << (2U * half)) < count) {
        ++half;
    }
    const std::uint64_t mask = (1ULL << half) - 1U;
    do {
        std::uint64_t left = index >> half;
        std::uint64_t right = index & mask;
        constexpr std::uint32_t kRounds = 6;
        for (std::uint32_t round = 0; round < kRounds; ++round) {
            const std::uint32_t word = mixed(mixed(low(right) ^ low(key)) + high(key) + round);
            const std::uint64_t next = left ^ (word & mask);
            left = right;
            right = next;
        }
        index = (left << half) | right;
    } while (index >= count);
    return index;
}

} // namespace

double uniformAt(std::uint64_t seed, std::uint64_t sample, std::uint64_t input) {
    const r123::Philox4x32::ctr_type counter{{low(sample), high(sample), low(input), high(input)}};
    const r123::Philox4x32::key_type key{{low(seed), high(seed)}};
    const auto words = r123::Philox4x32()(counter, key);
    const std::uint64_t bits = (static_cast<std::uint64_t>(words[0]) << 32U) | words[1];
    return (static_cast<double>(bits >> 11U) + 0.5) * 0x1.0p-53;
}

double stratifiedAt(std::uint64_t seed, std::uint64_t sample, std::uint64_t samples, std::uint64_t input) {
    const std::uint64_t key =
        (static_cast<std::uint64_t>(mixed(low(seed) ^ low(input))) << 32U) | mixed(high(seed) ^ high(input));
    const auto stratum = static_cast<double>(shuffled(sample, samples, key));
    return (stratum + uniformAt(seed, sample, input)) / static_cast<double>(samples);
}

double normalOf(double share) {
    using InDouble = boost::math::policies::policy<boost::math::policies::promote_double<false>>;
    return 1.4142135623730951 * boost::math::erf_inv(2.0 * share - 1.0, InDouble());
}

double normalAt(std::uint64_t seed, std::uint64_t sample, std::uint64_t input) {
    return normalOf(uniformAt(seed, sample, input));
}

std::uint64_t addressOf(std::string_view text, std::uint64_t number) {
    std::uint64_t hash = 14695981039346656037ULL ^ number;
    for (const char letter : text) {
        hash = (hash ^ static_cast<unsigned char>(letter)) * 1099511628211ULL;
    }
    return hash;
}

} // namespace anodex::base
