// src/core/run/ExplainRun.h - how a figure of a recorded run was found from its samples.
#pragma once
#include "core/explain/Explain.h"
#include "core/run/RunAnalysis.h"

namespace anodex::run {

/// Value in Wh.
[[nodiscard]] explain::Explanation explainEnergy(const RunAnalysis& run);

} // namespace anodex::run
