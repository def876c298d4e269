// src/core/design/Resolve.h - looks a design's names up, chooses its defaults and solves its liquids.
//
// Errors     the first field that cannot be used; nothing throws.
#pragma once
#include "core/design/Cell.h"
#include "core/design/DesignError.h"
#include <tl/expected.hpp>

namespace anodex::design {

[[nodiscard]] tl::expected<Cell, DesignError> resolve(const chemistry::Catalogue& catalogue,
                                                      const CellDesign& design);

} // namespace anodex::design
