#include "core/shelf/Figure.h"

#include "core/cell/Idle.h"
#include "core/findings/Findings.h"

#include <algorithm>
#include <limits>

namespace anodex::shelf {
namespace {

using cell::Evaluation;
using findings::Severity;

constexpr double kSmallLoadAmps = 1e-3; // a clock, a small lamp
constexpr double kUsefulVolts = 0.3;    // at that load (common practice, no source)

double lifeSeconds(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                   const Evaluation& evaluation) {
    const cell::CompiledCell compiled = cell::compile(catalogue, cell);
    const cell::Polarisation settled(compiled, *evaluation.contents, electrode::Moment::Settled);
    if (evaluation.settled.shortCircuitAmps < kSmallLoadAmps ||
        settled.voltsAt(kSmallLoadAmps) < kUsefulVolts) {
        return 0.0;
    }
    const double spent =
        evaluation.capacity.expectedCoulombs / (evaluation.selfDischargeAmps + kSmallLoadAmps);
    return std::min(spent,
                    cell::secondsToDry(*evaluation.contents, evaluation.dryingKgPerSecond).value_or(spent));
}

double pricePerJoule(const Evaluation& evaluation, const std::optional<double>& price) {
    const double joules = 0.5 * evaluation.openCircuitVolts * evaluation.capacity.expectedCoulombs;
    return price && joules > 0.0 ? *price / joules : std::numeric_limits<double>::infinity();
}

double unsafety(const std::vector<findings::Finding>& findings) {
    double sum = 0.0;
    for (const findings::Finding& finding : findings) {
        sum += finding.severity == Severity::Danger ? 1e4 : finding.severity == Severity::Warning ? 1e2 : 1.0;
    }
    return sum;
}

} // namespace

double figureOf(const chemistry::Catalogue& catalogue, const design::Cell& cell, const Evaluation& evaluation,
                RankBy by, const std::optional<double>& price) {
    switch (by) {
    case RankBy::Voltage:
        return evaluation.openCircuitVolts;
    case RankBy::Power:
        return evaluation.first.maximumPower.watts;
    case RankBy::SteadyPower:
        return evaluation.settled.maximumPower.watts;
    case RankBy::Life:
        return lifeSeconds(catalogue, cell, evaluation);
    case RankBy::Cost:
        return pricePerJoule(evaluation, price);
    case RankBy::Safety:
        return unsafety(findings::findingsFor(catalogue, cell, evaluation));
    }
    return 0.0;
}

} // namespace anodex::shelf
