#include "tests/fuzz/RandomDesign.h"

#include <cmath>

namespace anodex::fuzz {

using chemistry::Catalogue;
using formats::Json;

RandomDesign::RandomDesign(const Catalogue& catalogue, std::uint64_t seed, std::uint64_t number)
    : m_catalogue(catalogue), m_engine(seed * 0x9E3779B97F4A7C15ULL + number) {}

double RandomDesign::uniform(double low, double high) {
    return std::uniform_real_distribution<double>(low, high)(m_engine);
}

double RandomDesign::logUniform(double low, double high) {
    return std::exp(uniform(std::log(low), std::log(high)));
}

std::size_t RandomDesign::index(std::size_t size) {
    return std::uniform_int_distribution<std::size_t>(0, size - 1)(m_engine);
}

bool RandomDesign::chance(double share) {
    return uniform(0.0, 1.0) < share;
}

template <typename Entry>
const Entry& RandomDesign::pick(const std::vector<Entry>& entries, const char* kind, Coverage& coverage) {
    const Entry& entry = entries[index(entries.size())];
    ++coverage[kind][entry.id];
    return entry;
}

Json RandomDesign::electrode(Coverage& coverage) {
    Json json = {{"material", pick(m_catalogue.materials, "materials", coverage).id},
                 {"wetted_area_cm2", logUniform(0.01, 1e4)}};
    if (chance(0.4)) {
        json["mass_g"] = logUniform(0.01, 1e4);
    }
    if (chance(0.2)) {
        json["thickness_mm"] = logUniform(0.005, 30.0);
    }
    if (chance(0.7)) {
        constexpr const char* kAir[] = {"none", "still", "breathing"};
        json["air"] = kAir[index(3)];
    }
    if (chance(0.2)) {
        json["open_percent"] = logUniform(1e-3, 100.0);
    }
    if (chance(0.2)) {
        json["filled_pores_percent"] = chance(0.1) ? (chance(0.5) ? 0.0 : 100.0) : uniform(0.0, 100.0);
    }
    if (chance(0.3)) {
        json["collector"] = {{"material", pick(m_catalogue.materials, "collectors", coverage).id}};
        if (chance(0.5)) {
            json["collector"]["resistance_mohm"] = logUniform(0.1, 1e5);
        }
    }
    if (chance(0.2)) {
        json["additives"] = Json::array({{{"material", pick(m_catalogue.materials, "additives", coverage).id},
                                          {"mass_g", logUniform(0.01, 100.0)}}});
    }
    if (chance(0.05)) {
        json["measured_resistance_mohm"] = logUniform(0.1, 1e5);
    }
    return json;
}

Json RandomDesign::solute(Coverage& coverage, double waterGrams, double& percentsLeft) {
    const chemistry::Substance& substance = pick(m_catalogue.substances, "substances", coverage);
    const double saturation = substance.solubilityKgPerKg.value_or(1.0);
    const double grams = logUniform(1e-3, std::max(2.0 * saturation * waterGrams, 2e-3));
    const double moles = grams * 1e-3 / substance.molarMassKg;
    Json json = {{"substance", substance.id}};
    const double percent = 100.0 * grams / (grams + waterGrams);
    switch (index(6)) {
    case 0:
        json["mol"] = moles;
        break;
    case 1:
        json["mol_per_kg"] = moles / (waterGrams * 1e-3);
        break;
    case 2:
        if (percent < percentsLeft && percent > 1e-3) {
            json["mass_percent"] = percent;
            percentsLeft -= percent;
            break;
        }
        [[fallthrough]];
    case 3:
        json["volume_mL"] = grams * 1e-3 / substance.densityKgPerM3 * 1e6;
        break;
    default:
        json["mass_g"] = grams;
        break;
    }
    return json;
}

Json RandomDesign::liquid(Coverage& coverage) {
    const double millilitres = logUniform(0.5, 1e4);
    Json json;
    if (chance(0.25)) {
        json = {{"ready", pick(m_catalogue.liquids, "liquids", coverage).id}, {"volume_mL", millilitres}};
    } else {
        json = chance(0.5) ? Json{{"water_mL", millilitres}} : Json{{"water_g", millilitres}};
    }
    double percentsLeft = 90.0;
    const std::size_t count = index(5);
    for (std::size_t i = 0; i < count; ++i) {
        json["solutes"].push_back(solute(coverage, millilitres, percentsLeft));
    }
    if (chance(0.1)) {
        json["gel"] = true;
    }
    if (chance(0.05)) {
        json["measured_pH"] = uniform(0.0, 14.0);
    }
    if (chance(0.05)) {
        json["measured_conductivity_S_per_m"] = logUniform(1e-4, 100.0);
    }
    return json;
}

Json RandomDesign::separator(Coverage& coverage) {
    Json json = {{"material", pick(m_catalogue.separators, "separators", coverage).id}};
    if (chance(0.4)) {
        json["layers"] = static_cast<int>(1 + index(6));
    }
    if (chance(0.4)) {
        json["thickness_mm"] = logUniform(0.02, 20.0);
    }
    return json;
}

/// How it is charged, closed, placed and strung together.
void RandomDesign::use(Json& json) {
    if (chance(0.3)) {
        json["charge"] = chance(0.7) ? Json{{"current_A", logUniform(1e-6, 100.0)}}
                                     : Json{{"voltage_V", logUniform(0.01, 50.0)}};
    }
    if (json.contains("case") && chance(0.2)) {
        json["case"]["closed"] = true;
        json["case"]["head_space_mL"] = logUniform(0.1, 1e4);
    }
    if (chance(0.2)) {
        json["place"] = {
            {"outdoors", chance(0.3)}, {"flame", chance(0.3)}, {"room_m3", logUniform(0.1, 1e4)}};
    }
    if (chance(0.2)) {
        json["string"] = {{"series", static_cast<int>(1 + index(100))}, {"one_liquid", chance(0.3)}};
    }
}

Json RandomDesign::cell(Coverage& coverage) {
    Json json = {
        {"format", "anodex-cell/1"}, {"negative", electrode(coverage)}, {"positive", electrode(coverage)}};
    if (chance(0.9)) {
        json["temperature_C"] = uniform(0.0, 60.0);
    }
    if (chance(0.4)) {
        json["electrolyte"] = {{"negative", liquid(coverage)}, {"positive", liquid(coverage)}};
    } else {
        json["electrolyte"] = liquid(coverage);
    }
    if (chance(0.7)) {
        json["separator"] = separator(coverage);
    }
    if (chance(0.8)) {
        json["gap_mm"] = logUniform(0.05, 1000.0);
    }
    if (chance(0.5)) {
        json["contact_mohm"] = logUniform(0.1, 1e4);
    }
    if (chance(0.5)) {
        json["case"] = {{"material", pick(m_catalogue.cases, "cases", coverage).id}};
    }
    if (chance(0.2)) {
        json["stirred"] = chance(0.5);
    }
    use(json);
    if (chance(0.03)) {
        json["measured_resistance_mohm"] = logUniform(1.0, 1e6);
    }
    if (chance(0.03)) {
        json["measured_open_circuit_V"] = uniform(-3.0, 3.0);
    }
    return json;
}

namespace {

struct Place {
    Json::json_pointer pointer;
    std::string key;
};

bool mayBeZeroOrLess(const std::string& key) {
    return key == "temperature_C" || key == "contact_mohm" || key == "resistance_mohm" ||
           key == "measured_pH" || key == "filled_pores_percent" || key == "measured_open_circuit_V";
}

void collect(const Json& json, const Json::json_pointer& at, std::vector<Place>& numbers,
             std::vector<Place>& names, std::vector<Place>& objects) {
    if (json.is_object()) {
        objects.push_back({at, ""});
        for (const auto& item : json.items()) {
            const auto here = at / item.key();
            if (item.value().is_number()) {
                numbers.push_back({here, item.key()});
            } else if (item.value().is_string()) {
                names.push_back({here, item.key()});
            } else {
                collect(item.value(), here, numbers, names, objects);
            }
        }
    } else if (json.is_array()) {
        for (std::size_t i = 0; i < json.size(); ++i) {
            collect(json[i], at / i, numbers, names, objects);
        }
    }
}

} // namespace

RandomDesign::Mutation RandomDesign::mutated(Json cell) {
    std::vector<Place> numbers;
    std::vector<Place> names;
    std::vector<Place> objects;
    collect(cell, Json::json_pointer(), numbers, names, objects);
    const Place number = numbers[index(numbers.size())];
    switch (index(8)) {
    case 0:
        cell[number.pointer] = "a word";
        return {cell, number.key};
    case 1:
        cell[number.pointer] = nullptr;
        return {cell, number.key};
    case 2:
        cell[number.pointer] = Json::array({1.0});
        return {cell, number.key};
    case 3: {
        if (mayBeZeroOrLess(number.key)) {
            cell[number.pointer] = true;
        } else {
            cell[number.pointer] = chance(0.5) ? 0.0 : -1.0;
        }
        return {cell, number.key};
    }
    case 4: {
        const Place name = names[index(names.size())];
        cell[name.pointer] = "unobtainium";
        return {cell, name.key};
    }
    case 5: {
        const Place object = objects[index(objects.size())];
        cell[object.pointer]["wobble_mm"] = 1.0;
        return {cell, "wobble_mm"};
    }
    case 6:
        cell["temperature_C"] = chance(0.5) ? 60.5 : -25.5;
        return {cell, "temperature_C"};
    default: {
        const std::string side = chance(0.5) ? "negative" : "positive";
        const std::string key = chance(0.5) ? "material" : "wetted_area_cm2";
        cell[side].erase(key);
        return {cell, key};
    }
    }
}

} // namespace anodex::fuzz
