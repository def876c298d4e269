// src/app/session/Outcome.h - a design together with everything the model says about it.
#pragma once
#include "app/session/CatalogueHandle.h"
#include "core/cell/Doubt.h"
#include "core/findings/Findings.h"
#include <optional>
#include <string>
#include <vector>

namespace anodex::app {

struct Outcome {
    CatalogueHandle catalogue; ///< What everything below stands on.
    design::CellDesign design;
    std::optional<design::Cell> cell; ///< Absent when the design cannot be used.
    std::optional<cell::Evaluation> evaluation;
    std::vector<findings::Finding> findings;
    std::optional<cell::Doubt> doubt; ///< Arrives a moment later.
    std::string problem;              ///< In one line why the design cannot be used; empty when it can.
    bool faulty = false;              ///< The problem lies with the model, not with the design.

    [[nodiscard]] bool usable() const { return evaluation.has_value(); }
};

[[nodiscard]] Outcome outcomeOf(const CatalogueHandle& catalogue, const design::CellDesign& design);

} // namespace anodex::app
