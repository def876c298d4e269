#include "app/views/compare/Compared.h"

#include "app/theme/Words.h"
#include "wording/PartText.h"
#include "wording/Quantities.h"

#include <QDateTime>

namespace anodex::app {
namespace {

const QString kBuild = QStringLiteral("build:");
const QString kRevision = QStringLiteral("rev:");

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

record::Id keyOf(const QString& id) {
    return id.section(QLatin1Char(':'), 1).toStdString();
}

ComparedFigure expected(const record::Expected& value) {
    return {value.value, value.range, {}, false};
}

Compared ofBuild(const BuildSummary& summary) {
    const record::Expectation& expectation = summary.build.expectation;
    Compared one;
    one.when =
        tr("built %1")
            .arg(QDateTime::fromMSecsSinceEpoch(summary.build.built).toString(QStringLiteral("yyyy-MM-dd")));
    one.design = summary.build.asBuilt;
    one.curve = expectation.curve;
    one.figures = {expected(expectation.openCircuitVolts), expected(expectation.shortCircuitAmps),
                   expected(expectation.maximumWatts), expected(expectation.capacityCoulombs),
                   expected(expectation.resistanceOhm)};
    const auto measure = [&](ComparedQuantity quantity, std::optional<double> value, bool atLeast) {
        ComparedFigure& figure = one.figures[static_cast<std::size_t>(quantity)];
        figure.measured = value;
        figure.atLeast = atLeast;
    };
    if (summary.openCircuit) {
        measure(ComparedQuantity::OpenCircuit, summary.openCircuit->value, false);
    }
    if (summary.shortCircuit) {
        measure(ComparedQuantity::ShortCircuit, summary.shortCircuit->value, false);
    }
    measure(ComparedQuantity::BestPower, summary.deliveredWatts(), true);
    measure(ComparedQuantity::Capacity, summary.deliveredCoulombs(), !summary.ranDown());
    return one;
}

Compared ofEvaluation(const design::CellDesign& design, cell::Evaluation e) {
    Compared one;
    one.when = tr("not built");
    one.design = design;
    const auto plain = [](double value) { return ComparedFigure{value, {}, {}, false}; };
    one.figures = {plain(e.openCircuitVolts), plain(e.first.shortCircuitAmps),
                   plain(e.first.maximumPower.watts), plain(e.capacity.expectedCoulombs),
                   plain(e.resistance.totalOhm)};
    one.curve = std::move(e.curve);
    return one;
}

std::optional<Compared> ofDesign(const CatalogueHandle& catalogue, const design::CellDesign& design) {
    const Outcome outcome = outcomeOf(catalogue, design);
    if (!outcome.usable()) {
        return {};
    }
    try {
        return ofEvaluation(design, cell::evaluate(*catalogue, *outcome.cell)); // with its curve
    } catch (const base::Fault&) {
        return {};
    }
}

} // namespace

std::vector<QString> comparable(const Contents& contents) {
    std::vector<QString> ids;
    for (const record::Revision& revision : contents.revisions) {
        if (revision.setAside) {
            continue;
        }
        const auto builds = contents.buildsOf(revision.id);
        for (const BuildSummary* summary : builds) {
            ids.push_back(kBuild + q(summary->build.id));
        }
        if (builds.empty()) {
            ids.push_back(kRevision + q(revision.id));
        }
    }
    return ids;
}

QString comparedName(const Contents& contents, const QString& id) {
    const BuildSummary* summary = id.startsWith(kBuild) ? contents.build(keyOf(id)) : nullptr;
    const record::Revision* revision =
        contents.revision(summary != nullptr ? summary->build.revision : keyOf(id));
    if (revision == nullptr) {
        return {};
    }
    return summary == nullptr ? q(revision->name)
                              : QStringLiteral("%1 · %2").arg(q(revision->name), q(summary->build.name));
}

std::optional<Compared> comparedOf(Workbench& bench, const QString& id) {
    const Contents& contents = bench.contents();
    std::optional<Compared> one;
    if (const BuildSummary* summary = id.startsWith(kBuild) ? contents.build(keyOf(id)) : nullptr) {
        one = ofBuild(*summary);
    } else if (const record::Revision* revision = contents.revision(keyOf(id))) {
        one = ofDesign(bench.catalogueHandle(), revision->design);
    }
    if (one) {
        one->id = id;
        one->name = comparedName(contents, id);
    }
    return one;
}

QString titleOf(ComparedQuantity quantity) {
    constexpr explain::Quantity kQuantities[kComparedQuantities] = {
        explain::Quantity::OpenCircuitVoltage, explain::Quantity::ShortCircuitCurrent,
        explain::Quantity::MaximumPower, explain::Quantity::Capacity, explain::Quantity::Resistance};
    return q(wording::quantityName(kQuantities[static_cast<std::size_t>(quantity)]));
}

QString comparedText(ComparedQuantity quantity, double value, const std::optional<base::Interval>& range) {
    constexpr explain::Unit kUnits[kComparedQuantities] = {explain::Unit::Volt, explain::Unit::Ampere,
                                                           explain::Unit::Watt, explain::Unit::Coulomb,
                                                           explain::Unit::Ohm};
    return q(quantity == ComparedQuantity::Capacity
                 ? wording::chargeText(value, range)
                 : wording::quantityText(value, kUnits[static_cast<std::size_t>(quantity)], range));
}

} // namespace anodex::app
