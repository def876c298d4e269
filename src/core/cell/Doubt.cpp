#include "core/cell/Doubt.h"

#include "core/base/Fault.h"
#include "core/base/Parallel.h"
#include "core/electrode/Nernst.h"

#include <algorithm>
#include <cmath>

namespace anodex::cell {
namespace {

using chemistry::Catalogue;
using design::Cell;
using design::Side;
using electrode::Draw;

/// Share of drawn worlds the model may fail on before there is no range.
constexpr double kMostFaulty = 0.05;

struct World {
    bool faulty = false;
    double thermodynamic = 0.0;
    double openCircuit = 0.0;
    double shortCircuit = 0.0;
    double watts = 0.0;
    double coulombs = 0.0;
    double ohm = 0.0;
    std::vector<electrode::DrawnInput> inputs;
};

/// Where an electrode rests between two couples far apart, oxide, grease and scratches move it from one
/// specimen to the next; at a couple's own potential they do not (common practice, no source).
double surfaceDoubt(const CompiledCell& compiled, const Evaluation& nominal) {
    constexpr double kSpecimenHalfWidth = 0.075; // V
    constexpr double kFarApart = 0.05;           // V
    double volts = 0.0;
    for (const Side side : {Side::Negative, Side::Positive}) {
        const SideResult& result = nominal.side(side);
        const double apart = std::abs(result.restVolts - result.equilibriumVolts);
        const double halfWidth = kSpecimenHalfWidth * std::min(1.0, apart / kFarApart);
        const double shift = halfWidth * compiled.electrode(side).surfaceState;
        volts += side == Side::Positive ? shift : -shift;
    }
    return volts;
}

/// Doubt of a meter, of strengths weighed on a kitchen scale and of the junction (common practice, no
/// source).
double readingHalfWidth(const Catalogue& catalogue, const Cell& cell, const Evaluation& nominal) {
    constexpr double kPreparation = 0.022;  // V
    constexpr double kMeterShare = 0.005;   // of the reading
    constexpr double kFreeJunction = 0.008; // V
    const double own = std::hypot(kPreparation, kMeterShare * nominal.openCircuitVolts);
    if (!cell.twoLiquids) {
        return own;
    }
    const double membrane =
        cell.barrier ? catalogue.separators[cell.barrier->separator].junctionHalfWidth : 0.0;
    return std::hypot(own, std::max(kFreeJunction, membrane));
}

World evaluateWorld(const Catalogue& catalogue, const Cell& cell, const Evaluation& nominal,
                    const DoubtOptions& options, std::uint64_t sample) {
    World world;
    const CompiledCell compiled = compile(
        catalogue, cell,
        Draw::sampled(options.seed, sample, static_cast<std::uint64_t>(options.samples), &world.inputs));
    const state::Contents& contents = *nominal.contents;
    const Polarisation curve(compiled, contents, electrode::Moment::First);
    const double reading = compiled.reading * readingHalfWidth(catalogue, cell, nominal);
    world.openCircuit = curve.openCircuitVolts() + reading + surfaceDoubt(compiled, nominal);
    world.shortCircuit = curve.shortCircuitAmps();
    world.watts = SampledCurve(curve, world.shortCircuit, SampledCurve::kToFindPower).maximumPower().watts;
    const auto equilibrium = [&](Side side) {
        return electrode::nernstVolts(compiled.electrode(side).reactions[nominal.side(side).couple.reaction],
                                      contents.atFace(side));
    };
    world.thermodynamic = equilibrium(Side::Positive) - equilibrium(Side::Negative);
    world.ohm = curve.ohm();
    world.coulombs = nominal.capacity.expectedCoulombs <= 0.0
                         ? 0.0
                         : capacityOf(compiled, contents, nominal.sides[0].couple, nominal.sides[1].couple)
                               .expectedCoulombs;
    return world;
}

template <typename Get>
base::Interval spanOf(const std::vector<World>& worlds, const Get& get, double nominal) {
    std::vector<double> values;
    values.reserve(worlds.size());
    for (const World& world : worlds) {
        values.push_back(get(world));
    }
    return base::centralSpan(std::move(values), nominal);
}

/// Squared correlation of two series of equal length.
double sharedVariance(const std::vector<double>& one, const std::vector<double>& other) {
    const auto count = static_cast<double>(one.size());
    double x = 0.0, xx = 0.0, xy = 0.0, y = 0.0, yy = 0.0;
    for (std::size_t i = 0; i < one.size(); ++i) {
        x += one[i];
        xx += one[i] * one[i];
        xy += one[i] * other[i];
        y += other[i];
        yy += other[i] * other[i];
    }
    const double covariance = xy / count - x / count * y / count;
    const double vx = xx / count - std::pow(x / count, 2);
    const double vy = yy / count - std::pow(y / count, 2);
    return vx > 0.0 && vy > 0.0 ? covariance * covariance / (vx * vy) : 0.0;
}

/// The largest share that inputs without any say show by chance, in nineteen answers of twenty: worlds are few, inputs
/// many (tail of the normal distribution).
double largestByChance(std::size_t inputs, std::size_t worlds) {
    constexpr double kOneIn = 20.0; // answers name an input by chance (common practice, no source)
    return 2.0 * std::log(kOneIn * static_cast<double>(inputs)) / static_cast<double>(worlds);
}

std::vector<InfluentialInput> influence(const std::vector<World>& worlds) {
    std::vector<double> volts(worlds.size());
    std::transform(worlds.begin(), worlds.end(), volts.begin(),
                   [](const World& world) { return world.openCircuit; });
    std::vector<InfluentialInput> inputs;
    // Every world asks for the same inputs in the same order, for some of them several times.
    for (std::size_t i = 0; i < worlds.front().inputs.size(); ++i) {
        const electrode::InputKey& key = worlds.front().inputs[i].input;
        const electrode::Input name{key.kind, std::string(key.id), key.which};
        const bool again = std::any_of(inputs.begin(), inputs.end(),
                                       [&](const InfluentialInput& other) { return other.input == name; });
        if (again) {
            continue;
        }
        std::vector<double> deviations(worlds.size());
        std::transform(worlds.begin(), worlds.end(), deviations.begin(),
                       [i](const World& world) { return world.inputs[i].deviation; });
        inputs.push_back({name, sharedVariance(deviations, volts)});
    }
    const double chance = largestByChance(inputs.size(), worlds.size());
    std::erase_if(inputs, [&](const InfluentialInput& input) { return input.share <= chance; });
    std::stable_sort(inputs.begin(), inputs.end(),
                     [](const InfluentialInput& a, const InfluentialInput& b) { return a.share > b.share; });
    constexpr std::size_t kMost = 3; // inputs named
    inputs.resize(std::min(inputs.size(), kMost));
    return inputs;
}

} // namespace

std::optional<Doubt> estimateDoubt(const Catalogue& catalogue, const Cell& cell, const Evaluation& nominal,
                                   const DoubtOptions& options, const std::stop_token& stop) {
    if (options.samples < 1) {
        return std::nullopt;
    }
    std::vector<World> worlds(static_cast<std::size_t>(options.samples));
    base::forEachIndex(worlds.size(), options.threads, stop, [&](std::size_t i) {
        try {
            worlds[i] = evaluateWorld(catalogue, cell, nominal, options, i);
        } catch (const base::Fault&) {
            worlds[i].faulty = true;
        }
    });
    if (stop.stop_requested()) {
        return std::nullopt;
    }
    const auto faulty = std::erase_if(worlds, [](const World& world) { return world.faulty; });
    if (static_cast<double>(faulty) > kMostFaulty * options.samples || worlds.empty()) {
        throw base::Fault(base::Fault::Kind::DidNotEnd, "range", static_cast<double>(faulty));
    }
    Doubt doubt;
    doubt.thermodynamicVolts = spanOf(
        worlds, [](const World& w) { return w.thermodynamic; }, nominal.thermodynamicVolts);
    doubt.openCircuitVolts = spanOf(
        worlds, [](const World& w) { return w.openCircuit; }, nominal.openCircuitVolts);
    doubt.shortCircuitAmps = spanOf(
        worlds, [](const World& w) { return w.shortCircuit; }, nominal.first.shortCircuitAmps);
    doubt.maximumWatts = spanOf(
        worlds, [](const World& w) { return w.watts; }, nominal.first.maximumPower.watts);
    doubt.expectedCoulombs = spanOf(
        worlds, [](const World& w) { return w.coulombs; }, nominal.capacity.expectedCoulombs);
    doubt.resistanceOhm = spanOf(
        worlds, [](const World& w) { return w.ohm; }, nominal.resistance.totalOhm);
    doubt.matterMost = influence(worlds);
    return doubt;
}

} // namespace anodex::cell
