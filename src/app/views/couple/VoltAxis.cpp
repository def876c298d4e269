#include "app/views/couple/VoltAxis.h"

#include "wording/Quantities.h"

#include <algorithm>
#include <cmath>

namespace anodex::app {

void paintVoltAxis(QPainter& painter, const Colours& colours, double low, double high, double width,
                   const std::function<double(double)>& yOf) {
    painter.setFont(Theme::font(0.85));
    const double pixelsPerVolt = std::max(1.0, yOf(low) - yOf(high)) / (high - low);
    const double closest = Theme::em(1.4) / pixelsPerVolt;
    const double step = closest < 0.2 && high - low <= 2.6 ? 0.2 : closest < 0.5 ? 0.5 : 1.0;
    for (double volts = std::ceil(low / step) * step; volts <= high; volts += step) {
        const double y = yOf(volts);
        const bool zero = std::abs(volts) < 1e-9;
        painter.setPen(QPen(colours.rule, 1.0, zero ? Qt::SolidLine : Qt::DotLine));
        painter.drawLine(QPointF(voltAxisWidth(), y), QPointF(width, y));
        painter.setPen(colours.faint);
        painter.drawText(QRectF(0, y - Theme::em(0.6), voltAxisWidth() - 6, Theme::em(1.2)),
                         Qt::AlignRight | Qt::AlignVCenter,
                         zero ? QStringLiteral("0 V")
                              : QString::fromStdString(wording::numberText(volts, 3)));
    }
}

} // namespace anodex::app
