#include "app/views/couple/ChargeWindow.h"

#include "app/theme/Words.h"
#include "app/widgets/Draw.h"
#include "wording/Quantities.h"

#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

/// Where currents and voltages lie in the field.
class Scale {
public:
    Scale(const QRectF& field, const charge::Charging& charging) : m_field(field) {
        const double shown = charging.asked->point.amps;
        m_least = std::log10(std::min({charging.least->amps, charging.best->amps, shown}) / 3.0);
        m_most = std::log10(std::max(charging.best->amps, shown) * 3.0);
        m_low = charging.restVolts;
        m_high = std::max(charging.best->volts, charging.asked->point.volts);
        m_low = std::max(m_low, charging.least->volts - 0.6 * std::max(m_high - charging.least->volts, 0.1));
        if (charging.gassingVolts && *charging.gassingVolts < m_high + 0.5) {
            m_high = std::max(m_high, *charging.gassingVolts);
        }
        const double pad = std::max(0.05, 0.12 * (m_high - m_low));
        m_low -= pad;
        m_high += pad;
    }

    [[nodiscard]] double x(double amps) const {
        return m_field.left() + m_field.width() * (std::log10(amps) - m_least) / (m_most - m_least);
    }
    [[nodiscard]] double y(double volts) const {
        return m_field.bottom() - m_field.height() * (volts - m_low) / (m_high - m_low);
    }
    [[nodiscard]] double low() const { return m_low; }
    [[nodiscard]] double high() const { return m_high; }
    [[nodiscard]] int firstDecade() const { return static_cast<int>(std::ceil(m_least)); }
    [[nodiscard]] int lastDecade() const { return static_cast<int>(std::floor(m_most)); }

private:
    QRectF m_field;
    double m_least = 0.0;
    double m_most = 1.0;
    double m_low = 0.0;
    double m_high = 1.0;
};

void paintAxes(QPainter& painter, const QRectF& field, const Scale& scale, const Colours& c) {
    painter.setFont(Theme::font(0.8));
    painter.setPen(QPen(c.rule, 1.0));
    painter.drawLine(field.bottomLeft(), field.bottomRight());
    painter.drawLine(field.bottomLeft(), field.topLeft());
    const double room = Theme::em(2.6);
    double last = -1e9;
    for (int decade = scale.firstDecade(); decade <= scale.lastDecade(); ++decade) {
        const double at = scale.x(std::pow(10.0, decade));
        painter.setPen(QPen(c.rule, 1.0));
        painter.drawLine(QPointF(at, field.bottom()), QPointF(at, field.bottom() + 4));
        if (at - last < 2.0 * room) {
            continue;
        }
        last = at;
        painter.setPen(c.faint);
        painter.drawText(QRectF(at - room, field.bottom() + 4, 2 * room, Theme::em(1.0)), Qt::AlignCenter,
                         q(wording::quantityText(std::pow(10.0, decade), explain::Unit::Ampere,
                                                 base::Interval{0.0, std::pow(10.0, decade)})));
    }
    const double span = scale.high() - scale.low();
    const double step = span > 1.2 ? 0.5 : span > 0.5 ? 0.2 : span > 0.25 ? 0.1 : 0.05;
    for (double volts = std::ceil(scale.low() / step) * step; volts < scale.high(); volts += step) {
        painter.setPen(QPen(c.rule, 1.0));
        painter.drawLine(QPointF(field.left() - 4, scale.y(volts)), QPointF(field.left(), scale.y(volts)));
        painter.setPen(c.faint);
        painter.drawText(QRectF(field.left() - Theme::em(4.0) - 6, scale.y(volts) - Theme::em(0.5),
                                Theme::em(4.0), Theme::em(1.0)),
                         Qt::AlignRight | Qt::AlignVCenter,
                         q(wording::numberText(volts, 3)) + QStringLiteral(" V"));
    }
}

} // namespace

PictureItem chargeWindowItem(const QRectF& area, const charge::Charging& charging, const Theme& theme) {
    PictureItem item;
    item.id = QStringLiteral("window");
    item.area = area;
    item.role = QAccessible::StaticText;
    item.name = tr("Charging window");
    const auto amps = [](double value) { return q(wording::quantityText(value, explain::Unit::Ampere)); };
    item.value = tr("from %1 to %2").arg(amps(charging.least->amps), amps(charging.best->amps));
    item.tooltip = item.name + QStringLiteral(": ") + item.value;
    const QRectF field = area.adjusted(Theme::em(4.0), Theme::em(0.6), -Theme::em(0.6), -Theme::em(1.6));
    item.paint = [=, &theme](QPainter& painter) {
        const Colours& c = theme.colours();
        const Scale scale(field, charging);
        painter.fillRect(area, c.paper);
        QColor pale = c.expected;
        pale.setAlpha(110);
        const double from = scale.x(charging.least->amps);
        const double to = scale.x(charging.best->amps);
        const double top = scale.y(charging.best->volts);
        const double bottom = std::min(scale.y(charging.least->volts), field.bottom());
        painter.fillRect(QRectF(from, top, std::max(to - from, 3.0), bottom - top), pale);
        paintAxes(painter, field, scale, c);
        painter.save();
        painter.setClipRect(field.adjusted(-1, -1, 1, 1));
        if (charging.gassingVolts) {
            painter.setPen(QPen(c.danger, 1.5, Qt::DotLine));
            const double y = scale.y(*charging.gassingVolts);
            painter.drawLine(QPointF(field.left(), y), QPointF(field.right(), y));
            painter.setFont(Theme::font(0.8));
            drawElided(painter,
                       QRectF(field.left() + 4, y - Theme::em(1.1), field.width() - 8, Theme::em(1.0)),
                       tr("gas once full"));
        }
        QPolygonF line;
        for (const charge::ChargePoint& point : charging.curve) {
            line << QPointF(scale.x(point.amps), scale.y(point.volts));
        }
        painter.setPen(QPen(c.ink, 2.0));
        painter.setBrush(Qt::NoBrush);
        painter.drawPolyline(line);
        painter.setBrush(c.ink);
        painter.drawEllipse(
            QPointF(scale.x(charging.asked->point.amps), scale.y(charging.asked->point.volts)),
            Theme::em(0.35), Theme::em(0.35));
        painter.restore();
        painter.setPen(c.faint);
        painter.setFont(Theme::font(0.85));
        if (to - from > Theme::em(4.0) && bottom - top > Theme::em(2.4)) {
            drawElided(painter, QRectF(from, top + Theme::em(0.1), to - from, Theme::em(1.1)), tr("window"),
                       Qt::AlignCenter);
        }
    };
    return item;
}

} // namespace anodex::app
