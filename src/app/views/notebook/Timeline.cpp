#include "app/views/notebook/Timeline.h"

#include "app/widgets/Draw.h"
#include "wording/ChangeText.h"
#include "wording/Quantities.h"
#include "wording/Texts.h"

#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

double leftMargin() {
    return Theme::em(4.2);
}
double footHeight() {
    return Theme::em(3.6);
}
double headHeight() {
    return Theme::em(2.6);
}

/// Steps of 1, 2 or 5 that give three to six lines.
double scaleStep(double top) {
    const double rough = top / 4.0;
    const double decade = std::pow(10.0, std::floor(std::log10(rough)));
    for (const double factor : {1.0, 2.0, 5.0}) {
        if (rough <= factor * decade) {
            return factor * decade;
        }
    }
    return 10.0 * decade;
}

} // namespace

const Timeline::Mark* Timeline::Column::best() const {
    const auto reached = [](const Mark& mark) { return mark.measured.value_or(mark.expected); };
    const auto found = std::max_element(
        marks.begin(), marks.end(), [&](const Mark& a, const Mark& b) { return reached(a) < reached(b); });
    return found == marks.end() ? nullptr : &*found;
}

Timeline::Timeline(Workbench& bench, const Theme& theme, QWidget* parent)
    : Picture(tr("Timeline of revisions and builds"), parent), m_bench(bench), m_theme(theme) {
    setObjectName(QStringLiteral("timeline"));
    onChange(bench, this, kContent & ~Parts(Part::Documents), &Timeline::rebuild);
    connect(&theme, &Theme::changed, this, &Timeline::rebuild);
    connect(this, &Picture::resized, this, &Timeline::rebuild);
    setBackdrop([this](QPainter& painter) { paintScale(painter); });
    connect(this, &Picture::activated, this, [this](const QString& id) {
        if (id.startsWith(QLatin1String("rev:"))) {
            emit revisionChosen(id.mid(4));
        } else if (id.startsWith(QLatin1String("build:"))) {
            emit buildChosen(id.mid(6));
        }
    });
    connect(this, &Picture::editRequested, this, &Timeline::opened);
}

void Timeline::setFigure(Figure figure) {
    m_figure = figure;
    rebuild();
}

QSize Timeline::minimumSizeHint() const {
    const auto shownRevisions =
        std::count_if(m_bench.contents().revisions.begin(), m_bench.contents().revisions.end(),
                      [](const record::Revision& r) { return !r.setAside; });
    return {static_cast<int>(leftMargin() +
                             Theme::em(9.5) * std::max<double>(1.0, static_cast<double>(shownRevisions))),
            static_cast<int>(Theme::em(16.0))};
}

QString Timeline::shown(double value) const {
    switch (m_figure) {
    case Figure::OpenCircuit:
        return q(wording::quantityText(value, explain::Unit::Volt));
    case Figure::ShortCircuit:
        return q(wording::quantityText(value, explain::Unit::Ampere));
    case Figure::BestPower:
        return q(wording::quantityText(value, explain::Unit::Watt));
    case Figure::Capacity:
        return q(wording::chargeText(value));
    }
    return {};
}

/// As shown(), without zeros that say nothing.
QString Timeline::scaleText(double value) const {
    QString text = shown(value);
    const qsizetype blank = text.indexOf(QChar(0xA0));
    QString number = text.left(blank);
    while (number.contains(QLatin1Char('.')) &&
           (number.endsWith(QLatin1Char('0')) || number.endsWith(QLatin1Char('.')))) {
        number.chop(1);
    }
    return number + text.mid(blank);
}

