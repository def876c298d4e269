// src/core/cell/Crossover.h - what wanders over from the positive side and is spent at the negative electrode.
//
// Law        Fick through the gap and what stands in it; every unit that arrives is spent there. The forms of a reagent go
//            each on its own: a charged membrane holds back ions of its own charge as Donnan says, lets those of the other
//            charge pass more readily, and neutral molecules as they are. Acid counts as its protons.
// Units      A.
#pragma once
#include "core/cell/CompiledCell.h"

namespace anodex::cell {

/// What the reagents of the positive couple's reduction, and acid, are worth on their way; 0 with one liquid, where
/// they are at the negative electrode already.
[[nodiscard]] double crossoverAmps(const CompiledCell& compiled, const state::Contents& contents,
                                   const chemistry::Reaction& positive);

} // namespace anodex::cell
