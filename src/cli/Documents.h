// src/cli/Documents.h - what is made from the table of commands beside the help: man page and completions.
#pragma once
#include <string>

namespace anodex::cli {

/// In the macros of man(7), for section 1. `date` is "2026-11-28".
[[nodiscard]] std::string manPage(const std::string& version, const std::string& date);
/// Commands, their options, and the words a place can hold; files elsewhere.
[[nodiscard]] std::string bashCompletion();
[[nodiscard]] std::string zshCompletion();
[[nodiscard]] std::string fishCompletion();

} // namespace anodex::cli
