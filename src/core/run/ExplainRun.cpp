#include "core/run/ExplainRun.h"

namespace anodex::run {

explain::Explanation explainEnergy(const RunAnalysis& run) {
    constexpr double kJoulesPerWattHour = 3600.0; // seconds in an hour
    const std::vector<std::string> measured = {"measured: the samples of the run"};
    return {"E in Wh",
            "E = ∫ V·I dt while the cell delivers = Q · V_mean, by the trapezoidal rule",
            run.deliveredJoules / kJoulesPerWattHour,
            explain::Unit::None,
            measured,
            {{"Q",
              "Q = ∫ I dt while the cell delivers",
              run.dischargeCoulombs,
              explain::Unit::Coulomb,
              measured,
              {}},
             {"V_mean", "V_mean = E / Q", run.meanVolts, explain::Unit::Volt, measured, {}}}};
}

} // namespace anodex::run
