// src/core/cell/CompiledCell.h - a cell of one catalogue in one possible world: every uncertain value drawn
// once, as plain values that the laws take.
//
// Ownership  refers to the catalogue and the cell it was compiled from, which have to live longer.
#pragma once
#include "core/design/Cell.h"
#include "core/electrode/Draw.h"
#include "core/electrode/Situation.h"
#include <array>

namespace anodex::cell {

struct CompiledCell {
    const chemistry::Catalogue& catalogue;
    const design::Cell& cell;
    std::array<electrode::ElectrodeParameters, 2> electrodes; ///< By Side.
    double macMullin = 1.0;                                   ///< Of the separator; at least 1.
    double separatorOhmM2 = 0.0;
    double bridgeOhm = 0.0;
    double contactOhm = 0.0;
    double dissolvedShare = 1.0; ///< Of a dissolved reagent that gets used.
    double solventShare = 1.0;   ///< Of the solvent.
    double reading = 0.0;        ///< Meter, weighing and junction; -1 to 1 is the 5-95 % span.

    [[nodiscard]] const electrode::ElectrodeParameters& electrode(design::Side side) const {
        return electrodes[static_cast<std::size_t>(side)];
    }
    [[nodiscard]] electrode::Situation at(design::Side side, const state::Contents& contents) const {
        return {catalogue, cell, contents, electrode(side)};
    }
};

[[nodiscard]] CompiledCell compile(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                   const electrode::Draw& draw = electrode::Draw::nominal());

} // namespace anodex::cell
