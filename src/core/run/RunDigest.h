// src/core/run/RunDigest.h - what the window keeps of a run once its samples have been read.
//
// Units      V over C delivered; see RunAnalysis.h for the rest.
// Errors     those of analyseRun().
#pragma once
#include "core/run/RunAnalysis.h"
#include "core/run/Thinning.h"
#include <vector>

namespace anodex::run {

struct RunDigest {
    RunAnalysis analysis;
    std::vector<CurveSample> voltsOverCoulombs; ///< Thinned; x is the charge delivered so far.
};

/// Charging does not take delivered charge back: the curve never runs to the left.
[[nodiscard]] tl::expected<RunDigest, RunError> digestRun(const RunSource& source);
[[nodiscard]] tl::expected<RunDigest, RunError> digestRun(const record::RunSamples& samples);

} // namespace anodex::run
