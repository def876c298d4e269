// tests/support/CellJson.h - cells to try, put together from parts, as JSON without "format".
#pragma once
#include <initializer_list>
#include <nlohmann/json.hpp>
#include <utility>

namespace anodex::test::json {

using Json = nlohmann::ordered_json;

inline Json electrodeJson(const char* material, double area = 10.0) {
    return {{"material", material}, {"wetted_area_cm2", area}};
}

inline Json on(Json electrode, const char* collector) {
    electrode["collector"] = {{"material", collector}};
    return electrode;
}

inline Json breathing(Json electrode, double openPercent = 100.0) {
    electrode["air"] = "breathing";
    electrode["open_percent"] = openPercent;
    return electrode;
}

inline Json airless(Json electrode) {
    electrode["air"] = "none";
    return electrode;
}

inline Json water(std::initializer_list<std::pair<const char*, double>> molPerLitre) {
    Json liquid = {{"water_mL", 100}, {"solutes", Json::array()}};
    for (const auto& [substance, strength] : molPerLitre) {
        liquid["solutes"].push_back({{"substance", substance}, {"mol_per_L", strength}});
    }
    return liquid;
}

inline Json ready(const char* liquid) {
    return {{"ready", liquid}, {"volume_mL", 100}};
}

inline Json cellWith(Json negative, Json positive, Json liquid) {
    return {{"negative", std::move(negative)},
            {"positive", std::move(positive)},
            {"electrolyte", std::move(liquid)}};
}

inline Json in(Json cell, const char* box) {
    cell["case"] = {{"material", box}};
    return cell;
}

inline Json apart(Json cell, Json positiveLiquid, const char* separator) {
    cell["electrolyte"] = {{"negative", cell["electrolyte"]}, {"positive", std::move(positiveLiquid)}};
    cell["separator"] = {{"material", separator}};
    return cell;
}

/// With one more key, as in with(cell, "charge", {{"current_A", 0.1}}).
inline Json with(Json cell, const char* key, Json value) {
    cell[key] = std::move(value);
    return cell;
}

} // namespace anodex::test::json
