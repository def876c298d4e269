// src/core/electrode/Draw.h - one possible world: a value for every uncertain input.
//
// Only compiling a cell asks for one; no law does. The nominal draw returns each value itself. Any other is
// addressed by (seed, sample, input), so a world is the same on every thread and whatever else it draws. The
// same input always gives the same deviation within one world.
#pragma once
#include "core/chemistry/Spread.h"
#include "core/electrode/Input.h"
#include <cstdint>
#include <vector>

namespace anodex::electrode {

/// An uncertain input a draw was asked for, with its deviation in standard normal units.
struct DrawnInput {
    InputKey input;
    double deviation = 0.0;
};

class Draw {
public:
    /// The catalogue's own values.
    static Draw nominal() { return {}; }
    /// One of `samples` worlds that together cover each input evenly. `log` receives what is asked for, in
    /// order.
    static Draw sampled(std::uint64_t seed, std::uint64_t sample, std::uint64_t samples,
                        std::vector<DrawnInput>* log = nullptr);

    [[nodiscard]] double factor(const InputKey& input, const chemistry::FactorSpread& spread) const;
    [[nodiscard]] double offset(const InputKey& input, const chemistry::OffsetSpread& spread) const;
    /// Log-uniform between low and high; the nominal draw returns `value`.
    [[nodiscard]] double logUniform(const InputKey& input, double value, double low, double high) const;

private:
    [[nodiscard]] double deviation(const InputKey& input) const;

    bool m_nominal = true;
    std::uint64_t m_seed = 0;
    std::uint64_t m_sample = 0;
    std::uint64_t m_samples = 1;
    std::vector<DrawnInput>* m_log = nullptr;
};

} // namespace anodex::electrode
