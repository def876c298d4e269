// src/core/base/Interval.h - a 5-95 % range.
#pragma once
#include <vector>

namespace anodex::base {

struct Interval {
    double low = 0.0;
    double high = 0.0;

    [[nodiscard]] bool contains(double value) const { return low <= value && value <= high; }
    [[nodiscard]] double width() const { return high - low; }
    bool operator==(const Interval&) const = default;
};

/// 5 to 95 % of what was seen, widened to hold `nominal`, which is one of the possible worlds.
[[nodiscard]] Interval centralSpan(std::vector<double> values, double nominal);

} // namespace anodex::base
