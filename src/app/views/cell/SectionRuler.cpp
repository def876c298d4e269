#include "app/views/cell/SectionRuler.h"

#include "app/theme/Theme.h"
#include "app/theme/Words.h"
#include "app/widgets/ShapedText.h"
#include "wording/Quantities.h"

#include <QPainter>
#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

/// Metres between two marks: 1, 2 or 5 of a decade, far enough apart for a number.
double markStep(double pixelsPerMetre) {
    double decade = 1e-5;
    while (true) {
        for (const double factor : {1.0, 2.0, 5.0}) {
            if (factor * decade * pixelsPerMetre >= Theme::em(3.0)) {
                return factor * decade;
            }
        }
        decade *= 10.0;
    }
}

} // namespace

void paintRuler(QPainter& painter, const SectionLayout& layout, const design::Cell& cell, const QSizeF& room,
                const QColor& colour) {
    const QRectF& near = layout.box(layout.first);
    const QRectF& far = layout.box(design::otherSide(layout.first));
    const double from = layout.stacked ? near.top() : near.left();
    const double to = layout.stacked ? far.bottom() : far.right();
    const double y = room.height() - Theme::em(1.3);
    const double x = Theme::em(0.9);
    painter.setPen(colour);
    painter.setFont(Theme::font(0.85));
    painter.drawLine(layout.stacked ? QLineF(x, from, x, to) : QLineF(from, y, to, y));
    const double step = markStep(layout.pixelsPerMetre);
    for (double at = 0.0; from + at * layout.pixelsPerMetre <= to + 1; at += step) {
        const double here = from + at * layout.pixelsPerMetre;
        const QString number = QString::fromStdString(wording::numberText(at * 1e3, 3)) +
                               (at == 0.0 ? QStringLiteral(" mm") : QString());
        if (layout.stacked) {
            painter.drawLine(QPointF(x - 4, here), QPointF(x + 4, here));
            drawWords(painter, QRectF(x + 7, here - Theme::em(0.6), Theme::em(4.0), Theme::em(1.2)), number,
                      Qt::AlignLeft | Qt::AlignVCenter);
        } else {
            painter.drawLine(QPointF(here, y - 4), QPointF(here, y + 4));
            drawWords(painter, QRectF(here + 3, y, Theme::em(4.0), Theme::em(1.2)), number, Qt::AlignLeft);
        }
    }
    const double thinnest = std::min(cell.electrodes[0].thicknessMetres, cell.electrodes[1].thicknessMetres);
    if (thinnest * layout.pixelsPerMetre < kThinnestDrawn) {
        const QRectF line = layout.stacked
                                ? QRectF(x, y, room.width() - x, Theme::em(1.2))
                                : QRectF(from, y - Theme::em(1.5), room.width() - from, Theme::em(1.2));
        drawWords(painter, line, tr("electrodes drawn thicker than they are"), Qt::AlignLeft);
    }
}

} // namespace anodex::app
