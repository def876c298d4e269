#include "core/run/RunAnalysis.h"

#include <algorithm>
#include <cmath>

namespace anodex::run {
namespace {

struct Sample {
    double seconds = 0.0;
    double volts = 0.0;
    double amps = 0.0;
};

/// Goes through a run with each sample's number and the one before it; the first stands before itself.
template <typename Take> void eachSample(const RunSource& source, const Take& take) {
    std::size_t number = 0;
    Sample before;
    source([&](const RunPart& part) {
        for (std::size_t i = 0; i < part.seconds.size(); ++i) {
            const Sample now{part.seconds[i], part.volts[i], part.amps[i]};
            take(number, number == 0 ? now : before, now);
            before = now;
            ++number;
        }
    });
}

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

/// 0 of none: a source may break off in a later pass.
double medianOf(std::vector<double> values) {
    if (values.empty()) {
        return 0.0;
    }
    const auto middle = values.begin() + static_cast<std::ptrdiff_t>(values.size() / 2);
    std::nth_element(values.begin(), middle, values.end());
    return *middle;
}

/// What one pass can tell, and what the next need.
class Totals {
public:
    void add(std::size_t number, const Sample& before, const Sample& now) {
        m_count = number + 1;
        if (!std::isfinite(now.seconds) || !std::isfinite(now.volts) || !std::isfinite(now.amps)) {
            complain(RunError::Code::NotFinite, number);
        } else if (number > 0 && !(now.seconds > before.seconds)) {
            complain(RunError::Code::TimeNotIncreasing, number);
        }
        m_largestAmps = std::max(m_largestAmps, std::abs(now.amps));
        m_analysis.maximumWatts = std::max(m_analysis.maximumWatts, now.volts * now.amps);
        m_analysis.lastVolts = now.volts;
        m_last = now.seconds;
        if (number == 0) {
            m_first = now.seconds;
            m_analysis.firstVolts = m_analysis.lowestVolts = now.volts;
            return;
        }
        m_analysis.lowestVolts = std::min(m_analysis.lowestVolts, now.volts);
        const double dt = now.seconds - before.seconds;
        const Segment part = integrate(dt, before.amps, now.amps, before.volts, now.volts);
        m_analysis.dischargeCoulombs += part.positive;
        m_analysis.chargeCoulombs += part.negative;
        m_analysis.deliveredJoules += part.energy;
        m_discharging += part.discharging;
        m_voltSeconds += 0.5 * (now.volts + before.volts) * dt;
    }

    [[nodiscard]] std::optional<RunError> fault() const {
        return m_count < 2 ? std::optional(RunError{RunError::Code::TooFewSamples, 0}) : m_fault;
    }
    [[nodiscard]] std::size_t count() const { return m_count; }
    [[nodiscard]] double largestAmps() const { return m_largestAmps; }

    [[nodiscard]] RunAnalysis analysis() const {
        RunAnalysis analysis = m_analysis;
        analysis.durationSeconds = m_last - m_first;
        analysis.meanVolts = analysis.dischargeCoulombs > 0.0
                                 ? analysis.deliveredJoules / analysis.dischargeCoulombs
                                 : m_voltSeconds / analysis.durationSeconds;
        analysis.meanDischargeAmps = m_discharging > 0.0 ? analysis.dischargeCoulombs / m_discharging : 0.0;
        return analysis;
    }

private:
    void complain(RunError::Code code, std::size_t number) {
        m_fault = m_fault ? m_fault : std::optional(RunError{code, number});
    }

    RunAnalysis m_analysis;
    std::optional<RunError> m_fault;
    std::size_t m_count = 0;
    double m_first = 0.0;
    double m_last = 0.0;
    double m_largestAmps = 0.0;
    double m_discharging = 0.0;
    double m_voltSeconds = 0.0;
};

/// What needs the largest current: the first load, and the steps that stand out of the noise.
class Steps {
public:
    Steps(std::size_t count, double largestAmps)
        : m_stride(std::max<std::size_t>(1, count / kTypical)), m_largestAmps(largestAmps) {}

