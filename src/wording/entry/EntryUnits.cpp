#include "wording/entry/EntryUnits.h"

#include "wording/Texts.h"
#include "wording/entry/EntryAsk.h"

#include <algorithm>
#include <cmath>
#include <string>
#include <utility>
#include <vector>

namespace anodex::wording {
namespace {

using quantity::UnitReading;
using record::ReadingQuantity;

// How far from what is expected a number may lie to be taken for it (estimates).
constexpr double kNearLow = 0.6; // of the voltage at rest
constexpr double kNearHigh = 1.25;
constexpr double kNearCurrent = 5.0;      // either way: currents are expected within about that
constexpr double kWarmestUnasked = 45.0;  // °C; beyond, degrees Fahrenheit are as likely
constexpr double kLeastKilograms = 500.0; // kg/m³; a bare density below is one in g/mL

std::vector<UnitReading> currentUnits() {
    return {quantity::readingsOf("A").front(), quantity::readingsOf("mA").front(),
            quantity::readingsOf("uA").front()};
}

Question ofWhatUnit(std::string_view line, const Token& number, const std::vector<std::string>& units) {
    Question question{text({"entry.of-what", {{"number", number.text}}}), {}};
    for (const std::string& unit : units) {
        question.choices.push_back(replaced(line, number.text, number.text + " " + unit));
    }
    question.choices.push_back(asNoteChoice(line));
    return question;
}

std::optional<Question> takeCurrentUnit(std::string_view line, Token& number, const EntryContext& context,
                                        bool shorted) {
    const double expected = std::abs(context.shortCircuitAmps.value_or(0.0));
    const double least = shorted ? expected / kNearCurrent : expected / 200.0;
    std::vector<UnitReading> near;
    for (const UnitReading& unit : currentUnits()) {
        const double amps = std::abs(number.quantity->value) * unit.toSi;
        if (amps >= least && amps <= expected * kNearCurrent && expected > 0.0) {
            near.push_back(unit);
        }
    }
    if (near.size() == 1) {
        number.takeUnit(near.front());
        return std::nullopt;
    }
    return ofWhatUnit(line, number, {"A", "mA", "\u00B5A"});
}

/// Only a number: a voltage where it is near what the cell is expected to have and no current it can give.
std::optional<Question> takeAlone(std::string_view line, Token& number, const EntryContext& context) {
    const double written = number.quantity->value;
    const double volts = written / context.openCircuitVolts.value_or(0.0);
    const double expectedAmps = std::abs(context.shortCircuitAmps.value_or(0.0));
    const auto units = currentUnits();
    const bool current = std::any_of(units.begin(), units.end(), [&](const UnitReading& unit) {
        const double amps = std::abs(written) * unit.toSi;
        return amps > expectedAmps / kNearCurrent && amps < expectedAmps * kNearCurrent;
    });
    if (volts >= kNearLow && volts <= kNearHigh && !current) {
        number.takeUnit(quantity::readingsOf("V").front());
        return std::nullopt;
    }
    Question question = ofWhatUnit(line, number, {"V", "mA"});
    question.choices.insert(question.choices.end() - 1, replaced(line, number.text, "pH " + number.text));
    return question;
}

} // namespace

std::optional<Question> takeUnits(std::string_view line, Understanding& understanding,
                                  const EntryContext& context, bool alone) {
    std::vector<Token*> bare;
    for (std::size_t i = 0; i < understanding.words.size(); ++i) {
        Token& word = understanding.words[i];
        if (word.isBare() && !word.used && understanding.loadNumber != i) {
            bare.push_back(&word);
        }
    }
    if (bare.size() != 1) {
        return std::nullopt;
    }
    Token& number = *bare.front();
    const bool measured = understanding.has(Dimension::Volt) || understanding.has(Dimension::Ampere);
    if (!understanding.quantity) {
        if (understanding.isLoaded() && !measured) {
            number.takeUnit(quantity::readingsOf("V").front());
            return std::nullopt;
        }
        return alone ? takeAlone(line, number, context) : std::nullopt;
    }
    switch (*understanding.quantity) {
    case ReadingQuantity::ShortCircuitCurrent:
    case ReadingQuantity::Current:
        return measured ? std::nullopt
                        : takeCurrentUnit(line, number, context,
                                          understanding.quantity == ReadingQuantity::ShortCircuitCurrent);
    case ReadingQuantity::Temperature:
        return number.quantity->value > kWarmestUnasked && number.quantity->value <= 212.0
                   ? std::optional(ofWhatUnit(line, number, {"\u00B0C", "\u00B0F"}))
                   : std::nullopt;
    case ReadingQuantity::Density:
        return number.quantity->value >= kLeastKilograms ? std::optional(ofWhatUnit(line, number, {"kg/m3"}))
                                                         : std::nullopt;
    default:
        return std::nullopt;
    }
}

} // namespace anodex::wording
