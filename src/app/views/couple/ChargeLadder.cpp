#include "app/views/couple/ChargeLadder.h"

#include "app/views/couple/ChargeWindow.h"
#include "app/views/couple/VoltAxis.h"
#include "app/widgets/Draw.h"
#include "app/widgets/Listed.h"
#include "core/base/Fault.h"
#include "wording/ChargeText.h"
#include "wording/ExplainText.h"
#include "wording/PartText.h"
#include "wording/Quantities.h"

#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

constexpr design::Side kSides[] = {design::Side::Negative, design::Side::Positive};
constexpr int kPauseMilliseconds = 120;
constexpr int kSamples = 100;
constexpr double kWorthDrawing = 0.005; // of the current

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

QString volts(double value) {
    return q(wording::quantityText(value, explain::Unit::Volt, base::Interval{0.0, 0.03}));
}

QString percent(double share) {
    return share > 0.995 ? QStringLiteral("100\u00A0%")
                         : QStringLiteral("%1\u00A0%").arg(q(wording::numberText(share * 100.0, 2)));
}

QFont factFont() {
    return Theme::font(0.92);
}

/// Of one fact under the answer, on as many lines as it takes.
double factHeight(const QString& fact, double wide) {
    return std::max(Theme::em(1.25), wrappedHeight(fact, wide, factFont()));
}

/// No range where the model cannot work it out; the value itself stands.
std::optional<base::Interval> rangeOrNone(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                          const cell::Evaluation& evaluation,
                                          const charge::Charging& charging, const std::stop_token& stop) {
    try {
        return charge::chargeVoltsDoubt(catalogue, cell, evaluation, charging, charging.asked->point.amps,
                                        kSamples, stop);
    } catch (const base::Fault&) {
        return std::nullopt;
    }
}

} // namespace

ChargeLadder::ChargeLadder(Workbench& bench, const Theme& theme, QWidget* parent)
    : Picture(tr("Potential ladder on charge"), parent), m_bench(bench), m_theme(theme),
      m_work(kPauseMilliseconds) {
    setObjectName(QStringLiteral("chargeLadder"));
    onChange(bench, this, Part::Design, &ChargeLadder::beginAgain);
    connect(&theme, &Theme::changed, this, &ChargeLadder::rebuild);
    connect(this, &Picture::resized, this, &ChargeLadder::rebuild);
    connect(this, &Picture::shown, this, &ChargeLadder::rebuild);
    setBackdrop([this](QPainter& painter) { paintAxis(painter); });
}

void ChargeLadder::setShare(double share) {
    m_share = std::clamp(share, 0.0, 1.0);
    rebuild();
}

/// The design or its catalogue is another one.
void ChargeLadder::beginAgain() {
    m_unasked.reset();
    rebuild();
}

void ChargeLadder::startAnew() {
    m_share.reset();
    rebuild();
}

double ChargeLadder::amps() const {
    return m_charging && m_charging->asked ? m_charging->asked->point.amps : 0.0;
}

/// From a thousandth of the fastest good charge to three times that; where nothing is stored, about what the
/// plates would be asked with.
std::pair<double, double> ChargeLadder::ampsRange() const {
    const double most = m_unasked->best ? 3.0 * m_unasked->best->amps : 10.0 * m_unasked->gentle.point.amps;
    return {1e-3 * most, most};
}

void ChargeLadder::compute() {
    m_charging.reset();
    if (!m_bench.draft().outcome().usable()) {
        return;
    }
    design::Cell cell = *m_bench.draft().outcome().cell;
    const cell::Evaluation& evaluation = *m_bench.draft().outcome().evaluation;
    cell.charge.reset();
    if (!m_unasked) {
        m_unasked = charge::chargingOf(m_bench.catalogue(), cell, evaluation);
    }
    const auto [least, most] = ampsRange();
    if (!m_share) {
        const auto& planned = m_bench.draft().design().charge;
        const double amps = planned && planned->amps ? *planned->amps : m_unasked->gentle.point.amps;
        m_share = std::clamp(std::log(amps / least) / std::log(most / least), 0.0, 1.0);
    }
    cell.charge = design::ChargeDesign{least * std::pow(most / least, *m_share), std::nullopt};
    m_charging = charge::chargingOf(m_bench.catalogue(), cell, evaluation);
}

