// src/wording/ChargeText.h - the charge side in words.
#pragma once
#include "core/charge/Charge.h"

namespace anodex::wording {

[[nodiscard]] const char* chargeStateText(charge::ChargeState state);
[[nodiscard]] const char* chargeLimitText(charge::ChargeLimit limit);
[[nodiscard]] const char* fateText(charge::Fate fate);
[[nodiscard]] const char* spaceText(cell::Space space);

} // namespace anodex::wording
