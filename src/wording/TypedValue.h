// src/wording/TypedValue.h - the whole text of a field as one value in SI.
#pragma once
#include "wording/Likely.h"
#include "wording/Quantities.h"
#include <functional>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace anodex::wording {

struct TypedValue {
    std::optional<double> si;
    std::vector<std::string> choices; ///< Where the text has several readings that fit.
};

/// A number with a unit of this dimension, or a bare one, which is multiplied by `bareToSi`; only readings
/// that `accepts` count. Neither value nor choices when something else stands in the text.
[[nodiscard]] TypedValue typedValue(std::string_view text, Dimension dimension, double bareToSi,
                                    const std::function<bool(double)>& accepts = {});

} // namespace anodex::wording
