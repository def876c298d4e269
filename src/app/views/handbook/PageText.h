// src/app/views/handbook/PageText.h - a page of the handbook as a document that reads well.
#pragma once
#include "app/theme/Theme.h"
#include "app/views/View.h"
#include <QString>

class QTextDocument;

namespace anodex::app {

/// Markdown: every action with its keys, then what the pictures answer to.
[[nodiscard]] QString keysPage(const std::vector<Deed>& deeds);
/// Markdown: every source the catalogue names.
[[nodiscard]] QString sourcesList();

/// Room between lines, around headings and in tables; code in the colour of what is typed.
void dressPage(QTextDocument& document, const Colours& colours);

} // namespace anodex::app
