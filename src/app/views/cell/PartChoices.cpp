#include "app/views/cell/PartChoices.h"

#include "app/theme/Words.h"
#include "app/views/cell/AirChoices.h"
#include "core/design/Identify.h"
#include "wording/Quantities.h"

#include <QMenu>
#include <algorithm>
#include <cmath>

namespace anodex::app {
namespace {

constexpr double kPowderKg = 1e-3;

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

using Edit = std::function<void(design::CellDesign&)>;

void addChoice(QMenu& menu, Workbench& bench, const QString& words, bool taken, Edit edit) {
    QAction* action = menu.addAction(words);
    action->setCheckable(true);
    action->setChecked(taken);
    QObject::connect(action, &QAction::triggered, &bench, [&bench, apply = std::move(edit)] {
        design::CellDesign design = bench.draft().design();
        apply(design);
        bench.edit(design);
    });
}

/// What current is gathered with: metals and carbons that come as sheet, mesh, wire or rod.
bool canCollect(const chemistry::Material& material) {
    constexpr const char* kForms[] = {"sheet", "foil", "mesh", "wire", "rod",
                                      "plate", "foam", "film", "cloth"};
    return material.resistivityOhmMetres > 0.0 &&
           std::any_of(std::begin(kForms), std::end(kForms),
                       [&](const char* form) { return material.form == form; });
}

void addCollectors(QMenu& menu, Workbench& bench, design::Side side) {
    QMenu* list = menu.addMenu(tr("Collector"));
    const auto& now = bench.draft().design().electrode(side).collector;
    addChoice(*list, bench, tr("None"), !now,
              [side](design::CellDesign& design) { design.electrode(side).collector.reset(); });
    for (const chemistry::Material& material : bench.catalogue().materials) {
        if (canCollect(material)) {
            addChoice(*list, bench, q(material.name), now && now->material.id == material.id,
                      [side, name = design::namedAs(material)](design::CellDesign& design) {
                          design.electrode(side).collector = design::CollectorDesign{name, std::nullopt};
                      });
        }
    }
}

void addPowders(QMenu& menu, Workbench& bench, design::Side side) {
    QMenu* list = menu.addMenu(tr("Powder mixed in"));
    const auto& now = bench.draft().design().electrode(side).additives;
    addChoice(*list, bench, tr("None"), now.empty(),
              [side](design::CellDesign& design) { design.electrode(side).additives.clear(); });
    for (const chemistry::Material& material : bench.catalogue().materials) {
        if (material.specificAreaM2PerKg <= 0.0) {
            continue;
        }
        const bool taken = std::any_of(now.begin(), now.end(), [&](const auto& additive) {
            return additive.material.id == material.id;
        });
        addChoice(*list, bench, tr("1 g %1").arg(q(material.name)), taken,
                  [side, taken, name = design::namedAs(material)](design::CellDesign& design) {
                      auto& additives = design.electrode(side).additives;
                      if (taken) {
                          std::erase_if(additives, [&](const auto& additive) {
                              return additive.material.id == name.id;
                          });
                      } else {
                          additives.push_back({name, kPowderKg});
                      }
                  });
    }
}

/// For plates that are known charged and discharged.
void addStatesOfCharge(QMenu& menu, Workbench& bench, design::Side side) {
    const design::Cell& cell = *bench.draft().outcome().cell;
    const std::size_t material = cell.electrode(side).material;
    const auto states = chemistry::chargeStates(bench.catalogue(), material);
    if (!states) {
        return;
    }
    QMenu* list = menu.addMenu(tr("State of charge"));
    const auto& now = bench.draft().design().electrode(side).charged;
    constexpr double kSame = 1e-6; // of shares
    addChoice(*list, bench, tr("As its name says"), !now,
              [side](design::CellDesign& design) { design.electrode(side).charged.reset(); });
    const std::pair<const char*, double> shares[] = {
        {QT_TRANSLATE_NOOP("PartChoices", "Fully charged"), 1.0},
        {QT_TRANSLATE_NOOP("PartChoices", "Three quarters charged"), 0.75},
        {QT_TRANSLATE_NOOP("PartChoices", "Half charged"), 0.5},
        {QT_TRANSLATE_NOOP("PartChoices", "A quarter charged"), 0.25},
        {QT_TRANSLATE_NOOP("PartChoices", "Discharged"), 0.0}};
    for (const auto& [words, share] : shares) {
        addChoice(
            *list, bench, tr(words), now && std::abs(*now - share) < kSame,
            [side, part = share](design::CellDesign& design) { design.electrode(side).charged = part; });
    }
}

/// Of the vessel, for liquids that lie one on the other.
void addInsides(QMenu& menu, Workbench& bench) {
    if (!bench.draft().outcome().evaluation->contents->layers) {
        return;
    }
    QMenu* list = menu.addMenu(tr("Inside of the jar"));
    const auto& now = bench.draft().design().insideM2;
    addChoice(*list, bench, tr("Not said: the liquids meet halfway"), !now,
              [](design::CellDesign& design) { design.insideM2.reset(); });
    std::vector<double> insides = {1e-3, 2e-3, 3e-3, 5e-3, 8e-3, 12e-3}; // m²
    const auto isNow = [&](double inside) { return now && std::abs(*now / inside - 1.0) < 1e-6; };
    if (now && std::none_of(insides.begin(), insides.end(), isNow)) {
        insides.push_back(*now);
    }
    for (const double inside : insides) {
        const QString across = q(wording::numberText(200.0 * std::sqrt(inside / M_PI), 2));
        addChoice(*list, bench,
                  tr("%1 cm², %2 cm across").arg(q(wording::numberText(inside * 1e4, 3)), across),
                  isNow(inside), [inside](design::CellDesign& design) { design.insideM2 = inside; });
    }
}

void addPlaces(QMenu& menu, Workbench& bench) {
    QMenu* list = menu.addMenu(tr("Where it stands"));
    struct Place {
        const char* words;
        bool outdoors;
        std::optional<double> roomM3;
        std::optional<double> changesPerHour;
    };
    constexpr double kPerHour = 1.0 / 3600.0;
    const Place places[] = {
        {QT_TRANSLATE_NOOP("PartChoices", "Not said: a small room, window shut"), false, {}, {}},
        {QT_TRANSLATE_NOOP("PartChoices", "Cupboard or shed, 3 m³, shut"), false, 3.0, 0.5},
        {QT_TRANSLATE_NOOP("PartChoices", "Room of 30 m³, window open"), false, 30.0, 5.0},
        {QT_TRANSLATE_NOOP("PartChoices", "Outdoors"), true, {}, {}}};
    const design::PlaceDesign& now = bench.draft().design().place;
    for (const Place& place : places) {
        design::PlaceDesign wanted = now;
        wanted.outdoors = place.outdoors;
        wanted.roomM3 = place.roomM3;
        wanted.airChangesPerSecond =
            place.changesPerHour ? std::optional(*place.changesPerHour * kPerHour) : std::nullopt;
        addChoice(*list, bench, tr(place.words), wanted == now,
                  [wanted](design::CellDesign& design) { design.place = wanted; });
    }
    list->addSeparator();
    addChoice(*list, bench, tr("A flame or sparks are near"), now.flame,
              [](design::CellDesign& design) { design.place.flame = !design.place.flame; });
}

} // namespace

void addElectrodeChoices(QMenu& menu, Workbench& bench, design::Side side) {
    const design::Electrode& electrode = bench.draft().outcome().cell->electrode(side);
    for (const std::vector<AirChoice>& group : airChoices(bench.catalogue(), electrode)) {
        menu.addSeparator();
        for (const AirChoice& choice : group) {
            addChoice(
                menu, bench, choice.words, choice.taken,
                [side, apply = choice.apply](design::CellDesign& design) { apply(design.electrode(side)); });
        }
    }
    menu.addSeparator();
    addCollectors(menu, bench, side);
    addPowders(menu, bench, side);
    addStatesOfCharge(menu, bench, side);
}

void addSeparatorChoices(QMenu& menu, Workbench& bench) {
    const auto& now = bench.draft().design().separator;
    addChoice(menu, bench, tr("Nothing between"), !now,
              [](design::CellDesign& design) { design.separator.reset(); });
    for (const chemistry::SeparatorMaterial& separator : bench.catalogue().separators) {
        addChoice(menu, bench, q(separator.name), now && now->material.id == separator.id,
                  [name = design::namedAs(separator)](design::CellDesign& design) {
                      design.separator = design::SeparatorDesign{name, {}, {}};
                  });
    }
}

void addVesselChoices(QMenu& menu, Workbench& bench) {
    QMenu* cases = menu.addMenu(tr("Case"));
    const design::Named& now = bench.draft().design().caseMaterial;
    addChoice(*cases, bench, tr("Not said"), now.empty(),
              [](design::CellDesign& design) { design.caseMaterial = {}; });
    for (const chemistry::CaseMaterial& material : bench.catalogue().cases) {
        addChoice(
            *cases, bench, q(material.name), now.id == material.id,
            [name = design::namedAs(material)](design::CellDesign& design) { design.caseMaterial = name; });
    }
    addInsides(menu, bench);
    addPlaces(menu, bench);
    addChoice(menu, bench, tr("Tight lid"), bench.draft().design().closed,
              [](design::CellDesign& design) { design.closed = !design.closed; });
    addChoice(menu, bench, tr("Liquid is stirred or pumped"), bench.draft().design().stirred,
              [](design::CellDesign& design) { design.stirred = !design.stirred; });
}

} // namespace anodex::app
