// src/formats/SaidJson.h - something said as one line of JSON and back: {"id": ..., "values": {...}}.
#pragma once
#include "core/base/Said.h"
#include <string>

namespace anodex::formats {

[[nodiscard]] std::string writeSaid(const base::Said& said);
/// Text that is no such line, such as a sentence of an earlier version, becomes an id that no table has, and so
/// is told as it stands.
[[nodiscard]] base::Said readSaid(const std::string& text);

} // namespace anodex::formats
