// src/app/views/couple/PourText.h - "5 g salt", "NaOH 2 mol/L", "20 mL water" to and from a liquid's pours.
#pragma once
#include "core/cell/Design.h"
#include "core/chemistry/Catalogue.h"
#include <QString>
#include <optional>
#include <string>
#include <string_view>
#include <variant>

namespace anodex::app {

/// "5 g"
[[nodiscard]] QString amountText(const cell::Amount& amount);
[[nodiscard]] std::optional<cell::Amount> amountFrom(std::string_view text);

struct Pour {
    std::string name; ///< As typed; known to the catalogue.
    cell::Amount amount;
    bool readyLiquid = false;
};
struct PourFault {
    QString text; ///< One line: what is wrong, what would be right.
};

/// An amount before or after the name.
[[nodiscard]] std::variant<Pour, PourFault> pourFrom(const chemistry::Catalogue& catalogue,
                                                     std::string_view text);

} // namespace anodex::app
