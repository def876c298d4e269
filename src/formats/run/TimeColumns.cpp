#include "formats/run/TimeColumns.h"

#include "formats/run/RowReader.h"
#include "formats/run/TimeCell.h"

#include <algorithm>
#include <cmath>

namespace anodex::formats {
namespace {

using quantity::Dimension;

constexpr double kMost = 0.9; // of a sample's cells

bool isEpoch(double first) {
    return (first > 5e8 && first < 4e9) || (first > 5e11 && first < 4e12) || (first > 5e14 && first < 4e15);
}

std::optional<TimeColumn> numericTime(const RunTable& table, const RunColumn& column, std::size_t c,
                                      bool decimalComma) {
    const std::vector<double> values = numbersIn(table, c, decimalComma);
    bool falls = false;
    const bool saidOtherwise = column.voltage >= 1.0 || column.current >= 1.0;
    if (values.empty() || saidOtherwise || (!goesOneWay(values, falls) && column.time < 1.0)) {
        return std::nullopt;
    }
    const double first = values.front();
    const auto unit = column.stated(Dimension::Second);
    const bool whole = std::all_of(values.begin(), values.end(), [](double v) { return v == std::floor(v); });
    const bool countsInUnit = unit && unit->toSi != 1.0 && first < 4e9;
    if (isEpoch(first) && !countsInUnit) {
        return TimeColumn{c, std::nullopt, TimeForm::Epoch, 1000.0 * (1.0 + column.time)};
    }
    if (first > 30'000.0 && first < 80'000.0 && !whole && !unit) {
        return TimeColumn{c, std::nullopt, TimeForm::SheetDays, 1000.0 * (1.0 + column.time)};
    }
    // A stated unit is exact where a stamp may be rounded; a bare count of rows is hardly time.
    const bool counted = column.time == 0.0 && values.size() > 1 && values[1] - values[0] == 1.0;
    const double odds = unit ? 5000.0 : column.time >= 2.0 ? 200.0 : counted ? 1.0 : c == 0 ? 20.0 : 2.0;
    return TimeColumn{c, std::nullopt, TimeForm::Elapsed, odds};
}

} // namespace

std::vector<TimeColumn> timeColumnsOf(const RunTable& table, const std::vector<RunColumn>& columns,
                                      bool decimalComma) {
    std::vector<TimeColumn> found;
    for (std::size_t c = 0; c < columns.size(); ++c) {
        const double named = 1.0 + columns[c].time;
        if (columns[c].stamps >= kMost) {
            found.push_back({c, std::nullopt, TimeForm::Stamp, 1000.0 * named});
        } else if (columns[c].clocks >= kMost) {
            for (std::size_t d = 0; d < columns.size(); ++d) {
                if (columns[d].dates >= kMost) {
                    found.push_back({c, d, TimeForm::Stamp, 1000.0 * named});
                }
            }
            found.push_back({c, std::nullopt, TimeForm::Clock, 500.0 * named});
        } else if (columns[c].numbers >= kMost) {
            if (const auto numeric = numericTime(table, columns[c], c, decimalComma)) {
                found.push_back(*numeric);
            }
        }
    }
    return found;
}

bool goesOneWay(const std::vector<double>& values, bool& falls) {
    std::size_t up = 0;
    std::size_t down = 0;
    for (std::size_t i = 1; i < values.size(); ++i) {
        up += values[i] > values[i - 1] ? 1 : 0;
        down += values[i] < values[i - 1] ? 1 : 0;
    }
    falls = down > up;
    const double most = static_cast<double>(std::max(up, down));
    return values.size() > 1 && most >= kMost * static_cast<double>(values.size() - 1);
}

SampledStamps stampsOf(const RunTable& table, const CsvMapping& mapping, DateOrder order) {
    const auto date = columnOf(mapping, ColumnRole::Date);
    const auto time = columnOf(mapping, ColumnRole::Time);
    SampledStamps stamps;
    for (const auto& row : table.rows) {
        const auto stamp =
            time ? readStamp(date ? row[*date] + " " + row[*time] : row[*time], order) : std::nullopt;
        if (stamp) {
            stamps.times.push_back(static_cast<double>(stamp->local));
            stamps.orderKnown = stamps.orderKnown || stamp->orderKnown;
        }
    }
    stamps.whole = static_cast<double>(stamps.times.size()) >= kMost * static_cast<double>(table.rows.size());
    return stamps;
}

} // namespace anodex::formats
