// What stands on the timeline: branches with what changed, revisions at the foot, builds and what is expected.
#include "app/views/notebook/Timeline.h"
#include "app/widgets/Draw.h"
#include "wording/ChangeText.h"
#include "wording/Texts.h"

#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

const QString kNoBreakArrow = QStringLiteral("\u00A0→\u00A0");

} // namespace

QString Timeline::measuredWords(const Mark& mark) const {
    return (mark.atLeast ? QStringLiteral("≥ ") : QString()) + shown(*mark.measured);
}

/// Below and to the right a rising line never passes; beside another mark or the edge, above its own bar.
QRectF Timeline::measuredLabel(const Mark& mark) const {
    const double wide = wordsWidth(measuredWords(mark), Theme::font(0.95)) + 4;
    const double tall = Theme::em(1.2);
    const bool besideEdge = mark.x + Theme::em(0.7) + wide > width();
    const double above = yOf(std::max(*mark.measured, mark.range.high)) - Theme::em(1.7);
    return mark.crowded || besideEdge
               ? QRectF(mark.x + Theme::em(0.3) - wide, above, wide, tall)
               : QRectF(mark.x + Theme::em(0.7), yOf(*mark.measured) + Theme::em(0.05), wide, tall);
}

std::vector<QRectF> Timeline::takenBy(const std::vector<Column>& columns) const {
    std::vector<QRectF> taken;
    for (const Column& column : columns) {
        for (const Mark& mark : column.marks) {
            const double top = yOf(mark.range.high);
            const double half = Theme::em(0.45);
            taken.emplace_back(mark.x - half, top - half, 2 * half, yOf(mark.range.low) - top + 2 * half);
            if (mark.measured) {
                taken.push_back(measuredLabel(mark));
                taken.emplace_back(mark.x - half, yOf(*mark.measured) - half, 2 * half, 2 * half);
            }
        }
    }
    return taken;
}

/// Of what changed: whole, on as many lines as it needs between its two columns, where nothing else stands.
QRectF Timeline::branchLabel(const QString& words, const QPointF& start, const QPointF& end,
                             const std::vector<QRectF>& taken) const {
    const QFont font = Theme::font(0.95);
    const double room = std::max(Theme::em(4.0), std::abs(end.x() - start.x()) - Theme::em(0.8));
    const double wide = std::min(room, wordsWidth(words, font) + Theme::em(0.8));
    const double tall = wrappedHeight(words, wide - Theme::em(0.6), font) + Theme::em(0.3);
    // On a flat stretch it stands clear of the line.
    const bool flat = std::abs(end.y() - start.y()) < Theme::em(3.0);
    const double clear = 0.5 * tall + Theme::em(0.45);
    std::vector<double> lifts = flat ? std::vector<double>() : std::vector{0.0};
    for (const double times : {1.0, 1.7, 2.4, 3.1}) {
        lifts.insert(lifts.end(), {times * clear, -times * clear});
    }
    std::optional<QRectF> first;
    for (const double lift : lifts) {
        for (const double along : {0.5, 0.4, 0.6, 0.3, 0.7}) {
            const QPointF at = start + along * (end - start) - QPointF(0.0, lift);
            const double slack = 0.5 * (room - wide);
            const double x =
                std::clamp(at.x(), 0.5 * (start.x() + end.x()) - slack, 0.5 * (start.x() + end.x()) + slack);
            const double top = std::clamp(at.y() - 0.5 * tall, 0.0, height() - footHeight() - tall);
            const QRectF label(x - 0.5 * wide, top, wide, tall);
            first = first.value_or(label);
            if (std::none_of(taken.begin(), taken.end(),
                             [&](const QRectF& other) { return other.intersects(label); })) {
                return label;
            }
        }
    }
    return *first;
}

void Timeline::addBranch(std::vector<PictureItem>& items, const Column& from, const Column& to,
                         std::vector<QRectF>& taken) const {
    // To and from what was not built yet the branch is dashed; it goes on level where nothing is known of it.
    const Mark* left = from.best();
    const Mark* right = to.best();
    const auto heightOf = [](const Column& column, const Mark* best) {
        return best != nullptr ? std::optional(best->measured.value_or(best->expected)) : column.expected;
    };
    const std::optional<double> begins = heightOf(from, left);
    const std::optional<double> ends = heightOf(to, right);
    const double level = begins ? *begins : ends.value_or(0.0);
    const QPointF start(left != nullptr ? left->x : from.x, yOf(level));
    const QPointF end(right != nullptr ? right->x : to.x, yOf(ends.value_or(level)));
    const bool built = left != nullptr && right != nullptr;
    const auto& before = from.revision->design;
    const auto& after = to.revision->design;
    // What was and what is stay together on a line.
    const QString words = q(wording::branchLine(before, after)).replace(QStringLiteral(" → "), kNoBreakArrow);
    PictureItem item;
    item.id = QStringLiteral("branch:") + q(to.revision->id);
    item.area = branchLabel(words, start, end, taken);
    taken.push_back(item.area);
    item.name = tr("Change from %1 to %2").arg(q(from.revision->name), q(to.revision->name));
    constexpr std::size_t kAll = 100;
    item.value = q(wording::text(wording::changeSaid(before, after, kAll)));
    if (wording::changesBetween(before, after).size() > 1) {
        item.tooltip = item.value + QStringLiteral("\n") +
                       tr("Several things changed at once: the next result cannot be credited to one.");
    } else {
        item.tooltip = item.value;
    }
    item.paint = [=, this, label = item.area](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setPen(QPen(c.faint, 2.0, built ? Qt::SolidLine : Qt::DashLine));
        painter.drawLine(start, end);
        painter.setPen(QPen(c.rule, 1.0));
        painter.setBrush(c.paper);
        painter.drawRoundedRect(label, 4, 4);
        painter.setPen(c.ink);
        painter.setFont(Theme::font(0.95));
        drawWrapped(painter, label.adjusted(Theme::em(0.3), 0, -Theme::em(0.3), 0), words, Qt::AlignCenter);
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

/// What is expected of a design that was not built.
void Timeline::addExpected(std::vector<PictureItem>& items, const Column& column) const {
    const double y = yOf(*column.expected);
    PictureItem item;
    item.id = QStringLiteral("expected:") + q(column.revision->id);
    item.area = QRectF(column.x - Theme::em(1.0), y - Theme::em(1.0), Theme::em(2.0), Theme::em(2.0));
    item.role = QAccessible::ListItem;
    item.name = q(column.revision->name);
    item.value = tr("expected %1, not built").arg(shown(*column.expected));
    item.tooltip = item.name + QStringLiteral("\n") + item.value;
    item.paint = [this, x = column.x, y, words = shown(*column.expected)](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setPen(QPen(c.faint, 2.0, Qt::DotLine));
        painter.drawLine(QPointF(x - Theme::em(0.8), y), QPointF(x + Theme::em(0.8), y));
        painter.setPen(c.faint);
        painter.setFont(Theme::font(0.95));
        drawWords(painter, QRectF(x + Theme::em(1.3), y - Theme::em(0.6), Theme::em(5.0), Theme::em(1.2)),
                  words, Qt::AlignLeft | Qt::AlignVCenter);
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
            painter.drawText(measuredLabel(mark), Qt::AlignLeft | Qt::AlignVCenter, measuredWords(mark));
        }
    };
    items.push_back(std::move(item));
}

} // namespace anodex::app
