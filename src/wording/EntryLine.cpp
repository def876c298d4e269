#include "wording/EntryLine.h"

#include "wording/EntryWords.h"
#include "wording/Listing.h"
#include "wording/PartText.h"
#include "wording/Texts.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <fmt/format.h>
#include <optional>
#include <vector>

namespace anodex::wording {
namespace {

using record::Millis;
using record::ReadingQuantity;
using record::ReadingSide;

/// A choice that keeps the line as words.
constexpr std::string_view kAsNote = " (as a note)";

std::optional<ReadingQuantity> quantityFor(const ParsedQuantity& value, const Understanding& understanding) {
    const auto& asked = understanding.quantity;
    switch (value.dimension) {
    case Dimension::Volt:
        if (asked && *asked != ReadingQuantity::OpenCircuitVoltage &&
            !(*asked == ReadingQuantity::ShortCircuitCurrent && understanding.has(Dimension::Ampere))) {
            return std::nullopt;
        }
        return understanding.loadOhm || (understanding.loaded && !asked)
                   ? ReadingQuantity::LoadedVoltage
                   : ReadingQuantity::OpenCircuitVoltage;
    case Dimension::Ampere:
        if (understanding.saysShort || asked == ReadingQuantity::ShortCircuitCurrent) {
            return ReadingQuantity::ShortCircuitCurrent;
        }
        return asked ? std::nullopt : std::optional(ReadingQuantity::Current);
    case Dimension::Ohm:
        return !asked || *asked == ReadingQuantity::Resistance ? std::optional(ReadingQuantity::Resistance)
                                                               : std::nullopt;
    case Dimension::Kelvin:
        return !asked || *asked == ReadingQuantity::Temperature ? std::optional(ReadingQuantity::Temperature)
                                                                : std::nullopt;
    case Dimension::Density:
        return !asked || *asked == ReadingQuantity::Density ? std::optional(ReadingQuantity::Density)
                                                            : std::nullopt;
    case Dimension::Kilogram:
        return asked == ReadingQuantity::Mass ? asked : std::nullopt;
    case Dimension::Metre:
        return asked == ReadingQuantity::Level ? asked : std::nullopt;
    case Dimension::None:
        // A bare number is what the word before it says: pH, density in g/mL, temperature in °C, volts at
        // rest.
        return asked && *asked != ReadingQuantity::Mass && *asked != ReadingQuantity::Level ? asked
                                                                                            : std::nullopt;
    default:
        return std::nullopt;
    }
}

double bareToSi(ReadingQuantity quantity, double value) {
    switch (quantity) {
    case ReadingQuantity::Temperature:
        return value + 273.15;
    case ReadingQuantity::Density:
        return value * 1000.0;
    default:
        return value;
    }
}

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

std::string timeEcho(Millis when, Millis now) {
    return when == now ? wording::text("entry.now")
                       : wording::text({"entry.ago",
                                        {{"time", durationText(static_cast<double>(now - when) / 1000.0)}}});
}

std::string unusedWords(const std::vector<Token>& words) {
    std::string rest;
    for (const Token& word : words) {
        if (!word.used) {
            rest += (rest.empty() ? "" : " ") + word.text;
        }
    }
    return rest;
}

Entry asNote(std::string_view text, Millis now, bool unfit) {
    Entry entry;
    entry.kind = Entry::Kind::Note;
    entry.event = {{}, {}, now, std::string(text), false};
    entry.echo = wording::text({unfit ? "entry.note-unfit" : "entry.note", {{"text", std::string(text)}}});
    return entry;
}

} // namespace

namespace {

Entry asQuestion(std::string text, std::vector<std::string> choices) {
    Entry entry;
    entry.kind = Entry::Kind::Question;
    entry.echo = text;
    entry.question = {std::move(text), std::move(choices)};
    return entry;
}

std::string replaced(std::string_view text, const std::string& part, const std::string& by) {
    std::string result(text);
    const std::size_t at = result.find(part);
    return at == std::string::npos ? result : result.replace(at, part.size(), by);
}

/// A number with two readings, in a place where both are possible at all.
std::optional<Entry> unclearNumber(std::string_view text, const Understanding& understanding) {
    for (const Token& word : understanding.words) {
        if (word.readings.size() < 2) {
            continue;
        }
        std::vector<std::string> meanings;
        std::vector<std::string> choices;
        for (const quantity::QuantityReading& reading : word.readings) {
            meanings.push_back(quantity::writtenOut(reading));
            choices.push_back(replaced(text, word.text, meanings.back()));
        }
        return asQuestion(
            wording::text({"entry.may-be", {{"typed", word.text}, {"choices", choiceOf(meanings)}}}),
            choices);
    }
    return std::nullopt;
}

/// "between 0.9 and 1.0 V": a reading is one value.
Entry oneOfARange(std::string_view text, const Understanding& understanding, std::size_t low) {
    const auto& words = understanding.words;
    const std::string unit = words[low + 2].readings.front().unit.symbol;
    return asQuestion(wording::text("entry.range"), {words[low].text + " " + unit, words[low + 2].text,
                                                     std::string(text) + std::string(kAsNote)});
}

/// "1 ,02 V" is probably "1,02 V".
Entry twoNumbers(std::string_view text, const Understanding& understanding, std::size_t stray) {
    const std::string& first = understanding.words[stray].text;
    const std::string& second = understanding.words[stray + 1].text;
    std::vector<std::string> choices;
    if (readEntry(first + second, 0).kind == Entry::Kind::Reading) {
        choices.push_back(first + second);
    }
    choices.push_back(second);
    choices.push_back(std::string(text) + std::string(kAsNote));
    return asQuestion(wording::text({"entry.two-numbers", {{"first", first}, {"second", second}}}),
                      std::move(choices));
}

/// A time this line cannot tell.
std::optional<Entry> unclearTime(const Understanding& understanding) {
    const Token* word = unclearTimeIn(understanding);
    return word == nullptr
               ? std::nullopt
               : std::optional(asQuestion(wording::text({"entry.when", {{"typed", word->text}}}), {}));
}

struct Bounds {
    double least;
    double most;
};

/// What is asked about: beyond what one cell gives at all, or what this one is expected to give.
std::optional<Bounds> boundsOf(ReadingQuantity quantity, const EntryContext& context) {
    constexpr double kVoltsOfAnyCell = 5.0;
    constexpr double kAmpsOfAnyCell = 20.0;
    switch (quantity) {
    case ReadingQuantity::OpenCircuitVoltage:
    case ReadingQuantity::LoadedVoltage: {
        const double expected = std::abs(context.openCircuitVolts.value_or(0.0));
        if (expected < 0.01) {
            return Bounds{2e-3, kVoltsOfAnyCell};
        }
        const bool open = quantity == ReadingQuantity::OpenCircuitVoltage;
        return Bounds{open ? expected / 100.0 : 1e-3, std::max(2.0 * expected, expected + 0.5)};
    }
    case ReadingQuantity::ShortCircuitCurrent:
    case ReadingQuantity::Current: {
        const double expected = std::abs(context.shortCircuitAmps.value_or(0.0));
        if (expected < 1e-9) {
            return Bounds{1e-8, kAmpsOfAnyCell};
        }
        // Currents are expected within a factor of five; a factor of a thousand is a unit.
        const bool shorted = quantity == ReadingQuantity::ShortCircuitCurrent;
        return Bounds{shorted ? expected / 200.0 : 0.0, 50.0 * expected};
    }
    default:
        return std::nullopt;
    }
}

/// The same digits in the units that would fit.
std::vector<std::string> fittingUnits(std::string_view text, const Token& word, ReadingQuantity quantity,
                                      const EntryContext& context) {
    std::vector<std::string> choices = {std::string(text)};
    const auto bounds = boundsOf(quantity, context);
    const bool volts =
        quantity == ReadingQuantity::OpenCircuitVoltage || quantity == ReadingQuantity::LoadedVoltage;
    const quantity::QuantityReading& reading = word.readings.front();
    for (const double toSi : {1.0, 1e-3, 1e-6}) {
        const std::string symbol = quantity::symbolFor(volts ? Dimension::Volt : Dimension::Ampere, toSi);
        const double value = std::abs(reading.written) * toSi;
        if (bounds && value >= bounds->least && value <= bounds->most && symbol != reading.unit.symbol) {
            quantity::QuantityReading other = reading;
            other.unit.symbol = symbol;
            choices.push_back(replaced(text, word.text, quantity::writtenOut(other)));
        }
    }
    return choices;
}

std::optional<Entry> implausible(std::string_view text, const Token& word, const record::Reading& reading,
                                 const EntryContext& context) {
    const auto bounds = boundsOf(reading.quantity, context);
    const double size = std::abs(reading.value);
    if (bounds && size > 0.0 && (size < bounds->least || size > bounds->most)) {
        return asQuestion(wording::text({"entry.far", {{"value", readingText(reading)}}}),
                          fittingUnits(text, word, reading.quantity, context));
    }
    if (!isPlausible(reading.quantity, reading.value)) {
        return asQuestion(
            wording::text(
                {"entry.out-of-range", {{"quantity", readingName(reading.quantity)}, {"typed", word.text}}}),
            {std::string(text) + std::string(kAsNote)});
    }
    return std::nullopt;
}

struct Found {
    std::vector<record::Reading> readings;
    std::optional<Entry> question;
};

/// Every quantity of the line that is a reading.
Found readingsOf(std::string_view text, Understanding& understanding, const EntryContext& context,
                 bool confirmed) {
    Found found;
    for (std::size_t i = 0; i < understanding.words.size(); ++i) {
        Token& word = understanding.words[i];
        if (word.used || !word.quantity) {
            continue;
        }
        const auto quantity = quantityFor(*word.quantity, understanding);
        if (!quantity) {
            continue;
        }
        record::Reading reading;
        reading.quantity = *quantity;
        reading.side = understanding.side;
        reading.loadOhm = understanding.loadOhm;
        reading.when = understanding.when;
        const bool bare = word.quantity->dimension == Dimension::None;
        reading.value = bare ? bareToSi(*quantity, word.quantity->value) : word.quantity->value;
        if (auto question = implausible(text, word, reading, context); question && !confirmed) {
            found.question = std::move(question);
            return found;
        }
        const bool again =
            std::any_of(found.readings.begin(), found.readings.end(),
                        [&](const record::Reading& other) { return other.quantity == reading.quantity; });
        if (again) {
            found.question = asQuestion(wording::text("entry.two-of-a-kind"), {});
            return found;
        }
        word.used = true;
        if (i > 0 && isFiller(understanding.words[i - 1].text)) {
            understanding.words[i - 1].used = true;
        }
        found.readings.push_back(reading);
    }
    return found;
}

/// "0.85 V 21 mA": read at the same time, the voltage is that of a load.
void joinLoadedPair(std::vector<record::Reading>& readings, bool saidOpen) {
    const auto of = [&](ReadingQuantity quantity) {
        return std::find_if(readings.begin(), readings.end(),
                            [&](const record::Reading& reading) { return reading.quantity == quantity; });
    };
    const auto volts = of(ReadingQuantity::OpenCircuitVoltage);
    const auto amps = of(ReadingQuantity::Current);
    if (!saidOpen && volts != readings.end() && amps != readings.end() && amps->value > 0.0) {
        volts->quantity = ReadingQuantity::LoadedVoltage;
        volts->loadOhm = volts->value / amps->value;
    }
}

std::string_view withoutEnds(std::string_view text) {
    while (!text.empty() && (text.front() == ' ' || text.front() == '\t')) {
        text.remove_prefix(1);
    }
    while (!text.empty() && (text.back() == ' ' || text.back() == '\t')) {
        text.remove_suffix(1);
    }
    return text;
}

/// Only a number: of what, nobody can know.
bool isBareNumber(const Understanding& understanding) {
    return understanding.words.size() == 1 && understanding.words.front().quantity &&
           understanding.words.front().quantity->dimension == Dimension::None;
}

Entry asEvent(Understanding& understanding, Millis now) {
    Entry entry;
    entry.kind = Entry::Kind::Event;
    entry.event = {{}, {}, understanding.when, unusedWords(understanding.words), true};
    entry.echo = wording::text(
        {"entry.event", {{"text", entry.event.text}, {"when", timeEcho(understanding.when, now)}}});
    return entry;
}

Entry asReadings(std::vector<record::Reading> readings, const Understanding& understanding, Millis now) {
    Entry entry;
    entry.kind = Entry::Kind::Reading;
    readings.front().note = unusedWords(understanding.words);
    std::vector<base::Said> echo;
    echo.reserve(readings.size() + 2); // note and time
    for (const record::Reading& reading : readings) {
        echo.push_back(readingSaid(reading));
    }
    if (!readings.front().note.empty()) {
        echo.push_back(base::Said("entry.note", {{"text", readings.front().note}}));
    }
    echo.push_back(base::Said("entry.when-read", {{"when", timeEcho(understanding.when, now)}}));
    entry.echo = wording::text({"list.all", {{"all", echo}}});
    entry.reading = readings.front();
    entry.also.assign(readings.begin() + 1, readings.end());
    return entry;
}

} // namespace

Entry readEntry(std::string_view text, Millis now, const EntryContext& context, bool confirmed) {
    text = withoutEnds(text);
    if (text.empty()) {
        return {};
    }
    if (text.ends_with(kAsNote)) {
        return asNote(text.substr(0, text.size() - kAsNote.size()), now, false);
    }
    Understanding understanding = understand(text, now);
    const bool firstIsValue = understanding.words.front().quantity.has_value();
    if (understanding.deed && !firstIsValue) {
        return asEvent(understanding, now);
    }
    if (isBareNumber(understanding) && !confirmed) {
        const std::string number = understanding.words.front().text;
        return asQuestion(wording::text({"entry.of-what", {{"number", number}}}),
                          {number + " V", number + " mA", "pH " + number, number + std::string(kAsNote)});
    }
    const bool saidOpen = understanding.quantity == ReadingQuantity::OpenCircuitVoltage;
    if (saidOpen && (understanding.loadOhm || understanding.loaded) && !confirmed) {
        return asQuestion(wording::text("entry.not-open"), {});
    }
    if (const auto low = rangeIn(understanding); low && !confirmed) {
        return oneOfARange(text, understanding, *low);
    }
    Found found = readingsOf(text, understanding, context, confirmed);
    if (understanding.loadUnclear && !found.readings.empty() && !confirmed) {
        return asQuestion(wording::text("entry.what-load"), {std::string(text) + std::string(kAsNote)});
    }
    if (found.question || !found.readings.empty()) {
        if (auto unclear = unclearNumber(text, understanding)) {
            return *unclear;
        }
        if (auto unclear = unclearTime(understanding)) {
            return *unclear;
        }
    }
    if (found.question) {
        return *found.question;
    }
    if (const auto stray = strayNumberIn(understanding); stray && !found.readings.empty() && !confirmed) {
        return twoNumbers(text, understanding, *stray);
    }
    if (found.readings.empty()) {
        return asNote(text, now, firstIsValue);
    }
    joinLoadedPair(found.readings, saidOpen);
    return asReadings(std::move(found.readings), understanding, now);
}

} // namespace anodex::wording
