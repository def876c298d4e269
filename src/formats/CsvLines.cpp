#include "formats/CsvLines.h"

#include "formats/Numbers.h"

namespace anodex::formats {

std::string_view takeLine(std::string_view& text) {
    const std::size_t end = text.find('\n');
    std::string_view line = text.substr(0, end);
    text.remove_prefix(end == std::string_view::npos ? text.size() : end + 1);
    if (!line.empty() && line.back() == '\r') {
        line.remove_suffix(1);
    }
    return line;
}

void splitInto(std::string_view line, char delimiter, std::vector<std::string_view>& cells) {
    cells.clear();
    bool quoted = false;
    std::size_t start = 0;
    for (std::size_t i = 0; i <= line.size(); ++i) {
        if (i < line.size() && line[i] == '"') {
            quoted = !quoted;
        } else if (i == line.size() || (line[i] == delimiter && !quoted)) {
            cells.push_back(trimmed(line.substr(start, i - start)));
            start = i + 1;
        }
    }
}

std::string_view withoutMark(std::string_view text) {
    if (text.starts_with("\xEF\xBB\xBF")) {
        text.remove_prefix(3);
    }
    return text;
}

std::optional<std::size_t> columnOf(const CsvMapping& mapping, ColumnRole role) {
    for (std::size_t c = 0; c < mapping.columns.size(); ++c) {
        if (mapping.columns[c].role == role) {
            return c;
        }
    }
    return std::nullopt;
}

} // namespace anodex::formats
