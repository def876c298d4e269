#include "core/cell/Resistance.h"

#include "core/cell/Spreading.h"
#include "core/electrode/PorousLayer.h"

#include <algorithm>
#include <cmath>

namespace anodex::cell {
namespace {

using design::Cell;
using design::Electrode;
using design::Side;

/// Along the sheet and, for a film that does not carry current far, through it.
double sheetOhm(double resistivityOhmMetres, double throughOhmM2, double thicknessMetres, double areaM2) {
    constexpr double kThinnest = 1e-6; // m
    // Current gathers along a square of the area towards one edge: a third of end-to-end.
    return resistivityOhmMetres / std::max(thicknessMetres, kThinnest) / 3.0 + throughOhmM2 / areaM2;
}

double collectorOhm(const CompiledCell& compiled, Side side) {
    const Electrode& electrode = compiled.cell.electrode(side);
    if (!electrode.collector) {
        return 0.0;
    }
    const electrode::ElectrodeParameters& parameters = compiled.electrode(side);
    return electrode.collectorOhm.value_or(sheetOhm(
        parameters.collectorResistivityOhmMetres, parameters.collectorThroughOhmM2,
        compiled.catalogue.materials[*electrode.collector].defaultThicknessMetres, electrode.areaM2));
}

/// None where the electrode was measured together with it.
double touchOhm(const CompiledCell& compiled, Side side) {
    const Electrode& electrode = compiled.cell.electrode(side);
    return electrode.measuredOhm ? 0.0 : compiled.electrode(side).touchOhmM2 / electrode.areaM2;
}

double bodyOhm(const CompiledCell& compiled, const state::Contents& contents, Side side) {
    const Electrode& electrode = compiled.cell.electrode(side);
    const electrode::ElectrodeParameters& parameters = compiled.electrode(side);
    if (electrode.measuredOhm) {
        return *electrode.measuredOhm;
    }
    return electrode.collector ? layerOhm(compiled.at(side, contents))
                               : sheetOhm(parameters.resistivityOhmMetres, parameters.throughOhmM2,
                                          electrode.thicknessMetres, electrode.areaM2);
}

} // namespace

ResistanceBudget resistanceBudget(const CompiledCell& compiled, const state::Contents& contents) {
    const Cell& cell = compiled.cell;
    ResistanceBudget budget;
    if (cell.measuredResistanceOhm) {
        budget.shares.push_back({ResistancePart::Measured, *cell.measuredResistanceOhm});
        budget.totalOhm = *cell.measuredResistanceOhm;
        return budget;
    }
    const auto add = [&](ResistancePart part, double ohm) {
        if (ohm > 0.0) {
            budget.shares.push_back({part, ohm});
            budget.totalOhm += ohm;
        }
    };
    const double area = design::currentArea(cell);
    const double negative = conductivityOf(compiled.at(Side::Negative, contents));
    const double positive =
        cell.twoLiquids ? conductivityOf(compiled.at(Side::Positive, contents)) : negative;
    const double layer = cell.barrier ? cell.barrier->thicknessMetres : 0.0;
    const double free = std::max(cell.gapMetres - layer, 0.0);
    const double fromNegative = halfPath(cell, contents, Side::Negative, free).perMetre / negative;
    const double fromPositive = halfPath(cell, contents, Side::Positive, free).perMetre / positive;
    if (cell.twoLiquids) {
        add(ResistancePart::NegativeLiquid, fromNegative);
        add(ResistancePart::PositiveLiquid, fromPositive);
    } else {
        add(ResistancePart::NegativeLiquid, fromNegative + fromPositive);
    }
    add(ResistancePart::Separator,
        (0.5 * layer * compiled.macMullin * (1.0 / negative + 1.0 / positive) + compiled.separatorOhmM2) /
            area);
    add(ResistancePart::Bridge, compiled.bridgeOhm);
    for (const Side side : {Side::Negative, Side::Positive}) {
        const bool isNegative = side == Side::Negative;
        add(isNegative ? ResistancePart::NegativeBody : ResistancePart::PositiveBody,
            bodyOhm(compiled, contents, side));
        add(isNegative ? ResistancePart::NegativePores : ResistancePart::PositivePores,
            poreOhm(compiled.at(side, contents)));
        add(isNegative ? ResistancePart::NegativeCollector : ResistancePart::PositiveCollector,
            collectorOhm(compiled, side));
        add(isNegative ? ResistancePart::NegativeTouch : ResistancePart::PositiveTouch,
            touchOhm(compiled, side));
    }
    add(ResistancePart::Contacts, compiled.contactOhm);
    return budget;
}

} // namespace anodex::cell
