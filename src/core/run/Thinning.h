// src/core/run/Thinning.h - a long column as few points that still show every peak.
#pragma once
#include "core/record/Record.h"
#include <span>
#include <vector>

namespace anodex::run {

/// A point of a curve to draw; x rises along it.
struct CurveSample {
    double x = 0.0;
    double y = 0.0;
};

/// Lowest and highest of each of `buckets` equal stretches, in order of time; short columns come back whole.
[[nodiscard]] std::vector<CurveSample> thinned(std::span<const double> xs, std::span<const double> ys,
                                               std::size_t buckets);

} // namespace anodex::run
