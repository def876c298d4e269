#include "wording/TypedValue.h"

namespace anodex::wording {

std::optional<double> typedValue(std::string_view text, Dimension dimension, double bareToSi) {
    const auto parsed = parseQuantity(text);
    if (!parsed || parsed->used != text.size()) {
        return std::nullopt;
    }
    if (parsed->dimension == Dimension::None) {
        return parsed->value * bareToSi;
    }
    return parsed->dimension == dimension ? std::optional(parsed->value) : std::nullopt;
}

} // namespace anodex::wording
