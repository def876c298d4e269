// demo/Discharge.h - a run through a resistor, from the model as the cell is used up, plus seeded noise.
#pragma once
#include "core/cell/Evaluation.h"
#include "core/record/Record.h"
#include <cstdint>

namespace anodex::demo {

struct DischargePlan {
    double loadOhm = 22.0;
    double hours = 24.0;
    double cutoffVolts = 0.25;
    int samples = 900;
    double noiseVolts = 0.002;
    double extraOhm = 0.0;  ///< A fault of the build: a bad contact.
    double lostShare = 0.0; ///< Share of the charge lost before the run (layers mixed, plates dried).
    std::uint64_t seed = 1;
    double silentFrom = 0.0; ///< Hours; the logger recorded nothing from here …
    double silentTo = 0.0;   ///< … to here, while the cell went on.
};

[[nodiscard]] record::RunSamples discharge(const chemistry::Catalogue& catalogue,
                                           const design::CellDesign& design, const DischargePlan& plan);

} // namespace anodex::demo
