// src/core/electrode/Transport.h - how fast reactants reach an electrode.
//
// Law        i_L = n F D c / δ for each dissolved reactant, combined as resistances in series. The layer is
//            0.5 mm in still liquid, 0.1 mm stirred, never wider than the gap, and for the moment `first` as
//            deep as diffusion reaches in 5 s, √(πDt), with what fills the pores used first. Oxygen from an
//            open face has a limit of its own (PorousLayer.h).
// Units      A/m² of geometric area.
// Source     Nernst layer: Bard & Faulkner, Electrochemical Methods, 2nd ed., ch. 1 and 5.
#pragma once
#include "core/electrode/Situation.h"
#include <optional>

namespace anodex::electrode {

enum class Moment { First, Settled };

inline constexpr double kStillLayerMetres = 0.0005;   // from memory
inline constexpr double kStirredLayerMetres = 0.0001; // from memory
inline constexpr double kFirstMomentSeconds = 5.0;    // until a reading is taken (common practice, no source)

/// Limit of the reaction's oxidation (anodic) or reduction; infinity when only solids and solvent take part.
[[nodiscard]] double supplyLimit(const Situation& here, const ReactionParameters& reaction,
                                 chemistry::Branch branch, Moment moment);

/// The reactant that is absent altogether, if one is: not in the liquid, or a solid that neither is in the
/// electrode nor comes of one that is.
[[nodiscard]] std::optional<chemistry::SpeciesIndex>
absentReactant(const Situation& here, const chemistry::Reaction& reaction, chemistry::Branch branch);

/// m²/s at a temperature.
[[nodiscard]] double diffusivity(const chemistry::Species& species, double temperatureKelvin);

/// The reaction turns protons alone into gas, so the acid itself is the reagent. Elsewhere the solvent gives
/// protons as well, and their supply neither limits nor runs out.
[[nodiscard]] bool needsAcid(const chemistry::Catalogue& catalogue, const chemistry::Reaction& reaction);

} // namespace anodex::electrode
