#include "cli/EvaluateText.h"

#include "wording/Quantities.h"

#include <fmt/format.h>
#include <optional>

namespace anodex::cli {
namespace {

using explain::Unit;
using formats::Json;

constexpr std::size_t kWide = 98;
constexpr std::size_t kFindings = 6;

std::optional<base::Interval> rangeOf(const Json& answer, const char* key) {
    if (!answer.contains("interval") || !answer["interval"].contains(key)) {
        return std::nullopt;
    }
    const Json& range = answer["interval"][key];
    return base::Interval{range[0].get<double>(), range[1].get<double>()};
}

std::string line(const std::string& name, const std::string& value, const std::string& range = {}) {
    std::string text = fmt::format("{:<24} {}", name, value);
    return range.empty() ? text + "\n" : fmt::format("{:<44} {}\n", text, range);
}

std::string figure(const Json& answer, const char* key, const char* name, Unit unit) {
    const auto range = rangeOf(answer, key);
    return line(name, wording::quantityText(answer[key].get<double>(), unit, range),
                range ? wording::rangeText(*range, unit) : std::string());
}

std::string side(const Json& answer, const char* key) {
    return line(key, fmt::format("{:.3f} V  {}", answer[key]["potential_V"].get<double>(),
                                 answer[key]["reaction"].get<std::string>())
                         .substr(0, kWide - 26));
}

std::string capacity(const Json& answer) {
    const Json& capacity = answer["capacity_Ah"];
    const auto range = rangeOf(answer, "capacity_Ah");
    const auto coulombs =
        range ? std::optional(base::Interval{3600.0 * range->low, 3600.0 * range->high}) : std::nullopt;
    std::string text =
        line("capacity", wording::chargeText(3600.0 * capacity["expected"].get<double>(), coulombs),
             coulombs ? wording::chargeRangeText(*coulombs) : std::string());
    if (capacity.contains("limited_by")) {
        text += line("runs out first", capacity["limited_by"].get<std::string>());
    }
    return text;
}

/// Cut at a blank, whole characters kept.
std::string shortened(const std::string& text) {
    if (text.size() <= kWide) {
        return text;
    }
    const std::size_t blank = text.rfind(' ', kWide - 2);
    return text.substr(0, blank) + " …";
}

} // namespace

std::string evaluateText(const Json& answer) {
    std::string text =
        figure(answer, "open_circuit_voltage_V", "open circuit", Unit::Volt) +
        figure(answer, "short_circuit_current_A", "short circuit", Unit::Ampere) +
        figure(answer, "maximum_power_W", "best power", Unit::Watt) +
        line("settled",
             wording::quantityText(answer["settled"]["short_circuit_current_A"].get<double>(), Unit::Ampere) +
                 " shorted, " +
                 wording::quantityText(answer["settled"]["maximum_power_W"].get<double>(), Unit::Watt)) +
        figure(answer, "resistance_ohm", "resistance", Unit::Ohm) + capacity(answer);
    if (answer.contains("life_at_rest_h")) {
        text += line("life at rest", wording::durationText(3600.0 * answer["life_at_rest_h"].get<double>()));
    }
    text += line("hydrogen", fmt::format("{:.3g} mL/h", answer["hydrogen_mL_per_h"].get<double>()));
    text += side(answer, "negative") + side(answer, "positive");
    std::size_t shown = 0;
    for (const Json& finding : answer["findings"]) {
        if (++shown > kFindings) {
            text += fmt::format("and {} more findings\n", answer["findings"].size() - kFindings);
            break;
        }
        text +=
            shortened(finding["severity"].get<std::string>() + ": " + finding["text"].get<std::string>()) +
            "\n";
    }
    return text + "All of it: --json; the curve: --curve 20\n";
}

} // namespace anodex::cli
