// src/core/explain/ExplainParts.h - how the properties of a cell's parts were found, before any current
// flows.
//
// The trees of Explain.h are built from these and from the evaluation.
#pragma once
#include "core/cell/Resistance.h"
#include "core/explain/Explanation.h"

namespace anodex::explain {

inline constexpr const char* kPitzerSource = "Pitzer, J. Phys. Chem. 77, 268 (1973)";

[[nodiscard]] Explanation explainConductivity(const chemistry::Catalogue& catalogue,
                                              const state::Contents& contents, design::Side side);
[[nodiscard]] Explanation explainAcidity(const chemistry::Catalogue& catalogue,
                                         const state::Contents& contents, design::Side side);
[[nodiscard]] Explanation explainMass(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                      design::Side side);
/// The liquid's volume, with its pH and conductivity among the inputs.
[[nodiscard]] Explanation explainVolume(const chemistry::Catalogue& catalogue,
                                        const state::Contents& contents, design::Side side);

[[nodiscard]] Explanation explainResistancePart(const chemistry::Catalogue& catalogue,
                                                const design::Cell& cell, const state::Contents& contents,
                                                const cell::ResistanceShare& share);

} // namespace anodex::explain
