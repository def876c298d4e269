#include "formats/catalogue/Context.h"

#include "core/base/Constants.h"

#include <algorithm>
#include <cmath>

namespace anodex::formats::catalogue {

using namespace chemistry;
using Code = FileError::Code;

namespace {

void checkDissolution(const Context& context, JsonObject& entry, const Substance& substance) {
    if (substance.isSolvent) {
        return;
    }
    double charge = 0.0;
    std::map<std::string, double> elements = substance.formula.elements;
    for (const SpeciesTerm& ion : substance.dissolvesTo) {
        const Formula& formula = context.catalogue.species[ion.species].formula;
        charge += ion.count * formula.charge;
        for (const auto& [symbol, count] : formula.elements) {
            elements[symbol] -= ion.count * count;
        }
    }
    if (substance.dissolvesTo.empty() || std::abs(charge) > 1e-9) {
        entry.fail(Code::NotBalanced, "dissolves_to", "ions of unequal charge", "ions whose charges cancel");
    } else if (std::any_of(elements.begin(), elements.end(),
                           [](const auto& element) { return std::abs(element.second) > 1e-9; })) {
        entry.fail(Code::NotBalanced, "dissolves_to", "other elements than the substance's",
                   "the substance, with water taken up counted negative");
    }
}

void readHydrates(const Context& context, JsonObject& entry, Substance& substance) {
    entry.eachObject("hydrates", [&](JsonObject& item) {
        Hydrate hydrate;
        hydrate.formulaText = item.text("formula");
        hydrate.formula = context.formulaOf(item, "formula", hydrate.formulaText);
        hydrate.names = item.texts("names");
        hydrate.molarMassKg = molarMassKg(hydrate.formula, context.catalogue.elementGramsPerMole);
        const Species& solvent = context.catalogue.species[context.catalogue.key.solvent];
        const double extra = hydrate.molarMassKg - substance.molarMassKg;
        hydrate.solventPerMole = extra / molarMassKg(solvent.formula, context.catalogue.elementGramsPerMole);
        if (extra <= 0.0 || std::abs(hydrate.solventPerMole - std::round(hydrate.solventPerMole)) > 0.01) {
            item.fail(Code::NotBalanced, "formula", hydrate.formulaText,
                      "the salt and whole crystal solvent");
        }
        substance.hydrates.push_back(std::move(hydrate));
    });
}

std::vector<double> soldStrengths(JsonObject& entry) {
    std::vector<double> strengths;
    for (const double percent : entry.numbers("sold_percent", kPositive)) {
        strengths.push_back(percent / 100.0);
    }
    return strengths;
}

void readConductivity(const Context& context, JsonObject& table, Substance& substance) {
    ConductivityTable conductivity;
    conductivity.cation = context.speciesNamed(table, "cation", table.text("cation"));
    conductivity.anion = context.speciesNamed(table, "anion", table.text("anion"));
    conductivity.equivalentsPerMole = table.numberOr("equivalents_per_mole", 0.0);
    conductivity.temperatureKelvin = base::kZeroCelsius + table.number("temperature_C");
    conductivity.perKelvin = table.number("relative_rise_per_K");
    conductivity.siemensPerMetreByMassFraction = Context::tableOf(table, "S_per_m_by_mass_fraction");
    (void)context.sourcesOf(table);
    if (substance.densityByMassFraction.size() < 2) {
        table.fail(Code::MissingKey, "", "no density table", "solution_density_kg_per_m3 as well");
    }
    substance.conductivity = std::move(conductivity);
}

} // namespace

void readSubstances(Context& context, JsonObject& root) {
    root.eachObject("substances", [&](JsonObject& entry) {
        Substance substance;
        substance.id = entry.text("id");
        substance.name = entry.text("name");
        substance.aliases = entry.texts("aliases");
        substance.formulaText = entry.text("formula");
        substance.formula = context.formulaOf(entry, "formula", substance.formulaText);
        substance.molarMassKg = molarMassKg(substance.formula, context.catalogue.elementGramsPerMole);
        substance.isSolvent = entry.flagOr("solvent", false);
        substance.isWeak = entry.flagOr("weak", false);
        entry.eachNumber("dissolves_to", [&](const std::string& ion, double count) {
            substance.dissolvesTo.push_back({context.speciesNamed(entry, "dissolves_to", ion), count});
        });
        checkDissolution(context, entry, substance);
        if (const auto grams = entry.maybeNumber("solubility_g_per_100_g", kPositive)) {
            substance.solubilityKgPerKg = *grams / 100.0;
        }
        substance.densityByMassFraction = Context::tableOf(entry, "solution_density_kg_per_m3");
        substance.densityKgPerM3 = 1000.0 * entry.number("density_g_per_mL", kDensity);
        substance.isLiquid = entry.flagOr("liquid", false);
        if (const auto bulk = entry.maybeNumber("bulk_g_per_mL", kPositive)) {
            substance.bulkKgPerM3 =
                FactorSpread{1000.0 * *bulk, entry.numberOr("bulk_spread", 1.15, kPositive)};
        }
        substance.soldMassFractions = soldStrengths(entry);
        readHydrates(context, entry, substance);
        entry.object("conductivity", [&](JsonObject& table) { readConductivity(context, table, substance); });
        substance.hazards = Context::hazardsOf(entry);
        substance.sources = context.sourcesOf(entry);
        context.catalogue.substances.push_back(std::move(substance));
    });
}

void readLiquids(Context& context, JsonObject& root) {
    root.eachObject("liquids", [&](JsonObject& entry) {
        ReadyLiquid liquid;
        liquid.id = entry.text("id");
        liquid.name = entry.text("name");
        liquid.aliases = entry.texts("aliases");
        entry.eachObject("parts", [&](JsonObject& part) {
            const std::string id = part.text("substance");
            const auto found =
                std::find_if(context.catalogue.substances.begin(), context.catalogue.substances.end(),
                             [&](const Substance& substance) { return substance.id == id; });
            if (found == context.catalogue.substances.end()) {
                part.fail(Code::UnknownName, "substance", "\"" + id + "\"", "an id of substances.json");
                return;
            }
            liquid.parts.push_back({static_cast<std::size_t>(found - context.catalogue.substances.begin()),
                                    part.number("mol_per_L", kPositive)});
        });
        liquid.strengthSpreadFactor = entry.numberOr("strength_spread_factor", 1.0, kPositive);
        liquid.stillOxygenFactor = entry.numberOr("still_oxygen_factor", 1.0, kPositive);
        liquid.conductivityFactor = entry.numberOr("conductivity_factor", 1.0, kPositive);
        liquid.conductivitySpreadFactor = entry.numberOr("conductivity_spread_factor", 1.0, kPositive);
        liquid.conductivity = entry.maybeNumber("conductivity_S_per_m", kPositive);
        liquid.isFood = entry.flagOr("food", false);
        liquid.isUnbounded = entry.flagOr("unbounded", false);
        liquid.hasPhScale = !entry.flagOr("no_pH_scale", false);
        liquid.sources = context.sourcesOf(entry);
        context.catalogue.liquids.push_back(std::move(liquid));
    });
}

} // namespace anodex::formats::catalogue
