// src/wording/Listing.h - names one after another, as the language in use joins them.
#pragma once
#include <string>
#include <vector>

namespace anodex::wording {

/// "a", "a and b", "a, b and c"
[[nodiscard]] std::string listed(const std::vector<std::string>& names);
/// "a", "a or b", "a, b or c"
[[nodiscard]] std::string choiceOf(const std::vector<std::string>& names);

} // namespace anodex::wording
