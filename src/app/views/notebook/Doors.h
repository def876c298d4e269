// src/app/views/notebook/Doors.h - the three ways to begin when nothing is written down yet.
#pragma once
#include "app/theme/Theme.h"
#include <QWidget>

class QMenu;

namespace anodex::app {

class Doors : public QWidget {
    Q_OBJECT
public:
    explicit Doors(QWidget* parent);

private:
    QMenu* starterMenu(QWidget* parent);

signals:
    void firstCellAsked();
    void starterAsked(const QString& file);
    void demoAsked();
};

} // namespace anodex::app
