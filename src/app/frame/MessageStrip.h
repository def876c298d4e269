// src/app/frame/MessageStrip.h - what was done, or what is wrong and what would be right. It lies over the window, so
// that nothing moves when it comes or goes: at its own place, or, where a field refuses, at the field.
#pragma once
#include "app/theme/Theme.h"
#include <QPointer>
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

    /// Its own place in the parent: where it begins, and how wide it is.
    void setHome(std::function<QRect()> home) { m_home = std::move(home); }
    void say(const QString& text);
    void refuse(const QString& text);
    /// Stays until it is closed, or something else is said.
    void hint(const QString& text);
    [[nodiscard]] bool isHinting() const { return m_isHint && !isHidden(); }
    /// What is wrong, with a button that mends it.
    void offer(const QString& text, const QString& deed, std::function<void()> mend);
    [[nodiscard]] QString text() const;

signals:
    /// By its own button.
    void closed();

protected:
    void paintEvent(QPaintEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void settleDown();
    void fitHeight();
    void put(const QString& text, bool fault, const QString& deed = {});

    const Theme& m_theme;
    QLabel* m_label;
    QPushButton* m_deed;
    QPushButton* m_close;
    std::function<void()> m_mend;
    std::function<QRect()> m_home;
    QPointer<QWidget> m_field; ///< That refused what was typed.
    QTimer* m_timer;
    bool m_fault = false;
    bool m_isHint = false;
};

} // namespace anodex::app
