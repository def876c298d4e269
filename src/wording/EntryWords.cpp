#include "wording/EntryWords.h"

#include "quantity/Letters.h"

#include <algorithm>
#include <cmath>

namespace anodex::wording {
namespace {

using quantity::lowered;
using record::Millis;
using record::ReadingQuantity;
using record::ReadingSide;

/// A blank, "=" or a colon that is no clock's ends a word.
std::size_t endOfWord(std::string_view text) {
    for (std::size_t i = 1; i < text.size(); ++i) {
        const bool clock = text[i] == ':' && i + 1 < text.size() && quantity::isDigit(text[i + 1]) &&
                           quantity::isDigit(text[i - 1]);
        if (text[i] == ' ' || text[i] == '\t' || text[i] == '=' || (text[i] == ':' && !clock)) {
            return i;
        }
    }
    return text.size();
}

/// A quantity ends before a blank, a comma or semicolon, and the full stop of a sentence.
bool endsAt(std::string_view text, std::size_t at) {
    if (at >= text.size() || text[at] == ' ' || text[at] == '\t' || text[at] == ';' || text[at] == ',') {
        return true;
    }
    return text[at] == '.' && (at + 1 == text.size() || text[at + 1] == ' ');
}

std::vector<Token> tokens(std::string_view text) {
    std::vector<Token> list;
    while (true) {
        const std::size_t start = text.find_first_not_of(" \t");
        if (start == std::string_view::npos) {
            return list;
        }
        text.remove_prefix(start);
        const auto quantity = quantity::readQuantity(text);
        const std::size_t wordEnd = endOfWord(text);
        const bool stops = quantity && endsAt(text, quantity->used);
        if (stops) {
            const ParsedQuantity likeliest{quantity->readings.front().value, quantity->dimension(),
                                           quantity->used};
            list.push_back({std::string(text.substr(0, quantity->used)), likeliest, quantity->readings});
            text.remove_prefix(quantity->used);
            if (!text.empty() && text.front() != ' ') {
                text.remove_prefix(1);
            }
        } else {
            list.push_back({std::string(text.substr(0, wordEnd)), std::nullopt, {}});
            text.remove_prefix(wordEnd);
            if (!text.empty() && (text.front() == '=' || text.front() == ':')) {
                text.remove_prefix(1);
            }
        }
    }
}

constexpr std::pair<const char*, ReadingQuantity> kQuantityWords[] = {
    {"ocv", ReadingQuantity::OpenCircuitVoltage},
    {"emf", ReadingQuantity::OpenCircuitVoltage},
    {"u", ReadingQuantity::OpenCircuitVoltage},
    {"open", ReadingQuantity::OpenCircuitVoltage},
    {"oc", ReadingQuantity::OpenCircuitVoltage},
    {"voc", ReadingQuantity::OpenCircuitVoltage},
    {"short", ReadingQuantity::ShortCircuitCurrent},
    {"shorted", ReadingQuantity::ShortCircuitCurrent},
    {"shorting", ReadingQuantity::ShortCircuitCurrent},
    {"sc", ReadingQuantity::ShortCircuitCurrent},
    {"isc", ReadingQuantity::ShortCircuitCurrent},
    {"ph", ReadingQuantity::Acidity},
    {"temp", ReadingQuantity::Temperature},
    {"temperature", ReadingQuantity::Temperature},
    {"density", ReadingQuantity::Density},
    {"sg", ReadingQuantity::Density},
    {"gravity", ReadingQuantity::Density},
    {"mass", ReadingQuantity::Mass},
    {"weight", ReadingQuantity::Mass},
    {"weighs", ReadingQuantity::Mass},
    {"level", ReadingQuantity::Level},
    {"resistance", ReadingQuantity::Resistance}};
constexpr const char* kFillers[] = {"circuit", "reads",   "is",      "of",       "now", "=",     ":",   "the",
                                    "side",    "voltage", "current", "specific", "@",   "gives", "dead"};
constexpr const char* kLoadWords[] = {"through", "across", "load", "into", "at", "with", "over", "@", "on"};
constexpr const char* kMonths[] = {"jan", "feb", "mar", "apr", "may", "jun",
                                   "jul", "aug", "sep", "oct", "nov", "dec"};
/// Whatever is behind them draws current.
constexpr const char* kDrivingWords[] = {"through", "into", "driving", "powering", "running", "feeding"};
constexpr const char* kDeviceWords[] = {"led",   "leds", "motor", "buzzer", "lamp",    "bulb",
                                        "radio", "fan",  "clock", "beacon", "resistor"};
constexpr const char* kUnclearTimes[] = {
    "yesterday", "tomorrow", "tonight", "later",    "earlier", "ago",  "monday", "tuesday",
    "wednesday", "thursday", "friday",  "saturday", "sunday",  "noon", "midday", "midnight"};
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
            } else if (text == name && quantity == ReadingQuantity::ShortCircuitCurrent) {
                word.used = true;
                understanding.saysShort = true;
            } else if (text == name && quantity == ReadingQuantity::OpenCircuitVoltage) {
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

/// "with the LED", "through my toy": whatever hangs on the cell, it is no open circuit. The word stays in the
/// note.
void takeDevice(Understanding& understanding) {
    for (const Token& word : understanding.words) {
        understanding.loaded =
            understanding.loaded || (!word.used && (isOneOf(lowered(word.text), kDeviceWords) ||
                                                    isOneOf(lowered(word.text), kDrivingWords)));
    }
}

/// "0.9 V 10 ohm": ohms beside volts or amperes are what it was read through.
void takeBareLoad(Understanding& understanding) {
    const bool beside =
        understanding.hasUnused(Dimension::Volt) || understanding.hasUnused(Dimension::Ampere);
    if (understanding.loadOhm || !beside || understanding.quantity == ReadingQuantity::Resistance) {
        return;
    }
    for (Token& word : understanding.words) {
        if (!word.used && word.quantity && word.quantity->dimension == Dimension::Ohm &&
            word.quantity->value > 0.0) {
            understanding.loadOhm = word.quantity->value;
            word.used = true;
            return;
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

/// "through ten ohm", "into a few kohm": a load whose ohms nobody can read.
void takeUnclearLoad(Understanding& understanding) {
    if (understanding.loadOhm || understanding.quantity == ReadingQuantity::Resistance) {
        return;
    }
    for (const Token& word : understanding.words) {
        const auto units =
            word.text.size() > 1 ? quantity::readingsOf(word.text) : std::vector<quantity::UnitReading>();
        understanding.loadUnclear =
            understanding.loadUnclear ||
            (!word.used && !word.quantity && !units.empty() && units.front().dimension == Dimension::Ohm);
    }
}

/// "voltage 1.02": without a load on it, at rest.
void takeVoltageWord(Understanding& understanding) {
    if (understanding.quantity || understanding.loaded || understanding.loadOhm) {
        return;
    }
    for (Token& word : understanding.words) {
        if (!word.used && lowered(word.text) == "voltage") {
            understanding.quantity = ReadingQuantity::OpenCircuitVoltage;
            word.used = true;
        }
    }
}

} // namespace

bool Understanding::hasUnused(Dimension dimension) const {
    return std::any_of(words.begin(), words.end(), [&](const Token& word) {
        return !word.used && word.quantity && word.quantity->dimension == dimension;
    });
}

bool Understanding::has(Dimension dimension) const {
    return std::any_of(words.begin(), words.end(), [&](const Token& word) {
        return word.quantity && word.quantity->dimension == dimension;
    });
}

Understanding understand(std::string_view text, Millis now) {
    Understanding understanding;
    understanding.words = tokens(text);
    takeTime(understanding, now);
    understanding.deed =
        std::any_of(understanding.words.begin(), understanding.words.end(), [](const Token& word) {
            return !word.quantity && isOneOf(lowered(word.text), kEventWords);
        });
    if (understanding.deed && !understanding.words.front().quantity) {
        return understanding; // the rest is the deed's own words
    }
    takeWords(understanding);
    takeLoad(understanding);
    takeLoaded(understanding);
    takeDevice(understanding);
    takeBareLoad(understanding);
    takeUnclearLoad(understanding);
    takeVoltageWord(understanding);
    return understanding;
}

bool isFiller(const std::string& word) {
    return isOneOf(lowered(word), kFillers);
}

std::optional<std::size_t> rangeIn(const Understanding& understanding) {
    const auto& words = understanding.words;
    for (std::size_t i = 0; i + 2 < words.size(); ++i) {
        const std::string joint = lowered(words[i + 1].text);
        const bool joins = joint == "to" || joint == "and" || joint == "or" || joint == "..." ||
                           joint == "-" || joint == "\u2013" || joint == "\u2026";
        if (joins && words[i].quantity && words[i].quantity->dimension == Dimension::None &&
            words[i + 2].quantity && words[i + 2].quantity->dimension != Dimension::None) {
            return i;
        }
    }
    return std::nullopt;
}

std::optional<std::size_t> strayNumberIn(const Understanding& understanding) {
    const auto& words = understanding.words;
    for (std::size_t i = 0; i + 1 < words.size(); ++i) {
        const bool number = quantity::isDigit(words[i].text.front()) &&
                            (!words[i].quantity || words[i].quantity->dimension == Dimension::None) &&
                            std::none_of(words[i].text.begin(), words[i].text.end(), quantity::isLetter);
        if (number && !words[i].used && words[i + 1].used && words[i + 1].quantity) {
            return i;
        }
    }
    return std::nullopt;
}

namespace {

/// "3 March", "March 3"; "may" alone is another word.
bool isMonthWithDay(const std::vector<Token>& words, std::size_t at) {
    const std::string word = lowered(words[at].text);
    const bool month =
        word.size() >= 3 && std::any_of(std::begin(kMonths), std::end(kMonths),
                                        [&](const char* name) { return word.starts_with(name); });
    const auto isDay = [&](std::size_t i) {
        return i < words.size() && words[i].quantity && words[i].quantity->dimension == Dimension::None;
    };
    return month && (isDay(at + 1) || isDay(at - 1));
}

/// "2026-03-01", "3/3/26", "1.3.2026": a number with two marks of a date.
bool isDate(const std::string& word) {
    const auto marks =
        std::count_if(word.begin(), word.end(), [](char c) { return c == '-' || c == '/' || c == '.'; });
    return quantity::isDigit(word.front()) && quantity::isDigit(word.back()) && marks == 2 &&
           std::none_of(word.begin(), word.end(), quantity::isLetter);
}

/// "this morning", "last night"
bool isPartOfADay(const std::vector<Token>& words, std::size_t at) {
    if (at == 0) {
        return false;
    }
    const std::string word = lowered(words[at].text);
    const std::string before = lowered(words[at - 1].text);
    const bool part =
        word == "morning" || word == "afternoon" || word == "evening" || word == "night" || word == "week";
    return part && (before == "this" || before == "last" || before == "yesterday");
}

} // namespace

const Token* unclearTimeIn(const Understanding& understanding) {
    for (std::size_t i = 0; i < understanding.words.size(); ++i) {
        const Token& word = understanding.words[i];
        const std::string plain = lowered(word.text);
        const bool day = isMonthWithDay(understanding.words, i) || isPartOfADay(understanding.words, i) ||
                         (!word.quantity && isDate(word.text));
        const bool clock = word.text.find(':') != std::string::npos && word.text.size() >= 4 &&
                           quantity::isDigit(word.text.front());
        const bool toCome = plain == "in" && understanding.hasUnused(Dimension::Second);
        if (!word.used && (isOneOf(plain, kUnclearTimes) || day || clock || toCome)) {
            return &word;
        }
    }
    return nullptr;
}

} // namespace anodex::wording
