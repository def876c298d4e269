#include "cli/CatalogueCommand.h"

#include "cli/Command.h"
#include "cli/PlainText.h"
#include "wording/FindingText.h"
#include "wording/Listing.h"

#include <cmath>

namespace anodex::cli {
namespace {

using chemistry::Catalogue;
using formats::Json;

template <typename Entry> Json common(const Entry& entry) {
    return {{"id", entry.id}, {"name", entry.name}, {"aliases", entry.aliases}, {"sources", entry.sources}};
}

/// What all kinds share, and what `fill` adds for this one.
template <typename Entry, typename Fill> Json listOf(const std::vector<Entry>& entries, const Fill& fill) {
    Json list = Json::array();
    for (const Entry& entry : entries) {
        Json json = common(entry);
        fill(entry, json);
        list.push_back(json);
    }
    return list;
}

Json termsJson(const Catalogue& catalogue, const std::vector<chemistry::SpeciesTerm>& terms) {
    Json json = Json::object();
    for (const chemistry::SpeciesTerm& term : terms) {
        json[catalogue.species[term.species].name] = term.count;
    }
    return json;
}

Json hazardsJson(const std::vector<chemistry::Hazard>& hazards) {
    Json json = Json::array();
    for (const chemistry::Hazard& hazard : hazards) {
        json.push_back({{"code", hazard.code}, {"statement", hazard.statement}});
    }
    return json;
}

Json liquids(const Catalogue& catalogue) {
    return listOf(catalogue.liquids, [&](const auto& liquid, Json& entry) {
        entry["mol_per_L"] = Json::object();
        for (const auto& part : liquid.parts) {
            entry["mol_per_L"][catalogue.substances[part.substance].name] = part.molPerLitre;
        }
        entry["strength_within_factor"] = liquid.strengthSpreadFactor;
        entry["conductivity_factor"] = liquid.conductivityFactor;
        entry["has_pH_scale"] = liquid.hasPhScale;
    });
}

Json materials(const Catalogue& catalogue) {
    return listOf(catalogue.materials, [&](const auto& material, Json& entry) {
        entry["form"] = material.form;
        entry["surfaces"] = Json::object();
        for (const auto& part : material.surfaces) {
            entry["surfaces"][catalogue.species[part.phase].name] = part.share;
        }
        entry["roughness"] = material.roughness.value;
        entry["density_g_per_mL"] = material.densityKgPerM3 / 1000.0;
        entry["thickness_mm"] = material.defaultThicknessMetres * 1000.0;
        entry["resistivity_ohm_m"] = material.resistivityOhmMetres;
        if (material.plating) {
            entry["plating"] = {{"species", catalogue.species[material.plating->species].name},
                                {"thickness_um", material.plating->thicknessMetres.value * 1e6}};
        }
        if (material.breathingLimit) {
            entry["air_limit_A_per_m2"] = material.breathingLimit->value;
        }
        if (material.porosity > 0.0) {
            entry["porosity"] = material.porosity;
            entry["filled_pores_percent"] = material.usualFilledPores * 100.0;
        }
        entry["hazards"] = hazardsJson(material.hazards);
    });
}

Json separators(const Catalogue& catalogue) {
    return listOf(catalogue.separators, [](const auto& separator, Json& entry) {
        entry["mac_mullin_number"] = separator.macMullin.value;
        entry["thickness_mm"] = separator.defaultThicknessMetres * 1000.0;
        entry["divides"] = separator.divides;
        entry["fixed_charge_mol_per_L"] = separator.fixedCharge / 1000.0;
    });
}

Json cases(const Catalogue& catalogue) {
    return listOf(catalogue.cases, [](const auto& material, Json& entry) {
        entry["lowest_pH"] = material.lowestPh;
        entry["highest_pH"] = material.highestPh;
    });
}

Json substances(const Catalogue& catalogue) {
    return listOf(catalogue.substances, [&](const auto& substance, Json& entry) {
        entry["formula"] = substance.formulaText;
        entry["molar_mass_g_per_mol"] = substance.molarMassKg * 1000.0;
        entry["hydrates"] = Json::array();
        for (const auto& hydrate : substance.hydrates) {
            entry["hydrates"].push_back(hydrate.formulaText);
        }
        entry["dissolves_to"] = termsJson(catalogue, substance.dissolvesTo);
        if (substance.solubilityKgPerKg) {
            entry["solubility_g_per_100_g"] = *substance.solubilityKgPerKg * 100.0;
        }
        entry["hazards"] = hazardsJson(substance.hazards);
    });
}

Json reactions(const Catalogue& catalogue) {
    Json list = Json::array();
    for (const auto& reaction : catalogue.reactions) {
        Json runsOn = Json::array();
        for (const auto& kinetics : reaction.kinetics) {
            for (const chemistry::SpeciesIndex surface : kinetics.surfaces) {
                runsOn.push_back({{"phase", catalogue.species[surface].name},
                                  {"A_per_m2", kinetics.currentDensity.value},
                                  {"within_factor", kinetics.currentDensity.factor},
                                  {"slope_V", kinetics.slopeVolts},
                                  {"sources", kinetics.sources}});
            }
        }
        list.push_back({{"id", reaction.id},
                        {"name", reaction.anodicName},
                        {"aliases", Json::array({reaction.cathodicName})},
                        {"sources", reaction.sources},
                        {"equation", reaction.equation},
                        {"electrons", reaction.electrons},
                        {"standard_potential_V", reaction.standardVolts.value},
                        {"standard_potential_V_per_K", reaction.standardVoltsPerKelvin},
                        {"runs_on", runsOn}});
    }
    return list;
}

Json species(const Catalogue& catalogue) {
    Json list = Json::array();
    for (const auto& entry : catalogue.species) {
        Json json = {{"id", entry.name},
                     {"name", entry.name},
                     {"aliases", Json::array()},
                     {"sources", entry.sources},
                     {"charge", entry.formula.charge}};
        if (entry.gibbsJoulesPerMole) {
            json["gibbs_energy_kJ_per_mol"] = *entry.gibbsJoulesPerMole / 1000.0;
        }
        if (entry.formation) {
            json["forms_from"] = termsJson(catalogue, entry.formation->terms);
            json["log10_K"] = entry.formation->log10K;
        }
        if (entry.isDissolved()) {
            json["diffusivity_m2_per_s"] = entry.diffusivity;
            json["limiting_conductivity_S_m2_per_mol"] = entry.limitingConductivity;
        }
        list.push_back(json);
    }
    return list;
}

const char* placeText(chemistry::Place place) {
    switch (place) {
    case chemistry::Place::Electrode:
        return "electrode";
    case chemistry::Place::Collector:
        return "collector";
    case chemistry::Place::Case:
        return "case";
    case chemistry::Place::Separator:
        return "separator";
    case chemistry::Place::Liquid:
        break;
    }
    return "liquid";
}

void addFinite(Json& json, const char* key, double value) {
    if (std::isfinite(value)) {
        json[key] = value;
    }
}

void addCondition(const Catalogue& catalogue, const chemistry::LiquidCondition& condition, Json& json) {
    for (const auto& group : condition.together) {
        Json any = Json::object();
        for (const chemistry::Presence& presence : group) {
            any[catalogue.species[presence.species].name] = presence.molPerM3 / 1000.0;
        }
        json["with"].push_back({{"any_mol_per_L", any}});
    }
    addFinite(json, "pH_from", condition.lowestPh);
    addFinite(json, "pH_to", condition.highestPh);
}

Json rules(const Catalogue& catalogue) {
    Json list = Json::array();
    for (const auto& rule : catalogue.rules) {
        Json json = {{"id", rule->id},
                     {"name", rule->title},
                     {"aliases", Json::array()},
                     {"sources", rule->sources},
                     {"severity", wording::severityText(rule->severity)},
                     {"place", placeText(rule->place)},
                     {"of", rule->classes},
                     {"with", Json::array()},
                     {"reason", rule->reason},
                     {"remedy", rule->remedy}};
        addCondition(catalogue, rule->liquid, json);
        if (rule->beside) {
            json["beside"] = {{"with", Json::array()}};
            addCondition(catalogue, *rule->beside, json["beside"]);
        }
        addFinite(json, "above_V", rule->aboveVolts);
        addFinite(json, "below_V", rule->belowVolts);
        list.push_back(json);
    }
    return list;
}

struct Kind {
    const char* name;
    Json (*list)(const Catalogue& catalogue);
};

constexpr Kind kKinds[] = {{"substances", substances}, {"liquids", liquids}, {"materials", materials},
                           {"separators", separators}, {"cases", cases},     {"reactions", reactions},
                           {"species", species},       {"rules", rules}};

} // namespace

Json listCatalogue(const Catalogue& catalogue, const std::string& kind) {
    std::vector<std::string> names;
    for (const Kind& one : kKinds) {
        if (kind == one.name) {
            return {{"kind", kind}, {"entries", one.list(catalogue)}};
        }
        names.emplace_back(one.name);
    }
    throw misfit("catalogue", kind, wording::choiceOf(names));
}

Command catalogueCommand() {
    std::vector<std::string> names;
    for (const Kind& one : kKinds) {
        names.emplace_back(one.name);
    }
    return {"catalogue",
            "anodex-cli catalogue materials",
            {{"KIND", "kind", true, names}},
            [](const Call& call) -> int {
                print(call.console(), listCatalogue(call.catalogue(), call.text("KIND")), catalogueText);
                return kGood;
            }};
}

} // namespace anodex::cli
