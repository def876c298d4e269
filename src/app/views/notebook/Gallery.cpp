#include "app/views/notebook/Gallery.h"

#include "app/session/ShelfBook.h"
#include "app/widgets/Draw.h"
#include "app/widgets/Listed.h"
#include "app/widgets/WholePaint.h"
#include "wording/FindingText.h"
#include "wording/Quantities.h"
#include "wording/Texts.h"

#include <algorithm>

namespace anodex::app {
namespace {

// em
constexpr double kCardWide = 17.0; // at least
constexpr double kCardTall = 15.6;
constexpr double kBetween = 0.7;
constexpr double kHeading = 2.2;
constexpr double kDrawn = 6.0; // height of the cell
constexpr double kMark = 0.6;

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QString teaches(const Starter& starter) {
    const std::string id = "starter." + starter.id + ".teaches";
    return wording::Texts::current().has(id) ? q(wording::text(id)) : QString();
}

QString familyOf(const Starter& starter) {
    return q(wording::text("choice.family." + starter.design.family));
}

/// What is worth a mark on the card; null where it holds notes alone.
const findings::Finding* worstOf(const Outcome& outcome) {
    const auto& all = outcome.findings;
    return all.empty() || all.front().severity == findings::Severity::Note ? nullptr : &all.front();
}

} // namespace

Gallery::Gallery(Workbench& bench, const Theme& theme, QWidget* parent)
    : Picture(tr("Starter cells"), parent), m_bench(bench), m_theme(theme), m_starters(starters()),
      m_outcomes(m_starters.size()) {
    setObjectName(QStringLiteral("gallery"));
    connect(this, &Picture::resized, this, &Gallery::rebuild);
    connect(this, &Picture::shown, this, [this] {
        askForFigures();
        rebuild();
    });
    connect(&theme, &Theme::changed, this, &Gallery::rebuild);
    onChange(bench, this, Part::Documents | Part::File, &Gallery::rebuild);
    connect(&m_worker, &StarterWorker::finished, this, [this](int index, const Outcome& outcome) {
        m_outcomes[static_cast<std::size_t>(index)] = outcome;
        rebuild();
    });
    connect(this, &Picture::activated, this, [this](const QString& id) {
        if (id.startsWith(QLatin1String("starter:"))) {
            const std::string wanted = id.mid(8).toStdString();
            const auto& all = m_starters;
            const auto found = std::find_if(all.begin(), all.end(),
                                            [&](const Starter& starter) { return starter.id == wanted; });
            emit starterChosen(found->design);
        }
    });
}

void Gallery::setOrder(Order order) {
    m_order = order;
    rebuild();
}

void Gallery::show(std::vector<Starter> cells) {
    m_worker.cancel();
    m_asked.reset();
    m_starters = std::move(cells);
    m_outcomes.assign(m_starters.size(), {});
    if (isVisible()) {
        askForFigures();
    }
    rebuild();
}

void Gallery::askForFigures() {
    if (m_asked == m_bench.catalogueHandle()) {
        return;
    }
    m_asked = m_bench.catalogueHandle();
    std::vector<design::CellDesign> designs;
    for (const Starter& starter : m_starters) {
        designs.push_back(starter.design);
    }
    m_worker.request(m_asked, std::move(designs));
}

void Gallery::hideEvent(QHideEvent* event) {
    m_worker.cancel();
    m_asked.reset();
    Picture::hideEvent(event);
}

std::vector<Gallery::Group> Gallery::groups() const {
    const auto& all = m_starters;
    std::vector<Group> groups;
    if (m_order == Order::FewestThingsFirst) {
        std::vector<std::size_t> byThings(all.size());
        for (std::size_t i = 0; i < all.size(); ++i) {
            byThings[i] = i;
        }
        std::stable_sort(byThings.begin(), byThings.end(), [&](std::size_t a, std::size_t b) {
            return thingsToGet(all[a].design) < thingsToGet(all[b].design);
        });
        return {{tr("fewest things to get first"), std::move(byThings)}};
    }
    if (m_order == Order::OnMyShelfFirst) {
        const shelf::Shelf shelf = shelfIn(m_bench);
        Group owned{tr("all of it is on your shelf"), {}};
        Group missing{shelf.empty() ? tr("your shelf is empty: put on it what you have, under Shelf")
                                    : tr("something is not on your shelf yet"),
                      {}};
        for (std::size_t i = 0; i < all.size(); ++i) {
            const bool there = isOnShelf(m_bench.catalogue(), shelf, all[i].design);
            (there ? owned : missing).starters.push_back(i);
        }
        for (Group* group : {&owned, &missing}) {
            if (!group->starters.empty()) {
                groups.push_back(std::move(*group));
            }
        }
        return groups;
    }
    for (std::size_t i = 0; i < all.size(); ++i) {
        if (groups.empty() || groups.back().heading != familyOf(all[i])) {
            groups.push_back({familyOf(all[i]), {}});
        }
        groups.back().starters.push_back(i);
    }
    return groups;
}

QString Gallery::figures(const Outcome& outcome) const {
    if (!outcome.usable()) {
        return {};
    }
    const cell::Evaluation& e = *outcome.evaluation;
    const auto shown = [&](double value, base::Interval cell::Doubt::*range, explain::Unit unit) {
        return q(outcome.doubt ? wording::rangeText((*outcome.doubt).*range, unit)
                               : wording::quantityText(value, unit));
    };
    return tr("%1 · %2 shorted")
        .arg(shown(e.openCircuitVolts, &cell::Doubt::openCircuitVolts, explain::Unit::Volt),
             shown(e.first.shortCircuitAmps, &cell::Doubt::shortCircuitAmps, explain::Unit::Ampere));
}

PictureItem Gallery::heading(const QString& text, const QRectF& area) const {
    PictureItem item;
    item.id = QStringLiteral("heading:") + text;
    item.area = area;
    item.role = QAccessible::Heading;
    item.name = text;
    item.focusable = false;
    item.paint = [this, text, area](QPainter& painter) {
        painter.setPen(m_theme.colours().faint);
        painter.setFont(Theme::font(1.0, true));
        drawElided(painter, area.adjusted(0, area.height() * 0.3, 0, 0), text);
    };
    return item;
}

PictureItem Gallery::card(std::size_t index, const QRectF& area) const {
    const Starter& starter = m_starters[index];
    const Outcome& outcome = m_outcomes[index];
    const findings::Finding* worst = worstOf(outcome);
    PictureItem item;
    item.id = QStringLiteral("starter:") + q(starter.id);
    item.area = area;
    item.role = QAccessible::Button;
    item.name = q(starter.design.name);
    item.value =
        listed({familyOf(starter), figures(outcome),
                worst != nullptr ? q(wording::findingText(*worst).title) : QString(), teaches(starter)});
    item.tooltip = worst != nullptr ? q(wording::findingText(*worst).text) : teaches(starter);
    item.paint = [this, index, area](QPainter& painter) { paintCard(painter, index, area); };
    return item;
}

void Gallery::paintCell(QPainter& painter, const Outcome& outcome, const QRectF& room) const {
    const state::Contents& contents = *outcome.evaluation->contents;
    std::vector<WholePiece> pieces =
        wholeCell(*outcome.catalogue, *outcome.cell, contents,
                  constructionOf(*outcome.catalogue, outcome.design, *outcome.cell));
    placeWhole(pieces, room);
    for (const WholePiece& piece : pieces) {
        paintPiece(painter, m_theme.colours(), piece, shownStrength(contents, piece.side));
    }
}

void Gallery::paintCard(QPainter& painter, std::size_t index, const QRectF& area) const {
    const Starter& starter = m_starters[index];
    const Outcome& outcome = m_outcomes[index];
    const Colours& c = m_theme.colours();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(c.rule, 1.0));
    painter.setBrush(c.sheet);
    painter.drawRoundedRect(area, 4, 4);
    const double pad = Theme::em(0.6);
    const QRectF inside = area.adjusted(pad, pad, -pad, -pad);
    const QRectF drawn(inside.left(), inside.top(), inside.width(), Theme::em(kDrawn));
    if (outcome.usable()) {
        paintCell(painter, outcome, drawn);
    }
    double y = drawn.bottom() + Theme::em(0.4);
    const auto line = [&](double height) {
        const QRectF box(inside.left(), y, inside.width(), Theme::em(height));
        y += Theme::em(height);
        return box;
    };
    painter.setPen(c.ink);
    painter.setFont(Theme::font(1.0, true));
    drawElided(painter, line(1.5), q(starter.design.name));
    painter.setFont(Theme::font(0.95));
    drawElided(painter, line(1.4), figures(outcome));
    painter.setPen(c.faint);
    painter.setFont(Theme::font(0.85));
    drawWrapped(painter, line(3.6), teaches(starter));
    const QRectF last(inside.left(), inside.bottom() - Theme::em(1.4), inside.width(), Theme::em(1.4));
    if (const findings::Finding* worst = worstOf(outcome)) {
        drawSeverity(painter, {last.left() + Theme::em(kMark), last.center().y()}, Theme::em(kMark),
                     worst->severity, c);
        painter.setPen(c.ink);
        painter.setFont(Theme::font(0.9));
        drawElided(painter, last.adjusted(Theme::em(1.6), 0, 0, 0), q(wording::findingText(*worst).title));
    } else {
        painter.setPen(c.faint);
        drawElided(painter, last, tr("%n thing(s) to get", nullptr, thingsToGet(starter.design)));
    }
}

void Gallery::rebuild() {
    if (!isVisible()) {
        return;
    }
    setFocusColour(m_theme.colours().focus);
    std::vector<PictureItem> items;
    const double gap = Theme::em(kBetween);
    const double room = width() - gap;
    const int columns = std::max(1, static_cast<int>(room / Theme::em(kCardWide + kBetween)));
    const double wide = room / columns - gap;
    double y = 0.0;
    for (const Group& group : groups()) {
        items.push_back(heading(group.heading, QRectF(gap, y, room, Theme::em(kHeading))));
        y += Theme::em(kHeading);
        for (std::size_t i = 0; i < group.starters.size(); ++i) {
            const auto column = static_cast<int>(i) % columns;
            if (column == 0 && i > 0) {
                y += Theme::em(kCardTall + kBetween);
            }
            items.push_back(
                card(group.starters[i], QRectF(gap + column * (wide + gap), y, wide, Theme::em(kCardTall))));
        }
        y += Theme::em(kCardTall + kBetween);
    }
    setMinimumHeight(static_cast<int>(y));
    setItems(std::move(items));
}

} // namespace anodex::app
