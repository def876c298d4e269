// src/wording/pour/SpokenAmount.h - an amount of something poured, in every way a builder says it.
//
// "5 g", "about 5 g", "5 to 6 g", "half a teaspoon", "2 M", "35 g/L", "5 % w/v", "saturated".
#pragma once
#include "core/chemistry/Catalogue.h"
#include "core/design/Design.h"
#include "quantity/Quantity.h"

#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace anodex::wording {

struct SpokenAmount {
    enum class Kind {
        Exact,     ///< `amount`, as weighed, measured or counted.
        Measured,  ///< `amount` is a volume in something of the kitchen, known to `factor`.
        PerVolume, ///< `kgPerM3` of the finished liquid.
        Saturated  ///< As much as dissolves.
    };
    Kind kind = Kind::Exact;
    design::Amount amount;
    double kgPerM3 = 0.0;
    double factor = 1.0;              ///< 5 % and 95 % lie at value/factor and value*factor.
    std::optional<double> halfWidth;  ///< Where a doubt was written, in the amount's own unit.
    std::vector<std::string> choices; ///< Where it has several readings; then it has no value.
    std::size_t used = 0;             ///< Bytes taken from the front.

    /// How much of it is in the liquid, not how much goes in.
    [[nodiscard]] bool isStrength() const;
};

/// The amount at the front of `text`; nothing where none that can be poured stands there.
[[nodiscard]] std::optional<SpokenAmount> spokenAmount(const chemistry::Catalogue& catalogue,
                                                       std::string_view text);

/// A quantity that can be an amount: its unit, and the value that unit has in SI.
[[nodiscard]] std::optional<design::AmountUnit> amountUnitOf(quantity::Dimension dimension);
[[nodiscard]] bool isPourable(const quantity::QuantityReading& reading);

} // namespace anodex::wording
