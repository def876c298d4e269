#include "cli/SolutionCommand.h"

#include "cli/Command.h"
#include "cli/PlainText.h"
#include "core/base/Constants.h"
#include "core/design/Liquid.h"
#include "core/design/Resolve.h"
#include "core/liquid/SolveSolution.h"
#include "formats/CellFile.h"
#include "wording/ErrorText.h"
#include "wording/Texts.h"

namespace anodex::cli {
namespace {

using chemistry::Catalogue;
using formats::Json;
using liquid::Solution;

constexpr double kSmallestShown = 1e-15; // mol/kg

Json speciesJson(const Catalogue& catalogue, const Solution& solution) {
    Json json = Json::object();
    for (chemistry::SpeciesIndex s = 0; s < solution.molality.size(); ++s) {
        if (solution.molality[s] > kSmallestShown) {
            json[catalogue.species[s].name] = {{"molality", solution.molality[s]},
                                               {"activity", solution.activity[s]}};
        }
    }
    return json;
}

Json coefficientsJson(const Catalogue& catalogue, const Solution& solution) {
    Json json = Json::object();
    for (const liquid::Portion& portion : solution.dissolved) {
        if (const auto gamma = liquid::meanActivityCoefficient(catalogue, solution, portion.substance)) {
            json[catalogue.substances[portion.substance].formulaText] = *gamma;
        }
    }
    return json;
}

Json undissolvedJson(const Catalogue& catalogue, const Solution& solution) {
    Json json = Json::array();
    for (const liquid::Undissolved& rest : solution.undissolved) {
        json.push_back(
            {{"substance", catalogue.substances[rest.substance].name}, {"mass_g", rest.kilograms * 1000.0}});
    }
    for (const liquid::Precipitate& solid : solution.precipitates) {
        const auto substance = liquid::substanceOf(catalogue, solid.species);
        json.push_back({{"substance", substance ? catalogue.substances[*substance].name
                                                : catalogue.species[solid.species].name},
                        {"mass_g", solid.kilograms * 1000.0}});
    }
    return json;
}

std::string methodText(const Solution& solution) {
    const auto word = [](bool is) { return std::string(is ? "yes" : "no"); };
    return wording::text({"cli.method",
                          {{"typical", word(solution.notes.typicalInteractions)},
                           {"beyond", word(solution.notes.beyondActivityRange)},
                           {"estimated", word(solution.notes.estimatedConductivity)},
                           {"scale", word(solution.mixture.hasPhScale)}}});
}

} // namespace

Json solutionJson(const Catalogue& catalogue, const Solution& solution) {
    return {{"pH", solution.pH},
            {"density_g_per_mL", solution.densityKgPerM3 / 1000.0},
            {"conductivity_S_per_m", solution.conductivity},
            {"ionic_strength_mol_per_kg", solution.ionicStrength},
            {"species", speciesJson(catalogue, solution)},
            {"mean_activity_coefficient", coefficientsJson(catalogue, solution)},
            {"water_activity", solution.solventActivity},
            {"undissolved", undissolvedJson(catalogue, solution)},
            {"volume_mL", solution.volumeM3 * 1e6},
            {"method", methodText(solution)}};
}

Json describeSolution(const Catalogue& catalogue, const std::string& path) {
    const auto file = formats::readLiquidFile(readText(path));
    if (!file) {
        throw stopAt(kWrongInput, path, wording::errorText(file.error()));
    }
    auto liquid = design::resolveLiquid(catalogue, file->liquid, file->temperatureKelvin, "");
    if (!liquid) {
        design::DesignError error = liquid.error();
        error.field.erase(0, error.field.starts_with(".") ? 1 : 0);
        throw stopAt(kWrongInput, path, wording::errorText(formats::toFileError(error)));
    }
    liquid->mixture.oxygenPressureBar = base::kOxygenShareOfAir;
    return solutionJson(catalogue, liquid::solveSolution(catalogue, liquid->mixture));
}

Command solutionCommand() {
    return {"solution",
            "anodex-cli solution brine.liquid.json",
            {{"LIQUID", "*.liquid.json", true}},
            [](const Call& call) -> int {
                print(call.console(), describeSolution(call.catalogue(), call.text("LIQUID")), solutionText);
                return kGood;
            }};
}

} // namespace anodex::cli
