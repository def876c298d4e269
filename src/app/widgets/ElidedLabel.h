// src/app/widgets/ElidedLabel.h - one line of text that ends in an ellipsis when it does not fit, whole in
// its tooltip.
#pragma once
#include <QLabel>

namespace anodex::app {

class ElidedLabel : public QLabel {
    Q_OBJECT
public:
    explicit ElidedLabel(QWidget* parent = nullptr) : QLabel(parent) {
        setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
    }
    void setWhole(const QString& text) {
        setText(text);
        setToolTip(text);
        setAccessibleName(text);
    }

protected:
    void paintEvent(QPaintEvent* event) override;
};

} // namespace anodex::app
