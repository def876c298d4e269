#include "wording/entry/EntryWords.h"

#include "quantity/Letters.h"

#include <algorithm>

namespace anodex::wording {
namespace {

using record::Millis;
using record::ReadingQuantity;
using record::ReadingSide;

constexpr const char* kFillers[] = {"circuit", "reads", "is",      "of",      "now",      "=", ":",
                                    "the",     "side",  "current", "voltage", "specific", "@", "gives",
                                    "dead",    "says",  "meter",   "shows",   "it"};
constexpr const char* kEventWords[] = {"added",    "stirred", "pressed",  "replaced", "filled",  "cleaned",
                                       "swapped",  "topped",  "refilled", "removed",  "washed",  "dried",
                                       "siphoned", "charged", "rinsed",   "scraped",  "shook",   "tightened",
                                       "moved",    "opened",  "closed",   "soaked",   "emptied", "poured"};

template <std::size_t N> bool isOneOf(const std::string& word, const char* const (&list)[N]) {
    return std::any_of(std::begin(list), std::end(list), [&](const char* entry) { return word == entry; });
}

} // namespace

bool Understanding::hasUnused(Dimension dimension) const {
    return std::any_of(words.begin(), words.end(),
                       [&](const Token& word) { return !word.used && word.is(dimension); });
}

bool Understanding::has(Dimension dimension) const {
    return std::any_of(words.begin(), words.end(), [&](const Token& word) { return word.is(dimension); });
}

bool tellsADeed(const Tokens& tokens) {
    return std::any_of(tokens.begin(), tokens.end(),
                       [](const Token& word) { return !word.quantity && isOneOf(word.word(), kEventWords); });
}

bool isFiller(const std::string& word) {
    return isOneOf(quantity::lowered(word), kFillers);
}

void takeLetters(Understanding& understanding) {
    auto& words = understanding.words;
    for (std::size_t i = 0; i + 1 < words.size(); ++i) {
        const std::string letter = words[i].word();
        const bool volts = letter == "v" || letter == "u";
        const bool ohm = letter == "r";
        const bool amps = letter == "i";
        const bool isLetter = words[i].named || words[i].text != letter; // "V 0.98": a capital
        if (words[i].used || !isLetter || words[i].quantity || !(volts || ohm || amps)) {
            continue;
        }
        Token& number = words[i + 1];
        if (number.isBare() && !amps) {
            number.takeUnit(quantity::readingsOf(volts ? "V" : "ohm").front());
        }
        words[i].used = number.is(volts ? Dimension::Volt : ohm ? Dimension::Ohm : Dimension::Ampere);
        if (amps && number.isBare()) {
            understanding.quantity = ReadingQuantity::Current;
            words[i].used = true;
        }
    }
}

void takeWords(Understanding& understanding) {
    for (Token& token : understanding.words) {
        const std::string text = token.word();
        if (token.used || token.quantity) {
            continue;
        }
        if (text == "neg" || text == "negative" || text == "-" || text == "\u2212") {
            understanding.side = ReadingSide::Negative;
            token.used = true;
        } else if (text == "pos" || text == "positive" || text == "+") {
            understanding.side = ReadingSide::Positive;
            token.used = true;
        }
        const auto named = quantityNamed(text);
        if (named && !understanding.quantity) {
            understanding.quantity = named;
            token.used = true;
        } else if (named == ReadingQuantity::ShortCircuitCurrent) {
            token.used = true;
            understanding.saysShort = true;
        } else if (named == ReadingQuantity::OpenCircuitVoltage) {
            token.used = true;
        }
    }
    if (understanding.quantity) {
        for (Token& word : understanding.words) {
            word.used = word.used || (!word.quantity && isFiller(word.text));
        }
    }
    if (understanding.side != ReadingSide::Whole) {
        for (Token& word : understanding.words) {
            word.used = word.used || word.word() == "side";
        }
    }
}

void takeMeterWords(Understanding& understanding) {
    if (understanding.quantity || understanding.isLoaded()) {
        return;
    }
    for (Token& word : understanding.words) {
        const std::string text = word.word();
        if (word.used || word.quantity) {
            continue;
        }
        if (text == "voltage") {
            understanding.quantity = ReadingQuantity::OpenCircuitVoltage;
            word.used = true;
        } else if (text == "current") {
            understanding.quantity = ReadingQuantity::Current;
            word.used = true;
        }
    }
}

std::optional<std::size_t> rangeIn(const Tokens& words) {
    for (std::size_t i = 0; i + 2 < words.size(); ++i) {
        const std::string joint = words[i + 1].word();
        const bool joins = joint == "to" || joint == "and" || joint == "or" || joint == "..." ||
                           joint == "/" || joint == "-" || joint == "\u2013" || joint == "\u2026";
        if (joins && words[i].isBare() && words[i + 2].quantity && !words[i + 2].isBare()) {
            return i;
        }
    }
    return std::nullopt;
}

std::optional<std::size_t> strayNumberIn(const Tokens& words) {
    for (std::size_t i = 0; i + 1 < words.size(); ++i) {
        const bool number = quantity::isDigit(words[i].text.front()) &&
                            (!words[i].quantity || words[i].isBare()) &&
                            std::none_of(words[i].text.begin(), words[i].text.end(), quantity::isLetter);
        if (number && !words[i].used && words[i + 1].used && words[i + 1].quantity) {
            return i;
        }
    }
    return std::nullopt;
}

} // namespace anodex::wording