    void add(std::size_t number, const Sample& before, const Sample& now) {
        if (!m_loaded && now.amps > 0.05 * m_largestAmps && now.amps > 0.0) {
            m_loaded = now;
        }
        if (number == 0) {
            m_first = now;
            return;
        }
        if ((number - 1) % m_stride == 0) {
            m_intervals.push_back(now.seconds - before.seconds);
        }
        const double di = now.amps - before.amps;
        const double dv = now.volts - before.volts;
        if (std::abs(di) > 0.2 * m_largestAmps && di * dv < 0.0 && m_ratios.size() < kMostSteps) {
            m_ratios.push_back(-dv / di);
            m_currents.push_back(std::max(std::abs(now.amps), std::abs(before.amps)));
        }
    }
    /// Leaves the typical interval between two samples.
    double finish(RunAnalysis& analysis) {
        analysis.loadedVolts = m_loaded ? m_loaded->volts : m_first.volts;
        analysis.loadedAmps = m_loaded ? m_loaded->amps : 0.0;
        analysis.ranDown = m_loaded && analysis.lowestVolts < 0.5 * analysis.loadedVolts;
        if (!m_ratios.empty()) {
            analysis.internalOhm = medianOf(std::move(m_ratios));
            analysis.stepAmps = medianOf(std::move(m_currents));
        }
        return medianOf(std::move(m_intervals));
    }

private:
    static constexpr std::size_t kTypical = 2000;        // intervals looked at
    static constexpr std::size_t kMostSteps = 1'000'000; // of the load; more tell nothing new

    std::size_t m_stride;
    double m_largestAmps;
    Sample m_first;
    std::optional<Sample> m_loaded;
    std::vector<double> m_intervals;
    std::vector<double> m_ratios;
    std::vector<double> m_currents;
};

void noteEvents(const RunSource& source, double largestAmps, double typicalInterval, RunAnalysis& analysis) {
    const double on = 0.05 * largestAmps;
    const double gap = std::max(10.0 * typicalInterval, 1e-9);
    const auto add = [&](RunEvent::Kind kind, double seconds, double value) {
        if (analysis.events.size() < kMostEvents) {
            analysis.events.push_back({kind, seconds, value});
        }
    };
    bool reversed = false;
    eachSample(source, [&](std::size_t number, const Sample& last, const Sample& now) {
        const double before = number == 0 ? 0.0 : last.amps;
        if (now.seconds - last.seconds > gap) {
            add(RunEvent::Kind::Gap, last.seconds, now.seconds - last.seconds);
        }
        if (now.amps > on && before <= on) {
            add(RunEvent::Kind::LoadOn, now.seconds, now.amps);
        } else if (now.amps <= on && before > on) {
            add(RunEvent::Kind::LoadOff, now.seconds, now.amps);
        }
        if (now.amps < -on && before >= -on) {
            add(RunEvent::Kind::ChargeOn, now.seconds, now.amps);
        }
        if (now.volts < 0.0 && !reversed) {
            add(RunEvent::Kind::Reversed, now.seconds, now.volts);
        }
        reversed = now.volts < 0.0;
    });
}

} // namespace

tl::expected<RunAnalysis, RunError> analyseRun(const RunSource& source) {
    Totals totals;
    eachSample(source, [&](std::size_t number, const Sample& before, const Sample& now) {
        totals.add(number, before, now);
    });
    if (const auto problem = totals.fault()) {
        return tl::unexpected(*problem);
    }
    RunAnalysis analysis = totals.analysis();
    Steps steps(totals.count(), totals.largestAmps());
    eachSample(source, [&](std::size_t number, const Sample& before, const Sample& now) {
        steps.add(number, before, now);
    });
    const double typicalInterval = steps.finish(analysis);
    noteEvents(source, totals.largestAmps(), typicalInterval, analysis);
    analysis.samples = totals.count();
    return analysis;
}

tl::expected<RunAnalysis, RunError> analyseRun(const record::RunSamples& samples) {
    return analyseRun(sourceOf(samples));
}

} // namespace anodex::run
