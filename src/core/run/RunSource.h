// src/core/run/RunSource.h - a run to go through part after part, so that its length costs no memory.
//
// Units      s, V, A (positive on discharge).
#pragma once
#include "core/record/Record.h"
#include <functional>
#include <span>

namespace anodex::run {

/// Parallel columns of one length.
struct RunPart {
    std::span<const double> seconds;
    std::span<const double> volts;
    std::span<const double> amps;
};

/// Gives all parts in order, from the first; is asked several times.
using RunSource = std::function<void(const std::function<void(const RunPart&)>&)>;

/// Of samples in hand, which have to live longer.
[[nodiscard]] inline RunSource sourceOf(const record::RunSamples& samples) {
    return [&samples](const std::function<void(const RunPart&)>& take) {
        take({samples.seconds, samples.volts, samples.amps});
    };
}

} // namespace anodex::run
