#include "app/views/judge/Ledger.h"

#include "app/widgets/Draw.h"
#include "app/widgets/Listed.h"
#include "core/record/Expect.h"
#include "core/run/ExplainRun.h"
#include "wording/Quantities.h"

#include <algorithm>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

} // namespace

Ledger::Ledger(Workbench& bench, const Theme& theme, QWidget* parent)
    : Picture(tr("Expected beside measured"), parent), m_bench(bench), m_theme(theme) {
    setObjectName(QStringLiteral("ledger"));
    connect(this, &Picture::resized, this, &Ledger::rebuild);
    connect(this, &Picture::shown, this, &Ledger::rebuild);
    connect(&theme, &Theme::changed, this, &Ledger::rebuild);
    connect(this, &Picture::activated, this, [this](const QString& id) {
        const PictureItem* hit = item(id);
        const run::RunAnalysis* run =
            m_bench.selection().build() != nullptr ? m_bench.selection().build()->mainRun() : nullptr;
        if (hit != nullptr && id == QLatin1String("energy") && run != nullptr) {
            emit explanationAsked(hit->name, run::explainEnergy(*run),
                                  mapToGlobal(hit->area.center().toPoint()));
        } else if (hit != nullptr && hit->opens) {
            emit numberAsked(*hit->opens, mapToGlobal(hit->area.center().toPoint()));
        }
    });
}

std::vector<Ledger::Row> Ledger::rows() const {
    const BuildSummary& build = *m_bench.selection().build();
    const record::Expectation& expectation = build.build.expectation;
    const run::RunAnalysis* run = build.mainRun();
    std::vector<Row> rows;
    const auto add = [&](const char* id, const QString& name, const std::optional<record::Expected>& expected,
                         std::optional<double> measured, explain::Unit unit,
                         const explain::QuantityKey& key) {
        Row row{QString::fromLatin1(id), name, {}, {}, measured, {}, {}, key};
        const bool charge = unit == explain::Unit::Coulomb;
        if (expected) {
            row.expected = expected->value;
            const bool ranged = expected->range.width() > 0.0;
            row.range = ranged ? std::optional(expected->range) : std::nullopt;
            row.expectedText = q(charge ? wording::chargeText(expected->value, row.range)
                                        : wording::quantityText(expected->value, unit, row.range));
        }
        row.atLeast = key.quantity == explain::Quantity::MaximumPower ||
                      (key.quantity == explain::Quantity::Capacity && !build.ranDown());
        if (measured) {
            row.measuredText = (row.atLeast ? QStringLiteral("≥ ") : QString()) +
                               q(charge ? wording::chargeText(*measured)
                                 : key.quantity == explain::Quantity::OpenCircuitVoltage
                                     ? wording::numberText(*measured, 4) + "\u00A0V"
                                     : wording::quantityText(*measured, unit));
        }
        rows.push_back(std::move(row));
    };
    const auto reading = [](const std::optional<record::Reading>& r) {
        return r ? std::optional(r->value) : std::nullopt;
    };
    add("openCircuit", tr("open circuit"), expectation.openCircuitVolts, reading(build.openCircuit),
        explain::Unit::Volt, {explain::Quantity::OpenCircuitVoltage, {}, 0, 0.0});
    add("shortCircuit", tr("short circuit"), expectation.shortCircuitAmps, reading(build.shortCircuit),
        explain::Unit::Ampere, {explain::Quantity::ShortCircuitCurrent, {}, 0, 0.0});
    if (build.loaded) {
        const auto onLoad = record::expectedOnLoad(expectation, m_bench.catalogue(), *build.loaded);
        const QString load = build.loaded->loadOhm
                                 ? q(wording::quantityText(*build.loaded->loadOhm, explain::Unit::Ohm))
                                 : q(build.loaded->device->name);
        add("onLoad", build.loaded->loadOhm ? tr("through %1").arg(load) : tr("on the %1").arg(load),
            onLoad ? std::optional(onLoad->volts) : std::nullopt, build.loaded->value, explain::Unit::Volt,
            {explain::Quantity::LoadedVoltage, {}, 0, onLoad ? onLoad->amps : 0.0});
    }
    if (run != nullptr && run->loadedAmps > 0.0) {
        add("loaded",
            tr("under load, %1").arg(q(wording::quantityText(run->loadedAmps, explain::Unit::Ampere))),
            record::expectedLoadedVolts(expectation, run->loadedAmps), run->loadedVolts, explain::Unit::Volt,
            {explain::Quantity::LoadedVoltage, {}, 0, run->loadedAmps});
    }
    add("resistance", tr("internal resistance"),
        run != nullptr ? record::expectedInternalOhm(expectation, run->stepAmps) : std::nullopt,
        run != nullptr ? run->internalOhm : std::nullopt, explain::Unit::Ohm,
        {explain::Quantity::InternalResistance, {}, 0, run != nullptr ? run->stepAmps : 0.0});
    add("power", tr("best power"), expectation.maximumWatts, build.deliveredWatts(), explain::Unit::Watt,
        {explain::Quantity::MaximumPower, {}, 0, 0.0});
    add("capacity", tr("capacity"), expectation.capacityCoulombs, build.deliveredCoulombs(),
        explain::Unit::Coulomb, {explain::Quantity::Capacity, {}, 0, 0.0});
    if (run != nullptr) {
        Row energy{QStringLiteral("energy"),
                   tr("energy delivered"),
                   {},
                   {},
                   run->deliveredJoules,
                   {},
                   q(wording::numberText(run->deliveredJoules / 3600.0, 3)) + QStringLiteral("\u00A0Wh"),
                   {explain::Quantity::Capacity, {}, 0, 0.0}};
        rows.push_back(std::move(energy));
    }
    return rows;
}

