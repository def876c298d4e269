// src/core/electrode/PorousLayer.h - how deep a porous electrode works, and how much air it takes in.
//
// Law        Current enters a layer through the liquid in its pores and leaves through its solid. It reaches
//            ℓ = √(1 / ((ρ_pore + ρ_solid) g)), g being what a cubic metre takes per volt: capacitance over
//            time for the double layer, limiting current over slope for a reaction. Of a layer L thick the
//            share tanh(L/ℓ)/(L/ℓ) works; at even use it adds L (ρ_pore + ρ_solid)/3A of resistance.
//            Pores conduct and let gas through as porosity^1.5 (Bruggeman).
//            Oxygen comes in through openings, gas-filled pores and the liquid's film in them, one after the
//            other; the film's share grows with the contact of filled and empty pores, w (1 - w).
// Units      ohm, farad, A/m² of geometric area.
// Source     de Levie, Electrochim. Acta 8, 751 (1963); Newman & Tobias, J. Electrochem. Soc. 109, 1183
//            (1962).
#pragma once
#include "core/electrode/Situation.h"

namespace anodex::electrode {

/// Porous carbon is there to breathe; anything else hangs in the liquid.
[[nodiscard]] bool breathesByNature(const chemistry::Material& material);

/// S/m of a side's liquid, never quite none.
[[nodiscard]] double conductivityOf(const Situation& here);

/// Share of a layer that works when the current reaches `reachMetres` into it: 1 for a thin one.
[[nodiscard]] double workingShare(double thicknessMetres, double reachMetres);

/// Resistance of the liquid in the pores at even use, ohm; 0 for a solid electrode.
[[nodiscard]] double poreOhm(const Situation& here);
/// Of the solid from its collector through the layer at even use, ohm; 0 for a solid electrode.
[[nodiscard]] double layerOhm(const Situation& here);

/// Double-layer capacitance that a step of `seconds` reaches, F.
[[nodiscard]] double chargedFarads(const Situation& here, double seconds);

/// Oxygen current of an open face at most, A/m²: of the material where the catalogue knows its film,
/// otherwise `layerAmpsPerM2` with the parameters' doubt.
[[nodiscard]] double breathingLimit(const Situation& here, double layerAmpsPerM2);

/// What the holes of a wall oppose to a gas of `diffusivity` (m²/s), s/m; 0 without a wall.
[[nodiscard]] double openingsResistance(const design::Electrode& electrode, double diffusivity);

} // namespace anodex::electrode
