#include "app/views/shelf/CupboardBoards.h"

#include "app/session/ShelfBook.h"
#include "app/views/shelf/ThingPaint.h"
#include "app/widgets/Draw.h"

#include <algorithm>

namespace anodex::app {

CupboardBoards::CupboardBoards(Workbench& bench, const Theme& theme, QWidget* parent)
    : Picture(tr("The cupboard"), parent), m_bench(bench), m_theme(theme) {
    setObjectName(QStringLiteral("cupboard"));
    onChange(bench, this, Part::Documents | Part::File, &CupboardBoards::rebuild);
    connect(&theme, &Theme::changed, this, &CupboardBoards::rebuild);
    connect(this, &Picture::resized, this, &CupboardBoards::rebuild);
    connect(this, &Picture::shown, this, &CupboardBoards::rebuild);
    connect(this, &Picture::activated, this, [this](const QString& id) {
        for (const CupboardPlace& place : m_places) {
            for (const CupboardThing& thing : place.things) {
                if (id == QStringLiteral("cupboard:") + thing.id) {
                    emit toggled(thing);
                    return;
                }
            }
        }
    });
}

PictureItem CupboardBoards::drawn(const CupboardThing& thing, bool ticked, const QRectF& area) const {
    PictureItem item;
    item.id = QStringLiteral("cupboard:") + thing.id;
    item.area = area;
    item.role = QAccessible::CheckBox;
    item.name = thing.name;
    item.value = ticked ? tr("on the shelf, %1").arg(thing.owned.amount) : thing.owned.amount;
    item.tooltip = ticked ? tr("%1: on the shelf. Click to take it off.").arg(thing.name)
                          : tr("%1: click to put it on the shelf (%2 %3). Another amount is typed below.")
                                .arg(thing.name, thing.owned.amount, thing.owned.name);
    item.paint = [this, area, ticked, looks = thing.looks, owned = thing.owned,
                  name = thing.name](QPainter& painter) {
        const Colours& c = m_theme.colours();
        const double text = Theme::em(1.1);
        if (ticked) {
            painter.setPen(QPen(c.focus, 1.6));
            painter.setBrush(c.sheet);
            painter.drawRoundedRect(area.adjusted(1, 1, -1, -1), 5, 5);
        }
        const QRectF figure(area.center().x() - Theme::em(1.1), area.top() + 5, Theme::em(2.2),
                            Theme::em(2.4));
        if (!paintLooks(painter, c, looks, figure)) {
            paintThing(painter, c, m_bench.catalogue(), owned, figure);
        }
        const QRectF box(area.right() - Theme::em(1.3), area.top() + 5, Theme::em(0.9), Theme::em(0.9));
        painter.setPen(QPen(ticked ? c.focus : c.faint, 1.3));
        painter.setBrush(ticked ? c.focus : c.sheet);
        painter.drawRect(box);
        if (ticked) {
            painter.setPen(QPen(c.sheet, 2.0));
            painter.drawPolyline(
                QPolygonF({box.topLeft() + QPointF(0.2 * box.width(), 0.55 * box.height()),
                           box.topLeft() + QPointF(0.42 * box.width(), 0.78 * box.height()),
                           box.topLeft() + QPointF(0.82 * box.width(), 0.25 * box.height())}));
        }
        painter.setPen(c.ink);
        painter.setFont(Theme::font(0.88));
        const QRectF words(area.left() + 2, area.bottom() - 2.0 * text - 3, area.width() - 4, 2.0 * text);
        drawWrapped(painter, words, name, Qt::AlignHCenter | Qt::AlignTop);
    };
    return item;
}

void CupboardBoards::rebuild() {
    if (!isVisible()) {
        return;
    }
    setFocusColour(m_theme.colours().focus);
    if (m_places.empty()) {
        m_places = cupboard(m_bench.catalogue());
    }
    const shelf::Shelf shelf = shelfIn(m_bench);
    std::vector<PictureItem> items;
    const auto across = static_cast<std::size_t>(std::max(1.0, (width() - 8.0) / Theme::em(6.4)));
    const double wide = (width() - 8.0) / static_cast<double>(across);
    const double tall = Theme::em(5.6);
    double y = 2.0;
    std::vector<std::pair<QString, double>> titles;
    for (const CupboardPlace& place : m_places) {
        titles.emplace_back(place.name, y);
        y += Theme::em(1.4);
        for (std::size_t i = 0; i < place.things.size(); ++i) {
            const auto column = static_cast<double>(i % across);
            const std::size_t above = i / across;
            const auto row = static_cast<double>(above);
            items.push_back(drawn(place.things[i], stands(shelf, place.things[i]),
                                  QRectF(4 + column * wide, y + row * (tall + 4), wide - 4, tall)));
        }
        const std::size_t rows = (place.things.size() + across - 1) / across;
        y += static_cast<double>(rows) * (tall + 4) + Theme::em(0.5);
    }
    setMinimumHeight(static_cast<int>(y));
    setBackdrop([this, titles](QPainter& painter) {
        painter.setPen(m_theme.colours().faint);
        painter.setFont(Theme::font(0.9, true));
        for (const auto& [title, top] : titles) {
            drawElided(painter, QRectF(4, top, width() - 8, Theme::em(1.2)), title);
        }
    });
    setItems(std::move(items));
}

} // namespace anodex::app
