// src/app/widgets/picture/Picture.h - a drawn scene of items with hit-testing, keyboard focus and accessible
// children.
//
// Keys       Tab enters and leaves; arrows move between items; Enter activates; F2 edits; plus and minus
//            step.
#pragma once
#include "app/widgets/picture/PictureItem.h"
#include <QWidget>
#include <vector>

namespace anodex::app {

class Picture : public QWidget {
    Q_OBJECT
public:
    explicit Picture(const QString& accessibleName, QWidget* parent = nullptr);

    void setItems(std::vector<PictureItem> items);
    [[nodiscard]] const std::vector<PictureItem>& items() const { return m_items; }
    [[nodiscard]] const PictureItem* item(const QString& id) const;
    /// What is drawn under the items.
    void setBackdrop(std::function<void(QPainter&)> backdrop) { m_backdrop = std::move(backdrop); }
    /// What is drawn over them.
    void setOverlay(std::function<void(QPainter&)> overlay) { m_overlay = std::move(overlay); }
    /// Its ground, where that is not the window's.
    void setPaper(const QColor& colour) { m_paper = colour; }
    void setFocusColour(const QColor& colour) { m_focusColour = colour; }
    void focusItem(const QString& id);
    /// Where keys begin once the picture has the focus.
    void setKeysBeginAt(const QString& id) { m_focused = id; }
    [[nodiscard]] QString focusedItem() const { return m_focused; }

signals:
    void activated(const QString& id);
    void editRequested(const QString& id);
    void stepped(const QString& id, int steps);
    /// Distance from where the drag began, in pixels.
    void dragged(const QString& id, const QPointF& distance, bool finished);
    void itemFocused(const QString& id);
    void resized();
    /// Out of sight a picture is not kept up to date; it is drawn anew when it appears.
    void shown();

protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void wheelEvent(QWheelEvent* event) override;
    void focusInEvent(QFocusEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void showEvent(QShowEvent* event) override;
    bool event(QEvent* event) override;

private:
    /// Fills what no item covers; the widest part of an edit's painting.
    void layPaper(QPainter& painter, const QRegion& asked) const;
    [[nodiscard]] const PictureItem* itemAt(const QPointF& position) const;
    void moveFocus(int dx, int dy);
    void announceFocus();

    std::vector<PictureItem> m_items;
    std::function<void(QPainter&)> m_backdrop;
    std::function<void(QPainter&)> m_overlay;
    QColor m_paper; ///< Invalid: the window's.
    QColor m_focusColour = Qt::magenta;
    QString m_focused;
    QString m_pressed;
    QPointF m_pressedAt;
    bool m_dragging = false;
    bool m_byKeys = false; ///< The ring shows only to whoever steers by keys.
};

} // namespace anodex::app
