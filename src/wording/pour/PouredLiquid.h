// src/wording/pour/PouredLiquid.h - a liquid after what a pour line says has gone in.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "wording/pour/Pour.h"

namespace anodex::wording {

/// Water adds to the liquid's own; water that a line pours its other things into is the liquid's own. A ready-made liquid
/// takes the place of what the liquid was made from.
[[nodiscard]] design::LiquidDesign poured(const chemistry::Catalogue& catalogue, design::LiquidDesign liquid,
                                          const std::vector<Pour>& pours);

} // namespace anodex::wording
