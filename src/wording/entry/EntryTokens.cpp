#include "wording/entry/EntryTokens.h"

#include "quantity/Letters.h"

#include <algorithm>
#include <utility>

namespace anodex::wording {
namespace {

using record::ReadingQuantity;

constexpr std::string_view kBlanks = " \t()[]";

bool isBlank(char c) {
    return kBlanks.find(c) != std::string_view::npos;
}

/// "12:30" is one word.
bool isColonOfAClock(std::string_view text, std::size_t at) {
    return at > 0 && at + 1 < text.size() && quantity::isDigit(text[at + 1]) &&
           quantity::isDigit(text[at - 1]);
}

bool endsAWord(std::string_view text, std::size_t at) {
    switch (text[at]) {
    case '=':
    case ';':
    case '@':
        return true;
    case ':':
        return !isColonOfAClock(text, at);
    case ',':
        return at + 1 == text.size() || isBlank(text[at + 1]);
    default:
        return isBlank(text[at]);
    }
}

std::size_t endOfWord(std::string_view text) {
    std::size_t end = 1;
    while (end < text.size() && !endsAWord(text, end)) {
        ++end;
    }
    return end;
}

/// A quantity ends before a blank, a mark, the load behind it, and the full stop of a sentence.
bool endsAQuantity(std::string_view text, std::size_t at, bool hasUnit) {
    if (at >= text.size() || isBlank(text[at])) {
        return true;
    }
    switch (text[at]) {
    case ';':
    case ',':
    case '@':
        return true;
    case ':':
        return !isColonOfAClock(text, at);
    case '/':
        return hasUnit && at + 1 < text.size() && quantity::isDigit(text[at + 1]);
    case '.':
        return at + 1 == text.size() || text[at + 1] == ' ';
    default:
        return false;
    }
}

/// "~0.9 V" is about that.
std::size_t aboutAt(std::string_view text) {
    for (const std::string_view sign : {"~", "\u2248"}) {
        if (text.starts_with(sign)) {
            return sign.size();
        }
    }
    return 0;
}

constexpr std::pair<const char*, ReadingQuantity> kQuantityWords[] = {
    {"ocv", ReadingQuantity::OpenCircuitVoltage},
    {"emf", ReadingQuantity::OpenCircuitVoltage},
    {"u", ReadingQuantity::OpenCircuitVoltage},
    {"open", ReadingQuantity::OpenCircuitVoltage},
    {"oc", ReadingQuantity::OpenCircuitVoltage},
    {"voc", ReadingQuantity::OpenCircuitVoltage},
    {"unloaded", ReadingQuantity::OpenCircuitVoltage},
    {"no-load", ReadingQuantity::OpenCircuitVoltage},
    {"short", ReadingQuantity::ShortCircuitCurrent},
    {"shorted", ReadingQuantity::ShortCircuitCurrent},
    {"shorting", ReadingQuantity::ShortCircuitCurrent},
    {"sc", ReadingQuantity::ShortCircuitCurrent},
    {"isc", ReadingQuantity::ShortCircuitCurrent},
    {"shortcircuit", ReadingQuantity::ShortCircuitCurrent},
    {"short-circuit", ReadingQuantity::ShortCircuitCurrent},
    {"open-circuit", ReadingQuantity::OpenCircuitVoltage},
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

bool isQuantityWord(const Token& token) {
    return !token.quantity && quantityNamed(token.word());
}

/// "open", "short", "pH", "loaded": what a number behind it, or before it, is.
bool isState(const Token& token) {
    return isQuantityWord(token) || (!token.quantity && token.word() == "loaded");
}

bool canBeAReading(const Token& token) {
    return token.quantity && !token.is(Dimension::Second) && !token.is(Dimension::Ohm);
}

/// It holds a reading by itself.
bool isComplete(const Tokens& tokens) {
    const bool named = std::any_of(tokens.begin(), tokens.end(), isQuantityWord);
    return std::any_of(tokens.begin(), tokens.end(), [&](const Token& token) {
        return token.is(Dimension::Volt) || token.is(Dimension::Ampere) || token.is(Dimension::Kelvin) ||
               token.is(Dimension::Density) || (named && token.quantity && !token.is(Dimension::Second));
    });
}

bool givesARange(const Tokens& tokens) {
    return std::any_of(tokens.begin(), tokens.end(), [](const Token& token) {
        return token.word() == "between" || token.word() == "from";
    });
}

bool joins(const Token& token) {
    const std::string word = token.word();
    return word == "and" || word == "then" || word == "&";
}

/// "open 1.02 V short 35 mA", "1.02 V open 35 mA short": before or behind the words that say what it is.
std::vector<Tokens> byStates(const Tokens& clause) {
    const auto states = std::count_if(clause.begin(), clause.end(), isState);
    const auto numbers = std::count_if(clause.begin(), clause.end(), canBeAReading);
    if (states < 2 || numbers < 2) {
        return {clause};
    }
    const auto firstState = std::find_if(clause.begin(), clause.end(), isState);
    const bool before = firstState < std::find_if(clause.begin(), clause.end(), canBeAReading);
    std::vector<Tokens> parts = {{}};
    const auto hasNumber = [&] {
        return std::any_of(parts.back().begin(), parts.back().end(), canBeAReading);
    };
    bool closed = false;
    for (const Token& token : clause) {
        const bool begins = before ? isState(token) && hasNumber() : closed && canBeAReading(token);
        if (begins) {
            parts.emplace_back();
            closed = false;
        }
        parts.back().push_back(token);
        closed = closed || (isState(token) && hasNumber());
    }
    return parts;
}

} // namespace

std::string Token::word() const {
    return quantity::lowered(text);
}

void Token::takeUnit(const quantity::UnitReading& unit) {
    const double written = quantity->value;
    const double value = written * unit.toSi + unit.offset;
    quantity = ParsedQuantity{value, unit.dimension, quantity->used};
    readings = {{value, written, unit}};
}

std::optional<ReadingQuantity> quantityNamed(const std::string& word) {
    for (const auto& [name, quantity] : kQuantityWords) {
        if (word == name) {
            return quantity;
        }
    }
    return std::nullopt;
}

Tokens tokensOf(std::string_view text) {
    Tokens list;
    while (true) {
        const std::size_t start = text.find_first_not_of(kBlanks);
        if (start == std::string_view::npos) {
            return list;
        }
        text.remove_prefix(start);
        if (const std::size_t about = aboutAt(text)) {
            list.push_back({"about"});
            text.remove_prefix(about);
            continue;
        }
        if (!list.empty() && (text.starts_with('=') || text.starts_with(':'))) {
            list.back().named = true;
            text.remove_prefix(1);
            continue;
        }
        const bool behindQuantity = !list.empty() && list.back().quantity;
        if (text.starts_with('@') || (behindQuantity && text.starts_with('/'))) {
            list.push_back({std::string(text.substr(0, 1))});
            text.remove_prefix(1);
            continue;
        }
        const auto quantity = quantity::readQuantity(text);
        if (quantity && endsAQuantity(text, quantity->used, quantity->dimension() != Dimension::None)) {
            const ParsedQuantity likeliest{quantity->readings.front().value, quantity->dimension(),
                                           quantity->used};
            list.push_back({std::string(text.substr(0, quantity->used)), likeliest, quantity->readings});
            text.remove_prefix(quantity->used);
            if (text.starts_with('.')) {
                text.remove_prefix(1);
            }
        } else {
            list.push_back({std::string(text.substr(0, endOfWord(text)))});
            text.remove_prefix(list.back().text.size());
        }
        if (text.starts_with(',') || text.starts_with(';')) {
            list.back().mark = text.front();
            text.remove_prefix(1);
        }
    }
}

std::vector<Tokens> clausesOf(const Tokens& tokens) {
    std::vector<Tokens> segments = {{}};
    for (const Token& token : tokens) {
        if (joins(token) && isComplete(segments.back()) && !givesARange(segments.back())) {
            segments.emplace_back();
        }
        segments.back().push_back(token);
        if (token.mark != 0) {
            segments.emplace_back();
        }
    }
    std::vector<Tokens> clauses;
    bool open = false; // the last clause still waits for its reading
    for (Tokens& segment : segments) {
        const bool complete = isComplete(segment);
        if (clauses.empty() || (complete && !open)) {
            if (!segment.empty() && !clauses.empty() && joins(segment.front())) {
                segment.erase(segment.begin());
            }
            clauses.push_back(segment);
            open = !complete;
        } else {
            clauses.back().insert(clauses.back().end(), segment.begin(), segment.end());
            open = open && !complete;
        }
    }
    std::vector<Tokens> all;
    for (const Tokens& clause : clauses) {
        const std::vector<Tokens> parts = byStates(clause);
        all.insert(all.end(), parts.begin(), parts.end());
    }
    return all;
}

std::string unusedText(const Tokens& tokens) {
    std::string rest;
    char mark = 0;
    for (const Token& token : tokens) {
        if (token.used) {
            continue;
        }
        if (!rest.empty()) {
            rest += mark != 0 ? std::string(1, mark) + " " : " ";
        }
        rest += token.text;
        mark = token.mark;
    }
    return rest;
}

} // namespace anodex::wording
