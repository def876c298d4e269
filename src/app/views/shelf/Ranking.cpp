#include "app/views/shelf/Ranking.h"

#include "app/widgets/Draw.h"
#include "app/widgets/Listed.h"
#include "wording/FindingText.h"
#include "wording/Quantities.h"

#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QString liquidName(const design::LiquidDesign& liquid) {
    if (!liquid.ready.empty()) {
        return q(liquid.ready.written);
    }
    QStringList names;
    for (const design::SoluteDesign& solute : liquid.solutes) {
        names << q(solute.substance.written);
    }
    return listed(names);
}

QString between(const design::CellDesign& design) {
    QString text = liquidName(design.liquid);
    if (design.positiveLiquid) {
        text += QStringLiteral(" | ") + liquidName(*design.positiveLiquid);
    }
    return design.separator ? listed({text, q(design.separator->material.written)}) : text;
}

} // namespace

Ranking::Ranking(Workbench& bench, const Theme& theme, QWidget* parent)
    : Picture(tr("The best cells from the shelf"), parent), m_bench(bench), m_theme(theme) {
    setObjectName(QStringLiteral("ranking"));
    connect(&theme, &Theme::changed, this, &Ranking::rebuild);
    connect(this, &Picture::resized, this, &Ranking::rebuild);
    connect(this, &Picture::shown, this, &Ranking::rebuild);
    connect(this, &Picture::activated, this, &Ranking::activate);
}

/// "cell:3" is the fourth row, "cell:3:0" the first behind it, "others:3" what opens them.
void Ranking::activate(const QString& id) {
    const QStringList parts = id.split(QLatin1Char(':'));
    const auto index = static_cast<std::size_t>(parts.value(1).toInt());
    if (index >= m_state.best.size()) {
        return;
    }
    const ScreenedCell& cell = m_state.best[index];
    if (parts.front() == QLatin1String("others")) {
        m_open = m_open == index ? std::nullopt : std::optional(index);
        rebuild();
    } else if (parts.size() == 2) {
        emit chosen(cell.design);
    } else if (const auto behind = static_cast<std::size_t>(parts[2].toInt()); behind < cell.others.size()) {
        emit chosen(cell.others[behind].design);
    }
}

void Ranking::show(const ScreenState& state, shelf::RankBy by) {
    m_state = state;
    m_by = by;
    m_open.reset();
    rebuild();
}

QString Ranking::figureText(const ScreenedCell& cell) const {
    switch (m_by) {
    case shelf::RankBy::Power:
    case shelf::RankBy::SteadyPower:
        return q(wording::quantityText(cell.figure, explain::Unit::Watt));
    case shelf::RankBy::Life:
        return q(wording::durationText(cell.figure));
    case shelf::RankBy::Cost:
        return tr("%1 a Wh").arg(q(wording::numberText(cell.figure * 3600.0, 3)));
    case shelf::RankBy::Safety:
        return cell.figure <= 0.0 ? tr("nothing against it")
                                  : tr("%1 against it").arg(q(wording::numberText(cell.figure, 6)));
    case shelf::RankBy::Voltage:
        break;
    }
    return q(wording::quantityText(cell.figure, explain::Unit::Volt));
}

double Ranking::share(const ScreenedCell& cell) const {
    const bool leastFirst = m_by == shelf::RankBy::Cost || m_by == shelf::RankBy::Safety;
    const double best = m_state.best.front().figure;
    const double share =
        leastFirst ? (best + 1e-12) / (cell.figure + 1e-12) : cell.figure / std::max(best, 1e-12);
    return std::clamp(share, 0.0, 1.0);
}

/// Of the button that folds the other liquids out and in again.
double Ranking::foldWidth() const {
    const QFontMetricsF metrics(Theme::font(0.9));
    const QString longest = tr("%n other liquid(s)", nullptr, 100);
    return std::max(metrics.horizontalAdvance(longest),
                    metrics.horizontalAdvance(tr("hide the other liquids"))) +
           Theme::em(2.2);
}

