#include "app/views/cell/Whole.h"

#include "app/views/cell/PartChoices.h"
#include "app/widgets/Draw.h"
#include "app/widgets/WholePaint.h"
#include "wording/Quantities.h"

#include <QMenu>
#include <QTransform>
#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

using design::Construction;
using Kind = WholePiece::Kind;

constexpr std::pair<Construction, const char*> kNames[] = {
    {Construction::Beaker, QT_TRANSLATE_NOOP("Whole", "Beaker")},
    {Construction::Jar, QT_TRANSLATE_NOOP("Whole", "Jar with layers")},
    {Construction::JarUnderOil, QT_TRANSLATE_NOOP("Whole", "Jar with layers under oil")},
    {Construction::Pouch, QT_TRANSLATE_NOOP("Whole", "Pouch")},
    {Construction::Tray, QT_TRANSLATE_NOOP("Whole", "Tray with fins")},
    {Construction::Rolled, QT_TRANSLATE_NOOP("Whole", "Rolled, seen from above")},
    {Construction::Rods, QT_TRANSLATE_NOOP("Whole", "Rods in the ground")},
    {Construction::Felt, QT_TRANSLATE_NOOP("Whole", "Felts either side of a membrane")},
    {Construction::Flow, QT_TRANSLATE_NOOP("Whole", "Felt cell with tanks and pumps")},
    {Construction::Paper, QT_TRANSLATE_NOOP("Whole", "Pressed on wet paper, seen from above")}};

/// 1, 2 or 5 times a power of ten, at most `most`.
double roundLength(double most) {
    const double decade = std::pow(10.0, std::floor(std::log10(most)));
    for (const double factor : {5.0, 2.0}) {
        if (factor * decade <= most) {
            return factor * decade;
        }
    }
    return decade;
}

} // namespace

Whole::Whole(Workbench& bench, const Theme& theme, QWidget* parent)
    : Picture(tr("The whole cell"), parent), m_bench(bench), m_theme(theme) {
    setObjectName(QStringLiteral("whole"));
    onChange(bench, this, Part::Design, &Whole::rebuild);
    connect(&theme, &Theme::changed, this, &Whole::rebuild);
    connect(this, &Picture::resized, this, &Whole::rebuild);
    connect(this, &Picture::shown, this, &Whole::rebuild);
    setBackdrop([this](QPainter& painter) { paintRuler(painter); });
    connect(this, &Picture::activated, this, [this](const QString& id) {
        if (id == QLatin1String("construction")) {
            choose(mapToGlobal(item(id)->area.bottomLeft().toPoint()));
        }
    });
}

void Whole::choose(const QPoint& at) {
    QMenu menu(this);
    for (const auto& [construction, name] : kNames) {
        QAction* action = menu.addAction(tr(name));
        action->setCheckable(true);
        action->setChecked(constructionOf(m_bench.catalogue(), m_bench.draft().design(),
                                          *m_bench.draft().outcome().cell) == construction);
        connect(action, &QAction::triggered, this, [this, wanted = construction] {
            design::CellDesign design = m_bench.draft().design();
            design.construction = wanted;
            m_bench.edit(design);
        });
    }
    menu.addSeparator();
    addVesselChoices(menu, m_bench);
    menu.exec(at);
}

PictureItem Whole::title() const {
    const Construction now =
        constructionOf(m_bench.catalogue(), m_bench.draft().design(), *m_bench.draft().outcome().cell);
    PictureItem item;
    item.id = QStringLiteral("construction");
    item.area = QRectF(4, 2, std::min(Theme::em(20.0), width() - 8.0), Theme::em(1.6));
    item.role = QAccessible::ButtonDropDown;
    for (const auto& [construction, name] : kNames) {
        if (construction == now) {
            item.name = tr(name);
        }
    }
    item.tooltip = tr("How it is put together. Click for another (the drawing follows, the numbers do not), "
                      "for case, lid and place.");
    item.paint = [this, area = item.area, name = item.name](QPainter& painter) {
        painter.setPen(m_theme.colours().ink);
        painter.setFont(Theme::font(1.0, true));
        drawElided(painter, area, name + QStringLiteral(" ▾"));
    };
    return item;
}

void Whole::addPiece(std::vector<PictureItem>& items, std::size_t index, const WholePiece& piece) const {
    const bool negative = piece.side == design::Side::Negative;
    PictureItem item;
    item.id = QStringLiteral("piece:%1").arg(index);
    item.area = piece.path.boundingRect();
    item.role = QAccessible::Graphic;
    item.focusable = piece.kind == Kind::Electrode;
    switch (piece.kind) {
    case Kind::Electrode:
        item.name = negative ? tr("Negative electrode") : tr("Positive electrode");
        break;
    case Kind::Liquid:
        item.name = tr("Liquid");
        break;
    case Kind::Separator:
        item.name = tr("Separator");
        break;
    case Kind::Oil:
        item.name = tr("Oil");
        break;
    case Kind::Soil:
        item.name = tr("Ground");
        break;
    case Kind::Pipe:
        item.name = tr("Pump and pipes");
        break;
    case Kind::Vessel:
        item.name = tr("Vessel");
        break;
    }
    item.tooltip = item.name;
    const double strength = shownStrength(*m_bench.draft().outcome().evaluation->contents, piece.side);
    item.paint = [this, piece, strength](QPainter& painter) {
        paintPiece(painter, m_theme.colours(), piece, strength);
    };
    items.push_back(std::move(item));
}

void Whole::paintRuler(QPainter& painter) const {
    if (!m_bench.draft().outcome().usable()) {
        return;
    }
    const double length = roundLength(0.3 * width() / m_pixelsPerMm);
    const double wide = length * m_pixelsPerMm;
    const double y = height() - Theme::em(0.9);
    const double x = width() - wide - Theme::em(0.6);
    painter.setPen(QPen(m_theme.colours().faint, 1.5));
    painter.drawLine(QPointF(x, y), QPointF(x + wide, y));
    for (const double end : {x, x + wide}) {
        painter.drawLine(QPointF(end, y - 4), QPointF(end, y + 4));
    }
    painter.setFont(Theme::font(0.85));
    drawWords(painter, QRectF(x, y - Theme::em(1.4), wide, Theme::em(1.2)),
              length >= 1000.0 ? tr("%1 m").arg(QString::fromStdString(wording::numberText(length / 1e3)))
                               : tr("%1 mm").arg(QString::fromStdString(wording::numberText(length))),
              Qt::AlignCenter);
}

void Whole::rebuild() {
    if (!isVisible()) {
        return;
    }
    setFocusColour(m_theme.colours().focus);
    std::vector<PictureItem> items;
    if (m_bench.draft().outcome().usable()) {
        const design::Cell& cell = *m_bench.draft().outcome().cell;
        std::vector<WholePiece> pieces =
            wholeCell(m_bench.catalogue(), cell, *m_bench.draft().outcome().evaluation->contents,
                      constructionOf(m_bench.catalogue(), m_bench.draft().design(), cell));
        const QRectF room(Theme::em(0.8), Theme::em(1.9), width() - Theme::em(1.6),
                          height() - Theme::em(1.9) - Theme::em(2.6));
        m_pixelsPerMm = placeWhole(pieces, room);
        for (std::size_t i = 0; i < pieces.size(); ++i) {
            addPiece(items, i, pieces[i]);
        }
        items.push_back(title());
    }
    setItems(std::move(items));
}

} // namespace anodex::app
