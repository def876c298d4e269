// src/core/shelf/Changes.h - what would help a design most: each change a builder could make, evaluated.
//
// Tried      twice and half of each area, thickness and strength; half the gap; air to what breathes, and no
//            wall before it; a collector and a conducting powder for porous electrodes; better contacts;
//            15 kelvin more; stirring; another material for either electrode. Materials are those on the shelf and
//            what a kitchen or a tool shop has. Of each kind on each side the best is kept, and only what helps the
//            chosen figure by 1 % or more. A powder counts by what it does over an hour.
// Threads    a stop gives nothing.
#pragma once
#include "core/shelf/Screening.h"

namespace anodex::shelf {

enum class ChangeKind {
    Area,
    Thickness,
    Gap,
    Strength,
    Air,
    Collector,
    Powder,
    Contacts,
    Warmth,
    Stirring,
    Material
};

struct Change {
    ChangeKind kind = ChangeKind::Area;
    design::CellDesign design; ///< The child revision it would make.
    double before = 0.0;       ///< The figure, as in Screened.
    double after = 0.0;
    std::optional<findings::Finding>
        danger; ///< One that the design did not have; only where those are asked for.
};

struct HelpOptions {
    RankBy by = RankBy::SteadyPower;
    std::size_t top = 5;
    Shelf shelf;           ///< What else is at hand, besides what kitchens and tool shops have.
    bool riskyToo = false; ///< Also what brings a danger that the design does not have.
};

/// Most helpful first. Empty when the design cannot be evaluated.
[[nodiscard]] std::optional<std::vector<Change>> helpfulChanges(const chemistry::Catalogue& catalogue,
                                                                const design::CellDesign& design,
                                                                const HelpOptions& options,
                                                                std::stop_token stop = {});

} // namespace anodex::shelf
