// src/core/charge/Capacitor.h - two carbons that hold charge in their double layers alone.
//
// Law        both layers in series, C = C₁ C₂ / (C₁ + C₂), each as far as an hour reaches into its pores; Q = C V, and
//            the voltage falls in proportion to what is taken.
// Units      F, V, C.
#pragma once
#include "core/cell/Evaluation.h"
#include <optional>

namespace anodex::charge {

inline constexpr double kCapacitorVolts = 1.0; ///< Water is safe from splitting (common practice, no source).

struct Capacitor {
    double farads = 0.0;
    double coulombs = 0.0; ///< At kCapacitorVolts.
};

/// Of a cell that nothing drives; none where a side has no large surface.
[[nodiscard]] std::optional<Capacitor> capacitorOf(const chemistry::Catalogue& catalogue,
                                                   const design::Cell& cell,
                                                   const cell::Evaluation& evaluation);

} // namespace anodex::charge
