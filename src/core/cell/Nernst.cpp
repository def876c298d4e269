#include "core/cell/Nernst.h"

#include "core/base/Constants.h"

#include <algorithm>
#include <cmath>

namespace anodex::cell {
namespace {

using chemistry::Catalogue;
using chemistry::Reaction;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;

// A product nobody poured in is there in traces, however clean the liquid.
constexpr double kTraceActivity = 3e-6;
constexpr double kTraceLow = 1e-7;
constexpr double kTraceHigh = 1e-4;

} // namespace

double activityOrTrace(const Cell& cell, Side side, const Catalogue& catalogue, const Reaction& reaction,
                       SpeciesIndex species, const Draw& draw) {
    const auto& solution = cell.solution(side);
    for (const chemistry::Trace& trace : reaction.traces) {
        if (trace.species == species && solution.activity[species] < trace.low) {
            return draw.logUniform("trace of " + catalogue.species[species].name, trace.activity, trace.low,
                                   trace.high);
        }
    }
    if (!catalogue.species[species].isDissolved()) {
        return std::max(solution.activity[species], 1e-6);
    }
    if (species == catalogue.key.hydrogenIon || species == catalogue.key.hydroxide) {
        return solution.activity[species];
    }
    if (solution.activity[species] < kTraceLow) {
        return draw.logUniform("trace of " + catalogue.species[species].name, kTraceActivity, kTraceLow,
                               kTraceHigh);
    }
    return solution.activity[species];
}

double nernstVolts(const Catalogue& catalogue, const Cell& cell, Side side, const Reaction& reaction,
                   const Draw& draw) {
    double lnQuotient = 0.0;
    for (const SpeciesTerm& term : reaction.terms) {
        lnQuotient +=
            term.count * std::log(activityOrTrace(cell, side, catalogue, reaction, term.species, draw));
    }
    const double standard =
        draw.offset("standard potential of " + reaction.equation, reaction.standardVolts) +
        reaction.standardVoltsPerKelvin * (cell.temperatureKelvin - base::kStandardTemperature);
    return standard -
           base::kGasConstant * cell.temperatureKelvin / (reaction.electrons * base::kFaraday) * lnQuotient;
}

} // namespace anodex::cell
