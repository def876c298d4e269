// src/core/electrode/Nernst.h - equilibrium potentials in the liquids of a cell.
//
// Law        E = E0(T) - RT/nF ln Q with molal activities, solvent activity and gas pressures in bar.
// Units      V against SHE.
#pragma once
#include "core/design/Cell.h"
#include "core/electrode/Draw.h"

namespace anodex::electrode {

/// Nernst potential of a reaction in this side's liquid; species that are absent take a trace, at most what
/// their least soluble solid leaves in the liquid.
[[nodiscard]] double nernstVolts(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                                 design::Side side, const chemistry::Reaction& reaction, const Draw& draw);

/// Shift of a couple by the grade of the solid reagent this electrode holds; 0 for most.
[[nodiscard]] double gradeVolts(const chemistry::Catalogue& catalogue, const design::Electrode& electrode,
                                const chemistry::Reaction& reaction, const Draw& draw);

/// The activity used for one species in that potential.
[[nodiscard]] double activityOrTrace(const design::Cell& cell, design::Side side,
                                     const chemistry::Catalogue& catalogue,
                                     const chemistry::Reaction& reaction, chemistry::SpeciesIndex species,
                                     const Draw& draw);

} // namespace anodex::electrode
