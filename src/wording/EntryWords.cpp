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
        const bool stops = quantity && (quantity->used >= text.size() || text[quantity->used] == ' ' ||
                                        text[quantity->used] == ';' || text[quantity->used] == ',');
        if (stops) {
            const ParsedQuantity likeliest{quantity->readings.front().value, quantity->dimension(),
                                           quantity->used};
            list.push_back({std::string(text.substr(0, quantity->used)), likeliest, quantity->readings});
            text.remove_prefix(quantity->used);
            if (!text.empty() && (text.front() == ';' || text.front() == ',')) {
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
constexpr const char* kDeviceWords[] = {"led",   "leds", "motor", "buzzer", "lamp",    "bulb",
                                        "radio", "fan",  "clock", "beacon", "resistor"};
constexpr const char* kUnclearTimes[] = {"yesterday", "tomorrow", "tonight",  "later",
                                         "earlier",   "monday",   "tuesday",  "wednesday",
                                         "thursday",  "friday",   "saturday", "sunday"};
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

/// "with the LED", "on the motor": whatever hangs on the cell, it is no open circuit. The word stays in the
/// note.
void takeDevice(Understanding& understanding) {
    for (const Token& word : understanding.words) {
        understanding.loaded =
            understanding.loaded || (!word.used && isOneOf(lowered(word.text), kDeviceWords));
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
    takeVoltageWord(understanding);
    return understanding;
}

bool isFiller(const std::string& word) {
    return isOneOf(lowered(word), kFillers);
}

const Token* unclearTimeIn(const Understanding& understanding) {
    for (const Token& word : understanding.words) {
        const std::string plain = lowered(word.text);
        const bool clock = word.text.find(':') != std::string::npos && word.text.size() >= 4 &&
                           quantity::isDigit(word.text.front());
        const bool toCome = plain == "in" && understanding.hasUnused(Dimension::Second);
        if (!word.used && (isOneOf(plain, kUnclearTimes) || clock || toCome)) {
            return &word;
        }
    }
    return nullptr;
}

} // namespace anodex::wording
