// src/app/views/notebook/Doors.h - the three ways to begin when nothing is written down yet.
#pragma once
#include "app/theme/Theme.h"
#include <QWidget>

class QLabel;
class QMenu;
class QPushButton;

namespace anodex::app {

class Doors : public QWidget {
    Q_OBJECT
public:
    explicit Doors(QWidget* parent);

    /// True where designs exist already: a way back instead of the demo.
    void setAnother(bool another);

private:
    QMenu* starterMenu(QWidget* parent);

    QLabel* m_title;
    QLabel* m_words;
    QPushButton* m_demo;
    QLabel* m_demoWords = nullptr;
    QPushButton* m_back;

signals:
    void firstCellAsked();
    void starterAsked(const QString& file);
    void demoAsked();
    void fileAsked();
    void backAsked();
};

} // namespace anodex::app
