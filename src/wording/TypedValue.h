// src/wording/TypedValue.h - the whole text of a field as one value in SI.
#pragma once
#include "wording/Quantities.h"
#include <optional>
#include <string_view>

namespace anodex::wording {

/// A number with a unit of this dimension, or a bare one, which is multiplied by `bareToSi`. Nothing when
/// something else stands in the text.
[[nodiscard]] std::optional<double> typedValue(std::string_view text, Dimension dimension, double bareToSi);

} // namespace anodex::wording
