// src/core/cell/ExplainParts.h - how the properties of a cell's parts were found, before any current flows.
//
// The trees of Explain.h are built from these and from the evaluation.
#pragma once
#include "core/cell/Explain.h"

namespace anodex::cell {

inline constexpr const char* kPitzerSource = "Pitzer, J. Phys. Chem. 77, 268 (1973)";

/// A leaf: a value that is given, not computed.
[[nodiscard]] Explanation input(std::string symbol, double value, Unit unit,
                                std::vector<std::string> sources = {});

[[nodiscard]] Explanation explainConductivity(const chemistry::Catalogue& catalogue, const Cell& cell,
                                              Side side);
[[nodiscard]] Explanation explainAcidity(const chemistry::Catalogue& catalogue, const Cell& cell, Side side);
[[nodiscard]] Explanation explainMass(const chemistry::Catalogue& catalogue, const Cell& cell, Side side);
/// The liquid's volume, with its pH and conductivity among the inputs.
[[nodiscard]] Explanation explainVolume(const chemistry::Catalogue& catalogue, const Cell& cell, Side side);

[[nodiscard]] Explanation explainResistancePart(const chemistry::Catalogue& catalogue, const Cell& cell,
                                                const ResistanceShare& share);

} // namespace anodex::cell
