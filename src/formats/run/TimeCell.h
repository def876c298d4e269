// src/formats/run/TimeCell.h - calendar stamps and clocks as loggers write them.
//
// Source     ISO 8601-1:2019 for the year-first forms; the time zone database through its own library.
#pragma once
#include "formats/run/RunReading.h"
#include <optional>
#include <string_view>

namespace anodex::formats {

/// A stamp as written: local unless an offset stood beside it.
struct Stamp {
    record::Millis local = 0; ///< As if the zone were UTC.
    std::optional<int> offsetMinutes;
    bool orderKnown =
        false; ///< The year stood first, the month in letters, or a day over 12 said which it is.
};

/// "2026-03-01 12:00:05.250", "2026-03-01T12:00:05+01:00", "01.03.2026 12:00", "3/1/26 1:05 PM", "1 Mar 2026
/// 12:00".
[[nodiscard]] std::optional<Stamp> readStamp(std::string_view text, DateOrder order);

/// A date alone, at midnight.
[[nodiscard]] std::optional<Stamp> readDate(std::string_view text, DateOrder order);

/// "h:mm:ss", "d hh:mm:ss", "d.hh:mm:ss", "1:05:00 PM", "0:05": seconds.
[[nodiscard]] std::optional<double> readClock(std::string_view text);
/// "mm:ss"
[[nodiscard]] std::optional<double> readMinSec(std::string_view text);

/// UTC of a local stamp; in the hour that comes twice the first, unless `later`. Nothing for a zone nobody
/// knows.
[[nodiscard]] std::optional<record::Millis> toUtc(const Stamp& stamp, const std::string& zone, bool later);
[[nodiscard]] bool isZone(const std::string& zone);
/// The local hour of this stamp comes twice in the zone.
[[nodiscard]] bool comesTwice(const Stamp& stamp, const std::string& zone);

} // namespace anodex::formats
