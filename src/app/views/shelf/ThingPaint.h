// src/app/views/shelf/ThingPaint.h - a plate, a jar, a bottle, a sheet or a box, as it stands on a board.
#pragma once
#include "app/theme/Theme.h"
#include "app/views/shelf/OwnedText.h"

class QPainter;

namespace anodex::app {

/// An electrode by its form and colour where the catalogue knows it; anything else as its kind looks.
void paintThing(QPainter& painter, const Colours& colours, const chemistry::Catalogue& catalogue,
                const OwnedThing& thing, const QRectF& box);
/// By its looks: can, nails, pipe, rod, coil, heap, pot or fruit; false for any other, and nothing is drawn.
bool paintLooks(QPainter& painter, const Colours& colours, const QString& looks, const QRectF& box);

} // namespace anodex::app
