// src/app/views/couple/ChargeWindow.h - voltage over charging current, with the window in which a charge
// stores well and harms nothing.
//
// Scale      current by equal factors, voltage evenly. The pale field is the window; the dotted line, where
//            there is one, the voltage at which the full cell gases.
#pragma once
#include "app/theme/Theme.h"
#include "app/widgets/picture/PictureItem.h"
#include "core/charge/Charge.h"

namespace anodex::app {

/// `charging` must be possible and hold the point shown.
[[nodiscard]] PictureItem chargeWindowItem(const QRectF& area, const charge::Charging& charging,
                                           const Theme& theme);

} // namespace anodex::app
