#include "formats/SaidJson.h"

#include <nlohmann/json.hpp>

namespace anodex::formats {
namespace {

using base::Said;
using nlohmann::json;

json toJson(const Said& said) {
    json values = json::object();
    for (const auto& [name, value] : said.values) {
        if (const auto* text = std::get_if<std::string>(&value)) {
            values[name] = *text;
        } else if (const auto* count = std::get_if<std::int64_t>(&value)) {
            values[name] = *count;
        } else {
            json list = json::array();
            for (const Said& one : std::get<std::vector<Said>>(value)) {
                list.push_back(toJson(one));
            }
            values[name] = std::move(list);
        }
    }
    json object = {{"id", said.id}};
    if (!values.empty()) {
        object["values"] = std::move(values);
    }
    return object;
}

Said fromJson(const json& object) {
    Said said(object.at("id").get<std::string>());
    if (!object.contains("values")) {
        return said;
    }
    for (const auto& [name, value] : object.at("values").items()) {
        if (value.is_string()) {
            said.values[name] = value.get<std::string>();
        } else if (value.is_array()) {
            std::vector<Said> list;
            for (const json& one : value) {
                list.push_back(fromJson(one));
            }
            said.values[name] = std::move(list);
        } else {
            said.values[name] = value.get<std::int64_t>();
        }
    }
    return said;
}

} // namespace

std::string writeSaid(const Said& said) {
    return toJson(said).dump(-1, ' ', false, json::error_handler_t::replace);
}

Said readSaid(const std::string& text) {
    const json object = json::parse(text, nullptr, false);
    if (!object.is_object()) {
        return {text};
    }
    try {
        return fromJson(object);
    } catch (const json::exception&) {
        return {text};
    }
}

} // namespace anodex::formats
