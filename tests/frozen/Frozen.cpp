#include "tests/frozen/Frozen.h"

#include "cli/EvaluateCommand.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <fmt/format.h>

namespace anodex::frozen {
namespace {

constexpr std::size_t kCurveStride = 20;
constexpr double kRelative = 1e-6;
constexpr double kNothing = 1e-12; // below this two numbers are both nothing

Json rounded(const Json& value) {
    if (value.is_number_float()) {
        return Json::parse(fmt::format("{:.9e}", value.get<double>()));
    }
    if (!value.is_structured()) {
        return value;
    }
    Json result = value.is_array() ? Json::array() : Json::object();
    for (const auto& [key, item] : value.items()) {
        if (value.is_array()) {
            result.push_back(rounded(item));
        } else {
            result[key] = rounded(item);
        }
    }
    return result;
}

Json thinned(const Json& curve) {
    Json result = Json::array();
    for (std::size_t i = 0; i < curve.size(); i += kCurveStride) {
        result.push_back(curve[i]);
    }
    return result;
}

std::string differenceOfNumbers(double before, double now, const std::string& where) {
    const double size = std::max(std::abs(before), std::abs(now));
    const bool same = std::abs(before - now) <= std::max(kRelative * size, kNothing);
    return same ? std::string() : fmt::format("{}: {} is {}", where, before, now);
}

void addNumbers(const Json& value, std::string& text) {
    if (value.is_number()) {
        text += fmt::format("{:.5e} ", value.get<double>());
    }
    if (value.is_structured()) {
        for (const Json& item : value) {
            addNumbers(item, text);
        }
    }
}

} // namespace

std::filesystem::path folder() {
    return test::sourceDir() / "tests/data/frozen";
}

std::vector<Case> readGroup(const std::string& group) {
    std::vector<Case> cases;
    std::string text = test::readText(folder() / (group + ".jsonl"));
    for (std::size_t at = 0; at < text.size();) {
        const std::size_t end = text.find('\n', at);
        const Json line = Json::parse(text.substr(at, end - at));
        cases.push_back({line["name"].get<std::string>(), line["cell"], line["answer"]});
        at = end == std::string::npos ? text.size() : end + 1;
    }
    return cases;
}

void writeGroup(const std::string& group, const std::vector<Case>& cases) {
    std::string text;
    for (const Case& one : cases) {
        text += Json{{"name", one.name}, {"cell", one.cell}, {"answer", one.answer}}.dump() + "\n";
    }
    test::writeText(folder() / (group + ".jsonl"), text);
}

Json answerOf(const Json& cell) {
    const test::TemporaryFolder scratch;
    const auto path = scratch.path("frozen.cell.json");
    test::writeText(path, cell.dump());
    cli::EvaluateRequest request;
    request.cellPath = path.string();
    request.samples = 0;
    Json answer = cli::evaluateCell(test::catalogue(), request);
    answer["curve"] = thinned(answer["curve"]);
    return rounded(answer);
}

std::string differenceOf(const Json& before, const Json& now, const std::string& where) {
    if (before.is_number() && now.is_number()) {
        return differenceOfNumbers(before.get<double>(), now.get<double>(), where);
    }
    if (before.type() != now.type() || (before.is_structured() && before.size() != now.size())) {
        return where + ": another shape";
    }
    if (before.is_array()) {
        for (std::size_t i = 0; i < before.size(); ++i) {
            if (const auto found = differenceOf(before[i], now[i], fmt::format("{}[{}]", where, i));
                !found.empty()) {
                return found;
            }
        }
        return {};
    }
    if (before.is_object()) {
        for (const auto& [key, value] : before.items()) {
            if (!now.contains(key)) {
                return where + "." + key + " is gone";
            }
            if (const auto found = differenceOf(value, now[key], where + "." + key); !found.empty()) {
                return found;
            }
        }
        return {};
    }
    return before == now ? std::string() : where + ": " + before.dump() + " is " + now.dump();
}

std::string fingerprintOf(const std::vector<Case>& starters) {
    std::string text;
    for (const Case& one : starters) {
        addNumbers(one.answer, text);
    }
    // FNV-1a: the same on every machine and in every build.
    std::uint64_t hash = 14695981039346656037ULL;
    for (const char c : text) {
        hash = (hash ^ static_cast<unsigned char>(c)) * 1099511628211ULL;
    }
    return fmt::format("{:016x}", hash);
}

Json readVersions() {
    const auto path = folder() / "versions.json";
    return std::filesystem::exists(path) ? Json::parse(test::readText(path)) : Json::object();
}

void writeVersions(const Json& versions) {
    test::writeText(folder() / "versions.json", versions.dump(2) + "\n");
}

} // namespace anodex::frozen
