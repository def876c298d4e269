#include "wording/catalogue/EntryLinks.h"

#include "wording/PartText.h"
#include "wording/Quantities.h"

#include <algorithm>

namespace anodex::wording {
namespace {

using chemistry::Catalogue;
using chemistry::Material;
using chemistry::Reaction;
using chemistry::SpeciesIndex;

EntryLink linkTo(const Reaction& reaction) {
    constexpr int kDigits = 4;
    return {"reactions", reaction.id, prettyEquation(reaction.equation),
            numberText(reaction.standardVolts.value, kDigits) + " V"};
}

bool runsOn(const Reaction& reaction, const Material& material) {
    return std::any_of(
        reaction.kinetics.begin(), reaction.kinetics.end(), [&](const chemistry::SurfaceKinetics& kinetics) {
            return std::any_of(material.surfaces.begin(), material.surfaces.end(),
                               [&](const chemistry::SurfacePart& part) {
                                   return std::find(kinetics.surfaces.begin(), kinetics.surfaces.end(),
                                                    part.phase) != kinetics.surfaces.end();
                               });
        });
}

bool hasTerm(const std::vector<chemistry::SpeciesTerm>& terms, SpeciesIndex species) {
    return std::any_of(terms.begin(), terms.end(),
                       [&](const chemistry::SpeciesTerm& term) { return term.species == species; });
}

template <typename Entries> auto entryAt(const Entries& entries, const std::string& id) {
    return std::find_if(entries.begin(), entries.end(), [&](const auto& entry) { return entry.id == id; });
}

std::vector<EntryLink> ofMaterial(const Catalogue& catalogue, const std::string& id) {
    std::vector<EntryLink> links;
    const auto material = entryAt(catalogue.materials, id);
    if (material != catalogue.materials.end()) {
        for (const Reaction& reaction : catalogue.reactions) {
            if (runsOn(reaction, *material)) {
                links.push_back(linkTo(reaction));
            }
        }
    }
    return links;
}

std::vector<EntryLink> ofReaction(const Catalogue& catalogue, const std::string& id) {
    std::vector<EntryLink> links;
    const auto reaction = entryAt(catalogue.reactions, id);
    if (reaction != catalogue.reactions.end()) {
        for (const Material& material : catalogue.materials) {
            if (runsOn(*reaction, material)) {
                links.push_back({"materials", material.id, material.name, {}});
            }
        }
    }
    return links;
}

std::vector<EntryLink> ofSubstance(const Catalogue& catalogue, const std::string& id) {
    std::vector<EntryLink> links;
    const auto substance = entryAt(catalogue.substances, id);
    const auto index = static_cast<std::size_t>(substance - catalogue.substances.begin());
    for (const chemistry::ReadyLiquid& liquid : catalogue.liquids) {
        if (std::any_of(liquid.parts.begin(), liquid.parts.end(),
                        [&](const auto& part) { return part.substance == index; })) {
            links.push_back({"liquids", liquid.id, liquid.name, {}});
        }
    }
    return links;
}

std::vector<EntryLink> ofLiquid(const Catalogue& catalogue, const std::string& id) {
    std::vector<EntryLink> links;
    const auto liquid = entryAt(catalogue.liquids, id);
    if (liquid != catalogue.liquids.end()) {
        for (const auto& part : liquid->parts) {
            const chemistry::Substance& substance = catalogue.substances[part.substance];
            links.push_back(
                {"substances", substance.id, substance.name, numberText(part.molPerLitre) + " mol/L"});
        }
    }
    return links;
}

std::vector<EntryLink> ofSpecies(const Catalogue& catalogue, const std::string& name) {
    std::vector<EntryLink> links;
    const auto species = catalogue.findSpecies(name);
    if (!species || *species == catalogue.key.solvent) {
        return links;
    }
    for (const chemistry::Substance& substance : catalogue.substances) {
        if (hasTerm(substance.dissolvesTo, *species)) {
            links.push_back({"substances", substance.id, substance.name, {}});
        }
    }
    for (const Reaction& reaction : catalogue.reactions) {
        if (hasTerm(reaction.terms, *species)) {
            links.push_back(linkTo(reaction));
        }
    }
    return links;
}

} // namespace

std::vector<EntryLink> linksOf(const Catalogue& catalogue, const std::string& list, const std::string& id) {
    using Of = std::vector<EntryLink> (*)(const Catalogue&, const std::string&);
    constexpr std::pair<const char*, Of> kLists[] = {{"materials", ofMaterial},
                                                     {"reactions", ofReaction},
                                                     {"substances", ofSubstance},
                                                     {"liquids", ofLiquid},
                                                     {"species", ofSpecies}};
    for (const auto& [name, of] : kLists) {
        if (list == name) {
            return of(catalogue, id);
        }
    }
    return {};
}

} // namespace anodex::wording
