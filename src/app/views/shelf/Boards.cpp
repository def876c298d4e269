#include "app/views/shelf/Boards.h"

#include "app/session/ShelfBook.h"
#include "app/views/shelf/ThingPaint.h"
#include "app/widgets/Draw.h"

#include <algorithm>

namespace anodex::app {
namespace {

QString kindName(OwnedThing::Kind kind) {
    switch (kind) {
    case OwnedThing::Kind::Material:
        return Boards::tr("Metals and carbons");
    case OwnedThing::Kind::Substance:
        return Boards::tr("Salts, acids, alkalis");
    case OwnedThing::Kind::Liquid:
        return Boards::tr("Ready liquids");
    case OwnedThing::Kind::Separator:
        return Boards::tr("Papers, pots, membranes");
    case OwnedThing::Kind::Case:
        return Boards::tr("Jars and boxes");
    }
    return {};
}

} // namespace

Boards::Boards(Workbench& bench, const Theme& theme, QWidget* parent)
    : Picture(tr("The shelf"), parent), m_bench(bench), m_theme(theme) {
    setObjectName(QStringLiteral("boards"));
    onChange(bench, this, Part::Documents | Part::File, &Boards::rebuild);
    connect(&theme, &Theme::changed, this, &Boards::rebuild);
    connect(this, &Picture::resized, this, &Boards::rebuild);
    connect(this, &Picture::shown, this, &Boards::rebuild);
    connect(this, &Picture::activated, this, [this](const QString& id) {
        emit takenOff(static_cast<std::size_t>(id.section(QLatin1Char(':'), 1).toInt()));
    });
}

PictureItem Boards::drawn(std::size_t index, const QRectF& area) const {
    const OwnedThing& thing = m_things[index];
    PictureItem item;
    item.id = QStringLiteral("thing:%1").arg(index);
    item.area = area;
    item.role = QAccessible::Button;
    item.name = thing.name;
    item.value = thing.amount;
    item.tooltip = tr("%1 %2\nClick when it is used up: it leaves the shelf, and undo brings it back.")
                       .arg(thing.name, thing.amount);
    item.paint = [=, this](QPainter& painter) {
        const Colours& c = m_theme.colours();
        const double text = Theme::em(1.15);
        paintThing(painter, m_theme.colours(), m_bench.catalogue(), thing,
                   QRectF(area.center().x() - Theme::em(1.2), area.top() + 2, Theme::em(2.4),
                          area.height() - 2.0 * text - 6));
        painter.setPen(c.ink);
        painter.setFont(Theme::font(0.9));
        drawElided(painter, QRectF(area.left(), area.bottom() - 2 * text, area.width(), text), thing.name,
                   Qt::AlignCenter);
        painter.setPen(c.faint);
        painter.setFont(Theme::font(0.82));
        drawElided(painter, QRectF(area.left(), area.bottom() - text, area.width(), text), thing.amount,
                   Qt::AlignCenter);
    };
    return item;
}

void Boards::rebuild() {
    if (!isVisible()) {
        return;
    }
    setFocusColour(m_theme.colours().focus);
    m_things = thingsOn(shelfIn(m_bench));
    std::vector<PictureItem> items;
    const double wide = Theme::em(6.4);
    const double tall = Theme::em(5.6);
    const int across = std::max(1, static_cast<int>((width() - 8) / wide));
    double y = 2.0;
    std::vector<std::pair<QString, double>> titles;
    for (int kind = 0; kind <= static_cast<int>(OwnedThing::Kind::Case); ++kind) {
        int column = 0;
        for (std::size_t i = 0; i < m_things.size(); ++i) {
            if (static_cast<int>(m_things[i].kind) != kind) {
                continue;
            }
            if (column == 0 && (titles.empty() || titles.back().first != kindName(m_things[i].kind))) {
                titles.emplace_back(kindName(m_things[i].kind), y);
                y += Theme::em(1.3);
            }
            items.push_back(drawn(i, QRectF(4 + column * wide, y, wide - 6, tall)));
            if (++column == across) {
                column = 0;
                y += tall + Theme::em(0.5);
            }
        }
        y += column > 0 ? tall + Theme::em(0.5) : 0.0;
    }
    setMinimumHeight(static_cast<int>(y));
    setBackdrop([this, titles](QPainter& painter) {
        painter.setPen(m_theme.colours().faint);
        painter.setFont(Theme::font(0.85, true));
        for (const auto& [title, top] : titles) {
            drawElided(painter, QRectF(4, top, width() - 8, Theme::em(1.2)), title);
        }
        if (titles.empty()) {
            painter.setFont(Theme::font(1.0));
            painter.drawText(rect().adjusted(8, 8, -8, -8), Qt::AlignLeft | Qt::TextWordWrap,
                             tr("Nothing stands here yet. Type below what you own, one thing a line:") +
                                 QStringLiteral("\n\n") +
                                 ownedExamples(m_bench.catalogue()).join(QLatin1Char('\n')));
        }
    });
    setItems(std::move(items));
}

} // namespace anodex::app
