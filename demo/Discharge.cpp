#include "demo/Discharge.h"

#include "core/base/Random.h"
#include "core/base/RootFinding.h"
#include "core/cell/AfterUse.h"
#include "core/design/Resolve.h"

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

class Cell {
public:
    Cell(const chemistry::Catalogue& catalogue, const design::CellDesign& design)
        : m_catalogue(catalogue), m_cell(*design::resolve(catalogue, design)),
          m_compiled(cell::compile(catalogue, m_cell)), m_fresh(cell::evaluate(catalogue, m_cell, {0})) {}

    [[nodiscard]] const cell::Evaluation& fresh() const { return m_fresh; }
    /// What it still gives falls to nothing in the last twentieth of what it holds.
    [[nodiscard]] double ampsAfter(double coulombs, const DischargePlan& plan) const {
        constexpr double kEnd = 0.95;
        const double whole = m_fresh.capacity.expectedCoulombs;
        const double used = std::min(coulombs, kEnd * whole);
        const state::Contents contents =
            state::changedTo(m_catalogue, m_cell, *m_fresh.contents,
                             cell::afterUse(m_compiled, *m_fresh.contents, m_fresh.sides[0].couple,
                                            m_fresh.sides[1].couple, used));
        const cell::Polarisation curve(m_compiled, contents, electrode::Moment::Settled);
        const double left = std::clamp((whole - coulombs) / ((1.0 - kEnd) * whole), 0.0, 1.0);
        return left * loadAmps(curve, plan.loadOhm, plan.extraOhm);
    }

private:
    const chemistry::Catalogue& m_catalogue;
    design::Cell m_cell;
    cell::CompiledCell m_compiled;
    cell::Evaluation m_fresh;
};

} // namespace

record::RunSamples discharge(const chemistry::Catalogue& catalogue, const design::CellDesign& design,
                             const DischargePlan& plan) {
    record::RunSamples samples;
    const Cell cell(catalogue, design);
    double coulombs = plan.lostShare * cell.fresh().capacity.expectedCoulombs;
    const double dt = plan.hours * 3600.0 / plan.samples;
    double amps = 0.0;
    for (int i = 0; i < plan.samples; ++i) {
        constexpr int kSamplesPerSolve = 10;
        constexpr int kRestingSamples = 3;
        if (i % kSamplesPerSolve == 0) {
            amps = cell.ampsAfter(coulombs, plan);
        }
        const double noise = plan.noiseVolts * base::normalAt(plan.seed, static_cast<std::uint64_t>(i), 1);
        const bool resting = i < kRestingSamples;
        const double volts = (resting ? cell.fresh().openCircuitVolts : amps * plan.loadOhm) + noise;
        const double hour = dt * i / 3600.0;
        if (hour < plan.silentFrom || hour >= plan.silentTo) {
            samples.seconds.push_back(dt * i);
            samples.volts.push_back(volts);
            samples.amps.push_back(resting ? 0.0 : volts / plan.loadOhm);
        }
        coulombs += resting ? 0.0 : amps * dt;
        if (!resting && volts < plan.cutoffVolts) {
            break;
        }
    }
    return samples;
}

} // namespace anodex::demo
