#include "wording/TypedValue.h"

namespace anodex::wording {

TypedValue typedValue(std::string_view text, Dimension dimension, double bareToSi,
                      const std::function<bool(double)>& accepts) {
    const auto inSi = [&](const quantity::QuantityReading& reading) {
        return reading.unit.dimension == Dimension::None ? reading.value * bareToSi : reading.value;
    };
    const Likely found = likelyWhole(text, [&](const quantity::QuantityReading& reading) {
        const bool fits = reading.unit.dimension == Dimension::None || reading.unit.dimension == dimension;
        return fits && (!accepts || accepts(inSi(reading)));
    });
    return {found.reading ? std::optional(inSi(*found.reading)) : std::nullopt, found.choices};
}

} // namespace anodex::wording
