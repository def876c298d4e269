#include "formats/catalogue/Context.h"

#include <utility>

namespace anodex::formats::catalogue {

using namespace chemistry;
using Code = FileError::Code;

void readMaterials(Context& context, JsonObject& root) {
    root.eachObject("materials", [&](JsonObject& entry) {
        Material material;
        material.id = entry.text("id");
        material.name = entry.text("name");
        material.aliases = entry.texts("aliases");
        material.classes = entry.texts("classes");
        material.formulaText = entry.textOr("formula", "");
        material.form = entry.text("form");
        entry.eachNumber("composition", [&](const std::string& name, double fraction) {
            material.composition.push_back({context.speciesNamed(entry, "composition", name), fraction});
        });
        entry.eachNumber("surfaces", [&](const std::string& name, double share) {
            material.surfaces.push_back({context.speciesNamed(entry, "surfaces", name), share});
        });
        material.roughness = {entry.number("roughness", kPositive),
                              entry.numberOr("roughness_spread", 1.0, kPositive)};
        material.utilisation = {entry.numberOr("utilisation", 0.8, kPositive),
                                entry.numberOr("utilisation_spread", 1.2, kPositive)};
        material.densityKgPerM3 = 1000.0 * entry.number("density_g_per_mL", kDensity);
        material.defaultThicknessMetres = 0.001 * entry.number("thickness_mm", kPositive);
        material.resistivityOhmMetres = entry.number("resistivity_ohm_m", kNotNegative);
        material.resistivitySpread = entry.numberOr("resistivity_spread", 1.0, kPositive);
        material.specificAreaM2PerKg = 1000.0 * entry.numberOr("specific_area_m2_per_g", 0.0, kNotNegative);
        material.capacitanceFaradPerKg = 1000.0 * entry.numberOr("capacitance_F_per_g", 0.0, kNotNegative);
        if (const auto limit = entry.maybeNumber("breathing_limit_A_per_m2", kPositive)) {
            material.breathingLimit =
                FactorSpread{*limit, entry.numberOr("breathing_spread", 2.0, kPositive)};
        }
        entry.object("plating", [&](JsonObject& item) {
            Plating plating;
            plating.species = context.speciesNamed(item, "species", item.text("species"));
            plating.thicknessMetres = {1e-6 * item.number("thickness_um", kPositive),
                                       item.numberOr("spread", 1.0, kPositive)};
            plating.densityKgPerM3 = 1000.0 * item.number("density_g_per_mL", kDensity);
            material.plating = plating;
        });
        material.porosity = entry.numberOr("porosity", 0.0, kNotNegative);
        material.usualFilledPores = entry.numberOr("filled_pores", 1.0, kPositive);
        material.wettedShareAsCollector = entry.numberOr("wetted_share_as_collector", 0.0, kNotNegative);
        material.throughOhmM2 = {1e-4 * entry.numberOr("through_ohm_cm2", 0.0, kNotNegative),
                                 entry.numberOr("through_spread", 1.0, kPositive)};
        material.touchOhmM2 = {1e-4 * entry.numberOr("touch_ohm_cm2", 0.0, kNotNegative),
                               entry.numberOr("touch_spread", 1.0, kPositive)};
        if (const auto grade = entry.maybeNumber("grade_V")) {
            material.grade = OffsetSpread{*grade, entry.numberOr("grade_half_width_V", 0.0, kNotNegative)};
        }
        if (const std::string charged = entry.textOr("charged_as", ""); !charged.empty()) {
            material.chargedAs = context.materialNamed(entry, "charged_as", charged);
        }
        constexpr double kCoulombsPerM2 = 3.6 * 1e4; // of one mAh/cm²
        material.formedCoulombsPerM2 =
            kCoulombsPerM2 * entry.numberOr("forms_mAh_per_cm2", 0.0, kNotNegative);
        material.hazards = Context::hazardsOf(entry);
        material.porousCrossover = entry.numberOr("porous_crossover_A_per_m2", 0.0, kNotNegative);
        material.sources = context.sourcesOf(entry);
        context.catalogue.materials.push_back(std::move(material));
    });
}

void readSeparators(Context& context, JsonObject& root) {
    root.eachObject("separators", [&](JsonObject& entry) {
        SeparatorMaterial separator;
        separator.id = entry.text("id");
        separator.name = entry.text("name");
        separator.aliases = entry.texts("aliases");
        separator.classes = entry.texts("classes");
        separator.macMullin = {entry.number("mac_mullin", kPositive),
                               entry.numberOr("mac_mullin_spread", 1.0, kPositive)};
        separator.defaultThicknessMetres = 0.001 * entry.number("thickness_mm", kNotNegative);
        separator.divides = entry.flagOr("divides", false);
        separator.stacked = entry.flagOr("stacked", false);
        entry.object("bridge", [&](JsonObject& item) {
            SeparatorMaterial::Bridge bridge;
            bridge.ohms = item.number("ohm", kPositive);
            bridge.spreadFactor = item.numberOr("spread", 1.5, kPositive);
            bridge.conductivity = item.number("conductivity_S_per_m", kPositive);
            item.eachNumber("ions_mol_per_L", [&](const std::string& ion, double molPerLitre) {
                bridge.ions.push_back(
                    {context.speciesNamed(item, "ions_mol_per_L", ion), 1000.0 * molPerLitre});
            });
            separator.bridge = std::move(bridge);
        });
        separator.leak = entry.numberOr("leak", 1.0, kNotNegative);
        separator.fixedCharge = 1000.0 * entry.numberOr("fixed_charge_mol_per_L", 0.0);
        separator.areaOhmM2 = {1e-4 * entry.numberOr("area_ohm_cm2", 0.0, kNotNegative), 2.0};
        separator.junctionHalfWidth = entry.numberOr("junction_half_width_V", 0.0, kNotNegative);
        separator.sources = context.sourcesOf(entry);
        context.catalogue.separators.push_back(std::move(separator));
    });
}

void readCases(Context& context, JsonObject& root) {
    root.eachObject("cases", [&](JsonObject& entry) {
        CaseMaterial material;
        material.id = entry.text("id");
        material.name = entry.text("name");
        material.aliases = entry.texts("aliases");
        material.classes = entry.texts("classes");
        material.lowestPh = entry.number("lowest_pH");
        material.highestPh = entry.number("highest_pH");
        material.sources = context.sourcesOf(entry);
        context.catalogue.cases.push_back(std::move(material));
    });
}

} // namespace anodex::formats::catalogue
