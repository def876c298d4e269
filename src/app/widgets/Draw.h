// src/app/widgets/Draw.h - small marks that every picture draws alike.
#pragma once
#include "app/theme/Theme.h"
#include "app/widgets/ShapedText.h"
#include "core/findings/Findings.h"
#include <QPainter>

namespace anodex::app {

/// Round with a minus, or square with a plus: the sign of a side by shape as well as colour.
void drawTerminal(QPainter& painter, const QPointF& centre, double radius, bool positive,
                  const Colours& colours);

/// Eight corners for danger, three for a warning, a circle for a note.
void drawSeverity(QPainter& painter, const QPointF& centre, double radius, findings::Severity severity,
                  const Colours& colours);
[[nodiscard]] QColor severityColour(findings::Severity severity, const Colours& colours);

/// The colour that a tint of a share of 0 to 1 has over a ground, itself without transparency.
[[nodiscard]] QColor tintedOver(const QColor& ground, const QColor& tint, double share);

/// What the meter said; hollow with a barb to where it may still go when it is only a lower bound.
enum class Barb { None, Right, Up };
void drawDiamond(QPainter& painter, const QPointF& centre, double radius, const QColor& colour,
                 Barb barb = Barb::None);

} // namespace anodex::app
