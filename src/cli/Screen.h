// src/cli/Screen.h - how what people read is laid out: as wide as the terminal, coloured only on one.
#pragma once
#include <cstddef>
#include <string>

namespace anodex::cli {

struct Screen {
    std::size_t columns = 80; ///< Where no terminal says otherwise.
    bool colour = false;
};

/// Of the standard output. Colour on a terminal that has it, unless NO_COLOR is set to anything.
[[nodiscard]] Screen screenOfTerminal();

/// Characters, not bytes.
[[nodiscard]] std::size_t lengthOf(const std::string& text);

/// `head` and the text behind it, broken at blanks; later lines begin below the text. Ends with a line end.
[[nodiscard]] std::string wrapped(const std::string& head, const std::string& text, const Screen& screen);

/// Cut at a whole character with "…" where it is longer than the screen is wide.
[[nodiscard]] std::string cut(const std::string& text, const Screen& screen);

enum class Colour { Danger, Warning, Plain };
[[nodiscard]] std::string coloured(const std::string& text, Colour colour, const Screen& screen);

} // namespace anodex::cli
