#include "wording/ScreenText.h"

#include "wording/ExplainText.h"
#include "wording/FindingText.h"
#include "wording/PartText.h"
#include "wording/Quantities.h"
#include "wording/Texts.h"

#include <algorithm>

namespace anodex::wording {
namespace {

using base::Said;
using chemistry::Catalogue;

/// A material, the potential it settles at, and what it does there.
Said sideSaid(const Catalogue& catalogue, const design::Cell& cell, const cell::Evaluation& evaluation,
              design::Side side) {
    const cell::SideResult& result = evaluation.side(side);
    const chemistry::Reaction& reaction = catalogue.reactions[result.couple.reaction];
    return {"screen.side",
            {{"material", catalogue.materials[cell.electrode(side).material].name},
             {"volts", quantityText(result.restVolts, explain::Unit::Volt)},
             {"does", deedText(reaction, result.couple.branch)}}};
}

std::vector<Said> powerSaid(const design::Cell& cell, const cell::Evaluation& evaluation) {
    const auto& shares = evaluation.resistance.shares;
    const auto most = std::max_element(
        shares.begin(), shares.end(), [](const auto& one, const auto& other) { return one.ohm < other.ohm; });
    const std::string ohms = quantityText(evaluation.resistance.totalOhm, explain::Unit::Ohm);
    if (most == shares.end()) {
        return {Said("screen.resistance", {{"ohms", ohms}})};
    }
    return {
        Said("screen.resistance-mostly", {{"ohms", ohms}, {"part", partText(most->part, cell.twoLiquids)}})};
}

std::vector<Said> lifeSaid(const Catalogue& catalogue, const design::Cell& cell,
                           const cell::Evaluation& evaluation) {
    std::vector<Said> said;
    if (const auto& reagents = evaluation.capacity.reagents; !reagents.empty()) {
        said.push_back(Said("screen.gives", {{"reagent", reagentName(catalogue, cell, reagents.front())},
                                             {"charge", chargeText(evaluation.capacity.expectedCoulombs)}}));
    }
    const std::string lost = quantityText(evaluation.selfDischargeAmps, explain::Unit::Ampere);
    said.push_back(Said("screen.loses", {{"current", lost}}));
    return said;
}

Said safetySaid(const std::vector<findings::Finding>& findings) {
    return findings.empty() ? Said("screen.safe")
                            : Said("screen.worst", {{"finding", findingText(findings.front()).title}});
}

} // namespace

std::string screenReason(const Catalogue& catalogue, const design::Cell& cell,
                         const cell::Evaluation& evaluation, const std::vector<findings::Finding>& findings,
                         shelf::RankBy by) {
    std::vector<Said> said = {
        Said("screen.against",
             {{"negative", std::vector{sideSaid(catalogue, cell, evaluation, design::Side::Negative)}},
              {"positive", std::vector{sideSaid(catalogue, cell, evaluation, design::Side::Positive)}}})};
    std::vector<Said> more;
    switch (by) {
    case shelf::RankBy::Voltage:
        break;
    case shelf::RankBy::Power:
    case shelf::RankBy::SteadyPower:
        more = powerSaid(cell, evaluation);
        break;
    case shelf::RankBy::Life:
    case shelf::RankBy::Cost:
        more = lifeSaid(catalogue, cell, evaluation);
        break;
    case shelf::RankBy::Safety:
        more = {safetySaid(findings)};
        break;
    }
    said.insert(said.end(), more.begin(), more.end());
    return text(Said("list.all", {{"all", said}}));
}

} // namespace anodex::wording
