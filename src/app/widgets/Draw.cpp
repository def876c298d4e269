#include "app/widgets/Draw.h"

#include <cmath>

namespace anodex::app {

void drawTerminal(QPainter& painter, const QPointF& centre, double radius, bool positive,
                  const Colours& colours) {
    const QRectF box(centre.x() - radius, centre.y() - radius, 2 * radius, 2 * radius);
    painter.setPen(Qt::NoPen);
    painter.setBrush(positive ? colours.positive : colours.negative);
    if (positive) {
        painter.drawRoundedRect(box, 2, 2);
    } else {
        painter.drawEllipse(box);
    }
    painter.setPen(QPen(colours.sheet, std::max(1.5, radius / 5.0)));
    const double arm = radius * 0.5;
    painter.drawLine(centre - QPointF(arm, 0), centre + QPointF(arm, 0));
    if (positive) {
        painter.drawLine(centre - QPointF(0, arm), centre + QPointF(0, arm));
    }
}

QColor severityColour(findings::Severity severity, const Colours& colours) {
    switch (severity) {
    case findings::Severity::Danger:
        return colours.danger;
    case findings::Severity::Warning:
        return colours.warning;
    case findings::Severity::Note:
        return colours.note;
    }
    return colours.note;
}

void drawSeverity(QPainter& painter, const QPointF& centre, double radius, findings::Severity severity,
                  const Colours& colours) {
    painter.setPen(Qt::NoPen);
    painter.setBrush(severityColour(severity, colours));
    if (severity == findings::Severity::Note) {
        painter.drawEllipse(centre, radius, radius);
    } else {
        const int corners = severity == findings::Severity::Danger ? 8 : 3;
        const double turn = severity == findings::Severity::Danger ? M_PI / 8.0 : -M_PI / 2.0;
        QPolygonF shape;
        for (int i = 0; i < corners; ++i) {
            const double angle = turn + 2.0 * M_PI * i / corners;
            shape << centre + radius * QPointF(std::cos(angle), std::sin(angle));
        }
        painter.drawPolygon(shape);
    }
    painter.setPen(colours.sheet);
    painter.setFont(Theme::font(std::max(0.5, radius / Theme::em(0.62)), true));
    drawWords(painter, QRectF(centre.x() - radius, centre.y() - radius, 2 * radius, 2 * radius),
              severity == findings::Severity::Note ? QStringLiteral("i") : QStringLiteral("!"),
              Qt::AlignCenter);
}

QColor tintedOver(const QColor& ground, const QColor& tint, double share) {
    const auto mixed = [share](float a, float b) { return a + static_cast<float>(share) * (b - a); };
    return QColor::fromRgbF(mixed(ground.redF(), tint.redF()), mixed(ground.greenF(), tint.greenF()),
                            mixed(ground.blueF(), tint.blueF()));
}

void drawDiamond(QPainter& painter, const QPointF& centre, double radius, const QColor& colour, Barb barb) {
    painter.setPen(Qt::NoPen);
    painter.setBrush(colour);
    if (barb != Barb::None) {
        const QPointF way = barb == Barb::Right ? QPointF(1.0, 0.0) : QPointF(0.0, -1.0);
        const QPointF across(way.y(), way.x());
        const QPointF tip = centre + 2.4 * radius * way;
        painter.setPen(QPen(colour, 1.5));
        painter.drawLine(centre + radius * way, tip);
        painter.drawLine(tip, tip - 0.6 * radius * way + 0.5 * radius * across);
        painter.drawLine(tip, tip - 0.6 * radius * way - 0.5 * radius * across);
        painter.setBrush(Qt::NoBrush);
    }
    painter.drawPolygon(QPolygonF({centre + QPointF(0, -radius), centre + QPointF(radius, 0),
                                   centre + QPointF(0, radius), centre + QPointF(-radius, 0)}));
}

} // namespace anodex::app
