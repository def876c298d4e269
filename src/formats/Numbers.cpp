#include "formats/Numbers.h"

#include <array>
#include <charconv>
#include <chrono>
#include <cmath>
#include <string>

namespace anodex::formats {
namespace {

/// Runs of digits and the separators between them; false when anything else stands there.
struct Digits {
    std::array<int, 6> fields{};
    std::array<char, 6> after{};
    std::size_t count = 0;
    double fraction = 0.0;
};

bool splitDigits(std::string_view text, Digits& digits) {
    std::size_t i = 0;
    while (i < text.size() && digits.count < digits.fields.size()) {
        const auto [end, problem] =
            std::from_chars(text.data() + i, text.data() + text.size(), digits.fields[digits.count]);
        if (problem != std::errc{} || text[i] == '-') {
            return false;
        }
        i = static_cast<std::size_t>(end - text.data());
        digits.after[digits.count++] = i < text.size() ? text[i] : '\0';
        if (digits.count == 6 && i < text.size() && (text[i] == '.' || text[i] == ',')) {
            const std::string tail = "0." + std::string(text.substr(i + 1));
            const auto [last, bad] = std::from_chars(tail.data(), tail.data() + tail.size(), digits.fraction);
            return bad == std::errc{} && last == tail.data() + tail.size();
        }
        ++i;
        while (i < text.size() && text[i] == ' ') {
            ++i;
        }
    }
    return i >= text.size();
}

} // namespace

std::string_view trimmed(std::string_view text) {
    const auto isBlank = [](char c) { return c == ' ' || c == '\t' || c == '\r' || c == '\n' || c == '"'; };
    while (!text.empty() && isBlank(text.front())) {
        text.remove_prefix(1);
    }
    while (!text.empty() && isBlank(text.back())) {
        text.remove_suffix(1);
    }
    return text;
}

std::optional<double> parseNumber(std::string_view text, bool decimalComma) {
    text = trimmed(text);
    std::array<char, 64> buffer{};
    std::size_t length = 0;
    for (std::size_t i = 0; i < text.size(); ++i) {
        if (length >= buffer.size()) {
            return std::nullopt;
        }
        if (text.substr(i).starts_with("\u2212")) {
            buffer[length++] = '-';
            i += 2;
        } else if (text[i] == ',' && decimalComma) {
            buffer[length++] = '.';
        } else if (text[i] == '.' && decimalComma) {
            return std::nullopt;
        } else {
            buffer[length++] = text[i];
        }
    }
    const char* begin = buffer.data() + (length > 0 && buffer[0] == '+' ? 1 : 0);
    const char* end = buffer.data() + length;
    double value = 0.0;
    const auto [stopped, problem] = std::from_chars(begin, end, value);
    if (problem != std::errc{} || stopped != end || begin == end || !std::isfinite(value)) {
        return std::nullopt;
    }
    return value;
}

std::optional<record::Millis> parseDateTime(std::string_view text) {
    text = trimmed(text);
    if (text.ends_with('Z')) {
        text.remove_suffix(1);
    }
    Digits digits;
    if (!splitDigits(text, digits) || digits.count < 5) {
        return std::nullopt;
    }
    int year = digits.fields[0];
    int day = digits.fields[2];
    const bool dayFirst = year <= 31 && (digits.after[0] == '.' || digits.after[0] == '/');
    if (dayFirst) {
        std::swap(year, day);
    }
    if (digits.after[3] != ':' || year < 1970 || year > 9999) {
        return std::nullopt;
    }
    const std::chrono::year_month_day date{std::chrono::year(year),
                                           std::chrono::month(static_cast<unsigned>(digits.fields[1])),
                                           std::chrono::day(static_cast<unsigned>(day))};
    const int hour = digits.fields[3];
    const int minute = digits.fields[4];
    const int second = digits.count > 5 ? digits.fields[5] : 0;
    if (!date.ok() || hour > 24 || minute > 59 || second > 60) {
        return std::nullopt;
    }
    const auto days = std::chrono::sys_days(date).time_since_epoch();
    const auto seconds = std::chrono::duration_cast<std::chrono::seconds>(days).count() + hour * 3600LL +
                         minute * 60LL + second;
    return seconds * 1000 + static_cast<record::Millis>(std::lround(digits.fraction * 1000.0));
}

} // namespace anodex::formats
