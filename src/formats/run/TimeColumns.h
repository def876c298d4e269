// src/formats/run/TimeColumns.h - which columns of a run can tell the time, and how.
#pragma once
#include "formats/run/RunColumns.h"
#include <optional>
#include <vector>

namespace anodex::formats {

struct TimeColumn {
    std::size_t column = 0;
    std::optional<std::size_t> date; ///< Where the date stands in a column of its own.
    TimeForm form = TimeForm::Elapsed;
    double odds = 0.0; ///< Against the others.
};

/// Stamps, clocks, counts since 1970, a spreadsheet's days, numbers that rise.
[[nodiscard]] std::vector<TimeColumn> timeColumnsOf(const RunTable& table,
                                                    const std::vector<RunColumn>& columns, bool decimalComma);

/// Nine steps of ten go the same way; `falls` says which.
[[nodiscard]] bool goesOneWay(const std::vector<double>& values, bool& falls);

struct SampledStamps {
    std::vector<double> times; ///< ms, as if local time were UTC.
    bool orderKnown = false;   ///< Some row leaves no doubt about day and month.
    bool whole = false;        ///< Nine cells of ten read so.
};
[[nodiscard]] SampledStamps stampsOf(const RunTable& table, const CsvMapping& mapping, DateOrder order);

} // namespace anodex::formats
