// src/formats/run/Possible.h - what a column of a run can be: units of its role, and how possible its values
// are.
//
// Source     common practice, no source: a cell gives 0.2 to 4.5 V; strings give more; currents of homemade
//            cells lie between a tenth of a microampere and 20 A. With a design at hand its own figures
//            decide.
#pragma once
#include "formats/run/RunReading.h"
#include "quantity/Units.h"
#include <string_view>
#include <vector>

namespace anodex::formats {

[[nodiscard]] quantity::Dimension dimensionOf(ColumnRole role);

/// The largest size of all.
[[nodiscard]] double largest(const std::vector<double>& values);

/// Odds, of 1, that a run reaches so many volts or amperes.
[[nodiscard]] double voltsPossible(double volts, const CsvSettings& settings);
[[nodiscard]] double ampsPossible(double amps, const CsvSettings& settings);

/// "mV", "A", "mV/0.1ohm": the factor to SI; nothing for what is no unit of that role.
[[nodiscard]] std::optional<double> unitFactor(ColumnRole role, std::string_view text);

} // namespace anodex::formats
