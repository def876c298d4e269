// src/formats/JsonObject.h - reads a JSON object key by key, remembering where it is and which keys were
// used.
//
// Errors     the first problem stands; later reads return defaults, so callers check once at the end.
#pragma once
#include "formats/FileError.h"
#include <functional>
#include <nlohmann/json.hpp>
#include <optional>
#include <set>
#include <string>
#include <vector>

namespace anodex::formats {

using Json = nlohmann::ordered_json;

/// Parses text into a JSON value; duplicate keys and trailing text are errors.
[[nodiscard]] std::optional<FileError> parseJson(std::string_view text, Json& json);

struct NumberRange {
    double low;
    double high;
    bool lowIncluded = true;
    const char* text; ///< Said to the user, e.g. "a number above 0".

    [[nodiscard]] bool holds(double number) const {
        return (lowIncluded ? number >= low : number > low) && number <= high;
    }
};
extern const NumberRange kPositive;
extern const NumberRange kNotNegative;
extern const NumberRange kAnyNumber;

class JsonObject {
public:
    JsonObject(const Json& json, std::string path, std::optional<FileError>& problem);

    [[nodiscard]] bool has(const char* key) const;
    [[nodiscard]] std::string text(const char* key);
    [[nodiscard]] std::string textOr(const char* key, const std::string& fallback);
    [[nodiscard]] double number(const char* key, const NumberRange& range = kAnyNumber);
    [[nodiscard]] double numberOr(const char* key, double fallback, const NumberRange& range = kAnyNumber);
    [[nodiscard]] std::optional<double> maybeNumber(const char* key, const NumberRange& range = kAnyNumber);
    [[nodiscard]] std::optional<int> maybeWhole(const char* key, const NumberRange& range);
    [[nodiscard]] bool flagOr(const char* key, bool fallback);
    [[nodiscard]] std::vector<std::string> texts(const char* key);
    [[nodiscard]] std::vector<double> numbers(const char* key, const NumberRange& range = kAnyNumber);
    /// The value itself, or null when absent; marks the key as known.
    [[nodiscard]] const Json* raw(const char* key);
    void eachObject(const char* key, const std::function<void(JsonObject&)>& read);
    void object(const char* key, const std::function<void(JsonObject&)>& read);
    /// Every entry of an object whose keys are names: name and number.
    void eachNumber(const char* key, const std::function<void(const std::string&, double)>& read);
    void eachText(const char* key, const std::function<void(const std::string&, const std::string&)>& read);
    /// Reports a key nobody asked for, with the nearest known one; "x-…" keys are ignored.
    void finish();

    void fail(FileError::Code code, const std::string& key, base::Said found, base::Said expected);
    [[nodiscard]] bool failed() const { return m_problem.has_value(); }
    [[nodiscard]] const std::string& path() const { return m_path; }
    [[nodiscard]] std::string pathTo(const std::string& key) const;

private:
    [[nodiscard]] std::string misspellingOf(const std::string& key) const;
    [[nodiscard]] const Json* find(const char* key, bool required, const char* type);

    const Json& m_json;
    std::string m_path;
    std::optional<FileError>& m_problem;
    std::set<std::string> m_known;
};

/// "a number", "text", "a list" …
[[nodiscard]] base::Said describeJson(const Json& json);

} // namespace anodex::formats
