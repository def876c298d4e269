// The supply above the charge ladder, and which of its ends goes to which electrode.
#include "app/views/couple/ChargeLadder.h"
#include "app/widgets/Draw.h"
#include "wording/Quantities.h"

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

} // namespace

/// The supply above the columns and its two clips: which goes where, and what the columns are called now.
void ChargeLadder::addSupply(std::vector<PictureItem>& items) const {
    const double left = columnX(design::Side::Negative);
    const double right = columnX(design::Side::Positive);
    PictureItem item;
    item.id = QStringLiteral("supply");
    const double middle = 0.5 * (left + right);
    item.area = QRectF(middle - Theme::em(4.2), Theme::em(0.3), Theme::em(8.4), Theme::em(2.0));
    item.role = QAccessible::StaticText;
    item.name = tr("Supply");
    const std::string& negative = m_bench.draft().design().negative.material.written;
    const std::string& positive = m_bench.draft().design().positive.material.written;
    item.value = tr("plus on %1, minus on %2")
                     .arg(q(m_charging->reversed ? negative : positive),
                          q(m_charging->reversed ? positive : negative));
    item.tooltip = item.name + QStringLiteral(": ") + item.value;
    item.paint = [=, this, area = item.area](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setPen(QPen(c.ink, 1.5));
        const double wire = area.center().y();
        for (const design::Side side : {design::Side::Negative, design::Side::Positive}) {
            const double x = columnX(side);
            const double from = side == design::Side::Negative ? area.left() : area.right();
            painter.drawLine(QPointF(from, wire), QPointF(x, wire));
            painter.drawLine(QPointF(x, wire), QPointF(x, top() - Theme::em(2.6)));
        }
        painter.setBrush(c.sheet);
        painter.drawRoundedRect(area, 4, 4);
        painter.setFont(Theme::font(0.95, true));
        drawElided(painter, area, tr("supply"), Qt::AlignCenter);
        for (const design::Side side : {design::Side::Negative, design::Side::Positive}) {
            const double x = columnX(side);
            const double at =
                side == design::Side::Negative ? area.left() + Theme::em(0.9) : area.right() - Theme::em(0.9);
            drawTerminal(painter, {at, wire}, Theme::em(0.5), isPlus(side), c);
            painter.setPen(c.ink);
            painter.setFont(Theme::font(1.0, true));
            const QRectF line(x - Theme::em(7.0), top() - Theme::em(2.5), Theme::em(14.0), Theme::em(1.2));
            drawElided(painter, line, q(m_bench.draft().design().electrode(side).material.written),
                       Qt::AlignCenter);
            painter.setPen(c.faint);
            painter.setFont(Theme::font(0.85));
            drawElided(painter, line.translated(0, Theme::em(1.15)),
                       isPlus(side) ? tr("now the anode") : tr("now the cathode"), Qt::AlignCenter);
        }
    };
    items.push_back(std::move(item));
}

} // namespace anodex::app
