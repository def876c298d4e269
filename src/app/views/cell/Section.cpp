#include "app/views/cell/Section.h"

#include "app/views/cell/AirChoices.h"
#include "app/views/cell/SectionRuler.h"
#include "app/widgets/Draw.h"
#include "app/widgets/Listed.h"
#include "app/widgets/NumberField.h"
#include "wording/Quantities.h"

#include <QPainterPath>
#include <QToolTip>
#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

constexpr double kTag = 5.2; // em: breadth of a number on a handle
constexpr double kTagTall = 1.8;

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
    onChange(bench, this, Part::Design | Part::Place | Part::Builds | Part::Revisions | Part::File,
             &Section::rebuild);
    connect(&theme, &Theme::changed, this, &Section::rebuild);
    connect(this, &Picture::resized, this, &Section::rebuild);
    connect(this, &Picture::shown, this, &Section::rebuild);
    connect(this, &Picture::dragged, this, &Section::drag);
    connect(this, &Picture::stepped, this, &Section::step);
    connect(this, &Picture::editRequested, this, &Section::ask);
    connect(this, &Picture::activated, this, [this](const QString& id) {
        const PictureItem* hit = item(id);
        if (sizeOf(id)) {
            ask(id);
        } else if (hit != nullptr && hit->opens) {
            emit numberAsked(*hit->opens, mapToGlobal(hit->area.center().toPoint()));
        } else if (hit != nullptr && id.startsWith(QLatin1String("findings:"))) {
            QToolTip::showText(mapToGlobal(hit->area.center().toPoint()), hit->tooltip, this);
        } else if (hit != nullptr) {
            emit partAsked(id, mapToGlobal(hit->area.center().toPoint()));
        }
    });
    connect(m_field, &NumberField::typed, this, [this](double value) { set(m_asked, value, false); });
    connect(m_field, &NumberField::committed, this, [this](double value) { set(m_asked, value, true); });
    connect(m_field, &NumberField::cancelled, this, [this] { m_bench.draft().drop(); });
    connect(m_field, &NumberField::unclear, this, &Section::refused);
    connect(m_field, &NumberField::unreadable, this, [this](const QString& text) {
        if (const auto size = sizeOf(m_asked)) {
            emit refused(tr("\"%1\" does not fit %2; right would be a number from %3 to %4")
                             .arg(text, size->name, q(wording::numberText(size->least * size->shownPerSi, 2)),
                                  q(wording::numberText(size->most * size->shownPerSi, 2))));
        }
    });
    setBackdrop([this](QPainter& painter) {
        if (m_bench.draft().outcome().usable()) {
            paintRuler(painter, m_layout, *m_bench.draft().outcome().cell, size(), m_theme.colours().faint);
        }
    });
}

std::vector<SectionSize> Section::sizes() const {
    return m_bench.draft().outcome().usable() ? sizesOf(*m_bench.draft().outcome().cell)
                                              : std::vector<SectionSize>();
}

std::optional<SectionSize> Section::sizeOf(const QString& id) const {
    for (const SectionSize& size : sizes()) {
        if (size.id == id) {
            return size;
        }
    }
    return std::nullopt;
}

void Section::set(const QString& id, double value, bool settle) {
    const auto size = sizeOf(id);
    if (!size) {
        return;
    }
    m_bench.draft().change(
        withSize(m_bench.draft().design(), id, std::clamp(value, size->least, size->most)));
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
    // Pulling outward makes it larger: along the layers for lengths, across them for areas.
    const double along = m_layout.stacked ? distance.y() : distance.x();
    const double across = m_layout.stacked ? distance.x() : -distance.y();
    double strides = along / 160.0;
    if (id.endsWith(QLatin1String("area"))) {
        strides = across / 120.0;
    } else if (id != QLatin1String("gap")) {
        const bool first = sideOf(id) == m_layout.first;
        strides = (first ? -along : along) / 120.0;
    }
    const double wanted = roundedTo3(m_dragFrom * std::exp(strides));
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
        hit->area, size->name, shownSize(*size), size->dimension, 1.0 / size->shownPerSi,
        [least = size->least, most = size->most](double value) { return value >= least && value <= most; });
}

