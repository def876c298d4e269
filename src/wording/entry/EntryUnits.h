// src/wording/entry/EntryUnits.h - the unit of a number that was typed without one.
//
// Taken where only one is likely of this cell: volts under a load, the prefix of a short circuit that the cell can
// give. Where two are likely, or none, it is asked.
#pragma once
#include "wording/Likely.h"
#include "wording/entry/EntryContext.h"
#include "wording/entry/EntryWords.h"

#include <optional>
#include <string_view>

namespace anodex::wording {

/// `alone`: nothing else stands in the line.
[[nodiscard]] std::optional<Question> takeUnits(std::string_view line, Understanding& understanding,
                                                const EntryContext& context, bool alone);

} // namespace anodex::wording
