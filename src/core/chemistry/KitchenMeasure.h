// src/core/chemistry/KitchenMeasure.h - spoons, cups and drops: what people without a scale measure with.
//
// Units      m³; how full it gets is in its doubt.
#pragma once
#include "core/chemistry/Spread.h"

#include <string>
#include <vector>

namespace anodex::chemistry {

struct KitchenMeasure {
    std::string id;
    std::vector<std::string> names; ///< Of one, of many, and others.
    FactorSpread volumeM3;
    std::vector<std::string> mayMean; ///< Names of the measures it may be; then it has no volume of its own.
    std::vector<std::string> sources;
};

/// A word before the measure that says how full it is: "heaped".
struct Filling {
    std::vector<std::string> names;
    FactorSpread factor; ///< Its doubt takes the place of the measure's where it is the larger.
    std::vector<std::string> sources;
};

} // namespace anodex::chemistry
