#include "app/widgets/WholePaint.h"

#include "app/widgets/Draw.h"

#include <QPainter>
#include <QTransform>
#include <algorithm>

namespace anodex::app {

double placeWhole(std::vector<WholePiece>& pieces, const QRectF& room) {
    QRectF bounds;
    for (const WholePiece& piece : pieces) {
        bounds = bounds.united(piece.path.boundingRect());
    }
    const double scale = std::min(room.width() / bounds.width(), room.height() / bounds.height());
    QTransform place;
    place.translate(room.center().x(), room.center().y());
    place.scale(scale, scale);
    place.translate(-bounds.center().x(), -bounds.center().y());
    for (WholePiece& piece : pieces) {
        piece.path = place.map(piece.path);
        piece.thickness *= scale;
    }
    return scale;
}

double shownStrength(const state::Contents& contents, design::Side side) {
    constexpr double kDeepest = 3.0; // mol/kg
    return std::clamp(contents.solution(side).ionicStrength / kDeepest, 0.08, 1.0);
}

void paintPiece(QPainter& painter, const Colours& c, const WholePiece& piece, double strength) {
    using Kind = WholePiece::Kind;
    const auto fill = [&](const QBrush& brush, bool smooth = true) {
        // Smooth edges of a pattern cost as much as all the rest.
        painter.setRenderHint(QPainter::Antialiasing, smooth);
        painter.fillPath(piece.path, brush);
        painter.setRenderHint(QPainter::Antialiasing);
    };
    switch (piece.kind) {
    case Kind::Electrode: {
        const QColor& metal = piece.side == design::Side::Negative ? c.negative : c.positive;
        constexpr double kSeen = 2.0; // px; thinner than a hair on this scale, it is still seen
        if (piece.thickness > kSeen) {
            fill(metal);
        } else {
            painter.strokePath(piece.path, QPen(metal, kSeen));
        }
        break;
    }
    case Kind::Liquid:
        fill(tintedOver(c.paper, c.liquid, 0.25 + 0.55 * strength));
        break;
    case Kind::Separator:
        fill(QBrush(c.faint, Qt::Dense6Pattern), false);
        painter.strokePath(piece.path, QPen(c.faint, 1.0, Qt::DashLine));
        break;
    case Kind::Oil:
        fill(QBrush(c.warning, Qt::Dense5Pattern), false);
        break;
    case Kind::Soil:
        fill(QBrush(c.faint, Qt::Dense7Pattern), false);
        painter.strokePath(piece.path, QPen(c.faint, 1.0));
        break;
    case Kind::Pipe:
    case Kind::Vessel:
        fill(c.sheet);
        painter.strokePath(piece.path, QPen(c.faint, 1.0));
        break;
    }
}

} // namespace anodex::app
