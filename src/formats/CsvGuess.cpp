// previewCsv: which delimiter, which decimal sign, how long the header, what each column holds.
#include "formats/CsvLines.h"
#include "formats/Numbers.h"
#include "formats/RunCsv.h"

#include <algorithm>
#include <fmt/format.h>

namespace anodex::formats {
namespace {

using Code = CsvError::Code;

bool isValue(std::string_view cell, bool decimalComma) {
    return parseNumber(cell, decimalComma).has_value() || parseDateTime(cell).has_value();
}

struct Shape {
    char delimiter = ',';
    bool decimalComma = false;
    std::size_t headerLines = 0;
    std::size_t columns = 0;
    double score = 0.0;
};

/// How well a delimiter and decimal sign explain the first lines: columns that stay the same and hold values.
Shape scoreShape(const std::vector<std::string_view>& lines, char delimiter, bool decimalComma) {
    Shape shape{delimiter, decimalComma, 0, 0, 0.0};
    std::vector<std::string_view> cells;
    // The last lines are data in any file that has data; their width is the table's.
    splitInto(lines.back(), delimiter, cells);
    if (lines.size() > 2) {
        splitInto(lines[lines.size() - 2], delimiter, cells);
    }
    shape.columns = cells.size();
    double good = 0.0;
    std::size_t first = lines.size();
    for (std::size_t i = lines.size(); i-- > 0;) {
        splitInto(lines[i], delimiter, cells);
        const auto values = std::count_if(cells.begin(), cells.end(),
                                          [&](std::string_view cell) { return isValue(cell, decimalComma); });
        const bool data = cells.size() == shape.columns && values >= 2;
        if (data) {
            // A decimal comma read as text leaves fewer values: the reading with more of them is right.
            good += static_cast<double>(values) / static_cast<double>(cells.size());
            first = i;
        }
    }
    shape.headerLines = first;
    const std::size_t body = lines.size() - first;
    if (shape.columns >= 2 && body > 0) {
        shape.score = good / static_cast<double>(body) * good;
    }
    return shape;
}

std::string lowered(std::string_view text) {
    std::string result(text);
    std::transform(result.begin(), result.end(), result.begin(), [](unsigned char c) {
        return static_cast<char>(c >= 'A' && c <= 'Z' ? c - 'A' + 'a' : c);
    });
    return result;
}

struct UnitName {
    const char* text;
    ColumnRole role;
    double toSi;
};
constexpr UnitName kUnits[] = {{"ms", ColumnRole::Time, 1e-3},    {"s", ColumnRole::Time, 1.0},
                               {"sec", ColumnRole::Time, 1.0},    {"seconds", ColumnRole::Time, 1.0},
                               {"min", ColumnRole::Time, 60.0},   {"minutes", ColumnRole::Time, 60.0},
                               {"h", ColumnRole::Time, 3600.0},   {"hours", ColumnRole::Time, 3600.0},
                               {"d", ColumnRole::Time, 86400.0},  {"mV", ColumnRole::Voltage, 1e-3},
                               {"V", ColumnRole::Voltage, 1.0},   {"volts", ColumnRole::Voltage, 1.0},
                               {"uA", ColumnRole::Current, 1e-6}, {"µA", ColumnRole::Current, 1e-6},
                               {"mA", ColumnRole::Current, 1e-3}, {"A", ColumnRole::Current, 1.0},
                               {"amps", ColumnRole::Current, 1.0}};

const UnitName* unitIn(std::string_view name) {
    // The unit is the last word of the header, after "/", "(", "[", "_" or a blank.
    std::string word;
    for (const char c : name) {
        if (c == '/' || c == '(' || c == '[' || c == '_' || c == ' ') {
            word.clear();
        } else if (c != ')' && c != ']') {
            word += c;
        }
    }
    for (const UnitName& unit : kUnits) {
        if (word == unit.text) {
            return &unit;
        }
    }
    return nullptr;
}

ColumnRole roleByName(std::string_view name) {
    const std::string text = lowered(name);
    const auto has = [&](const char* part) { return text.find(part) != std::string::npos; };
    if (has("time") || has("zeit") || has("elapsed") || has("date") || text == "t") {
        return ColumnRole::Time;
    }
    if (has("volt") || has("spannung") || text == "u" || text == "v") {
        return ColumnRole::Voltage;
    }
    if (has("current") || has("strom") || has("amp") || text == "i") {
        return ColumnRole::Current;
    }
    return ColumnRole::Ignored;
}

void takeRole(CsvMapping& mapping, std::size_t column, ColumnRole role, double toSi) {
    const bool taken = std::any_of(mapping.columns.begin(), mapping.columns.end(),
                                   [&](const ColumnMapping& other) { return other.role == role; });
    if (!taken) {
        mapping.columns[column].role = role;
        mapping.columns[column].toSi = toSi;
    }
}

void guessRoles(const std::vector<std::string>& names, const std::vector<std::vector<std::string>>& rows,
                CsvMapping& mapping) {
    for (std::size_t c = 0; c < names.size(); ++c) {
        const UnitName* unit = unitIn(names[c]);
        const ColumnRole byName = roleByName(names[c]);
        if (unit != nullptr && (byName == ColumnRole::Ignored || byName == unit->role)) {
            takeRole(mapping, c, unit->role, unit->toSi);
        } else if (byName != ColumnRole::Ignored) {
            takeRole(mapping, c, byName, 1.0);
        }
    }
    for (std::size_t c = 0; c < mapping.columns.size() && !rows.empty(); ++c) {
        const std::string& cell = c < rows.front().size() ? rows.front()[c] : std::string();
        const bool stamp = !parseNumber(cell, mapping.decimalComma) && parseDateTime(cell);
        if (stamp && mapping.columns[c].role == ColumnRole::Ignored) {
            takeRole(mapping, c, ColumnRole::Time, 1.0);
        }
        mapping.columns[c].isDateTime = mapping.columns[c].role == ColumnRole::Time && stamp;
    }
    // A file without any header: time, voltage, current is the order everyone writes.
    const bool named =
        std::any_of(mapping.columns.begin(), mapping.columns.end(),
                    [](const ColumnMapping& column) { return column.role != ColumnRole::Ignored; });
    if (!named) {
        constexpr ColumnRole kUsual[] = {ColumnRole::Time, ColumnRole::Voltage, ColumnRole::Current};
        for (std::size_t c = 0; c < mapping.columns.size() && c < 3; ++c) {
            mapping.columns[c].role = kUsual[c];
        }
    }
}

std::string columnName(const std::vector<std::string_view>& lines, const Shape& shape, std::size_t column) {
    std::vector<std::string_view> cells;
    for (std::size_t i = shape.headerLines; i-- > 0;) {
        splitInto(lines[i], shape.delimiter, cells);
        if (cells.size() == shape.columns) {
            return std::string(cells[column]);
        }
    }
    return fmt::format("column {}", column + 1);
}

} // namespace

tl::expected<CsvPreview, CsvError> previewCsv(std::string_view text) {
    text = withoutMark(text);
    if (trimmed(text).empty()) {
        return tl::unexpected(CsvError{Code::Empty, 0, {}});
    }
    if (text.substr(0, 4096).find('\0') != std::string_view::npos) {
        return tl::unexpected(CsvError{Code::Binary, 0, {}});
    }
    std::vector<std::string_view> lines;
    std::string_view rest = text;
    while (!rest.empty() && lines.size() < 60) {
        const std::string_view line = takeLine(rest);
        if (!trimmed(line).empty() || lines.empty() || !rest.empty()) {
            lines.push_back(line);
        }
    }
    while (lines.size() > 1 && trimmed(lines.back()).empty()) {
        lines.pop_back();
    }
    Shape best;
    for (const char delimiter : {';', '\t', ',', '|'}) {
        for (const bool comma : {false, true}) {
            if (comma && delimiter == ',') {
                continue;
            }
            const Shape shape = scoreShape(lines, delimiter, comma);
            if (shape.score > best.score * 1.0001) {
                best = shape;
            }
        }
    }
    if (best.score <= 0.0) {
        return tl::unexpected(CsvError{Code::NoColumns, 1, std::string(lines.front().substr(0, 60))});
    }
    CsvPreview preview;
    preview.mapping.delimiter = best.delimiter;
    preview.mapping.decimalComma = best.decimalComma;
    preview.mapping.headerLines = best.headerLines;
    preview.mapping.columns.resize(best.columns);
    std::vector<std::string_view> cells;
    for (std::size_t i = best.headerLines; i < lines.size() && preview.rows.size() < 12; ++i) {
        splitInto(lines[i], best.delimiter, cells);
        preview.rows.emplace_back(cells.begin(), cells.end());
    }
    std::string header;
    for (std::size_t c = 0; c < best.columns; ++c) {
        preview.columnNames.push_back(columnName(lines, best, c));
        header += preview.columnNames.back() + '\x1f';
    }
    preview.signature =
        fmt::format("{}{}{}{}", best.delimiter, best.decimalComma ? 1 : 0, best.headerLines, header);
    guessRoles(preview.columnNames, preview.rows, preview.mapping);
    preview.complete =
        columnOf(preview.mapping, ColumnRole::Time) && columnOf(preview.mapping, ColumnRole::Voltage);
    const bool batteryDataFormat = std::find(preview.columnNames.begin(), preview.columnNames.end(),
                                             "Test Time / s") != preview.columnNames.end();
    CsvMapping plain = preview.mapping;
    if (batteryDataFormat) {
        preview.mapping.currentPositiveOnCharge = true;
    } else if (preview.complete && columnOf(preview.mapping, ColumnRole::Current)) {
        if (const auto run = readCsv(text, plain)) {
            preview.mapping.currentPositiveOnCharge = looksPositiveOnCharge(run->samples);
        }
    }
    return preview;
}

} // namespace anodex::formats
