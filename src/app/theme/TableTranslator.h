// src/app/theme/TableTranslator.h - the window's own strings from data/texts: their English is their id, after
// "window.".
//
// The context does not matter: the same English is the same text everywhere. A pattern with a plural takes the
// count as `n`.
#pragma once
#include <QTranslator>

namespace anodex::app {

class TableTranslator : public QTranslator {
    Q_OBJECT
public:
    using QTranslator::QTranslator;

    [[nodiscard]] QString translate(const char* context, const char* source, const char* disambiguation,
                                    int count) const override;
    [[nodiscard]] bool isEmpty() const override { return false; }
};

} // namespace anodex::app
