#include "formats/run/RowReader.h"

#include "formats/run/RunCell.h"
#include "formats/run/RunText.h"
#include "quantity/Letters.h"
#include "quantity/Number.h"

#include <cmath>

namespace anodex::formats {
namespace {

using Why = SkippedRow::Why;
using quantity::DecimalMark;

constexpr double kDaySeconds = 86400.0;
constexpr record::Millis kHour = 3'600'000;
// A counter of 32 bits begins again here.
constexpr double kCounterEnd = 4294967296.0;
constexpr double kSheetEpochDays = 25569.0; // 1970-01-01, counted from 1899-12-30

} // namespace

std::optional<std::size_t> columnOf(const CsvMapping& mapping, ColumnRole role) {
    for (std::size_t c = 0; c < mapping.columns.size(); ++c) {
        if (mapping.columns[c].role == role) {
            return c;
        }
    }
    return std::nullopt;
}

RowReader::RowReader(const CsvMapping& mapping, const std::vector<std::string>& names, CsvRun& run)
    : m_mapping(mapping), m_names(names), m_run(run), m_time(columnOf(mapping, ColumnRole::Time)),
      m_date(columnOf(mapping, ColumnRole::Date)), m_voltage(columnOf(mapping, ColumnRole::Voltage)),
      m_current(columnOf(mapping, ColumnRole::Current)), m_cellUnits(mapping.columns.size()) {}

std::optional<double> RowReader::number(std::size_t column) {
    const auto cell =
        readCell(m_cells[column], m_mapping.decimalComma ? DecimalMark::Comma : DecimalMark::Point);
    if (!cell) {
        return std::nullopt;
    }
    std::optional<quantity::UnitReading>& unit = m_cellUnits[column];
    if (!cell->unit) {
        // Among cells with units a bare number could be any of them.
        const bool clear = !unit || cell->written == 0.0;
        return clear ? std::optional(cell->written * m_mapping.columns[column].toSi) : std::nullopt;
    }
    if (!unit) {
        unit = cell->unit; // what the mapping's unit was taken from
    }
    return unit->dimension == cell->unit->dimension
               ? std::optional(cell->written * cell->unit->toSi / unit->toSi * m_mapping.columns[column].toSi)
               : std::nullopt;
}

bool RowReader::repeatsHeader() const {
    std::size_t same = 0;
    for (std::size_t c = 0; c < m_cells.size() && c < m_names.size(); ++c) {
        same += !m_cells[c].empty() && m_names[c].starts_with(m_cells[c]) ? 1 : 0;
    }
    return same >= 2 && 2 * same >= m_cells.size();
}

std::optional<double> RowReader::fromStamp(const Stamp& stamp) {
    const bool back = m_lastLocal && stamp.local <= *m_lastLocal;
    const bool twice = comesTwice(stamp, m_mapping.zone);
    m_secondHour = twice && (m_secondHour || back);
    m_lastLocal = stamp.local;
    const auto utc = toUtc(stamp, m_mapping.zone, m_secondHour);
    if (!utc) {
        return std::nullopt;
    }
    if (!m_run.started) {
        m_run.started = *utc;
    }
    return static_cast<double>(*utc - *m_run.started) / 1000.0;
}

/// A counter or a clock that began again goes on.
std::optional<double> RowReader::unwrapped(double seconds) {
    double end = 0.0;
    if (m_mapping.time == TimeForm::Clock) {
        end = kDaySeconds;
    } else if (m_mapping.time == TimeForm::Elapsed && m_mapping.columns[*m_time].toSi < 0.1) {
        end = kCounterEnd * m_mapping.columns[*m_time].toSi;
    }
    if (m_lastRaw && end > 0.0 && *m_lastRaw - seconds > 0.5 * end && *m_lastRaw < end) {
        m_wrapped += end;
    }
    m_lastRaw = seconds;
    return seconds + m_wrapped;
}

std::optional<double> RowReader::seconds() {
    if (m_mapping.time == TimeForm::Rows) {
        return m_mapping.intervalSeconds * static_cast<double>(m_rows);
    }
    const std::string_view cell = m_cells[*m_time];
    switch (m_mapping.time) {
    case TimeForm::Stamp: {
        const auto stamp =
            m_date ? readStamp(std::string(m_cells[*m_date]) + " " + std::string(cell), m_mapping.dateOrder)
                   : readStamp(cell, m_mapping.dateOrder);
        return stamp ? fromStamp(*stamp) : std::nullopt;
    }
    case TimeForm::Clock: {
        const auto clock = readClock(cell);
        return clock ? unwrapped(*clock) : std::nullopt;
    }
    case TimeForm::MinSec:
        return readMinSec(cell);
    case TimeForm::Epoch:
    case TimeForm::SheetDays: {
        const auto value = number(*m_time);
        if (!value) {
            return std::nullopt;
        }
        const double epoch =
            m_mapping.time == TimeForm::Epoch ? *value : (*value - kSheetEpochDays) * kDaySeconds;
        return fromStamp({static_cast<record::Millis>(std::llround(epoch * 1000.0)),
                          m_mapping.time == TimeForm::Epoch ? std::optional(0) : std::nullopt, true});
    }
    default: {
        const auto value = number(*m_time);
        return value ? unwrapped(*value) : std::nullopt;
    }
    }
}

RowOutcome RowReader::take(std::string_view line) {
    const std::string_view plain = quantity::trimmed(line);
    if (plain.starts_with('#') || plain.starts_with('%') || plain.starts_with("//")) {
        return {Why::Remark, false, false};
    }
    cellsOf(line, m_mapping.delimiter, m_cells, m_mapping.columns.size());
    if (m_cells.size() < m_mapping.columns.size()) {
        return {m_cells.size() <= 1 && !isValue(plain) ? Why::Remark : Why::Short, false, false};
    }
    if (repeatsHeader()) {
        return {Why::HeaderAgain, false, false};
    }
    const std::optional<double> volts = number(*m_voltage);
    const std::optional<double> amps = m_current ? number(*m_current) : std::optional(0.0);
    const bool overload = isOverload(m_cells[*m_voltage]) || (m_current && isOverload(m_cells[*m_current]));
    const std::optional<double> at = seconds();
    if (m_mapping.time == TimeForm::Rows) {
        ++m_rows; // a gap still takes its time
    }
    if (!at) {
        return {Why::NoTime, false, false};
    }
    if (overload || !volts || !amps) {
        return {overload ? Why::Overload : volts ? Why::NoCurrent : Why::NoVoltage, false, false};
    }
    record::RunSamples& samples = m_run.samples;
    if (!samples.seconds.empty() && !m_mapping.newestFirst && *at <= samples.seconds.back()) {
        const double back = samples.seconds.back() - *at;
        if (back == 0.0) {
            return {Why::SameTime, false, false}; // a logger that repeats a stamp adds nothing new
        }
        const bool anHour =
            m_mapping.time == TimeForm::Stamp && m_mapping.zone.empty() && back <= kHour / 1000.0;
        return {std::nullopt, !anHour, anHour};
    }
    samples.seconds.push_back(*at);
    samples.volts.push_back(*volts);
    samples.amps.push_back(m_mapping.currentPositiveOnCharge ? -*amps : *amps);
    return {};
}

} // namespace anodex::formats
