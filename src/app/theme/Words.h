// src/app/theme/Words.h - tr() for what is no class of the toolkit.
#pragma once
#include <QCoreApplication>

namespace anodex::app {

/// In the language in use; the English itself is the id (TableTranslator).
[[nodiscard]] inline QString tr(const char* english) {
    return QCoreApplication::translate("", english);
}

} // namespace anodex::app