Timeline::Mark Timeline::markOf(const BuildSummary& summary) const {
    const record::Expectation& expectation = summary.build.expectation;
    Mark mark;
    mark.build = &summary;
    const auto take = [&](const record::Expected& expected) {
        mark.expected = expected.value;
        mark.range = expected.range;
    };
    switch (m_figure) {
    case Figure::OpenCircuit:
        take(expectation.openCircuitVolts);
        mark.measured = summary.openCircuit ? std::optional(summary.openCircuit->value) : std::nullopt;
        break;
    case Figure::ShortCircuit:
        take(expectation.shortCircuitAmps);
        mark.measured = summary.shortCircuit ? std::optional(summary.shortCircuit->value) : std::nullopt;
        break;
    case Figure::BestPower:
        take(expectation.maximumWatts);
        mark.measured = summary.deliveredWatts();
        mark.atLeast = true;
        break;
    case Figure::Capacity:
        take(expectation.capacityCoulombs);
        mark.measured = summary.deliveredCoulombs();
        mark.atLeast = !summary.ranDown();
        break;
    }
    return mark;
}

double Timeline::columnWidth(std::size_t count) const {
    return (width() - leftMargin()) / std::max(1.0, static_cast<double>(count));
}

std::vector<Timeline::Column> Timeline::columns() const {
    std::vector<Column> list;
    for (const record::Revision& revision : m_bench.contents().revisions) {
        if (!revision.setAside) {
            Column column;
            column.revision = &revision;
            for (const BuildSummary* summary : m_bench.contents().buildsOf(revision.id)) {
                column.marks.push_back(markOf(*summary));
            }
            list.push_back(std::move(column));
        }
    }
    const double each = columnWidth(list.size());
    for (std::size_t i = 0; i < list.size(); ++i) {
        list[i].x = leftMargin() + each * (static_cast<double>(i) + 0.5);
        const auto count = static_cast<double>(list[i].marks.size());
        const double spread = std::min(Theme::em(6.5), each / (count + 1.0));
        for (std::size_t k = 0; k < list[i].marks.size(); ++k) {
            list[i].marks[k].x = list[i].x + (static_cast<double>(k) - 0.5 * (count - 1.0)) * spread;
            list[i].marks[k].crowded = k + 1 < list[i].marks.size();
        }
    }
    return list;
}

double Timeline::yOf(double value) const {
    const double bottom = height() - footHeight();
    return bottom - (bottom - headHeight()) * std::clamp(value / m_top, -0.05, 1.0);
}

void Timeline::paintScale(QPainter& painter) const {
    const Colours& c = m_theme.colours();
    painter.setFont(Theme::font(0.9));
    const double step = scaleStep(m_top);
    const QRect seen = visibleRegion().boundingRect();
    for (double value = 0.0; value <= m_top * 1.0001; value += step) {
        const double y = yOf(value);
        painter.setPen(QPen(c.rule, 1.0, value == 0.0 ? Qt::SolidLine : Qt::DotLine));
        painter.drawLine(QPointF(leftMargin(), y), QPointF(width(), y));
        // However far it is scrolled, the numbers stay at the left edge of what is seen.
        const QRectF label(seen.left(), y - Theme::em(0.6), leftMargin() - Theme::em(0.4), Theme::em(1.2));
        painter.fillRect(label, c.paper);
        painter.setPen(c.faint);
        painter.drawText(label, Qt::AlignRight | Qt::AlignVCenter, scaleText(value));
    }
}

