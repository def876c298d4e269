#include "core/charge/Charge.h"

#include "core/base/Constants.h"
#include "core/base/Fault.h"
#include "core/cell/AfterUse.h"
#include "core/charge/Charger.h"

#include <algorithm>
#include <cmath>

namespace anodex::charge {
namespace {

using cell::Evaluation;
using cell::GasFlow;
using chemistry::Catalogue;
using design::Cell;
using design::Side;

constexpr double kHour = 3600.0;    // s
constexpr double kSpentShare = 0.5; // of the expected capacity

void addGas(const Catalogue& catalogue, const Charger& charger, double amps, std::vector<GasFlow>& gas) {
    for (const Side side : {Side::Negative, Side::Positive}) {
        for (const auto& [route, current] : charger.partialsAt(side, amps)) {
            if (route.blocked != electrode::Blocked::No) {
                continue;
            }
            const chemistry::Reaction& reaction = catalogue.reactions[route.reaction];
            for (const chemistry::SpeciesTerm& term : reaction.terms) {
                const double moles = -current * term.count / (reaction.electrons * base::kFaraday);
                if (moles <= 0.0 || !leavesAsGas(catalogue, term.species)) {
                    continue;
                }
                const auto same = std::find_if(gas.begin(), gas.end(), [&](const GasFlow& flow) {
                    return flow.species == term.species;
                });
                if (same == gas.end()) {
                    gas.push_back({term.species, moles});
                } else {
                    same->molesPerSecond += moles;
                }
            }
        }
    }
}

std::vector<GasFlow> larger(std::vector<GasFlow> one, const std::vector<GasFlow>& other) {
    for (const GasFlow& flow : other) {
        const auto same =
            std::find_if(one.begin(), one.end(), [&](const GasFlow& f) { return f.species == flow.species; });
        if (same == one.end()) {
            one.push_back(flow);
        } else {
            same->molesPerSecond = std::max(same->molesPerSecond, flow.molesPerSecond);
        }
    }
    return one;
}

ChargeDetail detailAt(const Catalogue& catalogue, const Charger& taking, const Charger* full, double amps) {
    ChargeDetail detail;
    detail.point = taking.pointAt(amps);
    for (const Side side : {Side::Negative, Side::Positive}) {
        const auto index = static_cast<std::size_t>(side);
        detail.reactions[index] = taking.reactionsAt(side, amps);
    }
    addGas(catalogue, taking, amps, detail.gas);
    if (full != nullptr) {
        detail.fullVolts = full->voltsAt(amps);
        std::vector<GasFlow> whenFull;
        addGas(catalogue, *full, amps, whenFull);
        detail.gas = larger(std::move(detail.gas), whenFull);
    }
    for (const GasFlow& flow : detail.gas) {
        if (flow.species == catalogue.key.hydrogenGas) {
            detail.hydrogenAmps = 2.0 * base::kFaraday * flow.molesPerSecond;
        }
    }
    return detail;
}

struct Sweep {
    std::vector<ChargePoint> points;
    std::size_t peak = 0;
    bool takesCharge = false;
};

// Slower nobody waits for it, and what stores only faster loses it by itself as soon as the supply is off.
constexpr double kSlowestDensity =
    0.12; // A/m² (common practice, no source); no point of the sweep lies on it
constexpr double kFastestStoreDensity = 50.0; // A/m², the same: plates are formed with so much

bool isPractical(double ampsPerM2) {
    return ampsPerM2 >= kSlowestDensity && ampsPerM2 <= kFastestStoreDensity;
}

Sweep sweepOf(const Charger& charger) {
    Sweep sweep{charger.sweep(), 0, false};
    double most = 0.0;
    for (std::size_t i = 0; i < sweep.points.size(); ++i) {
        const ChargePoint& point = sweep.points[i];
        if (isPractical(point.amps / charger.area()) && point.efficiency > most) {
            most = point.efficiency;
            sweep.peak = i;
        }
    }
    sweep.takesCharge = most >= kWorthCharging;
    return sweep;
}

const ChargePoint& slowestGood(const Charger& charger, const Sweep& sweep) {
    const double good = kStillGood * sweep.points[sweep.peak].efficiency;
    return *std::find_if(sweep.points.begin(), sweep.points.end(), [&](const ChargePoint& point) {
        return isPractical(point.amps / charger.area()) && point.efficiency >= good;
    });
}

/// The last current from the peak on that nothing speaks against.
void findFastest(const Charger& charger, const Sweep& sweep, const ChargeCaps& caps, Charging& charging) {
    const double peakEfficiency = sweep.points[sweep.peak].efficiency;
    // A cap may lie below the current that stores best.
    std::size_t good = sweep.peak;
    while (good > 0 && charger.limitAt(sweep.points[good], peakEfficiency, caps) != ChargeLimit::None &&
           sweep.points[good - 1].efficiency >= kStillGood * peakEfficiency) {
        --good;
    }
    ChargeLimit limit = charger.limitAt(sweep.points[good], peakEfficiency, caps);
    while (limit == ChargeLimit::None && good + 1 < sweep.points.size()) {
        limit = charger.limitAt(sweep.points[good + 1], peakEfficiency, caps);
        good += limit == ChargeLimit::None ? 1 : 0;
    }
    charging.bestLimit = limit;
    charging.best = sweep.points[good];
    if (limit == ChargeLimit::None || good + 1 >= sweep.points.size()) {
        return;
    }
    double low = std::log(sweep.points[good].amps);
    double high = std::log(sweep.points[good + 1].amps);
    constexpr int kHalvings = 12; // of the step between two points of the sweep
    for (int i = 0; i < kHalvings; ++i) {
        const double middle = 0.5 * (low + high);
        const ChargePoint point = charger.pointAt(std::exp(middle));
        if (charger.limitAt(point, peakEfficiency, caps) == ChargeLimit::None) {
            low = middle;
            charging.best = point;
        } else {
            high = middle;
        }
    }
}

/// From the slowest to the fastest good charge; a cell that has to be charged more slowly than anybody waits takes none.
void findWindow(const Charger& taking, const Charger* full, double coulombs, const Sweep& sweep,
                Charging& charging) {
    const ChargePoint& least = slowestGood(taking, sweep);
    Charging found = charging;
    found.floorVolts = std::max(charging.restVolts, least.storedVolts);
    ChargeCaps caps{found.floorVolts, std::nullopt, std::nullopt};
    if (full != nullptr) {
        found.gassingVolts = full->voltsAt(coulombs / (kGassingHours * kHour));
        // What wastes more by itself than that would bring is not kept full by it.
        const double floating = full->voltsAt(coulombs / (kFloatHours * kHour));
        if (floating > found.restVolts) {
            found.floatVolts = floating;
        }
        if (least.volts < *found.gassingVolts) {
            caps.volts = *found.gassingVolts;
        }
        caps.amps = kSpentShare * coulombs / kHour;
    }
    findFastest(taking, sweep, caps, found);
    if (found.best->amps < kSlowestDensity * taking.area()) {
        charging.possible = false;
        return;
    }
    found.least = found.best->amps < least.amps ? *found.best : least;
    charging = std::move(found);
}

double gentleAmps(const Charger& taking, const Charging& charging) {
    const double most = std::min(charging.best->amps, kFastestStoreDensity * taking.area());
    return std::max(charging.least->amps, std::min(most, taking.ampsAt(charging.floorVolts + kGentleVolts)));
}

/// No supply that says nothing of its voltage gives more than a hobbyist's does.
double askedAmps(const design::ChargeDesign& design, const Charger& charger) {
    const double most = charger.ampsAt(design.volts.value_or(kHighestSupplyVolts));
    return design.amps ? std::min(*design.amps, most) : most;
}

state::Contents used(const cell::CompiledCell& compiled, const Evaluation& evaluation, double coulombs) {
    return state::changedTo(compiled.catalogue, compiled.cell, *evaluation.contents,
                            cell::afterUse(compiled, *evaluation.contents, evaluation.sides[0].couple,
                                           evaluation.sides[1].couple, coulombs));
}

/// Half of what the cell gives, or as much less as the liquid can still hold what comes of it: a metal with more than one
/// way to dissolve outlasts the hydroxide that the working couple binds.
state::Contents halfUsed(const cell::CompiledCell& compiled, const Evaluation& evaluation) {
    double coulombs = kSpentShare * evaluation.capacity.firstCoulombs;
    constexpr int kAttempts = 8;
    constexpr double kLess = 0.2; // of the last attempt
    for (int i = 0; i < kAttempts; ++i) {
        try {
            return used(compiled, evaluation, coulombs);
        } catch (const base::Fault&) {
            coulombs *= kLess;
        }
    }
    return *evaluation.contents;
}

} // namespace

Charging chargingOf(const Catalogue& catalogue, const Cell& cell, const Evaluation& evaluation) {
    Charging charging;
    charging.reversed = isReversed(evaluation);
    const cell::CompiledCell compiled = cell::compile(catalogue, cell);
    const Charger built(compiled, *evaluation.contents, evaluation);
    Sweep sweep = sweepOf(built);
    std::optional<Charger> used;
    const std::optional<Side> fullSide = built.fullSide();
    if ((!sweep.takesCharge || fullSide) && evaluation.capacity.firstCoulombs > 0.0) {
        used.emplace(compiled, halfUsed(compiled, evaluation), evaluation);
        // What cannot be plated back once it is used is not full now.
        sweep.takesCharge = sweep.takesCharge && used->stores(*fullSide, kUsualDensity);
        Sweep other = sweep.takesCharge ? Sweep{} : sweepOf(*used);
        if (other.takesCharge) {
            charging.state = ChargeState::HalfUsed;
            sweep = std::move(other);
        }
    }
    const bool half = charging.state == ChargeState::HalfUsed;
    const Charger& taking = half ? *used : built;
    const Charger* full = half ? &built : nullptr;
    charging.possible = sweep.takesCharge;
    charging.restVolts = taking.restVolts();
    charging.restPotentialVolts = {taking.potentialAt(Side::Negative, 0.0),
                                   taking.potentialAt(Side::Positive, 0.0)};
    charging.floorVolts = std::max(charging.restVolts, sweep.points[sweep.peak].storedVolts);
    if (charging.possible) {
        findWindow(taking, full, evaluation.capacity.firstCoulombs, sweep, charging);
    }
    const double usual = charging.possible
                             ? gentleAmps(taking, charging)
                             : std::min(kUsualDensity * taking.area(), taking.ampsAt(kHighestSupplyVolts));
    charging.gentle = detailAt(catalogue, taking, full, usual);
    if (cell.charge) {
        charging.asked = detailAt(catalogue, taking, full, askedAmps(*cell.charge, taking));
    }
    charging.curve = std::move(sweep.points);
    return charging;
}

std::optional<base::Interval> chargeVoltsDoubt(const Catalogue& catalogue, const Cell& cell,
                                               const Evaluation& evaluation, const Charging& charging,
                                               double amps, int samples, const std::stop_token& stop) {
    if (samples < 1) {
        return std::nullopt;
    }
    const double sign = charging.reversed ? -1.0 : 1.0;
    const cell::CompiledCell compiled = cell::compile(catalogue, cell);
    const state::Contents taking = underCharge(
        compiled,
        charging.state == ChargeState::HalfUsed ? halfUsed(compiled, evaluation) : *evaluation.contents,
        charging.reversed);
    std::vector<double> volts(static_cast<std::size_t>(samples));
    for (std::size_t i = 0; i < volts.size(); ++i) {
        if (stop.stop_requested()) {
            return std::nullopt;
        }
        const cell::CompiledCell world =
            cell::compile(catalogue, cell, electrode::Draw::sampled(1, i, volts.size()));
        const cell::Polarisation curve(world, taking, electrode::Moment::Settled);
        volts[i] = sign * curve.voltsAt(-sign * amps);
    }
    const cell::Polarisation nominal(compiled, taking, electrode::Moment::Settled);
    return base::centralSpan(std::move(volts), sign * nominal.voltsAt(-sign * amps));
}

} // namespace anodex::charge
