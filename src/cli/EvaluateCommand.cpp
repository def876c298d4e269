#include "cli/EvaluateCommand.h"

#include "cli/CellInput.h"
#include "cli/ChargeReport.h"
#include "cli/Command.h"
#include "cli/EvaluateText.h"
#include "core/cell/Doubt.h"
#include "core/findings/Findings.h"
#include "wording/FindingText.h"
#include "wording/InputText.h"
#include "wording/PartText.h"
#include "wording/Texts.h"

#include <cmath>
#include <fmt/format.h>
#include <thread>

namespace anodex::cli {
namespace {

using cell::Evaluation;
using chemistry::Catalogue;
using design::Cell;
using formats::Json;

Json sideJson(const Catalogue& catalogue, const cell::SideResult& side) {
    Json json = {{"potential_V", side.restVolts},
                 {"reaction", catalogue.reactions[side.couple.reaction].equation},
                 {"equilibrium_potential_V", side.equilibriumVolts}};
    if (side.otherRestVolts) {
        json["other_potential_V"] = *side.otherRestVolts;
    }
    json["face_pH"] = side.facePh;
    json["face_pH_at_power"] = side.facePhAtPower;
    json["competing"] = Json::array();
    for (const cell::CompetingReaction& entry : side.competing) {
        Json item = {{"reaction", catalogue.reactions[entry.reaction].equation},
                     {"equilibrium_potential_V", entry.equilibriumVolts},
                     {"current_A", entry.amps}};
        if (entry.blocked == electrode::Blocked::Film) {
            item["blocked_by"] = wording::text("cli.blocked.film");
        } else if (entry.blocked == electrode::Blocked::NoReactant) {
            item["blocked_by"] = entry.missing
                                     ? wording::text({"cli.blocked.missing",
                                                      {{"name", catalogue.species[*entry.missing].name}}})
                                     : wording::text("cli.blocked.no-reactant");
        }
        json["competing"].push_back(item);
    }
    return json;
}

Json findingsJson(const Catalogue& catalogue, const Cell& cell, const Evaluation& evaluation) {
    Json list = Json::array();
    for (const findings::Finding& finding : findings::findingsFor(catalogue, cell, evaluation)) {
        const wording::FindingText text = wording::findingText(finding);
        list.push_back({{"severity", wording::severityText(finding.severity)},
                        {"code", wording::findingCode(finding)},
                        {"part", wording::findingPartText(finding.part)},
                        {"substances", finding.names},
                        {"text", text.text},
                        {"remedy", text.remedy}});
    }
    return list;
}

Json assumedJson(const Cell& cell) {
    Json json = Json::object();
    for (const design::Assumption& assumption : cell.assumed) {
        if (!assumption.text.empty()) {
            json[assumption.field] = assumption.text;
        } else if (assumption.field.ends_with("_C")) {
            json[assumption.field] = std::round((assumption.value - 273.15) * 1e6) / 1e6;
        } else if (assumption.field.ends_with("_mL")) {
            json[assumption.field] = std::round(assumption.value * 1e12) / 1e6;
        } else if (assumption.field.ends_with("_percent")) {
            json[assumption.field] = std::round(assumption.value * 1e8) / 1e6;
        } else {
            json[assumption.field] = assumption.value * 1000.0; // _mm, _g and _mohm from SI
        }
    }
    return json;
}

Json intervalJson(const base::Interval& interval, double scale = 1.0) {
    return {interval.low * scale, interval.high * scale};
}

Json doubtJson(const cell::Doubt& doubt) {
    return {{"thermodynamic_voltage_V", intervalJson(doubt.thermodynamicVolts)},
            {"open_circuit_voltage_V", intervalJson(doubt.openCircuitVolts)},
            {"short_circuit_current_A", intervalJson(doubt.shortCircuitAmps)},
            {"maximum_power_W", intervalJson(doubt.maximumWatts)},
            {"capacity_Ah", intervalJson(doubt.expectedCoulombs, 1.0 / 3600.0)},
            {"resistance_ohm", intervalJson(doubt.resistanceOhm)}};
}

Json capacityJson(const Catalogue& catalogue, const Cell& cell, const Evaluation& evaluation) {
    Json json = {{"theoretical", evaluation.capacity.theoreticalCoulombs / 3600.0},
                 {"expected", evaluation.capacity.expectedCoulombs / 3600.0}};
    if (!evaluation.capacity.reagents.empty()) {
        json["limited_by"] = wording::reagentName(catalogue, cell, evaluation.capacity.reagents.front());
    }
    return json;
}

} // namespace

Json evaluateCell(const Catalogue& catalogue, const EvaluateRequest& request) {
    const CellInput input = readCell(catalogue, request.cellPath);
    const Cell& cell = input.cell;
    const Evaluation evaluation = cell::evaluate(catalogue, cell, {request.curvePoints});
    Json json = {{"thermodynamic_voltage_V", evaluation.thermodynamicVolts},
                 {"open_circuit_voltage_V", evaluation.openCircuitVolts},
                 {"short_circuit_current_A", evaluation.first.shortCircuitAmps},
                 {"maximum_power_W", evaluation.first.maximumPower.watts},
                 {"current_at_maximum_power_A", evaluation.first.maximumPower.amps},
                 {"settled",
                  {{"short_circuit_current_A", evaluation.settled.shortCircuitAmps},
                   {"maximum_power_W", evaluation.settled.maximumPower.watts}}},
                 {"resistance_ohm", evaluation.resistance.totalOhm}};
    json["resistance_budget"] = Json::array();
    for (const cell::ResistanceShare& share : evaluation.resistance.shares) {
        json["resistance_budget"].push_back(
            {{"part", wording::partText(share.part, cell.twoLiquids)}, {"ohm", share.ohm}});
    }
    json["negative"] = sideJson(catalogue, evaluation.sides[0]);
    json["positive"] = sideJson(catalogue, evaluation.sides[1]);
    json["capacity_Ah"] = capacityJson(catalogue, cell, evaluation);
    json["self_discharge_A"] = evaluation.selfDischargeAmps;
    json["crossover_A"] = evaluation.crossoverAmps;
    if (evaluation.restLifeSeconds) {
        json["life_at_rest_h"] = *evaluation.restLifeSeconds / 3600.0;
    }
    json["drying_g_per_day"] = evaluation.dryingKgPerSecond * 1000.0 * 86400.0;
    json["shared_liquid_leak_A"] = evaluation.sharedLiquidAmps;
    json["meter_reading_V"] = evaluation.meterVolts;
    json["heat"] = {{"at_rest_W", evaluation.heatAtRestWatts},
                    {"at_maximum_power_W", evaluation.heatAtPowerWatts}};
    json["hydrogen_mL_per_h"] = evaluation.hydrogenM3PerSecond * 3.6e9;
    if (request.amps) {
        json["losses"] = Json::array();
        for (const cell::Loss& loss : cell::lossesAt(catalogue, cell, evaluation, *request.amps)) {
            json["losses"].push_back({{"part", wording::lossText(loss.part)}, {"V", loss.volts}});
        }
    }
    json["charge"] = chargeJson(catalogue, cell, evaluation, request.samples);
    json["findings"] = findingsJson(catalogue, cell, evaluation);
    json["curve"] = Json::array();
    for (const cell::CurvePoint& point : evaluation.curve) {
        json["curve"].push_back(
            {{"current_A", point.amps}, {"voltage_V", point.volts}, {"power_W", point.amps * point.volts}});
    }
    const int threads = static_cast<int>(std::max(1U, std::thread::hardware_concurrency()));
    if (const auto doubt = cell::estimateDoubt(catalogue, cell, evaluation, {request.samples, 1, threads})) {
        json["interval"] = doubtJson(*doubt);
        json["what_matters_most"] = Json::array();
        for (const cell::InfluentialInput& influence : doubt->matterMost) {
            json["what_matters_most"].push_back(
                {{"input", wording::inputText(catalogue, influence.input)}, {"share", influence.share}});
        }
    }
    json["assumed"] = assumedJson(cell);
    return json;
}

Command evaluateCommand() {
    return {"evaluate",
            "anodex-cli evaluate lemon.cell.json --curve 20",
            {{"CELL", "*.cell.json", true},
             {"--current", "AMPERES"},
             {"--curve", "POINTS"},
             {"--samples", "WORLDS"}},
            [](const Call& call) -> int {
                const formats::Json answer = evaluateCell(
                    call.catalogue(), {call.text("CELL"), call.number("--current"),
                                       call.count("--curve", 200, 2), call.count("--samples", 200, 0)});
                const Console& console = call.console();
                if (console.json) {
                    print(console, answer);
                } else {
                    console.output << evaluateText(answer, console.screen)
                                   << (call.text("--curve").empty() ? std::string() : curveText(answer));
                }
                return kGood;
            }};
}

} // namespace anodex::cli
