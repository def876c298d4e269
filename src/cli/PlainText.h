// src/cli/PlainText.h - answers as people read them: a line for each thing, as wide as the screen.
//
// Each takes what its command answers as JSON.
#pragma once
#include "cli/Screen.h"
#include "formats/JsonObject.h"

namespace anodex::cli {

[[nodiscard]] std::string solutionText(const formats::Json& answer, const Screen& screen);
[[nodiscard]] std::string catalogueText(const formats::Json& answer, const Screen& screen);
[[nodiscard]] std::string screenText(const formats::Json& answer, const Screen& screen);
[[nodiscard]] std::string pourText(const formats::Json& answer, const Screen& screen);
/// What is asked, with what may be meant.
[[nodiscard]] std::string asksText(const formats::Json& asks, const Screen& screen);

} // namespace anodex::cli
