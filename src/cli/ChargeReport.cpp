#include "cli/ChargeReport.h"

#include "core/charge/Charge.h"
#include "wording/ChargeText.h"

namespace anodex::cli {
namespace {

using chemistry::Catalogue;
using formats::Json;

Json pointJson(const charge::ChargePoint& point) {
    return {{"current_A", point.amps},
            {"voltage_V", point.volts},
            {"current_efficiency", point.efficiency},
            {"negative_potential_V", point.potentialVolts[0]},
            {"positive_potential_V", point.potentialVolts[1]}};
}

Json reactionsJson(const Catalogue& catalogue, const std::vector<charge::ChargeReaction>& reactions) {
    Json list = Json::array();
    for (const charge::ChargeReaction& reaction : reactions) {
        if (reaction.amps > 0.0) {
            list.push_back({{"reaction", catalogue.reactions[reaction.reaction].equation},
                            {"current_A", reaction.amps},
                            {"fate", wording::fateText(reaction.fate)}});
        }
    }
    return list;
}

Json detailJson(const Catalogue& catalogue, const charge::ChargeDetail& detail) {
    Json json = pointJson(detail.point);
    if (detail.fullVolts) {
        json["voltage_when_full_V"] = *detail.fullVolts;
    }
    json["negative"] = reactionsJson(catalogue, detail.reactions[0]);
    json["positive"] = reactionsJson(catalogue, detail.reactions[1]);
    json["gas_mL_per_h"] = Json::object();
    for (const cell::GasFlow& flow : detail.gas) {
        json["gas_mL_per_h"][catalogue.species[flow.species].name] =
            flow.molesPerSecond * cell::kGasM3PerMole * 3.6e9;
    }
    json["ventilation_m3_per_h"] = cell::standardVentilation(detail.hydrogenAmps, 1) * 3600.0;
    return json;
}

Json airJson(const Catalogue& catalogue, const design::Cell& cell, const charge::ChargeDetail& detail) {
    Json list = Json::array();
    for (const cell::SpaceAir& air : cell::airAround(catalogue, cell, detail.gas)) {
        Json entry = {{"space", wording::spaceText(air.space)},
                      {"gas", catalogue.species[air.gas].airLimit->name},
                      {"ppm", air.share * 1e6},
                      {"limit_ppm", air.limit * 1e6}};
        if (air.secondsToLimit) {
            entry["hours_to_limit"] = *air.secondsToLimit / 3600.0;
        }
        list.push_back(entry);
    }
    return list;
}

} // namespace

Json chargeJson(const Catalogue& catalogue, const design::Cell& cell, const cell::Evaluation& evaluation,
                int samples) {
    const charge::Charging charging = charge::chargingOf(catalogue, cell, evaluation);
    Json json = {{"possible", charging.possible},
                 {"state", wording::chargeStateText(charging.state)},
                 {"plus_on", charging.reversed ? "negative" : "positive"}};
    if (charging.possible) {
        json["rest_voltage_V"] = charging.restVolts;
        json["gentle"] = detailJson(catalogue, charging.gentle);
        if (const auto range = charge::chargeVoltsDoubt(catalogue, cell, evaluation, charging,
                                                        charging.gentle.point.amps, samples)) {
            json["gentle"]["voltage_interval_V"] = {range->low, range->high};
        }
        json["fastest"] = pointJson(*charging.best);
        json["fastest"]["limited_by"] = wording::chargeLimitText(charging.bestLimit);
        json["window"] = {{"lowest_V", charging.least->volts},
                          {"highest_V", charging.best->volts},
                          {"lowest_A", charging.least->amps},
                          {"highest_A", charging.best->amps}};
        if (charging.gassingVolts) {
            json["gassing_V"] = *charging.gassingVolts;
        }
        if (charging.floatVolts) {
            json["float_V"] = *charging.floatVolts;
        }
    } else {
        json["instead"] = detailJson(catalogue, charging.gentle);
    }
    if (charging.asked) {
        json["asked"] = detailJson(catalogue, *charging.asked);
        if (const auto range = charge::chargeVoltsDoubt(catalogue, cell, evaluation, charging,
                                                        charging.asked->point.amps, samples)) {
            json["asked"]["voltage_interval_V"] = {range->low, range->high};
        }
        json["air"] = airJson(catalogue, cell, *charging.asked);
    }
    return json;
}

} // namespace anodex::cli
