#include "core/cell/Polarisation.h"

#include "core/base/RootFinding.h"
#include "core/cell/Junction.h"
#include "core/cell/Resistance.h"

#include <algorithm>
#include <array>
#include <boost/math/interpolators/pchip.hpp>
#include <boost/math/tools/minima.hpp>
#include <cmath>

namespace anodex::cell {
namespace {

electrode::FacedElectrode settledOf(const CompiledCell& compiled, const state::Contents& contents,
                                    design::Side side) {
    return {compiled.at(side, contents), electrode::secondsOf(electrode::Moment::Settled)};
}

electrode::FacedElectrode at(electrode::Moment moment, electrode::FacedElectrode settled,
                             const electrode::Seat& rest, const state::ElectrodeState& state) {
    return moment == electrode::Moment::Settled ? std::move(settled)
                                                : settled.loaded(electrode::kFirstMomentSeconds, rest,
                                                                 state.doubleLayerVolts.value_or(rest.volts));
}

} // namespace

Polarisation::Polarisation(const CompiledCell& compiled, const state::Contents& contents,
                           electrode::Moment moment)
    : Polarisation(compiled, contents, moment, settledOf(compiled, contents, design::Side::Negative),
                   settledOf(compiled, contents, design::Side::Positive)) {}

Polarisation::Polarisation(const CompiledCell& compiled, const state::Contents& contents,
                           electrode::Moment moment, electrode::FacedElectrode negative,
                           electrode::FacedElectrode positive)
    : m_restNegative(negative.seatAt(0.0)), m_restPositive(positive.seatAt(0.0)),
      m_negative(at(moment, std::move(negative), m_restNegative, contents.state.electrodes[0])),
      m_positive(at(moment, std::move(positive), m_restPositive, contents.state.electrodes[1])),
      m_junction(cell::junctionVolts(compiled, contents)),
      m_ohm(resistanceBudget(compiled, contents).totalOhm) {
    const design::Cell& cell = compiled.cell;
    m_openCircuit = m_restPositive.volts - m_restNegative.volts + m_junction;
    constexpr double kRounding = 1e-9; // V: what the searches for two resting potentials leave
    if (std::abs(m_openCircuit) < kRounding) {
        m_offset = -m_openCircuit;
        m_openCircuit = 0.0;
    }
    if (cell.measuredOpenCircuitVolts) {
        m_offset += *cell.measuredOpenCircuitVolts - m_openCircuit;
        m_openCircuit = *cell.measuredOpenCircuitVolts;
    }
}

double Polarisation::voltsAt(double amps) const {
    return m_positive.potentialAt(-amps) - m_negative.potentialAt(amps) + m_junction + m_offset -
           amps * m_ohm;
}

double Polarisation::shortCircuitAmps(double meterOhm) const {
    if (m_openCircuit == 0.0) {
        return 0.0;
    }
    const double most = std::abs(m_openCircuit) / (m_ohm + meterOhm);
    const double sign = m_openCircuit > 0.0 ? 1.0 : -1.0;
    base::RootOptions options;
    options.lowest = 0.0;
    options.highest = most;
    options.step = most;
    options.tolerance = 1e-12 * most;
    const auto shortfall = [&](double amps) { return amps * meterOhm - sign * voltsAt(sign * amps); };
    return sign * base::rootOfRising(shortfall, 0.0, options);
}

/// The voltage falls with the current, so between two points no power exceeds the greater current times the greater
/// voltage: the span that could still hide most is halved until none could hide much, then the best is polished.
PowerPoint Polarisation::maximumPower(double shortCircuitAmps) const {
    constexpr std::size_t kMostPoints = 64;
    constexpr double kHidden = 1.0015; // times the best that an unsearched span may hold
    std::array<CurvePoint, kMostPoints> points{
        {{0.0, m_openCircuit}, {shortCircuitAmps, voltsAt(shortCircuitAmps)}}};
    std::size_t count = 2;
    const auto watts = [](const CurvePoint& point) { return point.amps * point.volts; };
    std::size_t best = watts(points[1]) > 0.0 ? 1 : 0;
    while (count < kMostPoints) {
        std::size_t widest = 1;
        double most = 0.0;
        for (std::size_t i = 1; i < count; ++i) {
            if (const double bound = points[i].amps * points[i - 1].volts; bound > most) {
                most = bound;
                widest = i;
            }
        }
        if (most <= kHidden * watts(points[best])) {
            break;
        }
        const double amps = 0.5 * (points[widest - 1].amps + points[widest].amps);
        std::move_backward(points.begin() + widest, points.begin() + count, points.begin() + count + 1);
        points[widest] = {amps, voltsAt(amps)};
        ++count;
        best += best >= widest ? 1 : 0;
        best = watts(points[widest]) > watts(points[best]) ? widest : best;
    }
    if (best == 0) {
        return {};
    }
    const double from = points[best - 1].amps;
    const double to = points[std::min(best + 1, count - 1)].amps;
    std::uintmax_t iterations = 40;
    const auto peak =
        boost::math::tools::brent_find_minima([&](double amps) { return -amps * voltsAt(amps); },
                                              std::min(from, to), std::max(from, to), 20, iterations);
    return -peak.second >= watts(points[best]) ? PowerPoint{-peak.second, peak.first}
                                               : PowerPoint{watts(points[best]), points[best].amps};
}

std::vector<CurvePoint> Polarisation::curve(double shortCircuitAmps, int points) const {
    if (shortCircuitAmps == 0.0 || points < 2) {
        return {};
    }
    const double from = std::min(0.0, shortCircuitAmps);
    const double span = std::abs(shortCircuitAmps);
    const std::map<double, double> knots = knotsBetween(from, from + span);
    std::vector<double> amps;
    std::vector<double> volts;
    for (const auto& [at, value] : knots) {
        amps.push_back(at);
        // The search leaves a rounding of 1e-11 V; the curve itself never rises.
        volts.push_back(volts.empty() ? value : std::min(volts.back(), value));
    }
    const double last = amps.back();
    const boost::math::interpolators::pchip<std::vector<double>> between(std::move(amps), std::move(volts));
    std::vector<CurvePoint> curve;
    curve.reserve(static_cast<std::size_t>(points));
    for (int i = 0; i < points; ++i) {
        const double at = i + 1 == points ? last : from + span * i / (points - 1);
        curve.push_back({at, curve.empty() ? between(at) : std::min(curve.back().volts, between(at))});
    }
    return curve;
}

/// Halved where the line bends, until a monotonic cubic through what is known would miss by no more than a tenth of
/// a millivolt.
std::map<double, double> Polarisation::knotsBetween(double from, double to) const {
    constexpr int kFirst = 9;
    constexpr int kMostHalvings = 8;
    constexpr double kBends =
        4e-4; // V off the chord at its middle, where a cubic is off by a quarter at most
    constexpr double kBendsShare = 2e-4; // of the open circuit: the same
    const double bends = std::min(kBends, kBendsShare * std::abs(m_openCircuit));
    std::map<double, double> knots;
    for (int i = 0; i < kFirst; ++i) {
        const double amps = i + 1 == kFirst ? to : from + (to - from) * i / (kFirst - 1);
        knots[amps] = voltsAt(amps);
    }
    const auto refine = [&](const auto& self, double low, double high, int left) -> void {
        const double middle = 0.5 * (low + high);
        const double volts = voltsAt(middle);
        const double chord = 0.5 * (knots.at(low) + knots.at(high));
        knots[middle] = volts;
        if (left > 0 && std::abs(volts - chord) > bends) {
            self(self, low, middle, left - 1);
            self(self, middle, high, left - 1);
        }
    };
    std::vector<double> first;
    first.reserve(knots.size());
    for (const auto& [amps, volts] : knots) {
        first.push_back(amps);
    }
    for (std::size_t i = 1; i < first.size(); ++i) {
        refine(refine, first[i - 1], first[i], kMostHalvings);
    }
    return knots;
}

} // namespace anodex::cell
