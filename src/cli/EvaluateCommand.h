// src/cli/EvaluateCommand.h - `evaluate CELL`: everything the model says about a cell file.
#pragma once
#include "cli/Report.h"
#include <optional>
#include <string>

namespace anodex::cli {

struct EvaluateRequest {
    std::string cellPath;
    std::optional<double> amps;
    int curvePoints = 200;
    int samples = 200;
};

[[nodiscard]] formats::Json evaluateCell(const chemistry::Catalogue& catalogue,
                                         const EvaluateRequest& request);

} // namespace anodex::cli
