// src/app/widgets/picture/PictureScroll.h - a picture that may be larger than its place; what has the focus
// stays in sight.
#pragma once
#include <QScrollArea>

namespace anodex::app {

class Picture;

class PictureScroll : public QScrollArea {
    Q_OBJECT
public:
    PictureScroll(Picture* picture, QWidget* parent);
};

} // namespace anodex::app
