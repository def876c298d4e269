// src/core/cell/Spreading.h - how far the free liquid between two electrodes counts as a straight path.
//
// Law        plane: L / A. In the ground, and in a bath much larger than what lies between the electrodes,
//            the current first spreads from a disc of radius a into a channel of radius b: (1 - a/b)^1.5 /
//            (4 a) (Cooper, Mikic & Yovanovich, Int. J. Heat Mass Transfer 12, 279 (1969)), then crosses L / (π
//            b²).
// Units      1/m: divided by the conductivity it is a resistance.
#pragma once
#include "core/state/Contents.h"

namespace anodex::cell {

struct HalfPath {
    double perMetre = 0.0; ///< Length over area, from one electrode to where its liquid ends.
    bool spreads = false;  ///< The bath is wide enough for the shorter way.
};

/// Of the liquid between the electrodes: a half, but where liquids lie in layers.
[[nodiscard]] double shareOfGap(const state::Contents& contents, design::Side side);

/// `freeMetres` is the liquid of the whole gap without separators, of which each side has its share.
[[nodiscard]] HalfPath halfPath(const design::Cell& cell, const state::Contents& contents, design::Side side,
                                double freeMetres);

} // namespace anodex::cell
