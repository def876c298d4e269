// src/core/liquid/Freezing.h - when ice begins to form in a liquid.
//
// Law        the solvent's activity is that of ice: ln a = -(ΔH/R)(1/T - 1/T0) + (ΔCp/R)(T0/T - 1 - ln(T0/T)), with the
//            heat of fusion 6.01 kJ/mol and the difference of heat capacities 38 J/(mol K) at T0 = 0 °C. What falls out
//            beside the ice is not looked for.
// Range      within a tenth of the depression to -16 °C: activities are taken to move little with temperature here.
// Source     Robinson & Stokes, Electrolyte Solutions, 2nd ed., ch. 8; values from memory.
#pragma once

namespace anodex::liquid {

/// K, from 200 to 273.15, for the solvent's activity (0 to 1).
[[nodiscard]] double freezingKelvin(double solventActivity);

} // namespace anodex::liquid
