// src/core/electrode/CompileElectrode.h - draws every uncertain value of one electrode once.
#pragma once
#include "core/design/Cell.h"
#include "core/electrode/Draw.h"
#include "core/electrode/Parameters.h"

namespace anodex::electrode {

[[nodiscard]] ElectrodeParameters compileElectrode(const chemistry::Catalogue& catalogue,
                                                   const design::Cell& cell, design::Side side,
                                                   const Draw& draw);

} // namespace anodex::electrode
