// tests/app/Overlaps.h - what lies outside the window, or on something else, anywhere in sight.
#pragma once
#include "app/frame/FindPanel.h"
#include "app/frame/MessageStrip.h"
#include "app/widgets/ExplainPanel.h"
#include "app/widgets/picture/Picture.h"

#include <QAbstractScrollArea>
#include <QComboBox>
#include <QCoreApplication>
#include <QLineEdit>
#include <QStringList>
#include <qcustomplot.h>

namespace anodex::app {

inline QString called(const QWidget& widget) {
    return QString::fromLatin1(widget.metaObject()->className()) + ' ' + widget.objectName();
}

/// Panels and messages lie over the window on purpose.
inline bool liesOver(const QWidget& widget) {
    return qobject_cast<const MessageStrip*>(&widget) != nullptr ||
           qobject_cast<const FindPanel*>(&widget) != nullptr ||
           qobject_cast<const ExplainPanel*>(&widget) != nullptr;
}

/// Laid out by the toolkit or by the plot itself.
inline bool laysOutItself(const QWidget& widget) {
    return qobject_cast<const QAbstractScrollArea*>(&widget) != nullptr ||
           qobject_cast<const QLineEdit*>(&widget) != nullptr ||
           qobject_cast<const QComboBox*>(&widget) != nullptr ||
           qobject_cast<const QCustomPlot*>(&widget) != nullptr;
}

inline bool isScrolled(const QWidget& widget, const QWidget& window) {
    for (const QWidget* at = widget.parentWidget(); at != nullptr && at != &window; at = at->parentWidget()) {
        if (qobject_cast<const QAbstractScrollArea*>(at) != nullptr) {
            return true;
        }
    }
    return false;
}

inline QStringList outOfReach(const QWidget& window) {
    QStringList outside;
    for (const QWidget* widget : window.findChildren<QWidget*>()) {
        if (!widget->isVisible() || isScrolled(*widget, window)) {
            continue;
        }
        const QRect area(widget->mapTo(&window, QPoint()), widget->size());
        if (!window.rect().contains(area)) {
            outside << QStringLiteral("%1 at %2,%3 %4x%5")
                           .arg(called(*widget))
                           .arg(area.x())
                           .arg(area.y())
                           .arg(area.width())
                           .arg(area.height());
        }
    }
    for (const Picture* picture : window.findChildren<Picture*>()) {
        for (const PictureItem& item : picture->items()) {
            const QRectF room = QRectF(picture->rect()).adjusted(-1.0, -1.0, 1.0, 1.0);
            if (picture->isVisible() && !item.area.isEmpty() && !room.contains(item.area)) {
                outside << QStringLiteral("%1: %2 at %3,%4 %5x%6 of %7x%8")
                               .arg(called(*picture), item.id)
                               .arg(item.area.x())
                               .arg(item.area.y())
                               .arg(item.area.width())
                               .arg(item.area.height())
                               .arg(picture->width())
                               .arg(picture->height());
            }
        }
    }
    return outside;
}

inline QStringList overlaps(const QWidget& window) {
    QStringList found;
    QList<QWidget*> parents = window.findChildren<QWidget*>();
    parents.prepend(const_cast<QWidget*>(&window));
    for (const QWidget* parent : parents) {
        if (!parent->isVisible() || laysOutItself(*parent)) {
            continue;
        }
        QList<QWidget*> inside;
        for (QWidget* child : parent->findChildren<QWidget*>(Qt::FindDirectChildrenOnly)) {
            if (child->isVisible() && !child->isWindow() && !liesOver(*child)) {
                inside << child;
            }
        }
        for (int i = 0; i < inside.size(); ++i) {
            for (int j = i + 1; j < inside.size(); ++j) {
                if (inside[i]->geometry().intersects(inside[j]->geometry())) {
                    found << called(*inside[i]) + QStringLiteral(" on ") + called(*inside[j]);
                }
            }
        }
    }
    return found;
}

} // namespace anodex::app
