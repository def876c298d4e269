#include "wording/entry/EntryTime.h"

#include "quantity/Letters.h"

#include <algorithm>
#include <cmath>

namespace anodex::wording {
namespace {

using record::Millis;

constexpr const char* kMonths[] = {"jan", "feb", "mar", "apr", "may", "jun",
                                   "jul", "aug", "sep", "oct", "nov", "dec"};
constexpr const char* kUnclearTimes[] = {
    "yesterday", "tomorrow", "tonight", "later",    "earlier", "ago",  "monday", "tuesday",
    "wednesday", "thursday", "friday",  "saturday", "sunday",  "noon", "midday", "midnight"};

/// "3 March", "March 3"; "may" alone is another word.
bool isMonthWithDay(const Tokens& words, std::size_t at) {
    const std::string word = words[at].word();
    const bool month =
        word.size() >= 3 && std::any_of(std::begin(kMonths), std::end(kMonths),
                                        [&](const char* name) { return word.starts_with(name); });
    const auto isDay = [&](std::size_t i) { return i < words.size() && words[i].isBare(); };
    return month && (isDay(at + 1) || isDay(at - 1));
}

/// "2026-03-01", "3/3/26", "1.3.2026": a number with two marks of a date.
bool isDate(const std::string& word) {
    const auto marks =
        std::count_if(word.begin(), word.end(), [](char c) { return c == '-' || c == '/' || c == '.'; });
    return quantity::isDigit(word.front()) && quantity::isDigit(word.back()) && marks == 2 &&
           std::none_of(word.begin(), word.end(), quantity::isLetter);
}

/// "14h30", "12:30"
bool isClock(const std::string& word) {
    const std::size_t mark = word.find_first_of(":hH");
    return mark != std::string::npos && mark > 0 && mark + 2 < word.size() && quantity::isDigit(word[0]) &&
           quantity::isDigit(word[mark + 1]) && quantity::isDigit(word[mark + 2]);
}

/// "this morning", "last night"
bool isPartOfADay(const Tokens& words, std::size_t at) {
    if (at == 0) {
        return false;
    }
    const std::string word = words[at].word();
    const std::string before = words[at - 1].word();
    const bool part =
        word == "morning" || word == "afternoon" || word == "evening" || word == "night" || word == "week";
    return part && (before == "this" || before == "last" || before == "yesterday");
}

} // namespace

void takeTime(Understanding& understanding, Millis now) {
    understanding.when = now;
    auto& words = understanding.words;
    for (std::size_t i = 1; i < words.size(); ++i) {
        if (words[i].word() == "ago" && words[i - 1].is(Dimension::Second) &&
            words[i - 1].quantity->value >= 0.0) {
            understanding.when =
                now - static_cast<Millis>(std::llround(words[i - 1].quantity->value * 1000.0));
            words[i].used = true;
            words[i - 1].used = true;
            understanding.tellsTime = true;
            return;
        }
    }
    understanding.tellsTime =
        std::any_of(words.begin(), words.end(), [](const Token& word) { return word.word() == "now"; });
}

void takeLoadedTime(Understanding& understanding) {
    const bool shorted =
        understanding.saysShort || understanding.quantity == record::ReadingQuantity::ShortCircuitCurrent;
    if (!understanding.isLoaded() && !shorted) {
        return;
    }
    auto& words = understanding.words;
    for (std::size_t i = 0; i < words.size(); ++i) {
        if (words[i].used || !words[i].is(Dimension::Second) || words[i].quantity->value < 0.0) {
            continue;
        }
        const std::string before = i > 0 ? words[i - 1].word() : "";
        const std::string behind = i + 1 < words.size() ? words[i + 1].word() : "";
        if (before == "in" || before == "every" || before == "until" || before == "before") {
            continue; // "in 5 min" is to come
        }
        understanding.loadedSeconds = words[i].quantity->value;
        words[i].used = true;
        if (before == "after" || before == "for" || before == "within" || before == "at" || before == "@") {
            words[i - 1].used = true;
        }
        if (behind == "later" || behind == "in" || behind == "on" || behind == "loaded") {
            words[i + 1].used = true;
        }
        return;
    }
}

const Token* unclearTimeIn(const Understanding& understanding) {
    for (std::size_t i = 0; i < understanding.words.size(); ++i) {
        const Token& word = understanding.words[i];
        const std::string plain = word.word();
        const bool day = isMonthWithDay(understanding.words, i) || isPartOfADay(understanding.words, i) ||
                         (!word.quantity && isDate(word.text));
        const bool clock = !word.quantity && isClock(word.text);
        const bool toCome = plain == "in" && understanding.hasUnused(Dimension::Second);
        const bool named = std::any_of(std::begin(kUnclearTimes), std::end(kUnclearTimes),
                                       [&](const char* unclear) { return plain == unclear; });
        if (!word.used && (named || day || clock || toCome)) {
            return &word;
        }
    }
    return nullptr;
}

} // namespace anodex::wording
