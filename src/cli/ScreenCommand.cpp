#include "cli/ScreenCommand.h"

#include "cli/Command.h"
#include "cli/PlainText.h"
#include "core/design/Resolve.h"
#include "formats/CellFile.h"
#include "formats/ShelfFile.h"
#include "wording/ErrorText.h"
#include "wording/FindingText.h"
#include "wording/Listing.h"
#include "wording/ScreenText.h"
#include "wording/Texts.h"

#include <cmath>
#include <thread>

namespace anodex::cli {
namespace {

using chemistry::Catalogue;
using formats::Json;
using shelf::RankBy;

struct Ranking {
    const char* name;
    RankBy by;
    const char* unit; ///< A symbol, or the id of its words.
    double perSi;
};

constexpr Ranking kRankings[] = {{"voltage", RankBy::Voltage, "V", 1.0},
                                 {"power", RankBy::Power, "W", 1.0},
                                 {"life", RankBy::Life, "h", 1.0 / 3600.0},
                                 {"cost", RankBy::Cost, "cli.price-per-wh", 3600.0},
                                 {"safety", RankBy::Safety, "cli.points-against", 1.0}};

const Ranking& rankingNamed(const std::string& name) {
    for (const Ranking& ranking : kRankings) {
        if (name == ranking.name) {
            return ranking;
        }
    }
    std::vector<std::string> names;
    for (const Ranking& ranking : kRankings) {
        names.emplace_back(ranking.name);
    }
    throw misfit("--by", name, wording::choiceOf(names));
}

Json candidateJson(const Catalogue& catalogue, const shelf::Candidates& candidates,
                   const shelf::Screened& screened, const Ranking& ranking) {
    const design::CellDesign design = candidates.design(screened.index, screened.swapped);
    const auto cell = design::resolve(catalogue, design);
    if (!cell) {
        throw stopAt(kCouldNot, "screen", wording::errorText(formats::toFileError(cell.error())));
    }
    const cell::Evaluation evaluation = cell::evaluate(catalogue, *cell);
    const auto findings = findings::findingsFor(catalogue, *cell, evaluation);
    Json figure = {{"unit", wording::text(ranking.unit)}};
    if (std::isfinite(screened.figure)) {
        figure["value"] = screened.figure * ranking.perSi;
    }
    Json json = {{"cell", formats::cellToJson(design)},
                 {"figure", std::move(figure)},
                 {"open_circuit_voltage_V", screened.openCircuitVolts},
                 {"maximum_power_W", screened.maximumWatts}};
    if (!findings.empty()) {
        json["worst_finding"] = {{"severity", wording::severityText(findings.front().severity)},
                                 {"code", wording::findingCode(findings.front())},
                                 {"text", wording::findingText(findings.front()).text}};
    }
    json["why"] = wording::screenReason(catalogue, *cell, evaluation, findings, ranking.by);
    return json;
}

} // namespace

Json screenShelf(const Catalogue& catalogue, const ScreenRequest& request) {
    const Ranking& ranking = rankingNamed(request.by);
    const auto shelf = formats::readShelfFile(readText(request.shelfPath));
    if (!shelf) {
        throw stopAt(kWrongInput, request.shelfPath, wording::errorText(shelf.error()));
    }
    const auto candidates = shelf::Candidates::create(catalogue, *shelf);
    if (!candidates) {
        throw stopAt(kWrongInput, request.shelfPath,
                     wording::errorText(formats::toFileError(candidates.error())));
    }
    if (ranking.by == RankBy::Cost && !candidates->priced()) {
        throw stopAt(kWrongInput, request.shelfPath, wording::text("cli.no-price"));
    }
    shelf::ScreeningOptions options;
    options.by = ranking.by;
    options.top = static_cast<std::size_t>(request.top);
    options.threads = static_cast<int>(std::max(1U, std::thread::hardware_concurrency()));
    const auto result = shelf::screen(catalogue, *candidates, options);
    Json json = {{"candidates", Json::array()}, {"tried", result->tried}, {"possible", result->possible}};
    for (const shelf::ScreenedPair& pair : result->best) {
        Json row = candidateJson(catalogue, *candidates, pair.best, ranking);
        row["other_liquids"] = Json::array();
        for (const shelf::Screened& other : pair.others) {
            row["other_liquids"].push_back(candidateJson(catalogue, *candidates, other, ranking));
        }
        json["candidates"].push_back(std::move(row));
    }
    return json;
}

Command screenCommand() {
    return {"screen",
            "anodex-cli screen mine.shelf.json --by power --top 5",
            {{"SHELF", "*.shelf.json", true}, {"--by", "FIGURE"}, {"--top", "COUNT"}},
            [](const Call& call) -> int {
                ScreenRequest request;
                request.shelfPath = call.text("SHELF");
                request.by = call.text("--by").empty() ? request.by : call.text("--by");
                request.top = call.count("--top", request.top, 1);
                print(call.console(), screenShelf(call.catalogue(), request), screenText);
                return kGood;
            }};
}

} // namespace anodex::cli
