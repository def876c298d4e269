// src/formats/run/RunSign.h - whether a logger counts the current positive while the cell is charged.
#pragma once
#include "formats/run/RunTable.h"

namespace anodex::formats {

/// 0 to 1; below 0 when no current flows and it does not matter. A load switched on pulls the voltage down
/// and letting go lets it rise; without such steps a voltage that falls while current flows is a discharge.
/// The Battery Data Format counts charging, and a header that says "charge" or "discharge" is believed.
[[nodiscard]] double oddsPositiveOnCharge(const RunTable& table, const CsvMapping& mapping,
                                          const std::string& name);

} // namespace anodex::formats
