#include "formats/run/RunCsv.h"

#include "formats/JsonObject.h"
#include "formats/run/RowReader.h"
#include "formats/run/RunTable.h"
#include "formats/run/RunText.h"
#include "quantity/Letters.h"

#include <algorithm>
#include <fmt/format.h>

namespace anodex::formats {
namespace {

using Code = CsvError::Code;
using Why = SkippedRow::Why;

void note(CsvRun& run, std::size_t line, Why why) {
    constexpr std::size_t kMostNoted = 100;
    if (why != Why::Remark && why != Why::HeaderAgain && why != Why::SameTime) {
        run.firstSkippedLine = run.rowsSkipped == 0 ? line : run.firstSkippedLine;
        ++run.rowsSkipped;
    }
    if (run.skipped.size() < kMostNoted) {
        run.skipped.push_back({line, why});
    }
}

void startAtZero(CsvRun& run) {
    const double first = run.samples.seconds.front();
    for (double& at : run.samples.seconds) {
        at -= first;
    }
}

/// Newest first as it stood in the file; the last row is the beginning.
bool turnRound(CsvRun& run) {
    record::RunSamples& samples = run.samples;
    for (auto* column : {&samples.seconds, &samples.volts, &samples.amps}) {
        std::reverse(column->begin(), column->end());
    }
    if (run.started) {
        *run.started += static_cast<record::Millis>(samples.seconds.front() * 1000.0);
        startAtZero(run);
    }
    return std::adjacent_find(samples.seconds.begin(), samples.seconds.end(),
                              [](double a, double b) { return b <= a; }) == samples.seconds.end();
}

std::vector<std::string> namesOf(std::string_view text, const CsvMapping& mapping) {
    std::vector<std::string> names;
    std::vector<std::string_view> cells;
    for (std::size_t i = 0; i < mapping.headerLines && !text.empty(); ++i) {
        cellsOf(takeLine(text), mapping.delimiter, cells);
        if (cells.size() == mapping.columns.size()) {
            names.assign(cells.begin(), cells.end());
        }
    }
    return names;
}

} // namespace

std::vector<CsvAspect> CsvPreview::questions() const {
    std::vector<CsvAspect> list;
    std::copy_if(aspects.begin(), aspects.end(), std::back_inserter(list),
                 [](const CsvAspect& a) { return a.asked; });
    return list;
}

double CsvPreview::certainty() const {
    double least = 1.0;
    for (const CsvAspect& aspect : aspects) {
        least = std::min(least, aspect.choices.empty() ? 1.0 : aspect.choices.front().odds);
    }
    return least;
}

tl::expected<CsvRun, CsvError> readCsv(std::string_view bytes, const CsvMapping& mapping,
                                       const std::function<void(double)>& progress,
                                       const std::stop_token& stop) {
    if (mapping.time != TimeForm::Rows && !columnOf(mapping, ColumnRole::Time)) {
        return tl::unexpected(CsvError{Code::NoTime, mapping.headerLines, {}});
    }
    if (!columnOf(mapping, ColumnRole::Voltage)) {
        return tl::unexpected(CsvError{Code::NoVoltage, mapping.headerLines, {}});
    }
    if (!isZone(mapping.zone)) {
        return tl::unexpected(CsvError{Code::UnknownZone, 0, mapping.zone});
    }
    auto decoded = decodeRun(bytes);
    if (!decoded) {
        return tl::unexpected(decoded.error());
    }
    std::string_view text = decoded->text;
    const std::size_t whole = text.size();
    const std::vector<std::string> names = namesOf(text, mapping);
    CsvRun run;
    RowReader reader(mapping, names, run);
    std::size_t number = 0;
    while (!text.empty()) {
        const std::string_view line = takeLine(text);
        ++number;
        if (number <= mapping.headerLines || quantity::trimmed(line).empty()) {
            continue;
        }
        const RowOutcome outcome = reader.take(line);
        if (outcome.skipped) {
            note(run, number, *outcome.skipped);
        } else if (outcome.timeGoesBack || outcome.repeatedHour) {
            return tl::unexpected(CsvError{outcome.repeatedHour ? Code::RepeatedHour : Code::TimeGoesBack,
                                           number, std::string(line.substr(0, 60))});
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
    if (mapping.newestFirst && !turnRound(run)) {
        return tl::unexpected(CsvError{Code::TimeGoesBack, 0, {}});
    }
    if (mapping.time == TimeForm::Clock) {
        startAtZero(run); // a time of day says when, a run how long since it began
    }
    return run;
}

std::string mappingToText(const CsvMapping& mapping) {
    Json json = {{"delimiter", std::string(1, mapping.delimiter)},
                 {"decimal_comma", mapping.decimalComma},
                 {"header_lines", mapping.headerLines},
                 {"time_form", static_cast<int>(mapping.time)},
                 {"date_order", static_cast<int>(mapping.dateOrder)},
                 {"interval_s", mapping.intervalSeconds},
                 {"newest_first", mapping.newestFirst},
                 {"positive_on_charge", mapping.currentPositiveOnCharge},
                 {"zone", mapping.zone}};
    json["columns"] = Json::array();
    for (const ColumnMapping& column : mapping.columns) {
        json["columns"].push_back({{"role", static_cast<int>(column.role)}, {"to_si", column.toSi}});
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
        mapping.time = static_cast<TimeForm>(
            static_cast<int>(root.number("time_form", {0.0, 6.0, true, "a form from 0 to 6"})));
        mapping.dateOrder = static_cast<DateOrder>(
            static_cast<int>(root.number("date_order", {0.0, 2.0, true, "an order from 0 to 2"})));
        mapping.intervalSeconds = root.number("interval_s", kNotNegative);
        mapping.newestFirst = root.flagOr("newest_first", false);
        mapping.currentPositiveOnCharge = root.flagOr("positive_on_charge", false);
        mapping.zone = root.text("zone");
        root.eachObject("columns", [&](JsonObject& entry) {
            const auto role = static_cast<int>(entry.number("role", {0.0, 4.0, true, "a role from 0 to 4"}));
            mapping.columns.push_back({static_cast<ColumnRole>(role), entry.number("to_si", kPositive)});
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
