// src/cli/Documents.h - what is made from the table of commands beside the help: man page and completion.
#pragma once
#include <string>

namespace anodex::cli {

/// In the macros of man(7), for section 1. `date` is "2026-11-28".
[[nodiscard]] std::string manPage(const std::string& version, const std::string& date);
/// For bash.
[[nodiscard]] std::string completion();

} // namespace anodex::cli