PictureItem Ranking::row(const QString& id, const ScreenedCell& cell, const QRectF& area) const {
    const QString negative = q(cell.design.negative.material.written);
    const QString positive = q(cell.design.positive.material.written);
    PictureItem item;
    item.id = id;
    item.area = area;
    item.role = QAccessible::Button;
    item.name = tr("%1 and %2 in %3").arg(negative, positive, between(cell.design));
    item.value = figureText(cell);
    item.tooltip = item.name + QStringLiteral("\n") + (cell.why.isEmpty() ? item.value : cell.why) +
                   tr("\nClick to make it a design.");
    std::optional<findings::Finding> worst;
    if (cell.worst && cell.worst->severity != findings::Severity::Note) {
        worst = cell.worst;
        item.value = listed({item.value, q(wording::findingText(*worst).title)});
        item.tooltip += QStringLiteral("\n") + q(wording::findingText(*worst).text);
    }
    const double whyEnds = area.right() - (cell.others.empty() ? 0.0 : foldWidth());
    item.paint = [=, this, figure = figureText(cell), part = share(cell), why = cell.why,
                  liquid = between(cell.design)](QPainter& painter) {
        const Colours& c = m_theme.colours();
        const double line = Theme::em(1.3);
        const double number = std::min(Theme::em(8.5), 0.28 * area.width());
        QColor pale = c.expected;
        pale.setAlpha(110);
        painter.fillRect(QRectF(area.left(), area.top(), number * part, area.height() - 4), pale);
        painter.setPen(c.ink);
        painter.setFont(Theme::font(1.15, true));
        drawElided(painter, QRectF(area.left() + 6, area.top(), number - 8, area.height() - 4), figure);
        double x = area.left() + number + Theme::em(0.8);
        painter.setFont(Theme::font(1.0, true));
        for (const bool plus : {false, true}) {
            drawTerminal(painter, {x, area.top() + line / 2 + 2}, Theme::em(0.42), plus, c);
            painter.setPen(c.ink);
            const QString& name = plus ? positive : negative;
            const double room = plus ? area.right() - x - Theme::em(0.7) : 0.4 * (area.width() - number);
            const double wide = std::min(QFontMetricsF(painter.font()).horizontalAdvance(name) + 4, room);
            drawElided(painter, QRectF(x + Theme::em(0.7), area.top() + 2, wide, line), name);
            x += wide + Theme::em(1.8);
        }
        painter.setPen(c.faint);
        painter.setFont(Theme::font(0.9));
        const double left = area.left() + number + Theme::em(0.4);
        if (x < area.right() - Theme::em(2.0)) {
            drawElided(painter, QRectF(x, area.top() + 2, area.right() - x, line), liquid);
        }
        double from = left;
        if (worst) {
            drawSeverity(painter, {left + Theme::em(0.5), area.top() + 1.5 * line}, Theme::em(0.45),
                         worst->severity, c);
            painter.setFont(Theme::font(0.9));
            painter.setPen(severityColour(worst->severity, c));
            const QString title = q(wording::findingText(*worst).title);
            const double wide = QFontMetricsF(painter.font()).horizontalAdvance(title) + Theme::em(0.8);
            from = left + Theme::em(1.2);
            drawElided(painter, QRectF(from, area.top() + line, std::min(wide, whyEnds - from), line), title);
            from += wide;
        }
        painter.setPen(c.faint);
        if (from < whyEnds) {
            drawElided(painter, QRectF(from, area.top() + line, whyEnds - from, line), why);
        }
        painter.setPen(QPen(c.rule, 1.0));
        painter.drawLine(QPointF(area.left(), area.bottom() - 2), QPointF(area.right(), area.bottom() - 2));
    };
    return item;
}

PictureItem Ranking::fold(std::size_t index, const QRectF& row) const {
    const auto count = static_cast<int>(m_state.best[index].others.size());
    const bool open = m_open == index;
    PictureItem item;
    item.id = QStringLiteral("others:%1").arg(index);
    item.role = QAccessible::Button;
    item.name = open ? tr("hide the other liquids") : tr("%n other liquid(s)", nullptr, count);
    const QFont font = Theme::font(0.9);
    const double wide = foldWidth();
    const double tall = Theme::em(1.3);
    item.area = QRectF(row.right() - wide, row.top() + tall, wide, tall);
    item.tooltip = tr("The same electrodes in other liquids, best first.");
    item.paint = [=, this, area = item.area, name = item.name](QPainter& painter) {
        painter.fillRect(area, m_theme.colours().paper);
        painter.setPen(m_theme.colours().ink);
        painter.setFont(font);
        drawElided(painter, area, name + (open ? QStringLiteral(" ▴") : QStringLiteral(" ▾")),
                   Qt::AlignRight | Qt::AlignVCenter);
    };
    return item;
}

void Ranking::rebuild() {
    if (!isVisible()) {
        return;
    }
    setFocusColour(m_theme.colours().focus);
    std::vector<PictureItem> items;
    const double tall = Theme::em(2.9);
    const double inset = Theme::em(2.0);
    double y = 2.0;
    for (std::size_t i = 0; i < m_state.best.size(); ++i) {
        const ScreenedCell& cell = m_state.best[i];
        const QRectF area(4, y, width() - 8, tall);
        items.push_back(row(QStringLiteral("cell:%1").arg(i), cell, area));
        y += tall;
        if (cell.others.empty()) {
            continue;
        }
        items.push_back(fold(i, area));
        for (std::size_t k = 0; k < cell.others.size() && m_open == i; ++k) {
            items.push_back(row(QStringLiteral("cell:%1:%2").arg(i).arg(k), cell.others[k],
                                QRectF(4 + inset, y, width() - 8 - inset, tall)));
            y += tall;
        }
    }
    setMinimumHeight(static_cast<int>(y) + 2);
    setItems(std::move(items));
}

} // namespace anodex::app
