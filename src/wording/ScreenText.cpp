#include "wording/ScreenText.h"

#include "wording/FindingText.h"
#include "wording/PartText.h"
#include "wording/Quantities.h"

#include <algorithm>
#include <fmt/format.h>

namespace anodex::wording {
namespace {

using chemistry::Catalogue;

/// A material, the potential it settles at, and what it does there.
std::string sideText(const Catalogue& catalogue, const design::Cell& cell, const cell::Evaluation& evaluation,
                     design::Side side) {
    const cell::SideResult& result = evaluation.side(side);
    const chemistry::Reaction& reaction = catalogue.reactions[result.couple.reaction];
    return fmt::format("{} at {} ({})", catalogue.materials[cell.electrode(side).material].name,
                       quantityText(result.restVolts, explain::Unit::Volt),
                       result.couple.branch == chemistry::Branch::Anodic ? reaction.anodicName
                                                                         : reaction.cathodicName);
}

std::string powerText(const design::Cell& cell, const cell::Evaluation& evaluation) {
    const auto& shares = evaluation.resistance.shares;
    const auto most = std::max_element(
        shares.begin(), shares.end(), [](const auto& one, const auto& other) { return one.ohm < other.ohm; });
    return fmt::format(
        "; {} of resistance{}", quantityText(evaluation.resistance.totalOhm, explain::Unit::Ohm),
        most == shares.end() ? std::string()
                             : fmt::format(", most of it {}", partText(most->part, cell.twoLiquids)));
}

std::string lifeText(const Catalogue& catalogue, const design::Cell& cell,
                     const cell::Evaluation& evaluation) {
    const auto& reagents = evaluation.capacity.reagents;
    return (reagents.empty() ? std::string()
                             : fmt::format("; {} gives {}", reagentName(catalogue, cell, reagents.front()),
                                           chargeText(evaluation.capacity.expectedCoulombs))) +
           fmt::format("; it loses {} by itself",
                       quantityText(evaluation.selfDischargeAmps, explain::Unit::Ampere));
}

std::string safetyText(const std::vector<findings::Finding>& findings) {
    return findings.empty() ? std::string("; nothing is known against it")
                            : "; at worst: " + findingText(findings.front()).title;
}

} // namespace

std::string screenReason(const Catalogue& catalogue, const design::Cell& cell,
                         const cell::Evaluation& evaluation, const std::vector<findings::Finding>& findings,
                         shelf::RankBy by) {
    std::string text = sideText(catalogue, cell, evaluation, design::Side::Negative) + " against " +
                       sideText(catalogue, cell, evaluation, design::Side::Positive);
    switch (by) {
    case shelf::RankBy::Voltage:
        break;
    case shelf::RankBy::Power:
    case shelf::RankBy::SteadyPower:
        text += powerText(cell, evaluation);
        break;
    case shelf::RankBy::Life:
    case shelf::RankBy::Cost:
        text += lifeText(catalogue, cell, evaluation);
        break;
    case shelf::RankBy::Safety:
        text += safetyText(findings);
        break;
    }
    return text;
}

} // namespace anodex::wording
