#include "cli/SolutionCommand.h"

#include "cli/Command.h"
#include "core/base/Constants.h"
#include "core/design/Liquid.h"
#include "core/design/Resolve.h"
#include "core/liquid/SolveSolution.h"
#include "formats/CellFile.h"
#include "wording/ErrorText.h"

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
    std::string text =
        "species by mass action; activities by Pitzer's ion interactions (parameters at 25 °C)";
    text += solution.notes.typicalInteractions
                ? "; some ion pairs have no published parameters and take typical ones"
                : "; all parameters that matter are published or fitted";
    text += solution.notes.beyondActivityRange ? "; beyond the published range of strength"
                                               : "; within the published range of strength";
    if (solution.notes.estimatedConductivity) {
        text += "; conductivity estimated from single ions";
    }
    if (!solution.mixture.hasPhScale) {
        text += "; this liquid has no pH scale: the pH given is a formal one";
    }
    return text;
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
        throw Stop{kWrongInput, path + ": " + wording::errorText(file.error())};
    }
    auto liquid = design::resolveLiquid(catalogue, file->liquid, file->temperatureKelvin, "");
    if (!liquid) {
        design::DesignError error = liquid.error();
        error.field.erase(0, error.field.starts_with(".") ? 1 : 0);
        throw Stop{kWrongInput, path + ": " + wording::errorText(formats::toFileError(error))};
    }
    liquid->mixture.oxygenPressureBar = base::kOxygenShareOfAir;
    return solutionJson(catalogue, liquid::solveSolution(catalogue, liquid->mixture));
}

Command solutionCommand() {
    return {"solution",
            "What a liquid holds once it has settled",
            {{"LIQUID", "*.liquid.json", "The liquid file", true}},
            [](const Call& call) -> int {
                print(call.console(), describeSolution(call.catalogue(), call.text("LIQUID")));
                return kGood;
            }};
}

} // namespace anodex::cli
