// src/core/findings/Findings.h - what a builder should know before building: danger, mistakes, doubts.
#pragma once
#include "core/cell/Evaluation.h"
#include "core/findings/Finding.h"
#include <vector>

namespace anodex::findings {

/// Worst first.
[[nodiscard]] std::vector<Finding> findingsFor(const chemistry::Catalogue& catalogue,
                                               const design::Cell& cell, const cell::Evaluation& evaluation);

} // namespace anodex::findings
