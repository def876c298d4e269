// src/core/shelf/Changes.h - what would help a design most: each change a builder could make, evaluated.
//
// Tried      twice and half of each area, thickness and strength; half the gap; air to what breathes, and no
//            wall before it; a collector and a conducting powder for porous electrodes; better contacts;
//            15 kelvin more; stirring; another material for either electrode. Of each kind on each side the
//            best is kept, and only what helps the chosen figure by 1 % or more.
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
    std::optional<findings::Finding> danger; ///< One that the design did not have.
};

/// Most helpful first, at most `top`; ranked by voltage, power or life. Empty when the design cannot be
/// evaluated.
[[nodiscard]] std::optional<std::vector<Change>> helpfulChanges(const chemistry::Catalogue& catalogue,
                                                                const design::CellDesign& design, RankBy by,
                                                                std::size_t top, std::stop_token stop = {});

} // namespace anodex::shelf
