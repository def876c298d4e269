// src/core/cell/Junction.h - the potential where two liquids meet.
//
// Law        Henderson, Z. phys. Chem. 59, 118 (1907): ions move through a linear mixing zone. A bridge is
// two
//            such junctions with its own electrolyte between.
// Sign       potential of the positive liquid minus that of the negative one, volts.
#pragma once
#include "core/cell/Cell.h"

namespace anodex::cell {

[[nodiscard]] double junctionVolts(const chemistry::Catalogue& catalogue, const Cell& cell);

} // namespace anodex::cell
