#include "core/cell/Polarisation.h"

#include "core/base/RootFinding.h"
#include "core/cell/Junction.h"
#include "core/cell/Resistance.h"

#include <algorithm>
#include <boost/math/tools/minima.hpp>
#include <cmath>
#include <limits>

namespace anodex::cell {
namespace {

electrode::ElectrodeModel modelOf(const CompiledCell& compiled, const state::Contents& contents,
                                  design::Side side, electrode::Moment moment) {
    return {compiled.at(side, contents), electrode::secondsOf(moment)};
}

} // namespace

Polarisation::Polarisation(const CompiledCell& compiled, const state::Contents& contents,
                           electrode::Moment moment)
    : m_negative(modelOf(compiled, contents, design::Side::Negative, electrode::Moment::Settled)),
      m_positive(modelOf(compiled, contents, design::Side::Positive, electrode::Moment::Settled)),
      m_restNegative(m_negative.potentialAt(0.0)), m_restPositive(m_positive.potentialAt(0.0)),
      m_junction(cell::junctionVolts(compiled, contents)),
      m_ohm(resistanceBudget(compiled, contents).totalOhm) {
    const design::Cell& cell = compiled.cell;
    if (moment == electrode::Moment::First) {
        const auto& electrodes = contents.state.electrodes;
        m_negative = modelOf(compiled, contents, design::Side::Negative, moment);
        m_positive = modelOf(compiled, contents, design::Side::Positive, moment);
        m_negative.startFrom(m_restNegative, electrodes[0].doubleLayerVolts.value_or(m_restNegative));
        m_positive.startFrom(m_restPositive, electrodes[1].doubleLayerVolts.value_or(m_restPositive));
    }
    m_openCircuit = m_restPositive - m_restNegative + m_junction;
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

PowerPoint Polarisation::maximumPower(double shortCircuitAmps) const {
    const auto watts = [&](double amps) { return amps * voltsAt(amps); };
    constexpr int kCoarse = 16; // steps of the first search
    int best = 0;
    double bestWatts = 0.0;
    for (int i = 1; i <= kCoarse; ++i) {
        const double here = watts(shortCircuitAmps * i / kCoarse);
        if (here > bestWatts) {
            bestWatts = here;
            best = i;
        }
    }
    if (best == 0) {
        return {};
    }
    const double from = shortCircuitAmps * std::max(best - 1, 0) / kCoarse;
    const double to = shortCircuitAmps * std::min(best + 1, kCoarse) / kCoarse;
    std::uintmax_t iterations = 40;
    const auto peak = boost::math::tools::brent_find_minima(
        [&](double amps) { return -watts(amps); }, std::min(from, to), std::max(from, to), 20, iterations);
    return {std::max(-peak.second, bestWatts),
            -peak.second >= bestWatts ? peak.first : shortCircuitAmps * best / kCoarse};
}

std::vector<CurvePoint> Polarisation::curve(double shortCircuitAmps, int points) const {
    if (shortCircuitAmps == 0.0 || points < 2) {
        return {};
    }
    std::vector<CurvePoint> curve;
    const double from = std::min(0.0, shortCircuitAmps);
    const double span = std::abs(shortCircuitAmps);
    double lastVolts = std::numeric_limits<double>::infinity();
    for (int i = 0; i < points; ++i) {
        const double amps = from + span * i / (points - 1);
        // The search leaves a rounding of 1e-11 V; the curve itself never rises.
        lastVolts = std::min(lastVolts, voltsAt(amps));
        curve.push_back({amps, lastVolts});
    }
    return curve;
}

} // namespace anodex::cell
