#include "app/frame/Wire.h"

#include "app/widgets/Draw.h"

namespace anodex::app {

Wire::Wire(const Theme& theme, QWidget* parent) : Picture(tr("Stations"), parent), m_theme(theme) {
    setObjectName(QStringLiteral("wire"));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    connect(this, &Picture::resized, this, &Wire::rebuild);
    connect(&theme, &Theme::changed, this, &Wire::rebuild);
    connect(this, &Picture::activated, this, [this](const QString& id) {
        if (id == QLatin1String("drawer")) {
            emit drawerAsked();
        } else if (id == QLatin1String("find")) {
            emit findAsked();
        } else {
            emit stationChosen(id);
        }
    });
    setBackdrop([this](QPainter& painter) {
        painter.setPen(QPen(m_theme.colours().ink, 1.5));
        const double y = Theme::em(1.1);
        painter.drawLine(QPointF(Theme::em(1.4), y), QPointF(width() - Theme::em(1.4), y));
    });
}

QSize Wire::sizeHint() const {
    return {600, static_cast<int>(Theme::em(3.1))};
}

void Wire::setStations(std::vector<Station> stations, const QString& current) {
    if (m_stations == stations && m_current == current) {
        return;
    }
    m_stations = std::move(stations);
    m_current = current;
    rebuild();
}

void Wire::rebuild() {
    setFocusColour(m_theme.colours().focus);
    if (height() != sizeHint().height()) {
        setFixedHeight(sizeHint().height());
    }
    std::vector<PictureItem> items;
    const double y = Theme::em(1.1);
    const double r = Theme::em(0.55);
    const auto terminal = [&](const QString& id, double x, bool positive, const QString& word,
                              const QString& tip) {
        PictureItem item;
        item.id = id;
        const double reach = std::min(Theme::em(2.0), std::min(x, width() - x) - 5.0);
        item.area = QRectF(x - reach, 4, 2 * reach, height() - 8);
        item.role = QAccessible::Button;
        item.name = word;
        item.tooltip = tip;
        item.paint = [=, this](QPainter& painter) {
            drawTerminal(painter, {x, y}, r, positive, m_theme.colours());
            painter.setPen(m_theme.colours().ink);
            painter.setFont(Theme::font(0.9));
            drawWords(painter, QRectF(x - Theme::em(2.0), y + r + 2, Theme::em(4.0), Theme::em(1.1)), word,
                      Qt::AlignCenter);
        };
        items.push_back(std::move(item));
    };
    const double left = Theme::em(2.2);
    const double right = width() - Theme::em(2.2);
    terminal(QStringLiteral("drawer"), left, false, tr("Drawer"),
             tr("Open, recent, import, settings, help (Alt+D)"));
    const double span = right - left;
    const auto count = static_cast<double>(m_stations.size());
    for (std::size_t i = 0; i < m_stations.size(); ++i) {
        const Station station = m_stations[i];
        const double x = left + span * (static_cast<double>(i) + 1.0) / (count + 1.0);
        const bool current = station.id == m_current;
        const double half = std::min(Theme::em(3.2), span / (count + 1.0) / 2.0);
        PictureItem item;
        item.id = station.id;
        item.area = QRectF(x - half, 4, 2 * half, height() - 8);
        item.role = QAccessible::PageTab;
        item.name = station.title;
        item.value = current ? tr("here") : QString();
        item.tooltip = tr("%1 (Alt+%2)").arg(station.title).arg(station.number);
        item.paint = [=, this](QPainter& painter) {
            const Colours& c = m_theme.colours();
            painter.setPen(QPen(c.ink, 2.0));
            painter.setBrush(current ? c.ink : c.paper);
            painter.drawEllipse(QPointF(x, y), r * 0.8, r * 0.8);
            if (station.flags > 0) {
                drawSeverity(painter, {x + r * 1.5, y - r * 0.7}, r * 0.62, findings::Severity::Danger, c);
            }
            painter.setPen(c.ink);
            painter.setFont(Theme::font(1.0, current));
            drawElided(painter, QRectF(x - half, y + r + 2, 2 * half, Theme::em(1.2)), station.title,
                       Qt::AlignCenter);
        };
        items.push_back(std::move(item));
    }
    terminal(QStringLiteral("find"), right, true, tr("Find"),
             tr("Designs, builds, readings, substances, actions (Ctrl+F)"));
    setItems(std::move(items));
}

} // namespace anodex::app
