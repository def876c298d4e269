// src/core/pack/OnLoad.h - where a cell's curve meets what hangs on it.
//
// Law        the first current from rest at which the load takes what the cell brings (the stable one of a power's
//            two).
// Units      A, signed as the cell's: below 0 where it is labelled the wrong way round.
#pragma once
#include "core/cell/Polarisation.h"
#include "core/load/Load.h"

#include <optional>

namespace anodex::pack {

/// Nothing where the cell cannot carry the load: more current than its short circuit, more power than its best.
[[nodiscard]] std::optional<double> ampsOn(const cell::Polarisation& curve, double shortCircuitAmps,
                                           const load::Load& load);

} // namespace anodex::pack
