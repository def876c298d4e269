#include "core/electrode/Nernst.h"

#include "core/base/Constants.h"

#include <algorithm>
#include <cmath>

namespace anodex::electrode {
namespace {

using chemistry::Catalogue;
using chemistry::Reaction;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;

// A product nobody poured in is there in traces, however clean the liquid.
constexpr double kTraceActivity = 3e-6; // middle of the two below
constexpr double kTraceLow = 1e-7;      // from memory
constexpr double kTraceHigh = 1e-4;     // from memory

} // namespace

double activityOrTrace(const design::Cell& cell, design::Side side, const Catalogue& catalogue,
                       const Reaction& reaction, SpeciesIndex species, const Draw& draw) {
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
    if (solution.activity[species] > 0.0) {
        return solution.activity[species];
    }
    const double trace =
        draw.logUniform("trace of " + catalogue.species[species].name, kTraceActivity, kTraceLow, kTraceHigh);
    return std::min(trace, solution.saturation[species]);
}

double gradeVolts(const Catalogue& catalogue, const design::Electrode& electrode, const Reaction& reaction,
                  const Draw& draw) {
    const auto shift = [&](const chemistry::Material& material) {
        const auto uses = [&](const chemistry::CompositionPart& part) {
            return std::any_of(reaction.terms.begin(), reaction.terms.end(), [&](const SpeciesTerm& term) {
                return term.species == part.species && term.count < 0.0;
            });
        };
        const bool concerned =
            material.grade && std::any_of(material.composition.begin(), material.composition.end(), uses);
        return concerned ? draw.offset("grade of " + material.name, *material.grade) : 0.0;
    };
    double volts = shift(catalogue.materials[electrode.material]);
    for (const design::ElectrodeAdditive& additive : electrode.additives) {
        volts += volts == 0.0 ? shift(catalogue.materials[additive.material]) : 0.0;
    }
    return volts;
}

double nernstVolts(const Catalogue& catalogue, const design::Cell& cell, design::Side side,
                   const Reaction& reaction, const Draw& draw) {
    double lnQuotient = 0.0;
    for (const SpeciesTerm& term : reaction.terms) {
        lnQuotient +=
            term.count * std::log(activityOrTrace(cell, side, catalogue, reaction, term.species, draw));
    }
    const double standard =
        draw.offset("standard potential of " + reaction.equation, reaction.standardVolts) +
        reaction.standardVoltsPerKelvin * (cell.temperatureKelvin - base::kStandardTemperature);
    return standard + gradeVolts(catalogue, cell.electrode(side), reaction, draw) -
           base::kGasConstant * cell.temperatureKelvin / (reaction.electrons * base::kFaraday) * lnQuotient;
}

} // namespace anodex::electrode
