#include "app/widgets/RowList.h"

#include <QPaintEvent>

namespace anodex::app {

RowList::RowList(QWidget* parent) : QListWidget(parent) {
    setWordWrap(true);
}

int RowList::wholeRows() const {
    const int foot = viewport()->height();
    const QModelIndex last = QListWidget::indexAt(QPoint(viewport()->width() / 2, foot - 1));
    const QRect cut = last.isValid() ? visualRect(last) : QRect();
    // A row that is taller than the list is shown as far as it goes.
    return cut.isValid() && cut.bottom() >= foot && cut.top() > 0 ? cut.top() : foot;
}

QModelIndex RowList::indexAt(const QPoint& point) const {
    return point.y() < wholeRows() ? QListWidget::indexAt(point) : QModelIndex();
}

void RowList::paintEvent(QPaintEvent* event) {
    const QRect shown(0, 0, viewport()->width(), wholeRows());
    QPaintEvent whole(event->region() & shown);
    QListWidget::paintEvent(&whole);
}

} // namespace anodex::app
