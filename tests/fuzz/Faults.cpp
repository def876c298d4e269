#include "tests/fuzz/Faults.h"

#include <algorithm>
#include <cmath>

namespace anodex::fuzz {
namespace {

constexpr double kLargestPotential = 29.9; // the search's own bounds: reaching them means no answer

bool allFinite(const cell::Evaluation& evaluation) {
    const double values[] = {evaluation.thermodynamicVolts,
                             evaluation.openCircuitVolts,
                             evaluation.junctionVolts,
                             evaluation.first.shortCircuitAmps,
                             evaluation.first.maximumPower.watts,
                             evaluation.first.maximumPower.amps,
                             evaluation.settled.shortCircuitAmps,
                             evaluation.settled.maximumPower.watts,
                             evaluation.resistance.totalOhm,
                             evaluation.capacity.expectedCoulombs,
                             evaluation.capacity.theoreticalCoulombs,
                             evaluation.selfDischargeAmps,
                             evaluation.crossoverAmps,
                             evaluation.meterVolts,
                             evaluation.heatAtRestWatts,
                             evaluation.heatAtPowerWatts,
                             evaluation.hydrogenM3PerSecond};
    return std::all_of(std::begin(values), std::end(values),
                       [](double value) { return std::isfinite(value); });
}

} // namespace

std::string faultOf(const cell::Evaluation& evaluation) {
    for (const liquid::Solution& solution : evaluation.contents->solutions) {
        if (!std::isfinite(solution.pH) || !(solution.densityKgPerM3 > 0.0) ||
            !(solution.conductivity >= 0.0) || !std::isfinite(solution.conductivity)) {
            return "the liquid is not finite";
        }
    }
    if (!allFinite(evaluation)) {
        return "a result is not finite";
    }
    for (const cell::SideResult& side : evaluation.sides) {
        if (std::abs(side.restVolts) > kLargestPotential) {
            return "an electrode found no resting potential";
        }
    }
    const double bound = std::abs(evaluation.openCircuitVolts * evaluation.first.shortCircuitAmps);
    if (evaluation.first.maximumPower.watts < 0.0 ||
        evaluation.first.maximumPower.watts > bound * (1.0 + 1e-9)) {
        return "power beyond open circuit times short circuit";
    }
    for (std::size_t i = 1; i < evaluation.curve.size(); ++i) {
        if (evaluation.curve[i].volts > evaluation.curve[i - 1].volts ||
            evaluation.curve[i].amps < evaluation.curve[i - 1].amps) {
            return "a rising curve";
        }
    }
    for (const cell::CurvePoint& point : evaluation.curve) {
        if (!std::isfinite(point.volts) || std::abs(point.volts) > kLargestPotential) {
            return "the curve left all bounds";
        }
    }
    return {};
}

std::string faultOf(const charge::Charging& charging) {
    double last = -kLargestPotential;
    for (const charge::ChargePoint& point : charging.curve) {
        if (!std::isfinite(point.volts) || point.volts < last - 1e-9) {
            return "a charge whose voltage falls";
        }
        if (!(point.efficiency >= 0.0 && point.efficiency <= 1.0)) {
            return "a charge that stores no share";
        }
        last = point.volts;
    }
    for (const cell::GasFlow& flow : charging.asked->gas) {
        if (!(flow.molesPerSecond >= 0.0) || !std::isfinite(flow.molesPerSecond)) {
            return "gas without a number";
        }
    }
    const bool window = charging.best && charging.least;
    if (charging.possible != window || !std::isfinite(charging.asked->point.volts)) {
        return "a charge without its window";
    }
    return {};
}

} // namespace anodex::fuzz
