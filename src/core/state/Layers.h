// src/core/state/Layers.h - liquids that lie one on the other in a jar, and where its electrodes lie in them.
//
// Law        the heavier liquid lies below; the boundary stands as high as its volume over the inside of the vessel. Where
//            the design does not tell the inside, the layers are taken to meet halfway between the electrodes.
//            An electrode with more than half of its thickness beyond the boundary lies in the other liquid.
// Units      m above the floor of the vessel.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "core/design/Cell.h"
#include "core/liquid/Solution.h"
#include <array>
#include <optional>
#include <vector>

namespace anodex::state {

inline constexpr double kLowerFootMetres = 0.001; ///< The lower electrode lies on a pebble or two.

struct Layers {
    design::Side upper = design::Side::Negative;
    double insideM2 = 0.0;         ///< Of the vessel, stated or what fits.
    double boundaryMetres = 0.0;   ///< Between the liquids.
    double lowerTopMetres = 0.0;   ///< Of the lower electrode.
    double upperFootMetres = 0.0;  ///< Of the upper one.
    std::array<bool, 2> strayed{}; ///< By Side: the electrode lies in the other liquid.

    /// Part of the gap that a side's liquid fills. 0 to 1.
    [[nodiscard]] double shareOfGap(design::Side side) const;
};

/// None where no liquid lies on another. `poured` by Side.
[[nodiscard]] std::optional<Layers> layersOf(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                             const std::vector<liquid::Solution>& poured);

} // namespace anodex::state
