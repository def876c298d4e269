// src/app/views/notebook/Doors.h - the ways to begin: a starter from the gallery, two metals, a copy, or a file.
#pragma once
#include "app/session/Starters.h"
#include "app/session/Workbench.h"
#include "app/theme/Theme.h"

#include <QWidget>

class QHBoxLayout;
class QLabel;
class QPushButton;

namespace anodex::app {

class Gallery;
class PictureScroll;

class Doors : public QWidget {
    Q_OBJECT
public:
    Doors(Workbench& bench, const Theme& theme, QWidget* parent);

    /// True where designs exist already: a copy and a way back instead of the demo.
    void setAnother(bool another);
    void showStarters();
    /// Designs of another notebook in the gallery instead.
    void showOthers(const QString& notebook, std::vector<Starter> designs);
    /// Keys go to the first door, the gallery is at its top.
    void begin();

signals:
    void starterAsked(const anodex::design::CellDesign& design);
    void copyAsked();
    void demoAsked();
    void fileAsked();
    void notebookAsked();
    void backAsked();

private:
    QPushButton* addDoor(QHBoxLayout& row, const char* name, const QString& words, const QString& hint);
    QWidget* makeOrders();

    Gallery* m_gallery;
    PictureScroll* m_scroll = nullptr;
    QLabel* m_title;
    QLabel* m_words;
    QWidget* m_orders = nullptr;
    QPushButton* m_copy = nullptr;
    QPushButton* m_demo = nullptr;
    QPushButton* m_back = nullptr;
};

} // namespace anodex::app
