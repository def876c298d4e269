#include "core/cell/SampledCurve.h"

#include <algorithm>
#include <boost/math/tools/minima.hpp>
#include <cmath>

namespace anodex::cell {
namespace {

constexpr int kSpans = 4;          // that are looked into whatever the first points say
constexpr int kMostHalvings = 9;   // of each
constexpr double kSurely = 0.25;   // a kink may lie beside the middle that is looked at
constexpr double kFullVolts = 0.5; // open circuit below which nearness shrinks with it

} // namespace

SampledCurve::SampledCurve(const Polarisation& curve, double shortCircuitAmps, double nearVolts)
    : m_curve(curve) {
    if (shortCircuitAmps == 0.0) {
        return;
    }
    const double near = kSurely * nearVolts * std::min(1.0, std::abs(curve.openCircuitVolts()) / kFullVolts);
    const double from = std::min(0.0, shortCircuitAmps);
    const double span = std::abs(shortCircuitAmps);
    Knot low = knotAt(from);
    m_knots.push_back(low);
    for (int i = 1; i <= kSpans; ++i) {
        const Knot high = knotAt(i == kSpans ? from + span : from + span * i / kSpans);
        refine(low, high, near, kMostHalvings);
        m_knots.push_back(high);
        low = high;
    }
}

SampledCurve::Knot SampledCurve::knotAt(double amps) const {
    const base::Sloped here = m_curve.at(amps);
    return {amps, here.value, here.slope};
}

void SampledCurve::refine(const Knot& low, const Knot& high, double nearVolts, int halvings) {
    const Knot middle = knotAt(0.5 * (low.amps + high.amps));
    const bool far = halvings > 0 && std::abs(between(low, high, middle.amps) - middle.volts) > nearVolts;
    if (far) {
        refine(low, middle, nearVolts, halvings - 1);
    }
    m_knots.push_back(middle);
    if (far) {
        refine(middle, high, nearVolts, halvings - 1);
    }
}

double SampledCurve::between(const Knot& low, const Knot& high, double amps) {
    const double width = high.amps - low.amps;
    // The search leaves a rounding of 1e-11 V; the curve itself never rises.
    const double fall = std::min(high.volts - low.volts, 0.0);
    const double share = (amps - low.amps) / width;
    const double back = 1.0 - share;
    const double steepest = 3.0 * fall;
    // Where nothing answers a current the slope has no end.
    const double atLow = std::max(steepest, low.slope * width);
    const double atHigh = std::max(steepest, high.slope * width);
    return low.volts + fall * share * share * (3.0 - 2.0 * share) + atLow * share * back * back -
           atHigh * share * share * back;
}

double SampledCurve::voltsAt(double amps) const {
    const auto after = std::upper_bound(m_knots.begin() + 1, m_knots.end() - 1, amps,
                                        [](double asked, const Knot& knot) { return asked < knot.amps; });
    return between(*(after - 1), *after, amps);
}

PowerPoint SampledCurve::maximumPower() const {
    constexpr int kLooks = 8; // in each span
    PowerPoint best;
    std::size_t span = 0;
    for (std::size_t i = 1; i < m_knots.size(); ++i) {
        const double width = (m_knots[i].amps - m_knots[i - 1].amps) / kLooks;
        for (int look = 0; look <= kLooks; ++look) {
            const double amps = m_knots[i - 1].amps + width * look;
            const double watts = amps * between(m_knots[i - 1], m_knots[i], amps);
            if (watts > best.watts) {
                best = {watts, amps};
                span = i;
            }
        }
    }
    if (span == 0) {
        return {};
    }
    const auto bestBetween = [](const Knot& from, const Knot& to) {
        constexpr int kBits = 24;
        std::uintmax_t iterations = 60;
        const auto ampsAt = [&](double share) { return from.amps + share * (to.amps - from.amps); };
        const auto least = boost::math::tools::brent_find_minima(
            [&](double share) { return -ampsAt(share) * between(from, to, ampsAt(share)); }, 0.0, 1.0, kBits,
            iterations);
        return ampsAt(least.first);
    };
    // At an end of its span the best may lie in the next.
    const auto rises = [](const Knot& knot) { return knot.volts + knot.amps * knot.slope > 0.0; };
    if (span + 1 < m_knots.size() && m_knots[span].amps * m_knots[span].volts >= best.watts &&
        rises(m_knots[span])) {
        ++span;
    }
    // The curve itself at what is best by what is known, until that says no more.
    constexpr int kRounds = 4;
    Knot low = m_knots[span - 1];
    Knot high = m_knots[span];
    best = {};
    for (int round = 0; round < kRounds; ++round) {
        const Knot middle = knotAt(bestBetween(low, high));
        const double watts = middle.amps * middle.volts;
        if (watts > best.watts) {
            best = {watts, middle.amps};
        }
        (rises(middle) ? low : high) = middle;
    }
    for (const Knot& end : {m_knots[span - 1], m_knots[span]}) {
        if (end.amps * end.volts > best.watts) {
            best = {end.amps * end.volts, end.amps};
        }
    }
    return best;
}

std::vector<CurvePoint> SampledCurve::points(int count) const {
    std::vector<CurvePoint> points;
    if (m_knots.empty() || count < 2) {
        return points;
    }
    points.reserve(static_cast<std::size_t>(count));
    const double from = m_knots.front().amps;
    const double to = m_knots.back().amps;
    for (int i = 0; i < count; ++i) {
        const double amps = i + 1 == count ? to : from + (to - from) * i / (count - 1);
        const double volts = voltsAt(amps);
        points.push_back({amps, points.empty() ? volts : std::min(points.back().volts, volts)});
    }
    return points;
}

std::vector<CurvePoint> SampledCurve::pointsToDraw() const {
    constexpr int kSteps = 5; // in each span, whose ends lie where the bends asked for them
    std::vector<CurvePoint> points;
    for (std::size_t i = 0; i < m_knots.size(); ++i) {
        const Knot& here = m_knots[i];
        const Knot& next = m_knots[std::min(i + 1, m_knots.size() - 1)];
        const int steps = i + 1 < m_knots.size() ? kSteps : 1;
        for (int step = 0; step < steps; ++step) {
            const double amps = here.amps + (next.amps - here.amps) * step / steps;
            const double volts = step == 0 ? here.volts : between(here, next, amps);
            points.push_back({amps, points.empty() ? volts : std::min(points.back().volts, volts)});
        }
    }
    return points;
}

} // namespace anodex::cell