void Timeline::addBranch(std::vector<PictureItem>& items, const Column& from, const Column& to) const {
    // What was not built yet has no height of its own: the branch goes on level, and is dashed.
    const Mark* left = from.best();
    const Mark* right = to.best();
    const auto heightOf = [](const Mark& mark) { return mark.measured.value_or(mark.expected); };
    const double level = left != nullptr    ? heightOf(*left)
                         : right != nullptr ? heightOf(*right)
                                            : 0.5 * m_top;
    const QPointF start(left != nullptr ? left->x : from.x, yOf(level));
    const QPointF end =
        right != nullptr ? QPointF(right->x, yOf(heightOf(*right))) : QPointF(to.x, yOf(level));
    const bool built = left != nullptr && right != nullptr;
    const auto& before = from.revision->design;
    const auto& after = to.revision->design;
    const QString words = q(wording::text(wording::changeSaid(before, after, 1)));
    const double room = std::max(Theme::em(4.0), std::abs(end.x() - start.x()) - Theme::em(0.8));
    PictureItem item;
    item.id = QStringLiteral("branch:") + q(to.revision->id);
    const QPointF middle = 0.5 * (start + end);
    // On a flat stretch it stands above the line, clear of the values below it.
    const double lift = std::abs(end.y() - start.y()) < Theme::em(3.0) ? Theme::em(1.2) : 0.0;
    item.area = QRectF(middle.x() - room / 2, middle.y() - Theme::em(0.75) - lift, room, Theme::em(1.5));
    item.name = tr("Change from %1 to %2").arg(q(from.revision->name), q(to.revision->name));
    constexpr std::size_t kAll = 100;
    item.value = q(wording::text(wording::changeSaid(before, after, kAll)));
    if (wording::changesBetween(before, after).size() > 1) {
        item.tooltip = item.value + QStringLiteral("\n") +
                       tr("Several things changed at once: the next result cannot be credited to one.");
    } else {
        item.tooltip = item.value;
    }
    item.paint = [=, this, area = item.area](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setPen(QPen(c.faint, 2.0, built ? Qt::SolidLine : Qt::DashLine));
        painter.drawLine(start, end);
        const double wide = std::min(
            area.width(),
            static_cast<double>(QFontMetricsF(Theme::font(0.95)).horizontalAdvance(words)) + Theme::em(0.8));
        const QRectF label(area.center().x() - wide / 2, area.top(), wide, area.height());
        painter.setPen(QPen(c.rule, 1.0));
        painter.setBrush(c.paper);
        painter.drawRoundedRect(label, 4, 4);
        painter.setPen(c.ink);
        painter.setFont(Theme::font(0.95));
        // The end says how far it went; a long name loses its beginning.
        const QRectF inside = label.adjusted(Theme::em(0.3), 0, -Theme::em(0.3), 0);
        painter.drawText(
            inside, Qt::AlignCenter,
            painter.fontMetrics().elidedText(words, Qt::ElideLeft, static_cast<int>(inside.width())));
    };
    items.push_back(std::move(item));
}

void Timeline::addRevision(std::vector<PictureItem>& items, const Column& column, double width) const {
    PictureItem item;
    item.id = QStringLiteral("rev:") + q(column.revision->id);
    item.area = QRectF(column.x - width / 2 + 4, height() - footHeight() + 6, width - 8, footHeight() - 12);
    item.role = QAccessible::ListItem;
    item.name = q(column.revision->name);
    item.value = column.marks.empty()       ? tr("not built yet")
                 : column.marks.size() == 1 ? tr("1 build")
                                            : tr("%1 builds").arg(column.marks.size());
    item.tooltip = item.name;
    item.editable = true;
    const bool current = m_bench.selection().revision() == column.revision;
    item.paint = [=, this, area = item.area, name = item.name, value = item.value](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setPen(QPen(current ? c.ink : c.rule, current ? 2.0 : 1.0));
        painter.setBrush(c.sheet);
        painter.drawRoundedRect(area, 5, 5);
        painter.setPen(c.ink);
        painter.setFont(Theme::font(1.0, current));
        const QRectF inner = area.adjusted(Theme::em(0.5), 2, -Theme::em(0.5), -2);
        // Names of one line differ at their ends.
        painter.drawText(
            QRectF(inner.left(), inner.top(), inner.width(), inner.height() / 2),
            Qt::AlignLeft | Qt::AlignVCenter,
            painter.fontMetrics().elidedText(name, Qt::ElideMiddle, static_cast<int>(inner.width())));
        painter.setPen(c.faint);
        painter.setFont(Theme::font(0.9));
        drawElided(painter, QRectF(inner.left(), inner.center().y(), inner.width(), inner.height() / 2),
                   value);
    };
    items.push_back(std::move(item));
}

