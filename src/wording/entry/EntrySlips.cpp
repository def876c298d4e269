#include "wording/entry/EntrySlips.h"

#include "wording/PartText.h"
#include "wording/Texts.h"
#include "wording/entry/EntryAsk.h"

#include <algorithm>
#include <cmath>
#include <string>
#include <utility>
#include <vector>

namespace anodex::wording {
namespace {

using record::Reading;
using record::ReadingQuantity;

// Bounds of what is kept unasked (estimates: voltages are expected within a few tenths, currents within a factor of
// five).
constexpr double kVoltsOfAnyCell = 5.0;
constexpr double kAmpsOfAnyCell = 20.0;
constexpr double kTimesTheShort = 20.0;
constexpr double kPartOfTheShort = 200.0;
constexpr double kOtherSign = 0.2; // of the voltage expected

struct Plausible {
    ReadingQuantity quantity;
    double low;
    double high;
};
constexpr Plausible kPlausible[] = {{ReadingQuantity::OpenCircuitVoltage, -100.0, 100.0},
                                    {ReadingQuantity::LoadedVoltage, -100.0, 100.0},
                                    {ReadingQuantity::ShortCircuitCurrent, -1000.0, 1000.0},
                                    {ReadingQuantity::Current, -1000.0, 1000.0},
                                    {ReadingQuantity::Acidity, -2.0, 16.0},
                                    {ReadingQuantity::Resistance, 0.0, 1e9},
                                    {ReadingQuantity::Temperature, 233.0, 393.0},
                                    {ReadingQuantity::Density, 500.0, 3000.0},
                                    {ReadingQuantity::Mass, 0.0, 1000.0},
                                    {ReadingQuantity::Level, 0.0, 10.0}};

bool isPlausible(ReadingQuantity quantity, double value) {
    return std::all_of(std::begin(kPlausible), std::end(kPlausible), [&](const Plausible& range) {
        return range.quantity != quantity || (value >= range.low && value <= range.high);
    });
}

bool isVoltage(ReadingQuantity quantity) {
    return quantity == ReadingQuantity::OpenCircuitVoltage || quantity == ReadingQuantity::LoadedVoltage;
}

struct Bounds {
    double least;
    double most;
    double expected; ///< 0: nothing is.
};

/// Beyond what one cell gives at all, or what this one is expected to give.
std::optional<Bounds> boundsOf(ReadingQuantity quantity, const EntryContext& context) {
    const double volts = std::abs(context.openCircuitVolts.value_or(0.0));
    const double amps = std::abs(context.shortCircuitAmps.value_or(0.0));
    switch (quantity) {
    case ReadingQuantity::OpenCircuitVoltage:
        return volts < 0.01 ? Bounds{2e-3, kVoltsOfAnyCell, 0.0}
                            : Bounds{volts / 100.0, std::max(2.0 * volts, volts + 0.5), volts};
    case ReadingQuantity::LoadedVoltage:
        return volts < 0.01 ? Bounds{1e-3, kVoltsOfAnyCell, 0.0}
                            : Bounds{1e-3, std::max(1.5 * volts, volts + 0.4), volts};
    case ReadingQuantity::ShortCircuitCurrent:
        return amps < 1e-9 ? Bounds{1e-8, kAmpsOfAnyCell, 0.0}
                           : Bounds{amps / kPartOfTheShort, kTimesTheShort * amps, amps};
    case ReadingQuantity::Current:
        return amps < 1e-9 ? Bounds{0.0, kAmpsOfAnyCell, 0.0} : Bounds{0.0, kTimesTheShort * amps, amps};
    default:
        return std::nullopt;
    }
}

/// The same digits in the units that would fit, behind the line as it is.
std::vector<std::string> fittingUnits(std::string_view line, const Token& word, ReadingQuantity quantity,
                                      const EntryContext& context) {
    std::vector<std::string> choices = {std::string(line)};
    const auto bounds = boundsOf(quantity, context);
    const quantity::QuantityReading& reading = word.readings.front();
    for (const double toSi : {1.0, 1e-3, 1e-6}) {
        const std::string symbol =
            quantity::symbolFor(isVoltage(quantity) ? Dimension::Volt : Dimension::Ampere, toSi);
        const double value = std::abs(reading.written) * toSi;
        if (bounds && value >= bounds->least && value <= bounds->most && symbol != reading.unit.symbol) {
            quantity::QuantityReading other = reading;
            other.unit.symbol = symbol;
            choices.push_back(replaced(line, word.text, quantity::writtenOut(other)));
        }
    }
    return choices;
}

/// "a thousand", "200": how many times more one is than the other.
std::string timesText(double ratio) {
    return numberText(ratio, ratio < 10.0 ? 2 : 1);
}

/// Named by how far off it is: a unit is a thousand, a range of the meter ten or a hundred.
std::string farText(const Reading& reading, const Bounds& bounds) {
    const double size = std::abs(reading.value);
    if (bounds.expected <= 0.0) {
        return text({"entry.far", {{"value", readingText(reading)}}});
    }
    const explain::Unit unit = isVoltage(reading.quantity) ? explain::Unit::Volt : explain::Unit::Ampere;
    const bool more = size > bounds.expected;
    const double ratio = more ? size / bounds.expected : bounds.expected / size;
    const char* slip = ratio > 200.0 ? "unit" : !more ? "socket" : ratio > 5.0 ? "range" : "several";
    return text({more ? "entry.far-more" : "entry.far-less",
                 {{"value", readingText(reading)},
                  {"times", timesText(ratio)},
                  {"expected", quantityText(bounds.expected, unit)},
                  {"slip", slip}}});
}

/// The sign of a cell whose leads are swapped; choices with it and without.
std::optional<Question> swappedLeads(std::string_view line, const Token& word, const Reading& reading,
                                     const EntryContext& context) {
    const double expected = isVoltage(reading.quantity) ? context.openCircuitVolts.value_or(0.0) : 0.0;
    if (reading.side != record::ReadingSide::Whole || reading.value * expected >= 0.0 ||
        std::abs(reading.value) < kOtherSign * std::abs(expected)) {
        return std::nullopt;
    }
    Question question{text({"entry.far-leads", {{"value", readingText(reading)}}}), {std::string(line)}};
    quantity::QuantityReading other = word.readings.front();
    other.written = -other.written;
    question.choices.push_back(replaced(line, word.text, quantity::writtenOut(other)));
    return question;
}

/// A voltage through ohms that would draw more than the cell can give.
std::optional<Question> tooMuchThrough(std::string_view line, const Token& word, const Reading& reading,
                                       const EntryContext& context) {
    const double most = kTimesTheShort * std::abs(context.shortCircuitAmps.value_or(0.0));
    if (reading.quantity != ReadingQuantity::LoadedVoltage || !reading.loadOhm || most < 1e-9 ||
        std::abs(reading.value) / *reading.loadOhm <= most) {
        return std::nullopt;
    }
    return Question{
        text({"entry.far-through",
              {{"value", readingText(reading)},
               {"load", quantityText(*reading.loadOhm, explain::Unit::Ohm)},
               {"amps", quantityText(std::abs(reading.value) / *reading.loadOhm, explain::Unit::Ampere)},
               {"expected", quantityText(most / kTimesTheShort, explain::Unit::Ampere)}}}),
        {std::string(line), "open " + word.text}};
}

} // namespace

std::optional<Question> slipIn(std::string_view line, const Token& word, const Reading& reading,
                               const EntryContext& context) {
    const auto bounds = boundsOf(reading.quantity, context);
    const double size = std::abs(reading.value);
    if (bounds && size > 0.0 && (size < bounds->least || size > bounds->most)) {
        return Question{farText(reading, *bounds), fittingUnits(line, word, reading.quantity, context)};
    }
    if (auto swapped = swappedLeads(line, word, reading, context)) {
        return swapped;
    }
    if (auto through = tooMuchThrough(line, word, reading, context)) {
        return through;
    }
    if (!isPlausible(reading.quantity, reading.value)) {
        return Question{
            text({"entry.out-of-range", {{"quantity", readingName(reading.quantity)}, {"typed", word.text}}}),
            {asNoteChoice(line)}};
    }
    return std::nullopt;
}

} // namespace anodex::wording
