// src/quantity/Number.h - a number as people and loggers write it: one reading, or all that are likely.
//
// "1.02", "1,02", "-3", "−3", "1 000", "1'000", "1,234.5", "1.234,5", "2e-3", "2·10⁻³", "1/2", "3 1/2", "½".
// "1,234" has two readings: a decimal comma or a thousands mark. Locale     never followed.
#pragma once
#include <optional>
#include <string_view>
#include <vector>

namespace anodex::quantity {

enum class DecimalMark { Unknown, Point, Comma };

struct NumberSpan {
    std::vector<double> readings; ///< The likeliest first; never empty, always finite.
    std::size_t used = 0;         ///< Bytes taken from the front.
};

/// The number at the front of `text`. With a mark that is known there is one reading at most.
[[nodiscard]] std::optional<NumberSpan> readNumber(std::string_view text,
                                                   DecimalMark mark = DecimalMark::Unknown);

/// `text` is one number from end to end, blanks aside; nothing where it is none or has two readings.
[[nodiscard]] std::optional<double> wholeNumber(std::string_view text,
                                                DecimalMark mark = DecimalMark::Unknown);

} // namespace anodex::quantity
