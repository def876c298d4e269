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

double restVolts(const char* material) {
    using namespace json;
    Json cell = cellWith(electrodeJson("zinc", 10), electrodeJson(material, 10), ready("seawater"));
    cell["stirred"] = true;
    cell["temperature_C"] = 25;
    return cell::evaluate(catalogue(), cellOf(cell.dump()), {0}).side(design::Side::Positive).restVolts;
}

} // namespace

std::vector<Row> galvanicRows() {
    std::vector<Row> rows;
    for (const Metal& metal : kSeries) {
        rows.push_back({"metals in flowing sea water, V against hydrogen", metal.material, "ASTM G82-98",
                        0.5 * (metal.from + metal.to), restVolts(metal.material), Margin::Absolute,
                        0.5 * (metal.to - metal.from) + kEitherSide, metal.whyMissed});
    }
    return rows;
}

} // namespace anodex::test
