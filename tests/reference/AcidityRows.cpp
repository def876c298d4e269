// pH at 25 °C: buffer standards of the NIST scale (Bates, Determination of pH, 1973), and values that follow
// from published acid constants with activities; from memory.
#include "tests/reference/Solve.h"
#include "tests/support/Samples.h"

namespace anodex::test {
namespace {

struct Point {
    const char* what;
    Molal molal;
    double published;
    const char* source;
    double target = 0.1;
    const char* whyMissed = "";
};

constexpr const char* kNist = "NIST buffer standard, Bates 1973";
constexpr const char* kBates = "Bates 1973, acids, bases and salts 0.1 mol/L";
constexpr const char* kTables = "CRC Handbook, pH of acids and bases";

const std::vector<Point> kPoints = {
    {"phosphate 0.025 + 0.025 (as KH2PO4 and NaOH)", {{"KH2PO4", 0.05}, {"NaOH", 0.025}}, 6.865, kNist},
    {"borax 0.01", {{"borax", 0.01}}, 9.180, kNist},
    {"bicarbonate and carbonate 0.025 each", {{"NaHCO3", 0.025}, {"Na2CO3", 0.025}}, 10.012, kNist},
    {"potassium dihydrogen citrate 0.05", {{"citric acid", 0.05}, {"KOH", 0.05}}, 3.776, kNist},
    {"calcium hydroxide, saturated", {{"Ca(OH)2", 0.1}}, 12.454, kNist},
    {"potassium hydrogen tartrate, saturated", {{"cream of tartar", 0.2}}, 3.557, kNist},
    {"hydrochloric acid 0.1", {{"HCl", 0.1}}, 1.10, kBates},
    {"hydrochloric acid 0.01", {{"HCl", 0.01}}, 2.05, kTables},
    {"sulfuric acid 0.05", {{"H2SO4", 0.05}}, 1.23, kTables},
    {"sulfamic acid 0.1", {{"sulfamic acid", 0.1}}, 1.18, kTables},
    {"acetic acid 0.1", {{"acetic acid", 0.1}}, 2.88, kBates},
    {"acetic acid 1", {{"acetic acid", 1.0}}, 2.38, kTables},
    {"citric acid 0.1", {{"citric acid", 0.1}}, 2.08, "from pKa1 3.128, mass action"},
    {"citric acid 0.01", {{"citric acid", 0.01}}, 2.62, "from pKa1 3.128, mass action"},
    {"phosphoric acid 0.1", {{"H3PO4", 0.1}}, 1.63, "from pKa1 2.148 with activities"},
    {"phosphoric acid 0.01", {{"H3PO4", 0.01}}, 2.25, "from pKa1 2.148 with activities"},
    {"tartaric acid 0.05", {{"tartaric acid", 0.05}}, 2.2, kTables},
    {"lactic acid 0.1", {{"lactic acid", 0.1}}, 2.43, kTables},
    {"malic acid 0.1", {{"malic acid", 0.1}}, 2.24, "from pKa1 3.459, mass action"},
    {"boric acid 0.1", {{"boric acid", 0.1}}, 5.12, "from pKa 9.237, mass action"},
    {"sodium hydroxide 0.1", {{"NaOH", 0.1}}, 12.88, kTables},
    {"potassium hydroxide 0.01", {{"KOH", 0.01}}, 11.95, kTables},
    {"ammonia 0.1", {{"ammonia", 0.1}}, 11.12, kTables},
    {"ammonium chloride 0.01", {{"NH4Cl", 0.01}}, 5.63, "from pKa 9.245, mass action"},
    {"sodium acetate 0.01", {{"NaC2H3O2", 0.01}}, 8.38, "from pKa 4.757, mass action"},
    {"acetic acid and sodium acetate 0.1 each",
     {{"acetic acid", 0.1}, {"NaC2H3O2", 0.1}},
     4.652,
     "Bates 1973"},
    {"sodium bicarbonate 0.01", {{"NaHCO3", 0.01}}, 8.3, kTables},
    {"sodium bicarbonate 0.1",
     {{"NaHCO3", 0.1}},
     8.31,
     kTables,
     0.1,
     "(pK1 + pK2)/2 without activities, as tables have it; carbonate's coefficient lowers it by 0.2"},
    {"sodium carbonate 0.1",
     {{"Na2CO3", 0.1}},
     11.58,
     kTables,
     0.1,
     "tables give the value without activities; carbonate's coefficient lowers it by 0.25"},
    {"trisodium phosphate 0.1", {{"Na3PO4", 0.1}}, 12.0, kTables},
    {"sodium chloride 0.1", {{"NaCl", 0.1}}, 7.0, "ion product of water"},
    {"sodium hypochlorite 0.01", {{"NaClO", 0.01}}, 9.77, "from pKa 7.54, mass action"},
    {"sodium metasilicate 0.1", {{"Na2SiO3", 0.1}}, 12.7, "common practice, no source", 0.3},
    {"hydrogen peroxide 1", {{"H2O2", 1.0}}, 5.8, "from pKa 11.65, mass action"},
};

} // namespace

std::vector<Row> acidityRows() {
    std::vector<Row> rows;
    for (const Point& point : kPoints) {
        rows.push_back({"pH", std::string(point.what) + " mol/kg", point.source, point.published,
                        molalSolution(point.molal).pH, Margin::Absolute, point.target, point.whyMissed});
    }
    return rows;
}

std::vector<Row> solubilityRows() {
    const auto dissolved = [](const Molal& molal, const char* species) {
        const liquid::Solution solution = molalSolution(molal);
        return solution.labileMoles(catalogue(), *catalogue().findSpecies(species));
    };
    const auto row = [](const char* what, const char* source, double published, double computed,
                        const char* whyMissed = "") {
        return Row{"solubility, mol/kg at 25 °C",
                   what,
                   source,
                   published,
                   computed,
                   Margin::Relative,
                   0.15,
                   whyMissed};
    };
    constexpr const char* kSolubility = "CRC Handbook, solubility products and solubilities";
    return {row("iodine in water", kSolubility, 0.00133, dissolved({{"iodine", 0.1}}, "I2(aq)")),
            row("bromine in water", kSolubility, 0.214, dissolved({{"bromine", 1.0}}, "Br2(aq)")),
            row("iodine in potassium iodide 0.1", "Jones & Schumb 1921", 0.051,
                dissolved({{"iodine", 0.2}, {"KI", 0.1}}, "I2(aq)")),
            row("calcium hydroxide in water", kSolubility, 0.0206, dissolved({{"Ca(OH)2", 0.1}}, "Ca2+")),
            row("gypsum in water", kSolubility, 0.0152, dissolved({{"CaSO4", 0.1}}, "Ca2+")),
            row("cream of tartar in water", kSolubility, 0.034,
                dissolved({{"cream of tartar", 0.2}}, "C4H4O6^2-")),
            row("silver chloride in water", kSolubility, 1.33e-5,
                dissolved({{"AgNO3", 0.01}, {"NaCl", 0.01}}, "Ag+")),
            row("amorphous silica", kSolubility, 0.0020,
                dissolved({{"sodium silicate", 0.05}, {"HCl", 0.1}}, "H4SiO4(aq)"))};
}

} // namespace anodex::test
