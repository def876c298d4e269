// src/cli/OneLine.h - a message as exactly one line, whatever stands in the names it quotes.
#pragma once
#include <string>
#include <string_view>

namespace anodex::cli {

/// Control characters and broken bytes are shown, a very long text is cut at a whole character.
[[nodiscard]] std::string oneLine(std::string_view text);

} // namespace anodex::cli
