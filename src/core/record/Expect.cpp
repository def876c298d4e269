#include "core/record/Expect.h"

#include <algorithm>
#include <cmath>

namespace anodex::record {
namespace {

constexpr std::size_t kCurveKept = 40; // points; straight lines between them stay within a millivolt or two

std::vector<cell::CurvePoint> fewer(const std::vector<cell::CurvePoint>& curve) {
    if (curve.size() <= kCurveKept) {
        return curve;
    }
    std::vector<cell::CurvePoint> kept;
    for (std::size_t i = 0; i < kCurveKept; ++i) {
        kept.push_back(curve[i * (curve.size() - 1) / (kCurveKept - 1)]);
    }
    return kept;
}

std::optional<double> voltsAt(const std::vector<cell::CurvePoint>& curve, double amps) {
    for (std::size_t i = 1; i < curve.size(); ++i) {
        const cell::CurvePoint& a = curve[i - 1];
        const cell::CurvePoint& b = curve[i];
        if (amps >= a.amps && amps <= b.amps && b.amps > a.amps) {
            return a.volts + (b.volts - a.volts) * (amps - a.amps) / (b.amps - a.amps);
        }
    }
    return std::nullopt;
}

} // namespace

Expectation expectationOf(const std::string& catalogueVersion, const cell::Evaluation& evaluation,
                          const cell::Doubt& doubt) {
    return {kModelVersion,
            catalogueVersion,
            {evaluation.openCircuitVolts, doubt.openCircuitVolts},
            {evaluation.first.shortCircuitAmps, doubt.shortCircuitAmps},
            {evaluation.first.maximumPower.watts, doubt.maximumWatts},
            {evaluation.capacity.expectedCoulombs, doubt.expectedCoulombs},
            {evaluation.resistance.totalOhm, doubt.resistanceOhm},
            fewer(evaluation.curve)};
}

std::optional<Expected> expectedInternalOhm(const Expectation& expectation, double amps) {
    const auto loaded = voltsAt(expectation.curve, amps);
    const Expected& shortCircuit = expectation.shortCircuitAmps;
    const bool ranged = shortCircuit.range.low * shortCircuit.range.high > 0.0;
    if (!loaded || amps == 0.0 || !ranged) {
        return std::nullopt;
    }
    const double ohm = (expectation.openCircuitVolts.value - *loaded) / amps;
    const double a = ohm * shortCircuit.value / shortCircuit.range.low;
    const double b = ohm * shortCircuit.value / shortCircuit.range.high;
    return Expected{ohm, {std::min(a, b), std::max(a, b)}};
}

std::optional<Expected> expectedLoadedVolts(const Expectation& expectation, double amps) {
    const auto loaded = voltsAt(expectation.curve, amps);
    const auto ohm = expectedInternalOhm(expectation, amps);
    if (!loaded || !ohm) {
        return std::nullopt;
    }
    const base::Interval& open = expectation.openCircuitVolts.range;
    const double first = open.low - amps * (amps > 0.0 ? ohm->range.high : ohm->range.low);
    const double last = open.high - amps * (amps > 0.0 ? ohm->range.low : ohm->range.high);
    return Expected{*loaded, {std::min(first, *loaded), std::max(last, *loaded)}};
}

std::optional<ExpectedOnLoad> expectedOnLoad(const Expectation& expectation,
                                             const std::function<double(double)>& ampsAt) {
    std::vector<cell::CurvePoint> fromRest = expectation.curve;
    if (!fromRest.empty() && std::abs(fromRest.front().amps) > std::abs(fromRest.back().amps)) {
        std::reverse(fromRest.begin(), fromRest.end());
    }
    // A cell whose leads were swapped runs down its own curve: both signs turn.
    const double sign = expectation.openCircuitVolts.value < 0.0 ? -1.0 : 1.0;
    const auto wanting = [&](const cell::CurvePoint& point) {
        return ampsAt(sign * point.volts) - sign * point.amps; // falls along the curve
    };
    for (std::size_t i = 1; i < fromRest.size(); ++i) {
        const double before = wanting(fromRest[i - 1]);
        const double after = wanting(fromRest[i]);
        if (before > 0.0 && after > 0.0) {
            continue;
        }
        const double share = before <= 0.0 ? 0.0 : before / (before - after);
        const double amps = fromRest[i - 1].amps + share * (fromRest[i].amps - fromRest[i - 1].amps);
        const auto volts = amps == 0.0 ? std::optional(expectation.openCircuitVolts)
                                       : expectedLoadedVolts(expectation, amps);
        return volts ? std::optional(ExpectedOnLoad{amps, *volts}) : std::nullopt;
    }
    return std::nullopt;
}

std::optional<ExpectedOnLoad> expectedOnLoad(const Expectation& expectation,
                                             const chemistry::Catalogue& catalogue, const Reading& reading) {
    if (reading.loadOhm) {
        return expectedOnLoad(expectation, [&](double volts) { return volts / *reading.loadOhm; });
    }
    const auto device =
        std::find_if(catalogue.loads.begin(), catalogue.loads.end(), [&](const load::Device& one) {
            return reading.device && one.id == reading.device->id && one.isKnown();
        });
    return device == catalogue.loads.end()
               ? std::nullopt
               : expectedOnLoad(expectation, [&](double volts) { return load::ampsAt(*device, volts); });
}

} // namespace anodex::record
