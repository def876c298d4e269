// src/core/chemistry/Spread.h - a catalogue value with its doubt.
#pragma once

namespace anodex::chemistry {

/// A positive quantity known to a factor: 5 % and 95 % lie at value/factor and value*factor (log-normal).
struct FactorSpread {
    double value = 1.0;
    double factor = 1.0; ///< >= 1; 1 means exact.
    bool operator==(const FactorSpread&) const = default;
};

/// A quantity known to plus or minus: 5 % and 95 % lie at value-halfWidth and value+halfWidth (normal).
struct OffsetSpread {
    double value = 0.0;
    double halfWidth = 0.0; ///< >= 0
    bool operator==(const OffsetSpread&) const = default;
};

/// Standard deviations from the median to the 95 % point of a normal distribution.
inline constexpr double kNinetyFifthPercentile = 1.6448536269514722;

} // namespace anodex::chemistry
