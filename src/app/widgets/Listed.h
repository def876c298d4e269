// src/app/widgets/Listed.h - phrases one after another, as the language in use lists them; empty ones are left
// out.
#pragma once
#include <QStringList>

namespace anodex::app {

[[nodiscard]] QString listed(const QStringList& phrases);

} // namespace anodex::app
