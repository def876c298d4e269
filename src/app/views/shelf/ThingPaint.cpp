#include "app/views/shelf/ThingPaint.h"

#include "app/widgets/MaterialPaint.h"
#include "core/chemistry/NameLookup.h"

#include <QPainter>
#include <QPainterPath>

namespace anodex::app {
namespace {

/// Shares of the box: x to the right, y downward.
QRectF part(const QRectF& box, double x, double y, double w, double h) {
    return {box.left() + x * box.width(), box.top() + y * box.height(), w * box.width(), h * box.height()};
}

QPointF at(const QRectF& box, double x, double y) {
    return {box.left() + x * box.width(), box.top() + y * box.height()};
}

/// Upright, open or shut at the top.
void paintTube(QPainter& painter, const QRectF& box, double wide, const QBrush& top) {
    const double left = 0.5 - wide / 2.0;
    painter.drawRect(part(box, left, 0.12, wide, 0.82));
    painter.drawEllipse(part(box, left, 0.86, wide, 0.14));
    painter.setBrush(top);
    painter.drawEllipse(part(box, left, 0.04, wide, 0.16));
}

void paintNails(QPainter& painter, const QRectF& box) {
    for (int i = 0; i < 3; ++i) {
        const double x = 0.25 + 0.25 * i;
        painter.drawRect(part(box, x - 0.1, 0.1 + 0.06 * i, 0.2, 0.08));
        painter.drawPolygon(QPolygonF({at(box, x - 0.04, 0.18 + 0.06 * i), at(box, x + 0.04, 0.18 + 0.06 * i),
                                       at(box, x, 0.9 + 0.03 * i)}));
    }
}

void paintHeap(QPainter& painter, const QRectF& box) {
    QPainterPath heap(at(box, 0.05, 1.0));
    heap.cubicTo(at(box, 0.25, 0.7), at(box, 0.3, 0.3), at(box, 0.5, 0.3));
    heap.cubicTo(at(box, 0.7, 0.3), at(box, 0.75, 0.7), at(box, 0.95, 1.0));
    heap.closeSubpath();
    painter.drawPath(heap);
    for (const double x : {0.35, 0.5, 0.65}) {
        painter.drawEllipse(part(box, x - 0.05, 0.55 + 0.4 * (x - 0.35), 0.1, 0.1));
    }
}

} // namespace

bool paintLooks(QPainter& painter, const Colours& c, const QString& looks, const QRectF& box) {
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(c.ink, 1.3));
    painter.setBrush(c.rule);
    if (looks == QLatin1String("can")) {
        paintTube(painter, box, 0.5, c.sheet);
    } else if (looks == QLatin1String("pipe")) {
        paintTube(painter, box, 0.3, c.ink);
    } else if (looks == QLatin1String("rod")) {
        painter.drawRoundedRect(part(box, 0.4, 0.0, 0.2, 1.0), 3, 3);
    } else if (looks == QLatin1String("nails")) {
        paintNails(painter, box);
    } else if (looks == QLatin1String("coil")) {
        painter.setBrush(Qt::NoBrush);
        for (const double shrink : {0.0, 0.12, 0.24}) {
            painter.drawEllipse(part(box, 0.1 + shrink, 0.15 + shrink, 0.8 - 2 * shrink, 0.8 - 2 * shrink));
        }
    } else if (looks == QLatin1String("heap")) {
        paintHeap(painter, box);
    } else if (looks == QLatin1String("pot")) {
        painter.drawPolygon(
            QPolygonF({at(box, 0.15, 0.25), at(box, 0.85, 0.25), at(box, 0.7, 1.0), at(box, 0.3, 1.0)}));
        painter.drawRect(part(box, 0.1, 0.12, 0.8, 0.16));
    } else if (looks == QLatin1String("fruit")) {
        painter.drawEllipse(part(box, 0.1, 0.25, 0.8, 0.6));
        painter.drawLine(at(box, 0.5, 0.25), at(box, 0.58, 0.08));
    } else {
        return false;
    }
    return true;
}

void paintThing(QPainter& painter, const Colours& c, const chemistry::Catalogue& catalogue,
                const OwnedThing& thing, const QRectF& box) {
    const auto material = thing.kind == OwnedThing::Kind::Material
                              ? chemistry::findMaterial(catalogue, thing.name.toStdString())
                              : std::nullopt;
    if (material) {
        const double side = std::min(box.width(), box.height());
        paintMaterial(painter, c, catalogue, catalogue.materials[*material],
                      QRectF(box.center() - QPointF(side, side) / 2.0, QSizeF(side, side)));
        return;
    }
    const double w = box.width();
    const double h = box.height();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(c.ink, 1.3));
    switch (thing.kind) {
    case OwnedThing::Kind::Material:
        painter.setBrush(c.rule);
        painter.drawPolygon(QPolygonF({{box.left() + 0.2 * w, box.bottom()},
                                       {box.left() + 0.2 * w, box.top() + 0.15 * h},
                                       {box.left() + 0.7 * w, box.top()},
                                       {box.left() + 0.7 * w, box.bottom() - 0.15 * h}}));
        break;
    case OwnedThing::Kind::Substance:
        painter.setBrush(c.sheet);
        painter.drawRoundedRect(QRectF(box.left() + 0.2 * w, box.top() + 0.2 * h, 0.6 * w, 0.8 * h), 3, 3);
        painter.setBrush(c.faint);
        painter.drawRect(QRectF(box.left() + 0.15 * w, box.top() + 0.08 * h, 0.7 * w, 0.14 * h));
        painter.setBrush(c.expected);
        painter.setPen(Qt::NoPen);
        painter.drawRect(QRectF(box.left() + 0.23 * w, box.top() + 0.55 * h, 0.54 * w, 0.42 * h));
        break;
    case OwnedThing::Kind::Liquid: {
        QPainterPath bottle(QPointF(box.left() + 0.4 * w, box.top()));
        bottle.lineTo(box.left() + 0.6 * w, box.top());
        bottle.lineTo(box.left() + 0.6 * w, box.top() + 0.25 * h);
        bottle.lineTo(box.left() + 0.8 * w, box.top() + 0.45 * h);
        bottle.lineTo(box.left() + 0.8 * w, box.bottom());
        bottle.lineTo(box.left() + 0.2 * w, box.bottom());
        bottle.lineTo(box.left() + 0.2 * w, box.top() + 0.45 * h);
        bottle.lineTo(box.left() + 0.4 * w, box.top() + 0.25 * h);
        bottle.closeSubpath();
        painter.fillPath(bottle, c.sheet);
        painter.fillRect(QRectF(box.left() + 0.2 * w, box.top() + 0.55 * h, 0.6 * w, 0.45 * h), c.liquid);
        painter.setBrush(Qt::NoBrush);
        painter.drawPath(bottle);
        break;
    }
    case OwnedThing::Kind::Separator:
        painter.setBrush(QBrush(c.faint, Qt::Dense6Pattern));
        painter.drawRect(QRectF(box.left() + 0.15 * w, box.top() + 0.2 * h, 0.7 * w, 0.8 * h));
        break;
    case OwnedThing::Kind::Case:
        painter.setBrush(Qt::NoBrush);
        painter.drawPolyline(QPolygonF({{box.left() + 0.15 * w, box.top() + 0.2 * h},
                                        {box.left() + 0.15 * w, box.bottom()},
                                        {box.right() - 0.15 * w, box.bottom()},
                                        {box.right() - 0.15 * w, box.top() + 0.2 * h}}));
        break;
    }
}

} // namespace anodex::app
