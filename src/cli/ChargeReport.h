// src/cli/ChargeReport.h - the charge side of a cell as JSON.
#pragma once
#include "cli/Report.h"
#include "core/cell/Evaluation.h"

namespace anodex::cli {

[[nodiscard]] formats::Json chargeJson(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                       const cell::Evaluation& evaluation, int samples);

} // namespace anodex::cli
