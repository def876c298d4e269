// src/wording/pour/PourName.h - the name of something poured, among the words that stand round it.
//
// "of the warm water", "salt solution", "- salt:" name water and salt.
#pragma once
#include "core/chemistry/Catalogue.h"
#include <optional>
#include <string>
#include <string_view>

namespace anodex::wording {

/// Without blanks and marks at both ends.
[[nodiscard]] std::string_view bare(std::string_view text);
/// Without one word in front that says nothing; the text itself where there is none.
[[nodiscard]] std::string_view withoutFirst(std::string_view text);

struct KnownName {
    std::string_view text; ///< A part of what was asked about.
    bool readyLiquid = false;
};
/// The name as it stands, or without the words round it.
[[nodiscard]] std::optional<KnownName> knownName(const chemistry::Catalogue& catalogue,
                                                 std::string_view name);
/// Why it may not be used, or that nothing is called so, with the nearest name that is known.
[[nodiscard]] std::string whyUnknown(const chemistry::Catalogue& catalogue, std::string_view name);
/// "the jar", "it": what things go into without a word of how much is in it.
[[nodiscard]] bool isVessel(std::string_view name);

} // namespace anodex::wording
