#include "formats/ExpectationJson.h"

#include "formats/JsonObject.h"

namespace anodex::formats {
namespace {

using record::Expectation;
using record::Expected;

struct Field {
    const char* key;
    Expected Expectation::*member;
};
constexpr Field kFields[] = {{"open_circuit_V", &Expectation::openCircuitVolts},
                             {"short_circuit_A", &Expectation::shortCircuitAmps},
                             {"maximum_power_W", &Expectation::maximumWatts},
                             {"capacity_C", &Expectation::capacityCoulombs},
                             {"resistance_ohm", &Expectation::resistanceOhm}};

} // namespace

std::string writeExpectation(const Expectation& expectation) {
    Json json = {{"model", expectation.modelVersion}, {"catalogue", expectation.catalogueVersion}};
    for (const Field& field : kFields) {
        const Expected& value = expectation.*field.member;
        json[field.key] = {{"value", value.value}, {"low", value.range.low}, {"high", value.range.high}};
    }
    json["curve"] = Json::array();
    for (const cell::CurvePoint& point : expectation.curve) {
        json["curve"].push_back({{"A", point.amps}, {"V", point.volts}});
    }
    return json.dump();
}

tl::expected<Expectation, FileError> readExpectation(std::string_view text) {
    Json json;
    std::optional<FileError> problem = parseJson(text, json);
    Expectation expectation;
    if (!problem) {
        JsonObject root(json, "", problem);
        if (!problem) {
            expectation.modelVersion = root.text("model");
            expectation.catalogueVersion = root.text("catalogue");
            for (const Field& field : kFields) {
                root.object(field.key, [&](JsonObject& entry) {
                    expectation.*
                        field.member = {entry.number("value"), {entry.number("low"), entry.number("high")}};
                });
            }
            root.eachObject("curve", [&](JsonObject& point) {
                expectation.curve.push_back({point.number("A"), point.number("V")});
            });
            root.finish();
        }
    }
    if (problem) {
        return tl::unexpected(*problem);
    }
    return expectation;
}

} // namespace anodex::formats
