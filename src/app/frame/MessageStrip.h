// src/app/frame/MessageStrip.h - one line that answers: what was done, or what is wrong and what would be
// right.
#pragma once
#include "app/theme/Theme.h"
#include <QWidget>
#include <functional>

class QLabel;
class QPushButton;
class QTimer;

namespace anodex::app {

class MessageStrip : public QWidget {
    Q_OBJECT
public:
    MessageStrip(const Theme& theme, QWidget* parent);

    void say(const QString& text);
    void refuse(const QString& text);
    /// What is wrong, with a button that mends it.
    void offer(const QString& text, const QString& deed, std::function<void()> mend);
    [[nodiscard]] QString text() const;

protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

private:
    void fitHeight();
    void put(const QString& text, bool fault, const QString& deed = {});

    const Theme& m_theme;
    QLabel* m_label;
    QPushButton* m_deed;
    QPushButton* m_close;
    std::function<void()> m_mend;
    QTimer* m_timer;
    bool m_fault = false;
};

} // namespace anodex::app
