// src/formats/run/RowReader.h - one line of a run after the other, by a mapping.
#pragma once
#include "formats/run/RunReading.h"
#include "formats/run/TimeCell.h"
#include "quantity/Units.h"
#include <string_view>
#include <vector>

namespace anodex::formats {

/// What a line gave: a sample, or why it gave none.
struct RowOutcome {
    std::optional<SkippedRow::Why> skipped;
    bool timeGoesBack = false;
    bool repeatedHour = false; ///< The hour that comes twice in autumn, and nothing says which it is.
};

class RowReader {
public:
    RowReader(const CsvMapping& mapping, const std::vector<std::string>& names, CsvRun& run);

    [[nodiscard]] RowOutcome take(std::string_view line);

private:
    [[nodiscard]] std::optional<double> number(std::size_t column);
    [[nodiscard]] std::optional<double> seconds();
    [[nodiscard]] std::optional<double> fromStamp(const Stamp& stamp);
    [[nodiscard]] std::optional<double> unwrapped(double seconds);
    [[nodiscard]] bool repeatsHeader() const;

    const CsvMapping& m_mapping;
    const std::vector<std::string>& m_names;
    CsvRun& m_run;
    std::vector<std::string_view> m_cells;
    std::optional<std::size_t> m_time;
    std::optional<std::size_t> m_date;
    std::optional<std::size_t> m_voltage;
    std::optional<std::size_t> m_current;
    std::vector<std::optional<quantity::UnitReading>>
        m_cellUnits; ///< Of the first cell of a column with one.
    std::optional<record::Millis> m_lastLocal;
    bool m_secondHour = false; ///< Past the change of clocks, in the hour that came again.
    double m_wrapped = 0.0;    ///< Added to a counter or a clock that began again.
    std::optional<double> m_lastRaw;
    std::size_t m_rows = 0;
};

[[nodiscard]] std::optional<std::size_t> columnOf(const CsvMapping& mapping, ColumnRole role);

} // namespace anodex::formats
