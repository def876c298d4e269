// src/cli/ParseRefusal.h - what is wrong with a line that does not fit its command, in the language in use.
#pragma once
#include <CLI/CLI.hpp>
#include <string>

namespace anodex::cli {

/// One line; with the option that was probably meant.
[[nodiscard]] std::string parseRefusal(const CLI::ParseError& error, const CLI::App& app);

} // namespace anodex::cli
