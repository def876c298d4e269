#include "app/views/cell/Section.h"

#include "app/widgets/Draw.h"
#include "app/widgets/NumberField.h"
#include "wording/FindingText.h"
#include "wording/Quantities.h"

#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

constexpr double kThinnestDrawn = 5.0; // pixels; thinner layers are drawn this thick and said to be so

double roundedTo3(double value) {
    if (value <= 0.0) {
        return value;
    }
    const double scale = std::pow(10.0, 2 - std::floor(std::log10(value)));
    return std::round(value * scale) / scale;
}

} // namespace

Section::Section(Workbench& bench, const Theme& theme, QWidget* parent)
    : Picture(tr("Section through the cell"), parent), m_bench(bench), m_theme(theme),
      m_field(new NumberField(this)) {
    setObjectName(QStringLiteral("section"));
    connect(&bench, &Workbench::designChanged, this, &Section::rebuild);
    connect(&theme, &Theme::changed, this, &Section::rebuild);
    connect(this, &Picture::resized, this, &Section::rebuild);
    connect(this, &Picture::shown, this, &Section::rebuild);
    connect(this, &Picture::dragged, this, &Section::drag);
    connect(this, &Picture::stepped, this, &Section::step);
    connect(this, &Picture::editRequested, this, &Section::ask);
    connect(this, &Picture::activated, this, [this](const QString& id) {
        if (sizeOf(id)) {
            ask(id);
        } else if (const PictureItem* hit = item(id); hit != nullptr) {
            emit partAsked(id, mapToGlobal(hit->area.center().toPoint()));
        }
    });
    connect(m_field, &NumberField::typed, this, [this](double value) { set(m_asked, value, false); });
    connect(m_field, &NumberField::committed, this, [this](double value) { set(m_asked, value, true); });
    connect(m_field, &NumberField::cancelled, this, [this] { m_bench.dropDraft(); });
    connect(m_field, &NumberField::unreadable, this, [this](const QString& text) {
        if (const auto size = sizeOf(m_asked)) {
            emit refused(tr("\"%1\" does not fit %2; right would be a number from %3 to %4")
                             .arg(text, size->name, q(wording::numberText(size->least * size->shownPerSi, 2)),
                                  q(wording::numberText(size->most * size->shownPerSi, 2))));
        }
    });
    setBackdrop([this](QPainter& painter) { paintRuler(painter); });
}

std::vector<Section::Size> Section::sizes() const {
    if (!m_bench.outcome().usable()) {
        return {};
    }
    const cell::Cell& cell = *m_bench.outcome().cell;
    std::vector<Size> list;
    list.push_back(
        {QStringLiteral("gap"), tr("gap"), cell.gapMetres, wording::Dimension::Metre, 1e3, 5e-5, 1.0});
    for (const cell::Side side : {cell::Side::Negative, cell::Side::Positive}) {
        const bool negative = side == cell::Side::Negative;
        const cell::Electrode& electrode = cell.electrode(side);
        const QString key = negative ? QStringLiteral("negative") : QStringLiteral("positive");
        const QString who = negative ? tr("negative") : tr("positive");
        list.push_back({key + QStringLiteral(".area"), tr("%1 wetted area").arg(who), electrode.areaM2,
                        wording::Dimension::SquareMetre, 1e4, 1e-6, 1.0});
        list.push_back({key + QStringLiteral(".thickness"), tr("%1 thickness").arg(who),
                        electrode.thicknessMetres, wording::Dimension::Metre, 1e3, 1e-6, 0.1});
    }
    return list;
}

std::optional<Section::Size> Section::sizeOf(const QString& id) const {
    for (const Size& size : sizes()) {
        if (size.id == id) {
            return size;
        }
    }
    return std::nullopt;
}

QString Section::shown(const Size& size) const {
    return q(wording::numberText(size.value * size.shownPerSi, 3)) +
           (size.dimension == wording::Dimension::SquareMetre ? QStringLiteral("\u00A0cm²")
                                                              : QStringLiteral("\u00A0mm"));
}

cell::CellDesign Section::withSize(cell::CellDesign design, const QString& id, double value) {
    if (id == QLatin1String("gap")) {
        design.gapMetres = value;
        return design;
    }
    cell::ElectrodeDesign& electrode =
        id.startsWith(QLatin1String("negative")) ? design.negative : design.positive;
    if (id.endsWith(QLatin1String("area"))) {
        electrode.wettedAreaM2 = value;
    } else {
        // A weighed mass belongs to the old thickness.
        electrode.thicknessMetres = value;
        electrode.massKg.reset();
    }
    return design;
}

void Section::set(const QString& id, double value, bool settle) {
    const auto size = sizeOf(id);
    if (!size) {
        return;
    }
    m_bench.draft(withSize(m_bench.design(), id, std::clamp(value, size->least, size->most)));
    if (settle) {
        m_bench.settle();
    }
}

