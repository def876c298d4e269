// What fills the gap of a section: the liquids, their facts, and what stands between them.
#include "app/views/cell/Section.h"
#include "app/widgets/Draw.h"
#include "wording/Quantities.h"

#include <QFontMetricsF>
#include <QPainter>
#include <algorithm>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

constexpr double kFactsRoom = 2.8; // em: height that name and numbers of a liquid need

} // namespace

void Section::addLiquid(std::vector<PictureItem>& items, design::Side side) const {
    const design::Cell& cell = *m_bench.draft().outcome().cell;
    const bool two = cell.twoLiquids;
    const QRectF box = two ? m_layout.part(side) : m_layout.gap;
    const liquid::Solution& solution = m_bench.draft().outcome().evaluation->solution(side);
    PictureItem item;
    item.id = QStringLiteral("liquid:%1").arg(static_cast<int>(side));
    // Clear of the handles: the gap's lies at the top of upright layers, beside stacked ones.
    item.area =
        m_layout.stacked ? box.adjusted(8, 6, -8, -6) : box.adjusted(8, Theme::em(2.2), -8, -Theme::em(2.4));
    item.role = QAccessible::Button;
    item.name = !two                             ? tr("Liquid")
                : side == design::Side::Negative ? tr("Negative liquid")
                                                 : tr("Positive liquid");
    item.value =
        tr("%1 mL, pH %2, %3")
            .arg(q(wording::numberText(solution.volumeM3 * 1e6, 3)), QString::number(solution.pH, 'f', 1),
                 q(wording::quantityText(solution.conductivity, explain::Unit::SiemensPerMetre)));
    item.tooltip = item.name + QStringLiteral("\n") + item.value;
    const double strength = std::clamp(solution.ionicStrength / 3.0, 0.08, 1.0);
    item.paint = [=, this](QPainter& painter) {
        painter.setRenderHint(QPainter::Antialiasing, false); // of a wide area it takes longest
        painter.fillRect(
            box, tintedOver(m_theme.colours().paper, m_theme.colours().liquid, 0.25 + 0.55 * strength));
    };
    item.covers = box;
    items.push_back(std::move(item));
}

/// Name and numbers of a liquid, over whatever stands in it.
void Section::addLiquidFacts(std::vector<PictureItem>& items, design::Side side) const {
    const QString id = QStringLiteral("liquid:%1").arg(static_cast<int>(side));
    const auto found =
        std::find_if(items.begin(), items.end(), [&](const PictureItem& item) { return item.id == id; });
    const PictureItem liquid = *found;
    const QRectF box = m_bench.draft().outcome().cell->twoLiquids ? m_layout.part(side) : m_layout.gap;
    const double wide = std::min(Theme::em(14.0), liquid.area.width());
    const double tall = std::min(Theme::em(2.6), liquid.area.height());
    const QRectF area(liquid.area.center().x() - wide / 2, liquid.area.center().y() - tall / 2, wide, tall);
    addFacts(items, id + QStringLiteral(".facts"), liquid, area, explain::Quantity::LiquidVolume, side);
    if (box.width() <= Theme::em(6.0) || box.height() <= Theme::em(kFactsRoom)) {
        return;
    }
    const QString acidity =
        tr("pH %1").arg(QString::number(m_bench.draft().outcome().evaluation->solution(side).pH, 'f', 1));
    items.back().paint = [=, this](QPainter& painter) {
        const Colours& c = m_theme.colours();
        // The wire to the lower electrode runs down one side.
        const double wire = m_layout.stacked ? Theme::em(2.2) : 0.0;
        const bool right = m_layout.first == design::Side::Negative;
        const QRectF text = box.adjusted(8 + (right ? 0.0 : wire), 0, -8 - (right ? wire : 0.0), 0);
        const double line = Theme::em(1.3);
        painter.setFont(Theme::font(0.95));
        const auto lengthOf = [&](const QString& words) { return wordsWidth(words, painter.font()); };
        const QString value = lengthOf(liquid.value) <= text.width() ? liquid.value : acidity;
        const double broad = std::min(text.width(), std::max(lengthOf(liquid.name), lengthOf(value)) + 12.0);
        QColor ground = c.sheet;
        ground.setAlphaF(0.75F);
        painter.fillRect(QRectF(text.center().x() - broad / 2, text.center().y() - line, broad, 2 * line),
                         ground);
        painter.setPen(c.ink);
        drawElided(painter, QRectF(text.left(), text.center().y() - line, text.width(), line), liquid.name,
                   Qt::AlignCenter);
        drawElided(painter, QRectF(text.left(), text.center().y(), text.width(), line), value,
                   Qt::AlignCenter);
    };
}

