// How fast metals of the shop waste away at rest, and what warmth does to it.
#include "core/cell/Evaluation.h"
#include "tests/reference/Rows.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <fmt/format.h>

namespace anodex::test {
namespace {

struct Wasting {
    const char* metal;
    const char* substance;
    double molPerLitre;
    double ampsPerM2; ///< Middle of what is published.
    const char* source;
};

const char* const kInhibitors = "blanks of inhibitor studies, i_corr at 25 °C, from memory";
const char* const kHandbook = "corrosion handbooks, weight loss at room temperature, from memory";
const char* const kCells = "self-discharge of zinc and aluminium electrodes, from memory";

// Specimens differ by a factor of three either way.
constexpr double kDecades = 0.65;
const std::vector<Wasting> kWasting = {{"zinc", "H2SO4", 0.5, 40, kInhibitors},
                                       {"zinc", "HCl", 0.1, 6, kInhibitors},
                                       {"zinc", "acetic acid", 0.83, 1, kHandbook},
                                       {"zinc", "citric acid", 0.3, 2, kHandbook},
                                       {"zinc", "KOH", 6, 2, kCells},
                                       {"zinc", "NaOH", 1, 0.7, kInhibitors},
                                       {"zinc", "NaCl", 0.6, 0.15, kInhibitors},
                                       {"zinc", "NH4Cl", 2, 0.3, kCells},
                                       {"zinc", "ZnSO4", 1, 0.06, kCells},
                                       {"steel", "H2SO4", 0.5, 8, kInhibitors},
                                       {"steel", "HCl", 1, 5, kInhibitors},
                                       {"steel", "HCl", 0.1, 1.5, kInhibitors},
                                       {"steel", "acetic acid", 0.83, 0.6, kHandbook},
                                       {"steel", "citric acid", 0.1, 1, kHandbook},
                                       {"steel", "NaCl", 0.6, 0.15, kInhibitors},
                                       {"magnesium", "NaCl", 0.6, 2, kInhibitors},
                                       {"magnesium", "HCl", 0.1, 150, kInhibitors},
                                       {"magnesium", "MgSO4", 0.5, 1.5, kHandbook},
                                       {"aluminium", "NaOH", 1, 130, kInhibitors},
                                       {"aluminium", "NaOH", 0.1, 25, kInhibitors},
                                       {"aluminium", "KOH", 4, 300, kCells},
                                       {"aluminium", "HCl", 1, 3, kInhibitors},
                                       {"stainless steel", "HCl", 1, 1.5, kInhibitors},
                                       {"copper", "H2SO4", 0.5, 0.1, kInhibitors},
                                       {"nickel", "H2SO4", 0.5, 0.1, kInhibitors}};

struct Warming {
    const char* metal;
    const char* substance;
    double molPerLitre;
    double factor; ///< Of hydrogen, from 20 to 30 °C.
    const char* source;
};

const char* const kFifty = "activation of 50 to 60 kJ/mol, Macdonald et al. 1988, from memory";
const char* const kForty = "activation near 40 kJ/mol, Vetter 1967, from memory";
const std::vector<Warming> kWarming = {
    {"aluminium", "NaOH", 1, 2.12, kFifty},  {"aluminium", "KOH", 4, 2.12, kFifty},
    {"zinc", "H2SO4", 0.5, 1.7, kForty},     {"zinc", "HCl", 0.1, 1.7, kForty},
    {"steel", "H2SO4", 0.5, 1.7, kForty},    {"steel", "HCl", 0.5, 1.7, kForty},
    {"magnesium", "NaCl", 0.6, 1.7, kForty}, {"magnesium", "MgSO4", 0.5, 1.7, kForty}};

cell::Evaluation evaluated(const char* metal, const char* substance, double molPerLitre, double celsius) {
    using namespace json;
    Json cell =
        cellWith(electrodeJson(metal), electrodeJson("graphite rod"), water({{substance, molPerLitre}}));
    cell["electrolyte"]["water_mL"] = 500;
    cell["temperature_C"] = celsius;
    return cell::evaluate(catalogue(), cellOf(cell.dump()), {0});
}

constexpr double kAreaM2 = 1e-3; // of electrodeJson()

} // namespace

std::vector<Row> corrosionRows() {
    std::vector<Row> rows;
    for (const Wasting& one : kWasting) {
        const double amps = evaluated(one.metal, one.substance, one.molPerLitre, 25.0).sides[0].corrosionAmps;
        rows.push_back({"corrosion at rest, decades of A/m²",
                        fmt::format("{} in {} mol/L {}", one.metal, one.molPerLitre, one.substance),
                        one.source, std::log10(one.ampsPerM2), std::log10(amps / kAreaM2), Margin::Absolute,
                        kDecades, ""});
    }
    for (const Warming& one : kWarming) {
        const auto rate = [&](double celsius) {
            return evaluated(one.metal, one.substance, one.molPerLitre, celsius).hydrogenM3PerSecond;
        };
        rows.push_back({"hydrogen at 30 °C over 20 °C",
                        fmt::format("{} in {} mol/L {}", one.metal, one.molPerLitre, one.substance),
                        one.source, one.factor, rate(30.0) / rate(20.0), Margin::Relative, 0.08, ""});
    }
    return rows;
}

} // namespace anodex::test
