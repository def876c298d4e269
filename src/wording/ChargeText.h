// src/wording/ChargeText.h - the charge side in words.
#pragma once
#include "core/charge/Charge.h"
#include <string>

namespace anodex::wording {

[[nodiscard]] std::string chargeStateText(charge::ChargeState state);
[[nodiscard]] std::string chargeLimitText(charge::ChargeLimit limit);
[[nodiscard]] std::string fateText(charge::Fate fate);
[[nodiscard]] std::string spaceText(cell::Space space);

} // namespace anodex::wording
