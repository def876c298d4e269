#include "cli/AnalyseCommand.h"

#include "cli/CellInput.h"
#include "core/bench/RunAnalysis.h"
#include "core/cell/Evaluation.h"
#include "formats/RunCsv.h"
#include "wording/ErrorText.h"
#include "wording/PartText.h"

namespace anodex::cli {
namespace {

using formats::Json;

const char* eventText(bench::RunEvent::Kind kind) {
    using Kind = bench::RunEvent::Kind;
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

record::RunSamples readRun(const std::string& path) {
    const std::string text = readText(path);
    const auto preview = formats::previewCsv(text);
    if (!preview) {
        throw Stop{kWrongInput, path + ": " + wording::errorText(preview.error())};
    }
    auto run = formats::readCsv(text, preview->mapping);
    if (!run) {
        throw Stop{kWrongInput, path + ": " + wording::errorText(run.error())};
    }
    return std::move(run->samples);
}

void addCell(const chemistry::Catalogue& catalogue, const std::string& path,
             const bench::RunAnalysis& analysis, Json& json) {
    const CellInput input = readCell(catalogue, path);
    const cell::Evaluation evaluation = cell::evaluate(catalogue, input.cell, {0});
    const double grams = 1000.0 * (input.cell.electrodes[0].massKg + input.cell.electrodes[1].massKg);
    const double squareCm = 1e4 * cell::currentArea(input.cell);
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

Json analyseFile(const chemistry::Catalogue& catalogue, const std::string& runPath,
                 const std::string& cellPath) {
    const auto analysis = bench::analyseRun(readRun(runPath));
    if (!analysis) {
        throw Stop{kWrongInput, runPath + ": " + wording::errorText(analysis.error())};
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
    for (const bench::RunEvent& event : analysis->events) {
        json["events"].push_back(
            {{"kind", eventText(event.kind)}, {"time_s", event.seconds}, {"value", event.value}});
    }
    if (!cellPath.empty()) {
        addCell(catalogue, cellPath, *analysis, json);
    }
    return json;
}

} // namespace anodex::cli
