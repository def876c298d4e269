#include "formats/run/RunTable.h"

#include "formats/run/RunCell.h"
#include "formats/run/RunText.h"
#include "quantity/Letters.h"
#include "quantity/Units.h"

#include <algorithm>
#include <fmt/format.h>
#include <map>

namespace anodex::formats {
namespace {

using quantity::trimmed;

constexpr std::size_t kSample = 400;

/// Offsets of a sample of lines: the first, the last, and evenly between.
std::vector<std::string_view> sampleOf(std::string_view text, std::size_t& headLines) {
    std::vector<std::string_view> lines;
    for (std::string_view rest = text; !rest.empty();) {
        lines.push_back(takeLine(rest));
    }
    while (!lines.empty() && trimmed(lines.back()).empty()) {
        lines.pop_back();
    }
    headLines = std::min(lines.size(), kSample / 2);
    if (lines.size() <= kSample) {
        headLines = lines.size();
        return lines;
    }
    std::vector<std::string_view> sample(lines.begin(),
                                         lines.begin() + static_cast<std::ptrdiff_t>(headLines));
    const double step =
        static_cast<double>(lines.size() - headLines) / static_cast<double>(kSample - headLines);
    for (std::size_t i = 0; i < kSample - headLines; ++i) {
        sample.push_back(lines[headLines + static_cast<std::size_t>(step * static_cast<double>(i))]);
    }
    sample.push_back(lines.back());
    return sample;
}

struct Shape {
    char delimiter = ',';
    bool units = false; ///< Numbers with a unit behind them count: loggers that name it in every cell.
    std::size_t columns = 0;
    std::size_t first = 0; ///< Line of the first data row.
    double score = 0.0;
};

std::size_t valuesIn(const std::vector<std::string_view>& cells, bool units) {
    return static_cast<std::size_t>(std::count_if(cells.begin(), cells.end(), [&](std::string_view cell) {
        return isValue(cell) || (units && isQuantity(cell));
    }));
}

/// The width most rows of values have: one short row decides nothing.
std::size_t usualWidth(const std::vector<std::string_view>& lines, char delimiter, bool units) {
    std::map<std::size_t, std::size_t> widths;
    std::vector<std::string_view> cells;
    for (const std::string_view line : lines) {
        cellsOf(line, delimiter, cells);
        if (!cells.empty() && 2 * valuesIn(cells, units) >= cells.size()) {
            ++widths[cells.size()];
        }
    }
    const auto most = std::max_element(widths.begin(), widths.end(),
                                       [](const auto& a, const auto& b) { return a.second < b.second; });
    return most == widths.end() ? 0 : most->first;
}

bool isDataRow(const std::vector<std::string_view>& cells, const Shape& shape) {
    // What cannot be read in a data row is one cell among others, not most of them.
    return cells.size() == shape.columns &&
           2 * valuesIn(cells, shape.units) >= std::max<std::size_t>(shape.columns, 2);
}

Shape shapeWith(const std::vector<std::string_view>& lines, std::size_t headLines, char delimiter,
                bool units) {
    Shape shape{delimiter, units, usualWidth(lines, delimiter, units), 0, 0.0};
    if (shape.columns < 2 && !(shape.columns == 1 && delimiter == ',')) {
        return shape;
    }
    std::vector<std::string_view> cells;
    double good = 0.0;
    std::size_t body = 0;
    bool begun = false;
    for (std::size_t i = 0; i < lines.size(); ++i) {
        if (trimmed(lines[i]).empty()) {
            continue;
        }
        cellsOf(lines[i], delimiter, cells, shape.columns);
        const bool data = isDataRow(cells, shape);
        if (data && !begun && i < headLines) {
            begun = true;
            shape.first = i;
        }
        body += begun ? 1 : 0;
        good += begun && data
                    ? static_cast<double>(valuesIn(cells, units)) / static_cast<double>(shape.columns)
                    : 0.0;
    }
    shape.score = body > 0 ? good * good / static_cast<double>(body) : 0.0;
    return shape;
}

Shape bestShape(const std::vector<std::string_view>& lines, std::size_t headLines, bool units) {
    Shape best;
    for (const char delimiter : {';', '\t', ',', '|', ' ', '='}) {
        const Shape shape = shapeWith(lines, headLines, delimiter, units);
        const bool named = delimiter == '=';
        // Blanks stand inside stamps too, and names with values hold other delimiters: they have to explain
        // more.
        const double handicap = delimiter == ' ' || named ? 1.02 : 1.0;
        if (shape.columns > 0 && shape.score > best.score * 1.0001 * (best.columns >= 2 ? handicap : 1.0)) {
            best = shape;
        }
    }
    return best;
}

/// A row of units under the names: "s;V;mA".
bool isUnitRow(const std::vector<std::string_view>& cells) {
    std::size_t units = 0;
    for (std::string_view cell : cells) {
        cell = trimmed(cell);
        const bool bracketed = cell.size() > 2 && (cell.front() == '[' || cell.front() == '(');
        units += quantity::readingsOf(bracketed ? cell.substr(1, cell.size() - 2) : cell).empty() ? 0 : 1;
    }
    return units >= 2 && 2 * units >= cells.size();
}

void takeNames(const std::vector<std::string_view>& lines, const Shape& shape, RunTable& table) {
    if (shape.delimiter == '=') {
        table.names = namesIn(lines[shape.first]);
        table.header = fmt::format("{}", fmt::join(table.names, "\x1f"));
        return;
    }
    std::vector<std::string_view> cells;
    std::vector<std::string> units;
    for (std::size_t i = shape.first; i-- > 0;) {
        std::string_view line = lines[i];
        while (!line.empty() && (line.front() == '#' || line.front() == '%')) {
            line.remove_prefix(1); // names may stand in a remark
        }
        cellsOf(line, shape.delimiter, cells);
        // "Time (s) Voltage (V)" between blanks has more words than columns.
        if (cells.size() != shape.columns) {
            continue;
        }
        if (units.empty() && isUnitRow(cells) && i > 0) {
            units.assign(cells.begin(), cells.end());
            continue;
        }
        table.names.assign(cells.begin(), cells.end());
        table.header = std::string(lines[i]);
        break;
    }
    if (table.names.empty() && !units.empty()) {
        table.names.assign(shape.columns, "");
    }
    for (std::size_t c = 0; c < units.size(); ++c) {
        table.names[c] += (table.names[c].empty() ? "" : " ") + ("[" + units[c] + "]");
    }
    for (std::size_t c = table.names.size(); c < shape.columns; ++c) {
        table.names.push_back(fmt::format("column {}", c + 1));
    }
}

} // namespace

std::optional<RunTable> tableOf(std::string_view text) {
    std::size_t headLines = 0;
    const std::vector<std::string_view> lines = sampleOf(text, headLines);
    Shape best = bestShape(lines, headLines, false);
    // A header of "12 V" and "5 V" makes no such logger: units in cells have to explain much more.
    constexpr double kMuchMore = 1.2;
    if (const Shape withUnits = bestShape(lines, headLines, true); withUnits.score > best.score * kMuchMore) {
        best = withUnits;
    }
    if (best.score <= 0.0) {
        return std::nullopt;
    }
    RunTable table;
    table.delimiter = best.delimiter;
    table.headerLines = best.first;
    takeNames(lines, best, table);
    std::vector<std::string_view> cells;
    for (std::size_t i = best.first; i < lines.size(); ++i) {
        cellsOf(lines[i], best.delimiter, cells, best.columns);
        if (isDataRow(cells, best)) {
            table.rows.emplace_back(cells.begin(), cells.end());
        }
    }
    return table;
}

} // namespace anodex::formats
