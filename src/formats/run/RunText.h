// src/formats/run/RunText.h - a file's bytes as lines of UTF-8: unpacked, decoded, one kind of line end.
#pragma once
#include "formats/run/RunReading.h"
#include <string>
#include <string_view>

namespace anodex::formats {

struct RunText {
    std::string text;
    std::string encoding;
};

/// gzip; UTF-8 with or without its mark, UTF-16 of either order, else Latin-1; LF, CR LF or CR. "a -> b", as
/// monitors of a serial line put the time before what came, becomes two cells. Empty and Binary are the
/// errors.
[[nodiscard]] tl::expected<RunText, CsvError> decodeRun(std::string_view bytes);

/// The next line without its end, which is taken off `text`.
[[nodiscard]] std::string_view takeLine(std::string_view& text);

/// Cells of a line, trimmed: between delimiters outside quotes; between blanks for ' '; the values of names
/// for '='.
/// A delimiter at the end of a line makes no further cell unless that makes `columns` of them.
void cellsOf(std::string_view line, char delimiter, std::vector<std::string_view>& cells,
             std::size_t columns = 0);

/// The names of a line for '='.
[[nodiscard]] std::vector<std::string> namesIn(std::string_view line);

} // namespace anodex::formats
