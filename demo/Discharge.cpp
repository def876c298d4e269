#include "demo/Discharge.h"
#include "core/design/Resolve.h"
#include "core/liquid/SolveSolution.h"

#include "core/base/Constants.h"
#include "core/base/Random.h"
#include "core/base/RootFinding.h"

#include <algorithm>

namespace anodex::demo {
namespace {

/// The load current at this state; the terminal voltage is that times the load.
double loadAmps(const cell::Polarisation& curve, double loadOhm, double extraOhm) {
    base::RootOptions options;
    options.lowest = 0.0;
    options.highest = std::max(curve.openCircuitVolts(), 0.0) / (loadOhm + extraOhm) + 1e-9;
    options.step = options.highest;
    options.tolerance = 1e-9;
    return base::rootOfRising([&](double amps) { return amps * (loadOhm + extraOhm) - curve.voltsAt(amps); },
                              0.0, options);
}

} // namespace

record::RunSamples discharge(const chemistry::Catalogue& catalogue, const design::CellDesign& design,
                             const DischargePlan& plan) {
    record::RunSamples samples;
    const design::Cell cell = *design::resolve(catalogue, design);
    const cell::CompiledCell compiled = cell::compile(catalogue, cell);
    const cell::Evaluation start = cell::evaluate(catalogue, cell, {0});
    // One mole of each poured salt's metal moves for every two faradays: the positive side loses, the
    // negative gains.
    liquid::Mixture positive = cell.poured[1];
    liquid::Mixture negative = cell.poured[0];
    const double positiveStart = positive.portions.front().moles * (1.0 - plan.lostShare);
    const double negativeStart = negative.portions.front().moles;
    double coulombs = 0.0;
    const double dt = plan.hours * 3600.0 / plan.samples;
    double amps = 0.0;
    for (int i = 0; i < plan.samples; ++i) {
        constexpr int kSamplesPerSolve = 6;
        if (i % kSamplesPerSolve == 0) {
            const double moved = coulombs / (2.0 * base::kFaraday);
            positive.portions.front().moles = std::max(positiveStart - moved, 1e-6 * positiveStart);
            negative.portions.front().moles = negativeStart + moved;
            const state::Contents contents = state::filledWith(
                catalogue, cell,
                {state::sharedLiquid(catalogue, negative), state::sharedLiquid(catalogue, positive)});
            const cell::Polarisation curve(compiled, contents, electrode::Moment::Settled);
            amps = loadAmps(curve, plan.loadOhm, plan.extraOhm);
        }
        const double noise = plan.noiseVolts * base::normalAt(plan.seed, static_cast<std::uint64_t>(i), 1);
        const bool resting = i < 3;
        const double volts = (resting ? start.openCircuitVolts : amps * plan.loadOhm) + noise;
        samples.seconds.push_back(dt * i);
        samples.volts.push_back(volts);
        samples.amps.push_back(resting ? 0.0 : volts / plan.loadOhm);
        coulombs += resting ? 0.0 : amps * dt;
        if (!resting && volts < plan.cutoffVolts) {
            break;
        }
    }
    return samples;
}

} // namespace anodex::demo
