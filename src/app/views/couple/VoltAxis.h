// src/app/views/couple/VoltAxis.h - the scale of volts behind both ladders.
#pragma once
#include "app/theme/Theme.h"
#include <QPainter>
#include <functional>

namespace anodex::app {

inline double voltAxisWidth() {
    return Theme::em(3.6);
}

/// Lines across `width` with their numbers on the left, no closer than the type allows.
void paintVoltAxis(QPainter& painter, const Colours& colours, double low, double high, double width,
                   const std::function<double(double)>& yOf);

} // namespace anodex::app
