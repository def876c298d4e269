#include "app/frame/Rail.h"

#include "app/widgets/Draw.h"
#include "app/widgets/Listed.h"
#include "wording/PartText.h"
#include "wording/Quantities.h"

#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

} // namespace

Rail::Rail(Workbench& bench, const Theme& theme, QWidget* parent)
    : Picture(tr("Verdict"), parent), m_bench(bench), m_theme(theme) {
    setObjectName(QStringLiteral("rail"));
    onChange(bench, this,
             Part::Design | Part::Doubt | Part::Place | Part::Builds | Part::Notes | Part::Runs | Part::File,
             &Rail::rebuild);
    connect(&theme, &Theme::changed, this, &Rail::rebuild);
    connect(this, &Picture::resized, this, &Rail::rebuild);
    setBackdrop([this](QPainter& painter) {
        painter.setPen(m_theme.colours().rule);
        painter.drawLine(0, 0, 0, height());
    });
    connect(this, &Picture::activated, this, [this](const QString& id) {
        const PictureItem* hit = item(id);
        if (id == QLatin1String("fold") || (m_folded && id == QLatin1String("finding"))) {
            setFolded(!m_folded);
            emit folded();
        } else if (hit != nullptr && hit->opens) {
            emit numberAsked(*hit->opens, mapToGlobal(hit->area.center().toPoint()));
        } else if (id == QLatin1String("remedy") && !outcome().findings.empty()) {
            emit remedyAsked(outcome().findings.front());
        } else if (id == QLatin1String("readFinding")) {
            askPage(0);
        } else if (id.startsWith(QLatin1String("finding:"))) {
            askPage(id.section(QLatin1Char(':'), 1).toUInt());
        }
    });
}

void Rail::showBuilt(bool built) {
    if (m_ofBuild != built) {
        m_ofBuild = built;
        rebuild();
    }
}

void Rail::setFolded(bool folded) {
    if (m_folded != folded) {
        m_folded = folded;
        rebuild();
    }
}

const Outcome& Rail::outcome() const {
    return m_ofBuild ? m_bench.draft().builtOutcome() : m_bench.draft().outcome();
}

