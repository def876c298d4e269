// src/wording/entry/EntrySlips.h - a reading that this cell cannot give, and the slip that is likely behind it.
#pragma once
#include "wording/Likely.h"
#include "wording/entry/EntryContext.h"
#include "wording/entry/EntryWords.h"

#include <optional>
#include <string_view>

namespace anodex::wording {

/// What is asked about before it is kept; nothing for a reading that may well be.
[[nodiscard]] std::optional<Question> slipIn(std::string_view line, const Token& word,
                                             const record::Reading& reading, const EntryContext& context);

} // namespace anodex::wording
