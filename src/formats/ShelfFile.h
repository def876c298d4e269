// src/formats/ShelfFile.h - the contract's *.shelf.json.
#pragma once
#include "core/shelf/Shelf.h"
#include "formats/FileError.h"
#include <string>
#include <string_view>
#include <tl/expected.hpp>

namespace anodex::formats {

[[nodiscard]] tl::expected<shelf::Shelf, FileError> readShelfFile(std::string_view text);
[[nodiscard]] std::string writeShelfFile(const shelf::Shelf& shelf);

} // namespace anodex::formats
