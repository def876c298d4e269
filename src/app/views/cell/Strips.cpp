#include "app/views/cell/Strips.h"

#include "app/widgets/Draw.h"
#include "app/widgets/Listed.h"
#include "wording/PartText.h"
#include "wording/Quantities.h"

#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

double headHeight() {
    return Theme::em(1.6);
}

} // namespace

Strips::Strips(Workbench& bench, const Theme& theme, QWidget* parent)
    : Picture(tr("What sets the current and what runs out"), parent), m_bench(bench), m_theme(theme) {
    setObjectName(QStringLiteral("strips"));
    onChange(bench, this, Part::Design, &Strips::rebuild);
    connect(&theme, &Theme::changed, this, &Strips::rebuild);
    connect(this, &Picture::resized, this, &Strips::rebuild);
    connect(this, &Picture::shown, this, &Strips::rebuild);
    connect(this, &Picture::activated, this, [this](const QString& id) {
        const PictureItem* hit = item(id);
        if (hit != nullptr && hit->opens) {
            emit numberAsked(*hit->opens, mapToGlobal(hit->area.center().toPoint()));
        }
    });
}

std::vector<Strips::Bar> Strips::currentBars() const {
    const auto& budget = m_bench.draft().outcome().evaluation->resistance;
    std::vector<Bar> bars;
    for (std::size_t i = 0; i < budget.shares.size(); ++i) {
        const cell::ResistanceShare& share = budget.shares[i];
        Bar bar;
        bar.id = QStringLiteral("part:%1").arg(i);
        bar.name = q(wording::partText(share.part, m_bench.draft().outcome().cell->twoLiquids));
        bar.value = q(wording::quantityText(share.ohm, explain::Unit::Ohm));
        bar.length = budget.totalOhm > 0.0 ? share.ohm / budget.totalOhm : 0.0;
        bar.colour = m_theme.colours().ink;
        bar.key = {explain::Quantity::ResistancePart, {}, i};
        bars.push_back(bar);
    }
    std::sort(bars.begin(), bars.end(), [](const Bar& a, const Bar& b) { return a.length > b.length; });
    if (!bars.empty()) {
        bars.front().marked = true;
    }
    return bars;
}

std::vector<Strips::Bar> Strips::reagentBars() const {
    const Outcome& outcome = m_bench.draft().outcome();
    const auto& reagents = outcome.evaluation->capacity.reagents;
    double most = 1e-12;
    for (const cell::Reagent& reagent : reagents) {
        most = std::max(most, reagent.expectedCoulombs);
    }
    std::vector<Bar> bars;
    for (std::size_t i = 0; i < reagents.size(); ++i) {
        const cell::Reagent& reagent = reagents[i];
        Bar bar;
        bar.id = QStringLiteral("reagent:%1").arg(i);
        bar.name = q(wording::reagentName(m_bench.catalogue(), *outcome.cell, reagent));
        bar.value = q(wording::chargeText(reagent.expectedCoulombs));
        bar.length = reagent.expectedCoulombs / most;
        bar.marked = i == 0;
        bar.colour = !reagent.side                             ? m_theme.colours().ink
                     : *reagent.side == design::Side::Negative ? m_theme.colours().negative
                                                               : m_theme.colours().positive;
        bar.key = {explain::Quantity::Reagent, {}, i};
        bars.push_back(bar);
    }
    return bars;
}

double Strips::addBars(std::vector<PictureItem>& items, const QString& title, const std::vector<Bar>& bars,
                       const QPointF& corner, double each) const {
    const double across = width() - 2 * corner.x();
    PictureItem head;
    head.id = QStringLiteral("head:") + title;
    head.area = QRectF(corner.x(), corner.y(), across, headHeight());
    head.role = QAccessible::Heading;
    head.name = title;
    head.focusable = false;
    head.paint = [area = head.area, title](QPainter& painter) {
        painter.setFont(Theme::font(1.05, true));
        drawElided(painter, area, title);
    };
    items.push_back(std::move(head));
    double y = corner.y() + headHeight();
    for (const Bar& bar : bars) {
        PictureItem item;
        item.id = bar.id;
        item.area = QRectF(corner.x(), y, across, each - 4);
        item.role = QAccessible::Button;
        item.name = bar.name;
        item.value = listed({bar.value, bar.marked ? tr("the one that counts") : QString()});
        item.tooltip = tr("%1: %2. Click to see how it was found.").arg(bar.name, bar.value);
        item.opens = bar.key;
        item.paint = [bar, area = item.area, this](QPainter& painter) {
            const Colours& c = m_theme.colours();
            const double text = Theme::em(1.25);
            painter.setPen(c.ink);
            painter.setFont(Theme::font(0.95, bar.marked));
            drawElided(painter, QRectF(area.left(), area.top(), area.width() * 0.62, text), bar.name);
            drawElided(painter,
                       QRectF(area.left() + area.width() * 0.6, area.top(), area.width() * 0.4, text),
                       bar.value, Qt::AlignRight | Qt::AlignVCenter);
            const QRectF track(area.left(), area.top() + text + 1, area.width(),
                               std::max(4.0, area.height() - text - 3));
            painter.fillRect(QRectF(track.left(), track.bottom() - 1, track.width(), 1), c.rule);
            painter.setRenderHint(QPainter::Antialiasing, false); // a smooth edge of a pattern is dear
            painter.fillRect(QRectF(track.left(), track.top(), std::max(2.0, track.width() * bar.length),
                                    std::min(track.height(), Theme::em(0.7))),
                             bar.marked ? QBrush(bar.colour) : QBrush(bar.colour, Qt::Dense4Pattern));
        };
        items.push_back(std::move(item));
        y += each;
    }
    return y;
}

void Strips::rebuild() {
    if (!isVisible()) {
        return;
    }
    setFocusColour(m_theme.colours().focus);
    std::vector<PictureItem> items;
    if (m_bench.draft().outcome().usable()) {
        const double pad = Theme::em(0.8);
        const QRectF whole(pad, Theme::em(0.3), width() - 2 * pad, height() - Theme::em(0.6));
        const auto currents = currentBars();
        const auto reagents = reagentBars();
        // Each bar its share of the height; with few bars the second block moves up to the first.
        const double bars = static_cast<double>(currents.size() + reagents.size());
        const double gap = Theme::em(1.6);
        const double each =
            std::min(Theme::em(3.0), (whole.height() - gap - 2 * headHeight()) / std::max(1.0, bars));
        const double next = addBars(items, tr("What sets the current"), currents, whole.topLeft(), each);
        addBars(items, reagents.empty() ? tr("Nothing here runs out") : tr("What runs out"), reagents,
                {whole.left(), next + gap}, each);
    }
    setItems(std::move(items));
}

} // namespace anodex::app
