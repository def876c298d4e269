#include "app/widgets/MaterialPaint.h"

#include "app/widgets/MaterialTint.h"

#include <QPainter>
#include <QPainterPath>
#include <algorithm>
#include <array>
#include <string_view>

namespace anodex::app {
namespace {

class Piece {
public:
    Piece(QPainter& painter, const Colours& colours, const QColor& tint, const QRectF& box)
        : m_painter(painter), m_colours(colours), m_tint(tint), m_box(box) {}

    /// Seen a little from the side.
    void sheet() { m_painter.drawPolygon(between(0.1, 0.9)); }
    void strip() { m_painter.drawPolygon(between(0.35, 0.65)); }
    void foil() {
        QPainterPath path(at(0.1, 0.9));
        path.cubicTo(at(0.2, 0.6), at(0.0, 0.4), at(0.15, 0.15));
        path.cubicTo(at(0.4, 0.3), at(0.6, 0.0), at(0.9, 0.12));
        path.cubicTo(at(0.78, 0.4), at(1.0, 0.6), at(0.85, 0.85));
        path.cubicTo(at(0.6, 1.0), at(0.4, 0.75), at(0.1, 0.9));
        m_painter.drawPath(path);
    }
    void mesh() {
        sheet();
        for (int i = 1; i < 5; ++i) {
            const double share = 0.2 * i;
            m_painter.drawLine(at(0.1 + 0.8 * share, 1.0 - 0.15 * share),
                               at(0.1 + 0.8 * share, 0.15 - 0.15 * share));
            m_painter.drawLine(at(0.1, 0.15 + 0.85 * share), at(0.9, 0.85 * share));
        }
    }
    void rod() { m_painter.drawRoundedRect(part(0.38, 0.0, 0.24, 1.0), 3, 3); }
    void screw() {
        m_painter.drawRect(part(0.3, 0.02, 0.4, 0.16));
        m_painter.drawPolygon(
            QPolygonF({at(0.4, 0.18), at(0.6, 0.18), at(0.6, 0.75), at(0.5, 1.0), at(0.4, 0.75)}));
        for (const double y : {0.34, 0.48, 0.62}) {
            m_painter.drawLine(at(0.34, y + 0.05), at(0.66, y - 0.05));
        }
    }
    void coil() {
        m_painter.setBrush(Qt::NoBrush);
        for (const QPen& pen : {QPen(m_colours.ink, 3.6), QPen(m_tint, 1.8)}) {
            m_painter.setPen(pen);
            for (const double inset : {0.06, 0.26}) {
                m_painter.drawEllipse(part(inset, inset, 1.0 - 2.0 * inset, 1.0 - 2.0 * inset));
            }
        }
    }
    void can() { hollow(0.7, m_colours.sheet); }
    void tube() { hollow(0.4, m_colours.ink); }
    void clip() {
        m_painter.setPen(QPen(m_tint, 3.0));
        QPainterPath path(at(0.3, 0.85));
        path.lineTo(at(0.3, 0.25));
        path.arcTo(part(0.3, 0.05, 0.4, 0.4), 180, -180);
        path.lineTo(at(0.7, 0.8));
        m_painter.setBrush(Qt::NoBrush);
        m_painter.drawPath(path);
    }
    void block() {
        m_painter.drawPolygon(QPolygonF(
            {at(0.05, 0.35), at(0.3, 0.12), at(0.95, 0.12), at(0.95, 0.7), at(0.7, 0.95), at(0.05, 0.95)}));
        m_painter.drawPolyline(QPolygonF({at(0.05, 0.35), at(0.7, 0.35), at(0.95, 0.12)}));
        m_painter.drawLine(at(0.7, 0.35), at(0.7, 0.95));
    }
    /// What is soft and full of holes.
    void felt() {
        m_painter.drawRoundedRect(part(0.05, 0.15, 0.9, 0.7), 4, 4);
        m_painter.setPen(QPen(m_colours.sheet, 0.9));
        for (int i = 0; i < 9; ++i) {
            const QPointF from = at(0.14 + 0.085 * i, 0.28 + 0.16 * (i % 3));
            m_painter.drawLine(
                from, from + QPointF(0.09 * m_box.width(), (i % 2 == 0 ? 0.14 : -0.08) * m_box.height()));
        }
    }
    void grains() {
        constexpr std::array<QPointF, 7> kGrains{
            QPointF(0.2, 0.8),   QPointF(0.45, 0.82), QPointF(0.7, 0.8),  QPointF(0.32, 0.58),
            QPointF(0.58, 0.58), QPointF(0.82, 0.64), QPointF(0.46, 0.36)};
        for (const QPointF& grain : kGrains) {
            m_painter.drawEllipse(part(grain.x() - 0.14, grain.y() - 0.12, 0.28, 0.26));
        }
    }
    void heap() {
        QPainterPath path(at(0.02, 0.95));
        path.cubicTo(at(0.3, 0.7), at(0.35, 0.25), at(0.5, 0.25));
        path.cubicTo(at(0.65, 0.25), at(0.7, 0.7), at(0.98, 0.95));
        path.closeSubpath();
        m_painter.drawPath(path);
    }
    /// On the sheet that carries it.
    void paste() {
        m_painter.setBrush(m_colours.sheet);
        m_painter.drawPolygon(between(0.05, 0.95));
        m_painter.setBrush(m_tint);
        m_painter.drawRoundedRect(part(0.2, 0.24, 0.6, 0.56), 5, 5);
    }

private:
    /// Shares of the box: x to the right, y downward.
    [[nodiscard]] QPointF at(double x, double y) const {
        return {m_box.left() + x * m_box.width(), m_box.top() + y * m_box.height()};
    }
    [[nodiscard]] QRectF part(double x, double y, double w, double h) const {
        return {at(x, y), at(x + w, y + h)};
    }
    [[nodiscard]] QPolygonF between(double left, double right) const {
        return QPolygonF({at(left, 1.0), at(left, 0.15), at(right, 0.0), at(right, 0.85)});
    }
    void hollow(double wide, const QColor& inside) {
        const double left = 0.5 - wide / 2.0;
        QPainterPath path(at(left, 0.1));
        path.lineTo(at(left, 0.9));
        path.quadTo(at(0.5, 1.06), at(left + wide, 0.9));
        path.lineTo(at(left + wide, 0.1));
        path.closeSubpath();
        m_painter.drawPath(path);
        m_painter.setBrush(inside);
        m_painter.drawEllipse(part(left, 0.0, wide, 0.2));
    }

