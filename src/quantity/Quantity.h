// src/quantity/Quantity.h - a number with its unit and its doubt: everything a person or a file may mean by
// it.
//
// "1.02 V", "1,5 mA", "0.98 ± 0.02 V", "5 % ", "1 000 mV", "12 min". A reading is a choice of number and of
// unit; where two are likely both are given, and the grammar above decides by what is possible there, or
// asks.
#pragma once
#include "quantity/Number.h"
#include "quantity/Units.h"
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace anodex::quantity {

struct QuantityReading {
    double value = 0.0; ///< SI when a unit was written; as written otherwise.
    double written = 0.0;
    UnitReading unit;
};

struct QuantitySpan {
    std::vector<QuantityReading> readings; ///< The likeliest first; never empty.
    std::optional<double> doubt; ///< Half width in the unit of the reading's value; of the first reading.
    std::size_t used = 0;

    [[nodiscard]] bool certain() const { return readings.size() == 1; }
    [[nodiscard]] Dimension dimension() const { return readings.front().unit.dimension; }
};

/// The quantity at the front of `text`, with or without a unit.
[[nodiscard]] std::optional<QuantitySpan> readQuantity(std::string_view text);

/// `text` from end to end; nothing where it is none or has two readings.
[[nodiscard]] std::optional<QuantityReading> wholeQuantity(std::string_view text);

/// "1234 mV", "1.234 mV": the readings as choices to ask about.
[[nodiscard]] std::string writtenOut(const QuantityReading& reading);

} // namespace anodex::quantity
