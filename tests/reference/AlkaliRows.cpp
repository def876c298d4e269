// Zinc in potash: what it dissolves, and its voltage against silver oxide, which moves with the potash alike.
#include "core/cell/Evaluation.h"
#include "tests/reference/Rows.h"
#include "tests/reference/Solve.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <fmt/format.h>

namespace anodex::test {
namespace {

const char* const kDirkse = "Dirkse 1954, three times the oxide's, from memory";
const char* const kOxideCells = "zinc and silver oxide cells, from memory";

/// Zinc that stays dissolved, mol/kg, beside more hydroxide than dissolves.
double dissolvedZinc(double potash) {
    const liquid::Solution solution = molalSolution({{"KOH", potash}, {"zinc oxide", 0.8 * potash}});
    const chemistry::SpeciesIndex zinc = *catalogue().findSpecies("Zn2+");
    return solution.moietyMolality[zinc];
}

/// Open circuit of zinc against silver oxide at 25 °C.
double volts(double potash, double oxide) {
    using namespace json;
    Json liquid = {{"water_mL", 100}, {"solutes", {{{"substance", "KOH"}, {"mol_per_kg", potash}}}}};
    if (oxide > 0.0) {
        liquid["solutes"].push_back({{"substance", "zinc oxide"}, {"mol_per_kg", oxide}});
    }
    Json cell = cellWith(electrodeJson("zinc", 10), electrodeJson("silver oxide", 10), liquid);
    cell["temperature_C"] = 25;
    return cell::evaluate(catalogue(), cellOf(cell.dump()), {0}).openCircuitVolts;
}

} // namespace

std::vector<Row> alkaliRows() {
    std::vector<Row> rows;
    const auto solubility = [&](double potash, double published) {
        rows.push_back({"zinc that potash dissolves, mol/kg", fmt::format("{} mol/kg KOH", potash), kDirkse,
                        published, dissolvedZinc(potash), Margin::Relative, 0.35, "", true});
    };
    solubility(1.0, 0.045);
    solubility(4.0, 0.65);
    solubility(6.0, 1.3);
    const auto pair = [&](const char* what, double potash, double oxide, double published, double target) {
        rows.push_back({"zinc against silver oxide, V", fmt::format("{} mol/kg KOH, {}", potash, what),
                        kOxideCells, published, volts(potash, oxide), Margin::Absolute, target, ""});
    };
    for (const double potash : {1.0, 3.0, 6.0, 9.0}) {
        pair("saturated with zinc oxide", potash, 0.7 * potash, 1.595, 0.02);
    }
    for (const double potash : {3.0, 6.0, 10.0}) {
        pair("with a little zinc oxide", potash, 0.05 * potash, 1.60, 0.02);
        pair("fresh", potash, 0.0, 1.65, 0.05);
    }
    return rows;
}

} // namespace anodex::test
