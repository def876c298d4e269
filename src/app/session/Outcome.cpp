#include "app/session/Outcome.h"

#include "core/design/Identify.h"
#include "core/design/Resolve.h"
#include "formats/CellFile.h"
#include "wording/ErrorText.h"

namespace anodex::app {

Outcome outcomeOf(const CatalogueHandle& catalogue, const design::CellDesign& design) {
    Outcome outcome;
    outcome.catalogue = catalogue;
    outcome.design = design;
    design::identify(*catalogue, outcome.design);
    try {
        auto cell = design::resolve(*catalogue, outcome.design);
        if (!cell) {
            outcome.problem = wording::errorText(formats::toFileError(cell.error()));
            return outcome;
        }
        constexpr int kNoCurve = 0; // no view draws the curve itself
        outcome.evaluation = cell::evaluate(*catalogue, *cell, {kNoCurve});
        outcome.findings = findings::findingsFor(*catalogue, *cell, *outcome.evaluation);
        outcome.cell = std::move(*cell);
    } catch (const base::Fault& fault) {
        outcome.evaluation.reset();
        outcome.problem = wording::errorText(fault);
        outcome.faulty = true;
    }
    return outcome;
}

} // namespace anodex::app
