// src/app/session/OtherNotebook.h - the designs of a notebook that is not the open one, to begin from.
#pragma once
#include "app/session/Starters.h"
#include <QString>
#include <tl/expected.hpp>

namespace anodex::app {

/// By kind, as the gallery shows them; the error says what is wrong with the file. Nothing in it changes.
[[nodiscard]] tl::expected<std::vector<Starter>, QString> designsIn(const QString& path);

} // namespace anodex::app
