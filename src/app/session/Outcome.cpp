#include "app/session/Outcome.h"

namespace anodex::app {

Outcome outcomeOf(const chemistry::Catalogue& catalogue, const cell::CellDesign& design) {
    Outcome outcome;
    outcome.design = design;
    auto cell = cell::resolve(catalogue, design);
    if (!cell) {
        outcome.error = cell.error();
        return outcome;
    }
    constexpr int kNoCurve = 0; // no view draws the curve itself
    outcome.evaluation = cell::evaluate(catalogue, *cell, {kNoCurve});
    outcome.findings = cell::findingsFor(catalogue, *cell, *outcome.evaluation);
    outcome.cell = std::move(*cell);
    return outcome;
}

} // namespace anodex::app
