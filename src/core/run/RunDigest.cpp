#include "core/run/RunDigest.h"

#include <algorithm>

namespace anodex::run {
namespace {

constexpr std::size_t kBuckets = 500; // more than a screen has columns to show

/// Voltage over the charge delivered so far.
std::vector<CurveSample> voltsOverCoulombs(const RunSource& source, std::size_t samples) {
    Thinner thinner(samples, kBuckets);
    double coulombs = 0.0;
    double seconds = 0.0;
    double amps = 0.0;
    bool first = true;
    source([&](const RunPart& part) {
        for (std::size_t i = 0; i < part.seconds.size(); ++i) {
            const double charge = 0.5 * (part.amps[i] + amps) * (part.seconds[i] - seconds);
            coulombs += first ? 0.0 : std::max(charge, 0.0);
            first = false;
            seconds = part.seconds[i];
            amps = part.amps[i];
            thinner.add(coulombs, part.volts[i]);
        }
    });
    return thinner.curve();
}

} // namespace

tl::expected<RunDigest, RunError> digestRun(const RunSource& source) {
    auto analysis = analyseRun(source);
    if (!analysis) {
        return tl::unexpected(analysis.error());
    }
    const std::size_t samples = analysis->samples;
    return RunDigest{std::move(*analysis), voltsOverCoulombs(source, samples)};
}

tl::expected<RunDigest, RunError> digestRun(const record::RunSamples& samples) {
    return digestRun(sourceOf(samples));
}

} // namespace anodex::run
