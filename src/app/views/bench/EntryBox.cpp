#include "app/views/bench/EntryBox.h"

#include "app/theme/Theme.h"
#include "app/widgets/ElidedLabel.h"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

namespace anodex::app {
namespace {

QString q(const std::string& text) {
    return QString::fromStdString(text);
}

} // namespace

EntryBox::EntryBox(Workbench& bench, std::function<QString(const wording::Entry&)> told, QWidget* parent)
    : QWidget(parent), m_bench(bench), m_told(std::move(told)), m_echo(new ElidedLabel(this)),
      m_choices(new QHBoxLayout), m_line(new QLineEdit(this)) {
    m_line->setObjectName(QStringLiteral("entryLine"));
    m_line->setAccessibleName(tr("Reading, event or note"));
    m_line->setPlaceholderText(
        tr("type a reading, an event or a note:  1.02 V   ·   short 35 mA   ·   pH 4.2 neg   ·   stirred"));
    m_line->setFont(Theme::font(1.25));
    m_line->installEventFilter(this);
    m_echo->setObjectName(QStringLiteral("entryEcho"));
    m_echo->setMinimumHeight(static_cast<int>(Theme::em(1.3)));
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->addWidget(m_echo);
    layout->addLayout(m_choices);
    layout->addWidget(m_line);
    setFocusProxy(m_line);
    connect(m_line, &QLineEdit::textChanged, this, &EntryBox::refresh);
    connect(m_line, &QLineEdit::returnPressed, this, &EntryBox::enter);
}

void EntryBox::setText(const QString& text) {
    m_line->setText(text);
}

void EntryBox::refresh() {
    const wording::Entry entry = read(m_line->text());
    showChoices(entry);
    m_echo->setWhole(m_told(entry));
}

wording::Entry EntryBox::read(const QString& text) {
    m_readAt = m_bench.services().now();
    wording::EntryContext context{{}, {}, &m_bench.catalogue().loads};
    if (m_bench.selection().build() != nullptr) {
        context.openCircuitVolts = m_bench.selection().build()->build.expectation.openCircuitVolts.value;
        context.shortCircuitAmps = m_bench.selection().build()->build.expectation.shortCircuitAmps.value;
    }
    const QString plain = text.trimmed();
    return wording::readEntry(plain.toStdString(), m_readAt, context, !plain.isEmpty() && plain == m_asked);
}

void EntryBox::enter() {
    const QString text = m_line->text().trimmed();
    const wording::Entry entry = read(text);
    if (entry.kind == wording::Entry::Kind::Question) {
        ask(text, entry.question);
    } else if (entry.kind != wording::Entry::Kind::Nothing) {
        m_asked.clear();
        m_enteredAt = m_readAt;
        m_typed << text;
        m_recalled = static_cast<int>(m_typed.size());
        emit entered(text, entry);
    }
}

void EntryBox::ask(const QString& text, const wording::Question& question) {
    const bool canStand = !question.choices.empty() && q(question.choices.front()) == text;
    m_asked = canStand ? text : QString();
    emit refused(canStand ? tr("%1. Enter again keeps it, or choose its meaning").arg(q(question.text))
                 : question.choices.empty()
                     ? q(question.text)
                     : tr("%1: choose its meaning, or type it as meant").arg(q(question.text)));
}

void EntryBox::showChoices(const wording::Entry& entry) {
    while (QLayoutItem* item = m_choices->takeAt(0)) {
        if (item->widget() != nullptr) {
            item->widget()->hide(); // it is laid out no more
            item->widget()->deleteLater();
        }
        delete item;
    }
    if (entry.kind != wording::Entry::Kind::Question || m_bench.selection().build() == nullptr) {
        return;
    }
    for (const std::string& choice : entry.question.choices) {
        auto* button = new QPushButton(q(choice), this);
        button->setObjectName(QStringLiteral("meant:") + q(choice));
        button->setAccessibleName(tr("I mean %1").arg(q(choice)));
        connect(button, &QPushButton::clicked, this, [this, meant = q(choice)] {
            m_asked = meant; // chosen from the question
            m_line->setText(meant);
            m_line->setFocus();
            enter();
        });
        m_choices->addWidget(button);
    }
    m_choices->addStretch(1);
}

void EntryBox::recall(int step) {
    m_recalled = std::clamp(m_recalled + step, 0, static_cast<int>(m_typed.size()));
    m_line->setText(m_recalled < m_typed.size() ? m_typed[m_recalled] : QString());
}

bool EntryBox::eventFilter(QObject* watched, QEvent* event) {
    if (watched == m_line && event->type() == QEvent::KeyPress) {
        const int key = static_cast<QKeyEvent*>(event)->key();
        if (key == Qt::Key_Up || key == Qt::Key_Down) {
            recall(key == Qt::Key_Up ? -1 : 1);
            return true;
        }
        if (key == Qt::Key_Escape) {
            emit escaped();
            return true;
        }
    }
    return QWidget::eventFilter(watched, event);
}

} // namespace anodex::app
