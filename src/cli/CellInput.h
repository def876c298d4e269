// src/cli/CellInput.h - a cell file read, looked up and solved, or one line that says what is wrong with it.
#pragma once
#include "cli/Report.h"
#include "core/design/Cell.h"
#include <string>

namespace anodex::cli {

struct CellInput {
    design::CellDesign design;
    design::Cell cell;
};

[[nodiscard]] CellInput readCell(const chemistry::Catalogue& catalogue, const std::string& path);

} // namespace anodex::cli
