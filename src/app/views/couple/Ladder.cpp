#include "app/views/couple/Ladder.h"

#include "app/views/couple/VoltAxis.h"
#include "app/widgets/Draw.h"
#include "core/pack/OnLoad.h"
#include "wording/ExplainText.h"
#include "wording/PartText.h"
#include "wording/Quantities.h"

#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QString voltsText(double volts) {
    return (volts >= 0 ? QStringLiteral("+") : QString()) +
           q(wording::quantityText(volts, explain::Unit::Volt, base::Interval{0.0, 0.03}));
}

double footHeight() {
    return Theme::em(2.8);
}

constexpr design::Side kSides[] = {design::Side::Negative, design::Side::Positive};

} // namespace

Ladder::Ladder(Workbench& bench, const Theme& theme, QWidget* parent)
    : Picture(tr("Potential ladder"), parent), m_bench(bench), m_theme(theme) {
    setObjectName(QStringLiteral("ladder"));
    onChange(bench, this, Part::Design, &Ladder::rebuild);
    connect(&theme, &Theme::changed, this, &Ladder::rebuild);
    connect(this, &Picture::resized, this, &Ladder::rebuild);
    connect(this, &Picture::shown, this, &Ladder::rebuild);
    setBackdrop([this](QPainter& painter) { paintAxis(painter); });
    connect(this, &Picture::activated, this, [this](const QString& id) {
        const PictureItem* hit = item(id);
        const QPoint at = hit != nullptr ? mapToGlobal(hit->area.center().toPoint()) : QPoint();
        if (id == QLatin1String("foot:0") || id == QLatin1String("foot:1")) {
            emit materialAsked(id.endsWith('0') ? design::Side::Negative : design::Side::Positive, at);
        } else if (hit != nullptr && hit->opens) {
            emit numberAsked(*hit->opens, at);
        }
    });
}

void Ladder::setLoad(const load::Load& load) {
    m_load = load;
    rebuild();
}

void Ladder::setMoment(electrode::Moment moment) {
    m_moment = moment;
    rebuild();
}

void Ladder::findLoad() {
    m_loadAmps = 0.0;
    const Outcome& outcome = m_bench.draft().outcome();
    if (!outcome.usable()) {
        return;
    }
    const cell::Evaluation& e = *outcome.evaluation;
    const double shorted = (m_moment == electrode::Moment::First ? e.first : e.settled).shortCircuitAmps;
    if (m_load.kind == load::Load::Kind::Share) {
        m_loadAmps = m_load.value * shorted;
        return;
    }
    const cell::CompiledCell compiled = cell::compile(*outcome.catalogue, *outcome.cell);
    const cell::Polarisation curve(compiled, *e.contents, m_moment);
    m_loadAmps = pack::ampsOn(curve, shorted, m_load);
}

double Ladder::barHalf() const {
    return std::min(Theme::em(2.6), 0.07 * (width() - voltAxisWidth()));
}
double Ladder::bottom() const {
    return height() - footHeight();
}
double Ladder::yOf(double volts) const {
    const double top = Theme::em(1.2);
    return bottom() - Theme::em(0.6) - (bottom() - Theme::em(0.6) - top) * (volts - m_low) / (m_high - m_low);
}
double Ladder::columnX(design::Side side) const {
    const double room = width() - voltAxisWidth();
    return voltAxisWidth() + room * (side == design::Side::Negative ? 0.30 : 0.71);
}
std::pair<double, double> Ladder::labelSpan(design::Side side) const {
    const double apart = barHalf() + Theme::em(0.9);
    return side == design::Side::Negative ? std::pair(voltAxisWidth() + 6, columnX(side) - apart)
                                          : std::pair(columnX(side) + apart, width() - 4.0);
}
QColor Ladder::colourOf(design::Side side) const {
    return side == design::Side::Negative ? m_theme.colours().negative : m_theme.colours().positive;
}

