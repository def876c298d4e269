#include "wording/PartText.h"

#include "wording/Quantities.h"
#include "wording/Texts.h"

#include <array>
#include <cctype>

namespace anodex::wording {

using cell::LossPart;
using cell::ResistancePart;
using explain::Quantity;
using record::ReadingQuantity;

namespace {

const char* idOf(ResistancePart part) {
    switch (part) {
    case ResistancePart::NegativeLiquid:
        return "part.negative-liquid";
    case ResistancePart::PositiveLiquid:
        return "part.positive-liquid";
    case ResistancePart::Separator:
        return "part.separator";
    case ResistancePart::Bridge:
        return "part.bridge";
    case ResistancePart::NegativeBody:
        return "part.negative-body";
    case ResistancePart::PositiveBody:
        return "part.positive-body";
    case ResistancePart::NegativePores:
        return "part.negative-pores";
    case ResistancePart::PositivePores:
        return "part.positive-pores";
    case ResistancePart::NegativeCollector:
        return "part.negative-collector";
    case ResistancePart::PositiveCollector:
        return "part.positive-collector";
    case ResistancePart::NegativeTouch:
        return "part.negative-touch";
    case ResistancePart::PositiveTouch:
        return "part.positive-touch";
    case ResistancePart::Contacts:
        return "part.contacts";
    case ResistancePart::Measured:
        return "part.measured";
    }
    return "";
}

const char* idOf(LossPart part) {
    switch (part) {
    case LossPart::Mixed:
        return "loss.mixed";
    case LossPart::NegativePolarisation:
        return "loss.negative-polarisation";
    case LossPart::PositivePolarisation:
        return "loss.positive-polarisation";
    case LossPart::Liquid:
        return "loss.liquid";
    case LossPart::Separator:
        return "loss.separator";
    case LossPart::Collectors:
        return "loss.collectors";
    case LossPart::Contacts:
        return "loss.contacts";
    }
    return "";
}

const char* idOf(ReadingQuantity quantity) {
    switch (quantity) {
    case ReadingQuantity::OpenCircuitVoltage:
        return "reading.open-circuit-voltage";
    case ReadingQuantity::LoadedVoltage:
        return "reading.loaded-voltage";
    case ReadingQuantity::ShortCircuitCurrent:
        return "reading.short-circuit-current";
    case ReadingQuantity::Current:
        return "reading.current";
    case ReadingQuantity::Acidity:
        return "reading.acidity";
    case ReadingQuantity::Resistance:
        return "reading.resistance";
    case ReadingQuantity::Temperature:
        return "reading.temperature";
    case ReadingQuantity::Density:
        return "reading.density";
    case ReadingQuantity::Mass:
        return "reading.mass";
    case ReadingQuantity::Level:
        return "reading.level";
    }
    return "";
}

const char* quantityId(Quantity quantity) {
    switch (quantity) {
    case Quantity::ThermodynamicVoltage:
        return "quantity.thermodynamic-voltage";
    case Quantity::OpenCircuitVoltage:
        return "quantity.open-circuit-voltage";
    case Quantity::ShortCircuitCurrent:
        return "quantity.short-circuit-current";
    case Quantity::MaximumPower:
        return "quantity.maximum-power";
    case Quantity::Resistance:
        return "quantity.resistance";
    case Quantity::ResistancePart:
        return "quantity.resistance-part";
    case Quantity::Capacity:
        return "quantity.capacity";
    case Quantity::Reagent:
        return "quantity.reagent";
    case Quantity::SelfDischarge:
        return "quantity.self-discharge";
    case Quantity::Hydrogen:
        return "quantity.hydrogen";
    case Quantity::RestPotential:
        return "quantity.rest-potential";
    case Quantity::EquilibriumPotential:
        return "quantity.equilibrium-potential";
    case Quantity::Conductivity:
        return "quantity.conductivity";
    case Quantity::Acidity:
        return "quantity.acidity";
    case Quantity::LoadedVoltage:
        return "quantity.loaded-voltage";
    case Quantity::Loss:
        return "quantity.loss";
    case Quantity::InternalResistance:
        return "quantity.internal-resistance";
    case Quantity::ElectrodeMass:
        return "quantity.electrode-mass";
    case Quantity::ChargeVoltage:
        return "quantity.charge-voltage";
    case Quantity::LiquidVolume:
        return "quantity.liquid-volume";
    }
    return "";
}

/// Counts behind a symbol or a bracket are lowered; those before a part, as of crystal water, are not.
std::string withLoweredCounts(const std::string& formula) {
    constexpr std::array<const char*, 10> kDown = {"₀", "₁", "₂", "₃", "₄", "₅", "₆", "₇", "₈", "₉"};
    const auto isDigit = [](char c) { return c >= '0' && c <= '9'; };
    std::string shown;
    char before = 0;
    bool lowered = false;
    for (const char c : formula) {
        if (!isDigit(before)) {
            lowered = std::isalpha(static_cast<unsigned char>(before)) != 0 || before == ')' || before == ']';
        }
        shown +=
            isDigit(c) && lowered ? std::string(kDown[static_cast<std::size_t>(c - '0')]) : std::string(1, c);
        before = c;
    }
    return shown;
}

} // namespace

std::string partText(ResistancePart part, bool twoLiquids) {
    const bool theLiquid = part == ResistancePart::NegativeLiquid && !twoLiquids;
    return text(theLiquid ? "part.liquid" : idOf(part));
}

std::string lossText(LossPart part) {
    return text(idOf(part));
}

std::string quantityName(Quantity quantity) {
    return text(quantityId(quantity));
}

std::string readingName(ReadingQuantity quantity) {
    return text(idOf(quantity));
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

base::Said readingSaid(const record::Reading& reading) {
    using record::ReadingSide;
    const std::string side = reading.side == ReadingSide::Negative   ? "negative"
                             : reading.side == ReadingSide::Positive ? "positive"
                                                                     : "whole";
    const std::string load = reading.loadOhm ? quantityText(*reading.loadOhm, Unit::Ohm) : "none";
    return base::Said(
        "reading.sentence",
        {{"quantity", std::vector<base::Said>{idOf(reading.quantity)}},
         {"value", readingText(reading)},
         {"load", load},
         {"device", reading.device ? reading.device->name : "none"},
         {"after", reading.loadedSeconds ? durationText(*reading.loadedSeconds) : std::string("none")},
         {"side", side}});
}

std::string readingSentence(const record::Reading& reading) {
    return text(readingSaid(reading));
}

std::string readingEntry(const record::Reading& reading) {
    return Texts::english().text(readingSaid(reading));
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
            return text({"part.coat", {{"name", body.name}}});
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
            shown = withLoweredCounts(body);
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