void Section::drag(const QString& id, const QPointF& distance, bool finished) {
    const auto size = sizeOf(id);
    if (!size) {
        return;
    }
    if (!m_dragging) {
        m_dragging = true;
        m_dragFrom = size->value;
    }
    double value = m_dragFrom;
    if (id == QLatin1String("gap")) {
        value = m_dragFrom * std::exp(distance.x() / 160.0);
    } else if (id.endsWith(QLatin1String("area"))) {
        value = m_dragFrom * std::exp(-distance.y() / 120.0);
    } else {
        value = m_dragFrom *
                std::exp((id.startsWith(QLatin1String("negative")) ? -1.0 : 1.0) * distance.x() / 120.0);
    }
    const double wanted = roundedTo3(value);
    if (finished && (wanted < size->least || wanted > size->most)) {
        emit refused(
            tr("%1 stops at %2")
                .arg(size->name, q(wording::numberText(
                                     std::clamp(wanted, size->least, size->most) * size->shownPerSi, 2))));
    }
    m_dragging = !finished;
    set(id, wanted, finished);
}

void Section::step(const QString& id, int steps) {
    if (const auto size = sizeOf(id)) {
        set(id, roundedTo3(size->value * std::pow(1.05, steps)), false);
    }
}

void Section::ask(const QString& id) {
    const auto size = sizeOf(id);
    const PictureItem* hit = item(id);
    if (!size || hit == nullptr) {
        return;
    }
    m_asked = id;
    m_field->ask(
        hit->area, size->name, shown(*size), size->dimension, 1.0 / size->shownPerSi,
        [least = size->least, most = size->most](double value) { return value >= least && value <= most; });
}

void Section::layoutLayers() {
    const cell::Cell& cell = *m_bench.outcome().cell;
    const double side = Theme::em(6.5);
    const double across = width() - 2 * side;
    const double total =
        cell.gapMetres + cell.electrodes[0].thicknessMetres + cell.electrodes[1].thicknessMetres;
    if (!m_dragging) {
        m_pixelsPerMetre = across / total;
    }
    const auto wide = [&](double metres) { return std::max(kThinnestDrawn, metres * m_pixelsPerMetre); };
    const double tallest = height() - Theme::em(9.0);
    const double largest = std::max(cell.electrodes[0].areaM2, cell.electrodes[1].areaM2);
    const auto tall = [&](double area) {
        return std::max(Theme::em(1.5), tallest * std::sqrt(area / largest));
    };
    const double floor = Theme::em(4.4) + tallest;
    const double gap = wide(cell.gapMetres);
    const double left = wide(cell.electrodes[0].thicknessMetres);
    const double right = wide(cell.electrodes[1].thicknessMetres);
    const double start = std::max(Theme::em(1.0), (width() - gap - left - right) / 2.0);
    m_negative =
        QRectF(start, floor - tall(cell.electrodes[0].areaM2), left, tall(cell.electrodes[0].areaM2));
    m_gap = QRectF(start + left, floor - tallest, gap, tallest);
    m_positive = QRectF(start + left + gap, floor - tall(cell.electrodes[1].areaM2), right,
                        tall(cell.electrodes[1].areaM2));
}

void Section::addElectrode(std::vector<PictureItem>& items, cell::Side side) const {
    const bool negative = side == cell::Side::Negative;
    const QRectF box = negative ? m_negative : m_positive;
    const cell::Electrode& electrode = m_bench.outcome().cell->electrode(side);
    const QString material = q(m_bench.catalogue().materials[electrode.material].name);
    const char* airs[] = {QT_TR_NOOP("no air"), QT_TR_NOOP("still air"), QT_TR_NOOP("breathing")};
    PictureItem item;
    item.id = negative ? QStringLiteral("negative") : QStringLiteral("positive");
    item.area = box.adjusted(-6, 0, 6, 0);
    item.role = QAccessible::Button;
    item.name =
        negative ? tr("Negative electrode: %1").arg(material) : tr("Positive electrode: %1").arg(material);
    item.value = tr("%1 g, %2")
                     .arg(q(wording::numberText(electrode.massKg * 1e3, 3)),
                          tr(airs[static_cast<int>(electrode.air)]));
    item.tooltip = item.name + QStringLiteral("\n") + item.value + tr("\nClick for air and other choices.");
    const QRectF caption = negative
                               ? QRectF(2, Theme::em(0.2), width() / 2.0 - 4, Theme::em(2.6))
                               : QRectF(width() / 2.0, Theme::em(0.2), width() / 2.0 - 4, Theme::em(2.6));
    item.paint = [=, this, value = item.value](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setPen(QPen(c.ink, 1.0));
        painter.setBrush(negative ? c.negative : c.positive);
        painter.drawRect(box);
        const QPointF head(box.center().x(), Theme::em(3.6));
        painter.setPen(QPen(negative ? c.negative : c.positive, 2.5));
        painter.drawLine(QPointF(box.center().x(), box.top()), head);
        drawTerminal(painter, head, Theme::em(0.6), !negative, c);
        painter.setPen(c.ink);
        painter.setFont(Theme::font(1.05, true));
        const int align = (negative ? Qt::AlignLeft : Qt::AlignRight) | Qt::AlignVCenter;
        drawElided(painter, QRectF(caption.left(), caption.top(), caption.width(), Theme::em(1.3)), material,
                   align);
        painter.setPen(c.faint);
        painter.setFont(Theme::font(0.9));
        drawElided(painter,
                   QRectF(caption.left(), caption.top() + Theme::em(1.25), caption.width(), Theme::em(1.2)),
                   value, align);
    };
    items.push_back(std::move(item));
}

