// src/cli/CellInput.h - a cell file read, looked up and solved, or one line that says what is wrong with it.
#pragma once
#include "cli/Report.h"
#include "core/cell/Cell.h"
#include <string>

namespace anodex::cli {

struct CellInput {
    cell::CellDesign design;
    cell::Cell cell;
};

[[nodiscard]] CellInput readCell(const chemistry::Catalogue& catalogue, const std::string& path);

} // namespace anodex::cli
