// src/core/bench/ExplainRun.h - how a figure of a recorded run was found from its samples.
#pragma once
#include "core/bench/RunAnalysis.h"
#include "core/cell/Explain.h"

namespace anodex::bench {

/// Value in Wh.
[[nodiscard]] cell::Explanation explainEnergy(const RunAnalysis& run);

} // namespace anodex::bench
