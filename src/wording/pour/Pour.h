// src/wording/pour/Pour.h - what goes into a liquid as a line says it, and amounts to text.
#pragma once
#include "core/design/Design.h"
#include "wording/Likely.h"
#include <optional>
#include <string>
#include <variant>
#include <vector>

namespace anodex::wording {

struct Pour {
    std::string name; ///< As typed; known to the catalogue.
    design::Amount amount;
    std::optional<double> halfWidth; ///< 5 % and 95 % lie at amount ± halfWidth.
    bool readyLiquid = false;
    bool takesTheRest = false; ///< What the others of the line go into: "… in 100 mL water".
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
/// "salt, about 6 g (4.4 to 7.6 g)"
[[nodiscard]] std::string pourText(const Pour& pour);

using PourLine = std::variant<std::vector<Pour>, Question, PourFault>;

} // namespace anodex::wording
