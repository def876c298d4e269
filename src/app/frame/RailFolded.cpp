// The rail as a strip: values without their bars, findings as signs.
#include "app/frame/Rail.h"
#include "app/widgets/Draw.h"
#include "wording/FindingText.h"

#include <algorithm>

namespace anodex::app {

PictureItem Rail::foldButton() const {
    const double size = Theme::em(1.5);
    PictureItem button;
    button.id = QStringLiteral("fold");
    button.area = QRectF(width() - size - Theme::em(0.4), Theme::em(0.3), size, size);
    button.role = QAccessible::Button;
    button.name = m_folded ? tr("Unfold the expected values") : tr("Fold the expected values");
    button.tooltip = button.name;
    button.paint = [this, centre = button.area.center()](QPainter& painter) {
        const double reach = Theme::em(m_folded ? -0.22 : 0.22);
        painter.setPen(QPen(m_theme.colours().faint, 1.8));
        for (const double x : {0.0, Theme::em(0.4)}) {
            const QPointF tip = centre + QPointF(reach / 2.0 + x - Theme::em(0.2), 0.0);
            painter.drawLine(tip, tip + QPointF(-reach, -Theme::em(0.34)));
            painter.drawLine(tip, tip + QPointF(-reach, Theme::em(0.34)));
        }
    };
    return button;
}

double Rail::addShort(std::vector<PictureItem>& items, const Row& row, double y) const {
    const double left = Theme::em(0.4);
    PictureItem item =
        rowItem(row, QRectF(left, y, width() - 2.0 * left, Theme::em(row.measured ? 3.9 : 2.7)));
    item.paint = [this, row, box = item.area](QPainter& painter) {
        const Colours& c = m_theme.colours();
        const auto line = [&](double from, double tall, double size, bool bold, const QColor& ink,
                              const QString& words) {
            painter.setPen(ink);
            painter.setFont(Theme::font(size, bold));
            drawElided(painter, QRectF(box.left(), box.top() + Theme::em(from), box.width(), Theme::em(tall)),
                       words);
        };
        line(0.0, 1.1, 0.82, false, c.faint, row.name);
        line(1.05, 1.4, 1.15, true, c.ink, row.valueText);
        if (row.measured) {
            line(2.4, 1.2, 0.95, true, c.focus,
                 (row.atLeast ? QStringLiteral("≥ ") : QString()) + row.measuredText);
        }
    };
    const double below = item.area.bottom();
    items.push_back(std::move(item));
    return below;
}

/// The worst with its sign alone on a line, which unfolds; each of the others a sign that opens its page.
double Rail::addSigns(std::vector<PictureItem>& items, double y) const {
    const auto& findings = outcome().findings;
    const double size = Theme::em(1.6);
    const int across = std::max(1, static_cast<int>((width() - Theme::em(0.8)) / size));
    for (std::size_t i = 0; i < findings.size(); ++i) {
        const wording::FindingText words = wording::findingText(findings[i]);
        const int column = static_cast<int>(i) % across;
        const int line = static_cast<int>(i) / across;
        PictureItem sign;
        sign.id = i == 0 ? QStringLiteral("finding") : QStringLiteral("finding:%1").arg(i);
        sign.area = QRectF(Theme::em(0.4) + column * size, y + line * size, size, size);
        sign.role = i == 0 ? QAccessible::AlertMessage : QAccessible::Button;
        sign.name = QString::fromStdString(words.title);
        sign.value = QString::fromStdString(words.text);
        sign.tooltip = sign.name + QLatin1Char('\n') + sign.value;
        sign.paint = [this, centre = sign.area.center(), severity = findings[i].severity,
                      reach = Theme::em(i == 0 ? 0.65 : 0.45)](QPainter& painter) {
            drawSeverity(painter, centre, reach, severity, m_theme.colours());
        };
        items.push_back(std::move(sign));
    }
    return findings.empty() ? y : items.back().area.bottom();
}

void Rail::fillFolded(std::vector<PictureItem>& items) {
    items.push_back(foldButton());
    double y = items.back().area.bottom();
    if (outcome().usable()) {
        y = addSigns(items, y) + Theme::em(0.4);
        for (const Row& row : rows()) {
            y = addShort(items, row, y);
        }
    }
    setMinimumHeight(static_cast<int>(y + Theme::em(0.6)));
}

} // namespace anodex::app
