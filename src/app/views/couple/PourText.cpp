#include "app/views/couple/PourText.h"

#include "core/chemistry/NameLookup.h"
#include "quantity/Letters.h"
#include "wording/Quantities.h"

#include <QCoreApplication>

namespace anodex::app {
namespace {

using cell::AmountUnit;
using quantity::trimmed;
using wording::Dimension;

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

QString say(const char* text) {
    return QCoreApplication::translate("Pour", text);
}

std::optional<cell::Amount> amountOf(const wording::ParsedQuantity& quantity) {
    for (const UnitRow& row : kUnits) {
        const bool tooMuch = row.unit == AmountUnit::MassFraction && quantity.value >= 1.0;
        if (row.dimension == quantity.dimension && quantity.value > 0.0 && !tooMuch) {
            return cell::Amount{row.unit, quantity.value};
        }
    }
    return std::nullopt;
}

} // namespace

QString amountText(const cell::Amount& amount) {
    for (const UnitRow& row : kUnits) {
        if (row.unit == amount.unit) {
            return QString::fromStdString(wording::numberText(amount.value * row.shownPerSi, 4)) +
                   QChar(0xA0) + QString::fromLatin1(row.text);
        }
    }
    return {};
}

std::optional<cell::Amount> amountFrom(std::string_view text) {
    text = trimmed(text);
    const auto quantity = wording::parseQuantity(text);
    if (!quantity || quantity->used != text.size()) {
        return std::nullopt;
    }
    return amountOf(*quantity);
}

std::variant<Pour, PourFault> pourFrom(const chemistry::Catalogue& catalogue, std::string_view text) {
    text = trimmed(text);
    std::string_view name;
    std::optional<cell::Amount> amount;
    if (const auto front = wording::parseQuantity(text); front && amountOf(*front)) {
        amount = amountOf(*front);
        name = trimmed(text.substr(front->used));
    } else {
        for (std::size_t i = text.find(' '); i != std::string_view::npos && !amount;
             i = text.find(' ', i + 1)) {
            amount = amountFrom(text.substr(i + 1));
            name = trimmed(text.substr(0, i));
        }
    }
    if (!amount) {
        return PourFault{say("An amount with a unit is missing; right would be \"5 g\", \"20 mL\", \"2 "
                             "mol/L\" or \"10 %\" before or after the name")};
    }
    if (name.starts_with("of ")) {
        name.remove_prefix(3);
    }
    if (chemistry::findSubstance(catalogue, name)) {
        return Pour{std::string(name), *amount, false};
    }
    if (chemistry::findLiquid(catalogue, name)) {
        if (amount->unit != AmountUnit::VolumeM3) {
            return PourFault{say("A ready-made liquid is poured by volume; right would be \"20 mL\" of it")};
        }
        return Pour{std::string(name), *amount, true};
    }
    std::vector<std::string> names = chemistry::substanceNames(catalogue);
    for (const std::string& liquid : chemistry::liquidNames(catalogue)) {
        names.push_back(liquid);
    }
    const std::string near = chemistry::nearestName(name, names);
    return PourFault{say("\"%1\" is not known; %2")
                         .arg(QString::fromUtf8(name.data(), static_cast<qsizetype>(name.size())),
                              near.empty() ? say("choose a substance of the catalogue")
                                           : say("did you mean \"%1\"?").arg(QString::fromStdString(near)))};
}

} // namespace anodex::app
