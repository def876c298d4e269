#include "core/electrode/Nernst.h"

#include "core/base/Constants.h"

#include <algorithm>
#include <cmath>

namespace anodex::electrode {

double lnActivityOrTrace(const ActivityTerm& term, const liquid::Solution& solution) {
    constexpr double kLnLeastOfASolid = -6.0 * base::kLn10; // a gas that nobody let in
    if (solution.activity[term.species] < term.ownTraceBelow) {
        return term.lnOwnTrace;
    }
    const double ln = solution.lnActivity[term.species];
    switch (term.kind) {
    case ActivityKind::Pure:
        return std::max(ln, kLnLeastOfASolid);
    case ActivityKind::Protonic:
        return ln;
    case ActivityKind::Dissolved:
        return std::isinf(ln) ? std::min(term.lnTrace, std::log(solution.saturation[term.species])) : ln;
    }
    return ln;
}

double activityOrTrace(const ActivityTerm& term, const liquid::Solution& solution) {
    return std::exp(lnActivityOrTrace(term, solution));
}

double standardVolts(const ReactionParameters& reaction, double temperatureKelvin) {
    return reaction.standardVolts +
           reaction.reaction->standardVoltsPerKelvin * (temperatureKelvin - base::kStandardTemperature);
}

double gradeVoltsIn(const ReactionParameters& reaction, const liquid::Solution& solution) {
    const bool isCovered =
        reaction.platesPure &&
        std::any_of(reaction.terms.begin(), reaction.terms.end(), [&](const ActivityTerm& term) {
            return term.count < 0.0 && term.kind == ActivityKind::Dissolved &&
                   solution.activity[term.species] > 0.0;
        });
    return isCovered ? 0.0 : reaction.gradeVolts;
}

double nernstVolts(const ReactionParameters& reaction, const liquid::Solution& solution) {
    double lnQuotient = 0.0;
    for (const ActivityTerm& term : reaction.terms) {
        lnQuotient += term.count * lnActivityOrTrace(term, solution);
    }
    const double temperature = solution.mixture.temperatureKelvin;
    return standardVolts(reaction, temperature) + gradeVoltsIn(reaction, solution) -
           base::kGasConstant * temperature / (reaction.reaction->electrons * base::kFaraday) * lnQuotient;
}

} // namespace anodex::electrode
