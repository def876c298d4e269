// src/core/cell/AfterUse.h - what a cell holds once it has given part of its charge through its two couples.
//
// Law        Faraday for each term of the working couples. Between two liquids ions carry the same charge the
//            other way, each by its share of the conductivity; hydrogen ions carry what the others leave.
//            Gas stays under a closed lid and is the air's otherwise.
// Units      C.
#pragma once
#include "core/cell/Capacity.h"

namespace anodex::cell {

/// Amounts fall below zero where the couples need more than there is.
[[nodiscard]] state::State afterUse(const CompiledCell& compiled, const state::Contents& contents,
                                    const WorkingCouple& negative, const WorkingCouple& positive,
                                    double coulombs);

} // namespace anodex::cell
