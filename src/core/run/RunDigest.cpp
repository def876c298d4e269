#include "core/run/RunDigest.h"

#include <algorithm>

namespace anodex::run {
namespace {

constexpr std::size_t kBuckets = 500; // more than a screen has columns to show

std::vector<double> deliveredSoFar(const record::RunSamples& samples) {
    std::vector<double> coulombs(samples.size(), 0.0);
    for (std::size_t i = 1; i < samples.size(); ++i) {
        const double charge =
            0.5 * (samples.amps[i] + samples.amps[i - 1]) * (samples.seconds[i] - samples.seconds[i - 1]);
        coulombs[i] = coulombs[i - 1] + std::max(charge, 0.0);
    }
    return coulombs;
}

} // namespace

tl::expected<RunDigest, RunError> digestRun(const record::RunSamples& samples) {
    auto analysis = analyseRun(samples);
    if (!analysis) {
        return tl::unexpected(analysis.error());
    }
    return RunDigest{std::move(*analysis), thinned(deliveredSoFar(samples), samples.volts, kBuckets)};
}

} // namespace anodex::run
