// src/wording/pour/PourLine.h - "5 g salt", "half a teaspoon of salt in a cup of water", "20 mL of 30 % sulfuric acid" to a
// liquid's pours, and amounts back to text.
//
// What has two readings is asked about; what cannot be poured is told with what would be right.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "wording/pour/Pour.h"
#include <string_view>

namespace anodex::wording {

/// An amount as typed: understood, to be asked about, or none.
struct AmountRead {
    std::optional<design::Amount> amount;
    std::optional<double> halfWidth;  ///< Where a doubt was written, in the amount's own unit.
    std::vector<std::string> choices; ///< Where it has several readings.
};

[[nodiscard]] AmountRead readAmount(std::string_view text);
/// Of something that has a name already, so that it may be measured by the spoon and the cup too.
[[nodiscard]] AmountRead readAmountOf(const chemistry::Catalogue& catalogue, std::string_view text,
                                      std::string_view name);

/// One thing or several; amounts before or after the names. A solution of a given strength goes in as its substance and
/// its water, a measured powder as what it weighs.
[[nodiscard]] PourLine readPours(const chemistry::Catalogue& catalogue, std::string_view text);

} // namespace anodex::wording