bool ChargeLadder::isPlus(design::Side side) const {
    return (side == design::Side::Positive) != m_charging->reversed;
}
double ChargeLadder::top() const {
    return Theme::em(6.0);
}
double ChargeLadder::barHalf() const {
    return std::min(Theme::em(2.6), 0.07 * (width() - voltAxisWidth()));
}
double ChargeLadder::yOf(double value) const {
    const double bottom = height() - Theme::em(0.8);
    return bottom - (bottom - top()) * (value - m_low) / (m_high - m_low);
}
double ChargeLadder::columnX(design::Side side) const {
    return voltAxisWidth() + (width() - voltAxisWidth()) * (side == design::Side::Negative ? 0.30 : 0.71);
}
QColor ChargeLadder::colourOf(design::Side side) const {
    return side == design::Side::Negative ? m_theme.colours().negative : m_theme.colours().positive;
}

std::vector<ChargeLadder::Rung> ChargeLadder::rungsOf(design::Side side) const {
    std::vector<Rung> rungs;
    for (const charge::ChargeReaction& reaction :
         m_charging->asked->reactions[static_cast<std::size_t>(side)]) {
        const double share = amps() > 0.0 ? reaction.amps / amps() : 0.0;
        if (share >= kWorthDrawing) {
            rungs.push_back({side, reaction, reaction.equilibriumVolts, 0.0, std::min(share, 1.0)});
        }
    }
    std::sort(rungs.begin(), rungs.end(), [](const Rung& a, const Rung& b) { return a.volts > b.volts; });
    return rungs;
}

void ChargeLadder::chooseScale(const std::vector<Rung>& rungs) {
    m_low = 10.0;
    m_high = -10.0;
    const auto include = [this](double value) {
        m_low = std::min(m_low, value);
        m_high = std::max(m_high, value);
    };
    for (const Rung& rung : rungs) {
        include(rung.volts);
    }
    for (const design::Side side : kSides) {
        const auto index = static_cast<std::size_t>(side);
        include(m_charging->asked->point.potentialVolts[index]);
        include(m_charging->restPotentialVolts[index]);
        if (m_charging->best) {
            include(m_charging->best->potentialVolts[index]);
        }
    }
    const double pad = std::max(0.15, 0.06 * (m_high - m_low));
    m_low -= pad;
    m_high += pad;
}

