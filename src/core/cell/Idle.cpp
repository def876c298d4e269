#include "core/cell/Idle.h"

#include "core/base/Constants.h"
#include "core/base/SolventMass.h"
#include "core/electrode/PorousLayer.h"

#include <algorithm>
#include <cmath>

namespace anodex::cell {
namespace {

using design::Side;

constexpr double kStillAirMetresPerSecond = 0.003; // mass transfer (common practice, no source)
constexpr double kHumidity = 0.5;                  // relative, of a room
constexpr double kVapourInAir = 2.5e-5;            // m²/s

/// kg/m³ of vapour in saturated air.
double saturatedVapour(double temperatureKelvin) {
    const double celsius = temperatureKelvin - base::kZeroCelsius;
    const double pascals = 610.94 * std::exp(17.625 * celsius / (celsius + 243.04));
    return pascals * base::kSolventKgPerMole / (base::kGasConstant * temperatureKelvin);
}

} // namespace

double dryingKgPerSecond(const design::Cell& cell, const state::Contents& contents) {
    double kilograms = 0.0;
    for (const Side side : {Side::Negative, Side::Positive}) {
        if (cell.electrode(side).air == design::Air::Breathing) {
            const double drive = std::max(contents.solution(side).solventActivity - kHumidity, 0.0);
            const double transfer = 1.0 / (1.0 / kStillAirMetresPerSecond +
                                           electrode::openingsResistance(cell.electrode(side), kVapourInAir));
            kilograms += transfer * cell.electrode(side).areaM2 * drive *
                         saturatedVapour(contents.state.temperatureKelvin);
        }
    }
    return kilograms;
}

std::optional<double> secondsToDry(const state::Contents& contents, double dryingKgPerSecond) {
    constexpr double kDry = 0.5; // of the solvent (common practice, no source)
    if (dryingKgPerSecond <= 0.0) {
        return std::nullopt;
    }
    double solvent = 0.0;
    for (const liquid::Composition& composition : contents.state.liquids) {
        solvent += composition.solventKg;
    }
    return kDry * solvent / dryingKgPerSecond;
}

double sharedLiquidAmps(const ResistanceBudget& budget, double openCircuitVolts) {
    double ohm = 0.0;
    for (const ResistanceShare& share : budget.shares) {
        const bool liquid =
            share.part == ResistancePart::NegativeLiquid || share.part == ResistancePart::PositiveLiquid;
        ohm += liquid ? share.ohm : 0.0;
    }
    return ohm > 0.0 ? std::abs(openCircuitVolts) / ohm : 0.0;
}

} // namespace anodex::cell
