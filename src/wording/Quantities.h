// src/wording/Quantities.h - numbers and units to text and back.
//
// Digits     as many as the range supports: the last digit shown is about a fifth of the range's width.
//            Without a range, three significant figures.
// Input      as src/quantity reads it.
#pragma once
#include "core/base/Interval.h"
#include "core/explain/Explain.h"
#include "quantity/Units.h"
#include <optional>
#include <string>
#include <string_view>

namespace anodex::wording {

using explain::Unit;

/// "1.07 V", "3.4 mA", "12 Ω": an SI value with a prefix that reads well.
[[nodiscard]] std::string quantityText(double value, Unit unit,
                                       const std::optional<base::Interval>& range = {});
/// "0.98–1.12 V"
[[nodiscard]] std::string rangeText(const base::Interval& range, Unit unit);
/// Charge as builders say it: "0.74 Ah", "35 mAh".
[[nodiscard]] std::string chargeText(double coulombs, const std::optional<base::Interval>& range = {});
[[nodiscard]] std::string chargeRangeText(const base::Interval& coulombs);
/// "45 s", "12 min", "3.5 h", "12 days"
[[nodiscard]] std::string durationText(double seconds);
/// Plain number with at most `digits` significant figures and no trailing zeros.
[[nodiscard]] std::string numberText(double value, int digits = 3);

using quantity::Dimension;

struct ParsedQuantity {
    double value = 0.0; ///< SI when a unit was written; as written otherwise.
    Dimension dimension = Dimension::None;
    std::size_t used = 0; ///< Characters taken from the front.
};

/// A number and its unit at the front of `text`; nothing where two readings are likely: see Likely.h.
[[nodiscard]] std::optional<ParsedQuantity> parseQuantity(std::string_view text);

} // namespace anodex::wording
