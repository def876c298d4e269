// src/app/frame/FindMatch.h - how well a line fits what was typed.
#pragma once
#include <QString>
#include <QStringList>

namespace anodex::app {

/// Worst first, so that a larger one is the better.
enum class Fit { None, Nearly, Holds, Begins };

/// Every word has to fit. Nearly: by a slip or two of typing, from four letters on (Levenshtein 1966).
[[nodiscard]] Fit fitOf(const QString& line, const QStringList& words);

} // namespace anodex::app