std::vector<Rail::Row> Rail::rows() const {
    const Outcome& now = outcome();
    const cell::Evaluation& e = *now.evaluation;
    const auto& ghost = m_bench.draft().ghost();
    const bool hasGhost = ghost && ghost->usable() && !m_ofBuild;
    // What was measured on something else than what is shown stays away from it.
    const bool same = &m_bench.draft().builtOutcome() == &now;
    const BuildSummary* build = same ? m_bench.selection().build() : nullptr;
    const auto range = [&](base::Interval cell::Doubt::*member) {
        return now.doubt ? std::optional(*now.doubt.*member) : std::nullopt;
    };
    std::vector<Row> rows;
    const auto add = [&](const char* id, explain::Quantity quantity, double value,
                         std::optional<base::Interval> span, std::optional<double> measured,
                         std::optional<double> before, explain::Unit unit) {
        Row row{QString::fromLatin1(id),
                q(wording::quantityName(quantity)),
                {quantity, {}, 0, 0.0},
                value,
                span,
                measured,
                before,
                {},
                {},
                {}};
        const bool charge = unit == explain::Unit::Coulomb;
        row.valueText =
            q(charge ? wording::chargeText(value, span) : wording::quantityText(value, unit, span));
        if (span) {
            row.rangeText = q(charge ? wording::chargeRangeText(*span) : wording::rangeText(*span, unit));
        }
        row.atLeast = quantity == explain::Quantity::MaximumPower ||
                      (quantity == explain::Quantity::Capacity && build != nullptr && !build->ranDown());
        if (measured) {
            row.measuredText = q(charge                        ? wording::chargeText(*measured)
                                 : unit == explain::Unit::Volt ? wording::numberText(*measured, 4) + "\u00A0V"
                                                               : wording::quantityText(*measured, unit));
        }
        rows.push_back(row);
    };
    const auto before = [&](auto get) {
        return hasGhost ? std::optional<double>(get(*ghost->evaluation)) : std::nullopt;
    };
    const auto reading = [](const std::optional<record::Reading>& r) {
        return r ? std::optional(r->value) : std::nullopt;
    };
    add("openCircuit", explain::Quantity::OpenCircuitVoltage, e.openCircuitVolts,
        range(&cell::Doubt::openCircuitVolts), build != nullptr ? reading(build->openCircuit) : std::nullopt,
        before([](const cell::Evaluation& o) { return o.openCircuitVolts; }), explain::Unit::Volt);
    add("shortCircuit", explain::Quantity::ShortCircuitCurrent, e.first.shortCircuitAmps,
        range(&cell::Doubt::shortCircuitAmps), build != nullptr ? reading(build->shortCircuit) : std::nullopt,
        before([](const cell::Evaluation& o) { return o.first.shortCircuitAmps; }), explain::Unit::Ampere);
    add("maximumPower", explain::Quantity::MaximumPower, e.first.maximumPower.watts,
        range(&cell::Doubt::maximumWatts), build != nullptr ? build->deliveredWatts() : std::nullopt,
        before([](const cell::Evaluation& o) { return o.first.maximumPower.watts; }), explain::Unit::Watt);
    add("capacity", explain::Quantity::Capacity, e.capacity.expectedCoulombs,
        range(&cell::Doubt::expectedCoulombs), build != nullptr ? build->deliveredCoulombs() : std::nullopt,
        before([](const cell::Evaluation& o) { return o.capacity.expectedCoulombs; }),
        explain::Unit::Coulomb);
    add("resistance", explain::Quantity::Resistance, e.resistance.totalOhm,
        range(&cell::Doubt::resistanceOhm), std::nullopt,
        before([](const cell::Evaluation& o) { return o.resistance.totalOhm; }), explain::Unit::Ohm);
    return rows;
}

void Rail::paintRow(QPainter& painter, const Row& row, const QRectF& box) const {
    const Colours& c = m_theme.colours();
    const double line = Theme::em(1.15);
    painter.setPen(c.faint);
    painter.setFont(Theme::font(0.95));
    drawElided(painter, QRectF(box.left(), box.top(), box.width(), line), row.name);
    painter.setPen(c.ink);
    painter.setFont(Theme::font(1.45, true));
    drawElided(painter, QRectF(box.left(), box.top() + line * 0.9, box.width() * 0.55, line * 1.5),
               row.valueText);
    painter.setFont(Theme::font(0.9));
    painter.setPen(c.faint);
    drawElided(painter,
               QRectF(box.left() + box.width() * 0.5, box.top() + line * 1.05, box.width() * 0.5, line * 1.3),
               row.rangeText, Qt::AlignRight | Qt::AlignVCenter);
    // The range bar: from zero (or below) to a quarter above everything shown.
    const double y = box.top() + line * 2.75;
    double low = std::min({0.0, row.value, row.measured.value_or(0.0)});
    double high = std::max({row.value, row.measured.value_or(0.0), row.range ? row.range->high : 0.0, 1e-12});
    low = row.range ? std::min(low, row.range->low) : low;
    const double room = 0.12 * (high - low);
    const auto at = [&](double v) {
        return box.left() + box.width() * std::clamp((v - low) / (high + room - low), 0.0, 1.0);
    };
    painter.setPen(QPen(c.rule, 1.0));
    painter.drawLine(QPointF(box.left(), y), QPointF(box.right(), y));
    if (row.range) {
        painter.setPen(QPen(c.expected, 7.0, Qt::SolidLine, Qt::FlatCap));
        painter.drawLine(QPointF(at(row.range->low), y),
                         QPointF(std::max(at(row.range->high), at(row.range->low) + 2), y));
    }
    if (row.ghost && std::abs(*row.ghost - row.value) > 1e-9 * std::abs(row.value)) {
        painter.setPen(QPen(c.faint, 1.5, Qt::DotLine));
        painter.drawLine(QPointF(at(*row.ghost), y - 8), QPointF(at(*row.ghost), y + 8));
    }
    painter.setPen(QPen(c.ink, 2.0));
    painter.drawLine(QPointF(at(row.value), y - 7), QPointF(at(row.value), y + 7));
    if (row.measured) {
        drawDiamond(painter, {at(*row.measured), y}, 6.0, c.focus, row.atLeast ? Barb::Right : Barb::None);
        painter.setPen(c.focus);
        painter.setFont(Theme::font(0.95, true));
        drawElided(painter, QRectF(box.left(), y + 7, box.width(), line),
                   row.atLeast ? tr("at least %1 so far").arg(row.measuredText)
                               : tr("measured %1").arg(row.measuredText));
    }
}

