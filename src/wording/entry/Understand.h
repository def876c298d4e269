// src/wording/entry/Understand.h - one clause of the entry line, understood but for its readings.
#pragma once
#include "wording/entry/EntryWords.h"

namespace anodex::wording {

/// `devices`: that are known by name; may be null.
[[nodiscard]] Understanding understand(const Tokens& clause, record::Millis now,
                                       const std::vector<load::Device>* devices);

} // namespace anodex::wording
