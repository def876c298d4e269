// src/formats/Scaled.h - values in the units of a file and in SI.
#pragma once
#include "formats/JsonObject.h"
#include <optional>

namespace anodex::formats {

[[nodiscard]] std::optional<double> scaled(std::optional<double> value, double factor);

/// Twelve significant digits: what was typed comes back as typed, without binary dust.
[[nodiscard]] double tidy(double value);

/// Written only where there is a value.
void put(Json& json, const char* key, const std::optional<double>& value, double factor);

} // namespace anodex::formats
