// src/core/record/MeasuredValue.h - which reading stands beside the expected value.
#pragma once
#include "core/record/Record.h"
#include <optional>
#include <vector>

namespace anodex::record {

/// The last reading of its kind that is not struck out and comes after the last event that changed the cell.
[[nodiscard]] std::optional<Reading> measuredValue(const std::vector<Reading>& readings,
                                                   const std::vector<Event>& events,
                                                   ReadingQuantity quantity);

/// The same of the voltages under a load that is named.
[[nodiscard]] std::optional<Reading> measuredOnLoad(const std::vector<Reading>& readings,
                                                    const std::vector<Event>& events);

} // namespace anodex::record
