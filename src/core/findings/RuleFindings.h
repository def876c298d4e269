// src/core/findings/RuleFindings.h - the catalogue's compatibility rules, held against a cell.
//
// Each rule is raised once a part at most; it stands on the part it concerns.
#pragma once
#include "core/charge/Charge.h"
#include "core/findings/Finding.h"

namespace anodex::findings {

[[nodiscard]] std::vector<Finding> ruleFindings(const chemistry::Catalogue& catalogue,
                                                const design::Cell& cell, const cell::Evaluation& evaluation,
                                                const std::optional<charge::Charging>& charging);

} // namespace anodex::findings
