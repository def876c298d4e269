// src/cli/AnalyseCommand.h - `analyse RUN.csv [--cell CELL]`: what a recorded run delivered.
#pragma once
#include "cli/Report.h"
#include <string>

namespace anodex::cli {

[[nodiscard]] formats::Json analyseFile(const chemistry::Catalogue& catalogue, const std::string& runPath,
                                        const std::string& cellPath);

} // namespace anodex::cli
