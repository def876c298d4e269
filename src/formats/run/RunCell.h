// src/formats/run/RunCell.h - one cell of a run: a number, with the unit that some loggers write behind each.
#pragma once
#include "quantity/Number.h"
#include "quantity/Units.h"
#include <optional>
#include <string_view>

namespace anodex::formats {

struct CellNumber {
    double written = 0.0;
    std::optional<quantity::UnitReading> unit; ///< Where the cell names one that has one reading.
};

/// The cell from end to end: "1.02", "20 mA". Nothing where it is no number or has two readings.
[[nodiscard]] std::optional<CellNumber> readCell(std::string_view cell, quantity::DecimalMark mark);

/// A number in either decimal style, a stamp, a date or a clock.
[[nodiscard]] bool isValue(std::string_view cell);

/// A number with a unit behind it.
[[nodiscard]] bool isQuantity(std::string_view cell);

/// "OL", "OVLD", "---", "nan": what loggers write for no reading.
[[nodiscard]] bool isOverload(std::string_view cell);

} // namespace anodex::formats
