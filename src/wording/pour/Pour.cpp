#include "wording/pour/Pour.h"

#include "wording/Quantities.h"
#include "wording/Texts.h"

#include <algorithm>

namespace anodex::wording {
namespace {

using design::AmountUnit;

struct UnitRow {
    AmountUnit unit;
    double shownPerSi;
    const char* text;
};
constexpr UnitRow kUnits[] = {{AmountUnit::MassKg, 1e3, "g"},        {AmountUnit::VolumeM3, 1e6, "mL"},
                              {AmountUnit::Moles, 1.0, "mol"},       {AmountUnit::MolPerM3, 1e-3, "mol/L"},
                              {AmountUnit::MolPerKg, 1.0, "mol/kg"}, {AmountUnit::MassFraction, 100.0, "%"}};

} // namespace

ShownAmount shownAmount(const design::Amount& amount) {
    const auto* row = std::find_if(std::begin(kUnits), std::end(kUnits),
                                   [&](const UnitRow& one) { return one.unit == amount.unit; });
    return {amount.value * row->shownPerSi, row->text};
}

std::string amountText(const design::Amount& amount) {
    const ShownAmount shown = shownAmount(amount);
    return numberText(shown.value, 4) + "\u00a0" + shown.unit;
}

std::string pourText(const Pour& pour) {
    if (!pour.halfWidth) {
        return wording::text({"pour.poured", {{"amount", amountText(pour.amount)}, {"name", pour.name}}});
    }
    const ShownAmount shown = shownAmount(pour.amount);
    const double half = shownAmount({pour.amount.unit, *pour.halfWidth}).value;
    return wording::text({"pour.poured-about",
                          {{"amount", numberText(shown.value, 2) + "\u00a0" + shown.unit},
                           {"name", pour.name},
                           {"low", numberText(std::max(0.0, shown.value - half), 2)},
                           {"high", numberText(shown.value + half, 2) + "\u00a0" + shown.unit}}});
}

} // namespace anodex::wording
