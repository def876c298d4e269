#include "app/widgets/NumberField.h"

#include "app/theme/Theme.h"

#include <QKeyEvent>

namespace anodex::app {

NumberField::NumberField(QWidget* parent) : QLineEdit(parent) {
    setObjectName(QStringLiteral("numberField"));
    hide();
    connect(this, &QLineEdit::textEdited, this, [this] {
        if (const auto parsed = value().si) {
            emit typed(*parsed);
        }
    });
}

void NumberField::ask(const QRectF& over, const QString& name, const QString& shown,
                      wording::Dimension dimension, double bareToSi, std::function<bool(double)> accepts) {
    m_dimension = dimension;
    m_bareToSi = bareToSi;
    m_accepts = std::move(accepts);
    m_open = true;
    setAccessibleName(name);
    setText(shown);
    const int width = std::max(static_cast<int>(over.width()), static_cast<int>(Theme::em(6.0)));
    const int height = static_cast<int>(Theme::em(2.0));
    QPoint corner(static_cast<int>(over.center().x()) - width / 2,
                  static_cast<int>(over.center().y()) - height / 2);
    corner.setX(std::clamp(corner.x(), 0, std::max(0, parentWidget()->width() - width)));
    corner.setY(std::clamp(corner.y(), 0, std::max(0, parentWidget()->height() - height)));
    setGeometry(QRect(corner, QSize(width, height)));
    show();
    raise();
    setFocus();
    selectAll();
}

wording::TypedValue NumberField::value() const {
    return wording::typedValue(text().toStdString(), m_dimension, m_bareToSi, m_accepts);
}

void NumberField::close(bool keep) {
    if (!m_open) {
        return;
    }
    m_open = false;
    const auto parsed = value();
    hide();
    if (keep && parsed.si) {
        emit committed(*parsed.si);
        return;
    }
    if (keep && !parsed.choices.empty()) {
        emit unclear(QString::fromStdString(wording::whichOf(text().toStdString(), parsed.choices)));
    } else if (keep && !text().trimmed().isEmpty()) {
        emit unreadable(text());
    }
    emit cancelled();
}

void NumberField::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape) {
        close(false);
        parentWidget()->setFocus();
    } else if (event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter) {
        close(true);
        parentWidget()->setFocus();
    } else {
        QLineEdit::keyPressEvent(event);
    }
}

void NumberField::focusOutEvent(QFocusEvent* event) {
    QLineEdit::focusOutEvent(event);
    close(true);
}

} // namespace anodex::app
