#include "cli/PourCommand.h"

#include "cli/Command.h"
#include "wording/PourLine.h"

namespace anodex::cli {

using formats::Json;

namespace {

Json pourJson(const wording::Pour& pour) {
    const auto [value, unit] = wording::shownAmount(pour.amount);
    Json json = {{"substance", pour.name}, {"amount", value}, {"unit", unit}, {"range", nullptr}};
    if (pour.halfWidth) {
        const double half = wording::shownAmount({pour.amount.unit, *pour.halfWidth}).value;
        json["range"] = {std::max(0.0, value - half), value + half};
    }
    return json;
}

} // namespace

Json readPourLine(const chemistry::Catalogue& catalogue, const std::string& text) {
    const auto read = wording::readPour(catalogue, text);
    if (const auto* fault = std::get_if<wording::PourFault>(&read)) {
        throw stopAt(kWrongInput, "\"" + text + "\"", fault->text);
    }
    Json json = {{"pours", Json::array()}, {"asks", Json::array()}};
    if (const auto* question = std::get_if<wording::Question>(&read)) {
        json["asks"].push_back(asked(*question));
    } else {
        json["pours"].push_back(pourJson(std::get<wording::Pour>(read)));
    }
    return json;
}

Command pourCommand() {
    return {"pour", {{"TEXT", "text", true}}, [](const Call& call) -> int {
                print(call.console(), readPourLine(call.catalogue(), call.text("TEXT")));
                return kGood;
            }};
}

} // namespace anodex::cli
