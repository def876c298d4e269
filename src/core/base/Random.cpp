#include "core/base/Random.h"

#include <boost/math/special_functions/erf.hpp>

namespace anodex::base {
namespace {

std::uint64_t mixed(std::uint64_t value) {
    value += 0x9E3779B97F4A7C15ULL;
    value = (value ^ (value >> 30U)) * 0xBF58476D1CE4E5B9ULL;
    value = (value ^ (value >> 27U)) * 0x94D049BB133111EBULL;
    return value ^ (value >> 31U);
}

} // namespace

double uniformAt(std::uint64_t seed, std::uint64_t sample, std::uint64_t input) {
    const std::uint64_t bits = mixed(mixed(mixed(seed) ^ sample) ^ input);
    return (static_cast<double>(bits >> 11U) + 0.5) * 0x1.0p-53;
}

double normalAt(std::uint64_t seed, std::uint64_t sample, std::uint64_t input) {
    return 1.4142135623730951 * boost::math::erf_inv(2.0 * uniformAt(seed, sample, input) - 1.0);
}

std::uint64_t addressOf(const char* text, std::uint64_t start) {
    std::uint64_t hash = start;
    for (; *text != '\0'; ++text) {
        hash = (hash ^ static_cast<unsigned char>(*text)) * 1099511628211ULL;
    }
    return hash;
}

} // namespace anodex::base
