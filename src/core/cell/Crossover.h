// src/core/cell/Crossover.h - the positive side's reagent that wanders over to the negative electrode.
//
// Law        Fick through the gap and what stands in it; every unit that arrives is spent there.
// Units      A.
#pragma once
#include "core/cell/CompiledCell.h"

namespace anodex::cell {

/// What the reagents of the positive couple's reduction are worth on their way; 0 with one liquid, where they
/// are at the negative electrode already.
[[nodiscard]] double crossoverAmps(const CompiledCell& compiled, const state::Contents& contents,
                                   const chemistry::Reaction& positive);

} // namespace anodex::cell
