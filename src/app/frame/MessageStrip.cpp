#include "app/frame/MessageStrip.h"

#include "app/widgets/Draw.h"

#include <QAccessible>
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QTimer>

namespace anodex::app {

MessageStrip::MessageStrip(const Theme& theme, QWidget* parent)
    : QWidget(parent), m_theme(theme), m_label(new QLabel(this)), m_deed(new QPushButton(this)),
      m_close(new QPushButton(tr("Close"), this)), m_timer(new QTimer(this)) {
    setObjectName(QStringLiteral("messageStrip"));
    m_label->setObjectName(QStringLiteral("message"));
    m_label->setWordWrap(true);
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Maximum);
    m_deed->setObjectName(QStringLiteral("messageDeed"));
    m_deed->hide();
    m_close->setProperty("quiet", true);
    m_close->setAccessibleName(tr("Close the message"));
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(static_cast<int>(Theme::em(2.0)), 2, 4, 2);
    layout->addWidget(m_label, 1);
    layout->addWidget(m_deed);
    layout->addWidget(m_close);
    m_timer->setSingleShot(true);
    connect(m_timer, &QTimer::timeout, this, &QWidget::hide);
    connect(m_close, &QPushButton::clicked, this, &QWidget::hide);
    connect(m_deed, &QPushButton::clicked, this, [this] {
        hide();
        m_mend(); // may put another message here
    });
    hide();
}

void MessageStrip::put(const QString& text, bool fault, const QString& deed) {
    m_fault = fault;
    m_label->setText(text);
    m_close->setVisible(fault);
    m_deed->setVisible(!deed.isEmpty());
    m_deed->setText(deed);
    fitHeight();
    setAccessibleName(text);
    show();
    QAccessibleEvent event(this, QAccessible::Alert);
    QAccessible::updateAccessibility(&event);
    update();
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

void MessageStrip::resizeEvent(QResizeEvent* event) {
    QWidget::resizeEvent(event);
    // A layout does not hear of a new height while it is being laid out.
    QTimer::singleShot(0, this, &MessageStrip::fitHeight);
}

void MessageStrip::say(const QString& text) {
    constexpr int kMilliseconds = 6000;
    put(text, false);
    m_timer->start(kMilliseconds);
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
