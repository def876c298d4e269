// src/core/base/Interval.h - a 5-95 % range.
#pragma once

namespace anodex::base {

struct Interval {
    double low = 0.0;
    double high = 0.0;

    [[nodiscard]] bool contains(double value) const { return low <= value && value <= high; }
    [[nodiscard]] double width() const { return high - low; }
    bool operator==(const Interval&) const = default;
};

} // namespace anodex::base
