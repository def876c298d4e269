// src/cli/SolutionCommand.h - `solution LIQUID`: what a liquid file holds once it has settled.
#pragma once
#include "cli/Report.h"
#include "core/liquid/Solution.h"
#include <string>

namespace anodex::cli {

[[nodiscard]] formats::Json describeSolution(const chemistry::Catalogue& catalogue, const std::string& path);

[[nodiscard]] formats::Json solutionJson(const chemistry::Catalogue& catalogue,
                                         const liquid::Solution& solution);

} // namespace anodex::cli
