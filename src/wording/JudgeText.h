// src/wording/JudgeText.h - one computed sentence: what was measured, what was expected, what it means.
#pragma once
#include "core/record/Record.h"
#include "core/run/RunAnalysis.h"
#include <optional>
#include <string>
#include <vector>

namespace anodex::wording {

struct JudgeInput {
    record::Expectation expectation;
    std::optional<record::Reading> openCircuit;
    std::optional<record::Reading> shortCircuit;
    std::optional<run::RunAnalysis> run;
    std::string limitedBy; ///< The reagent that limits, in words; may be empty.
};

[[nodiscard]] std::string judgeSentence(const JudgeInput& input);

} // namespace anodex::wording
