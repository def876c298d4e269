// bench/Measure.h - times, told beside their targets.
#pragma once
#include "core/design/Design.h"
#include <chrono>
#include <vector>

namespace anodex::bench {

using Clock = std::chrono::steady_clock;

[[nodiscard]] double millisecondsSince(Clock::time_point start);

/// True once a figure missed its target: then the program ends with 1.
[[nodiscard]] bool& anythingMissed();

/// Median, 95th percentile and worst of times in ms; the percentile has to meet the target.
void report(const char* what, std::vector<double> times, double target);

[[nodiscard]] std::vector<design::CellDesign> starters();

} // namespace anodex::bench
