// src/formats/CsvLines.h - lines and cells of delimited text, shared by the guess and the reader.
#pragma once
#include "formats/RunCsv.h"
#include <optional>
#include <string_view>
#include <vector>

namespace anodex::formats {

/// The next line without its end, which is taken off `text`.
[[nodiscard]] std::string_view takeLine(std::string_view& text);
/// Cells between delimiters outside quotes, trimmed.
void splitInto(std::string_view line, char delimiter, std::vector<std::string_view>& cells);
/// Without a byte order mark.
[[nodiscard]] std::string_view withoutMark(std::string_view text);
[[nodiscard]] std::optional<std::size_t> columnOf(const CsvMapping& mapping, ColumnRole role);

} // namespace anodex::formats
