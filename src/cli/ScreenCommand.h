// src/cli/ScreenCommand.h - `screen SHELF`: the best cells from what a shelf file holds.
#pragma once
#include "cli/Report.h"
#include <string>

namespace anodex::cli {

struct ScreenRequest {
    std::string shelfPath;
    std::string by = "voltage";
    int top = 20;
};

[[nodiscard]] formats::Json screenShelf(const chemistry::Catalogue& catalogue, const ScreenRequest& request);

} // namespace anodex::cli
