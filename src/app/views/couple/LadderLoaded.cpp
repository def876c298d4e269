// The bar of the ladder that shows what is left at the terminals under the load, and what is lost where.
#include "app/views/couple/Ladder.h"
#include "app/widgets/Draw.h"
#include "core/cell/Evaluation.h"
#include "wording/PartText.h"
#include "wording/Quantities.h"

#include <algorithm>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

} // namespace

void Ladder::addLoaded(std::vector<PictureItem>& items) const {
    const Outcome& outcome = m_bench.draft().outcome();
    const cell::Evaluation& e = *outcome.evaluation;
    const double amps = m_loadAmps.value_or(0.0);
    if (amps == 0.0) {
        return;
    }
    const auto losses = cell::lossesAt(m_bench.catalogue(), *outcome.cell, e, amps, m_moment);
    const double x = columnX(design::Side::Negative) + barHalf() + Theme::em(8.0);
    const double sign = e.openCircuitVolts >= 0.0 ? 1.0 : -1.0;
    double level = e.side(design::Side::Negative).restVolts;
    double total = 0.0;
    for (const cell::Loss& loss : losses) {
        total += loss.part == cell::LossPart::Mixed ? 0.0 : loss.volts;
    }
    const double terminal = e.openCircuitVolts - total;
    struct Step {
        QString name;
        double from;
        double to;
        int kind; // 0 the voltage that is left, 1 negative, 2 positive, 3 resistance
        explain::QuantityKey opens;
    };
    std::vector<Step> steps;
    const auto add = [&](const QString& name, double volts, int kind, const explain::QuantityKey& opens) {
        steps.push_back({name, level, level + volts, kind, opens});
        level += volts;
    };
    const auto addLoss = [&](cell::LossPart part, int kind) {
        for (std::size_t i = 0; i < losses.size(); ++i) {
            if (losses[i].part == part) {
                add(q(wording::lossText(part)), losses[i].volts, kind,
                    {explain::Quantity::Loss, {}, i, amps, m_moment});
            }
        }
    };
    addLoss(cell::LossPart::NegativePolarisation, 1);
    add(tr("left at the terminals"), terminal, 0, {explain::Quantity::LoadedVoltage, {}, 0, amps, m_moment});
    for (const cell::LossPart part : {cell::LossPart::Liquid, cell::LossPart::Separator,
                                      cell::LossPart::Collectors, cell::LossPart::Contacts}) {
        addLoss(part, 3);
    }
    addLoss(cell::LossPart::PositivePolarisation, 2);
    double lastLabel = 1e9;
    const double bracketFoot = 0.5 * (yOf(e.side(design::Side::Negative).restVolts) +
                                      yOf(e.side(design::Side::Positive).restVolts)) +
                               Theme::em(1.4);
    const double minimum = 0.012 * sign;
    for (std::size_t i = 0; i < steps.size(); ++i) {
        const Step step = steps[i];
        if (step.kind != 0 && std::abs(step.to - step.from) < std::abs(minimum)) {
            continue;
        }
        const double top = std::min(yOf(step.from), yOf(step.to));
        const double tall = std::abs(yOf(step.from) - yOf(step.to));
        const double labelY = std::min(top + tall / 2.0, lastLabel - Theme::em(1.15));
        lastLabel = labelY;
        PictureItem item;
        item.id = QStringLiteral("step:%1").arg(i);
        item.area = QRectF(x - Theme::em(0.4), top, Theme::em(0.8), std::max(tall, 3.0));
        item.role = QAccessible::Button;
        item.name = step.kind == 0
                        ? tr("Voltage at %1").arg(q(wording::quantityText(amps, explain::Unit::Ampere)))
                        : tr("Lost in: %1").arg(step.name);
        const QString shown =
            q(wording::quantityText(step.to - step.from, explain::Unit::Volt, base::Interval{0.0, 0.03}));
        item.value = shown;
        item.tooltip = item.name + QStringLiteral(": ") + item.value;
        item.opens = step.opens;
        item.paint = [=, this, area = item.area](QPainter& painter) {
            const Colours& c = m_theme.colours();
            const QColor colour = step.kind == 0   ? c.ink
                                  : step.kind == 1 ? c.negative
                                  : step.kind == 2 ? c.positive
                                                   : c.liquid;
            painter.setPen(Qt::NoPen);
            painter.setBrush(step.kind == 0 ? QBrush(colour) : QBrush(colour, Qt::Dense4Pattern));
            painter.drawRect(area.adjusted(1, 0.5, -1, -0.5));
            painter.setPen(step.kind == 0 ? c.ink : c.faint);
            painter.setFont(Theme::font(step.kind == 0 ? 1.15 : 0.85, step.kind == 0));
            const double wide = columnX(design::Side::Positive) - barHalf() - Theme::em(0.9) - area.right();
            const QRectF text(area.right() + Theme::em(0.35), labelY - Theme::em(0.75), wide, Theme::em(1.5));
            const QFontMetricsF metrics(painter.font());
            if (metrics.horizontalAdvance(shown) > wide) {
                if (step.kind == 0) { // under the open circuit, where there is room at any font
                    drawWords(painter, QRectF(0, bracketFoot, area.left() - Theme::em(0.35), Theme::em(1.5)),
                              shown, Qt::AlignRight | Qt::AlignVCenter);
                }
                return;
            }
            const QString whole = step.name + QStringLiteral(" ") + shown;
            const QString words = step.kind == 0 || metrics.horizontalAdvance(whole) > wide ? shown : whole;
            // The bracket's lines end where the words begin.
            const double covered = std::min(wide, metrics.horizontalAdvance(words) + 4);
            painter.fillRect(QRectF(text.left() - 2, text.top(), covered, text.height()), c.paper);
            drawWords(painter, text, words, Qt::AlignLeft | Qt::AlignVCenter);
        };
        items.push_back(std::move(item));
    }
}

} // namespace anodex::app
