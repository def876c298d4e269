// tests/app/CutTexts.h - texts that are cut without an ellipsis, anywhere in sight.
#pragma once
#include "app/widgets/ElidedLabel.h"

#include <QCoreApplication>
#include <QLabel>
#include <QPushButton>

namespace anodex::app {

inline QStringList cutTexts(const QWidget& window) {
    QCoreApplication::processEvents();
    QStringList cut;
    for (const QPushButton* button : window.findChildren<QPushButton*>()) {
        const int needed = button->fontMetrics().horizontalAdvance(button->text());
        if (button->isVisible() && !button->text().isEmpty() && button->width() < needed) {
            cut << "button: " + button->text();
        }
    }
    for (const QLabel* label : window.findChildren<QLabel*>()) {
        if (!label->isVisible() || label->text().isEmpty() || qobject_cast<const ElidedLabel*>(label)) {
            continue;
        }
        const bool fits = label->wordWrap()
                              ? label->height() >= label->heightForWidth(label->width()) - 1
                              : label->width() >= label->fontMetrics().horizontalAdvance(label->text());
        if (!fits) {
            cut << "label: " + label->text();
        }
    }
    return cut;
}

} // namespace anodex::app
