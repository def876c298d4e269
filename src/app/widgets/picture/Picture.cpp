#include "app/widgets/picture/Picture.h"

#include <QGuiApplication>
#include <QHelpEvent>
#include <QKeyEvent>
#include <QPaintEvent>
#include <QPainter>
#include <QToolTip>
#include <algorithm>
#include <cmath>
#include <limits>

namespace anodex::app {

Picture::Picture(const QString& accessibleName, QWidget* parent) : QWidget(parent) {
    setAccessibleName(accessibleName);
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setAttribute(Qt::WA_OpaquePaintEvent); // its paper covers all of it
}

void Picture::setItems(std::vector<PictureItem> items) {
    m_items = std::move(items);
    if (item(m_focused) == nullptr) {
        m_focused.clear();
    }
    update();
}

const PictureItem* Picture::item(const QString& id) const {
    const auto found =
        std::find_if(m_items.begin(), m_items.end(), [&](const PictureItem& i) { return i.id == id; });
    return found == m_items.end() ? nullptr : &*found;
}

void Picture::focusItem(const QString& id) {
    m_focused = id;
    announceFocus();
    update();
}

const PictureItem* Picture::itemAt(const QPointF& position) const {
    // The last drawn lies on top.
    const auto found = std::find_if(m_items.rbegin(), m_items.rend(), [&](const PictureItem& i) {
        return i.focusable && i.area.contains(position);
    });
    return found == m_items.rend() ? nullptr : &*found;
}

void Picture::layPaper(QPainter& painter, const QRegion& asked) const {
    QRegion bare = asked;
    for (const PictureItem& item : m_items) {
        bare -= item.covers.toAlignedRect().adjusted(1, 1, -1, -1); // its rounded edge may leave a pixel
    }
    // The program's own paper: a style sheet leaves the widget's palette transparent.
    const QColor paper = m_paper.isValid() ? m_paper : QGuiApplication::palette().color(QPalette::Window);
    for (const QRect& part : bare) {
        painter.fillRect(part, paper);
    }
}

void Picture::paintEvent(QPaintEvent* event) {
    QPainter painter(this);
    layPaper(painter, event->region());
    painter.setRenderHint(QPainter::Antialiasing);
    if (m_backdrop) {
        m_backdrop(painter);
    }
    for (const PictureItem& item : m_items) {
        if (item.paint) {
            painter.save();
            item.paint(painter);
            painter.restore();
        }
    }
    if (m_overlay) {
        m_overlay(painter);
    }
    const PictureItem* focused = item(m_focused);
    if (hasFocus() && m_byKeys && focused != nullptr) {
        painter.setPen(QPen(m_focusColour, 2.0));
        painter.setBrush(Qt::NoBrush);
        painter.drawRoundedRect(focused->area.adjusted(-3, -3, 3, 3), 4, 4);
    }
}

void Picture::moveFocus(int dx, int dy) {
    const PictureItem* from = item(m_focused);
    const PictureItem* best = nullptr;
    double bestCost = std::numeric_limits<double>::max();
    for (const PictureItem& candidate : m_items) {
        if (!candidate.focusable || &candidate == from) {
            continue;
        }
        if (from == nullptr) {
            best = &candidate;
            break;
        }
        const QPointF way = candidate.area.center() - from->area.center();
        const double along = way.x() * dx + way.y() * dy;
        const double across = std::abs(way.x() * dy) + std::abs(way.y() * dx);
        if (along > 0.5 && along + 3.0 * across < bestCost) {
            bestCost = along + 3.0 * across;
            best = &candidate;
        }
    }
    if (best != nullptr) {
        m_focused = best->id;
        announceFocus();
        update();
    }
}

void Picture::announceFocus() {
    for (std::size_t i = 0; i < m_items.size(); ++i) {
        if (m_items[i].id == m_focused) {
            QAccessibleEvent event(this, QAccessible::Focus);
            event.setChild(static_cast<int>(i));
            QAccessible::updateAccessibility(&event);
            emit itemFocused(m_focused);
            return;
        }
    }
}

void Picture::keyPressEvent(QKeyEvent* event) {
    m_byKeys = true;
    switch (event->key()) {
    case Qt::Key_Left:
        return moveFocus(-1, 0);
    case Qt::Key_Right:
        return moveFocus(1, 0);
    case Qt::Key_Up:
        return moveFocus(0, -1);
    case Qt::Key_Down:
        return moveFocus(0, 1);
    default:
        break;
    }
    const PictureItem* focused = item(m_focused);
    const bool enter =
        event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter || event->key() == Qt::Key_Space;
    if (focused != nullptr && enter) {
        emit activated(m_focused);
    } else if (focused != nullptr && event->key() == Qt::Key_F2) {
        emit editRequested(m_focused);
    } else if (focused != nullptr && focused->drag != PictureItem::Drag::None &&
               (event->key() == Qt::Key_Plus || event->key() == Qt::Key_Minus)) {
        emit stepped(m_focused, event->key() == Qt::Key_Plus ? 1 : -1);
    } else {
        QWidget::keyPressEvent(event);
    }
}

void Picture::mousePressEvent(QMouseEvent* event) {
    m_byKeys = false;
    const PictureItem* hit = itemAt(event->position());
    m_pressed = hit != nullptr ? hit->id : QString();
    m_pressedAt = event->position();
    m_dragging = false;
    if (hit != nullptr) {
        m_focused = m_pressed;
        announceFocus();
        update();
    }
}

void Picture::mouseMoveEvent(QMouseEvent* event) {
    const PictureItem* pressed = item(m_pressed);
    const bool held = (event->buttons() & Qt::LeftButton) != 0;
    if (held && pressed != nullptr && pressed->drag != PictureItem::Drag::None) {
        const QPointF distance = event->position() - m_pressedAt;
        m_dragging = m_dragging || distance.manhattanLength() > 3.0;
        if (m_dragging) {
            emit dragged(m_pressed, distance, false);
        }
        return;
    }
    const PictureItem* hit = itemAt(event->position());
    if (hit == nullptr) {
        unsetCursor();
    } else if (hit->drag == PictureItem::Drag::Horizontal) {
        setCursor(Qt::SizeHorCursor);
    } else if (hit->drag == PictureItem::Drag::Vertical) {
        setCursor(Qt::SizeVerCursor);
    } else {
        setCursor(Qt::PointingHandCursor);
    }
}

void Picture::mouseReleaseEvent(QMouseEvent* event) {
    const QString pressed = m_pressed;
    m_pressed.clear();
    if (m_dragging) {
        m_dragging = false;
        emit dragged(pressed, event->position() - m_pressedAt, true);
        return;
    }
    const PictureItem* hit = itemAt(event->position());
    if (hit != nullptr && hit->id == pressed) {
        emit activated(pressed);
    }
}

void Picture::mouseDoubleClickEvent(QMouseEvent* event) {
    const PictureItem* hit = itemAt(event->position());
    if (hit != nullptr) {
        emit editRequested(hit->id);
    }
}

void Picture::wheelEvent(QWheelEvent* event) {
    const PictureItem* hit = itemAt(event->position());
    if (hit == nullptr || hit->drag == PictureItem::Drag::None || event->angleDelta().y() == 0) {
        event->ignore();
        return;
    }
    const QString id = hit->id;
    emit stepped(id, event->angleDelta().y() > 0 ? 1 : -1);
    event->accept();
}

void Picture::focusInEvent(QFocusEvent* event) {
    m_byKeys = event->reason() == Qt::TabFocusReason || event->reason() == Qt::BacktabFocusReason;
    if (m_focused.isEmpty()) {
        const auto first =
            std::find_if(m_items.begin(), m_items.end(), [](const PictureItem& i) { return i.focusable; });
        m_focused = first == m_items.end() ? QString() : first->id;
    }
    announceFocus();
    QWidget::focusInEvent(event);
}

void Picture::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    emit resized();
}

void Picture::showEvent(QShowEvent* event) {
    QWidget::showEvent(event);
    emit shown();
}

bool Picture::event(QEvent* event) {
    if (event->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(event);
        const PictureItem* hit = itemAt(help->pos());
        QToolTip::showText(help->globalPos(), hit != nullptr ? hit->tooltip : QString(), this);
        return true;
    }
    const bool handled = QWidget::event(event);
    if (event->type() == QEvent::Polish || event->type() == QEvent::StyleChange) {
        // It paints every pixel itself, so an edit does not repaint what lies under it. Said here, since a
        // style sheet takes it away from every widget it polishes.
        setAttribute(Qt::WA_OpaquePaintEvent);
    }
    return handled;
}

} // namespace anodex::app
