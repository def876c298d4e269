#include "cli/PlainText.h"

#include "wording/Quantities.h"
#include "wording/Texts.h"

#include <algorithm>
#include <fmt/format.h>

namespace anodex::cli {
namespace {

using explain::Unit;
using formats::Json;

std::string line(const char* name, const std::string& value, const Screen& screen) {
    return wrapped(fmt::format("{:<18} ", wording::text(name)), value, screen);
}

/// "Na+ 0.51, Cl- 0.51", the strongest first.
std::string strongest(const Json& species) {
    constexpr std::size_t kMost = 6;
    std::vector<std::pair<double, std::string>> all;
    for (const auto& [name, one] : species.items()) {
        all.emplace_back(one["molality"].get<double>(), name);
    }
    std::sort(all.rbegin(), all.rend());
    std::string text;
    for (std::size_t i = 0; i < std::min(kMost, all.size()); ++i) {
        text += (i == 0 ? "" : ", ") + all[i].second + " " + wording::numberText(all[i].first, 2);
    }
    return text;
}

/// Both materials, and what they stand in.
std::string cellName(const Json& cell) {
    const auto liquidName = [](const Json& liquid) {
        if (liquid.contains("ready")) {
            return liquid["ready"].get<std::string>();
        }
        std::string names;
        for (const Json& solute : liquid.value("solutes", Json::array())) {
            names += (names.empty() ? "" : " + ") + solute["substance"].get<std::string>();
        }
        return names.empty() ? wording::text("cli.plain-water") : names;
    };
    const Json& liquid = cell["electrolyte"];
    const std::string poured = liquid.contains("negative")
                                   ? liquidName(liquid["negative"]) + " | " + liquidName(liquid["positive"])
                                   : liquidName(liquid);
    return wording::text({"cli.cell-of",
                          {{"negative", cell["negative"]["material"].get<std::string>()},
                           {"positive", cell["positive"]["material"].get<std::string>()},
                           {"liquid", poured}}});
}

std::string candidateLine(std::size_t rank, const Json& candidate, const Screen& screen) {
    const Json& figure = candidate["figure"];
    const std::string value =
        figure.contains("value")
            ? wording::numberText(figure["value"].get<double>(), 3) + " " + figure["unit"].get<std::string>()
            : "-";
    std::string row =
        cut(fmt::format("{:>3}  {:<12} {}", rank, value, cellName(candidate["cell"])), screen) + "\n";
    if (candidate.contains("worst_finding") && candidate["worst_finding"]["severity"] != "note") {
        const Json& worst = candidate["worst_finding"];
        const std::string severity = worst["severity"].get<std::string>();
        row +=
            coloured(cut(std::string(18, ' ') + severity + ": " + worst["text"].get<std::string>(), screen),
                     severity == "danger" ? Colour::Danger : Colour::Warning, screen) +
            "\n";
    }
    return row;
}

} // namespace

std::string solutionText(const Json& answer, const Screen& screen) {
    const auto number = [&](const char* key) { return answer[key].get<double>(); };
    std::string text =
        line("cli.acidity", fmt::format("{:.2f}", number("pH")), screen) +
        line("cli.density", fmt::format("{:.3f} g/mL", number("density_g_per_mL")), screen) +
        line("cli.conductivity", wording::quantityText(number("conductivity_S_per_m"), Unit::SiemensPerMetre),
             screen) +
        line("cli.ionic-strength", wording::numberText(number("ionic_strength_mol_per_kg"), 3) + " mol/kg",
             screen) +
        line("cli.volume", wording::numberText(number("volume_mL"), 3) + " mL", screen) +
        line("cli.made-of", strongest(answer["species"]) + " mol/kg", screen);
    for (const Json& rest : answer["undissolved"]) {
        text += line("cli.undissolved",
                     wording::numberText(rest["mass_g"].get<double>(), 2) + " g " +
                         rest["substance"].get<std::string>(),
                     screen);
    }
    return text + line("cli.worked-out", answer["method"].get<std::string>(), screen);
}

std::string catalogueText(const Json& answer, const Screen& screen) {
    std::string text;
    for (const Json& entry : answer["entries"]) {
        std::string others;
        for (const std::string alias : entry["aliases"]) {
            others += (others.empty() ? "" : ", ") + alias;
        }
        const std::string name = entry["name"].get<std::string>();
        text += cut(others.empty() ? name : fmt::format("{:<30} {}", name, others), screen) + "\n";
    }
    return text;
}

std::string screenText(const Json& answer, const Screen& screen) {
    std::string text;
    std::size_t rank = 0;
    for (const Json& candidate : answer["candidates"]) {
        text += candidateLine(++rank, candidate, screen);
    }
    return text + "\n" +
           wrapped("",
                   wording::text({"cli.tried",
                                  {{"tried", answer["tried"].get<std::int64_t>()},
                                   {"possible", answer["possible"].get<std::int64_t>()}}}),
                   screen);
}

std::string pourText(const Json& answer, const Screen& screen) {
    std::string text;
    for (const Json& pour : answer["pours"]) {
        const std::string unit = pour["unit"].get<std::string>();
        text += fmt::format("{} {} {}", wording::numberText(pour["amount"].get<double>(), 4), unit,
                            pour["substance"].get<std::string>());
        if (!pour["range"].is_null()) {
            text += fmt::format(" ({} to {} {})", wording::numberText(pour["range"][0].get<double>(), 2),
                                wording::numberText(pour["range"][1].get<double>(), 2), unit);
        }
        text += "\n";
    }
    return text + asksText(answer["asks"], screen);
}

std::string asksText(const Json& asks, const Screen& screen) {
    std::string text;
    for (const Json& ask : asks) {
        text += wrapped("? ", ask["question"].get<std::string>(), screen);
        for (const std::string choice : ask["choices"]) {
            text += wrapped("  - ", choice, screen);
        }
    }
    return text;
}

} // namespace anodex::cli
