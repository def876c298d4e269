// Findings on the part of the section they concern: the worst one's shape, and how many there are.
#include "app/views/cell/Section.h"
#include "app/widgets/Draw.h"
#include "wording/FindingText.h"

#include <QPainter>
#include <algorithm>

namespace anodex::app {
namespace {

using findings::FindingPart;

constexpr FindingPart kParts[] = {FindingPart::Negative,  FindingPart::Positive,  FindingPart::Electrolyte,
                                  FindingPart::Separator, FindingPart::Collector, FindingPart::Whole};

/// The case has no layer of its own here: it stands with the whole.
FindingPart drawnPart(const findings::Finding& finding) {
    return finding.part == FindingPart::Case ? FindingPart::Whole : finding.part;
}

} // namespace

std::vector<findings::Finding> Section::findingsOn(findings::FindingPart part) const {
    std::vector<findings::Finding> found;
    for (const findings::Finding& finding : m_bench.draft().outcome().findings) {
        if (drawnPart(finding) == part) {
            found.push_back(finding);
        }
    }
    return found;
}

QPointF Section::markFor(findings::FindingPart part) const {
    const double aside = Theme::em(1.6);
    const QRectF& gap = m_layout.gap;
    // Layers have their words in the middle and the wire to the lower electrode at one side: marks stand at
    // the other.
    const bool left = m_layout.first == design::Side::Negative;
    const double beside = left ? gap.left() + Theme::em(1.1) : gap.right() - Theme::em(1.1);
    const auto head = [&](design::Side side, double by) { return QPointF(leadX(side) + by, Theme::em(3.6)); };
    switch (part) {
    case FindingPart::Negative:
        return head(design::Side::Negative, aside);
    case FindingPart::Positive:
        return head(design::Side::Positive, -aside);
    case FindingPart::Electrolyte:
        return m_layout.stacked ? QPointF(beside, gap.top() + Theme::em(1.2))
                                : QPointF(gap.center().x(), gap.top() + Theme::em(3.0));
    case FindingPart::Separator:
        return m_layout.stacked ? QPointF(beside, gap.bottom() - Theme::em(1.2))
                                : QPointF(gap.center().x(), gap.bottom() - Theme::em(2.6));
    case FindingPart::Collector: {
        const bool negative =
            m_bench.draft().outcome().cell->electrode(design::Side::Negative).collector.has_value();
        return head(negative ? design::Side::Negative : design::Side::Positive,
                    (negative ? 2.0 : -2.0) * aside);
    }
    case FindingPart::Case:
    case FindingPart::Whole:
        break;
    }
    return {width() / 2.0, Theme::em(0.9)};
}

void Section::addFindings(std::vector<PictureItem>& items) const {
    for (const FindingPart part : kParts) {
        const std::vector<findings::Finding> found = findingsOn(part);
        if (found.empty()) {
            continue;
        }
        const QPointF centre = markFor(part);
        const double radius = Theme::em(0.55);
        PictureItem item;
        item.id = QStringLiteral("findings:%1").arg(wording::findingPartText(part));
        item.area = QRectF(centre.x() - radius - 3, centre.y() - radius - 3, 2 * radius + 6, 2 * radius + 6);
        item.role = QAccessible::Button;
        item.name = tr("%n finding(s) here", nullptr, static_cast<int>(found.size()));
        QStringList lines;
        for (const findings::Finding& finding : found) {
            const wording::FindingText text = wording::findingText(finding);
            lines << QString::fromStdString(text.title + ": " + text.text);
        }
        item.value = lines.join(QStringLiteral(" "));
        item.tooltip = lines.join(QLatin1Char('\n'));
        item.paint = [=, this, severity = found.front().severity, count = found.size()](QPainter& painter) {
            const Colours& c = m_theme.colours();
            painter.setPen(Qt::NoPen);
            painter.setBrush(c.paper);
            painter.drawEllipse(centre, radius + 2, radius + 2);
            drawSeverity(painter, centre, radius, severity, c);
            if (count > 1) {
                painter.setPen(c.ink);
                painter.setFont(Theme::font(0.75, true));
                drawWords(
                    painter,
                    QRectF(centre.x() + radius, centre.y() - Theme::em(0.9), Theme::em(1.2), Theme::em(0.9)),
                    QString::number(count), Qt::AlignLeft | Qt::AlignVCenter);
            }
        };
        items.push_back(std::move(item));
    }
}

} // namespace anodex::app
