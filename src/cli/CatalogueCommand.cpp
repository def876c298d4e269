#include "cli/CatalogueCommand.h"

namespace anodex::cli {
namespace {

using chemistry::Catalogue;
using formats::Json;

template <typename Entry> Json common(const Entry& entry) {
    return {{"id", entry.id}, {"name", entry.name}, {"aliases", entry.aliases}, {"sources", entry.sources}};
}

template <typename Entry> Json listOf(const std::vector<Entry>& entries) {
    Json list = Json::array();
    for (const Entry& entry : entries) {
        list.push_back(common(entry));
    }
    return list;
}

Json substances(const Catalogue& catalogue) {
    Json list = Json::array();
    for (const auto& substance : catalogue.substances) {
        Json entry = common(substance);
        entry["formula"] = substance.formulaText;
        entry["molar_mass_g_per_mol"] = substance.molarMassKg * 1000.0;
        entry["hydrates"] = Json::array();
        for (const auto& hydrate : substance.hydrates) {
            entry["hydrates"].push_back(hydrate.formulaText);
        }
        entry["hazards"] = Json::array();
        for (const auto& hazard : substance.hazards) {
            entry["hazards"].push_back({{"code", hazard.code}, {"statement", hazard.statement}});
        }
        list.push_back(entry);
    }
    return list;
}

Json reactions(const Catalogue& catalogue) {
    Json list = Json::array();
    for (const auto& reaction : catalogue.reactions) {
        list.push_back({{"id", reaction.id},
                        {"name", reaction.anodicName},
                        {"aliases", Json::array({reaction.cathodicName})},
                        {"sources", reaction.sources},
                        {"equation", reaction.equation},
                        {"electrons", reaction.electrons},
                        {"standard_potential_V", reaction.standardVolts.value}});
    }
    return list;
}

Json species(const Catalogue& catalogue) {
    Json list = Json::array();
    for (const auto& entry : catalogue.species) {
        list.push_back({{"id", entry.name},
                        {"name", entry.name},
                        {"aliases", Json::array()},
                        {"sources", entry.sources},
                        {"charge", entry.formula.charge}});
    }
    return list;
}

} // namespace

Json listCatalogue(const Catalogue& catalogue, const std::string& kind) {
    Json entries;
    if (kind == "substances") {
        entries = substances(catalogue);
    } else if (kind == "liquids") {
        entries = listOf(catalogue.liquids);
    } else if (kind == "materials") {
        entries = listOf(catalogue.materials);
    } else if (kind == "separators") {
        entries = listOf(catalogue.separators);
    } else if (kind == "cases") {
        entries = listOf(catalogue.cases);
    } else if (kind == "reactions") {
        entries = reactions(catalogue);
    } else if (kind == "species") {
        entries = species(catalogue);
    } else if (kind == "rules") {
        throw Stop{kUsage, "catalogue rules: not yet"};
    } else {
        throw Stop{kUsage,
                   "catalogue: \"" + kind +
                       "\" is no kind; right would be substances, liquids, materials, separators, cases, "
                       "reactions, species or rules"};
    }
    return {{"kind", kind}, {"entries", entries}};
}

} // namespace anodex::cli