void Section::addLiquid(std::vector<PictureItem>& items, cell::Side side) const {
    const cell::Cell& cell = *m_bench.outcome().cell;
    const bool two = cell.twoLiquids;
    QRectF box = m_gap;
    if (two) {
        box.setWidth(m_gap.width() / 2.0);
        if (side == cell::Side::Positive) {
            box.moveRight(m_gap.right());
        }
    }
    const chemistry::Solution& solution = cell.solution(side);
    PictureItem item;
    item.id = QStringLiteral("liquid:%1").arg(static_cast<int>(side));
    item.area = box.adjusted(8, Theme::em(2.2), -8, -Theme::em(2.4));
    item.role = QAccessible::Button;
    item.name = !two                           ? tr("Liquid")
                : side == cell::Side::Negative ? tr("Negative liquid")
                                               : tr("Positive liquid");
    item.value =
        tr("%1 mL, pH %2, %3")
            .arg(q(wording::numberText(solution.volumeM3 * 1e6, 3)), q(wording::numberText(solution.pH, 2)),
                 q(wording::quantityText(solution.conductivity, cell::Unit::SiemensPerMetre)));
    item.tooltip = item.name + QStringLiteral("\n") + item.value;
    const double strength = std::clamp(solution.ionicStrength / 3.0, 0.08, 1.0);
    item.paint = [=, this, name = item.name, value = item.value](QPainter& painter) {
        const Colours& c = m_theme.colours();
        QColor tint = c.liquid;
        tint.setAlphaF(static_cast<float>(0.25 + 0.55 * strength));
        painter.fillRect(box, tint);
        painter.setPen(c.ink);
        painter.setFont(Theme::font(0.95));
        if (box.width() > Theme::em(6.0)) {
            drawElided(
                painter,
                QRectF(box.left() + 8, box.center().y() - Theme::em(1.3), box.width() - 16, Theme::em(1.3)),
                name, Qt::AlignCenter);
            drawElided(painter, QRectF(box.left() + 8, box.center().y(), box.width() - 16, Theme::em(1.3)),
                       value, Qt::AlignCenter);
        }
    };
    items.push_back(std::move(item));
}

void Section::addBarrier(std::vector<PictureItem>& items) const {
    const cell::Cell& cell = *m_bench.outcome().cell;
    if (!cell.barrier) {
        return;
    }
    const chemistry::SeparatorMaterial& separator = m_bench.catalogue().separators[cell.barrier->separator];
    const double wide = std::clamp(cell.barrier->thicknessMetres * m_pixelsPerMetre, 4.0, m_gap.width());
    const QRectF box(m_gap.center().x() - wide / 2.0, m_gap.top(), wide, m_gap.height());
    PictureItem item;
    item.id = QStringLiteral("separator");
    item.area = box.adjusted(-5, 0, 5, 0);
    item.role = QAccessible::Button;
    item.name = tr("Separator: %1").arg(q(separator.name));
    item.value = cell.barrier->thicknessMetres > 0.0
                     ? tr("%1 mm").arg(q(wording::numberText(cell.barrier->thicknessMetres * 1e3, 2)))
                     : QString();
    item.tooltip = item.name + QStringLiteral(" ") + item.value;
    item.paint = [=, this, words = item.name](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setPen(QPen(c.faint, 1.0, Qt::DashLine));
        painter.setBrush(QBrush(c.faint, Qt::Dense6Pattern));
        painter.drawRect(box);
        painter.setPen(c.ink);
        painter.setFont(Theme::font(0.9));
        drawElided(painter,
                   QRectF(m_gap.left(), m_gap.bottom() - Theme::em(1.8), m_gap.width(), Theme::em(1.3)),
                   words, Qt::AlignCenter);
    };
    items.push_back(std::move(item));
}

