// src/core/cell/ExplainCharge.h - how the voltage on charge was found.
#pragma once
#include "core/cell/Explain.h"

namespace anodex::cell {

[[nodiscard]] Explanation explainCharge(const chemistry::Catalogue& catalogue, const Cell& cell,
                                        const Evaluation& evaluation, double amps);

} // namespace anodex::cell
