// src/core/cell/Idle.h - what a cell loses while it only stands there.
//
// Law        drying: a face open to air gives off k A (a_w - RH) ρ_sat, with k 3 mm/s in still air and half
//            saturated air beyond (common practice, no source); ρ_sat from Magnus's formula (Alduchov &
//            Eskridge, J. Appl. Meteorol. 35, 601 (1996)).
//            sharing: when the next cell of a string stands in the same liquid, its electrode is as near as
//            the cell's own; the open-circuit voltage then drives V / R through the liquid between.
// Units      kg/s, s, A.
#pragma once
#include "core/cell/Resistance.h"
#include <optional>

namespace anodex::cell {

/// Solvent lost through electrodes that breathe; 0 when none does.
[[nodiscard]] double dryingKgPerSecond(const design::Cell& cell, const state::Contents& contents);

/// s until half of the solvent is gone, with which a cell stops; none where it does not dry.
[[nodiscard]] std::optional<double> secondsToDry(const state::Contents& contents, double dryingKgPerSecond);

/// Leak to a neighbour in the same liquid; 0 where no current path through liquid is known.
[[nodiscard]] double sharedLiquidAmps(const ResistanceBudget& budget, double openCircuitVolts);

} // namespace anodex::cell
