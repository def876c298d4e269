#include "wording/pour/PouredLiquid.h"

#include "core/chemistry/NameLookup.h"

namespace anodex::wording {
namespace {

using design::AmountUnit;
using design::LiquidBasis;
using design::LiquidDesign;

bool isSolvent(const chemistry::Catalogue& catalogue, const Pour& pour) {
    const auto found = chemistry::findSubstance(catalogue, pour.name);
    return found && catalogue.substances[found->substance].isSolvent;
}

/// In the unit of the liquid's basis; nothing for an amount that is neither a mass nor a volume.
std::optional<double> inBasis(const chemistry::Catalogue& catalogue, const Pour& pour, LiquidBasis basis) {
    const double density = catalogue.solvent()->densityKgPerM3;
    const bool byMass = basis == LiquidBasis::SolventMass;
    switch (pour.amount.unit) {
    case AmountUnit::MassKg:
        return byMass ? pour.amount.value : pour.amount.value / density;
    case AmountUnit::VolumeM3:
        return byMass ? pour.amount.value * density : pour.amount.value;
    default:
        return std::nullopt;
    }
}

void pourWater(const chemistry::Catalogue& catalogue, const Pour& pour, LiquidDesign& liquid) {
    const auto amount = inBasis(catalogue, pour, liquid.basis);
    if (!liquid.ready.empty() || !amount) {
        liquid.solutes.push_back({{pour.name, {}}, pour.amount});
    } else if (pour.takesTheRest) {
        liquid.basis =
            pour.amount.unit == AmountUnit::MassKg ? LiquidBasis::SolventMass : LiquidBasis::SolventVolume;
        liquid.basisValue = pour.amount.value;
    } else {
        liquid.basisValue += *amount;
    }
}

} // namespace

LiquidDesign poured(const chemistry::Catalogue& catalogue, LiquidDesign liquid,
                    const std::vector<Pour>& pours) {
    for (const Pour& pour : pours) {
        if (pour.readyLiquid) {
            liquid.ready = {pour.name, {}};
            liquid.basis = LiquidBasis::FinishedVolume;
            liquid.basisValue = pour.amount.value;
        } else if (isSolvent(catalogue, pour)) {
            pourWater(catalogue, pour, liquid);
        } else {
            liquid.solutes.push_back({{pour.name, {}}, pour.amount});
        }
    }
    return liquid;
}

} // namespace anodex::wording
