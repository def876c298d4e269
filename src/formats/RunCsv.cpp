#include "formats/RunCsv.h"
#include "formats/CsvLines.h"

#include "formats/JsonObject.h"
#include "formats/Numbers.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace anodex::formats {
namespace {

using Code = CsvError::Code;

/// Calendar or elapsed seconds of a row, or nothing when the cell cannot be read.
class RowReader {
public:
    RowReader(const CsvMapping& mapping, CsvRun& run)
        : m_mapping(mapping), m_run(run), m_time(columnOf(mapping, ColumnRole::Time)),
          m_voltage(columnOf(mapping, ColumnRole::Voltage)),
          m_current(columnOf(mapping, ColumnRole::Current)) {}

    bool take(std::string_view line) {
        splitInto(line, m_mapping.delimiter, m_cells);
        const auto seconds = secondsOf();
        const auto volts = valueOf(m_voltage);
        const auto amps = m_current ? valueOf(m_current) : std::optional(0.0);
        if (!seconds || !volts || !amps) {
            return false;
        }
        m_run.samples.seconds.push_back(*seconds);
        m_run.samples.volts.push_back(*volts);
        m_run.samples.amps.push_back(m_mapping.currentPositiveOnCharge ? -*amps : *amps);
        return true;
    }

private:
    std::optional<double> valueOf(std::optional<std::size_t> column) const {
        if (!column || *column >= m_cells.size()) {
            return std::nullopt;
        }
        const auto value = parseNumber(m_cells[*column], m_mapping.decimalComma);
        return value ? std::optional(*value * m_mapping.columns[*column].toSi) : std::nullopt;
    }

    std::optional<double> secondsOf() {
        if (!m_mapping.columns[*m_time].isDateTime) {
            return valueOf(m_time);
        }
        if (*m_time >= m_cells.size()) {
            return std::nullopt;
        }
        const auto stamp = parseDateTime(m_cells[*m_time]);
        if (!stamp) {
            return std::nullopt;
        }
        if (!m_run.started) {
            m_run.started = *stamp;
        }
        return static_cast<double>(*stamp - *m_run.started) / 1000.0;
    }

    const CsvMapping& m_mapping;
    CsvRun& m_run;
    std::optional<std::size_t> m_time;
    std::optional<std::size_t> m_voltage;
    std::optional<std::size_t> m_current;
    std::vector<std::string_view> m_cells;
};

} // namespace

tl::expected<CsvRun, CsvError> readCsv(std::string_view text, const CsvMapping& mapping,
                                       const std::function<void(double)>& progress,
                                       const std::stop_token& stop) {
    if (!columnOf(mapping, ColumnRole::Time)) {
        return tl::unexpected(CsvError{Code::NoTime, mapping.headerLines, {}});
    }
    if (!columnOf(mapping, ColumnRole::Voltage)) {
        return tl::unexpected(CsvError{Code::NoVoltage, mapping.headerLines, {}});
    }
    text = withoutMark(text);
    const std::size_t whole = text.size();
    CsvRun run;
    RowReader reader(mapping, run);
    std::size_t number = 0;
    while (!text.empty()) {
        const std::string_view line = takeLine(text);
        ++number;
        if (number <= mapping.headerLines || trimmed(line).empty()) {
            continue;
        }
        if (!reader.take(line)) {
            run.firstSkippedLine = run.rowsSkipped == 0 ? number : run.firstSkippedLine;
            ++run.rowsSkipped;
            continue;
        }
        const std::size_t last = run.samples.size() - 1;
        if (last > 0 && run.samples.seconds[last] <= run.samples.seconds[last - 1]) {
            if (run.samples.seconds[last] < run.samples.seconds[last - 1]) {
                return tl::unexpected(CsvError{Code::TimeGoesBack, number, std::string(line.substr(0, 60))});
            }
            // A logger that repeats a time stamp adds nothing new.
            run.samples.seconds.pop_back();
            run.samples.volts.pop_back();
            run.samples.amps.pop_back();
        }
        if (number % 4096 == 0) {
            if (stop.stop_requested()) {
                return tl::unexpected(CsvError{Code::Cancelled, number, {}});
            }
            if (progress) {
                progress(1.0 - static_cast<double>(text.size()) / static_cast<double>(whole));
            }
        }
    }
    if (run.samples.size() < 2) {
        return tl::unexpected(CsvError{Code::TooFewRows, number, {}});
    }
    return run;
}

bool looksPositiveOnCharge(const record::RunSamples& samples) {
    double largest = 0.0;
    double meanAmps = 0.0;
    for (const double amps : samples.amps) {
        largest = std::max(largest, std::abs(amps));
        meanAmps += amps / static_cast<double>(samples.size());
    }
    if (largest == 0.0) {
        return false;
    }
    // A load pulls the voltage down: at its steps, voltage and discharge current move oppositely.
    constexpr double kStepShare = 0.2;
    double together = 0.0;
    for (std::size_t i = 1; i < samples.size(); ++i) {
        const double step = samples.amps[i] - samples.amps[i - 1];
        if (std::abs(step) > kStepShare * largest) {
            together += step * (samples.volts[i] - samples.volts[i - 1]);
        }
    }
    if (together != 0.0) {
        return together > 0.0;
    }
    // Without steps: a voltage that falls while current flows is a discharge.
    const double rise = samples.volts.back() - samples.volts.front();
    return rise * meanAmps > 0.0;
}

std::string mappingToText(const CsvMapping& mapping) {
    Json json = {{"delimiter", std::string(1, mapping.delimiter)},
                 {"decimal_comma", mapping.decimalComma},
                 {"header_lines", mapping.headerLines},
                 {"positive_on_charge", mapping.currentPositiveOnCharge}};
    json["columns"] = Json::array();
    for (const ColumnMapping& column : mapping.columns) {
        json["columns"].push_back({{"role", static_cast<int>(column.role)},
                                   {"to_si", column.toSi},
                                   {"date_time", column.isDateTime}});
    }
    return json.dump();
}

std::optional<CsvMapping> mappingFromText(std::string_view text) {
    Json json;
    std::optional<FileError> problem = parseJson(text, json);
    if (problem) {
        return std::nullopt;
    }
    JsonObject root(json, "", problem);
    CsvMapping mapping;
    if (!problem) {
        const std::string delimiter = root.text("delimiter");
        mapping.delimiter = delimiter.empty() ? ',' : delimiter.front();
        mapping.decimalComma = root.flagOr("decimal_comma", false);
        mapping.headerLines = static_cast<std::size_t>(root.number("header_lines", kNotNegative));
        mapping.currentPositiveOnCharge = root.flagOr("positive_on_charge", false);
        root.eachObject("columns", [&](JsonObject& entry) {
            const auto role = static_cast<int>(entry.number("role", {0.0, 3.0, true, "a role from 0 to 3"}));
            mapping.columns.push_back({static_cast<ColumnRole>(role), entry.number("to_si", kPositive),
                                       entry.flagOr("date_time", false)});
        });
    }
    return problem ? std::nullopt : std::optional(mapping);
}

std::string writeRunCsv(const record::RunSamples& samples) {
    std::string text = "Test Time / s,Voltage / V,Current / A\n";
    for (std::size_t i = 0; i < samples.size(); ++i) {
        fmt::format_to(std::back_inserter(text), "{},{},{}\n", samples.seconds[i], samples.volts[i],
                       samples.amps[i] == 0.0 ? 0.0 : -samples.amps[i]);
    }
    return text;
}

} // namespace anodex::formats
