// src/app/views/cell/SectionRuler.h - the ruler along the layers of a section: below upright ones, left of
// stacked ones.
#pragma once
#include "app/views/cell/SectionLayout.h"
#include <QColor>
#include <QSizeF>

class QPainter;

namespace anodex::app {

void paintRuler(QPainter& painter, const SectionLayout& layout, const design::Cell& cell, const QSizeF& room,
                const QColor& colour);

} // namespace anodex::app
