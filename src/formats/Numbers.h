// src/formats/Numbers.h - numbers and calendar stamps from text, whatever the locale says.
#pragma once
#include "core/record/Record.h"
#include <optional>
#include <string_view>

namespace anodex::formats {

[[nodiscard]] std::string_view trimmed(std::string_view text);

/// Whole text as one finite number. Accepts "+", the typographic minus, and a decimal comma when asked to.
[[nodiscard]] std::optional<double> parseNumber(std::string_view text, bool decimalComma = false);

/// "2026-03-01 12:00:05.250", "2026-03-01T12:00:05Z", "01.03.2026 12:00", "2026/03/01 12:00:05". Taken as
/// UTC.
[[nodiscard]] std::optional<record::Millis> parseDateTime(std::string_view text);

} // namespace anodex::formats
