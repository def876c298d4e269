#include "wording/pour/PourAmount.h"

#include "core/base/Interpolation.h"
#include "core/chemistry/NameLookup.h"
#include "quantity/Letters.h"
#include "wording/Listing.h"
#include "wording/Quantities.h"
#include "wording/Texts.h"

#include <algorithm>
#include <cmath>

namespace anodex::wording {
namespace {

using chemistry::Catalogue;
using chemistry::FactorSpread;
using chemistry::Substance;
using design::AmountUnit;
using Kind = SpokenAmount::Kind;

const char* const kWater = "water";

/// A substance as named: with the solvent that its crystals bring.
struct Named {
    std::string name;
    const Substance& substance;
    double molarMassKg; ///< As named.
};

std::optional<Named> namedSubstance(const Catalogue& catalogue, const std::string& name) {
    const auto found = chemistry::findSubstance(catalogue, name);
    if (!found) {
        return std::nullopt;
    }
    const Substance& substance = catalogue.substances[found->substance];
    return Named{name, substance,
                 found->hydrate ? substance.hydrates[*found->hydrate].molarMassKg : substance.molarMassKg};
}

PourFault fault(const char* id, const std::string& name) {
    return {wording::text({id, {{"name", name}}})};
}

double combined(double first, double second) {
    return std::exp(std::hypot(std::log(first), std::log(second)));
}

Pour pourOf(const std::string& name, design::Amount amount, double factor,
            const std::optional<double>& halfWidth = {}) {
    Pour pour;
    pour.name = name;
    pour.amount = amount;
    pour.halfWidth = halfWidth;
    if (factor > 1.0) {
        pour.halfWidth = std::max(halfWidth.value_or(0.0), 0.5 * (factor - 1.0 / factor) * amount.value);
    }
    return pour;
}

/// A doubt that was written counts as much as one that a measure has.
double doubtOf(const SpokenAmount& amount) {
    return std::max(amount.factor,
                    1.0 + amount.halfWidth.value_or(0.0) / std::max(amount.amount.value, 1e-12));
}

bool isSolid(const Named& named) {
    return !named.substance.isLiquid && !named.substance.isSolvent;
}

/// "31 % hydrochloric acid" for each strength that the shop has.
Question whichStrength(const Named& named, const SpokenAmount& amount) {
    Question question;
    for (const double share : named.substance.soldMassFractions) {
        std::string choice = amountText(amount.amount);
        choice += " of " + numberText(100.0 * share) + " % " + named.name;
        question.choices.push_back(std::move(choice));
    }
    question.text =
        wording::text({"pour.sold-as", {{"name", named.name}, {"choices", choiceOf(question.choices)}}});
    return question;
}

bool saysPure(const std::string& name) {
    const std::string folded = chemistry::foldedName(name);
    return folded.starts_with("glacial") || folded.ends_with("concentrate") || folded.starts_with("oil of");
}

PourLine single(const Named& named, const SpokenAmount& amount) {
    const bool went = amount.amount.unit == AmountUnit::VolumeM3 || amount.amount.unit == AmountUnit::MassKg;
    if (!amount.isStrength() && went && !named.substance.soldMassFractions.empty() && !saysPure(named.name)) {
        return whichStrength(named, amount);
    }
    switch (amount.kind) {
    case Kind::Saturated:
        if (!named.substance.solubilityKgPerKg) {
            return fault("pour.mixes", named.name);
        }
        return std::vector{pourOf(
            named.name,
            {AmountUnit::MolPerKg, *named.substance.solubilityKgPerKg / named.substance.molarMassKg}, 1.0)};
    case Kind::PerVolume:
        return std::vector{
            pourOf(named.name, {AmountUnit::MolPerM3, amount.kgPerM3 / named.molarMassKg}, amount.factor)};
    case Kind::Measured:
    case Kind::Exact:
        if (amount.amount.unit == AmountUnit::VolumeM3 && isSolid(named)) {
            const FactorSpread bulk = chemistry::bulkDensity(named.substance);
            return std::vector{pourOf(named.name, {AmountUnit::MassKg, bulk.value * amount.amount.value},
                                      combined(bulk.factor, doubtOf(amount)))};
        }
        return std::vector{pourOf(named.name, amount.amount, amount.factor, amount.halfWidth)};
    }
    return fault("pour.no-amount", named.name);
}

/// kg/m³ of its solution; nothing where the catalogue's table does not reach.
std::optional<double> densityAt(const Substance& substance, double massFraction) {
    const base::Table& table = substance.densityByMassFraction;
    return table.size() >= 2 && massFraction <= table.back().x
               ? std::optional(base::interpolated(table, massFraction))
               : std::nullopt;
}

/// Anhydrous mass fraction of a solution with so many moles in a cubic metre.
std::optional<double> fractionOf(const Substance& substance, double molPerM3) {
    double fraction = 0.0;
    constexpr int kRounds =
        60; // density hardly moves with strength: each leaves a fifth of the error or less
    for (int i = 0; i < kRounds; ++i) {
        const auto density = densityAt(substance, fraction);
        if (!density) {
            return std::nullopt;
        }
        fraction = molPerM3 * substance.molarMassKg / *density;
    }
    return densityAt(substance, fraction) ? std::optional(fraction) : std::nullopt;
}

std::optional<double> anhydrousFraction(const Named& named, const SpokenAmount& strength) {
    const Substance& substance = named.substance;
    switch (strength.kind) {
    case Kind::Saturated:
        return substance.solubilityKgPerKg
                   ? std::optional(*substance.solubilityKgPerKg / (1.0 + *substance.solubilityKgPerKg))
                   : std::nullopt;
    case Kind::PerVolume:
        return fractionOf(substance, strength.kgPerM3 / named.molarMassKg);
    case Kind::Measured:
        return std::nullopt;
    case Kind::Exact:
        break;
    }
    const double value = strength.amount.value;
    switch (strength.amount.unit) {
    case AmountUnit::MassFraction:
        return value * substance.molarMassKg / named.molarMassKg;
    case AmountUnit::MolPerKg:
        return value * substance.molarMassKg / (1.0 + value * substance.molarMassKg);
    case AmountUnit::MolPerM3:
        return fractionOf(substance, value);
    default:
        return std::nullopt;
    }
}

PourLine solution(const Named& named, const SpokenAmount& amount, const SpokenAmount& strength) {
    const auto fraction = anhydrousFraction(named, strength);
    const auto density = fraction ? densityAt(named.substance, *fraction) : std::nullopt;
    const bool byMass = amount.amount.unit == AmountUnit::MassKg;
    if (!fraction || (!byMass && !density)) {
        return fault("pour.no-density", named.name);
    }
    const double total = byMass ? amount.amount.value : *density * amount.amount.value;
    const double moles = *fraction * total / named.substance.molarMassKg;
    const double mass = moles * named.molarMassKg;
    if (!(mass < total)) {
        return fault("pour.no-density", named.name);
    }
    const double factor = combined(doubtOf(amount), doubtOf(strength));
    return std::vector{pourOf(named.name, {AmountUnit::MassKg, mass}, factor),
                       pourOf(kWater, {AmountUnit::MassKg, total - mass}, factor)};
}

PourLine ready(const NamedPour& named) {
    if (named.strength || named.amount.isStrength()) {
        return fault("pour.strength-of-ready", named.name);
    }
    if (named.amount.amount.unit != AmountUnit::VolumeM3) {
        return fault("pour.by-volume", named.name);
    }
    Pour pour = pourOf(named.name, named.amount.amount, named.amount.factor, named.amount.halfWidth);
    pour.readyLiquid = true;
    return std::vector{pour};
}

} // namespace

PourLine poursOf(const Catalogue& catalogue, const NamedPour& named) {
    if (named.readyLiquid) {
        return ready(named);
    }
    const auto substance = namedSubstance(catalogue, named.name);
    if (!substance) {
        return fault("pour.unknown", named.name);
    }
    return named.strength ? solution(*substance, named.amount, *named.strength)
                          : single(*substance, named.amount);
}

} // namespace anodex::wording
