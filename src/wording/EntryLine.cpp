#include "wording/EntryLine.h"

#include "wording/PartText.h"
#include "wording/Quantities.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <fmt/format.h>
#include <optional>
#include <vector>

namespace anodex::wording {
namespace {

using record::Millis;
using record::Reading;
using record::ReadingQuantity;
using record::ReadingSide;

/// A word, or a number with its unit.
struct Token {
    std::string text;
    std::optional<ParsedQuantity> quantity;
    bool used = false;
};

std::string lowered(std::string text) {
    std::transform(text.begin(), text.end(), text.begin(), [](unsigned char c) {
        return static_cast<char>(c >= 'A' && c <= 'Z' ? c - 'A' + 'a' : c);
    });
    return text;
}

std::vector<Token> tokens(std::string_view text) {
    std::vector<Token> list;
    while (true) {
        const std::size_t start = text.find_first_not_of(" \t");
        if (start == std::string_view::npos) {
            return list;
        }
        text.remove_prefix(start);
        const auto quantity = parseQuantity(text);
        const std::size_t wordEnd = std::min(text.find_first_of(" \t"), text.size());
        const bool stops = quantity && (quantity->used >= text.size() || text[quantity->used] == ' ' ||
                                        text[quantity->used] == ';' || text[quantity->used] == ',');
        if (stops) {
            list.push_back({std::string(text.substr(0, quantity->used)), quantity});
            text.remove_prefix(quantity->used);
            if (!text.empty() && (text.front() == ';' || text.front() == ',')) {
                text.remove_prefix(1);
            }
        } else {
            list.push_back({std::string(text.substr(0, wordEnd)), std::nullopt});
            text.remove_prefix(wordEnd);
        }
    }
}

struct Understanding {
    std::vector<Token> words;
    std::optional<ReadingQuantity> quantity;
    ReadingSide side = ReadingSide::Whole;
    std::optional<double> loadOhm;
    bool loaded = false; ///< Said to be under load, with or without its ohms.
    Millis when = 0;
};

constexpr std::pair<const char*, ReadingQuantity> kQuantityWords[] = {
    {"ocv", ReadingQuantity::OpenCircuitVoltage},
    {"open", ReadingQuantity::OpenCircuitVoltage},
    {"oc", ReadingQuantity::OpenCircuitVoltage},
    {"voc", ReadingQuantity::OpenCircuitVoltage},
    {"short", ReadingQuantity::ShortCircuitCurrent},
    {"shorted", ReadingQuantity::ShortCircuitCurrent},
    {"sc", ReadingQuantity::ShortCircuitCurrent},
    {"isc", ReadingQuantity::ShortCircuitCurrent},
    {"ph", ReadingQuantity::Acidity},
    {"temp", ReadingQuantity::Temperature},
    {"temperature", ReadingQuantity::Temperature},
    {"density", ReadingQuantity::Density},
    {"mass", ReadingQuantity::Mass},
    {"weight", ReadingQuantity::Mass},
    {"level", ReadingQuantity::Level},
    {"resistance", ReadingQuantity::Resistance}};
constexpr const char* kFillers[] = {"circuit", "reads", "is",   "of",      "now",    "=",
                                    ":",       "the",   "side", "voltage", "current"};
constexpr const char* kLoadWords[] = {"through", "across", "load", "into", "at", "with", "over"};
constexpr const char* kEventWords[] = {"added",    "stirred", "pressed",  "replaced", "filled",  "cleaned",
                                       "swapped",  "topped",  "refilled", "removed",  "washed",  "dried",
                                       "siphoned", "charged", "rinsed",   "scraped",  "shook",   "tightened",
                                       "moved",    "opened",  "closed",   "soaked",   "emptied", "poured"};

template <std::size_t N> bool isOneOf(const std::string& word, const char* const (&list)[N]) {
    return std::any_of(std::begin(list), std::end(list), [&](const char* entry) { return word == entry; });
}

/// "12 min ago" anywhere.
void takeTime(Understanding& understanding, Millis now) {
    understanding.when = now;
    auto& words = understanding.words;
    for (std::size_t i = 1; i < words.size(); ++i) {
        const auto& amount = words[i - 1].quantity;
        if (lowered(words[i].text) == "ago" && amount && amount->dimension == Dimension::Second &&
            amount->value >= 0.0) {
            understanding.when = now - static_cast<Millis>(std::llround(amount->value * 1000.0));
            words[i].used = true;
            words[i - 1].used = true;
            return;
        }
    }
}

void takeWords(Understanding& understanding) {
    for (Token& word : understanding.words) {
        const std::string text = lowered(word.text);
        if (word.used || word.quantity) {
            continue;
        }
        if (text == "neg" || text == "negative" || text == "-" || text == "\u2212") {
            understanding.side = ReadingSide::Negative;
            word.used = true;
        } else if (text == "pos" || text == "positive" || text == "+") {
            understanding.side = ReadingSide::Positive;
            word.used = true;
        }
        for (const auto& [name, quantity] : kQuantityWords) {
            if (text == name && !understanding.quantity) {
                understanding.quantity = quantity;
                word.used = true;
            }
        }
    }
    if (understanding.quantity) {
        for (Token& word : understanding.words) {
            word.used = word.used || (!word.quantity && isOneOf(lowered(word.text), kFillers));
        }
    }
    if (understanding.side != ReadingSide::Whole) {
        for (Token& word : understanding.words) {
            word.used = word.used || lowered(word.text) == "side";
        }
    }
}

/// "under load", "loaded"
void takeLoaded(Understanding& understanding) {
    auto& words = understanding.words;
    for (std::size_t i = 0; i < words.size(); ++i) {
        const std::string text = lowered(words[i].text);
        if (!words[i].used && (text == "load" || text == "loaded")) {
            understanding.loaded = true;
            words[i].used = true;
            if (i > 0 && lowered(words[i - 1].text) == "under") {
                words[i - 1].used = true;
            }
        }
    }
}

/// "through 10 ohm", "10 ohm load"
void takeLoad(Understanding& understanding) {
    auto& words = understanding.words;
    const auto isOhm = [](const Token& word) {
        return !word.used && word.quantity && word.quantity->dimension == Dimension::Ohm &&
               word.quantity->value > 0.0;
    };
    for (std::size_t i = 0; i < words.size(); ++i) {
        if (words[i].used || words[i].quantity || !isOneOf(lowered(words[i].text), kLoadWords)) {
            continue;
        }
        for (const std::size_t near : {i + 1, i - 1}) {
            if (near < words.size() && isOhm(words[near])) {
                understanding.loadOhm = words[near].quantity->value;
                words[near].used = true;
                words[i].used = true;
                return;
            }
        }
    }
}

std::optional<ReadingQuantity> quantityFor(const ParsedQuantity& value, const Understanding& understanding) {
    const auto& asked = understanding.quantity;
    switch (value.dimension) {
    case Dimension::Volt:
        if (asked && *asked != ReadingQuantity::OpenCircuitVoltage) {
            return std::nullopt;
        }
        return understanding.loadOhm || (understanding.loaded && !asked)
                   ? ReadingQuantity::LoadedVoltage
                   : ReadingQuantity::OpenCircuitVoltage;
    case Dimension::Ampere:
        if (asked && *asked != ReadingQuantity::ShortCircuitCurrent) {
            return std::nullopt;
        }
        return asked ? ReadingQuantity::ShortCircuitCurrent : ReadingQuantity::Current;
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
    return when == now ? "now" : durationText(static_cast<double>(now - when) / 1000.0) + " ago";
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

Entry asNote(std::string_view text, Millis now, const std::string& why) {
    Entry entry;
    entry.kind = Entry::Kind::Note;
    entry.event = {{}, {}, now, std::string(text), false};
    entry.echo = "note: " + std::string(text) + (why.empty() ? "" : " (" + why + ")");
    return entry;
}

} // namespace

Entry readEntry(std::string_view text, Millis now) {
    while (!text.empty() && (text.front() == ' ' || text.front() == '\t')) {
        text.remove_prefix(1);
    }
    while (!text.empty() && (text.back() == ' ' || text.back() == '\t')) {
        text.remove_suffix(1);
    }
    if (text.empty()) {
        return {};
    }
    Understanding understanding;
    understanding.words = tokens(text);
    takeTime(understanding, now);
    const bool begins =
        std::any_of(understanding.words.begin(), understanding.words.end(), [](const Token& word) {
            return !word.quantity && isOneOf(lowered(word.text), kEventWords);
        });
    const bool firstIsValue = understanding.words.front().quantity.has_value();
    if (begins && !firstIsValue) {
        Entry entry;
        entry.kind = Entry::Kind::Event;
        entry.event = {{}, {}, understanding.when, unusedWords(understanding.words), true};
        entry.echo = "event: " + entry.event.text + " · " + timeEcho(understanding.when, now);
        return entry;
    }
    takeWords(understanding);
    takeLoad(understanding);
    takeLoaded(understanding);
    for (std::size_t i = 0; i < understanding.words.size(); ++i) {
        Token& word = understanding.words[i];
        if (word.used || !word.quantity) {
            continue;
        }
        const auto quantity = quantityFor(*word.quantity, understanding);
        if (!quantity) {
            continue;
        }
        Entry entry;
        entry.kind = Entry::Kind::Reading;
        entry.reading.quantity = *quantity;
        entry.reading.side = understanding.side;
        entry.reading.loadOhm = understanding.loadOhm;
        entry.reading.when = understanding.when;
        const bool bare = word.quantity->dimension == Dimension::None;
        entry.reading.value = bare ? bareToSi(*quantity, word.quantity->value) : word.quantity->value;
        if (!isPlausible(*quantity, entry.reading.value)) {
            return asNote(text, now, std::string(readingName(*quantity)) + " out of any sensible range");
        }
        word.used = true;
        if (i > 0 && isOneOf(lowered(understanding.words[i - 1].text), kFillers)) {
            understanding.words[i - 1].used = true;
        }
        entry.reading.note = unusedWords(understanding.words);
        entry.echo = readingSentence(entry.reading);
        entry.echo += entry.reading.note.empty() ? "" : " · note: " + entry.reading.note;
        entry.echo += " · " + timeEcho(understanding.when, now);
        return entry;
    }
    return asNote(text, now, firstIsValue ? "no unit that fits a reading" : "");
}

} // namespace anodex::wording
