// src/wording/pour/PourAmount.h - what an amount as it was said comes to of the substance that was named.
//
// Law        a solution of mass fraction w and density ρ(w) holds w ρ V of the substance; a powder weighs its bulk
//            density times the volume it fills.
// Units      as design::Amount. Errors: a question or a fault in the builder's words.
#pragma once
#include "wording/pour/Pour.h"
#include "wording/pour/SpokenAmount.h"

namespace anodex::wording {

/// What a line calls by one name, with one amount or with a volume and a strength.
struct NamedPour {
    std::string name; ///< Known to the catalogue.
    bool readyLiquid = false;
    SpokenAmount amount;
    std::optional<SpokenAmount> strength; ///< Beside a mass or a volume of solution.
};

/// Choices are amounts to write instead.
[[nodiscard]] PourLine poursOf(const chemistry::Catalogue& catalogue, const NamedPour& named);

} // namespace anodex::wording
