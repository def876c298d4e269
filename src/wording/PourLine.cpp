#include "wording/PourLine.h"

#include "core/chemistry/NameLookup.h"
#include "quantity/Letters.h"
#include "wording/Quantities.h"
#include "wording/Texts.h"

#include <algorithm>
#include <utility>

namespace anodex::wording {
namespace {

using design::AmountUnit;
using quantity::Dimension;
using quantity::QuantityReading;
using quantity::trimmed;

struct UnitRow {
    AmountUnit unit;
    Dimension dimension;
    double shownPerSi;
    const char* text;
};
constexpr UnitRow kUnits[] = {{AmountUnit::MassKg, Dimension::Kilogram, 1e3, "g"},
                              {AmountUnit::VolumeM3, Dimension::CubicMetre, 1e6, "mL"},
                              {AmountUnit::Moles, Dimension::Mole, 1.0, "mol"},
                              {AmountUnit::MolPerM3, Dimension::MolPerM3, 1e-3, "mol/L"},
                              {AmountUnit::MolPerKg, Dimension::MolPerKg, 1.0, "mol/kg"},
                              {AmountUnit::MassFraction, Dimension::Percent, 100.0, "%"}};

const UnitRow* rowOf(const QuantityReading& reading) {
    const auto* row = std::find_if(std::begin(kUnits), std::end(kUnits), [&](const UnitRow& one) {
        return one.dimension == reading.unit.dimension;
    });
    return row == std::end(kUnits) ? nullptr : row;
}

bool pourable(const QuantityReading& reading) {
    const UnitRow* row = rowOf(reading);
    return row != nullptr && reading.value > 0.0 &&
           (row->unit != AmountUnit::MassFraction || reading.value < 1.0);
}

AmountRead amountOf(const Likely& found) {
    if (!found.reading) {
        return {std::nullopt, std::nullopt, found.choices};
    }
    return {design::Amount{rowOf(*found.reading)->unit, found.reading->value}, found.halfWidth, {}};
}

Question whichAmount(const NamedAmount& parts) {
    Question question{whichOf(parts.written, parts.amount.choices), {}};
    const std::string name(parts.name);
    for (const std::string& choice : parts.amount.choices) {
        std::string line = parts.before ? choice : name;
        line.append(" ").append(parts.before ? name : choice);
        question.choices.push_back(std::move(line));
    }
    return question;
}

PourFault unknownName(const chemistry::Catalogue& catalogue, std::string_view name) {
    std::vector<std::string> names = chemistry::substanceNames(catalogue);
    for (const std::string& liquid : chemistry::liquidNames(catalogue)) {
        names.push_back(liquid);
    }
    const std::string near = chemistry::nearestName(name, names);
    return {wording::text({near.empty() ? "pour.unknown" : "pour.unknown-near",
                           {{"name", std::string(name)}, {"near", near}}})};
}

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

AmountRead readAmount(std::string_view text) {
    return amountOf(likelyWhole(text, pourable));
}

std::variant<Pour, Question, PourFault> readPour(const chemistry::Catalogue& catalogue,
                                                 std::string_view text) {
    auto parts = namedAmount(text, pourable);
    if (!parts) {
        return PourFault{wording::text("pour.no-amount")};
    }
    if (parts->name.starts_with("of ")) {
        parts->name = trimmed(parts->name.substr(3));
    }
    const bool substance = chemistry::findSubstance(catalogue, parts->name).has_value();
    const bool liquid = !substance && chemistry::findLiquid(catalogue, parts->name).has_value();
    if (!substance && !liquid) {
        return unknownName(catalogue, parts->name);
    }
    const AmountRead read = amountOf(parts->amount);
    if (!read.amount) {
        return whichAmount(*parts);
    }
    if (liquid && read.amount->unit != AmountUnit::VolumeM3) {
        return PourFault{wording::text("pour.by-volume")};
    }
    return Pour{std::string(parts->name), *read.amount, read.halfWidth, liquid};
}

} // namespace anodex::wording
