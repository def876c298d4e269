#include "app/widgets/picture/PictureScroll.h"

#include "app/widgets/picture/Picture.h"

#include <QScrollBar>

namespace anodex::app {

PictureScroll::PictureScroll(Picture* picture, QWidget* parent) : QScrollArea(parent) {
    setWidget(picture);
    setWidgetResizable(true);
    setFocusPolicy(Qt::NoFocus);
    setFrameShape(QFrame::NoFrame);
    // What a picture keeps at the edge of the seen part moves over it while scrolling.
    connect(horizontalScrollBar(), &QScrollBar::valueChanged, picture, qOverload<>(&QWidget::update));
    connect(picture, &Picture::itemFocused, this, [this, picture](const QString& id) {
        if (const PictureItem* item = picture->item(id); item != nullptr) {
            const QRect area = item->area.toAlignedRect();
            ensureVisible(area.center().x(), area.center().y(), area.width() / 2 + 6, area.height() / 2 + 6);
        }
    });
}

} // namespace anodex::app
