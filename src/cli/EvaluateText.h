// src/cli/EvaluateText.h - an evaluation on one screen: what to mind, and the figures with their ranges.
#pragma once
#include "cli/Screen.h"
#include "formats/JsonObject.h"

namespace anodex::cli {

/// At most 40 lines, as wide as the screen. `answer` is that of evaluateCell.
[[nodiscard]] std::string evaluateText(const formats::Json& answer, const Screen& screen);
/// The curve as a table of current, voltage and power.
[[nodiscard]] std::string curveText(const formats::Json& answer);

} // namespace anodex::cli
