// src/app/widgets/WholeShape.h - the whole cell as it stands on the bench: outlines in their true sizes.
//
// Sizes      from areas, thicknesses, gap and volumes; a plate is half as high again as it is wide, a rod is
//            as long as its area asks, a vessel as wide as its liquid asks.
// Units      mm; x to the right, y downward.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "core/design/Cell.h"
#include "core/state/Contents.h"
#include <QPainterPath>
#include <vector>

namespace anodex::app {

struct WholePiece {
    enum class Kind { Vessel, Liquid, Electrode, Separator, Oil, Soil, Pipe };
    Kind kind = Kind::Vessel;
    design::Side side = design::Side::Negative; ///< Of electrodes and liquids.
    QPainterPath path;
    double thickness = 0.0; ///< The smaller of its two dimensions; of a wound one, of the strip.
};

/// As the design says, or as its parts suggest.
[[nodiscard]] design::Construction constructionOf(const chemistry::Catalogue& catalogue,
                                                  const design::CellDesign& design, const design::Cell& cell);

/// From back to front.
[[nodiscard]] std::vector<WholePiece> wholeCell(const chemistry::Catalogue& catalogue,
                                                const design::Cell& cell, const state::Contents& contents,
                                                design::Construction construction);

} // namespace anodex::app
