#include "core/cell/Resistance.h"

#include "core/cell/Spreading.h"
#include "core/electrode/PorousLayer.h"

#include <algorithm>
#include <cmath>

namespace anodex::cell {
namespace {

using design::Side;
using electrode::Draw;

/// Along the sheet and, for a film that does not carry current far, through it.
double bodyOhm(const chemistry::Material& material, double thicknessMetres, double areaM2, const Draw& draw) {
    // Current gathers along a square of the area towards one edge: a third of end-to-end.
    const double along = electrode::resistivity(material, draw) / std::max(thicknessMetres, 1e-6) / 3.0;
    return along + draw.factor("film of " + material.name, material.throughOhmM2) / areaM2;
}

double collectorOhm(const chemistry::Catalogue& catalogue, const design::Electrode& electrode,
                    const Draw& draw) {
    if (!electrode.collector) {
        return 0.0;
    }
    const chemistry::Material& material = catalogue.materials[*electrode.collector];
    return electrode.collectorOhm.value_or(
        bodyOhm(material, material.defaultThicknessMetres, electrode.areaM2, draw));
}

} // namespace

ResistanceBudget resistanceBudget(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                  const Draw& draw) {
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
    const double negative = electrode::conductivityOf(cell, Side::Negative, draw);
    const double positive =
        cell.twoLiquids ? electrode::conductivityOf(cell, Side::Positive, draw) : negative;
    const double layer = cell.barrier ? cell.barrier->thicknessMetres : 0.0;
    const double free = std::max(cell.gapMetres - layer, 0.0);
    const double fromNegative = halfPath(cell, Side::Negative, free).perMetre / negative;
    const double fromPositive = halfPath(cell, Side::Positive, free).perMetre / positive;
    if (cell.twoLiquids) {
        add(ResistancePart::NegativeLiquid, fromNegative);
        add(ResistancePart::PositiveLiquid, fromPositive);
    } else {
        add(ResistancePart::NegativeLiquid, fromNegative + fromPositive);
    }
    if (cell.barrier) {
        const chemistry::SeparatorMaterial& separator = catalogue.separators[cell.barrier->separator];
        const double number =
            std::max(1.0, draw.factor("paths through " + separator.name, separator.macMullin));
        const double own = draw.factor("resistance of " + separator.name, separator.areaOhmM2);
        add(ResistancePart::Separator,
            (0.5 * layer * number * (1.0 / negative + 1.0 / positive) + own) / area);
        if (separator.bridge) {
            add(ResistancePart::Bridge,
                draw.factor("resistance of " + separator.name,
                            {separator.bridge->ohms, separator.bridge->spreadFactor}));
        }
    }
    for (const Side side : {Side::Negative, Side::Positive}) {
        const design::Electrode& electrode = cell.electrode(side);
        const bool isNegative = side == Side::Negative;
        const double body = electrode.collector ? electrode::layerOhm(catalogue, electrode, draw)
                                                : bodyOhm(catalogue.materials[electrode.material],
                                                          electrode.thicknessMetres, electrode.areaM2, draw);
        add(isNegative ? ResistancePart::NegativeBody : ResistancePart::PositiveBody,
            electrode.measuredOhm.value_or(body));
        add(isNegative ? ResistancePart::NegativePores : ResistancePart::PositivePores,
            electrode::poreOhm(catalogue, cell, side, draw));
        add(isNegative ? ResistancePart::NegativeCollector : ResistancePart::PositiveCollector,
            collectorOhm(catalogue, electrode, draw));
    }
    add(ResistancePart::Contacts, draw.factor("contacts and leads", {cell.contactOhm, 2.0}));
    return budget;
}

} // namespace anodex::cell
