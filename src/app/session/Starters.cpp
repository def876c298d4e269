#include "app/session/Starters.h"

#include "core/design/Identify.h"
#include "core/shelf/ShelfNames.h"
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"
#include "wording/Texts.h"

#include <algorithm>
#include <set>
#include <string_view>
#include <utility>

namespace anodex::app {
namespace {

using design::EntryKind;
using design::Named;

constexpr std::string_view kFolder = "starters/";
constexpr std::string_view kEnding = ".cell.json";
/// From the kitchen to the workshop.
constexpr std::string_view kFamilies[] = {"food",       "saltwater", "gravity", "air",
                                          "half-cells", "lead-acid", "other"};

using Thing = std::pair<EntryKind, std::string>;

std::string nameOf(const Named& named) {
    return named.id.empty() ? named.written : named.id;
}

/// A jar is at hand.
std::set<Thing> thingsOf(const design::CellDesign& design) {
    std::set<Thing> things;
    design::eachName(design, [&](EntryKind kind, const Named& named) {
        if (!named.written.empty() && kind != EntryKind::Case) {
            things.insert({kind, nameOf(named)});
        }
    });
    return things;
}

} // namespace

std::size_t placeOfFamily(const std::string& family) {
    const auto* found = std::find(std::begin(kFamilies), std::end(kFamilies), family);
    return static_cast<std::size_t>(found - std::begin(kFamilies));
}

std::string familyOf(const design::CellDesign& design) {
    return placeOfFamily(design.family) < std::size(kFamilies)
               ? design.family
               : std::string(kFamilies[std::size(kFamilies) - 1]);
}

std::vector<Starter> starters() {
    std::vector<Starter> all;
    for (const formats::EmbeddedFile& file : formats::embeddedFiles()) {
        if (!file.name.starts_with(kFolder) || !file.name.ends_with(kEnding)) {
            continue;
        }
        if (auto design = formats::readCellFile(file.content)) {
            std::string_view id = file.name.substr(kFolder.size());
            id.remove_suffix(kEnding.size());
            design->name = wording::text("starter." + std::string(id) + ".name");
            all.push_back({std::string(id), std::move(*design)});
        }
    }
    std::stable_sort(all.begin(), all.end(), [](const Starter& a, const Starter& b) {
        return placeOfFamily(a.design.family) < placeOfFamily(b.design.family);
    });
    return all;
}

int thingsToGet(const design::CellDesign& design) {
    return static_cast<int>(thingsOf(design).size());
}

bool isOnShelf(const chemistry::Catalogue& catalogue, shelf::Shelf shelf, design::CellDesign design) {
    shelf::identify(catalogue, shelf);
    design::identify(catalogue, design);
    std::set<Thing> owned;
    shelf::eachName(std::as_const(shelf), [&](EntryKind kind, const Named& named) {
        owned.insert({kind, nameOf(named)});
    });
    const std::set<Thing> needed = thingsOf(design);
    return std::includes(owned.begin(), owned.end(), needed.begin(), needed.end());
}

std::vector<std::string> startersWith(const chemistry::Catalogue& catalogue, const std::string& id) {
    std::vector<std::string> names;
    for (Starter& starter : starters()) {
        design::CellDesign& design = starter.design;
        design::identify(catalogue, design);
        std::vector<std::string> used;
        for (const design::ElectrodeDesign* electrode : {&design.negative, &design.positive}) {
            used.push_back(electrode->material.id);
            used.push_back(electrode->collector ? electrode->collector->material.id : std::string());
            for (const design::AdditiveDesign& additive : electrode->additives) {
                used.push_back(additive.material.id);
            }
        }
        for (const design::LiquidDesign* liquid :
             {&design.liquid, design.positiveLiquid ? &*design.positiveLiquid : &design.liquid}) {
            used.push_back(liquid->ready.id);
            for (const design::SoluteDesign& solute : liquid->solutes) {
                used.push_back(solute.substance.id.substr(0, solute.substance.id.find('/')));
            }
        }
        if (std::find(used.begin(), used.end(), id) != used.end()) {
            names.push_back(design.name);
        }
    }
    return names;
}

} // namespace anodex::app
