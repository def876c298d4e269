#include "formats/Scaled.h"

#include <charconv>
#include <fmt/format.h>

namespace anodex::formats {

std::optional<double> scaled(std::optional<double> value, double factor) {
    return value ? std::optional(*value * factor) : std::nullopt;
}

double tidy(double value) {
    const std::string text = fmt::format("{:.12g}", value);
    double tidied = value;
    std::from_chars(text.data(), text.data() + text.size(), tidied);
    return tidied;
}

void put(Json& json, const char* key, const std::optional<double>& value, double factor) {
    if (value) {
        json[key] = tidy(*value * factor);
    }
}

} // namespace anodex::formats