QRectF Section::room(bool stacked) const {
    if (stacked) {
        return {Theme::em(4.8), Theme::em(6.6), width() - Theme::em(11.4), height() - Theme::em(10.4)};
    }
    return {Theme::em(6.5), Theme::em(4.4), width() - Theme::em(13.0), height() - Theme::em(9.0)};
}

/// What else belongs to the electrode: what it lies on, what is mixed in, how thick its coat is.
QStringList Section::besides(const design::Electrode& electrode) const {
    const auto& materials = m_bench.catalogue().materials;
    QStringList text;
    if (const auto& plating = materials[electrode.material].plating) {
        text << tr("coat %1 µm").arg(q(wording::numberText(plating->thicknessMetres.value * 1e6, 2)));
    }
    for (const design::ElectrodeAdditive& additive : electrode.additives) {
        text << tr("with %1 g %2")
                    .arg(q(wording::numberText(additive.massKg * 1e3, 2)),
                         q(materials[additive.material].name));
    }
    if (electrode.collector) {
        text << tr("on %1").arg(q(materials[*electrode.collector].name));
    }
    return text;
}

void Section::addElectrode(std::vector<PictureItem>& items, design::Side side) const {
    const bool negative = side == design::Side::Negative;
    const QRectF box = m_layout.box(side);
    const design::Electrode& electrode = m_bench.draft().outcome().cell->electrode(side);
    const QString material = q(m_bench.catalogue().materials[electrode.material].name);
    PictureItem item;
    item.id = negative ? QStringLiteral("negative") : QStringLiteral("positive");
    item.area = m_layout.stacked ? box.adjusted(0, -6, 0, 6) : box.adjusted(-6, 0, 6, 0);
    item.role = QAccessible::Button;
    item.name =
        negative ? tr("Negative electrode: %1").arg(material) : tr("Positive electrode: %1").arg(material);
    QStringList value = {tr("%1 g").arg(q(wording::numberText(electrode.massKg * 1e3, 3))),
                         airWords(m_bench.catalogue(), electrode)};
    if (const BuildSummary* build = m_bench.selection().build(); build != nullptr) {
        const auto& weighed = build->build.asBuilt.electrode(side).measuredMassKg;
        if (weighed && weighed != m_bench.draft().design().electrode(side).measuredMassKg) {
            value << tr("built %1 g").arg(q(wording::numberText(*weighed * 1e3, 3)));
        }
    }
    item.value = listed(value + besides(electrode));
    item.tooltip = item.name + QStringLiteral("\n") + item.value + QStringLiteral("\n") +
                   tr("Click for air and other choices.");
    const QRectF behind = m_layout.behind(side);
    const QRectF caption = negative
                               ? QRectF(2, Theme::em(0.2), width() / 2.0 - 4, Theme::em(2.6))
                               : QRectF(width() / 2.0, Theme::em(0.2), width() / 2.0 - 4, Theme::em(2.6));
    item.paint = [=, this, value = item.value](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setPen(QPen(c.ink, 1.0));
        painter.setBrush(negative ? c.negative : c.positive);
        painter.drawRect(box);
        if (electrode.collector) {
            painter.setBrush(QBrush(c.ink, Qt::BDiagPattern));
            painter.drawRect(behind);
        }
        if (electrode.air == design::Air::Breathing && electrode.openShare < 1.0) {
            paintWall(painter, side, electrode.openShare);
        }
        paintLead(painter, side);
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
    item.covers = box;
    const QRectF mass(caption.left(), caption.top() + Theme::em(1.25), caption.width() / 2, Theme::em(1.2));
    const PictureItem named = item;
    items.push_back(std::move(item));
    addFacts(items, named.id + QStringLiteral(".mass"), named,
             negative ? mass : mass.translated(caption.width() / 2, 0), explain::Quantity::ElectrodeMass,
             side);
}

void Section::addFacts(std::vector<PictureItem>& items, const QString& id, const PictureItem& of,
                       const QRectF& area, explain::Quantity quantity, design::Side side) {
    PictureItem facts;
    facts.id = id;
    facts.area = area;
    facts.role = QAccessible::Button;
    facts.name = tr("How it was found: %1").arg(of.name);
    facts.value = of.value;
    facts.tooltip = facts.name + QStringLiteral("\n") + of.value;
    facts.opens = explain::QuantityKey{quantity, side, 0, 0.0};
    items.push_back(std::move(facts));
}

/// A wall before the breathing face, pierced as often as the holes ask.
void Section::paintWall(QPainter& painter, design::Side side, double openShare) const {
    const QRectF wall = m_layout.wall(side);
    const bool level = wall.width() > wall.height();
    const double length = level ? wall.width() : wall.height();
    const double hole = std::clamp(openShare * Theme::em(2.0), 2.0, Theme::em(1.5));
    const double pitch = std::min(hole / openShare, length);
    painter.fillRect(wall, m_theme.colours().faint);
    for (double at = 0.5 * (pitch - hole); at + hole <= length; at += pitch) {
        painter.fillRect(level ? QRectF(wall.left() + at, wall.top(), hole, wall.height())
                               : QRectF(wall.left(), wall.top() + at, wall.width(), hole),
                         m_theme.colours().sheet);
    }
}

double Section::leadX(design::Side side) const {
    const double inset = Theme::em(1.2);
    return !m_layout.stacked                ? m_layout.box(side).center().x()
           : side == design::Side::Negative ? m_layout.gap.left() + inset
                                            : m_layout.gap.right() - inset;
}

void Section::paintLead(QPainter& painter, design::Side side) const {
    const Colours& c = m_theme.colours();
    const bool negative = side == design::Side::Negative;
    const QRectF& box = m_layout.box(side);
    const double x = leadX(side);
    // Where liquids lie in layers the wire comes down along the wall and turns in to a smaller electrode.
    const double end = std::clamp(x, box.left(), box.right());
    const double foot = end == x ? box.top() : box.center().y();
    QPainterPath wire(QPointF(x, Theme::em(3.6)));
    wire.lineTo(x, foot);
    wire.lineTo(end, foot);
    painter.setBrush(Qt::NoBrush);
    if (m_layout.stacked) {
        painter.setPen(QPen(c.sheet, 7.0)); // the insulation, where the wire crosses the liquids
        painter.drawPath(wire);
    }
    painter.setPen(QPen(negative ? c.negative : c.positive, 2.5));
    painter.drawPath(wire);
    drawTerminal(painter, {x, Theme::em(3.6)}, Theme::em(0.6), !negative, c);
}

void Section::addHandle(std::vector<PictureItem>& items, const SectionSize& size, const QRectF& label,
                        PictureItem::Drag drag, const std::function<void(QPainter&)>& mark) const {
    PictureItem item;
    item.id = size.id;
    item.area = label;
    item.role = QAccessible::SpinBox;
    item.name = size.name;
    item.value = shownSize(size);
    item.tooltip = tr("%1: drag, wheel, or press F2 to type").arg(item.name);
    item.drag = drag;
    item.editable = true;
    const QString built = asBuilt(size);
    item.paint = [=, this, text = item.value](QPainter& painter) {
        const Colours& c = m_theme.colours();
        mark(painter);
        painter.setPen(QPen(c.rule, 1.0));
        painter.setBrush(c.sheet);
        painter.drawRoundedRect(label, 4, 4);
        painter.setPen(c.ink);
        painter.setFont(Theme::font(1.0, true));
        drawElided(painter, label, text, Qt::AlignCenter);
        if (!built.isEmpty()) {
            painter.setPen(c.focus);
            painter.setFont(Theme::font(0.9, true));
            drawWords(painter, QRectF(label.left(), label.bottom() + 1, label.width(), Theme::em(1.2)), built,
                      Qt::AlignCenter);
        }
    };
    items.push_back(std::move(item));
}

/// What the build at hand has where the design says otherwise.
QString Section::asBuilt(const SectionSize& size) const {
    const BuildSummary* build = m_bench.selection().build();
    if (build == nullptr || size.id != QLatin1String("gap") || !build->build.asBuilt.gapMetres ||
        build->build.asBuilt.gapMetres == m_bench.draft().design().gapMetres) {
        return {};
    }
    return tr("built %1 mm").arg(q(wording::numberText(*build->build.asBuilt.gapMetres * 1e3, 3)));
}

void Section::addGapHandle(std::vector<PictureItem>& items, const SectionSize& size) const {
    const QRectF gap = m_layout.gap;
    const double tag = Theme::em(kTag);
    const double tall = Theme::em(kTagTall);
    if (m_layout.stacked) {
        const double x = gap.right() + Theme::em(0.7);
        const QRectF label(std::min(x + 6, width() - tag), gap.center().y() - tall / 2, tag, tall);
        addHandle(items, size, label, PictureItem::Drag::Vertical, [=, this](QPainter& painter) {
            painter.setPen(QPen(m_theme.colours().ink, 1.5));
            painter.drawLine(QPointF(x, gap.top()), QPointF(x, gap.bottom()));
        });
        return;
    }
    const double y = gap.top() + Theme::em(1.1);
    const QRectF label(std::clamp(gap.center().x() - tag / 2, 0.0, width() - tag), y - tall / 2, tag, tall);
    addHandle(items, size, label, PictureItem::Drag::Horizontal, [=, this](QPainter& painter) {
        painter.setPen(QPen(m_theme.colours().ink, 1.5));
        painter.drawLine(QPointF(gap.left(), y), QPointF(gap.right(), y));
    });
}

void Section::addElectrodeHandle(std::vector<PictureItem>& items, const SectionSize& size) const {
    const design::Side side = sideOf(size.id);
    const QRectF box = m_layout.box(side);
    const bool first = side == m_layout.first;
    const bool area = size.id.endsWith(QLatin1String("area"));
    const double tag = Theme::em(kTag);
    const double tall = Theme::em(kTagTall);
    const auto edge = [=, this](QPainter& painter) {
        painter.setPen(QPen(m_theme.colours().faint, 1.5));
        if (m_layout.stacked) {
            const double y = first ? box.top() - 6 : box.bottom() + 6;
            painter.drawLine(QPointF(box.left(), y), QPointF(box.right(), y));
        } else {
            const double x = first ? box.left() - 6 : box.right() + 6;
            painter.drawLine(QPointF(x, box.top()), QPointF(x, box.bottom()));
        }
    };
    QRectF label(0, 0, tag, tall);
    if (m_layout.stacked) {
        label.moveCenter(box.center());
        if (area) {
            label.moveTop(first ? box.top() - 6 - tall : box.bottom() + 6);
        } else {
            label.moveLeft(std::min(width() - tag, box.right() + 12));
        }
    } else {
        label.moveLeft(first ? std::max(0.0, box.left() - tag - 12)
                             : std::min(width() - tag, box.right() + 12));
        label.moveTop(area ? box.center().y() - tall / 2 : box.bottom() - tall);
    }
    const bool vertical = area != m_layout.stacked;
    addHandle(
        items, size, label, vertical ? PictureItem::Drag::Vertical : PictureItem::Drag::Horizontal,
        area ? std::function<void(QPainter&)>(edge) : [](QPainter&) {});
}

void Section::rebuild() {
    if (!isVisible()) {
        return;
    }
    setFocusColour(m_theme.colours().focus);
    std::vector<PictureItem> items;
    if (m_bench.draft().outcome().usable()) {
        const design::Cell& cell = *m_bench.draft().outcome().cell;
        const double kept = m_dragging ? m_layout.pixelsPerMetre : 0.0;
        const bool stacked = isStacked(m_bench.catalogue(), cell);
        m_layout = layoutSection(m_bench.catalogue(), cell, *m_bench.draft().outcome().evaluation->contents,
                                 room(stacked), kept);
        addLiquid(items, design::Side::Negative);
        if (cell.twoLiquids) {
            addLiquid(items, design::Side::Positive);
        }
        addBarrier(items);
        addLiquidFacts(items, design::Side::Negative);
        if (cell.twoLiquids) {
            addLiquidFacts(items, design::Side::Positive);
        }
        addElectrode(items, design::Side::Negative);
        addElectrode(items, design::Side::Positive);
        for (const SectionSize& size : sizes()) {
            if (size.id == QLatin1String("gap")) {
                addGapHandle(items, size);
            } else {
                addElectrodeHandle(items, size);
            }
        }
        addFindings(items);
    }
    setItems(std::move(items));
}

} // namespace anodex::app
