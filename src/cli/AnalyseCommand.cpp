#include "cli/AnalyseCommand.h"

#include "cli/CellInput.h"
#include "cli/Command.h"
#include "core/cell/Evaluation.h"
#include "core/run/RunAnalysis.h"
#include "formats/run/RunCsv.h"
#include "wording/CsvText.h"
#include "wording/ErrorText.h"
#include "wording/Listing.h"
#include "wording/PartText.h"
#include "wording/Texts.h"
#include "wording/TypedValue.h"

#include <algorithm>

namespace anodex::cli {
namespace {

using formats::Json;

const char* eventText(run::RunEvent::Kind kind) {
    using Kind = run::RunEvent::Kind;
    switch (kind) {
    case Kind::LoadOn:
        return "load-on";
    case Kind::LoadOff:
        return "load-off";
    case Kind::ChargeOn:
        return "charge-on";
    case Kind::Gap:
        return "gap";
    case Kind::Reversed:
        return "reversed";
    }
    return "";
}

template <typename T>
std::optional<T> oneOf(const std::string& option, const std::string& text,
                       std::initializer_list<std::pair<const char*, T>> words) {
    if (text.empty()) {
        return std::nullopt;
    }
    std::vector<std::string> right;
    for (const auto& [word, value] : words) {
        if (text == word) {
            return value;
        }
        right.emplace_back(word);
    }
    throw misfit(option, text, wording::choiceOf(right));
}

std::optional<std::string> unlessEmpty(const std::string& text) {
    return text.empty() ? std::nullopt : std::optional(text);
}

/// "voltage=mV,time=ms"
void takeUnits(const std::string& text, formats::CsvSettings& settings) {
    for (std::size_t at = 0; at < text.size();) {
        const std::size_t end = std::min(text.find(',', at), text.size());
        const std::string pair = text.substr(at, end - at);
        const std::size_t mark = pair.find('=');
        const std::string what = pair.substr(0, mark);
        std::optional<std::string>* into = what == "time"      ? &settings.timeUnit
                                           : what == "voltage" ? &settings.voltageUnit
                                           : what == "current" ? &settings.currentUnit
                                                               : nullptr;
        if (mark == std::string::npos || into == nullptr) {
            throw misfit("--unit", pair, wording::text("cli.right.units"));
        }
        *into = pair.substr(mark + 1);
        at = end + 1;
    }
}

formats::CsvSettings settingsFrom(const AnalyseRequest& request) {
    formats::CsvSettings settings;
    settings.time = unlessEmpty(request.time);
    settings.voltage = unlessEmpty(request.voltage);
    settings.current = unlessEmpty(request.current);
    settings.zone = request.zone;
    takeUnits(request.units, settings);
    settings.currentPositiveOnCharge =
        oneOf<bool>("--sign", request.sign, {{"charge", true}, {"discharge", false}});
    settings.decimalComma = oneOf<bool>("--decimal", request.decimal, {{"comma", true}, {"point", false}});
    settings.dateOrder = oneOf<formats::DateOrder>("--date-order", request.dateOrder,
                                                   {{"year-first", formats::DateOrder::YearFirst},
                                                    {"day-first", formats::DateOrder::DayFirst},
                                                    {"month-first", formats::DateOrder::MonthFirst}});
    if (!request.interval.empty()) {
        const wording::TypedValue interval = wording::typedValue(
            request.interval, wording::Dimension::Second, 1.0, [](double seconds) { return seconds > 0.0; });
        if (!interval.si) {
            throw interval.choices.empty()
                ? misfit("--interval", request.interval, wording::text("cli.right.interval"))
                : stopAt(kUsage, "--interval", wording::whichOf(request.interval, interval.choices));
        }
        settings.intervalSeconds = interval.si;
    }
    return settings;
}

struct ReadRun {
    record::RunSamples samples;
    Json readAs;
};

Json readAsJson(const formats::CsvPreview& preview, const formats::CsvRun& run) {
    Json json = {{"columns", Json::object()}, {"units", Json::object()}};
    for (std::size_t c = 0; c < preview.mapping.columns.size(); ++c) {
        const formats::ColumnMapping& column = preview.mapping.columns[c];
        constexpr const char* kRoles[] = {"", "time", "voltage", "current", "date"};
        const char* role = kRoles[static_cast<std::size_t>(column.role)];
        if (column.role != formats::ColumnRole::Ignored) {
            json["columns"][role] = preview.columnNames[c];
        }
        if (column.role == formats::ColumnRole::Voltage || column.role == formats::ColumnRole::Current) {
            json["units"][role] = wording::columnUnitText(column);
        }
    }
    json["units"]["time"] = wording::timeFormText(preview.mapping);
    json["sign"] =
        wording::text(preview.mapping.currentPositiveOnCharge ? "cli.sign.charge" : "cli.sign.discharge");
    json["time"] = wording::text(preview.mapping.newestFirst ? "cli.newest-first" : "cli.oldest-first");
    json["encoding"] = preview.encoding;
    json["rows"] = run.samples.size();
    json["skipped"] = Json::array();
    for (const formats::SkippedRow& row : run.skipped) {
        json["skipped"].push_back({{"row", row.line}, {"why", wording::skippedText(row.why)}});
    }
    json["certainty"] = preview.certainty();
    return json;
}

/// The options that settle what is left open, or the first question with its choices.
std::string refusal(const formats::CsvAspect& question, std::size_t others) {
    std::vector<std::string> options;
    for (const formats::CsvAspect::Choice& choice : question.choices) {
        options.push_back(wording::optionText(question.kind, choice.value));
    }
    return wording::text({"cli.to-settle",
                          {{"question", wording::questionText(question)},
                           {"options", wording::choiceOf(options)},
                           {"others", static_cast<std::int64_t>(others)}}});
}

ReadRun readRun(const AnalyseRequest& request, const formats::CsvSettings& settings) {
    const std::string& path = request.runPath;
    const std::string text = readText(path);
    const auto preview = formats::previewCsv(text, settings);
    if (!preview) {
        throw stopAt(kWrongInput, path, wording::errorText(preview.error()));
    }
    const std::vector<formats::CsvAspect> questions = preview->questions();
    auto run = formats::readCsv(text, preview->mapping);
    // What no answer would mend is said first.
    const bool answerMends =
        std::any_of(questions.begin(), questions.end(), [](const formats::CsvAspect& question) {
            using Kind = formats::CsvAspect::Kind;
            return question.kind != Kind::TimeUnit && question.kind != Kind::VoltageUnit &&
                   question.kind != Kind::CurrentUnit && question.kind != Kind::Sign;
        });
    if (!run && (!answerMends || !preview->complete)) {
        throw stopAt(kWrongInput, path, wording::errorText(run.error()));
    }
    if (!questions.empty()) {
        throw stopAt(kWrongInput, path, refusal(questions.front(), questions.size() - 1));
    }
    Json readAs = readAsJson(*preview, *run);
    return {std::move(run->samples), std::move(readAs)};
}

void addCell(const chemistry::Catalogue& catalogue, const std::string& path, const run::RunAnalysis& analysis,
             Json& json) {
    const CellInput input = readCell(catalogue, path);
    const cell::Evaluation evaluation = cell::evaluate(catalogue, input.cell, {0});
    const double grams = 1000.0 * (input.cell.electrodes[0].massKg + input.cell.electrodes[1].massKg);
    const double squareCm = 1e4 * design::currentArea(input.cell);
    json["discharge_Ah_per_g"] = analysis.dischargeCoulombs / 3600.0 / grams;
    json["energy_Wh_per_g"] = analysis.deliveredJoules / 3600.0 / grams;
    json["discharge_Ah_per_cm2"] = analysis.dischargeCoulombs / 3600.0 / squareCm;
    json["maximum_power_W_per_cm2"] = analysis.maximumWatts / squareCm;
    json["expected"] = {{"open_circuit_voltage_V", evaluation.openCircuitVolts},
                        {"capacity_Ah", evaluation.capacity.expectedCoulombs / 3600.0},
                        {"resistance_ohm", evaluation.resistance.totalOhm},
                        {"maximum_power_W", evaluation.first.maximumPower.watts}};
}

} // namespace

Json analyseFile(const chemistry::Catalogue& catalogue, const AnalyseRequest& request) {
    formats::CsvSettings settings = settingsFrom(request);
    if (!request.cellPath.empty()) {
        // What the cell can give tells millivolts from volts.
        const CellInput input = readCell(catalogue, request.cellPath);
        const cell::Evaluation evaluation = cell::evaluate(catalogue, input.cell, {0});
        settings.openCircuitVolts = evaluation.openCircuitVolts;
        settings.shortCircuitAmps = evaluation.first.shortCircuitAmps;
    }
    const ReadRun run = readRun(request, settings);
    const auto analysis = run::analyseRun(run.samples);
    if (!analysis) {
        throw stopAt(kWrongInput, request.runPath, wording::errorText(analysis.error()));
    }
    Json json = {{"duration_s", analysis->durationSeconds},
                 {"charge_Ah", analysis->chargeCoulombs / 3600.0},
                 {"discharge_Ah", analysis->dischargeCoulombs / 3600.0},
                 {"energy_Wh", analysis->deliveredJoules / 3600.0},
                 {"mean_voltage_V", analysis->meanVolts}};
    if (analysis->internalOhm) {
        json["internal_resistance_ohm"] = *analysis->internalOhm;
    }
    json["maximum_power_W"] = analysis->maximumWatts;
    json["events"] = Json::array();
    for (const run::RunEvent& event : analysis->events) {
        json["events"].push_back(
            {{"kind", eventText(event.kind)}, {"time_s", event.seconds}, {"value", event.value}});
    }
    if (!request.cellPath.empty()) {
        addCell(catalogue, request.cellPath, *analysis, json);
    }
    json["read_as"] = run.readAs;
    return json;
}

Command analyseCommand() {
    return {"analyse",
            "anodex-cli analyse night.csv --cell lemon.cell.json",
            {{"RUN", "file", true},
             {"--cell", "CELL"},
             {"--time", "COLUMN"},
             {"--voltage", "COLUMN"},
             {"--current", "COLUMN"},
             {"--unit", "UNITS"},
             {"--sign", "SIGN"},
             {"--date-order", "ORDER"},
             {"--interval", "TIME"},
             {"--decimal", "MARK"},
             {"--zone", "ZONE"}},
            [](const Call& call) -> int {
                print(call.console(),
                      analyseFile(call.catalogue(),
                                  {call.text("RUN"), call.text("--cell"), call.text("--time"),
                                   call.text("--voltage"), call.text("--current"), call.text("--unit"),
                                   call.text("--sign"), call.text("--date-order"), call.text("--interval"),
                                   call.text("--decimal"), call.text("--zone")}));
                return kGood;
            }};
}

} // namespace anodex::cli
