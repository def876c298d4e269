// src/core/cell/UseFindings.h - what to know about how a cell is used: charged, closed, in a room, in a
// string, near a flame.
#pragma once
#include "core/cell/Charge.h"
#include "core/cell/Findings.h"

namespace anodex::cell {

/// `charging` is present when the design says that it is to be charged.
[[nodiscard]] std::vector<Finding> useFindings(const chemistry::Catalogue& catalogue, const Cell& cell,
                                               const Evaluation& evaluation,
                                               const std::optional<Charging>& charging);

/// Said after all that concerns the cell itself.
[[nodiscard]] std::vector<Finding> foodFindings(const chemistry::Catalogue& catalogue, const Cell& cell);

} // namespace anodex::cell
