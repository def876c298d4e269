// src/cli/EvaluateText.h - an evaluation on one screen: the figures with their ranges, and what to mind.
#pragma once
#include "formats/JsonObject.h"
#include <string>

namespace anodex::cli {

/// At most 24 lines of at most 100 characters. `answer` is that of evaluateCell.
[[nodiscard]] std::string evaluateText(const formats::Json& answer);

} // namespace anodex::cli
