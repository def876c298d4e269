#include "formats/JsonObject.h"

#include "core/chemistry/NameLookup.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <limits>

namespace anodex::formats {

using Code = FileError::Code;

const NumberRange kPositive{0.0, std::numeric_limits<double>::max(), false, "a number above 0"};
const NumberRange kNotNegative{0.0, std::numeric_limits<double>::max(), true, "a number, 0 or more"};
const NumberRange kAnyNumber{std::numeric_limits<double>::lowest(), std::numeric_limits<double>::max(), true,
                             "a number"};

namespace {

bool repeatsKey(std::string_view text, std::string& repeated) {
    std::vector<std::set<std::string>> open;
    bool again = false;
    const Json::parser_callback_t watch = [&](int, Json::parse_event_t event, Json& value) {
        if (event == Json::parse_event_t::object_start) {
            open.emplace_back();
        } else if (event == Json::parse_event_t::object_end) {
            open.pop_back();
        } else if (event == Json::parse_event_t::key &&
                   !open.back().insert(value.get<std::string>()).second) {
            repeated = value.get<std::string>();
            again = true;
        }
        return true;
    };
    const Json ignored = Json::parse(text, watch, false);
    return again;
}

} // namespace

namespace {

constexpr int kDeepest = 64;

/// Brackets outside texts; nothing of ours goes deeper than a few.
bool isTooDeep(std::string_view text) {
    int depth = 0;
    bool quoted = false;
    for (std::size_t i = 0; i < text.size(); ++i) {
        const char c = text[i];
        if (quoted) {
            i += c == '\\' ? 1 : 0;
            quoted = c != '"';
        } else if (c == '"') {
            quoted = true;
        } else if (c == '[' || c == '{') {
            if (++depth > kDeepest) {
                return true;
            }
        } else if (c == ']' || c == '}') {
            --depth;
        }
    }
    return false;
}

} // namespace

std::optional<FileError> parseJson(std::string_view text, Json& json) {
    if (text.starts_with("\xEF\xBB\xBF")) {
        text.remove_prefix(3);
    }
    if (isTooDeep(text)) {
        return FileError{Code::NotJson, "the file", "brackets in brackets without end",
                         base::Said("at most {levels} levels", {{"levels", std::to_string(kDeepest)}})};
    }
    try {
        json = Json::parse(text);
    } catch (const nlohmann::json::parse_error& error) {
        const std::size_t offset = std::min<std::size_t>(error.byte, text.size());
        const auto line =
            1 + std::count(text.begin(), text.begin() + static_cast<std::ptrdiff_t>(offset), '\n');
        const bool early = error.byte > text.size();
        return FileError{Code::NotJson, "",
                         early ? "the file ends too early" : "a character that does not fit",
                         "JSON text: keys in quotes, commas between, brackets closed", line};
    } catch (const nlohmann::json::exception&) {
        return FileError{Code::NotFinite, "the file", "a number too large to hold", "numbers below 1e308"};
    }
    std::string repeated;
    if (repeatsKey(text, repeated)) {
        return FileError{Code::Conflict, repeated, "the key stands twice", "each key once"};
    }
    return std::nullopt;
}

base::Said describeJson(const Json& json) {
    if (json.is_string()) {
        return {"the text \"{text}\"", {{"text", json.get<std::string>()}}};
    }
    if (json.is_number()) {
        return {"the number {number}", {{"number", json.dump()}}};
    }
    if (json.is_boolean()) {
        return json.get<bool>() ? "true" : "false";
    }
    if (json.is_array()) {
        return "a list";
    }
    return json.is_object() ? "an object" : "null";
}

JsonObject::JsonObject(const Json& json, std::string path, std::optional<FileError>& problem)
    : m_json(json), m_path(std::move(path)), m_problem(problem) {
    if (!json.is_object()) {
        fail(Code::WrongType, "", describeJson(json), "an object in braces");
    }
}

std::string JsonObject::pathTo(const std::string& key) const {
    if (key.empty()) {
        return m_path.empty() ? "the file" : m_path;
    }
    return m_path.empty() ? key : m_path + "." + key;
}

void JsonObject::fail(Code code, const std::string& key, base::Said found, base::Said expected) {
    if (m_problem) {
        return;
    }
    if (code == Code::MissingKey) {
        // A key that is missing is most often there, misspelt.
        const std::string misspelt = misspellingOf(key);
        if (!misspelt.empty()) {
            m_problem = FileError{Code::UnknownKey, pathTo(misspelt), "a key that is not known here",
                                  base::Said("the key \"{key}\"", {{"key", key}})};
            return;
        }
    }
    m_problem = FileError{code, pathTo(key), std::move(found), std::move(expected)};
}

std::string JsonObject::misspellingOf(const std::string& key) const {
    constexpr std::size_t kShortest = 4; // of shorter keys every other is a neighbour
    std::vector<std::string> strangers;
    if (m_json.is_object() && key.size() >= kShortest) {
        for (const auto& [name, value] : m_json.items()) {
            if (!m_known.contains(name) && !name.starts_with("x-") && name.size() + 2 >= key.size() &&
                name.size() <= key.size() + 2) {
                strangers.push_back(name);
            }
        }
    }
    return chemistry::nearestName(key, strangers);
}

bool JsonObject::has(const char* key) const {
    return m_json.is_object() && m_json.contains(key);
}

const Json* JsonObject::find(const char* key, bool required, const char* type) {
    m_known.insert(key);
    if (has(key)) {
        return &m_json.at(key);
    }
    if (required) {
        fail(Code::MissingKey, key, "nothing", type);
    }
    return nullptr;
}

const Json* JsonObject::raw(const char* key) {
    return find(key, false, "");
}

std::string JsonObject::text(const char* key) {
    const Json* value = find(key, true, "text");
    if (value == nullptr) {
        return {};
    }
    if (!value->is_string()) {
        fail(Code::WrongType, key, describeJson(*value), "text in quotes");
        return {};
    }
    return value->get<std::string>();
}

std::string JsonObject::textOr(const char* key, const std::string& fallback) {
    m_known.insert(key);
    return has(key) ? text(key) : fallback;
}

double JsonObject::number(const char* key, const NumberRange& range) {
    const Json* value = find(key, true, range.text);
    if (value == nullptr) {
        return 0.0;
    }
    if (!value->is_number()) {
        fail(Code::WrongType, key, describeJson(*value), range.text);
        return 0.0;
    }
    const double number = value->get<double>();
    if (!std::isfinite(number)) {
        fail(Code::NotFinite, key, describeJson(*value), range.text);
        return 0.0;
    }
    if (!range.holds(number)) {
        fail(Code::OutOfRange, key, describeJson(*value), range.text);
    }
    return number;
}

double JsonObject::numberOr(const char* key, double fallback, const NumberRange& range) {
    return maybeNumber(key, range).value_or(fallback);
}

std::optional<double> JsonObject::maybeNumber(const char* key, const NumberRange& range) {
    m_known.insert(key);
    if (!has(key)) {
        return std::nullopt;
    }
    return number(key, range);
}

std::optional<int> JsonObject::maybeWhole(const char* key, const NumberRange& range) {
    const auto value = maybeNumber(key, range);
    if (!value) {
        return std::nullopt;
    }
    if (*value != std::floor(*value) || std::abs(*value) > 1e6) {
        fail(Code::WrongType, key, describeJson(m_json.at(key)), "a whole number");
        return std::nullopt;
    }
    return static_cast<int>(*value);
}

bool JsonObject::flagOr(const char* key, bool fallback) {
    const Json* value = find(key, false, "");
    if (value == nullptr) {
        return fallback;
    }
    if (!value->is_boolean()) {
        fail(Code::WrongType, key, describeJson(*value), "true or false");
        return fallback;
    }
    return value->get<bool>();
}

std::vector<std::string> JsonObject::texts(const char* key) {
    std::vector<std::string> result;
    const Json* value = find(key, false, "");
    if (value == nullptr) {
        return result;
    }
    if (!value->is_array()) {
        fail(Code::WrongType, key, describeJson(*value), "a list of texts");
        return result;
    }
    for (const Json& entry : *value) {
        if (!entry.is_string()) {
            fail(Code::WrongType, key, describeJson(entry), "text in quotes");
            return result;
        }
        result.push_back(entry.get<std::string>());
    }
    return result;
}

std::vector<double> JsonObject::numbers(const char* key, const NumberRange& range) {
    std::vector<double> result;
    const Json* value = find(key, false, "");
    if (value == nullptr) {
        return result;
    }
    const bool isList = value->is_array() && std::all_of(value->begin(), value->end(),
                                                         [](const Json& one) { return one.is_number(); });
    if (!isList) {
        fail(Code::WrongType, key, describeJson(*value), "a list of numbers");
        return result;
    }
    for (const Json& entry : *value) {
        const double number = entry.get<double>();
        if (!range.holds(number)) {
            fail(Code::OutOfRange, key, describeJson(entry), range.text);
        }
        result.push_back(number);
    }
    return result;
}

void JsonObject::eachObject(const char* key, const std::function<void(JsonObject&)>& read) {
    const Json* value = find(key, false, "");
    if (value == nullptr) {
        return;
    }
    if (!value->is_array()) {
        fail(Code::WrongType, key, describeJson(*value), "a list in square brackets");
        return;
    }
    for (std::size_t i = 0; i < value->size() && !failed(); ++i) {
        JsonObject entry((*value)[i], fmt::format("{}[{}]", pathTo(key), i), m_problem);
        if (!failed()) {
            read(entry);
            entry.finish();
        }
    }
}

void JsonObject::object(const char* key, const std::function<void(JsonObject&)>& read) {
    const Json* value = find(key, false, "");
    if (value == nullptr) {
        return;
    }
    JsonObject inner(*value, pathTo(key), m_problem);
    if (!failed()) {
        read(inner);
        inner.finish();
    }
}

void JsonObject::eachNumber(const char* key, const std::function<void(const std::string&, double)>& read) {
    object(key, [&](JsonObject& inner) {
        for (const auto& [name, value] : inner.m_json.items()) {
            read(name, inner.number(name.c_str()));
        }
    });
}

void JsonObject::eachText(const char* key,
                          const std::function<void(const std::string&, const std::string&)>& read) {
    object(key, [&](JsonObject& inner) {
        for (const auto& [name, value] : inner.m_json.items()) {
            read(name, inner.text(name.c_str()));
        }
    });
}

void JsonObject::finish() {
    if (failed()) {
        return;
    }
    for (const auto& [key, value] : m_json.items()) {
        if (m_known.contains(key) || key.starts_with("x-")) {
            continue;
        }
        const std::vector<std::string> known(m_known.begin(), m_known.end());
        const std::string near = chemistry::nearestName(key, known);
        fail(Code::UnknownKey, key, "a key that is not known here",
             near.empty() ? base::Said("to leave it out, or to begin it with x-")
                          : base::Said("the key \"{key}\"", {{"key", near}}));
        return;
    }
}

} // namespace anodex::formats
