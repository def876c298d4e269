#include "app/views/cell/SectionLayout.h"

#include "core/cell/Spreading.h"

#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

using design::Side;

constexpr double kSmallestBreadth = 24.0;
constexpr double kThinnestStrip = 4.0;

} // namespace

bool isStacked(const chemistry::Catalogue& catalogue, const design::Cell& cell) {
    return cell.barrier && catalogue.separators[cell.barrier->separator].stacked;
}

QRectF SectionLayout::behind(design::Side side) const {
    constexpr double kWide = 5.0;
    QRectF strip = box(side);
    const bool isFirst = side == first;
    if (stacked) {
        isFirst ? strip.setBottom(strip.top() + kWide) : strip.setTop(strip.bottom() - kWide);
    } else {
        isFirst ? strip.setRight(strip.left() + kWide) : strip.setLeft(strip.right() - kWide);
    }
    return strip;
}

QRectF SectionLayout::wall(design::Side side) const {
    constexpr double kAway = 9.0;
    QRectF strip = behind(side);
    const double shift = side == first ? -kAway : kAway;
    return stacked ? strip.translated(0.0, shift) : strip.translated(shift, 0.0);
}

QRectF SectionLayout::part(Side side) const {
    QRectF part = gap;
    const bool isFirst = side == first;
    if (stacked) {
        const double border = gap.top() + firstShare * gap.height();
        isFirst ? part.setBottom(border) : part.setTop(border);
    } else {
        const double border = gap.left() + firstShare * gap.width();
        isFirst ? part.setRight(border) : part.setLeft(border);
    }
    return part;
}

QRectF SectionLayout::strip(double metres) const {
    const double thick = std::clamp(metres * pixelsPerMetre, kThinnestStrip,
                                    std::max(kThinnestStrip, stacked ? gap.height() : gap.width()));
    const QPointF border = stacked ? part(first).bottomLeft() : part(first).topRight();
    return stacked ? QRectF(gap.left(), border.y() - thick / 2.0, gap.width(), thick)
                   : QRectF(border.x() - thick / 2.0, gap.top(), thick, gap.height());
}

SectionLayout layoutSection(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                            const state::Contents& contents, const QRectF& room, double keptScale) {
    SectionLayout layout;
    layout.stacked = isStacked(catalogue, cell);
    layout.first = contents.layers ? contents.layers->upper : Side::Negative;
    layout.firstShare = cell::shareOfGap(contents, layout.first);
    const Side second = design::otherSide(layout.first);
    const double along = layout.stacked ? room.height() : room.width();
    const double breadth = layout.stacked ? room.width() : room.height();
    const double total =
        cell.gapMetres + cell.electrodes[0].thicknessMetres + cell.electrodes[1].thicknessMetres;
    constexpr double kLeastRoom = 1.0; // a large font in a small window may leave none
    layout.pixelsPerMetre = keptScale > 0.0 ? keptScale : std::max(kLeastRoom, along) / total;

    const auto thick = [&](double metres) {
        return std::max(kThinnestDrawn, metres * layout.pixelsPerMetre);
    };
    const double largest = std::max(cell.electrodes[0].areaM2, cell.electrodes[1].areaM2);
    const auto broad = [&](Side side) {
        return std::max(kSmallestBreadth, breadth * std::sqrt(cell.electrode(side).areaM2 / largest));
    };
    const double before = thick(cell.electrode(layout.first).thicknessMetres);
    const double between = thick(cell.gapMetres);
    const double after = thick(cell.electrode(second).thicknessMetres);
    // Centred while it fits; a layer dragged too wide runs off on the far side, not on the near one.
    const double start =
        (layout.stacked ? room.top() : room.left()) + std::max(0.0, (along - before - between - after) / 2.0);
    const auto place = [&](Side side, double from, double length) {
        QRectF& box = layout.electrodes[static_cast<std::size_t>(side)];
        box = layout.stacked ? QRectF(room.center().x() - broad(side) / 2.0, from, broad(side), length)
                             : QRectF(from, room.bottom() - broad(side), length, broad(side));
    };
    place(layout.first, start, before);
    place(second, start + before + between, after);
    layout.gap = layout.stacked ? QRectF(room.left(), start + before, breadth, between)
                                : QRectF(start + before, room.top(), between, breadth);
    return layout;
}

} // namespace anodex::app
