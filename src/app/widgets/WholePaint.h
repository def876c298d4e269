// src/app/widgets/WholePaint.h - the pieces of a whole cell, put into a room to scale and drawn.
#pragma once
#include "app/theme/Theme.h"
#include "app/widgets/WholeShape.h"

class QPainter;

namespace anodex::app {

/// Moves the pieces into the middle of `room`, as large as they fit; the scale, px/mm.
double placeWhole(std::vector<WholePiece>& pieces, const QRectF& room);

/// `strength`: of a liquid, 0 to 1; stronger is drawn deeper.
void paintPiece(QPainter& painter, const Colours& colours, const WholePiece& piece, double strength);

/// Of the liquid on that side, for paintPiece().
[[nodiscard]] double shownStrength(const state::Contents& contents, design::Side side);

} // namespace anodex::app
