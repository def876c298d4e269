// src/app/widgets/Draw.h - small marks that every picture draws alike.
#pragma once
#include "app/theme/Theme.h"
#include "core/findings/Findings.h"
#include <QPainter>

namespace anodex::app {

/// Text in a box, ended by an ellipsis when it does not fit.
void drawElided(QPainter& painter, const QRectF& box, const QString& text,
                int flags = Qt::AlignLeft | Qt::AlignVCenter);

/// Round with a minus, or square with a plus: the sign of a side by shape as well as colour.
void drawTerminal(QPainter& painter, const QPointF& centre, double radius, bool positive,
                  const Colours& colours);

/// Eight corners for danger, three for a warning, a circle for a note.
void drawSeverity(QPainter& painter, const QPointF& centre, double radius, findings::Severity severity,
                  const Colours& colours);
[[nodiscard]] QColor severityColour(findings::Severity severity, const Colours& colours);

/// What the meter said; hollow with a barb to where it may still go when it is only a lower bound.
enum class Barb { None, Right, Up };
void drawDiamond(QPainter& painter, const QPointF& centre, double radius, const QColor& colour,
                 Barb barb = Barb::None);

} // namespace anodex::app
