// src/app/widgets/MaterialPaint.h - a piece of a material as it lies on the table: its form and
// its colour.
#pragma once
#include "app/theme/Theme.h"
#include "core/chemistry/Catalogue.h"

class QPainter;

namespace anodex::app {

void paintMaterial(QPainter& painter, const Colours& colours, const chemistry::Catalogue& catalogue,
                   const chemistry::Material& material, const QRectF& box);

} // namespace anodex::app