void Timeline::addMark(std::vector<PictureItem>& items, const Column& column, const Mark& mark) const {
    const double x = mark.x;
    const double top = yOf(std::max(mark.measured.value_or(mark.range.high), mark.range.high));
    const double bottom = yOf(std::min(mark.measured.value_or(mark.range.low), mark.range.low));
    PictureItem item;
    item.id = QStringLiteral("build:") + q(mark.build->build.id);
    item.area =
        QRectF(x - Theme::em(1.0), top - Theme::em(0.6), Theme::em(2.0), bottom - top + Theme::em(1.2));
    item.role = QAccessible::ListItem;
    item.name = q(column.revision->name) + QStringLiteral(", ") + q(mark.build->build.name);
    item.value = mark.measured
                     ? (mark.atLeast ? tr("at least %1 so far, expected %2") : tr("measured %1, expected %2"))
                           .arg(shown(*mark.measured), shown(mark.expected))
                     : tr("expected %1, not measured").arg(shown(mark.expected));
    item.tooltip = item.name + QStringLiteral("\n") + item.value;
    const bool current = m_bench.selection().build() == mark.build;
    item.paint = [=, this](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setPen(QPen(c.expected, Theme::em(0.55), Qt::SolidLine, Qt::FlatCap));
        painter.drawLine(QPointF(x, yOf(mark.range.low)), QPointF(x, yOf(mark.range.high) - 1));
        painter.setPen(QPen(c.ink, 2.0));
        painter.drawLine(QPointF(x - Theme::em(0.45), yOf(mark.expected)),
                         QPointF(x + Theme::em(0.45), yOf(mark.expected)));
        if (mark.measured) {
            const QPointF at(x, yOf(*mark.measured));
            drawDiamond(painter, at, Theme::em(current ? 0.55 : 0.42), c.focus,
                        mark.atLeast ? Barb::Up : Barb::None);
            painter.setPen(c.ink);
            painter.setFont(Theme::font(0.95, current));
            const QString words = (mark.atLeast ? QStringLiteral("≥ ") : QString()) + shown(*mark.measured);
            const double wide = QFontMetricsF(painter.font()).horizontalAdvance(words) + 4;
            // Below and to the right a rising line never passes; beside another mark, above its own bar.
            const double above = yOf(std::max(*mark.measured, mark.range.high)) - Theme::em(1.7);
            const QRectF label =
                mark.crowded ? QRectF(x + Theme::em(0.3) - wide, above, wide, Theme::em(1.2))
                             : QRectF(x + Theme::em(0.7), at.y() + Theme::em(0.05), wide, Theme::em(1.2));
            painter.drawText(label, Qt::AlignLeft | Qt::AlignVCenter, words);
        }
    };
    items.push_back(std::move(item));
}

void Timeline::rebuild() {
    setFocusColour(m_theme.colours().focus);
    setMinimumSize(minimumSizeHint());
    const std::vector<Column> list = columns();
    m_top = 1e-9;
    for (const Column& column : list) {
        for (const Mark& mark : column.marks) {
            m_top = std::max({m_top, mark.range.high, mark.measured.value_or(0.0)});
        }
    }
    m_top *= 1.08;
    std::vector<PictureItem> items;
    const double each = columnWidth(list.size());
    for (const Column& column : list) {
        const auto parent = std::find_if(list.begin(), list.end(), [&](const Column& other) {
            return other.revision->id == column.revision->parent;
        });
        if (parent != list.end()) {
            addBranch(items, *parent, column);
        }
    }
    for (const Column& column : list) {
        addRevision(items, column, each);
        for (const Mark& mark : column.marks) {
            addMark(items, column, mark);
        }
    }
    setItems(std::move(items));
}

} // namespace anodex::app
