// src/core/electrode/Nernst.h - equilibrium potentials in the liquids of a cell.
//
// Law        E = E0(T) - RT/nF ln Q with molal activities, solvent activity and gas pressures in bar.
// Units      V against SHE.
#pragma once
#include "core/electrode/Parameters.h"
#include "core/liquid/Solution.h"

namespace anodex::electrode {

/// Nernst potential of a reaction in a liquid, at the liquid's temperature; species that are absent take a
/// trace, at most what their least soluble solid leaves in the liquid.
[[nodiscard]] double nernstVolts(const ReactionParameters& reaction, const liquid::Solution& solution);

/// E0 at a temperature.
[[nodiscard]] double standardVolts(const ReactionParameters& reaction, double temperatureKelvin);

/// Shift by the grade of its solid there, V; none where its ion was filled in and the pure metal covers an alloy.
[[nodiscard]] double gradeVoltsIn(const ReactionParameters& reaction, const liquid::Solution& solution);

/// The activity used for one species in that potential.
[[nodiscard]] double activityOrTrace(const ActivityTerm& term, const liquid::Solution& solution);
/// Its logarithm.
[[nodiscard]] double lnActivityOrTrace(const ActivityTerm& term, const liquid::Solution& solution);

} // namespace anodex::electrode
