#include "cli/PourCommand.h"

#include "cli/Command.h"
#include "cli/PlainText.h"
#include "wording/pour/PourLine.h"

#include <cmath>

namespace anodex::cli {

using formats::Json;

namespace {

/// Without the last digits that only units' factors leave.
double clean(double value) {
    constexpr int kDigits = 12;
    const double scale = std::pow(10.0, kDigits - std::ceil(std::log10(std::abs(value))));
    return value == 0.0 || !std::isfinite(scale) ? value : std::round(value * scale) / scale;
}

Json pourJson(const wording::Pour& pour) {
    const auto [value, unit] = wording::shownAmount(pour.amount);
    Json json = {{"substance", pour.name}, {"amount", clean(value)}, {"unit", unit}, {"range", nullptr}};
    if (pour.halfWidth) {
        const double half = wording::shownAmount({pour.amount.unit, *pour.halfWidth}).value;
        json["range"] = {clean(std::max(0.0, value - half)), clean(value + half)};
    }
    return json;
}

} // namespace

Json readPourLine(const chemistry::Catalogue& catalogue, const std::string& text) {
    const auto read = wording::readPours(catalogue, text);
    if (const auto* fault = std::get_if<wording::PourFault>(&read)) {
        throw stopAt(kWrongInput, "\"" + text + "\"", fault->text);
    }
    Json json = {{"pours", Json::array()}, {"asks", Json::array()}};
    if (const auto* question = std::get_if<wording::Question>(&read)) {
        json["asks"].push_back(asked(*question));
    } else {
        for (const wording::Pour& pour : std::get<std::vector<wording::Pour>>(read)) {
            json["pours"].push_back(pourJson(pour));
        }
    }
    return json;
}

Command pourCommand() {
    return {"pour", "anodex-cli pour '2 tsp salt'", {{"TEXT", "text", true}}, [](const Call& call) -> int {
                print(call.console(), readPourLine(call.catalogue(), call.text("TEXT")), pourText);
                return kGood;
            }};
}

} // namespace anodex::cli