double Rail::rowHeight(const Row& row) {
    return Theme::em(row.measured ? 5.2 : 4.2);
}

PictureItem Rail::rowItem(const Row& row, const QRectF& area) const {
    PictureItem item;
    item.id = row.id;
    item.area = area;
    item.role = QAccessible::Button;
    item.name = row.name;
    item.value =
        listed({row.valueText, row.rangeText.isEmpty() ? QString() : tr("between %1").arg(row.rangeText),
                !row.measured ? QString()
                : row.atLeast ? tr("at least %1 so far").arg(row.measuredText)
                              : tr("measured %1").arg(row.measuredText)});
    item.tooltip = tr("%1: %2. Click to see how it was found.").arg(item.name, item.value);
    item.opens = row.key;
    return item;
}

double Rail::addRow(std::vector<PictureItem>& items, const Row& row, double y) const {
    const double height = rowHeight(row);
    PictureItem item = rowItem(row, QRectF(Theme::em(0.8), y, width() - Theme::em(1.6), height));
    item.paint = [this, row, box = item.area](QPainter& painter) { paintRow(painter, row, box); };
    items.push_back(std::move(item));
    return y + height;
}

void Rail::fillUnfolded(std::vector<PictureItem>& items) {
    const Outcome& shown = outcome();
    const std::vector<Row> list = rows();
    double tall = Theme::em(2.0);
    for (const Row& row : list) {
        tall += rowHeight(row);
    }
    // A danger must be seen without scrolling: where the rows leave no room below, it stands above them.
    const bool danger =
        !shown.findings.empty() && shown.findings.front().severity == findings::Severity::Danger;
    const bool above = danger && tall + Theme::em(11.5) > parentWidget()->height();
    double y = Theme::em(0.6);
    if (above) {
        y = addFinding(items, y + Theme::em(1.2)) + Theme::em(0.4);
    }
    for (const Row& row : list) {
        y = addRow(items, row, y);
    }
    if (!above) {
        y = addFinding(items, y + Theme::em(0.4));
    }
    items.push_back(foldButton());
    setMinimumHeight(static_cast<int>(y + Theme::em(0.6)));
}

void Rail::rebuild() {
    setFocusColour(m_theme.colours().focus);
    setPaper(m_theme.colours().sheet);
    std::vector<PictureItem> items;
    if (m_folded) {
        fillFolded(items);
    } else if (outcome().usable()) {
        fillUnfolded(items);
    } else {
        PictureItem none;
        none.id = QStringLiteral("none");
        none.area = QRectF(Theme::em(0.8), Theme::em(1.0), width() - Theme::em(1.6), Theme::em(4.0));
        none.name = tr("Expected values stand here as soon as there is a design.");
        none.paint = [this, area = none.area, words = none.name](QPainter& painter) {
            painter.setPen(m_theme.colours().faint);
            drawWrapped(painter, area, words);
        };
        items.push_back(std::move(none));
    }
    setItems(std::move(items));
}

} // namespace anodex::app
