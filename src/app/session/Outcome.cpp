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
    constexpr int kCurvePoints = 60;
    outcome.evaluation = cell::evaluate(catalogue, *cell, {kCurvePoints});
    outcome.findings = cell::findingsFor(catalogue, *cell, *outcome.evaluation);
    outcome.cell = std::move(*cell);
    return outcome;
}

} // namespace anodex::app