void Section::addBarrier(std::vector<PictureItem>& items) const {
    const design::Cell& cell = *m_bench.draft().outcome().cell;
    if (!cell.barrier) {
        return;
    }
    const chemistry::SeparatorMaterial& separator = m_bench.catalogue().separators[cell.barrier->separator];
    const QRectF box = m_layout.strip(cell.barrier->thicknessMetres);
    const QRectF& gap = m_layout.gap;
    const bool roomAbove = box.top() - gap.top() > Theme::em(1.4);
    // Between a layer's own words and its boundary there may be no line left; pointing at it tells it then.
    const double layer = std::min(box.top() - gap.top(), gap.bottom() - box.bottom());
    const bool crowded = m_layout.stacked && layer > Theme::em(kFactsRoom) && layer < Theme::em(5.4);
    const double marks = Theme::em(2.2);
    const QRectF caption =
        m_layout.stacked ? QRectF(gap.left() + marks, roomAbove ? box.top() - Theme::em(1.35) : box.bottom(),
                                  gap.width() - Theme::em(3.0) - marks, Theme::em(1.3))
                         : QRectF(gap.left(), gap.bottom() - Theme::em(1.8), gap.width(), Theme::em(1.3));
    const int layers =
        m_bench.draft().design().separator ? m_bench.draft().design().separator->layers.value_or(1) : 1;
    PictureItem item;
    item.id = QStringLiteral("separator");
    item.area = m_layout.stacked ? box.adjusted(0, -4, 0, 4) : box.adjusted(-5, 0, 5, 0);
    item.role = QAccessible::Button;
    item.name = layers > 1 ? tr("Separator: %1 layers of %2").arg(layers).arg(q(separator.name))
                           : tr("Separator: %1").arg(q(separator.name));
    item.value = cell.barrier->thicknessMetres > 0.0
                     ? tr("%1 mm").arg(q(wording::numberText(cell.barrier->thicknessMetres * 1e3, 2)))
                     : QString();
    item.tooltip = item.name + QStringLiteral(" ") + item.value;
    item.paint = [=, this, words = item.name](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setRenderHint(QPainter::Antialiasing, false); // a smooth edge of a pattern is dear
        painter.setPen(QPen(c.faint, 1.0, Qt::DashLine));
        painter.setBrush(QBrush(c.faint, Qt::Dense6Pattern));
        painter.drawRect(box);
        for (int i = 1; i < layers; ++i) {
            const double share = static_cast<double>(i) / layers;
            painter.drawLine(m_layout.stacked ? QLineF(box.left(), box.top() + share * box.height(),
                                                       box.right(), box.top() + share * box.height())
                                              : QLineF(box.left() + share * box.width(), box.top(),
                                                       box.left() + share * box.width(), box.bottom()));
        }
        painter.setPen(c.ink);
        painter.setFont(Theme::font(0.9));
        if (caption.width() > Theme::em(5.0) && !crowded) {
            drawElided(painter, caption, words,
                       m_layout.stacked ? Qt::AlignRight | Qt::AlignVCenter : Qt::AlignCenter);
        }
    };
    items.push_back(std::move(item));
}

} // namespace anodex::app
