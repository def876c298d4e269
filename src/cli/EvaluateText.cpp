#include "cli/EvaluateText.h"

#include "wording/Quantities.h"
#include "wording/Texts.h"

#include <algorithm>
#include <fmt/format.h>
#include <optional>

namespace anodex::cli {
namespace {

using explain::Unit;
using formats::Json;

constexpr std::size_t kMostFindingLines = 24; // of the forty that a screen has

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

std::string side(const Json& answer, const char* key, const char* name, const Screen& screen) {
    const std::string text =
        fmt::format("{:<24} {:.3f} V  {}", wording::text(name), answer[key]["potential_V"].get<double>(),
                    answer[key]["reaction"].get<std::string>());
    return cut(text, screen) + "\n";
}

/// "most of it in  positive electrode", where one part stands out.
std::string largestPart(const Json& answer) {
    const Json& parts = answer["resistance_budget"];
    const auto largest = std::max_element(parts.begin(), parts.end(), [](const Json& a, const Json& b) {
        return a["ohm"].get<double>() < b["ohm"].get<double>();
    });
    const bool standsOut = largest != parts.end() &&
                           (*largest)["ohm"].get<double>() > 0.5 * answer["resistance_ohm"].get<double>();
    return standsOut ? line("cli.figure.largest-part", (*largest)["part"].get<std::string>()) : std::string();
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

Colour colourOf(const std::string& severity) {
    return severity == "danger" ? Colour::Danger : severity == "warning" ? Colour::Warning : Colour::Plain;
}

/// The worst first, as they are listed; dangers and warnings always whole, notes while there is room.
std::string findings(const Json& answer, const Screen& screen) {
    std::string text;
    std::size_t lines = 0;
    std::int64_t left = 0;
    for (const Json& finding : answer["findings"]) {
        const std::string severity = finding["severity"].get<std::string>();
        const std::string name = wording::text({"cli.severity", {{"severity", severity}}});
        const std::string entry =
            wrapped(fmt::format("{:<9}", name), finding["text"].get<std::string>(), screen);
        const auto more = static_cast<std::size_t>(std::count(entry.begin(), entry.end(), '\n'));
        const bool fits = lines + more < kMostFindingLines;
        if (left > 0 || (!fits && colourOf(severity) == Colour::Plain)) {
            ++left;
            continue;
        }
        lines += more;
        text += coloured(name, colourOf(severity), screen) + entry.substr(name.size());
    }
    if (left > 0) {
        text += wording::text({"cli.more-findings", {{"count", left}}}) + "\n";
    }
    return text.empty() ? text : text + "\n";
}

} // namespace

std::string evaluateText(const Json& answer, const Screen& screen) {
    std::string text = findings(answer, screen) +
                       figure(answer, "open_circuit_voltage_V", "cli.figure.open-circuit", Unit::Volt) +
                       figure(answer, "short_circuit_current_A", "cli.figure.short-circuit", Unit::Ampere) +
                       figure(answer, "maximum_power_W", "cli.figure.power", Unit::Watt) +
                       line("cli.figure.settled", settled(answer["settled"])) +
                       figure(answer, "resistance_ohm", "cli.figure.resistance", Unit::Ohm) +
                       largestPart(answer) + capacity(answer);
    if (answer.contains("life_at_rest_h")) {
        text +=
            line("cli.figure.life", wording::durationText(3600.0 * answer["life_at_rest_h"].get<double>()));
    }
    text +=
        line("cli.figure.hydrogen", fmt::format("{:.3g} mL/h", answer["hydrogen_mL_per_h"].get<double>()));
    return text + side(answer, "negative", "cli.figure.negative", screen) +
           side(answer, "positive", "cli.figure.positive", screen) + wording::text("cli.more") + "\n";
}

std::string curveText(const Json& answer) {
    std::string text = fmt::format("\n{:>12} {:>12} {:>12}\n", wording::text("cli.curve.current"),
                                   wording::text("cli.curve.voltage"), wording::text("cli.curve.power"));
    for (const Json& point : answer["curve"]) {
        text += fmt::format("{:>12} {:>12} {:>12}\n",
                            wording::quantityText(point["current_A"].get<double>(), Unit::Ampere),
                            wording::quantityText(point["voltage_V"].get<double>(), Unit::Volt),
                            wording::quantityText(point["power_W"].get<double>(), Unit::Watt));
    }
    return text;
}

} // namespace anodex::cli
