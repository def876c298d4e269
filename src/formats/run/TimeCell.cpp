#include "formats/run/TimeCell.h"

#include "quantity/Letters.h"
#include "quantity/Number.h"

#include <algorithm>
#include <array>
#include <chrono>
#include <cmath>
#include <date/tz.h>
#include <stdexcept>

namespace anodex::formats {
namespace {

using quantity::isDigit;
using quantity::isLetter;

constexpr record::Millis kDay = 86'400'000;

void skipBlanks(std::string_view& text) {
    while (!text.empty() && (text.front() == ' ' || text.front() == '\t')) {
        text.remove_prefix(1);
    }
}

/// Digits at the front; how many there were.
std::size_t takeDigits(std::string_view& text, int& value) {
    std::size_t count = 0;
    value = 0;
    while (count < text.size() && isDigit(text[count]) && count < 9) {
        value = 10 * value + (text[count++] - '0');
    }
    text.remove_prefix(count);
    return count;
}

std::optional<int> takeMonthName(std::string_view& text) {
    constexpr std::array<std::string_view, 12> kMonths = {"jan", "feb", "mar", "apr", "may", "jun",
                                                          "jul", "aug", "sep", "oct", "nov", "dec"};
    std::size_t length = 0;
    while (length < text.size() && isLetter(text[length])) {
        ++length;
    }
    const std::string word = quantity::lowered(text.substr(0, length));
    for (std::size_t i = 0; i < kMonths.size(); ++i) {
        if (word.size() >= 3 && word.starts_with(kMonths[i])) {
            text.remove_prefix(length);
            return static_cast<int>(i) + 1;
        }
    }
    return std::nullopt;
}

/// "Sat 14 Mar", "Saturday, ": the day of the week says nothing that the date does not.
void skipWeekday(std::string_view& text) {
    constexpr std::array<std::string_view, 7> kDays = {"mon", "tue", "wed", "thu", "fri", "sat", "sun"};
    std::size_t length = 0;
    while (length < text.size() && isLetter(text[length])) {
        ++length;
    }
    const std::string word = quantity::lowered(text.substr(0, length));
    const bool known =
        std::any_of(kDays.begin(), kDays.end(), [&](std::string_view day) { return word.starts_with(day); });
    if (!known) {
        return;
    }
    text.remove_prefix(length);
    while (!text.empty() && (text.front() == ',' || text.front() == '.' || text.front() == ' ')) {
        text.remove_prefix(1);
    }
}

struct Parts {
    int year = 0;
    int month = 0;
    int day = 0;
    bool orderKnown = false;
};

int fullYear(int year, std::size_t digits) {
    return digits == 2 ? 2000 + year : year;
}

bool isDateMark(char c) {
    return c == '-' || c == '.' || c == '/' || c == ' ' || c == ',';
}

/// "20260314", taken off `text`: eight digits of a date that the calendar has.
std::optional<Parts> takeCompactDate(std::string_view& text) {
    std::string_view probe = text;
    int digits = 0;
    if (takeDigits(probe, digits) != 8 || digits / 10'000 < 1970 || digits / 10'000 > 2199) {
        return std::nullopt;
    }
    text = probe;
    return Parts{digits / 10'000, digits / 100 % 100, digits % 100, true};
}

/// A date at the front, taken off `text`.
std::optional<Parts> takeDate(std::string_view& text, DateOrder order) {
    skipWeekday(text);
    std::array<int, 3> numbers{};
    std::array<std::size_t, 3> digits{};
    std::optional<std::size_t> named;
    for (std::size_t i = 0; i < 3; ++i) {
        if (const auto month = takeMonthName(text)) {
            numbers[i] = *month;
            named = i;
        } else {
            digits[i] = takeDigits(text, numbers[i]);
            if (digits[i] == 0 || digits[i] > 4) {
                return std::nullopt;
            }
        }
        if (i < 2) {
            const std::size_t before = text.size();
            while (!text.empty() && isDateMark(text.front())) {
                text.remove_prefix(1);
            }
            if (text.size() == before) {
                return std::nullopt;
            }
        }
    }
    if (named) {
        const bool monthFirst = *named == 0;
        return Parts{fullYear(numbers[2], digits[2]), numbers[*named], numbers[monthFirst ? 1 : 0], true};
    }
    if (digits[0] == 4) {
        return Parts{numbers[0], numbers[1], numbers[2], true};
    }
    const int year = fullYear(numbers[2], digits[2]);
    const bool dayFirst = order != DateOrder::MonthFirst;
    return Parts{year, numbers[dayFirst ? 1 : 0], numbers[dayFirst ? 0 : 1],
                 numbers[0] > 12 || numbers[1] > 12};
}

std::optional<record::Millis> midnight(const Parts& parts) {
    const std::chrono::year_month_day date{std::chrono::year(parts.year),
                                           std::chrono::month(static_cast<unsigned>(parts.month)),
                                           std::chrono::day(static_cast<unsigned>(parts.day))};
    if (!date.ok() || parts.year < 1970 || parts.year > 9999) {
        return std::nullopt;
    }
    return std::chrono::sys_days(date).time_since_epoch().count() * kDay;
}

/// ".250" at the front, taken off `text`; 0 where none stands there.
double takeFraction(std::string_view& text) {
    if (text.size() < 2 || (text.front() != '.' && text.front() != ',') || !isDigit(text[1])) {
        return 0.0;
    }
    std::size_t length = 1;
    while (length < text.size() && isDigit(text[length])) {
        ++length;
    }
    const double fraction =
        quantity::wholeNumber("0." + std::string(text.substr(1, length - 1))).value_or(0.0);
    text.remove_prefix(length);
    return fraction;
}

struct Clock {
    double seconds = 0.0;
    int fields = 0;
    int hours = 0;
};

/// "133000" at the front, taken off `text`.
std::optional<Clock> takeCompactClock(std::string_view& text) {
    std::string_view probe = text;
    int digits = 0;
    const std::size_t count = takeDigits(probe, digits);
    const int hms = count == 4 ? 100 * digits : digits;
    if ((count != 4 && count != 6) || hms / 10'000 > 24 || hms / 100 % 100 > 59 || hms % 100 > 60) {
        return std::nullopt;
    }
    text = probe;
    const int hours = hms / 10'000;
    const int minutes = hms / 100 % 100;
    const int whole = 3600 * hours + 60 * minutes + hms % 100;
    return Clock{whole + takeFraction(text), 3, hours};
}

/// "h:mm[:ss[.f]] [AM|PM]" at the front, or "m:ss.f", taken off `text`.
std::optional<Clock> takeClock(std::string_view& text) {
    std::array<int, 3> fields{};
    Clock clock;
    for (; clock.fields < 3; ++clock.fields) {
        if (takeDigits(text, fields[static_cast<std::size_t>(clock.fields)]) == 0) {
            return std::nullopt;
        }
        if (clock.fields == 2 || text.empty() || text.front() != ':') {
            ++clock.fields;
            break;
        }
        text.remove_prefix(1);
    }
    if (clock.fields < 2 || fields[1] > 59 || fields[2] > 60) {
        return std::nullopt;
    }
    const std::size_t left = text.size();
    const double fraction = takeFraction(text);
    if (clock.fields == 2 && text.size() < left) {
        // Only seconds have fractions.
        clock.fields = 3;
        fields = {fields[0] / 60, fields[0] % 60, fields[1]};
    }
    skipBlanks(text);
    clock.hours = fields[0];
    const std::string half = quantity::lowered(text.substr(0, 2));
    if (half == "am" || half == "pm") {
        if (fields[0] < 1 || fields[0] > 12) {
            return std::nullopt;
        }
        clock.hours = fields[0] % 12 + (half == "pm" ? 12 : 0);
        text.remove_prefix(2);
    }
    clock.seconds = 3600.0 * clock.hours + 60.0 * fields[1] + fields[2] + fraction;
    return clock;
}

/// "Z", "+01:00", "+0100", "UTC" at the end.
bool takeOffset(std::string_view& text, std::optional<int>& minutes) {
    skipBlanks(text);
    if (text == "Z" || text == "z" || text == "UTC" || text == "GMT") {
        minutes = 0;
        text = {};
        return true;
    }
    if (text.empty() || (text.front() != '+' && text.front() != '-')) {
        return text.empty();
    }
    const int sign = text.front() == '-' ? -1 : 1;
    text.remove_prefix(1);
    int hours = 0;
    int rest = 0;
    const std::size_t digits = takeDigits(text, hours);
    if (digits == 4) {
        rest = hours % 100;
        hours /= 100;
    } else if (digits <= 2 && digits > 0 && !text.empty() && text.front() == ':') {
        text.remove_prefix(1);
        takeDigits(text, rest);
    }
    minutes = sign * (60 * hours + rest);
    return digits > 0 && text.empty() && hours <= 15 && rest <= 59;
}

using LocalMillis = date::local_time<std::chrono::milliseconds>;

const date::time_zone* zoneNamed(const std::string& zone) {
    try {
        return zone.empty() ? nullptr : date::locate_zone(zone);
    } catch (const std::runtime_error&) {
        return nullptr; // the library's way to say that there is no such zone, or no database
    }
}

} // namespace

std::optional<Stamp> readDate(std::string_view text, DateOrder order) {
    text = quantity::trimmed(text);
    const auto parts = takeDate(text, order);
    const auto start = parts && text.empty() ? midnight(*parts) : std::nullopt;
    return start ? std::optional(Stamp{*start, std::nullopt, parts->orderKnown}) : std::nullopt;
}

std::optional<Stamp> readStamp(std::string_view text, DateOrder order) {
    text = quantity::trimmed(text);
    const auto compact = takeCompactDate(text);
    const auto parts = compact ? compact : takeDate(text, order);
    const auto start = parts ? midnight(*parts) : std::nullopt;
    if (!start || text.empty()) {
        return std::nullopt;
    }
    if (text.front() == 'T' || text.front() == 't' || text.front() == ',' || text.front() == ';') {
        text.remove_prefix(1);
    }
    skipBlanks(text);
    auto clock = compact ? takeCompactClock(text) : std::nullopt;
    if (!clock) {
        clock = takeClock(text);
    }
    Stamp stamp{0, std::nullopt, parts->orderKnown};
    if (!clock || clock->hours > 24 || !takeOffset(text, stamp.offsetMinutes)) {
        return std::nullopt;
    }
    stamp.local = *start + static_cast<record::Millis>(std::llround(clock->seconds * 1000.0));
    return stamp;
}

std::optional<double> readClock(std::string_view text) {
    text = quantity::trimmed(text);
    double days = 0.0;
    std::string_view probe = text;
    int leading = 0;
    if (takeDigits(probe, leading) > 0 && !probe.empty() &&
        (probe.front() == ' ' || probe.front() == '.' || probe.front() == 'd')) {
        while (!probe.empty() && !isDigit(probe.front()) && probe.front() != ':') {
            probe.remove_prefix(1);
        }
        days = leading;
        text = probe;
    }
    const auto clock = takeClock(text);
    return clock && text.empty() ? std::optional(86400.0 * days + clock->seconds) : std::nullopt;
}

std::optional<double> readMinSec(std::string_view text) {
    text = quantity::trimmed(text);
    const auto clock = takeClock(text);
    return clock && text.empty() && clock->fields == 2 ? std::optional(clock->seconds / 60.0) : std::nullopt;
}

bool isZone(const std::string& zone) {
    return zone.empty() || zoneNamed(zone) != nullptr;
}

bool comesTwice(const Stamp& stamp, const std::string& zone) {
    const date::time_zone* where = zoneNamed(zone);
    return where != nullptr && !stamp.offsetMinutes &&
           where->get_info(LocalMillis(std::chrono::milliseconds(stamp.local))).result ==
               date::local_info::ambiguous;
}

std::optional<record::Millis> toUtc(const Stamp& stamp, const std::string& zone, bool later) {
    if (stamp.offsetMinutes) {
        return stamp.local - 60'000LL * *stamp.offsetMinutes;
    }
    if (zone.empty()) {
        return stamp.local;
    }
    const date::time_zone* where = zoneNamed(zone);
    if (where == nullptr) {
        return std::nullopt;
    }
    const auto local = LocalMillis(std::chrono::milliseconds(stamp.local));
    return where->to_sys(local, later ? date::choose::latest : date::choose::earliest)
        .time_since_epoch()
        .count();
}

} // namespace anodex::formats
