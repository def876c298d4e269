#include "app/frame/MessageStrip.h"

#include "app/widgets/Draw.h"

#include <QAccessible>
#include <QApplication>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QTimer>
#include <algorithm>

namespace anodex::app {

MessageStrip::MessageStrip(const Theme& theme, QWidget* parent)
    : QWidget(parent), m_theme(theme), m_label(new QLabel(this)), m_deed(new QPushButton(this)),
      m_close(new QPushButton(tr("Close"), this)), m_timer(new QTimer(this)) {
    setObjectName(QStringLiteral("messageStrip"));
    m_label->setObjectName(QStringLiteral("message"));
    m_label->setWordWrap(true);
    parent->installEventFilter(this);
    m_deed->setObjectName(QStringLiteral("messageDeed"));
    m_deed->hide();
    m_close->setObjectName(QStringLiteral("messageClose"));
    m_close->setProperty("quiet", true);
    m_close->setAccessibleName(tr("Close the message"));
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(static_cast<int>(Theme::em(2.0)), 2, 4, 2);
    layout->addWidget(m_label, 1);
    layout->addWidget(m_deed);
    layout->addWidget(m_close);
    m_timer->setSingleShot(true);
    connect(m_timer, &QTimer::timeout, this, &QWidget::hide);
    connect(m_close, &QPushButton::clicked, this, [this] {
        emit closed();
        hide();
    });
    connect(m_deed, &QPushButton::clicked, this, [this] {
        hide();
        m_mend(); // may put another message here
    });
    hide();
}

void MessageStrip::put(const QString& text, bool fault, const QString& deed) {
    m_fault = fault;
    m_isHint = false;
    m_label->setText(text);
    m_close->setVisible(fault);
    m_deed->setVisible(!deed.isEmpty());
    m_deed->setText(deed);
    m_field = fault ? qobject_cast<QLineEdit*>(QApplication::focusWidget()) : nullptr;
    settleDown();
    setAccessibleName(text);
    show();
    raise();
    QAccessibleEvent event(this, QAccessible::Alert);
    QAccessible::updateAccessibility(&event);
    update();
}

void MessageStrip::settleDown() {
    if (m_field == nullptr || !m_field->isVisible() || !parentWidget()->isAncestorOf(m_field)) {
        const QRect home = m_home();
        setFixedWidth(home.width());
        fitHeight();
        move(home.topLeft());
        return;
    }
    constexpr int kApart = 4;
    const QRect room = parentWidget()->rect().adjusted(kApart, kApart, -kApart, -kApart);
    const QRect field(m_field->mapTo(parentWidget(), QPoint()), m_field->size());
    setFixedWidth(std::min(std::max(field.width(), static_cast<int>(Theme::em(24.0))), room.width()));
    fitHeight();
    const int below = field.bottom() + kApart;
    const bool fits = below + height() <= room.bottom();
    move(std::clamp(field.left(), room.left(), room.right() - width() + 1),
         fits ? below : field.top() - kApart - height());
}

/// A wrapped line does not claim its height by itself when the window is short of room.
void MessageStrip::fitHeight() {
    int beside = static_cast<int>(Theme::em(2.0)) + 4;
    for (const QPushButton* button : {m_deed, m_close}) {
        beside += button->isHidden() ? 0 : button->sizeHint().width() + 6;
    }
    // The label's own height for a width remembers the height it was last given.
    const QRect room(0, 0, std::max(1, width() - beside - 8), QWIDGETSIZE_MAX);
    const int words = m_label->fontMetrics().boundingRect(room, Qt::TextWordWrap, m_label->text()).height();
    const int button = m_close->isHidden() ? 0 : m_close->sizeHint().height();
    m_label->setFixedHeight(std::max(0, words));
    setFixedHeight(std::max(words, button) + static_cast<int>(Theme::em(0.6)));
}

bool MessageStrip::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() == QEvent::Resize && !isHidden()) {
        // The field that it stands at is laid out after its window.
        QTimer::singleShot(0, this, &MessageStrip::settleDown);
    }
    return QWidget::eventFilter(watched, event);
}

void MessageStrip::say(const QString& text) {
    constexpr int kMilliseconds = 6000;
    put(text, false);
    m_timer->start(kMilliseconds);
}

void MessageStrip::hint(const QString& text) {
    m_timer->stop();
    put(text, false);
    m_isHint = true;
    m_close->show();
    settleDown();
}

void MessageStrip::refuse(const QString& text) {
    m_timer->stop();
    put(text, true);
}

void MessageStrip::offer(const QString& text, const QString& deed, std::function<void()> mend) {
    m_timer->stop();
    m_mend = std::move(mend);
    put(text, true, deed);
}

QString MessageStrip::text() const {
    return isHidden() ? QString() : m_label->text();
}

void MessageStrip::paintEvent(QPaintEvent* /*event*/) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = m_theme.colours();
    painter.setPen(QPen(m_fault ? c.danger : c.rule, 1.0));
    painter.setBrush(c.sheet);
    painter.drawRoundedRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5), 4, 4);
    drawSeverity(painter, {Theme::em(1.1), height() / 2.0}, Theme::em(0.5),
                 m_fault ? findings::Severity::Warning : findings::Severity::Note, c);
}

} // namespace anodex::app
