// src/core/chemistry/SolveSolution.h - brings a mixture to equilibrium.
//
// Errors     a composition that the search does not reach throws base::Fault; the solution's `notes` say
//            where it left the published range.
#pragma once
#include "core/chemistry/Solution.h"

namespace anodex::chemistry {

[[nodiscard]] Solution solveSolution(const Catalogue& catalogue, const Mixture& mixture);

} // namespace anodex::chemistry
