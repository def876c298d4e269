// Densities at 20 °C unless said: CRC Handbook of Chemistry and Physics, concentrative properties of aqueous
// solutions; Perry's Chemical Engineers' Handbook; Kell 1975; from memory. Strengths that stand in the
// catalogue's own tables are left out.
#include "tests/reference/Solve.h"
#include "tests/support/Samples.h"

#include <fmt/format.h>

namespace anodex::test {
namespace {

struct Point {
    const char* name;
    double percent;
    double published; // g/mL
    const char* source;
    const char* whyMissed = "";
};

constexpr const char* kCrc = "CRC Handbook, concentrative properties";
constexpr const char* kPerry = "Perry's Handbook, densities";

const std::vector<Point> kPoints = {
    {"NaCl", 2, 1.0125, kCrc},
    {"NaCl", 8, 1.0559, kCrc},
    {"KCl", 2, 1.0110, kCrc},
    {"LiCl", 2, 1.0099, kCrc},
    {"LiCl", 15, 1.0849, kCrc},
    {"NH4Cl", 2, 1.0045, kCrc},
    {"NH4Cl", 15, 1.0429, kCrc},
    {"CaCl2", 2, 1.0148, kCrc},
    {"CaCl2", 15, 1.1292, kCrc},
    {"CaCl2", 25, 1.2284, kCrc},
    {"MgCl2", 2, 1.0146, kCrc},
    {"MgCl2", 15, 1.1274, kCrc},
    {"ZnCl2", 12, 1.1085, kPerry},
    {"ZnCl2", 6, 1.0532, kPerry},
    {"AlCl3", 4, 1.0344, kPerry},
    {"AlCl3", 8, 1.0711, kPerry},
    {"NaBr", 2, 1.0139, kCrc},
    {"NaBr", 15, 1.1264, kCrc},
    {"KBr", 2, 1.0127, kCrc},
    {"KBr", 15, 1.1156, kCrc},
    {"ZnBr2", 6, 1.0544, kPerry},
    {"ZnBr2", 10, 1.0935, kPerry},
    {"KI", 2, 1.0131, kCrc},
    {"KI", 15, 1.1198, kCrc},
    {"NaOH", 2, 1.0207, kCrc},
    {"NaOH", 15, 1.1640, kCrc},
    {"KOH", 2, 1.0155, kCrc},
    {"KOH", 15, 1.1384, kCrc},
    {"K2CO3", 2, 1.0163, kCrc},
    {"K2CO3", 15, 1.1387, kCrc},
    {"Na2CO3", 2, 1.0190, kCrc},
    {"NaHCO3", 2, 1.0126, kCrc},
    {"H2SO4", 15, 1.1020, kCrc},
    {"H2SO4", 25, 1.1783, kCrc},
    {"H2SO4", 37, 1.2769, kCrc},
    {"HCl", 15, 1.0726, kCrc},
    {"H3PO4", 2, 1.0092, kCrc},
    {"H3PO4", 15, 1.0824, kCrc},
    {"citric acid", 2, 1.0063, kCrc},
    {"acetic acid", 2, 1.0012, kCrc},
    {"acetic acid", 15, 1.0195, kCrc},
    {"tartaric acid", 2, 1.0073, kCrc},
    {"lactic acid", 2, 1.0028, kCrc},
    {"CuSO4", 2, 1.0190, kCrc},
    {"CuSO4", 8, 1.0840, kCrc},
    {"ZnSO4", 2, 1.0190, kCrc},
    {"MgSO4", 2, 1.0186, kCrc},
    {"MgSO4", 15, 1.1602, kCrc},
    {"Na2SO4", 2, 1.0164, kCrc},
    {"K2SO4", 2, 1.0142, kCrc},
    {"FeSO4", 16, 1.1675, kPerry},
    {"Cu(NO3)2", 4, 1.0320, kPerry},
    {"Cu(NO3)2", 8, 1.0690, kPerry},
    {"Zn(NO3)2", 4, 1.0322, kPerry},
    {"Zn(NO3)2", 8, 1.0675, kPerry},
    {"KNO3", 2, 1.0108, kCrc},
    {"KNO3", 15, 1.0967, kCrc},
    {"NH4NO3", 2, 1.0064, kPerry},
    {"NaC2H3O2", 2, 1.0085, kCrc},
    {"NaC2H3O2", 15, 1.0757, kCrc},
    {"MnSO4", 2, 1.0178, kCrc},
    {"H2O2", 4, 1.0128, kCrc},
    {"H2O2", 15, 1.0532, kCrc},
    {"KAl(SO4)2", 4, 1.0377, kPerry},
    {"malic acid", 15, 1.0610, kCrc},
    {"borax anhydrous", 1.5, 1.0126, kPerry},
    {"sodium silicate", 5.76, 1.060, "makers' data sheets, 10 % of the pentahydrate"},
    {"(NH4)2SO4", 15, 1.0862, kCrc},
    {"sucrose", 15, 1.0592, kCrc},
    {"NaNO3", 15, 1.1040, kCrc},
};

} // namespace

std::vector<Row> densityRows() {
    std::vector<Row> rows;
    for (const Point& point : kPoints) {
        requireHeldOut(substanceOf(point.name).densityByMassFraction, point.percent, point.name);
        rows.push_back({"density, g/mL", fmt::format("{} {} % at 20 °C", point.name, point.percent),
                        point.source, point.published,
                        percentSolution(point.name, point.percent).densityKgPerM3 / 1000.0, Margin::Relative,
                        0.003, point.whyMissed});
    }
    for (const auto& [celsius, published] : {std::pair{4.0, 0.99997}, {25.0, 0.99705}, {50.0, 0.98804}}) {
        rows.push_back({"density, g/mL", fmt::format("water at {} °C", celsius), "Kell 1975", published,
                        molalSolution({}, celsius).densityKgPerM3 / 1000.0, Margin::Relative, 0.003, ""});
    }
    rows.push_back({"density of a mixture, g/mL", "household bleach: NaClO and NaCl 0.74 mol/kg each, 20 °C",
                    "makers' data sheets, 5 % by mass", 1.07,
                    molalSolution({{"NaClO", 0.74}, {"NaCl", 0.74}}, 20.0).densityKgPerM3 / 1000.0,
                    Margin::Relative, 0.005, ""});
    rows.push_back({"density of a mixture, g/mL", "seawater of salinity 35 at 20 °C", "TEOS-10", 1.0248,
                    readySolution("seawater", 20.0).densityKgPerM3 / 1000.0, Margin::Relative, 0.005, ""});
    return rows;
}

} // namespace anodex::test
