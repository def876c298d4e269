// src/core/cell/Compatibility.h - the catalogue's compatibility rules, held against a cell.
//
// Each rule is raised once a part at most; it stands on the part it concerns.
#pragma once
#include "core/cell/Charge.h"
#include "core/cell/Findings.h"

namespace anodex::cell {

[[nodiscard]] std::vector<Finding> compatibilityFindings(const chemistry::Catalogue& catalogue,
                                                         const Cell& cell, const Evaluation& evaluation,
                                                         const std::optional<Charging>& charging);

} // namespace anodex::cell
