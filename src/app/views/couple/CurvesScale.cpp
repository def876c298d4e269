// The scales of the curves: even steps or decades of current, and what stands under the pointer.
#include "app/views/couple/Curves.h"
#include "app/widgets/Draw.h"
#include "app/widgets/RoundStep.h"
#include "wording/Quantities.h"

#include <QMouseEvent>
#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QString si(double value, explain::Unit unit) {
    return q(wording::quantityText(value, unit));
}

/// Between its neighbours; none outside the curve.
std::optional<double> voltsAt(const std::vector<cell::CurvePoint>& curve, double amps) {
    const auto above =
        std::lower_bound(curve.begin(), curve.end(), amps,
                         [](const cell::CurvePoint& point, double wanted) { return point.amps < wanted; });
    if (above == curve.end() || above == curve.begin()) {
        return std::nullopt;
    }
    const cell::CurvePoint& low = *std::prev(above);
    const double wide = above->amps - low.amps;
    return wide <= 0.0 ? low.volts : low.volts + (above->volts - low.volts) * (amps - low.amps) / wide;
}

} // namespace

/// Share of the axis.
double Curves::along(double amps) const {
    if (!m_byDecades) {
        return amps / m_lines->amps;
    }
    const double least = m_lines->leastAmps;
    return std::log(std::max(amps, least) / least) / std::log(m_lines->amps / least);
}

double Curves::ampsAlong(double share) const {
    return m_byDecades ? m_lines->leastAmps * std::pow(m_lines->amps / m_lines->leastAmps, share)
                       : share * m_lines->amps;
}

QPointF Curves::at(const QRectF& field, double amps, double value, double most) const {
    return {field.left() + field.width() * along(amps), field.bottom() - field.height() * value / most};
}

std::vector<double> Curves::ampsMarked() const {
    std::vector<double> marks;
    if (m_byDecades) {
        for (double amps = std::pow(10.0, std::ceil(std::log10(m_lines->leastAmps))); amps <= m_lines->amps;
             amps *= 10.0) {
            marks.push_back(amps);
        }
        return marks;
    }
    const int count = std::max(2, static_cast<int>(powerField().width() / Theme::em(6.0)));
    const double step = roundStep(m_lines->amps / count);
    for (int i = 1; i * step <= m_lines->amps; ++i) {
        marks.push_back(i * step);
    }
    return marks;
}

void Curves::paintScales(QPainter& painter) const {
    const Colours& c = m_theme.colours();
    painter.setFont(Theme::font(0.85));
    const auto rows = [&](const QRectF& field, double most, explain::Unit unit, const QString& name) {
        const int count = std::max(2, static_cast<int>(field.height() / Theme::em(2.2)));
        const double step = roundStep(most / count);
        for (double value = 0.0; value <= most; value += step) {
            const double y = at(field, 0.0, value, most).y();
            painter.setPen(QPen(c.rule, 1.0, value == 0.0 ? Qt::SolidLine : Qt::DotLine));
            painter.drawLine(QPointF(field.left(), y), QPointF(field.right(), y));
            painter.setPen(c.faint);
            painter.drawText(QRectF(0, y - Theme::em(0.6), field.left() - 6, Theme::em(1.2)),
                             Qt::AlignRight | Qt::AlignVCenter,
                             q(wording::quantityText(value, unit, base::Interval{0.0, step})));
        }
        painter.setPen(c.ink);
        drawElided(painter,
                   QRectF(field.left() + 6, field.top() - Theme::em(1.2), Theme::em(8.0), Theme::em(1.2)),
                   name);
    };
    rows(voltageField(), m_lines->volts, explain::Unit::Volt, tr("voltage"));
    rows(powerField(), m_lines->watts, explain::Unit::Watt, tr("power"));
    const QRectF field = powerField();
    const std::vector<double> marks = ampsMarked();
    for (const double amps : marks) {
        const double x = at(field, amps, 0.0, 1.0).x();
        painter.setPen(QPen(c.rule, 1.0, Qt::DotLine));
        painter.drawLine(QPointF(x, voltageField().top()), QPointF(x, field.bottom()));
        const QString words = q(wording::quantityText(
            amps, explain::Unit::Ampere, base::Interval{0.0, m_byDecades ? amps : marks.front()}));
        if (x + 0.5 * wordsWidth(words, painter.font()) > axisSwitch().left()) {
            continue;
        }
        painter.setPen(c.faint);
        painter.drawText(QRectF(x - Theme::em(3.0), field.bottom() + 4, Theme::em(6.0), Theme::em(1.2)),
                         Qt::AlignHCenter | Qt::AlignTop, words);
    }
}

/// Beside the axis it changes.
QRectF Curves::axisSwitch() const {
    const QRectF field = powerField();
    return {field.right() + Theme::em(0.4), field.bottom() - Theme::em(0.3),
            width() - field.right() - Theme::em(0.5), Theme::em(1.6)};
}

void Curves::addAxis(std::vector<PictureItem>& items) const {
    PictureItem item;
    item.id = QStringLiteral("axis");
    item.area = axisSwitch();
    item.role = QAccessible::Button;
    item.name = m_byDecades ? tr("even steps") : tr("by decades");
    item.value =
        m_byDecades ? tr("The current is shown by decades") : tr("The current is shown in even steps");
    item.tooltip = tr("Shows the current the other way (L)");
    item.paint = [this, area = item.area, words = item.name](QPainter& painter) {
        QFont font = Theme::font(0.85);
        font.setUnderline(true);
        painter.setFont(font);
        painter.setPen(m_theme.colours().focus);
        drawElided(painter, area, words);
    };
    items.push_back(std::move(item));
}

void Curves::changeAxis() {
    m_byDecades = !m_byDecades;
    m_pointed.reset();
    rebuild();
}

void Curves::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_L && event->modifiers() == Qt::NoModifier) {
        changeAxis();
        return;
    }
    Picture::keyPressEvent(event);
}

void Curves::mouseMoveEvent(QMouseEvent* event) {
    Picture::mouseMoveEvent(event);
    m_pointed.reset();
    const QRectF field = voltageField().united(powerField());
    if (m_lines && field.contains(event->position())) {
        m_pointed = ampsAlong((event->position().x() - field.left()) / field.width());
    }
    update();
}

void Curves::leaveEvent(QEvent* event) {
    Picture::leaveEvent(event);
    m_pointed.reset();
    update();
}

QString Curves::pointedWords() const {
    const auto volts = m_lines && m_pointed ? voltsAt(m_lines->first, *m_pointed) : std::nullopt;
    return volts ? tr("%1 at %2, %3")
                       .arg(si(*volts, explain::Unit::Volt), si(*m_pointed, explain::Unit::Ampere),
                            si(*volts * *m_pointed, explain::Unit::Watt))
                 : QString();
}

/// A line down both curves, its figures always in one place.
void Curves::paintPointer(QPainter& painter) const {
    const QString words = pointedWords();
    if (words.isEmpty()) {
        return;
    }
    const Colours& c = m_theme.colours();
    const QRectF above = voltageField();
    const double x = at(above, *m_pointed, 0.0, 1.0).x();
    painter.setPen(QPen(c.focus, 1.0));
    painter.drawLine(QPointF(x, above.top()), QPointF(x, powerField().bottom()));
    painter.setFont(Theme::font(0.95, true));
    drawElided(
        painter,
        QRectF(above.left() + Theme::em(5.0), above.top() - Theme::em(1.3), Theme::em(15.0), Theme::em(1.2)),
        words);
}

} // namespace anodex::app
