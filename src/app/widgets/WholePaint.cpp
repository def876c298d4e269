#include "app/widgets/WholePaint.h"

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
    }
    return scale;
}

double shownStrength(const state::Contents& contents, design::Side side) {
    constexpr double kDeepest = 3.0; // mol/kg
    return std::clamp(contents.solution(side).ionicStrength / kDeepest, 0.08, 1.0);
}

void paintPiece(QPainter& painter, const Colours& c, const WholePiece& piece, double strength) {
    using Kind = WholePiece::Kind;
    const QColor& metal = piece.side == design::Side::Negative ? c.negative : c.positive;
    QColor liquid = c.liquid;
    liquid.setAlphaF(static_cast<float>(0.25 + 0.55 * strength));
    painter.setRenderHint(QPainter::Antialiasing);
    switch (piece.kind) {
    case Kind::Electrode:
        // Thinner than a hair on this scale, it is still seen.
        painter.setPen(QPen(metal, 2.0));
        painter.setBrush(metal);
        break;
    case Kind::Liquid:
        painter.setPen(Qt::NoPen);
        painter.setBrush(liquid);
        break;
    case Kind::Separator:
        painter.setPen(QPen(c.faint, 1.0, Qt::DashLine));
        painter.setBrush(QBrush(c.faint, Qt::Dense6Pattern));
        break;
    case Kind::Oil:
        painter.setPen(Qt::NoPen);
        painter.setBrush(QBrush(c.warning, Qt::Dense5Pattern));
        break;
    case Kind::Soil:
        painter.setPen(QPen(c.faint, 1.0));
        painter.setBrush(QBrush(c.faint, Qt::Dense7Pattern));
        break;
    case Kind::Pipe:
    case Kind::Vessel:
        painter.setPen(QPen(c.faint, 1.0));
        painter.setBrush(c.sheet);
        break;
    }
    painter.drawPath(piece.path);
}

} // namespace anodex::app