void Ladder::chooseScale() {
    m_low = 10.0;
    m_high = -10.0;
    for (const cell::SideResult& side : m_bench.draft().outcome().evaluation->sides) {
        const auto include = [&](double volts) {
            m_low = std::min(m_low, volts);
            m_high = std::max(m_high, volts);
        };
        include(side.restVolts);
        for (const cell::CompetingReaction& entry : side.competing) {
            if (entry.equilibriumVolts > -3.5 && entry.equilibriumVolts < 2.5) {
                include(entry.equilibriumVolts);
            }
        }
    }
    const double pad = std::max(0.15, 0.05 * (m_high - m_low));
    m_low -= pad;
    m_high += pad;
}

std::vector<Ladder::Rung> Ladder::rungsOf(design::Side side) const {
    const auto& catalogue = m_bench.catalogue();
    const cell::SideResult& result = m_bench.draft().outcome().evaluation->side(side);
    std::vector<Rung> rungs;
    for (std::size_t i = 0; i < result.competing.size(); ++i) {
        const cell::CompetingReaction& entry = result.competing[i];
        if (entry.equilibriumVolts < m_low || entry.equilibriumVolts > m_high) {
            continue;
        }
        const chemistry::Reaction& reaction = catalogue.reactions[entry.reaction];
        Rung rung;
        rung.side = side;
        rung.index = i;
        rung.volts = entry.equilibriumVolts;
        rung.working = entry.reaction == result.couple.reaction;
        const bool anodic = rung.working        ? result.couple.branch == chemistry::Branch::Anodic
                            : entry.amps == 0.0 ? side == design::Side::Negative
                                                : entry.amps > 0.0;
        rung.name =
            q(wording::deedText(reaction, anodic ? chemistry::Branch::Anodic : chemistry::Branch::Cathodic));
        rung.equation = q(wording::prettyEquation(reaction.equation));
        if (entry.blocked == electrode::Blocked::Film) {
            rung.why = tr("blocked: not at this pH");
        } else if (entry.blocked == electrode::Blocked::NoReactant) {
            rung.why = entry.missing
                           ? tr("blocked: no %1 here")
                                 .arg(q(wording::prettyEquation(catalogue.species[*entry.missing].name)))
                           : tr("blocked: nothing to react");
        }
        rungs.push_back(std::move(rung));
    }
    spreadLabels(rungs);
    return rungs;
}

