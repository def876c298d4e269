// src/core/design/Liquid.h - from "5 g in 100 mL" or "30 % by mass" to kilograms of solvent and moles.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "core/design/Design.h"
#include "core/design/DesignError.h"
#include "core/liquid/Mixture.h"
#include <tl/expected.hpp>

namespace anodex::design {

struct ResolvedLiquid {
    liquid::Mixture mixture;
    std::optional<std::size_t> ready;
    double doubtFactor = 1.0; ///< Spread of a ready-made liquid's strength.
};

/// `field` prefixes error paths, e.g. "electrolyte.negative".
[[nodiscard]] tl::expected<ResolvedLiquid, DesignError> resolveLiquid(const chemistry::Catalogue& catalogue,
                                                                      const LiquidDesign& liquid,
                                                                      double temperatureKelvin,
                                                                      const std::string& field);

} // namespace anodex::design
