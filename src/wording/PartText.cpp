#include "wording/PartText.h"

#include "wording/Quantities.h"

#include <array>

namespace anodex::wording {

using cell::LossPart;
using cell::ResistancePart;
using explain::Quantity;
using record::ReadingQuantity;

const char* partText(ResistancePart part, bool twoLiquids) {
    switch (part) {
    case ResistancePart::NegativeLiquid:
        return twoLiquids ? "liquid, negative side" : "liquid";
    case ResistancePart::PositiveLiquid:
        return "liquid, positive side";
    case ResistancePart::Separator:
        return "separator";
    case ResistancePart::Bridge:
        return "bridge";
    case ResistancePart::NegativeBody:
        return "negative electrode";
    case ResistancePart::PositiveBody:
        return "positive electrode";
    case ResistancePart::NegativePores:
        return "liquid in the negative's pores";
    case ResistancePart::PositivePores:
        return "liquid in the positive's pores";
    case ResistancePart::NegativeCollector:
        return "negative collector";
    case ResistancePart::PositiveCollector:
        return "positive collector";
    case ResistancePart::Contacts:
        return "contacts and leads";
    case ResistancePart::Measured:
        return "measured";
    }
    return "";
}

const char* lossText(LossPart part) {
    switch (part) {
    case LossPart::Mixed:
        return "side reactions at rest";
    case LossPart::NegativePolarisation:
        return "negative electrode";
    case LossPart::PositivePolarisation:
        return "positive electrode";
    case LossPart::Liquid:
        return "liquid";
    case LossPart::Separator:
        return "separator";
    case LossPart::Collectors:
        return "collectors";
    case LossPart::Contacts:
        return "contacts";
    }
    return "";
}

const char* quantityName(Quantity quantity) {
    switch (quantity) {
    case Quantity::ThermodynamicVoltage:
        return "Voltage of the couple";
    case Quantity::OpenCircuitVoltage:
        return "Open circuit";
    case Quantity::ShortCircuitCurrent:
        return "Short circuit";
    case Quantity::MaximumPower:
        return "Best power";
    case Quantity::Resistance:
        return "Resistance";
    case Quantity::ResistancePart:
        return "Part of the resistance";
    case Quantity::Capacity:
        return "Capacity";
    case Quantity::Reagent:
        return "What a reagent gives";
    case Quantity::SelfDischarge:
        return "Self-discharge";
    case Quantity::Hydrogen:
        return "Hydrogen at rest";
    case Quantity::RestPotential:
        return "Where the electrode settles";
    case Quantity::EquilibriumPotential:
        return "Potential of the reaction";
    case Quantity::Conductivity:
        return "Conductivity of the liquid";
    case Quantity::Acidity:
        return "pH of the liquid";
    case Quantity::LoadedVoltage:
        return "Voltage under load";
    case Quantity::Loss:
        return "Lost voltage";
    case Quantity::InternalResistance:
        return "Internal resistance under load";
    case Quantity::ElectrodeMass:
        return "Mass of the electrode";
    case Quantity::ChargeVoltage:
        return "Voltage on charge";
    case Quantity::LiquidVolume:
        return "The liquid";
    }
    return "";
}

const char* readingName(ReadingQuantity quantity) {
    switch (quantity) {
    case ReadingQuantity::OpenCircuitVoltage:
        return "open circuit";
    case ReadingQuantity::LoadedVoltage:
        return "under load";
    case ReadingQuantity::ShortCircuitCurrent:
        return "short circuit";
    case ReadingQuantity::Current:
        return "current";
    case ReadingQuantity::Acidity:
        return "pH";
    case ReadingQuantity::Resistance:
        return "resistance";
    case ReadingQuantity::Temperature:
        return "temperature";
    case ReadingQuantity::Density:
        return "density";
    case ReadingQuantity::Mass:
        return "mass";
    case ReadingQuantity::Level:
        return "level";
    }
    return "";
}

std::string readingText(const record::Reading& reading) {
    switch (reading.quantity) {
    case ReadingQuantity::OpenCircuitVoltage:
    case ReadingQuantity::LoadedVoltage:
        return numberText(reading.value, 4) + "\u00A0V";
    case ReadingQuantity::ShortCircuitCurrent:
    case ReadingQuantity::Current:
        return quantityText(reading.value, Unit::Ampere);
    case ReadingQuantity::Acidity:
        return numberText(reading.value, 3);
    case ReadingQuantity::Resistance:
        return quantityText(reading.value, Unit::Ohm);
    case ReadingQuantity::Temperature:
        return numberText(reading.value - 273.15, 3) + "\u00A0°C";
    case ReadingQuantity::Density:
        return numberText(reading.value / 1000.0, 4) + "\u00A0g/mL";
    case ReadingQuantity::Mass:
        return numberText(reading.value * 1000.0, 4) + "\u00A0g";
    case ReadingQuantity::Level:
        return numberText(reading.value * 1000.0, 3) + "\u00A0mm";
    }
    return {};
}

std::string readingSentence(const record::Reading& reading) {
    std::string text = std::string(readingName(reading.quantity)) + " " + readingText(reading);
    if (reading.loadOhm) {
        text += " through " + quantityText(*reading.loadOhm, Unit::Ohm);
    }
    if (reading.side != record::ReadingSide::Whole) {
        text += reading.side == record::ReadingSide::Negative ? ", negative side" : ", positive side";
    }
    return text;
}

std::string reagentName(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                        const cell::Reagent& reagent) {
    if (reagent.species == catalogue.key.solvent && catalogue.solvent() != nullptr) {
        return catalogue.solvent()->name;
    }
    const chemistry::Species& species = catalogue.species[reagent.species];
    if (!species.isDissolved()) {
        const auto holds = [&](std::size_t material) {
            for (const auto& part : catalogue.materials[material].composition) {
                if (part.species == reagent.species) {
                    return true;
                }
            }
            return false;
        };
        const design::Electrode& electrode = cell.electrode(reagent.side.value_or(design::Side::Negative));
        const chemistry::Material& body = catalogue.materials[electrode.material];
        if (body.plating && body.plating->species == reagent.species) {
            return "coat of the " + body.name;
        }
        if (holds(electrode.material)) {
            return catalogue.materials[electrode.material].name;
        }
        for (const auto& additive : electrode.additives) {
            if (holds(additive.material)) {
                return catalogue.materials[additive.material].name;
            }
        }
        return species.name;
    }
    const auto parts = chemistry::moietiesOf(catalogue, reagent.species);
    const auto& poured = cell.poured[static_cast<std::size_t>(reagent.side.value_or(design::Side::Negative))];
    for (const auto& portion : poured.portions) {
        const auto& substance = catalogue.substances[portion.substance];
        for (const auto& ion : substance.dissolvesTo) {
            if (ion.species == reagent.species) {
                return substance.name;
            }
            for (const auto& part : chemistry::moietiesOf(catalogue, ion.species)) {
                if (!parts.empty() && part.species == parts.front().species) {
                    return substance.name;
                }
            }
        }
    }
    return prettyEquation(species.name);
}

std::string prettyEquation(const std::string& equation) {
    constexpr std::array<const char*, 10> kUp = {"⁰", "¹", "²", "³", "⁴", "⁵", "⁶", "⁷", "⁸", "⁹"};
    constexpr std::array<const char*, 10> kDown = {"₀", "₁", "₂", "₃", "₄", "₅", "₆", "₇", "₈", "₉"};
    std::string pretty;
    std::size_t start = 0;
    while (start < equation.size()) {
        const std::size_t end = std::min(equation.find(' ', start), equation.size());
        std::string word = equation.substr(start, end - start);
        start = end + 1;
        for (const char* phase : {"(s)", "(l)", "(aq)"}) {
            if (word.ends_with(phase)) {
                word.resize(word.size() - std::string_view(phase).size());
            }
        }
        const auto formula = chemistry::parseFormula(word);
        std::string shown;
        if (formula && (!formula->elements.empty() || formula->charge == -1)) {
            std::string body = word.substr(0, word.find('^'));
            const bool bareSign = word.find('^') == std::string::npos && formula->charge != 0;
            if (bareSign) {
                body.pop_back();
                if (std::abs(formula->charge) > 1) {
                    body.resize(body.find_last_not_of("0123456789") + 1);
                }
            }
            for (const char c : body) {
                const bool digit = c >= '0' && c <= '9';
                shown +=
                    digit && !shown.empty() ? kDown[static_cast<std::size_t>(c - '0')] : std::string(1, c);
            }
            if (formula->charge != 0) {
                const auto magnitude = static_cast<std::size_t>(std::abs(formula->charge));
                shown += (magnitude > 1 ? std::string(kUp[magnitude]) : std::string()) +
                         (formula->charge > 0 ? "⁺" : "⁻");
            }
        } else {
            shown = word == "=" ? "⇌" : word;
        }
        pretty += (pretty.empty() ? "" : " ") + shown;
    }
    return pretty;
}

} // namespace anodex::wording
