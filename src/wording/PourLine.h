// src/wording/PourLine.h - "5 g salt", "NaOH 2 mol/L", "20 mL of lemon juice" to and from a liquid's pours.
//
// What has two readings is asked about; what cannot be poured is told with what would be right.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "core/design/Design.h"
#include "wording/Likely.h"
#include <optional>
#include <string>
#include <string_view>
#include <variant>

namespace anodex::wording {

/// An amount as typed: understood, to be asked about, or none.
struct AmountRead {
    std::optional<design::Amount> amount;
    std::optional<double> halfWidth;  ///< Where a doubt was written, in the amount's own unit.
    std::vector<std::string> choices; ///< Where it has several readings.
};

struct Pour {
    std::string name; ///< As typed; known to the catalogue.
    design::Amount amount;
    std::optional<double> halfWidth;
    bool readyLiquid = false;
};
struct PourFault {
    std::string text; ///< One line: what is wrong, what would be right.
};

/// An amount in the unit builders use.
struct ShownAmount {
    double value = 0.0;
    const char* unit = "";
};
[[nodiscard]] ShownAmount shownAmount(const design::Amount& amount);
/// "5 g"
[[nodiscard]] std::string amountText(const design::Amount& amount);
[[nodiscard]] AmountRead readAmount(std::string_view text);

/// An amount before or after the name.
[[nodiscard]] std::variant<Pour, Question, PourFault> readPour(const chemistry::Catalogue& catalogue,
                                                               std::string_view text);

} // namespace anodex::wording
