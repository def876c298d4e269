// src/cli/PourCommand.h - `pour TEXT`: what the pour line understands of a text, and what it would ask.
#pragma once
#include "cli/Report.h"
#include <string>

namespace anodex::cli {

/// Throws Stop for what is no pour.
[[nodiscard]] formats::Json readPourLine(const chemistry::Catalogue& catalogue, const std::string& text);

} // namespace anodex::cli
