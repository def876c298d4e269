// src/wording/Likely.h - a typed quantity of which only some readings are possible where it was typed.
#pragma once
#include "quantity/Quantity.h"
#include <functional>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace anodex::wording {

/// Something that has two meanings, or that cannot be meant.
struct Question {
    std::string text;                 ///< "1,234 g" may be 1234 g or 1.234 g
    std::vector<std::string> choices; ///< Each a line to type instead.
};

/// What one may take for possible: the dimension and size that fit the place.
using Possible = std::function<bool(const quantity::QuantityReading&)>;

struct Likely {
    std::optional<quantity::QuantityReading> reading; ///< The only possible one.
    std::optional<double> halfWidth;                  ///< Its doubt where one was written, in SI.
    std::vector<std::string> choices;                 ///< The possible ones where there are several.
    std::size_t used = 0;                             ///< Bytes of the quantity; 0 when none is possible.
};

/// The quantity at the front of `text`.
[[nodiscard]] Likely likely(std::string_view text, const Possible& possible);
/// The quantity that `text` is from end to end.
[[nodiscard]] Likely likelyWhole(std::string_view text, const Possible& possible);

/// "5 g salt", "salt 5 g": an amount with the name before or behind it.
struct NamedAmount {
    std::string_view name;
    std::string_view written; ///< The amount as it stands in the text.
    bool before = true;       ///< The amount stands before the name.
    Likely amount;
};
/// Nothing where no possible amount stands at either end.
[[nodiscard]] std::optional<NamedAmount> namedAmount(std::string_view text, const Possible& possible);

/// "1,234 g" may be 1234 g or 1.234 g; write the one that is meant
[[nodiscard]] std::string whichOf(std::string_view written, const std::vector<std::string>& choices);

} // namespace anodex::wording
