// demo/Discharge.h - a discharge through a resistor, from the model at falling inventories plus seeded noise.
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
    double lostShare = 0.0; ///< Share of the positive reagent lost before the run (layers mixed).
    std::uint64_t seed = 1;
};

[[nodiscard]] record::RunSamples discharge(const chemistry::Catalogue& catalogue,
                                           const design::CellDesign& design, const DischargePlan& plan);

} // namespace anodex::demo
