// src/cli/ReadCommand.h - `read TEXT [--cell CELL]`: what the entry line understands of a text, and what it
// would ask.
#pragma once
#include "cli/Report.h"
#include <string>

namespace anodex::cli {

[[nodiscard]] formats::Json readLine(const chemistry::Catalogue& catalogue, const std::string& text,
                                     const std::string& cellPath);

} // namespace anodex::cli
