// Conductivities: CRC Handbook, electrical conductivity of aqueous solutions at 20 °C (strengths that do not
// stand in the catalogue's tables); equivalent conductivities at 25 °C, Robinson & Stokes 1959; from memory.
#include "tests/reference/Solve.h"
#include "tests/support/Samples.h"

#include <fmt/format.h>

namespace anodex::test {
namespace {

struct Point {
    const char* name;
    double percent;
    double published; // S/m at 20 °C
    const char* whyMissed = "";
};

const std::vector<Point> kPercent = {
    {"LiCl", 2, 3.49},      {"LiCl", 15, 15.5},      {"LiCl", 25, 16.5},     {"NH4Cl", 2, 4.03},
    {"CaCl2", 2, 2.94},     {"CaCl2", 15, 15.7},     {"MgCl2", 2, 3.12},     {"MgCl2", 15, 12.9},
    {"NaBr", 2, 1.84},      {"NaBr", 15, 12.2},      {"KBr", 2, 1.95},       {"KBr", 15, 14.4},
    {"KI", 2, 1.42},        {"KI", 15, 11.0},        {"K2CO3", 2, 2.54},     {"K2CO3", 15, 15.2},
    {"MgSO4", 2, 1.33},     {"K2SO4", 2, 2.10},      {"NaNO3", 2, 2.04},     {"NaNO3", 15, 11.1},
    {"NaNO3", 25, 15.2},    {"NaC2H3O2", 2, 1.44},   {"NaC2H3O2", 15, 6.41}, {"MnSO4", 15, 4.37},
    {"(NH4)2SO4", 2, 2.57}, {"(NH4)2SO4", 15, 14.7}, {"KH2PO4", 2, 1.10},    {"H3PO4", 15, 8.84},
    {"H3PO4", 25, 14.6},
};

/// At 18 °C (acids) and 15 °C (potash) in the source, brought to 20 °C by its own coefficients.
const std::vector<Point> kStrong = {
    {"H2SO4", 55, 47.4}, {"H2SO4", 65, 30.4}, {"H2SO4", 78, 13.2}, {"H2SO4", 83, 10.6},
    {"H2SO4", 87, 10.8}, {"H2SO4", 92, 11.7}, {"H3PO4", 35, 19.0}, {"H3PO4", 45, 21.4},
    {"H3PO4", 65, 17.0}, {"H3PO4", 75, 12.6}, {"KOH", 37.8, 54.1}, {"KOH", 42, 48.2},
};

struct Equivalent {
    const char* name;
    double molPerLitre;
    double equivalents; // per mole
    double published;   // S cm2 per equivalent at 25 °C
    const char* whyMissed = "";
};

const std::vector<Equivalent> kEquivalent = {
    {"NaCl", 0.01, 1, 118.45},   {"NaCl", 0.1, 1, 106.69},   {"NaCl", 1.0, 1, 85.8},
    {"KCl", 0.01, 1, 141.20},    {"KCl", 0.1, 1, 128.90},    {"LiCl", 0.1, 1, 95.81},
    {"NH4Cl", 0.1, 1, 128.69},   {"CaCl2", 0.05, 2, 102.41}, {"MgCl2", 0.05, 2, 97.05},
    {"NaI", 0.1, 1, 108.73},     {"KI", 0.1, 1, 131.05},     {"KBr", 0.1, 1, 131.32},
    {"NaC2H3O2", 0.1, 1, 72.76}, {"KNO3", 0.1, 1, 120.34},   {"AgNO3", 0.1, 1, 109.09},
    {"HCl", 0.1, 1, 391.13},     {"NaOH", 0.01, 1, 237.9},   {"Na2SO4", 0.05, 2, 89.94},
    {"CuSO4", 0.05, 2, 50.55},   {"ZnSO4", 0.005, 2, 84.91}, {"KHCO3", 0.01, 1, 110.03},
};

} // namespace

std::vector<Row> conductivityRows() {
    std::vector<Row> rows;
    for (const Point& point : kPercent) {
        requireHeldOut(substanceOf(point.name).conductivity->siemensPerMetreByMassFraction, point.percent,
                       point.name);
        rows.push_back({"conductivity, S/m", fmt::format("{} {} % at 20 °C", point.name, point.percent),
                        "CRC Handbook, electrical conductivity", point.published,
                        percentSolution(point.name, point.percent).conductivity, Margin::Relative, 0.05,
                        point.whyMissed});
    }
    for (const Point& point : kStrong) {
        requireHeldOut(substanceOf(point.name).conductivity->siemensPerMetreByMassFraction, point.percent,
                       point.name);
        rows.push_back({"conductivity of strong acids and potash, S/m",
                        fmt::format("{} {} % at 20 °C", point.name, point.percent),
                        "Kohlrausch & Holborn 1916, from memory", point.published,
                        percentSolution(point.name, point.percent).conductivity, Margin::Relative, 0.05,
                        point.whyMissed});
    }
    for (const Equivalent& point : kEquivalent) {
        const double computed = molarSolution(point.name, point.molPerLitre).conductivity /
                                (point.molPerLitre * point.equivalents) * 10.0;
        rows.push_back({"equivalent conductivity, S cm2/mol",
                        fmt::format("{} {} mol/L at 25 °C", point.name, point.molPerLitre),
                        "Robinson & Stokes 1959, appendix 6.3", point.published, computed, Margin::Relative,
                        0.05, point.whyMissed});
    }
    const auto add = [&](const char* what, const liquid::Solution& solution, double published, double target,
                         const char* source, const char* group = "conductivity, S/m") {
        rows.push_back({group, what, source, published, solution.conductivity, Margin::Relative, target, ""});
    };
    add("KCl standard 0.1 D, 25 °C", molalSolution({{"KCl", 0.1002}}), 1.2856, 0.05, "CRC Handbook");
    add("KCl standard 1 D, 25 °C", molalSolution({{"KCl", 1.0292}}), 11.134, 0.05, "CRC Handbook");
    add("35 % sulfuric acid, 25 °C", molalSolution({{"H2SO4", 5.49}}), 80.0, 0.06, "Bode 1977");
    add("6 mol/L potassium hydroxide, 25 °C", molarSolution("KOH", 6.0), 62.0, 0.06, "See & White 1997");
    const char* mixture = "conductivity of a mixture, S/m";
    add("seawater of salinity 35, 25 °C", readySolution("seawater", 25.0), 5.306, 0.15, "TEOS-10", mixture);
    add("CuSO4 0.7 + H2SO4 1.5 mol/kg, 25 °C", molalSolution({{"CuSO4", 0.7}, {"H2SO4", 1.5}}), 44.0, 0.15,
        "copper refining liquids, Price & Davenport 1980", mixture);
    return rows;
}

} // namespace anodex::test
