// src/wording/ExplainText.h - words of explanations and of reactions in the language in use.
#pragma once
#include "core/chemistry/Catalogue.h"
#include <string>

namespace anodex::wording {

/// A symbol, formula or source of an explanation: its English is its id, after "explain.". What has no words,
/// and what cites a publication, stands as it is.
[[nodiscard]] std::string explained(const std::string& english);

/// What a reaction does, driven this way, in a few words.
[[nodiscard]] std::string deedText(const chemistry::Reaction& reaction, chemistry::Branch branch);

} // namespace anodex::wording