void Section::addHandle(std::vector<PictureItem>& items, const Size& size, const QRectF& label,
                        PictureItem::Drag drag, const std::function<void(QPainter&)>& mark) const {
    PictureItem item;
    item.id = size.id;
    item.area = label;
    item.role = QAccessible::SpinBox;
    item.name = size.name;
    item.value = shown(size);
    item.tooltip = tr("%1: drag, wheel, or press F2 to type").arg(item.name);
    item.drag = drag;
    item.editable = true;
    item.paint = [=, this, text = item.value](QPainter& painter) {
        const Colours& c = m_theme.colours();
        mark(painter);
        painter.setPen(QPen(c.rule, 1.0));
        painter.setBrush(c.sheet);
        painter.drawRoundedRect(label, 4, 4);
        painter.setPen(c.ink);
        painter.setFont(Theme::font(1.0, true));
        drawElided(painter, label, text, Qt::AlignCenter);
    };
    items.push_back(std::move(item));
}

void Section::paintRuler(QPainter& painter) const {
    if (!m_bench.outcome().usable()) {
        return;
    }
    const Colours& c = m_theme.colours();
    const double y = height() - Theme::em(1.3);
    double step = 1e-4;
    while (step * m_pixelsPerMetre < Theme::em(3.0)) {
        step *= std::fmod(std::log10(step) + 10.0, 1.0) < 0.35 ? 2.0 : 2.5;
    }
    painter.setPen(c.faint);
    painter.setFont(Theme::font(0.85));
    const double from = m_negative.left();
    painter.drawLine(QPointF(from, y), QPointF(m_positive.right(), y));
    const cell::Cell& cell = *m_bench.outcome().cell;
    const double thinnest = std::min(cell.electrodes[0].thicknessMetres, cell.electrodes[1].thicknessMetres);
    if (thinnest * m_pixelsPerMetre < kThinnestDrawn) {
        painter.drawText(QRectF(from, y - Theme::em(1.5), width() - from, Theme::em(1.2)), Qt::AlignLeft,
                         tr("electrodes drawn thicker than they are"));
    }
    for (double at = 0.0; from + at * m_pixelsPerMetre <= m_positive.right() + 1; at += step) {
        const double x = from + at * m_pixelsPerMetre;
        painter.drawLine(QPointF(x, y - 4), QPointF(x, y + 4));
        painter.drawText(QRectF(x + 3, y, Theme::em(4.0), Theme::em(1.2)), Qt::AlignLeft,
                         q(wording::numberText(at * 1e3, 3)) +
                             (at == 0.0 ? QStringLiteral(" mm") : QString()));
    }
}

void Section::rebuild() {
    if (!isVisible()) {
        return;
    }
    setFocusColour(m_theme.colours().focus);
    std::vector<PictureItem> items;
    if (m_bench.outcome().usable()) {
        layoutLayers();
        addLiquid(items, cell::Side::Negative);
        if (m_bench.outcome().cell->twoLiquids) {
            addLiquid(items, cell::Side::Positive);
        }
        addBarrier(items);
        addElectrode(items, cell::Side::Negative);
        addElectrode(items, cell::Side::Positive);
        const double tag = Theme::em(5.2);
        const double tall = Theme::em(1.8);
        const Colours& c = m_theme.colours();
        for (const Size& size : sizes()) {
            const bool negative = size.id.startsWith(QLatin1String("negative"));
            const QRectF& box = negative ? m_negative : m_positive;
            if (size.id == QLatin1String("gap")) {
                const double y = m_gap.top() + Theme::em(1.1);
                const QRectF label(std::clamp(m_gap.center().x() - tag / 2, 0.0, width() - tag), y - tall / 2,
                                   tag, tall);
                addHandle(items, size, label, PictureItem::Drag::Horizontal, [=, this](QPainter& painter) {
                    painter.setPen(QPen(c.ink, 1.5));
                    painter.drawLine(QPointF(m_gap.left(), y), QPointF(m_gap.right(), y));
                });
            } else if (size.id.endsWith(QLatin1String("area"))) {
                const double x = negative ? std::max(0.0, box.left() - tag - 12)
                                          : std::min(width() - tag, box.right() + 12);
                const QRectF label(x, box.center().y() - tall / 2, tag, tall);
                addHandle(items, size, label, PictureItem::Drag::Vertical, [=](QPainter& painter) {
                    const double edge = negative ? box.left() - 6 : box.right() + 6;
                    painter.setPen(QPen(c.faint, 1.5));
                    painter.drawLine(QPointF(edge, box.top()), QPointF(edge, box.bottom()));
                });
            } else {
                const double x = negative ? std::max(0.0, box.left() - tag - 12)
                                          : std::min(width() - tag, box.right() + 12);
                const QRectF label(x, box.bottom() - tall, tag, tall);
                addHandle(items, size, label, PictureItem::Drag::Horizontal, [](QPainter&) {});
            }
        }
    }
    setItems(std::move(items));
}

} // namespace anodex::app
