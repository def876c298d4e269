#include "quantity/Number.h"

#include "quantity/Letters.h"

#include <charconv>
#include <cmath>
#include <string>
#include <utility>

namespace anodex::quantity {
namespace {

struct Digits {
    std::string text; ///< Digits and the marks between them: '.', ',' and '_' for any other.
    std::size_t used = 0;
};

constexpr char kOtherMark = '_';

/// A mark between thousands stands before exactly three digits.
bool threeDigitsAt(std::string_view text, std::size_t at) {
    for (std::size_t i = at; i < at + 3; ++i) {
        if (i >= text.size() || !isDigit(text[i])) {
            return false;
        }
    }
    return at + 3 >= text.size() || !isDigit(text[at + 3]);
}

Digits digitsAt(std::string_view text) {
    Digits digits;
    std::size_t at = 0;
    std::size_t group = 0; // digits since the last mark
    bool decimals = false;
    while (at < text.size()) {
        const char c = text[at];
        if (isDigit(c)) {
            digits.text += c;
            ++group;
            ++at;
            continue;
        }
        const std::size_t blank = blankAt(text, at);
        const std::size_t wide = c == '\'' ? 1 : text.substr(at).starts_with("\u2019") ? 3 : blank;
        if ((c == '.' || c == ',') && at + 1 < text.size() && isDigit(text[at + 1])) {
            decimals = true;
            digits.text += c;
            group = 0;
            ++at;
        } else if (wide > 0 && c != '\t' && !decimals && group > 0 && group <= 3 &&
                   threeDigitsAt(text, at + wide)) {
            digits.text += kOtherMark;
            group = 0;
            at += wide;
        } else {
            break;
        }
    }
    digits.used = at;
    return digits;
}

std::optional<double> valueOf(const std::string& text) {
    double value = 0.0;
    const auto [end, problem] = std::from_chars(text.data(), text.data() + text.size(), value);
    const bool whole = problem == std::errc{} && end == text.data() + text.size() && std::isfinite(value);
    return whole ? std::optional(value) : std::nullopt;
}

/// With `thousands` taken away and `decimal` as the point; nothing where the groups do not fit.
std::optional<double> valueWith(const std::string& text, char thousands, char decimal) {
    std::string plain;
    std::size_t group = 0;
    bool grouped = false;
    bool decimals = false;
    for (const char c : text) {
        if (c == kOtherMark || (c == thousands && !decimals)) {
            if ((grouped && group != 3) || group == 0 || group > 3) {
                return std::nullopt;
            }
            grouped = true;
            group = 0;
        } else if (c == decimal && !decimals) {
            if (grouped && group != 3) {
                return std::nullopt;
            }
            decimals = true;
            plain += '.';
        } else if (isDigit(c)) {
            plain += c;
            ++group;
        } else {
            return std::nullopt;
        }
    }
    if (grouped && !decimals && group != 3) {
        return std::nullopt;
    }
    if (plain.starts_with('.')) {
        plain.insert(plain.begin(), '0');
    }
    return valueOf(plain);
}

std::vector<double> readingsOfDigits(const std::string& text, DecimalMark mark) {
    std::vector<double> readings;
    const auto add = [&](std::optional<double> value) {
        if (value && (readings.empty() || readings.front() != *value)) {
            readings.push_back(*value);
        }
    };
    if (mark != DecimalMark::Comma) {
        add(valueWith(text, ',', '.'));
    }
    if (mark != DecimalMark::Point) {
        add(valueWith(text, '.', ','));
    }
    if (readings.size() == 2) {
        // A single point is a point: nobody writes 1.02 for a hundred and two. A group that begins with a
        // zero, or one that is not three long, is no group.
        const bool comma = text.find(',') != std::string::npos;
        const bool leadingZero = text.starts_with('0');
        if (!comma) {
            readings.resize(1);
        } else if (leadingZero) {
            readings.erase(readings.begin());
        }
    }
    return readings;
}

/// "e-3", "×10^-3", "·10⁻³"; the factor and the bytes it takes.
std::pair<double, std::size_t> exponentAt(std::string_view text) {
    constexpr std::string_view kTimes[] = {"×10", "x10", "X10", "*10", "·10", "× 10", "* 10", "x 10"};
    constexpr std::string_view kSuperscripts[] = {"⁰", "¹", "²", "³", "⁴", "⁵", "⁶", "⁷", "⁸", "⁹"};
    std::size_t at = 0;
    bool raised = false;
    if (!text.empty() && (text[0] == 'e' || text[0] == 'E')) {
        at = 1;
    } else {
        for (const std::string_view times : kTimes) {
            if (text.starts_with(times)) {
                at = times.size();
                raised = true;
                break;
            }
        }
    }
    if (at == 0) {
        return {1.0, 0};
    }
    if (raised && at < text.size() && text[at] == '^') {
        ++at;
    } else if (raised && text.substr(at).starts_with("**")) {
        at += 2;
    }
    std::string digits;
    if (const std::size_t minus = minusAt(text, at); minus > 0 || text.substr(at).starts_with("⁻")) {
        digits += '-';
        at += minus > 0 ? minus : std::string_view("⁻").size();
    } else if (at < text.size() && text[at] == '+') {
        ++at;
    }
    for (bool more = true; more;) {
        more = false;
        if (at < text.size() && isDigit(text[at])) {
            digits += text[at++];
            more = true;
        }
        for (std::size_t i = 0; !more && i < std::size(kSuperscripts); ++i) {
            if (text.substr(std::min(at, text.size())).starts_with(kSuperscripts[i])) {
                digits += static_cast<char>('0' + i);
                at += kSuperscripts[i].size();
                more = true;
            }
        }
    }
    const auto power = valueOf(digits);
    return power && std::abs(*power) <= 300.0 ? std::pair{std::pow(10.0, *power), at}
                                              : std::pair{1.0, std::size_t{0}};
}

/// "1/2", "½" or " 1/2" after a whole number; the fraction and the bytes it takes.
std::pair<double, std::size_t> fractionAt(std::string_view text) {
    constexpr std::pair<std::string_view, double> kSigns[] = {{"½", 0.5}, {"¼", 0.25}, {"¾", 0.75}};
    const std::size_t blank = blankAt(text, 0);
    for (const auto& [sign, value] : kSigns) {
        if (text.substr(blank).starts_with(sign)) {
            return {value, blank + sign.size()};
        }
    }
    std::size_t at = blank;
    double parts[2] = {0.0, 0.0};
    for (int i = 0; i < 2; ++i) {
        const std::size_t from = at;
        while (at < text.size() && isDigit(text[at]) && at - from < 3) {
            parts[i] = 10.0 * parts[i] + (text[at++] - '0');
        }
        if (at == from || (i == 0 && (at >= text.size() || text[at++] != '/'))) {
            return {0.0, 0};
        }
    }
    // A date or a ratio of more parts is no fraction.
    const bool ends = at >= text.size() || (!isDigit(text[at]) && text[at] != '/');
    return ends && parts[1] > 0.0 ? std::pair{parts[0] / parts[1], at} : std::pair{0.0, std::size_t{0}};
}

} // namespace

std::optional<NumberSpan> readNumber(std::string_view text, DecimalMark mark) {
    const std::size_t minus = minusAt(text, 0);
    const std::size_t sign = minus > 0 ? minus : text.starts_with('+') ? 1 : 0;
    std::string_view rest = text.substr(sign);
    NumberSpan span;
    if (const auto [fraction, used] = fractionAt(rest); used > 0 && blankAt(rest, 0) == 0) {
        span = {{fraction}, used};
    } else {
        const Digits digits = digitsAt(rest);
        span.readings = readingsOfDigits(digits.text, mark);
        span.used = digits.used;
        if (span.readings.empty()) {
            return std::nullopt;
        }
        rest.remove_prefix(digits.used);
        const auto [part, taken] = fractionAt(rest);
        const bool wholeBefore = digits.text.find_first_of(".,_") == std::string::npos;
        if (taken > 0 && wholeBefore && part < 1.0) {
            span.readings.front() += part;
            span.used += taken;
        } else if (const auto [factor, bytes] = exponentAt(rest); bytes > 0) {
            for (double& value : span.readings) {
                value *= factor;
            }
            span.used += bytes;
        }
    }
    for (double& value : span.readings) {
        value = minus > 0 ? -value : value;
        if (!std::isfinite(value)) {
            return std::nullopt;
        }
    }
    span.used += sign;
    return span;
}

std::optional<double> wholeNumber(std::string_view text, DecimalMark mark) {
    text = trimmed(text);
    const auto span = readNumber(text, mark);
    const bool one = span && span->used == text.size() && span->readings.size() == 1;
    return one ? std::optional(span->readings.front()) : std::nullopt;
}

} // namespace anodex::quantity
