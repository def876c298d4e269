// src/app/session/Outcome.h - a design together with everything the model says about it.
#pragma once
#include "core/cell/Doubt.h"
#include "core/cell/Findings.h"
#include <optional>
#include <vector>

namespace anodex::app {

struct Outcome {
    cell::CellDesign design;
    std::optional<cell::Cell> cell; ///< Absent when the design cannot be used.
    std::optional<cell::Evaluation> evaluation;
    std::vector<cell::Finding> findings;
    std::optional<cell::Doubt> doubt; ///< Arrives a moment later.
    std::optional<cell::DesignError> error;

    [[nodiscard]] bool usable() const { return evaluation.has_value(); }
};

[[nodiscard]] Outcome outcomeOf(const chemistry::Catalogue& catalogue, const cell::CellDesign& design);

} // namespace anodex::app