    QPainter& m_painter;
    const Colours& m_colours;
    QColor m_tint;
    QRectF m_box;
};

struct Form {
    std::string_view name; ///< As the catalogue has it.
    void (Piece::*draw)();
};
constexpr Form kForms[] = {
    {"wire", &Piece::coil},   {"rod", &Piece::rod},       {"screw", &Piece::screw},
    {"can", &Piece::can},     {"tube", &Piece::tube},     {"clip", &Piece::clip},
    {"mesh", &Piece::mesh},   {"foil", &Piece::foil},     {"film", &Piece::foil},
    {"strip", &Piece::strip}, {"ribbon", &Piece::strip},  {"felt", &Piece::felt},
    {"foam", &Piece::felt},   {"cloth", &Piece::felt},    {"fibre", &Piece::felt},
    {"block", &Piece::block}, {"layer", &Piece::grains},  {"powder", &Piece::heap},
    {"paste", &Piece::paste}, {"coating", &Piece::paste},
};

} // namespace

void paintMaterial(QPainter& painter, const Colours& colours, const chemistry::Catalogue& catalogue,
                   const chemistry::Material& material, const QRectF& box) {
    const QColor tint = tintOf(catalogue, material, colours);
    const auto* form = std::find_if(std::begin(kForms), std::end(kForms),
                                    [&](const Form& one) { return one.name == material.form; });
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(colours.ink, 1.0));
    painter.setBrush(tint);
    Piece piece(painter, colours, tint, box);
    (piece.*(form == std::end(kForms) ? &Piece::sheet : form->draw))();
    painter.restore();
}

} // namespace anodex::app
