// src/core/cell/Junction.h - the potential where two liquids meet.
//
// Law        Henderson, Z. phys. Chem. 59, 118 (1907): ions move through a linear mixing zone, each liquid's
//            slowed so that together they carry its own conductivity. A bridge is two such junctions with its
//            own electrolyte between. A charged membrane: Donnan steps on both faces with such a zone inside
//            (Teorell, Proc. Soc. Exp. Biol. 33, 282 (1935); Meyer & Sievers, Helv. Chim. Acta 19, 649
//            (1936)).
// Sign       potential of the positive liquid minus that of the negative one, volts.
#pragma once
#include "core/cell/CompiledCell.h"

namespace anodex::cell {

[[nodiscard]] double junctionVolts(const CompiledCell& compiled, const state::Contents& contents);

} // namespace anodex::cell
