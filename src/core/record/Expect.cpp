#include "core/record/Expect.h"

namespace anodex::record {

Expectation expectationOf(const std::string& catalogueVersion, const cell::Evaluation& evaluation,
                          const cell::Doubt& doubt) {
    return {kModelVersion,
            catalogueVersion,
            {evaluation.openCircuitVolts, doubt.openCircuitVolts},
            {evaluation.first.shortCircuitAmps, doubt.shortCircuitAmps},
            {evaluation.first.maximumPower.watts, doubt.maximumWatts},
            {evaluation.capacity.expectedCoulombs, doubt.expectedCoulombs},
            {evaluation.resistance.totalOhm, doubt.resistanceOhm}};
}

} // namespace anodex::record
