// src/core/charge/ChargeProducts.h - what becomes of a reaction's products on charge: stored, gas, or loss.
#pragma once
#include "core/cell/Capacity.h"

namespace anodex::charge {

/// Gas, or so volatile that most of it leaves the liquid or some of it is breathed.
[[nodiscard]] bool leavesAsGas(const chemistry::Catalogue& catalogue, chemistry::SpeciesIndex species);

/// As a reduction.
[[nodiscard]] bool makes(const chemistry::Catalogue& catalogue, std::size_t reaction,
                         chemistry::SpeciesIndex species);

/// The reaction turns dissolved ions into metal.
[[nodiscard]] bool platesMetal(const chemistry::Catalogue& catalogue, std::size_t reaction);

enum class Fate {
    Lost,
    ToAir, ///< Oxygen that the side takes back from the air when it gives current.
    Stored
};

/// What becomes of the current of a reaction that runs along `branch`. Stored is what can be drawn again: it
/// drives the side's discharge couple back, makes a solid on a cathode, or makes an oxidant that stays in the
/// cell without eating the electrode. A surface that covers itself once and stops stores nothing.
[[nodiscard]] Fate fateOf(const chemistry::Catalogue& catalogue, std::size_t reaction,
                          chemistry::Branch branch, const cell::WorkingCouple& discharge);

} // namespace anodex::charge
