#include "core/cell/Doubt.h"

#include "core/base/Fault.h"
#include "core/base/Parallel.h"
#include "core/electrode/Nernst.h"

#include <algorithm>
#include <cmath>
#include <map>

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
double surfaceDoubt(const Catalogue& catalogue, const Cell& cell, const Evaluation& nominal,
                    const Draw& draw) {
    constexpr double kSpecimenHalfWidth = 0.075; // V
    constexpr double kFarApart = 0.05;           // V
    double volts = 0.0;
    for (const Side side : {Side::Negative, Side::Positive}) {
        const SideResult& result = nominal.side(side);
        const double apart = std::abs(result.restVolts - result.equilibriumVolts);
        const double halfWidth = kSpecimenHalfWidth * std::min(1.0, apart / kFarApart);
        const std::string& name = catalogue.materials[cell.electrode(side).material].name;
        const double shift = draw.offset("state of the " + name + " surface", {0.0, halfWidth});
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
                    std::uint64_t seed, std::uint64_t sample) {
    World world;
    const Draw draw = Draw::sampled(seed, sample, &world.inputs);
    const Polarisation curve(catalogue, cell, electrode::Moment::First, draw);
    const double reading =
        draw.offset("reading and junction", {0.0, readingHalfWidth(catalogue, cell, nominal)});
    world.openCircuit = curve.openCircuitVolts() + reading + surfaceDoubt(catalogue, cell, nominal, draw);
    world.shortCircuit = curve.shortCircuitAmps();
    world.watts = curve.maximumPower(world.shortCircuit).watts;
    const auto equilibrium = [&](Side side) {
        return electrode::nernstVolts(catalogue, cell, side,
                                      catalogue.reactions[nominal.side(side).couple.reaction], draw);
    };
    world.thermodynamic = equilibrium(Side::Positive) - equilibrium(Side::Negative);
    world.ohm = curve.ohm();
    world.coulombs =
        capacityOf(catalogue, cell, nominal.sides[0].couple, nominal.sides[1].couple, draw).expectedCoulombs;
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

std::vector<InfluentialInput> influence(const std::vector<World>& worlds) {
    struct Sums {
        double count = 0.0, x = 0.0, xx = 0.0, xy = 0.0, y = 0.0, yy = 0.0;
    };
    std::map<std::string, Sums> sums;
    for (const World& world : worlds) {
        std::map<std::string, double> once;
        for (const electrode::DrawnInput& input : world.inputs) {
            once[input.name] = input.deviation;
        }
        for (const auto& [name, x] : once) {
            Sums& s = sums[name];
            const double y = world.openCircuit;
            s.count += 1.0;
            s.x += x;
            s.xx += x * x;
            s.xy += x * y;
            s.y += y;
            s.yy += y * y;
        }
    }
    std::vector<InfluentialInput> inputs;
    for (const auto& [name, s] : sums) {
        const double covariance = s.xy / s.count - s.x / s.count * s.y / s.count;
        const double vx = s.xx / s.count - std::pow(s.x / s.count, 2);
        const double vy = s.yy / s.count - std::pow(s.y / s.count, 2);
        if (vx > 0.0 && vy > 0.0) {
            inputs.push_back({name, covariance * covariance / (vx * vy)});
        }
    }
    std::sort(inputs.begin(), inputs.end(),
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
            worlds[i] = evaluateWorld(catalogue, cell, nominal, options.seed, i);
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
