// src/wording/ChargeText.h - the charge side in words.
#pragma once
#include "core/cell/Charge.h"

namespace anodex::wording {

[[nodiscard]] const char* chargeStateText(cell::ChargeState state);
[[nodiscard]] const char* chargeLimitText(cell::ChargeLimit limit);
[[nodiscard]] const char* fateText(cell::Fate fate);
[[nodiscard]] const char* spaceText(cell::Space space);

} // namespace anodex::wording
