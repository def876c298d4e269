// src/core/explain/ExplainCharge.h - how the voltage on charge was found.
#pragma once
#include "core/cell/Evaluation.h"
#include "core/explain/Explanation.h"

namespace anodex::explain {

[[nodiscard]] Explanation explainCharge(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                        const cell::Evaluation& evaluation, double amps);

} // namespace anodex::explain
