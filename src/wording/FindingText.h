// src/wording/FindingText.h - findings as sentences: what, and what to do about it.
#pragma once
#include "core/findings/Findings.h"
#include <string>

namespace anodex::wording {

struct FindingText {
    std::string title; ///< A few words for a card.
    std::string text;  ///< One or two sentences.
    std::string remedy;
};

[[nodiscard]] FindingText findingText(const findings::Finding& finding);
/// The contract's stable kebab-case code.
[[nodiscard]] std::string findingCode(const findings::Finding& finding);
[[nodiscard]] const char* severityText(findings::Severity severity);
[[nodiscard]] const char* findingPartText(findings::FindingPart part);

} // namespace anodex::wording
