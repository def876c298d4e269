// src/core/run/RunAnalysis.h - what one recorded run delivered and showed.
//
// Law        charge and energy by the trapezoidal rule; a current that passes zero between two samples is cut
//            at the crossing. Internal resistance from the steps of the load, ΔV/ΔI, by their median.
// Units      SI. Current positive while the cell delivers it.
// Errors     RunError names the first sample at fault; nothing throws.
#pragma once
#include "core/run/RunSource.h"
#include <cstddef>
#include <optional>
#include <tl/expected.hpp>
#include <vector>

namespace anodex::run {

struct RunError {
    enum class Code { TooFewSamples, TimeNotIncreasing, NotFinite };
    Code code;
    std::size_t sample = 0;
};

struct RunEvent {
    enum class Kind { LoadOn, LoadOff, ChargeOn, Gap, Reversed };
    Kind kind;
    double seconds = 0.0;
    double value = 0.0; ///< A for loads, s for gaps, V for reversal.
};

struct RunAnalysis {
    std::size_t samples = 0;
    double durationSeconds = 0.0;
    double dischargeCoulombs = 0.0;
    double chargeCoulombs = 0.0;
    double deliveredJoules = 0.0;      ///< Energy out while discharging.
    double meanVolts = 0.0;            ///< Over the charge delivered; over time when none was.
    std::optional<double> internalOhm; ///< Absent when the load never steps.
    double stepAmps = 0.0;             ///< The larger current of the typical step behind internalOhm.
    double maximumWatts = 0.0;         ///< Largest power actually delivered.
    double firstVolts = 0.0;
    double lastVolts = 0.0;
    double loadedAmps = 0.0;  ///< Together with loadedVolts; 0 when never loaded.
    double loadedVolts = 0.0; ///< First reading under load; the first of all when never loaded.
    double lowestVolts = 0.0;
    bool ranDown = false;           ///< Fell below half of its first loaded voltage: nothing much is left.
    double meanDischargeAmps = 0.0; ///< Over the time spent discharging.
    std::vector<RunEvent> events;   ///< In order of time; at most kMostEvents.
};

inline constexpr std::size_t kMostEvents = 200;

/// Goes through the source three times; memory does not grow with the run.
[[nodiscard]] tl::expected<RunAnalysis, RunError> analyseRun(const RunSource& source);
[[nodiscard]] tl::expected<RunAnalysis, RunError> analyseRun(const record::RunSamples& samples);

} // namespace anodex::run
