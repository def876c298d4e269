// src/app/widgets/ShapedText.h - text that is shaped once and drawn often: after an edit most words on a picture are
// the same, and shaping them is most of what painting them costs.
//
// Threads    the window's own.
#pragma once
#include <QPainter>

namespace anodex::app {

/// One line in a box, ended by an ellipsis when it does not fit.
void drawElided(QPainter& painter, const QRectF& box, const QString& text,
                int flags = Qt::AlignLeft | Qt::AlignVCenter);
/// One line, whole, however narrow the box it is aligned to.
void drawWords(QPainter& painter, const QRectF& box, const QString& text, int flags);
/// Broken into lines as wide as the box, and where the text breaks; each is aligned in it.
void drawWrapped(QPainter& painter, const QRectF& box, const QString& text,
                 int flags = Qt::AlignLeft | Qt::AlignTop);
/// Width that drawWords() takes, px.
[[nodiscard]] double wordsWidth(const QString& text, const QFont& font);
/// Height that drawWrapped() takes, px.
[[nodiscard]] double wrappedHeight(const QString& text, double width, const QFont& font);

} // namespace anodex::app
