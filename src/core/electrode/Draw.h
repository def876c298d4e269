// src/core/electrode/Draw.h - one possible world: a value for every uncertain input.
//
// The nominal draw returns each value itself. Any other is addressed by (seed, sample, input name), so a
// world is the same on every thread. The same input name always gives the same deviation within one world.
#pragma once
#include "core/chemistry/Spread.h"
#include <cstdint>
#include <string>
#include <vector>

namespace anodex::electrode {

/// An uncertain input a draw was asked for, with its deviation in standard normal units.
struct DrawnInput {
    std::string name;
    double deviation = 0.0;
};

class Draw {
public:
    /// The catalogue's own values.
    static Draw nominal() { return {}; }
    static Draw sampled(std::uint64_t seed, std::uint64_t sample, std::vector<DrawnInput>* log = nullptr);

    [[nodiscard]] double factor(const std::string& input, const chemistry::FactorSpread& spread) const;
    [[nodiscard]] double offset(const std::string& input, const chemistry::OffsetSpread& spread) const;
    /// Log-uniform between low and high; the nominal draw returns `value`.
    [[nodiscard]] double logUniform(const std::string& input, double value, double low, double high) const;

private:
    [[nodiscard]] double deviation(const std::string& input) const;

    bool m_nominal = true;
    std::uint64_t m_seed = 0;
    std::uint64_t m_sample = 0;
    std::vector<DrawnInput>* m_log = nullptr;
};

} // namespace anodex::electrode
