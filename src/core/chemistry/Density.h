// src/core/chemistry/Density.h - density of a mixture alone, without solving its equilibria.
//
// Units      kg/m³.
#pragma once
#include "core/chemistry/Solution.h"

namespace anodex::chemistry {

/// Used to turn volumes into masses.
[[nodiscard]] double mixtureDensity(const Catalogue& catalogue, const Mixture& mixture);

} // namespace anodex::chemistry
