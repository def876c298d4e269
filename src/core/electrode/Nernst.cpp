#include "core/electrode/Nernst.h"

#include "core/base/Constants.h"

#include <algorithm>
#include <cmath>

namespace anodex::electrode {

double activityOrTrace(const ActivityTerm& term, const liquid::Solution& solution) {
    constexpr double kLeastOfASolid = 1e-6; // a gas that nobody let in
    const double activity = solution.activity[term.species];
    if (activity < term.ownTraceBelow) {
        return term.ownTrace;
    }
    switch (term.kind) {
    case ActivityKind::Pure:
        return std::max(activity, kLeastOfASolid);
    case ActivityKind::Protonic:
        return activity;
    case ActivityKind::Dissolved:
        return activity > 0.0 ? activity : std::min(term.trace, solution.saturation[term.species]);
    }
    return activity;
}

double standardVolts(const ReactionParameters& reaction, double temperatureKelvin) {
    return reaction.standardVolts +
           reaction.reaction->standardVoltsPerKelvin * (temperatureKelvin - base::kStandardTemperature);
}

double nernstVolts(const ReactionParameters& reaction, const liquid::Solution& solution) {
    double lnQuotient = 0.0;
    for (const ActivityTerm& term : reaction.terms) {
        lnQuotient += term.count * std::log(activityOrTrace(term, solution));
    }
    const double temperature = solution.mixture.temperatureKelvin;
    return standardVolts(reaction, temperature) + reaction.gradeVolts -
           base::kGasConstant * temperature / (reaction.reaction->electrons * base::kFaraday) * lnQuotient;
}

} // namespace anodex::electrode
