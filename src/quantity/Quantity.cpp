#include "quantity/Quantity.h"

#include "quantity/Letters.h"

#include <array>
#include <charconv>
#include <cmath>

namespace anodex::quantity {
namespace {

std::size_t blanksAt(std::string_view text, std::size_t at) {
    const std::size_t from = at;
    for (std::size_t blank = blankAt(text, at); blank > 0; blank = blankAt(text, at)) {
        at += blank;
    }
    return at - from;
}

/// Bytes of "±" or "+/-" at `at`.
std::size_t plusMinusAt(std::string_view text, std::size_t at) {
    for (const std::string_view sign : {"±", "+/-", "+-"}) {
        if (text.substr(std::min(at, text.size())).starts_with(sign)) {
            return sign.size();
        }
    }
    return 0;
}

struct Doubt {
    double written = 0.0;
    std::vector<UnitReading> units;
    std::size_t used = 0; ///< 0: none stands there.
};

Doubt doubtAt(std::string_view text, std::size_t at) {
    const std::size_t from = at;
    at += blanksAt(text, at);
    const std::size_t sign = plusMinusAt(text, at);
    if (sign == 0) {
        return {};
    }
    at += sign;
    at += blanksAt(text, at);
    const auto number = readNumber(text.substr(at));
    if (!number) {
        return {};
    }
    at += number->used;
    const std::size_t blanks = blanksAt(text, at);
    const UnitSpan unit = readUnit(text.substr(at + blanks));
    at += unit.used > 0 ? blanks + unit.used : 0;
    return {std::abs(number->readings.front()), unit.readings, at - from};
}

double inUnitOf(const QuantityReading& reading, const Doubt& doubt) {
    if (doubt.units.empty()) {
        return doubt.written * reading.unit.toSi;
    }
    const UnitReading& unit = doubt.units.front();
    const bool share = unit.dimension == Dimension::Percent && reading.unit.dimension != Dimension::Percent;
    return share ? std::abs(reading.value) * doubt.written * unit.toSi : doubt.written * unit.toSi;
}

/// "4k7", "2R2", "1M5": a letter for the decimal mark (IEC 60062).
std::optional<QuantitySpan> resistorMark(std::string_view text) {
    constexpr std::size_t kMostDigits = 3;
    const auto digitsFrom = [&](std::size_t from) {
        std::size_t at = from;
        while (at < text.size() && isDigit(text[at]) && at - from < kMostDigits) {
            ++at;
        }
        return at - from;
    };
    const std::size_t whole = digitsFrom(0);
    const std::size_t part = whole > 0 ? digitsFrom(whole + 1) : 0;
    const std::size_t end = whole + 1 + part;
    if (part == 0 || (end < text.size() && (isLetter(text[end]) || isDigit(text[end])))) {
        return std::nullopt;
    }
    const char letter = text[whole];
    const double factor = letter == 'R' || letter == 'r'   ? 1.0
                          : letter == 'k' || letter == 'K' ? 1e3
                          : letter == 'M'                  ? 1e6
                                                           : 0.0;
    const auto written =
        wholeNumber(std::string(text.substr(0, whole)) + "." + std::string(text.substr(whole + 1, part)),
                    DecimalMark::Point);
    if (factor == 0.0 || !written) {
        return std::nullopt;
    }
    const UnitReading unit{Dimension::Ohm, factor, 0.0, symbolFor(Dimension::Ohm, factor)};
    return QuantitySpan{{{*written * factor, *written, unit}}, std::nullopt, end};
}

} // namespace

std::optional<QuantitySpan> readQuantity(std::string_view text) {
    if (auto marked = resistorMark(text)) {
        return marked;
    }
    const auto number = readNumber(text);
    if (!number) {
        return std::nullopt;
    }
    QuantitySpan span;
    std::size_t at = number->used;
    Doubt doubt = doubtAt(text, at);
    const bool doubtFirst = doubt.used > 0;
    at += doubt.used;
    const std::size_t blanks = blanksAt(text, at);
    UnitSpan unit = readUnit(text.substr(at + blanks));
    at += unit.used > 0 ? blanks + unit.used : 0;
    if (doubtFirst && unit.used == 0) {
        unit.readings = doubt.units; // "0.98 ± 0.02 V": the one unit stands at the end
    }
    if (!doubtFirst) {
        doubt = doubtAt(text, at);
        at += doubt.used;
    }
    if (unit.readings.empty()) {
        unit.readings.emplace_back();
    }
    for (const double value : number->readings) {
        for (const UnitReading& reading : unit.readings) {
            span.readings.push_back({value * reading.toSi + reading.offset, value, reading});
        }
    }
    if (doubt.used > 0) {
        span.doubt = inUnitOf(span.readings.front(), doubt);
    }
    span.used = at;
    return span;
}

std::optional<QuantityReading> wholeQuantity(std::string_view text) {
    text = trimmed(text);
    const auto span = readQuantity(text);
    const bool one = span && span->used == text.size() && span->certain();
    return one ? std::optional(span->readings.front()) : std::nullopt;
}

std::string writtenOut(const QuantityReading& reading) {
    std::array<char, 32> digits{};
    const auto [end, problem] = std::to_chars(digits.data(), digits.data() + digits.size(), reading.written);
    std::string text(digits.data(), problem == std::errc{} ? end : digits.data());
    return reading.unit.symbol.empty() ? text : text + " " + reading.unit.symbol;
}

} // namespace anodex::quantity
