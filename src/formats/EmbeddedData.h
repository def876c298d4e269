// src/formats/EmbeddedData.h - the files below data/ that travel inside the program.
#pragma once
#include <span>
#include <string_view>

namespace anodex::formats {

struct EmbeddedFile {
    std::string_view name; ///< Path below data/, e.g. "catalogue/species.json".
    std::string_view content;
};

[[nodiscard]] std::span<const EmbeddedFile> embeddedFiles();
/// Empty when there is no such file.
[[nodiscard]] std::string_view embeddedFile(std::string_view name);

} // namespace anodex::formats
