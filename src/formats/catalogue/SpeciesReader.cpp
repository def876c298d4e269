#include "formats/catalogue/Context.h"

#include "formats/Equation.h"

#include <algorithm>
#include <cmath>

namespace anodex::formats::catalogue {

using namespace chemistry;
using Code = FileError::Code;

namespace {

void linkSpecies(const Context& context, JsonObject& entry, Species& species, const std::string& formation) {
    // Keys were checked in the first pass.
    for (const char* key :
         {"name", "formation", "log_K", "enthalpy_kJ", "diffusivity_1e-9_m2_per_s", "setchenow",
          "limiting_conductivity_1e-4_S_m2_per_mol", "default_activity", "acidic_protons",
          "carried_hydroxide", "sludge_water", "insertion_s", "insertion_spread", "precipitates",
          "molar_volume_cm3_per_mol", "enthalpy_kJ_per_mol", "gibbs_kJ_per_mol", "air_limit", "sources"}) {
        (void)entry.raw(key);
    }
    entry.eachNumber("conducts_as", [&](const std::string& ion, double count) {
        species.conductsAs.push_back({context.speciesNamed(entry, "conducts_as", ion), count});
    });
    if (formation.empty()) {
        return;
    }
    auto terms = parseSide(context.catalogue, formation);
    if (!terms) {
        entry.fail(Code::UnknownName, "formation", terms.error(), "species and counts, like \"2 H+ + X^2-\"");
        return;
    }
    std::map<std::string, double> elements = species.formula.elements;
    double charge = species.formula.charge;
    for (const SpeciesTerm& term : *terms) {
        const Formula& formula = context.catalogue.species[term.species].formula;
        for (const auto& [symbol, count] : formula.elements) {
            elements[symbol] -= term.count * count;
        }
        charge -= term.count * formula.charge;
    }
    const bool balanced = std::abs(charge) < 1e-9 &&
                          std::all_of(elements.begin(), elements.end(),
                                      [](const auto& element) { return std::abs(element.second) < 1e-9; });
    if (!balanced) {
        entry.fail(Code::NotBalanced, "formation", "\"" + formation + "\"",
                   "equal elements and charge on both sides");
    }
    species.formation->terms = std::move(*terms);
    if (species.enthalpyJoulesPerMole) {
        entry.fail(Code::Conflict, "enthalpy_kJ_per_mol", "beside a formation",
                   "enthalpy_kJ of the formation alone: a species has one enthalpy");
    }
}

/// That of a species with a formation follows from those it is formed of.
void deriveEnthalpies(Catalogue& catalogue) {
    for (Species& species : catalogue.species) {
        if (!species.formation) {
            continue;
        }
        std::optional<double> sum = species.formation->enthalpyJoulesPerMole;
        for (const SpeciesTerm& term : species.formation->terms) {
            const auto& part = catalogue.species[term.species].enthalpyJoulesPerMole;
            sum = sum && part ? std::optional(*sum + term.count * *part) : std::nullopt;
        }
        species.enthalpyJoulesPerMole = sum;
    }
}

void readKey(Context& context, JsonObject& root) {
    root.object("key", [&](JsonObject& key) {
        context.catalogue.key.hydrogenIon =
            context.speciesNamed(key, "hydrogen_ion", key.text("hydrogen_ion"));
        context.catalogue.key.hydroxide = context.speciesNamed(key, "hydroxide", key.text("hydroxide"));
        context.catalogue.key.solvent = context.speciesNamed(key, "solvent", key.text("solvent"));
        context.catalogue.key.oxygenGas = context.speciesNamed(key, "oxygen_gas", key.text("oxygen_gas"));
        context.catalogue.key.hydrogenGas =
            context.speciesNamed(key, "hydrogen_gas", key.text("hydrogen_gas"));
        context.catalogue.key.dissolvedOxygen =
            context.speciesNamed(key, "dissolved_oxygen", key.text("dissolved_oxygen"));
    });
}

} // namespace

void readSpecies(Context& context, JsonObject& root) {
    // Two passes: a formation may name a species that stands later.
    std::vector<std::string> formations;
    root.eachObject("species", [&](JsonObject& entry) {
        Species species;
        species.name = entry.text("name");
        species.formula = context.formulaOf(entry, "name", species.name);
        species.molarMassKg = molarMassKg(species.formula, context.catalogue.elementGramsPerMole);
        species.diffusivity = 1e-9 * entry.numberOr("diffusivity_1e-9_m2_per_s", 1.0, kPositive);
        species.limitingConductivity =
            1e-4 * entry.numberOr("limiting_conductivity_1e-4_S_m2_per_mol", 0.0, kNotNegative);
        species.setchenow = entry.numberOr("setchenow", 0.0);
        species.defaultActivity = entry.numberOr("default_activity", 1.0, kPositive);
        species.molarVolumeM3 = 1e-6 * entry.numberOr("molar_volume_cm3_per_mol", 0.0);
        species.precipitates = entry.flagOr("precipitates", false);
        if (const auto gibbs = entry.maybeNumber("gibbs_kJ_per_mol")) {
            species.gibbsJoulesPerMole = 1000.0 * *gibbs;
        }
        if (const auto enthalpy = entry.maybeNumber("enthalpy_kJ_per_mol")) {
            species.enthalpyJoulesPerMole = 1000.0 * *enthalpy;
        }
        species.acidicProtons = entry.numberOr("acidic_protons", 0.0, kNotNegative);
        species.carriedHydroxide = entry.numberOr("carried_hydroxide", 0.0, kNotNegative);
        if (const auto insertion = entry.maybeNumber("insertion_s", kPositive)) {
            species.insertionSeconds =
                chemistry::FactorSpread{*insertion, entry.numberOr("insertion_spread", 1.0, kPositive)};
        }
        species.sludgeWater = entry.numberOr("sludge_water", 0.0, kNotNegative);
        entry.object("air_limit", [&](JsonObject& limit) {
            species.airLimit = AirLimit{
                limit.text("name"), 1e-6 * limit.number("ppm", kPositive), limit.flagOr("burns", false),
                limit.numberOr("escapes", 1.0, {0.0, 1.0, true, "a share from 0 to 1"})};
        });
        formations.push_back(entry.textOr("formation", ""));
        Formation formation;
        formation.log10K = entry.numberOr("log_K", 0.0);
        formation.enthalpyJoulesPerMole = 1000.0 * entry.numberOr("enthalpy_kJ", 0.0);
        if (!formations.back().empty()) {
            species.formation = formation;
        }
        (void)entry.raw("conducts_as");
        species.sources = context.sourcesOf(entry);
        if (context.catalogue.findSpecies(species.name)) {
            entry.fail(Code::Conflict, "name",
                       base::Said("\"{name}\" stands twice", {{"name", species.name}}), "each species once");
        }
        context.catalogue.species.push_back(std::move(species));
    });
    std::size_t index = 0;
    root.eachObject("species", [&](JsonObject& entry) {
        linkSpecies(context, entry, context.catalogue.species[index], formations[index]);
        ++index;
    });
    readKey(context, root);
    deriveEnthalpies(context.catalogue);
    indexMoieties(context.catalogue);
}

} // namespace anodex::formats::catalogue
