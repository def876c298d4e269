#include "app/views/shelf/OwnedText.h"

#include "app/theme/Words.h"
#include "app/widgets/Listed.h"
#include "core/chemistry/NameLookup.h"
#include "core/design/Identify.h"
#include "quantity/Letters.h"
#include "wording/Likely.h"
#include "wording/Quantities.h"

#include <algorithm>

namespace anodex::app {
namespace {

using design::EntryKind;
using quantity::trimmed;
using wording::Dimension;

constexpr double kPieceM2 = 1e-3;

QString q(std::string_view text) {
    return QString::fromUtf8(text.data(), static_cast<qsizetype>(text.size()));
}

struct Typed {
    std::string_view name;
    std::optional<quantity::QuantityReading> amount;
    std::optional<double> price;
    std::string asks; ///< Where the amount or the price has two readings.

    [[nodiscard]] bool measuredIn(Dimension dimension) const {
        return amount && amount->unit.dimension == dimension;
    }
};

bool isPrice(const quantity::QuantityReading& reading) {
    return reading.unit.dimension == Dimension::None && reading.value >= 0.0;
}

bool isAmount(const quantity::QuantityReading& reading) {
    const Dimension dimension = reading.unit.dimension;
    return reading.value > 0.0 && (dimension == Dimension::SquareMetre || dimension == Dimension::Kilogram ||
                                   dimension == Dimension::CubicMetre);
}

/// "… for 2.50" at the end is a price.
Typed parted(std::string_view text) {
    Typed typed;
    const auto at = text.rfind(" for ");
    if (at != std::string_view::npos) {
        const wording::Likely price = wording::likelyWhole(text.substr(at + 5), isPrice);
        if (price.reading) {
            typed.price = price.reading->value;
        } else if (!price.choices.empty()) {
            typed.asks = wording::whichOf(text.substr(at + 5), price.choices);
        }
        text = price.used > 0 ? trimmed(text.substr(0, at)) : text;
    }
    if (const auto named = wording::namedAmount(text, isAmount)) {
        typed.name = named->name;
        typed.amount = named->amount.reading;
        if (!named->amount.choices.empty()) {
            typed.asks = wording::whichOf(named->written, named->amount.choices);
        }
        return typed;
    }
    typed.name = trimmed(text);
    return typed;
}

/// In place of what is the same thing, by whatever name it was put there.
template <typename Entry>
void place(const chemistry::Catalogue& catalogue, design::EntryKind kind, std::vector<Entry>& list,
           design::Named Entry::*name, Entry entry) {
    design::identify(catalogue, kind, entry.*name);
    const auto same = std::find_if(list.begin(), list.end(), [&](Entry one) {
        design::identify(catalogue, kind, one.*name);
        return (one.*name).id == (entry.*name).id;
    });
    if (same != list.end()) {
        *same = std::move(entry);
    } else {
        list.push_back(std::move(entry));
    }
}

std::optional<shelf::OwnedMaterial> materialFrom(const chemistry::Catalogue& catalogue, const Typed& typed) {
    const auto index = chemistry::findMaterial(catalogue, typed.name);
    if (!index || typed.measuredIn(Dimension::CubicMetre)) {
        return std::nullopt;
    }
    const chemistry::Material& material = catalogue.materials[*index];
    shelf::OwnedMaterial owned{std::string(typed.name), kPieceM2, std::nullopt, typed.price};
    if (typed.measuredIn(Dimension::SquareMetre)) {
        owned.areaM2 = typed.amount->value;
    } else if (typed.amount) {
        owned.massKg = typed.amount->value;
        owned.areaM2 = typed.amount->value / (material.densityKgPerM3 * material.defaultThicknessMetres);
    }
    return owned;
}

QString nearest(const chemistry::Catalogue& catalogue, std::string_view name) {
    std::vector<std::string> names;
    for (const auto& list : {chemistry::materialNames(catalogue), chemistry::substanceNames(catalogue),
                             chemistry::liquidNames(catalogue), chemistry::separatorNames(catalogue),
                             chemistry::caseNames(catalogue)}) {
        names.insert(names.end(), list.begin(), list.end());
    }
    const std::string near = chemistry::nearestName(name, names);
    return near.empty() ? tr("choose a name of the catalogue")
                        : tr("did you mean \"%1\"?").arg(QString::fromStdString(near));
}

QString number(double value, const char* unit) {
    return QString::fromStdString(wording::numberText(value, 3)) + QChar(0xA0) + QString::fromUtf8(unit);
}

} // namespace

std::optional<shelf::Shelf> withOwned(const chemistry::Catalogue& catalogue, shelf::Shelf shelf,
                                      std::string_view text, QString& problem) {
    const Typed typed = parted(trimmed(text));
    const std::string name(typed.name);
    if (const auto why = chemistry::whyRefused(catalogue, typed.name)) {
        problem =
            tr("\"%1\" is refused in every recipe: %2").arg(q(typed.name), QString::fromStdString(*why));
        return std::nullopt;
    }
    if (!typed.asks.empty()) {
        problem = QString::fromStdString(typed.asks);
        return std::nullopt;
    }
    if (typed.measuredIn(Dimension::CubicMetre) && chemistry::findLiquid(catalogue, typed.name)) {
        place(catalogue, EntryKind::Liquid, shelf.liquids, &shelf::OwnedLiquid::ready,
              {{name, {}}, typed.amount->value, typed.price});
        return shelf;
    }
    if (!typed.amount && chemistry::findSeparator(catalogue, typed.name)) {
        place(catalogue, EntryKind::Separator, shelf.separators, &shelf::OwnedPart::material,
              {{name, {}}, typed.price});
        return shelf;
    }
    if (!typed.amount && chemistry::findCase(catalogue, typed.name)) {
        place(catalogue, EntryKind::Case, shelf.cases, &shelf::OwnedPart::material,
              {{name, {}}, typed.price});
        return shelf;
    }
    if (auto owned = materialFrom(catalogue, typed)) {
        place(catalogue, EntryKind::Material, shelf.materials, &shelf::OwnedMaterial::material,
              std::move(*owned));
        return shelf;
    }
    if (typed.measuredIn(Dimension::Kilogram) && chemistry::findSubstance(catalogue, typed.name)) {
        place(catalogue, EntryKind::Substance, shelf.substances, &shelf::OwnedSubstance::substance,
              {{name, {}}, typed.amount->value, typed.price});
        return shelf;
    }
    if (chemistry::findSubstance(catalogue, typed.name)) {
        problem = tr("how much %1? Right would be grams, as in \"500 g %1\"").arg(q(typed.name));
    } else if (chemistry::findLiquid(catalogue, typed.name)) {
        problem = tr("how much %1? Right would be millilitres, as in \"500 mL %1\"").arg(q(typed.name));
    } else {
        problem = tr("\"%1\" is not known; %2").arg(q(typed.name), nearest(catalogue, typed.name));
    }
    return std::nullopt;
}

QStringList ownedExamples(const chemistry::Catalogue& catalogue) {
    QStringList lines;
    if (!catalogue.materials.empty()) {
        lines << tr("30 cm² %1 for 2.50").arg(QString::fromStdString(catalogue.materials.front().name));
    }
    for (const chemistry::Substance& substance : catalogue.substances) {
        if (!substance.isSolvent) {
            lines << tr("500 g %1").arg(QString::fromStdString(substance.name));
            break;
        }
    }
    if (!catalogue.liquids.empty()) {
        lines << tr("250 mL %1").arg(QString::fromStdString(catalogue.liquids.front().name));
    }
    if (!catalogue.separators.empty()) {
        lines << QString::fromStdString(catalogue.separators.front().name);
    }
    return lines;
}

std::vector<OwnedThing> thingsOn(const shelf::Shelf& shelf) {
    using Kind = OwnedThing::Kind;
    std::vector<OwnedThing> things;
    const auto add = [&](Kind kind, std::size_t index, const std::string& name, QString amount,
                         const std::optional<double>& price) {
        if (price) {
            amount =
                listed({amount, tr("for %1").arg(QString::fromStdString(wording::numberText(*price, 4)))});
        }
        things.push_back({kind, index, QString::fromStdString(name), std::move(amount)});
    };
    for (std::size_t i = 0; i < shelf.materials.size(); ++i) {
        const shelf::OwnedMaterial& one = shelf.materials[i];
        add(Kind::Material, i, one.material.written, number(one.areaM2 * 1e4, "cm²"), one.price);
    }
    for (std::size_t i = 0; i < shelf.substances.size(); ++i) {
        const shelf::OwnedSubstance& one = shelf.substances[i];
        add(Kind::Substance, i, one.substance.written, number(one.massKg * 1e3, "g"), one.price);
    }
    for (std::size_t i = 0; i < shelf.liquids.size(); ++i) {
        const shelf::OwnedLiquid& one = shelf.liquids[i];
        add(Kind::Liquid, i, one.ready.written, number(one.volumeM3 * 1e6, "mL"), one.price);
    }
    for (std::size_t i = 0; i < shelf.separators.size(); ++i) {
        add(Kind::Separator, i, shelf.separators[i].material.written, {}, shelf.separators[i].price);
    }
    for (std::size_t i = 0; i < shelf.cases.size(); ++i) {
        add(Kind::Case, i, shelf.cases[i].material.written, {}, shelf.cases[i].price);
    }
    return things;
}

shelf::Shelf without(shelf::Shelf shelf, const OwnedThing& thing) {
    const auto remove = [&](auto& list) {
        list.erase(list.begin() + static_cast<std::ptrdiff_t>(thing.index));
    };
    switch (thing.kind) {
    case OwnedThing::Kind::Material:
        remove(shelf.materials);
        break;
    case OwnedThing::Kind::Substance:
        remove(shelf.substances);
        break;
    case OwnedThing::Kind::Liquid:
        remove(shelf.liquids);
        break;
    case OwnedThing::Kind::Separator:
        remove(shelf.separators);
        break;
    case OwnedThing::Kind::Case:
        remove(shelf.cases);
        break;
    }
    return shelf;
}

} // namespace anodex::app
