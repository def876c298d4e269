// src/wording/pour/KitchenAmount.h - "half a teaspoon", "2 heaped tbsp", "a pinch": a count and what is measured with.
//
// Doubt      of the measure and of how full it is; a word that may be two measures gives both as choices.
#pragma once
#include "core/chemistry/Catalogue.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace anodex::wording {

struct KitchenAmount {
    chemistry::FactorSpread volumeM3;
    std::vector<std::string>
        choices;          ///< "1 teaspoon", where the measure may be several; then it has no volume.
    std::size_t used = 0; ///< Bytes taken from the front.
};

/// "half a", "two and a half": how many, in words.
struct SpokenCount {
    chemistry::FactorSpread count;
    std::size_t used = 0; ///< Bytes taken from the front, with the blanks behind.
};
[[nodiscard]] std::optional<SpokenCount> spokenCount(std::string_view text);

/// The kitchen amount at the front of `text`; nothing where none stands there.
[[nodiscard]] std::optional<KitchenAmount> kitchenAmount(const chemistry::Catalogue& catalogue,
                                                         std::string_view text);

} // namespace anodex::wording
