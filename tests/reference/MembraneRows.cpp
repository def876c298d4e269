// What charged membranes hold back, as decades of crossover against a membrane of the other charge.
#include "core/cell/Evaluation.h"
#include "tests/reference/Rows.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <cmath>

namespace anodex::test {
namespace {

using namespace json;

double crossover(const Json& positiveLiquid, const char* positive, const char* separator) {
    Json cell = apart(cellWith(electrodeJson("zinc"), electrodeJson(positive), water({{"ZnSO4", 0.5}})),
                      positiveLiquid, separator);
    cell["gap_mm"] = 20;
    return cell::evaluate(catalogue(), cellOf(cell.dump()), {0}).crossoverAmps;
}

double decades(const Json& liquid, const char* positive, const char* one, const char* other) {
    return std::log10(crossover(liquid, positive, one) / crossover(liquid, positive, other));
}

} // namespace

std::vector<Row> membraneRows() {
    const char* group = "crossover through membranes, decades";
    const char* exclusion = "co-ion exclusion of 5 to 20 times, Helfferich 1962, from memory";
    const char* cation = "cation exchange membrane";
    const char* anion = "anion exchange membrane";
    std::vector<Row> rows;
    const auto add = [&](const char* what, double published, double computed, double target,
                         const char* source) {
        rows.push_back({group, what, source, published, computed, Margin::Absolute, target, ""});
    };
    const Json copper = water({{"CuSO4", 0.7}});
    const Json triiodide = water({{"KI", 1}, {"iodine", 0.05}});
    const Json bromide = water({{"KBr", 1}, {"bromine", 0.02}});
    add("copper ions, anion membrane over cation membrane", -1.0, decades(copper, "copper", anion, cation),
        0.3, exclusion);
    add("triiodide, cation membrane over anion membrane", -1.0, decades(triiodide, "graphite", cation, anion),
        0.4, exclusion);
    add("copper ions, cation membrane over an open way", -1.0, decades(copper, "copper", cation, "gravity"),
        0.6, "membranes of vanadium cells, from memory");
    add("bromine and tribromide, cation membrane over anion membrane", -1.0,
        decades(bromide, "graphite", cation, anion), 0.5, "zinc-bromine cells, from memory");
    add("copper ions, unglazed pot over an open way", -0.5,
        decades(copper, "copper", "porous pot", "gravity"), 0.4, "common practice, no source");
    return rows;
}

} // namespace anodex::test
