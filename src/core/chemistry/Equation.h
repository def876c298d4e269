// src/core/chemistry/Equation.h - what follows from a half-reaction's equation alone.
#pragma once
#include "core/chemistry/Catalogue.h"

namespace anodex::chemistry {

/// Works out hydroxidePerAmp, gasSign, needsAcid and bindsHydroxide. The catalogue's species are complete.
void deriveFromEquation(const Catalogue& catalogue, Reaction& reaction);

} // namespace anodex::chemistry
