// src/core/base/SolventMass.h - kilograms of solvent in a mole.
#pragma once

namespace anodex::base {

inline constexpr double kSolventKgPerMole = 0.01801528; ///< IUPAC atomic weights.

} // namespace anodex::base