void Ladder::addRung(std::vector<PictureItem>& items, const Rung& rung) const {
    const double x = columnX(rung.side);
    const double y = yOf(rung.volts);
    const bool left = rung.side == design::Side::Negative;
    const double tall = rung.withSecond ? Theme::em(2.3) : Theme::em(1.15);
    const auto [from, to] = labelSpan(rung.side);
    const double edge = left ? to : from;
    const QRectF label(from, rung.labelY - tall / 2, to - from, tall);
    PictureItem item;
    item.id = QStringLiteral("rung:%1:%2")
                  .arg(static_cast<int>(rung.side))
                  .arg(m_bench.draft().outcome().evaluation->side(rung.side).competing[rung.index].reaction);
    item.area = rung.told ? label : QRectF(x - barHalf(), y - 3, 2 * barHalf(), 6);
    item.role = QAccessible::Button;
    item.name = rung.name;
    item.value = voltsText(rung.volts) + (rung.why.isEmpty() ? QString() : QStringLiteral(", ") + rung.why);
    item.tooltip = rung.name + QStringLiteral("\n") + rung.equation + QStringLiteral("\n") + item.value;
    item.opens = explain::QuantityKey{explain::Quantity::EquilibriumPotential, rung.side, rung.index, 0.0};
    item.paint = [=, this](QPainter& painter) {
        const Colours& c = m_theme.colours();
        const QColor colour = colourOf(rung.side);
        const bool blocked = !rung.why.isEmpty();
        const QRectF bar(x - barHalf(), y - 3, 2 * barHalf(), 6);
        painter.setPen(QPen(blocked ? c.faint : colour, rung.working ? 2.0 : 1.0));
        painter.setBrush(blocked        ? QBrush(c.faint, Qt::BDiagPattern)
                         : rung.working ? QBrush(colour)
                                        : QBrush(c.paper));
        painter.drawRect(bar);
        if (!rung.told) {
            return;
        }
        painter.setPen(QPen(c.rule, 1.0));
        painter.drawLine(QPointF(left ? bar.left() : bar.right(), y), QPointF(edge, rung.labelY));
        const int align = (left ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter;
        painter.setPen(blocked ? c.faint : c.ink);
        painter.setFont(Theme::font(0.95, rung.working));
        const QString volts = voltsText(rung.volts);
        // The number stays whole; the name gives way.
        const double number = QFontMetricsF(painter.font()).horizontalAdvance(volts + QStringLiteral("  "));
        const QRectF line(label.left(), label.top(), label.width(), Theme::em(1.15));
        const QRectF second(label.left(), label.center().y(), label.width(), label.height() / 2);
        painter.drawText(line, align, volts);
        if (rung.nameBelow) {
            painter.setFont(Theme::font(0.9, rung.working));
            drawElided(painter, second, rung.name, align);
            return;
        }
        drawElided(painter, left ? line.adjusted(0, 0, -number, 0) : line.adjusted(number, 0, 0, 0),
                   rung.name, align);
        if (rung.withSecond) {
            painter.setPen(c.faint);
            painter.setFont(Theme::font(0.82));
            drawElided(painter, second, blocked ? rung.why : rung.equation, align);
        }
    };
    items.push_back(std::move(item));
}

void Ladder::addSettled(std::vector<PictureItem>& items, design::Side side) const {
    const double volts = m_bench.draft().outcome().evaluation->side(side).restVolts;
    const double x = columnX(side);
    const double y = yOf(volts);
    PictureItem item;
    item.id = QStringLiteral("settled:%1").arg(static_cast<int>(side));
    item.area = QRectF(x - barHalf() - 4, y - 8, 2 * barHalf() + 8, 16);
    item.role = QAccessible::Button;
    item.name =
        side == design::Side::Negative ? tr("Negative electrode settles") : tr("Positive electrode settles");
    item.value = voltsText(volts);
    item.tooltip = tr("%1 at %2 against hydrogen").arg(item.name, item.value);
    item.opens = explain::QuantityKey{explain::Quantity::RestPotential, side, 0, 0.0};
    std::optional<double> before;
    if (m_bench.draft().ghost() && m_bench.draft().ghost()->usable()) {
        before = m_bench.draft().ghost()->evaluation->side(side).restVolts;
    }
    item.paint = [=, this](QPainter& painter) {
        if (before && std::abs(*before - volts) > 1e-4) {
            painter.setPen(QPen(m_theme.colours().faint, 2.0, Qt::DotLine));
            painter.drawLine(QPointF(x - barHalf(), yOf(*before)), QPointF(x + barHalf(), yOf(*before)));
        }
        painter.setPen(QPen(m_theme.colours().ink, 5.0, Qt::SolidLine, Qt::FlatCap));
        painter.drawLine(QPointF(x - barHalf() - 4, y), QPointF(x + barHalf() + 4, y));
    };
    items.push_back(std::move(item));
}

void Ladder::addBracket(std::vector<PictureItem>& items) const {
    const Outcome& outcome = m_bench.draft().outcome();
    const cell::Evaluation& e = *outcome.evaluation;
    const double x = columnX(design::Side::Negative) + barHalf() + Theme::em(1.2);
    const double from = yOf(e.side(design::Side::Negative).restVolts);
    const double to = yOf(e.side(design::Side::Positive).restVolts);
    PictureItem item;
    item.id = QStringLiteral("openCircuit");
    const std::optional<base::Interval> range =
        outcome.doubt ? std::optional(outcome.doubt->openCircuitVolts) : std::nullopt;
    const QString shown = q(wording::quantityText(e.openCircuitVolts, explain::Unit::Volt, range));
    item.area =
        QRectF(x - Theme::em(0.4), 0.5 * (from + to) - Theme::em(1.6), Theme::em(6.2), Theme::em(3.0));
    item.role = QAccessible::Button;
    item.name = tr("Open circuit");
    item.value = shown;
    item.tooltip = tr("What a meter shows with nothing connected");
    item.opens = explain::QuantityKey{explain::Quantity::OpenCircuitVoltage, {}, 0, 0.0};
    const double farX = columnX(design::Side::Positive) - barHalf() - 4;
    const double nearX = columnX(design::Side::Negative) + barHalf() + 4;
    item.paint = [=, this, area = item.area](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setPen(QPen(c.rule, 1.0));
        painter.drawLine(QPointF(nearX, from), QPointF(farX, from));
        painter.drawLine(QPointF(nearX, to), QPointF(farX, to));
        painter.setPen(QPen(c.ink, 2.0));
        painter.drawLine(QPointF(x, from), QPointF(x, to));
        for (const double y : {from, to}) {
            painter.drawLine(QPointF(x - 5, y), QPointF(x + 5, y));
        }
        const QRectF text = area.adjusted(Theme::em(0.7), 0, 0, 0);
        painter.fillRect(text, c.paper);
        painter.setFont(Theme::font(1.55, true));
        painter.drawText(QRectF(text.left() + 3, text.top(), text.width(), Theme::em(1.8)),
                         Qt::AlignLeft | Qt::AlignVCenter, shown);
        painter.setPen(c.faint);
        painter.setFont(Theme::font(0.9));
        drawElided(painter,
                   QRectF(text.left() + 3, text.top() + Theme::em(1.75), text.width(), Theme::em(1.1)),
                   tr("open circuit"));
    };
    items.push_back(std::move(item));
}

void Ladder::addFoot(std::vector<PictureItem>& items, design::Side side) const {
    const double x = columnX(side);
    const QString material = q(m_bench.draft().design().electrode(side).material.written);
    PictureItem item;
    item.id = QStringLiteral("foot:%1").arg(static_cast<int>(side));
    const double wide = std::min(Theme::em(12.0), 0.38 * (width() - voltAxisWidth()));
    item.area = QRectF(x - wide / 2, bottom() + Theme::em(0.35), wide, Theme::em(2.1));
    item.role = QAccessible::ButtonDropDown;
    item.name = side == design::Side::Negative ? tr("Negative electrode") : tr("Positive electrode");
    item.value = material;
    item.tooltip = tr("%1: %2. Click or Enter to choose another.").arg(item.name, material);
    item.paint = [=, this, area = item.area](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.setPen(QPen(colourOf(side), 2.0));
        painter.setBrush(c.sheet);
        painter.drawRoundedRect(area, 5, 5);
        drawTerminal(painter, {area.left() + Theme::em(1.1), area.center().y()}, Theme::em(0.55),
                     side == design::Side::Positive, c);
        painter.setPen(c.ink);
        painter.setFont(Theme::font(1.1, true));
        drawElided(painter, area.adjusted(Theme::em(2.1), 0, -Theme::em(1.6), 0), material, Qt::AlignCenter);
        const QPointF tip(area.right() - Theme::em(1.0), area.center().y() + 3);
        painter.setPen(Qt::NoPen);
        painter.setBrush(c.faint);
        painter.drawPolygon(QPolygonF({tip + QPointF(-5, -6), tip + QPointF(5, -6), tip}));
    };
    items.push_back(std::move(item));
}

void Ladder::paintAxis(QPainter& painter) const {
    if (!m_bench.draft().outcome().usable()) {
        return;
    }
    const Colours& c = m_theme.colours();
    paintVoltAxis(painter, c, m_low, m_high, width(), [this](double volts) { return yOf(volts); });
    painter.save();
    painter.translate(Theme::em(0.65), bottom());
    painter.rotate(-90);
    painter.setPen(c.faint);
    painter.drawText(QRectF(0, -Theme::em(0.65), Theme::em(16.0), Theme::em(1.2)), Qt::AlignLeft,
                     tr("volts against hydrogen"));
    painter.restore();
}

void Ladder::rebuild() {
    if (!isVisible()) {
        return;
    }
    setFocusColour(m_theme.colours().focus);
    findLoad();
    std::vector<PictureItem> items;
    if (m_bench.draft().outcome().usable()) {
        chooseScale();
        addBracket(items);
        addLoaded(items);
        for (const design::Side side : kSides) {
            for (const Rung& rung : rungsOf(side)) {
                addRung(items, rung);
            }
            addSettled(items, side);
        }
    }
    if (m_bench.selection().revision() != nullptr || m_bench.draft().outcome().usable()) {
        for (const design::Side side : kSides) {
            addFoot(items, side);
        }
    }
    setItems(std::move(items));
    emit rebuilt();
}

} // namespace anodex::app
