// Potentials of surfaces at rest beside published series of metals.
#include "core/cell/Evaluation.h"
#include "tests/reference/Rows.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

namespace anodex::test {
namespace {

struct Metal {
    const char* material;
    double from; // V against hydrogen
    double to;
    const char* whyMissed = "";
};

// ASTM G82-98, galvanic series of metals in flowing sea water, read from its figure against calomel and brought to
// hydrogen with 0.24 V. Passive where a metal has both.
const std::vector<Metal> kSeries = {{"magnesium", -1.39, -1.36},
                                    {"zinc", -0.79, -0.74},
                                    {"aluminium", -0.76, -0.51},
                                    {"steel", -0.40, -0.33},
                                    {"tin", -0.09, -0.07},
                                    {"brass", -0.16, -0.06},
                                    {"copper", -0.12, -0.02},
                                    {"bronze", -0.07, 0.0},
                                    {"lead", -0.01, 0.05},
                                    {"nickel", 0.04, 0.14},
                                    {"nichrome wire", 0.07, 0.11},
                                    {"stainless steel", -0.05, 0.19},
                                    {"silver", 0.09, 0.14,
                                     "the tarnish of sulfide that holds it below silver "
                                     "chloride's potential is not in the catalogue"},
                                    {"titanium", 0.19, 0.30},
                                    {"platinised titanium", 0.43, 0.49},
                                    {"graphite", 0.44, 0.54}};
constexpr double kEitherSide = 0.1; // V

/// What a surface shows in a liquid that stands still, an hour or so after it was put in.
struct Still {
    const char* material;
    const char* liquid;
    double from; // V against hydrogen
    double to;
    const char* source;
};

const char* const kBrine = R"({"water_mL":100,"solutes":[{"substance":"NaCl","mol_per_kg":0.6}]})";
const char* const kAcid = R"({"water_mL":100,"solutes":[{"substance":"H2SO4","mol_per_kg":0.5}]})";
const char* const kStrongAcid = R"({"water_mL":100,"solutes":[{"substance":"HCl","mol_per_kg":1}]})";
const char* const kLye = R"({"water_mL":100,"solutes":[{"substance":"NaOH","mol_per_kg":1}]})";
const char* const kSoil = R"({"ready":"damp soil","volume_mL":100})";
const char* const kTap = R"({"ready":"tap water","volume_mL":100})";
const char* const kLaboratory = "corrosion tests in the laboratory, from memory";
const char* const kGround = "tables of cathodic protection, against copper sulfate, from memory";

const std::vector<Still> kStill = {{"stainless steel", kStrongAcid, -0.25, -0.12, kLaboratory},
                                   {"zinc", kBrine, -0.82, -0.75, kLaboratory},
                                   {"steel", kBrine, -0.46, -0.35, kLaboratory},
                                   {"copper", kBrine, -0.06, 0.05, kLaboratory},
                                   {"magnesium", kBrine, -1.43, -1.33, kLaboratory},
                                   {"aluminium", kBrine, -0.56, -0.44, kLaboratory},
                                   {"stainless steel", kBrine, 0.05, 0.25, kLaboratory},
                                   {"graphite", kBrine, 0.28, 0.44, kLaboratory},
                                   {"zinc", kStrongAcid, -0.78, -0.71, kLaboratory},
                                   {"steel", kAcid, -0.28, -0.18, kLaboratory},
                                   {"copper", kAcid, 0.18, 0.26, kLaboratory},
                                   {"graphite", kAcid, 0.45, 0.65, kLaboratory},
                                   {"aluminium", kLye, -1.45, -1.35, kLaboratory},
                                   {"zinc", kSoil, -0.82, -0.75, kGround},
                                   {"copper", kSoil, 0.06, 0.16, kGround},
                                   {"steel", kSoil, -0.48, -0.25, kGround},
                                   {"magnesium", kSoil, -1.43, -1.23, kGround},
                                   {"steel", kTap, -0.45, -0.30, kLaboratory}};
constexpr double kEitherSideStill = 0.03; // V

double restVolts(const char* material, const json::Json& liquid, bool stirred) {
    using namespace json;
    Json cell = cellWith(electrodeJson("zinc", 10), electrodeJson(material, 10), liquid);
    cell["stirred"] = stirred;
    cell["temperature_C"] = 25;
    return cell::evaluate(catalogue(), cellOf(cell.dump()), {0}).side(design::Side::Positive).restVolts;
}

} // namespace

std::vector<Row> galvanicRows() {
    std::vector<Row> rows;
    for (const Metal& metal : kSeries) {
        rows.push_back({"metals in flowing sea water, V against hydrogen", metal.material, "ASTM G82-98",
                        0.5 * (metal.from + metal.to),
                        restVolts(metal.material, json::ready("seawater"), true), Margin::Absolute,
                        0.5 * (metal.to - metal.from) + kEitherSide, metal.whyMissed});
    }
    for (const Still& still : kStill) {
        const auto liquid = json::Json::parse(still.liquid);
        rows.push_back({"surfaces at rest in liquids that stand still, V against hydrogen",
                        std::string(still.material) + " in " + still.liquid,
                        still.source,
                        0.5 * (still.from + still.to),
                        restVolts(still.material, liquid, false),
                        Margin::Absolute,
                        0.5 * (still.to - still.from) + kEitherSideStill,
                        {}});
    }
    return rows;
}

} // namespace anodex::test
