// src/app/views/cell/SectionLayout.h - where the layers of a cell lie in its section, to scale.
//
// Upright    electrodes side by side, the negative on the left.
// Stacked    liquids lying one on the other: electrodes are slabs, the one in the denser liquid below.
// Units      pixels; scale in pixels per metre.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "core/design/Cell.h"
#include "core/state/Contents.h"
#include <QRectF>

namespace anodex::app {

struct SectionLayout {
    bool stacked = false;
    design::Side first = design::Side::Negative; ///< On the left, or above.
    double pixelsPerMetre = 1.0;
    QRectF gap;
    double firstShare = 0.5; ///< Of the gap, that the first side's liquid fills.
    QRectF electrodes[2];    ///< By side.

    [[nodiscard]] const QRectF& box(design::Side side) const {
        return electrodes[static_cast<std::size_t>(side)];
    }
    /// A strip along the electrode's outer face, where its collector lies.
    [[nodiscard]] QRectF behind(design::Side side) const;
    /// Beyond that, where a pierced wall stands before a face that breathes.
    [[nodiscard]] QRectF wall(design::Side side) const;
    /// The part of the gap that belongs to a side's liquid.
    [[nodiscard]] QRectF part(design::Side side) const;
    /// The strip where the two parts meet that a separator of this thickness takes, never thinner than 4.
    [[nodiscard]] QRectF strip(double metres) const;
};

inline constexpr double kThinnestDrawn = 5.0; ///< Thinner layers are drawn this thick and said to be so.

/// The liquids lie one on the other.
[[nodiscard]] bool isStacked(const chemistry::Catalogue& catalogue, const design::Cell& cell);

/// Lays out the cell inside `room`; a scale above zero is kept, as while something is dragged.
[[nodiscard]] SectionLayout layoutSection(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                          const state::Contents& contents, const QRectF& room,
                                          double keptScale = 0.0);

} // namespace anodex::app