void ChargeLadder::addRung(std::vector<PictureItem>& items, const Rung& rung) const {
    const chemistry::Reaction& law = m_bench.catalogue().reactions[rung.reaction.reaction];
    const double x = columnX(rung.side);
    const double y = yOf(rung.volts);
    const bool left = rung.side == design::Side::Negative;
    const double edge = left ? x - barHalf() - Theme::em(0.9) : x + barHalf() + Theme::em(0.9);
    const QRectF label =
        left ? QRectF(voltAxisWidth() + 6, rung.labelY - Theme::em(1.15), edge - voltAxisWidth() - 6,
                      Theme::em(2.3))
             : QRectF(edge, rung.labelY - Theme::em(1.15), width() - edge - 4, Theme::em(2.3));
    const bool kept = rung.reaction.fate != charge::Fate::Lost;
    const QString fate = q(wording::fateText(rung.reaction.fate));
    PictureItem item;
    item.id = QStringLiteral("charge:%1:%2").arg(static_cast<int>(rung.side)).arg(rung.reaction.reaction);
    item.area = label;
    item.role = QAccessible::StaticText;
    item.name = q(wording::deedText(law, branchAt(rung.side)));
    item.value = tr("%1 of the current, %2").arg(percent(rung.share), fate);
    item.tooltip = item.name + QStringLiteral("\n") + q(wording::prettyEquation(law.equation)) +
                   QStringLiteral("\n") + item.value;
    item.paint = [=, this, name = item.name](QPainter& painter) {
        const Colours& c = m_theme.colours();
        const QColor colour = colourOf(rung.side);
        const QRectF bar(x - barHalf(), y - 4, 2 * barHalf(), 8);
        painter.setPen(QPen(kept ? colour : c.danger, 1.0));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(bar);
        painter.fillRect(QRectF(bar.left(), bar.top(), bar.width() * rung.share, bar.height()),
                         kept ? QBrush(colour) : QBrush(c.danger, Qt::BDiagPattern));
        painter.setPen(QPen(c.rule, 1.0));
        painter.drawLine(QPointF(left ? bar.left() : bar.right(), y), QPointF(edge, rung.labelY));
        const int align = (left ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter;
        painter.setPen(c.ink);
        painter.setFont(Theme::font(0.95, rung.share > 0.5));
        drawElided(painter, QRectF(label.left(), label.top(), label.width(), Theme::em(1.15)), name, align);
        painter.setPen(kept ? c.faint : c.danger);
        painter.setFont(Theme::font(0.85));
        drawElided(painter, QRectF(label.left(), label.center().y(), label.width(), Theme::em(1.15)),
                   tr("%1 %2").arg(percent(rung.share), fate), align);
    };
    items.push_back(std::move(item));
}

void ChargeLadder::addColumn(std::vector<PictureItem>& items, design::Side side) const {
    const auto index = static_cast<std::size_t>(side);
    const double x = columnX(side);
    const double rest = m_charging->restPotentialVolts[index];
    const double now = m_charging->asked->point.potentialVolts[index];
    const std::optional<double> farthest =
        m_charging->best ? std::optional(m_charging->best->potentialVolts[index]) : std::nullopt;
    const std::optional<double> nearest =
        m_charging->least ? std::optional(m_charging->least->potentialVolts[index]) : std::nullopt;
    PictureItem item;
    item.id = QStringLiteral("sits:%1").arg(index);
    const double y = yOf(now);
    item.area = QRectF(x - barHalf() - 6, y - 8, 2 * barHalf() + 12, 16);
    item.role = QAccessible::StaticText;
    item.name =
        side == design::Side::Negative ? tr("Negative electrode sits") : tr("Positive electrode sits");
    item.value = volts(now);
    item.tooltip = tr("%1 at %2 against hydrogen while it is charged, at %3 at rest")
                       .arg(item.name, item.value, volts(rest));
    item.paint = [=, this](QPainter& painter) {
        const Colours& c = m_theme.colours();
        if (nearest && farthest) {
            QColor pale = c.expected;
            pale.setAlpha(90);
            const double from = std::min(yOf(*nearest), yOf(*farthest));
            painter.fillRect(QRectF(x - barHalf() - 6, from, 2 * barHalf() + 12,
                                    std::max(std::abs(yOf(*nearest) - yOf(*farthest)), 2.0)),
                             pale);
        }
        painter.setPen(QPen(c.faint, 2.0, Qt::DotLine));
        painter.drawLine(QPointF(x - barHalf() - 6, yOf(rest)), QPointF(x + barHalf() + 6, yOf(rest)));
        painter.setPen(QPen(c.ink, 5.0, Qt::SolidLine, Qt::FlatCap));
        painter.drawLine(QPointF(x - barHalf() - 6, y), QPointF(x + barHalf() + 6, y));
    };
    items.push_back(std::move(item));
}

QString ChargeLadder::instead() const {
    QStringList what;
    for (const design::Side side : kSides) {
        const auto& reactions = m_charging->asked->reactions[static_cast<std::size_t>(side)];
        const auto first =
            std::find_if(reactions.begin(), reactions.end(),
                         [](const charge::ChargeReaction& r) { return r.fate == charge::Fate::Lost; });
        if (first != reactions.end() && first->amps > 0.0) {
            const chemistry::Reaction& law = m_bench.catalogue().reactions[first->reaction];
            what << q(wording::deedText(law, branchAt(side)));
        }
    }
    return listed(what);
}

/// In the middle: the voltage the supply has to reach, how much of the current is kept, where to stop.
void ChargeLadder::addAnswer(std::vector<PictureItem>& items) const {
    const double from = columnX(design::Side::Negative) + barHalf() + Theme::em(1.0);
    const double wide = columnX(design::Side::Positive) - barHalf() - Theme::em(1.0) - from;
    const charge::ChargeDetail& asked = *m_charging->asked;
    QStringList lines;
    if (m_charging->possible) {
        lines << (m_range ? tr("range %1").arg(q(wording::rangeText(*m_range, explain::Unit::Volt)))
                          : tr("range to come …"))
              << tr("window %1 to %2").arg(volts(m_charging->least->volts), volts(m_charging->best->volts))
              << tr("fastest %1: %2")
                     .arg(q(wording::quantityText(m_charging->best->amps, explain::Unit::Ampere)),
                          q(wording::chargeLimitText(m_charging->bestLimit)))
              << tr("at rest %1, %2")
                     .arg(volts(m_charging->restVolts), q(wording::chargeStateText(m_charging->state)));
        if (asked.fullVolts) {
            lines << tr("full when it shows %1").arg(volts(*asked.fullVolts));
        }
    } else {
        lines << tr("instead: %1").arg(instead());
    }
    // Whole lines as far as there is room; pointing at the answer tells all of them.
    QStringList shown;
    double foot = top() + Theme::em(3.1);
    for (const QString& line : lines) {
        if (!shown.empty() && foot + factHeight(line, wide) > height()) {
            break;
        }
        foot += factHeight(line, wide);
        shown << line;
    }
    PictureItem item;
    item.id = QStringLiteral("answer");
    item.area = QRectF(from, top() - Theme::em(0.5), wide, foot - top() + Theme::em(0.5));
    item.role = QAccessible::StaticText;
    const QString head =
        m_charging->possible ? tr("%1 on charge").arg(volts(asked.point.volts)) : tr("Cannot be charged");
    const QString brief = m_charging->possible ? volts(asked.point.volts) : tr("No charge");
    const QString kept = m_charging->possible ? tr("%1 of it stored").arg(percent(asked.point.efficiency))
                                              : tr("nothing is stored");
    item.name = head;
    item.value = kept + QStringLiteral("; ") + lines.join(QStringLiteral("; "));
    item.tooltip =
        item.name + QStringLiteral("\n") + kept + QStringLiteral("\n") + lines.join(QStringLiteral("\n"));
    item.paint = [=, this, area = item.area](QPainter& painter) {
        const Colours& c = m_theme.colours();
        painter.fillRect(area, c.paper);
        double y = area.top();
        painter.setPen(m_charging->possible ? c.ink : c.danger);
        painter.setFont(Theme::font(1.45, true));
        const bool fits = QFontMetricsF(painter.font()).horizontalAdvance(head) <= area.width();
        drawElided(painter, QRectF(area.left(), y, area.width(), Theme::em(1.8)), fits ? head : brief,
                   Qt::AlignCenter);
        y += Theme::em(1.9);
        const bool poor = asked.point.efficiency < 0.8;
        painter.setPen(poor ? c.danger : c.ink);
        painter.setFont(Theme::font(1.0, true));
        drawElided(painter, QRectF(area.left(), y, area.width(), Theme::em(1.25)), kept, Qt::AlignCenter);
        y += Theme::em(1.45);
        painter.setPen(c.faint);
        painter.setFont(factFont());
        for (const QString& line : shown) {
            const double tall = factHeight(line, area.width());
            drawWrapped(painter, QRectF(area.left(), y, area.width(), tall), line, Qt::AlignCenter);
            y += tall;
        }
    };
    const QRectF rest(from, item.area.bottom() + Theme::em(0.6), wide,
                      height() - Theme::em(0.8) - item.area.bottom() - Theme::em(0.6));
    items.push_back(std::move(item));
    constexpr double kLeastLines = 6.0; // below that a curve says nothing
    if (m_charging->possible && rest.height() > Theme::em(kLeastLines)) {
        items.push_back(chargeWindowItem(rest, *m_charging, m_theme));
    }
}

void ChargeLadder::paintAxis(QPainter& painter) const {
    if (!m_charging) {
        return;
    }
    const Colours& c = m_theme.colours();
    paintVoltAxis(painter, c, m_low, m_high, width(), [this](double volts) { return yOf(volts); });
}

void ChargeLadder::rebuild() {
    if (!isVisible()) {
        return;
    }
    compute();
    seekRange();
    draw();
}

void ChargeLadder::seekRange() {
    m_range.reset();
    if (!m_charging || !m_charging->possible) {
        m_work.cancel();
        return;
    }
    m_work.request([this, catalogue = m_bench.draft().outcome().catalogue,
                    cell = *m_bench.draft().outcome().cell,
                    evaluation = *m_bench.draft().outcome().evaluation,
                    charging = *m_charging](const std::stop_token& stop, const Aside::Tell& tell) {
        const auto range = rangeOrNone(*catalogue, cell, evaluation, charging, stop);
        if (range) {
            tell([this, found = *range] {
                m_range = found;
                draw();
            });
        }
    });
}

void ChargeLadder::draw() {
    setFocusColour(m_theme.colours().focus);
    std::vector<PictureItem> items;
    if (m_charging) {
        std::vector<std::vector<Rung>> columns;
        std::vector<Rung> all;
        for (const design::Side side : kSides) {
            columns.push_back(rungsOf(side));
            all.insert(all.end(), columns.back().begin(), columns.back().end());
        }
        chooseScale(all);
        addAnswer(items);
        addSupply(items);
        for (const design::Side side : kSides) {
            double next = top();
            for (Rung& rung : columns[static_cast<std::size_t>(side)]) {
                rung.labelY = std::max(yOf(rung.volts), next);
                next = rung.labelY + Theme::em(2.5);
                addRung(items, rung);
            }
            addColumn(items, side);
        }
    }
    setItems(std::move(items));
    emit rebuilt();
}

} // namespace anodex::app
