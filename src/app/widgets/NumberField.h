// src/app/widgets/NumberField.h - a field for one number with its unit, laid over the number it changes.
//
// Every keystroke that parses is told; Enter or leaving the field commits; Escape gives the old value back.
#pragma once
#include "wording/TypedValue.h"
#include <QLineEdit>
#include <functional>

namespace anodex::app {

class NumberField : public QLineEdit {
    Q_OBJECT
public:
    explicit NumberField(QWidget* parent = nullptr);

    /// `bareToSi`: factor for a number typed without a unit. `accepts`: whether a value fits.
    void ask(const QRectF& over, const QString& name, const QString& shown, wording::Dimension dimension,
             double bareToSi, std::function<bool(double)> accepts);

signals:
    void typed(double si);
    void committed(double si);
    void cancelled();
    void unreadable(const QString& text);
    /// The text has several readings that fit; a line that asks which.
    void unclear(const QString& question);

protected:
    void keyPressEvent(QKeyEvent* event) override;
    void focusOutEvent(QFocusEvent* event) override;

private:
    [[nodiscard]] wording::TypedValue value() const;
    void close(bool keep);

    wording::Dimension m_dimension = wording::Dimension::None;
    double m_bareToSi = 1.0;
    std::function<bool(double)> m_accepts;
    bool m_open = false;
};

} // namespace anodex::app
