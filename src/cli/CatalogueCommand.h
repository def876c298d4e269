// src/cli/CatalogueCommand.h - `catalogue KIND`: the entries of one kind with names and sources.
#pragma once
#include "cli/Report.h"
#include <string>

namespace anodex::cli {

[[nodiscard]] formats::Json listCatalogue(const chemistry::Catalogue& catalogue, const std::string& kind);

} // namespace anodex::cli
