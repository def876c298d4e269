#include "core/run/RunAnalysis.h"

#include <algorithm>
#include <cmath>

namespace anodex::run {
namespace {

using record::RunSamples;

struct Segment {
    double positive = 0.0; // integral of the positive part of the first factor
    double negative = 0.0;
    double energy = 0.0;
    double discharging = 0.0; // seconds
};

/// Current and voltage run straight from sample to sample; the part above zero is what the cell delivered.
Segment integrate(double dt, double i0, double i1, double v0, double v1) {
    const auto between = [&](double from, double to) {
        Segment part;
        const double ia = i0 + (i1 - i0) * from;
        const double ib = i0 + (i1 - i0) * to;
        const double va = v0 + (v1 - v0) * from;
        const double vb = v0 + (v1 - v0) * to;
        const double width = (to - from) * dt;
        const double charge = 0.5 * (ia + ib) * width;
        if (charge > 0.0) {
            part.positive = charge;
            part.discharging = width;
            // Exact for two straight lines.
            part.energy = width * (ia * va + ib * vb + 0.5 * (ia * vb + ib * va)) / 3.0;
        } else {
            part.negative = -charge;
        }
        return part;
    };
    if ((i0 > 0.0) == (i1 > 0.0) || i0 == 0.0 || i1 == 0.0) {
        return between(0.0, 1.0);
    }
    const double crossing = i0 / (i0 - i1);
    const Segment first = between(0.0, crossing);
    const Segment second = between(crossing, 1.0);
    return {first.positive + second.positive, first.negative + second.negative, first.energy + second.energy,
            first.discharging + second.discharging};
}

std::optional<RunError> fault(const RunSamples& samples) {
    if (samples.size() < 2) {
        return RunError{RunError::Code::TooFewSamples, 0};
    }
    for (std::size_t i = 0; i < samples.size(); ++i) {
        if (!std::isfinite(samples.seconds[i]) || !std::isfinite(samples.volts[i]) ||
            !std::isfinite(samples.amps[i])) {
            return RunError{RunError::Code::NotFinite, i};
        }
        if (i > 0 && !(samples.seconds[i] > samples.seconds[i - 1])) {
            return RunError{RunError::Code::TimeNotIncreasing, i};
        }
    }
    return std::nullopt;
}

double medianOf(std::vector<double> values) {
    const auto middle = values.begin() + static_cast<std::ptrdiff_t>(values.size() / 2);
    std::nth_element(values.begin(), middle, values.end());
    return *middle;
}

double typicalStep(const RunSamples& samples) {
    std::vector<double> steps;
    const std::size_t stride = std::max<std::size_t>(1, samples.size() / 2000);
    for (std::size_t i = 1; i < samples.size(); i += stride) {
        steps.push_back(samples.seconds[i] - samples.seconds[i - 1]);
    }
    return medianOf(std::move(steps));
}

/// From every step of the load that is large enough to stand out of the noise.
void noteInternalResistance(const RunSamples& samples, double largestAmps, RunAnalysis& analysis) {
    std::vector<double> ratios;
    std::vector<double> currents;
    for (std::size_t i = 1; i < samples.size(); ++i) {
        const double di = samples.amps[i] - samples.amps[i - 1];
        const double dv = samples.volts[i] - samples.volts[i - 1];
        if (std::abs(di) > 0.2 * largestAmps && di * dv < 0.0) {
            ratios.push_back(-dv / di);
            currents.push_back(std::max(std::abs(samples.amps[i]), std::abs(samples.amps[i - 1])));
        }
    }
    if (!ratios.empty()) {
        analysis.internalOhm = medianOf(std::move(ratios));
        analysis.stepAmps = medianOf(std::move(currents));
    }
}

void noteEvents(const RunSamples& samples, double largestAmps, RunAnalysis& analysis) {
    const double on = 0.05 * largestAmps;
    const double gap = std::max(10.0 * typicalStep(samples), 1e-9);
    const auto add = [&](RunEvent::Kind kind, std::size_t i, double value) {
        if (analysis.events.size() < kMostEvents) {
            analysis.events.push_back({kind, samples.seconds[i], value});
        }
    };
    bool reversed = false;
    for (std::size_t i = 0; i < samples.size(); ++i) {
        const double before = i == 0 ? 0.0 : samples.amps[i - 1];
        if (i > 0 && samples.seconds[i] - samples.seconds[i - 1] > gap) {
            add(RunEvent::Kind::Gap, i - 1, samples.seconds[i] - samples.seconds[i - 1]);
        }
        if (samples.amps[i] > on && before <= on) {
            add(RunEvent::Kind::LoadOn, i, samples.amps[i]);
        } else if (samples.amps[i] <= on && before > on) {
            add(RunEvent::Kind::LoadOff, i, samples.amps[i]);
        }
        if (samples.amps[i] < -on && before >= -on) {
            add(RunEvent::Kind::ChargeOn, i, samples.amps[i]);
        }
        if (samples.volts[i] < 0.0 && !reversed) {
            add(RunEvent::Kind::Reversed, i, samples.volts[i]);
        }
        reversed = samples.volts[i] < 0.0;
    }
}

} // namespace

tl::expected<RunAnalysis, RunError> analyseRun(const RunSamples& samples) {
    if (const auto problem = fault(samples)) {
        return tl::unexpected(*problem);
    }
    RunAnalysis analysis;
    double discharging = 0.0;
    double voltSeconds = 0.0;
    double largestAmps = std::abs(samples.amps.front());
    for (std::size_t i = 1; i < samples.size(); ++i) {
        const double dt = samples.seconds[i] - samples.seconds[i - 1];
        const Segment part =
            integrate(dt, samples.amps[i - 1], samples.amps[i], samples.volts[i - 1], samples.volts[i]);
        analysis.dischargeCoulombs += part.positive;
        analysis.chargeCoulombs += part.negative;
        analysis.deliveredJoules += part.energy;
        discharging += part.discharging;
        voltSeconds += 0.5 * (samples.volts[i] + samples.volts[i - 1]) * dt;
        largestAmps = std::max(largestAmps, std::abs(samples.amps[i]));
    }
    for (std::size_t i = 0; i < samples.size(); ++i) {
        analysis.maximumWatts = std::max(analysis.maximumWatts, samples.volts[i] * samples.amps[i]);
    }
    analysis.durationSeconds = samples.seconds.back() - samples.seconds.front();
    analysis.meanVolts = analysis.dischargeCoulombs > 0.0
                             ? analysis.deliveredJoules / analysis.dischargeCoulombs
                             : voltSeconds / analysis.durationSeconds;
    analysis.meanDischargeAmps = discharging > 0.0 ? analysis.dischargeCoulombs / discharging : 0.0;
    analysis.firstVolts = samples.volts.front();
    analysis.lastVolts = samples.volts.back();
    analysis.lowestVolts = *std::min_element(samples.volts.begin(), samples.volts.end());
    const auto loaded = std::find_if(samples.amps.begin(), samples.amps.end(),
                                     [&](double amps) { return amps > 0.05 * largestAmps && amps > 0.0; });
    const auto at = loaded == samples.amps.end() ? 0 : loaded - samples.amps.begin();
    analysis.loadedVolts = samples.volts[static_cast<std::size_t>(at)];
    analysis.loadedAmps = loaded == samples.amps.end() ? 0.0 : *loaded;
    analysis.ranDown = loaded != samples.amps.end() && analysis.lowestVolts < 0.5 * analysis.loadedVolts;
    if (largestAmps > 0.0) {
        noteInternalResistance(samples, largestAmps, analysis);
    }
    noteEvents(samples, largestAmps, analysis);
    return analysis;
}

} // namespace anodex::run
