#include "cli/EvaluateText.h"

#include "wording/Quantities.h"
#include "wording/Texts.h"

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

std::string line(const char* name, const std::string& value, const std::string& range = {}) {
    std::string text = fmt::format("{:<24} {}", wording::text(name), value);
    return range.empty() ? text + "\n" : fmt::format("{:<44} {}\n", text, range);
}

std::string figure(const Json& answer, const char* key, const char* name, Unit unit) {
    const auto range = rangeOf(answer, key);
    return line(name, wording::quantityText(answer[key].get<double>(), unit, range),
                range ? wording::rangeText(*range, unit) : std::string());
}

std::string side(const Json& answer, const char* key, const char* name) {
    return line(name, fmt::format("{:.3f} V  {}", answer[key]["potential_V"].get<double>(),
                                  answer[key]["reaction"].get<std::string>())
                          .substr(0, kWide - 26));
}

std::string capacity(const Json& answer) {
    const Json& capacity = answer["capacity_Ah"];
    const auto range = rangeOf(answer, "capacity_Ah");
    const auto coulombs =
        range ? std::optional(base::Interval{3600.0 * range->low, 3600.0 * range->high}) : std::nullopt;
    std::string text = line("cli.figure.capacity",
                            wording::chargeText(3600.0 * capacity["expected"].get<double>(), coulombs),
                            coulombs ? wording::chargeRangeText(*coulombs) : std::string());
    if (capacity.contains("limited_by") && capacity["expected"].get<double>() > 0.0) {
        text += line("cli.figure.runs-out", capacity["limited_by"].get<std::string>());
    }
    return text;
}

std::string settled(const Json& answer) {
    return wording::text(
        {"cli.settled",
         {{"current", wording::quantityText(answer["short_circuit_current_A"].get<double>(), Unit::Ampere)},
          {"power", wording::quantityText(answer["maximum_power_W"].get<double>(), Unit::Watt)}}});
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
    std::string text = figure(answer, "open_circuit_voltage_V", "cli.figure.open-circuit", Unit::Volt) +
                       figure(answer, "short_circuit_current_A", "cli.figure.short-circuit", Unit::Ampere) +
                       figure(answer, "maximum_power_W", "cli.figure.power", Unit::Watt) +
                       line("cli.figure.settled", settled(answer["settled"])) +
                       figure(answer, "resistance_ohm", "cli.figure.resistance", Unit::Ohm) +
                       capacity(answer);
    if (answer.contains("life_at_rest_h")) {
        text +=
            line("cli.figure.life", wording::durationText(3600.0 * answer["life_at_rest_h"].get<double>()));
    }
    text +=
        line("cli.figure.hydrogen", fmt::format("{:.3g} mL/h", answer["hydrogen_mL_per_h"].get<double>()));
    text += side(answer, "negative", "cli.figure.negative") + side(answer, "positive", "cli.figure.positive");
    std::size_t shown = 0;
    for (const Json& finding : answer["findings"]) {
        if (++shown > kFindings) {
            text += wording::text(
                        {"cli.more-findings",
                         {{"count", static_cast<std::int64_t>(answer["findings"].size() - kFindings)}}}) +
                    "\n";
            break;
        }
        text += shortened(wording::text({"cli.finding",
                                         {{"severity", finding["severity"].get<std::string>()},
                                          {"text", finding["text"].get<std::string>()}}})) +
                "\n";
    }
    return text + wording::text("cli.more") + "\n";
}

} // namespace anodex::cli
