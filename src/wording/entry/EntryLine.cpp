#include "wording/entry/EntryLine.h"

#include "quantity/Letters.h"
#include "wording/PartText.h"
#include "wording/Texts.h"
#include "wording/entry/EntryAsk.h"
#include "wording/entry/EntryClauses.h"
#include "wording/entry/EntrySlips.h"
#include "wording/entry/EntryTime.h"
#include "wording/entry/EntryUnits.h"
#include "wording/entry/Understand.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <iterator>
#include <optional>
#include <utility>
#include <vector>

namespace anodex::wording {
namespace {

using record::Millis;
using record::Reading;
using record::ReadingQuantity;

std::optional<ReadingQuantity> quantityFor(const ParsedQuantity& value, const Understanding& understanding) {
    const auto& asked = understanding.quantity;
    switch (value.dimension) {
    case Dimension::Volt:
        if (asked && *asked != ReadingQuantity::OpenCircuitVoltage &&
            !(*asked == ReadingQuantity::ShortCircuitCurrent && understanding.has(Dimension::Ampere))) {
            return std::nullopt;
        }
        return understanding.loadOhm || (understanding.isLoaded() && !asked)
                   ? ReadingQuantity::LoadedVoltage
                   : ReadingQuantity::OpenCircuitVoltage;
    case Dimension::Ampere:
        if (understanding.saysShort || asked == ReadingQuantity::ShortCircuitCurrent) {
            return ReadingQuantity::ShortCircuitCurrent;
        }
        return !asked || *asked == ReadingQuantity::Current ? std::optional(ReadingQuantity::Current)
                                                            : std::nullopt;
    case Dimension::Ohm:
        return !asked || *asked == ReadingQuantity::Resistance ? std::optional(ReadingQuantity::Resistance)
                                                               : std::nullopt;
    case Dimension::Kelvin:
        // "sg 1.02 at 21 C": what the word asks for stands elsewhere.
        return !asked || *asked == ReadingQuantity::Temperature || understanding.has(Dimension::None) ||
                       understanding.has(Dimension::Volt) || understanding.has(Dimension::Ampere)
                   ? std::optional(ReadingQuantity::Temperature)
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

std::string timeEcho(Millis when, Millis now) {
    return when == now ? wording::text("entry.now")
                       : wording::text({"entry.ago",
                                        {{"time", durationText(static_cast<double>(now - when) / 1000.0)}}});
}

Entry asNote(std::string_view text, Millis now, bool unfit) {
    Entry entry;
    entry.kind = Entry::Kind::Note;
    entry.event = {{}, {}, now, std::string(text), false};
    entry.echo = wording::text({unfit ? "entry.note-unfit" : "entry.note", {{"text", std::string(text)}}});
    return entry;
}

Entry asQuestion(Question question) {
    Entry entry;
    entry.kind = Entry::Kind::Question;
    entry.echo = question.text;
    entry.question = std::move(question);
    return entry;
}

/// "1 ,02 V" is probably "1,02 V".
Question twoNumbers(std::string_view line, const Tokens& words, std::size_t stray) {
    const std::string& first = words[stray].text;
    const std::string& second = words[stray + 1].text;
    Question question{text({"entry.two-numbers", {{"first", first}, {"second", second}}}), {}};
    if (readEntry(first + second, 0).kind == Entry::Kind::Reading) {
        question.choices.push_back(first + second);
    }
    question.choices.push_back(second);
    question.choices.push_back(asNoteChoice(line));
    return question;
}

/// Every quantity of the clause that is a reading.
void takeReadings(const Line& line, Clause& clause) {
    Understanding& understanding = clause.understanding;
    for (std::size_t i = 0; i < understanding.words.size(); ++i) {
        Token& word = understanding.words[i];
        if (word.used || !word.quantity) {
            continue;
        }
        const auto quantity = quantityFor(*word.quantity, understanding);
        if (!quantity) {
            continue;
        }
        const bool electric = word.is(Dimension::Volt) || word.is(Dimension::Ampere) || word.isBare();
        Reading reading;
        reading.quantity = *quantity;
        reading.side = understanding.side;
        if (electric) {
            reading.loadOhm = understanding.loadOhm;
            reading.device = understanding.device;
            reading.loadedSeconds = understanding.loadedSeconds;
        }
        reading.when = understanding.when;
        reading.value = word.isBare() ? bareToSi(*quantity, word.quantity->value) : word.quantity->value;
        if (auto question = slipIn(line.text, word, reading, line.context); question && !line.confirmed) {
            clause.question = std::move(question);
            return;
        }
        word.used = true;
        if (i > 0 && isFiller(understanding.words[i - 1].text)) {
            understanding.words[i - 1].used = true;
        }
        clause.readings.push_back(reading);
    }
}

/// What may be kept although it was asked about, then what has to be typed as it is meant.
std::optional<Question> questionOf(const Line& line, Clause& clause, bool alone) {
    Understanding& understanding = clause.understanding;
    const Tokens& words = understanding.words;
    const bool saidOpen = understanding.quantity == ReadingQuantity::OpenCircuitVoltage;
    if (auto ofWhat = takeUnits(line.text, understanding, line.context, alone); ofWhat && !line.confirmed) {
        return ofWhat;
    }
    if (saidOpen && understanding.isLoaded() && !line.confirmed) {
        return Question{text("entry.not-open"), {}};
    }
    if (const auto low = rangeIn(words); low && !line.confirmed) {
        return oneOfARange(line.text, words, *low);
    }
    takeReadings(line, clause);
    const bool reads = clause.question || !clause.readings.empty();
    if (understanding.loadUnclear && reads && !line.confirmed) {
        return whatLoad(line.text, understanding);
    }
    if (reads) {
        if (auto unclear = unclearNumber(line.text, words)) {
            return unclear;
        }
        if (auto unclear = unclearTime(understanding)) {
            return unclear;
        }
    }
    if (clause.question) {
        return clause.question;
    }
    if (const auto stray = strayNumberIn(words); stray && !clause.readings.empty() && !line.confirmed) {
        return twoNumbers(line.text, words, *stray);
    }
    if (!saidOpen) {
        joinLoadedPair(clause.readings);
    }
    return std::nullopt;
}

Entry asEvent(const Tokens& tokens, Millis now) {
    Understanding understanding;
    understanding.words = tokens;
    takeTime(understanding, now);
    Entry entry;
    entry.kind = Entry::Kind::Event;
    entry.event = {{}, {}, understanding.when, unusedText(understanding.words), true};
    entry.echo = wording::text(
        {"entry.event", {{"text", entry.event.text}, {"when", timeEcho(understanding.when, now)}}});
    return entry;
}

Entry asReadings(std::vector<Clause>& clauses, Millis now) {
    Entry entry;
    entry.kind = Entry::Kind::Reading;
    std::vector<Reading> all;
    std::vector<base::Said> echo;
    for (std::size_t i = 0; i < clauses.size(); ++i) {
        std::vector<Reading>& readings = clauses[i].readings;
        const std::string note = unusedText(clauses[i].understanding.words);
        if (!readings.empty()) {
            readings.front().note = note;
        } else if (!all.empty()) {
            all.back().note += (all.back().note.empty() ? "" : ", ") + note;
        }
        for (const Reading& reading : readings) {
            echo.push_back(readingSaid(reading));
        }
        if (!note.empty()) {
            echo.push_back(base::Said("entry.note", {{"text", note}}));
        }
        const Millis when = clauses[i].understanding.when;
        if (i + 1 == clauses.size() || clauses[i + 1].understanding.when != when) {
            echo.push_back(base::Said("entry.when-read", {{"when", timeEcho(when, now)}}));
        }
        all.insert(all.end(), readings.begin(), readings.end());
    }
    entry.echo = wording::text({"list.all", {{"all", echo}}});
    entry.reading = all.front();
    entry.also.assign(all.begin() + 1, all.end());
    return entry;
}

/// A number, with words that say nothing of what.
bool isAlone(const Tokens& tokens) {
    return std::count_if(tokens.begin(), tokens.end(),
                         [](const Token& word) { return word.quantity.has_value(); }) == 1 &&
           std::all_of(tokens.begin(), tokens.end(), [](const Token& word) {
               return word.quantity || isFiller(word.text) || word.word() == "on" || word.word() == "about";
           });
}

} // namespace

Entry readEntry(std::string_view text, Millis now, const EntryContext& context, bool confirmed) {
    text = quantity::trimmed(text);
    if (text.empty()) {
        return {};
    }
    if (text.ends_with(kAsNote)) {
        return asNote(text.substr(0, text.size() - kAsNote.size()), now, false);
    }
    const Line line{text, context, confirmed};
    const Tokens tokens = tokensOf(text);
    const bool firstIsValue = !tokens.empty() && tokens.front().quantity.has_value();
    if (tellsADeed(tokens) && !firstIsValue) {
        return asEvent(tokens, now);
    }
    std::vector<Clause> clauses;
    for (const Tokens& clause : clausesOf(tokens)) {
        clauses.push_back({understand(clause, now, context.devices), {}, {}});
    }
    shareTime(clauses);
    if (auto still = shareLoad(line, clauses); still && !confirmed) {
        return asQuestion(std::move(*still));
    }
    std::vector<Reading> all;
    for (Clause& clause : clauses) {
        if (auto question = questionOf(line, clause, isAlone(tokens))) {
            return asQuestion(std::move(*question));
        }
        all.insert(all.end(), clause.readings.begin(), clause.readings.end());
    }
    if (all.empty()) {
        return asNote(text, now, firstIsValue);
    }
    if (readsTwice(all)) {
        return asQuestion({wording::text("entry.two-of-a-kind"), {}});
    }
    if (auto together = togetherOrNot(line, clauses); together && !confirmed) {
        return asQuestion(std::move(*together));
    }
    return asReadings(clauses, now);
}

} // namespace anodex::wording
