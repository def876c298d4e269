// src/app/widgets/MaterialPaint.h - a piece of a material as it lies on the table: its form, and the colour a
// clean piece of it has (data/looks/tints.json).
#pragma once
#include "app/theme/Theme.h"
#include "core/chemistry/Catalogue.h"

class QPainter;

namespace anodex::app {

/// The colour of a piece; the rule's colour where none is known.
[[nodiscard]] QColor tintOf(const chemistry::Catalogue& catalogue, const chemistry::Material& material,
                            const Colours& colours);

void paintMaterial(QPainter& painter, const Colours& colours, const chemistry::Catalogue& catalogue,
                   const chemistry::Material& material, const QRectF& box);

} // namespace anodex::app
