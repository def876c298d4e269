// src/app/widgets/picture/PictureItem.h - one thing drawn in a picture that can be pointed at, read out or
// opened.
#pragma once
#include "core/explain/Explain.h"
#include <QAccessible>
#include <QCursor>
#include <QRectF>
#include <QString>
#include <functional>
#include <optional>

class QPainter;

namespace anodex::app {

struct PictureItem {
    enum class Drag { None, Horizontal, Vertical };

    QString id; ///< Stable while the picture changes; keeps the focus.
    QRectF area;
    QAccessible::Role role = QAccessible::StaticText;
    QString name;  ///< Read out first.
    QString value; ///< Read out after it.
    QString tooltip;
    bool focusable = true;
    Drag drag = Drag::None;
    bool editable = false;                     ///< F2 or double click asks for a number or a name.
    std::optional<explain::QuantityKey> opens; ///< Enter or click shows how the number was found.
    std::function<void(QPainter&)> paint;
    QRectF covers; ///< What its paint hides for certain: no paper is laid under it.
};

} // namespace anodex::app
