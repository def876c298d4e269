#include "app/views/couple/Exchange.h"

#include "app/theme/Words.h"
#include "app/widgets/Listed.h"
#include "core/design/Identify.h"
#include "core/electrode/PorousLayer.h"
#include "wording/FindingText.h"
#include "wording/Quantities.h"

#include <QStringList>
#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

QString voltsText(const Outcome& outcome) {
    constexpr double kShown = 0.05; // V: a table of many is read to a hundredth
    return QString::fromStdString(wording::quantityText(outcome.evaluation->openCircuitVolts,
                                                        explain::Unit::Volt, base::Interval{0.0, kShown}));
}

/// To two figures: no more is known of power than that.
QString powerText(const Outcome& outcome) {
    constexpr double kTooLittle = 1e-6; // W: nothing runs on it, and leaks of a meter are as large
    const double watts = outcome.evaluation->settled.maximumPower.watts;
    if (watts < kTooLittle) {
        return tr("< 1 µW");
    }
    const double step = std::pow(10.0, std::floor(std::log10(watts)) - 1.0);
    const double rounded = std::round(watts / step) * step;
    const base::Interval doubt{rounded - 2.5 * step, rounded + 2.5 * step};
    return QString::fromStdString(wording::quantityText(rounded, explain::Unit::Watt, doubt));
}

QString titleOf(const findings::Finding& finding) {
    return QString::fromStdString(wording::findingText(finding).title);
}

bool isWarning(const findings::Finding& finding) {
    return finding.severity != findings::Severity::Note;
}

QStringList warningsOf(const Outcome& outcome) {
    QStringList titles;
    for (const findings::Finding& finding : outcome.findings) {
        if (isWarning(finding)) {
            titles << titleOf(finding);
        }
    }
    titles.removeDuplicates();
    return titles;
}

QStringList without(QStringList titles, const QStringList& others) {
    titles.removeIf([&](const QString& title) { return others.contains(title); });
    return titles;
}

/// Not of the liquid, the case or the other electrode, which stay as they are.
bool comesOf(const findings::Finding& finding, design::Side side) {
    using findings::FindingPart;
    const auto own = side == design::Side::Negative ? FindingPart::Negative : FindingPart::Positive;
    return finding.part == own || finding.part == FindingPart::Whole ||
           finding.part == FindingPart::Collector;
}

} // namespace

design::CellDesign exchanged(design::CellDesign design, design::Side side,
                             const chemistry::Material& material) {
    design::ElectrodeDesign& electrode = design.electrode(side);
    design::makeOf(electrode, design::namedAs(material));
    electrode.air =
        electrode::breathesByNature(material) ? std::optional(design::Air::Breathing) : std::nullopt;
    return design;
}

Foretold foretold(const Outcome& outcome, design::Side side) {
    Foretold told;
    if (!outcome.usable()) {
        return told;
    }
    told.volts = voltsText(outcome);
    told.power = powerText(outcome);
    const auto worst =
        std::find_if(outcome.findings.begin(), outcome.findings.end(), [&](const findings::Finding& finding) {
            return isWarning(finding) && comesOf(finding, side);
        });
    if (worst != outcome.findings.end()) {
        told.harm = titleOf(*worst);
        told.severity = worst->severity;
    }
    return told;
}

QString compared(const Outcome& now, const Outcome& then, design::Side side) {
    const auto nameIn = [&](const Outcome& outcome) {
        return QString::fromStdString(outcome.design.electrode(side).material.written);
    };
    if (!then.usable()) {
        return tr("With %1 this cell cannot be worked out: %2")
            .arg(nameIn(then), QString::fromStdString(then.problem));
    }
    if (!now.usable()) {
        return tr("%1 would give %2 and at most %3.").arg(nameIn(then), voltsText(then), powerText(then));
    }
    if (now.design == then.design) {
        return tr("%1 stands there now: %2, at most %3.").arg(nameIn(now), voltsText(now), powerText(now));
    }
    QStringList lines{tr("%1 now: %2, at most %3.").arg(nameIn(now), voltsText(now), powerText(now)) +
                      QLatin1Char(' ') +
                      tr("With %1: %2, at most %3.").arg(nameIn(then), voltsText(then), powerText(then))};
    const QStringList before = warningsOf(now);
    const QStringList after = warningsOf(then);
    if (const QStringList come = without(after, before); !come.isEmpty()) {
        lines << tr("New: %1.").arg(listed(come));
    }
    if (const QStringList go = without(before, after); !go.isEmpty()) {
        lines << tr("No longer: %1.").arg(listed(go));
    }
    return lines.join(QLatin1Char('\n'));
}

} // namespace anodex::app
