// src/core/cell/Capacity.h - which reagent runs out first, and after how many coulombs.
//
// Law        Faraday: Q = n F moles / |ν| for every reagent that the working couples consume; the smallest
//            limits. A reagent both electrodes consume from one liquid is shared. Utilisation from the
//            catalogue; what a couple loses to another reaction on the spot does not reach the leads. A solid oxidant
//            in a layer that breathes ends nothing: oxygen goes on where it is used up. A metal ion that meets the
//            hydroxide of either electrode, once the liquid's acid is used up, falls out and takes along the solvent
//            which its sludge keeps.
// Units      C, mol.
#pragma once
#include "core/cell/CompiledCell.h"
#include "core/cell/WorkingCouple.h"
#include <optional>
#include <vector>

namespace anodex::cell {

struct Reagent {
    chemistry::SpeciesIndex species = 0;
    std::optional<design::Side> side; ///< Absent: shared by both from one liquid.
    double moles = 0.0;
    double coulombs = 0.0;         ///< By stoichiometry alone.
    double expectedCoulombs = 0.0; ///< With the utilisation the field reaches and what is lost on the spot.
};

struct Capacity {
    std::vector<Reagent> reagents; ///< Smallest expected first; empty when nothing runs out.
    double theoreticalCoulombs = 0.0;
    double expectedCoulombs = 0.0;
    double firstCoulombs =
        0.0; ///< Of these, while the couples stay the same: until air takes a solid's place.
};

[[nodiscard]] Capacity capacityOf(const CompiledCell& compiled, const state::Contents& contents,
                                  const WorkingCouple& negative, const WorkingCouple& positive);

} // namespace anodex::cell
