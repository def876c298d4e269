// src/app/views/View.h - what every station's stage offers the window.
#pragma once
#include "core/explain/Explain.h"
#include <QWidget>

namespace anodex::app {

class View : public QWidget {
    Q_OBJECT
public:
    using QWidget::QWidget;

signals:
    /// A computed number wants to show how it was found, near a point of the screen.
    void numberAsked(const anodex::explain::QuantityKey& key, const QPoint& at);
    /// Show another station.
    void stationAsked(const QString& id);
};

} // namespace anodex::app
