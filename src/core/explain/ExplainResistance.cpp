#include "core/cell/Spreading.h"
#include "core/explain/ExplainParts.h"

namespace anodex::explain {
namespace {

using cell::ResistancePart;
using chemistry::Catalogue;
using design::Cell;
using design::Electrode;
using design::Side;

constexpr const char* kMacMullinSource = "MacMullin & Muccini, AIChE J. 2, 393 (1956)";
constexpr const char* kPorousSource = "Newman & Tobias, J. Electrochem. Soc. 109, 1183 (1962)";
constexpr const char* kSpreadingSource =
    "Cooper, Mikic & Yovanovich, Int. J. Heat Mass Transfer 12, 279 (1969)";

Side sideOf(ResistancePart part) {
    const bool positive = part == ResistancePart::PositiveLiquid || part == ResistancePart::PositiveBody ||
                          part == ResistancePart::PositivePores ||
                          part == ResistancePart::PositiveCollector || part == ResistancePart::PositiveTouch;
    return positive ? Side::Positive : Side::Negative;
}

void explainLiquid(const Catalogue& catalogue, const Cell& cell, const state::Contents& contents, Side side,
                   Explanation& result) {
    const double layer = cell.barrier ? cell.barrier->thicknessMetres : 0.0;
    const double free = cell.gapMetres - layer;
    const bool spreads = cell::halfPath(cell, contents, side, free).spreads;
    result.symbol = "R_liquid";
    result.formula =
        spreads ? "R = (1 − a/b)^1.5 / (4·a·κ) + L / (κ·π·b²), from each electrode" : "R = L / (κ·A)";
    result.sources = {spreads ? kSpreadingSource : "Ohm's law"};
    result.inputs = {
        input("L", free * (cell.twoLiquids ? cell::shareOfGap(contents, side) : 1.0), Unit::Metre),
        explainConductivity(catalogue, contents, side)};
    result.inputs.push_back(
        spreads ? input("A = π·a² of one electrode", cell.electrode(side).areaM2, Unit::SquareMetre)
                : input("A", design::currentArea(cell), Unit::SquareMetre));
}

void explainSeparator(const Catalogue& catalogue, const Cell& cell, const state::Contents& contents,
                      Explanation& result) {
    const chemistry::SeparatorMaterial& separator = catalogue.separators[cell.barrier->separator];
    const bool membrane = separator.areaOhmM2.value > 0.0;
    result.symbol = "R_separator";
    result.formula = membrane ? "R = N_M · L / (κ·A) + r / A" : "R = N_M · L / (κ·A)";
    result.sources = {kMacMullinSource};
    result.inputs = {input("N_M", separator.macMullin.value, Unit::None, separator.sources),
                     input("L", cell.barrier->thicknessMetres, Unit::Metre),
                     explainConductivity(catalogue, contents, Side::Negative),
                     input("A", design::currentArea(cell), Unit::SquareMetre)};
    if (membrane) {
        result.inputs.push_back(input("r for 1 m²", separator.areaOhmM2.value, Unit::Ohm, separator.sources));
    }
}

void explainSheet(const chemistry::Material& material, double thickness, double areaM2, Explanation& result) {
    const bool film = material.throughOhmM2.value > 0.0;
    result.formula = film ? "R = ρ / (3·d) + r / A" : "R = ρ / (3·d)";
    result.sources = material.sources;
    result.inputs = {input("ρ per m", material.resistivityOhmMetres, Unit::Ohm),
                     input("d", thickness, Unit::Metre)};
    if (film) {
        result.inputs.push_back(input("r for 1 m²", material.throughOhmM2.value, Unit::Ohm));
        result.inputs.push_back(input("A", areaM2, Unit::SquareMetre));
    }
}

void explainBody(const chemistry::Material& material, const Electrode& electrode, Explanation& result) {
    if (electrode.measuredOhm) {
        result.sources = {"measured on the electrode"};
    } else if (electrode.collector) {
        result.formula = "R = ρ·L / (3·A)";
        result.sources = material.sources;
        result.inputs = {input("ρ per m", material.resistivityOhmMetres, Unit::Ohm),
                         input("L", electrode.thicknessMetres, Unit::Metre),
                         input("A", electrode.areaM2, Unit::SquareMetre)};
    } else {
        explainSheet(material, electrode.thicknessMetres, electrode.areaM2, result);
    }
}

void explainPores(const Catalogue& catalogue, const Cell& cell, const state::Contents& contents, Side side,
                  Explanation& result) {
    const Electrode& electrode = cell.electrode(side);
    const chemistry::Material& material = catalogue.materials[electrode.material];
    result.formula = "R = L / (3·κ·(ε·w)^1.5·A)";
    result.sources = {kPorousSource};
    result.inputs = {input("L", electrode.thicknessMetres, Unit::Metre),
                     explainConductivity(catalogue, contents, side),
                     input("ε, porosity", material.porosity, Unit::None, material.sources),
                     input("w, share of the pores filled", electrode.filledPores, Unit::None),
                     input("A", electrode.areaM2, Unit::SquareMetre)};
}

} // namespace

Explanation explainResistancePart(const Catalogue& catalogue, const Cell& cell,
                                  const state::Contents& contents, const cell::ResistanceShare& share) {
    Explanation result{"R_part", {}, share.ohm, Unit::Ohm, {}, {}};
    const Side side = sideOf(share.part);
    const Electrode& electrode = cell.electrode(side);
    switch (share.part) {
    case ResistancePart::NegativeLiquid:
    case ResistancePart::PositiveLiquid:
        explainLiquid(catalogue, cell, contents, side, result);
        break;
    case ResistancePart::Separator:
        explainSeparator(catalogue, cell, contents, result);
        break;
    case ResistancePart::Bridge:
        result.symbol = "R_bridge";
        result.formula = "of the bridge as a whole";
        result.sources = catalogue.separators[cell.barrier->separator].sources;
        break;
    case ResistancePart::NegativeBody:
    case ResistancePart::PositiveBody:
        result.symbol = "R_electrode";
        explainBody(catalogue.materials[electrode.material], electrode, result);
        break;
    case ResistancePart::NegativePores:
    case ResistancePart::PositivePores:
        result.symbol = "R_pores";
        explainPores(catalogue, cell, contents, side, result);
        break;
    case ResistancePart::NegativeCollector:
    case ResistancePart::PositiveCollector:
        result.symbol = "R_collector";
        if (electrode.collectorOhm || !electrode.collector) {
            result.sources = {"as given in the design"};
        } else {
            const chemistry::Material& collector = catalogue.materials[*electrode.collector];
            explainSheet(collector, collector.defaultThicknessMetres, electrode.areaM2, result);
        }
        break;
    case ResistancePart::NegativeTouch:
    case ResistancePart::PositiveTouch: {
        const chemistry::Material& material = catalogue.materials[electrode.material];
        result.symbol = "R_touch";
        result.formula = "R = r / A";
        result.sources = material.sources;
        result.inputs = {input("r for 1 m²", material.touchOhmM2.value, Unit::Ohm, material.sources),
                         input("A", electrode.areaM2, Unit::SquareMetre)};
        break;
    }
    case ResistancePart::Contacts:
        result.symbol = "R_contacts";
        result.sources = {
            "as given in the design, or 30 mΩ for both contacts and leads (common practice, no source)"};
        break;
    case ResistancePart::Measured:
        result.symbol = "R (measured)";
        result.sources = {"measured on the cell"};
        break;
    }
    return result;
}

} // namespace anodex::explain