void Ledger::paintRow(QPainter& painter, const Row& row, const QRectF& box) const {
    const Colours& c = m_theme.colours();
    const double line = Theme::em(1.3);
    painter.setPen(c.ink);
    painter.setFont(Theme::font(1.0));
    drawElided(painter, QRectF(box.left(), box.top(), box.width() * 0.24, box.height()), row.name);
    painter.setPen(c.faint);
    drawElided(painter, QRectF(box.left() + box.width() * 0.25, box.top(), box.width() * 0.15, box.height()),
               row.expectedText.isEmpty() ? QStringLiteral("–") : row.expectedText,
               Qt::AlignRight | Qt::AlignVCenter);
    painter.setPen(c.focus);
    painter.setFont(Theme::font(1.1, true));
    drawElided(painter, QRectF(box.left() + box.width() * 0.82, box.top(), box.width() * 0.18, box.height()),
               row.measuredText.isEmpty() ? QStringLiteral("–") : row.measuredText,
               Qt::AlignRight | Qt::AlignVCenter);
    if (!row.expected) {
        return;
    }
    const QRectF track(box.left() + box.width() * 0.43, box.center().y() - line / 2, box.width() * 0.37,
                       line);
    const double high =
        1.1 * std::max({*row.expected, row.measured.value_or(0.0), row.range ? row.range->high : 0.0, 1e-12});
    const auto at = [&](double value) {
        return track.left() + track.width() * std::clamp(value / high, 0.0, 1.0);
    };
    const double y = track.center().y();
    painter.setPen(QPen(c.rule, 1.0));
    painter.drawLine(QPointF(track.left(), y), QPointF(track.right(), y));
    if (row.range) {
        painter.setPen(QPen(c.expected, 8.0, Qt::SolidLine, Qt::FlatCap));
        painter.drawLine(QPointF(at(row.range->low), y),
                         QPointF(std::max(at(row.range->high), at(row.range->low) + 2), y));
    }
    painter.setPen(QPen(c.ink, 2.0));
    painter.drawLine(QPointF(at(*row.expected), y - 8), QPointF(at(*row.expected), y + 8));
    if (row.measured) {
        drawDiamond(painter, {at(*row.measured), y}, 7.0, c.focus, row.atLeast ? Barb::Right : Barb::None);
    }
}

void Ledger::rebuild() {
    if (!isVisible()) {
        return;
    }
    setFocusColour(m_theme.colours().focus);
    std::vector<PictureItem> items;
    if (m_bench.selection().build() != nullptr && m_bench.draft().outcome().usable()) {
        const std::vector<Row> list = rows();
        setMinimumHeight(static_cast<int>(Theme::em(1.6 + 1.6 * static_cast<double>(list.size()))));
        const QRectF head(Theme::em(0.5), 0, width() - Theme::em(1.0), Theme::em(1.4));
        PictureItem title;
        title.id = QStringLiteral("ledgerHead");
        title.area = head;
        title.role = QAccessible::Heading;
        title.name = tr("Expected on the day it was built, and measured");
        title.focusable = false;
        title.paint = [=, this](QPainter& painter) {
            painter.setPen(m_theme.colours().faint);
            painter.setFont(Theme::font(0.9));
            drawElided(painter,
                       QRectF(head.left() + head.width() * 0.25, 0, head.width() * 0.15, head.height()),
                       tr("expected"), Qt::AlignRight | Qt::AlignVCenter);
            drawElided(painter,
                       QRectF(head.left() + head.width() * 0.82, 0, head.width() * 0.18, head.height()),
                       tr("measured"), Qt::AlignRight | Qt::AlignVCenter);
        };
        items.push_back(std::move(title));
        const double each =
            std::min(Theme::em(2.8), (height() - Theme::em(1.6)) / static_cast<double>(list.size()));
        double y = Theme::em(1.5);
        for (const Row& row : list) {
            PictureItem item;
            item.id = row.id;
            item.area = QRectF(Theme::em(0.5), y, width() - Theme::em(1.0), each - 2);
            item.role = QAccessible::Button;
            item.name = row.name;
            item.value = listed(
                {row.expectedText.isEmpty() ? QString() : tr("expected %1").arg(row.expectedText),
                 row.measuredText.isEmpty() ? tr("not measured") : tr("measured %1").arg(row.measuredText)});
            item.tooltip = row.name + QStringLiteral(": ") + item.value;
            item.opens = row.key;
            item.paint = [this, row, box = item.area](QPainter& painter) { paintRow(painter, row, box); };
            items.push_back(std::move(item));
            y += each;
        }
    }
    setItems(std::move(items));
}

} // namespace anodex::app
