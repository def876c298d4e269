#include "core/cell/Evaluation.h"

#include "core/base/Constants.h"
#include "core/base/Fault.h"
#include "core/cell/AirAround.h"
#include "core/cell/Crossover.h"
#include "core/cell/Heat.h"
#include "core/cell/Idle.h"
#include "core/electrode/Nernst.h"

#include <algorithm>
#include <cmath>

namespace anodex::cell {
namespace {

using chemistry::Branch;
using chemistry::Catalogue;
using design::Cell;
using design::Side;
using electrode::Blocked;
using electrode::FacedElectrode;
using electrode::Moment;
using electrode::Partial;
using electrode::Route;
using electrode::Seat;

bool consumesSolid(const Catalogue& catalogue, const chemistry::Reaction& reaction) {
    return std::any_of(reaction.terms.begin(), reaction.terms.end(), [&](const chemistry::SpeciesTerm& term) {
        return term.count > 0.0 && catalogue.species[term.species].formula.phase == chemistry::Phase::Solid;
    });
}

bool makesHydrogen(const Catalogue& catalogue, const chemistry::Reaction& reaction) {
    return std::any_of(reaction.terms.begin(), reaction.terms.end(), [&](const chemistry::SpeciesTerm& term) {
        return term.count > 0.0 && term.species == catalogue.key.hydrogenGas;
    });
}

void listCompeting(const FacedElectrode& model, const Seat& seat, SideResult& side) {
    for (const auto& [route, amps] : model.partialsAt(seat)) {
        if (route.blocked != Blocked::No && route.takenShare > 0.0) {
            continue; // of what does not run nothing is taken
        }
        const std::size_t reaction = route.reaction;
        auto found =
            std::find_if(side.competing.begin(), side.competing.end(),
                         [reaction](const CompetingReaction& entry) { return entry.reaction == reaction; });
        if (found == side.competing.end()) {
            side.competing.push_back({route.reaction, route.equilibriumVolts, 0.0, route.blocked, {}});
            found = side.competing.end() - 1;
        }
        if (route.blocked == Blocked::No) {
            found->blocked = Blocked::No;
            found->amps += amps;
        } else if (route.blocked == Blocked::Film && found->blocked == Blocked::NoReactant) {
            // A way that only a film bars is nearer than one that lacks its reagent.
            found->blocked = Blocked::Film;
            found->missing.reset();
        } else if (route.blocked == Blocked::NoReactant && found->blocked == Blocked::NoReactant) {
            found->missing = route.missing;
        }
    }
    std::sort(side.competing.begin(), side.competing.end(),
              [](const CompetingReaction& a, const CompetingReaction& b) {
                  return std::abs(a.amps) > std::abs(b.amps);
              });
    // Two that hold each other in balance differ by rounding alone: the one that oxidises stands first.
    constexpr double kAlike = 1e-6; // of their current
    for (std::size_t i = 1; i < side.competing.size(); ++i) {
        CompetingReaction& before = side.competing[i - 1];
        CompetingReaction& after = side.competing[i];
        const bool alike = std::abs(before.amps + after.amps) < kAlike * std::abs(before.amps);
        if (alike && before.amps < 0.0) {
            std::swap(before, after);
        }
    }
}

/// A couple that needs a dissolved reagent nobody put in can only run the other way; where it does not even
/// do that, the ladder says so.
void markAbsent(const electrode::Situation& here, SideResult& side) {
    const electrode::Stock stock(here);
    for (CompetingReaction& entry : side.competing) {
        const electrode::ReactionParameters& reaction = here.parameters.reactions[entry.reaction];
        const Branch wanted = here.parameters.side == Side::Negative ? Branch::Anodic : Branch::Cathodic;
        const auto absent = stock.lacking(reaction, wanted);
        constexpr double kRunning = 1e-9; // A
        if (entry.blocked == Blocked::No && absent && std::abs(entry.amps) < kRunning) {
            entry.blocked = Blocked::NoReactant;
            entry.missing = *absent;
        }
    }
}

/// A film's limit is no sharper than this; the surface also differs from the liquid by as much.
constexpr double kFilmEdge = 0.5; // pH

bool nearFilmEdge(const Catalogue& catalogue, const FacedElectrode& model, double pH) {
    const auto edge = [&](const chemistry::SurfaceKinetics& kinetics) {
        return std::abs(pH - kinetics.window.low) < kFilmEdge ||
               std::abs(pH - kinetics.window.high) < kFilmEdge;
    };
    const std::vector<Partial> partials = model.partialsAt(model.seatAt(0.0));
    return std::any_of(partials.begin(), partials.end(), [&](const Partial& partial) {
        const Route& route = partial.route;
        const auto& kinetics = catalogue.reactions[route.reaction].kinetics;
        return std::any_of(kinetics.begin(), kinetics.end(), [&](const chemistry::SurfaceKinetics& one) {
            return edge(one) &&
                   std::find(one.surfaces.begin(), one.surfaces.end(), route.phase) != one.surfaces.end();
        });
    });
}

/// Films near their limit may hold or not, and either state lasts: the other one's resting potential, when it
/// is another.
std::optional<double> otherFilmState(const CompiledCell& compiled, const state::Contents& contents, Side side,
                                     double restVolts) {
    constexpr double kAnotherState = 0.03; // V: less is what two specimens differ by
    std::optional<double> other;
    for (const double shift : {-kFilmEdge, kFilmEdge}) {
        const FacedElectrode model(compiled.at(side, contents), electrode::secondsOf(Moment::Settled), shift);
        const double volts = model.potentialAt(0.0);
        const double apart = std::abs(volts - restVolts);
        if (apart > kAnotherState && (!other || apart > std::abs(*other - restVolts))) {
            other = volts;
        }
    }
    return other;
}

/// Cathodic current at rest on surfaces that only the collector has.
double takenByCollector(const Catalogue& catalogue, const design::Electrode& electrode,
                        const std::vector<Partial>& partials) {
    if (!electrode.collector) {
        return 0.0;
    }
    const auto hasSurface = [&](std::size_t material, chemistry::SpeciesIndex phase) {
        const auto& surfaces = catalogue.materials[material].surfaces;
        return std::any_of(surfaces.begin(), surfaces.end(),
                           [&](const chemistry::SurfacePart& part) { return part.phase == phase; });
    };
    double amps = 0.0;
    for (const Partial& partial : partials) {
        const chemistry::SpeciesIndex phase = partial.route.phase;
        const bool mixedIn =
            std::any_of(electrode.additives.begin(), electrode.additives.end(),
                        [&](const auto& additive) { return hasSurface(additive.material, phase); });
        if (hasSurface(*electrode.collector, phase) && !hasSurface(electrode.material, phase) && !mixedIn) {
            amps += std::max(-partial.amps, 0.0);
        }
    }
    return amps;
}

/// At rest a tenth more of all cathodic currents asks for as much more anodic current.
double swayVolts(const FacedElectrode& model, const Seat& rest) {
    constexpr double kMore = 0.1; // of them
    double cathodic = 0.0;
    for (const Partial& partial : model.partialsAt(rest)) {
        cathodic += std::max(-partial.amps, 0.0);
    }
    return cathodic > 0.0 ? kMore * cathodic * rest.voltsPerAmp : 0.0;
}

SideResult sideResult(const CompiledCell& compiled, const state::Contents& contents, Side which,
                      const Polarisation& settled, double ampsAtPower, bool drives) {
    const Catalogue& catalogue = compiled.catalogue;
    const FacedElectrode& model = settled.electrode(which);
    const Seat atPower = settled.seatAt(which, ampsAtPower);
    const electrode::ElectrodeParameters& parameters = compiled.electrode(which);
    SideResult side;
    const Seat rest = model.seatAt(0.0);
    side.restVolts = rest.volts;
    // Without any load, or one that some microvolts drive one way or the other, the question is which couple would take
    // the next millivolt.
    constexpr double kNudgeVolts = 1e-3; // small against every Tafel slope
    const double shift = atPower.volts - rest.volts;
    const bool idle = !drives || std::abs(shift) <= 1e-9;
    const bool anodic = idle ? which == Side::Negative : shift > 0.0;
    Seat load = idle ? rest : atPower;
    load.volts += idle ? (anodic ? kNudgeVolts : -kNudgeVolts) : 0.0;
    side.facePh = model.facePh(rest);
    side.facePhAtPower = model.facePh(load);
    side.couple = workingCouple(catalogue, model, rest, load, anodic ? Branch::Anodic : Branch::Cathodic);
    side.equilibriumVolts =
        electrode::nernstVolts(parameters.reactions[side.couple.reaction], contents.atFace(which));
    listCompeting(model, rest, side);
    for (const CompetingReaction& entry : side.competing) {
        const chemistry::Reaction& reaction = catalogue.reactions[entry.reaction];
        if (entry.amps > 0.0 && !reaction.fades && consumesSolid(catalogue, reaction)) {
            side.corrosionAmps += entry.amps;
        }
        if (entry.amps < 0.0 && makesHydrogen(catalogue, reaction)) {
            side.hydrogenAmps -= entry.amps;
        }
    }
    side.restSwayVolts = swayVolts(model, rest);
    side.collectorAmps = takenByCollector(catalogue, compiled.cell.electrode(which), model.partialsAt(rest));
    markAbsent(compiled.at(which, contents), side);
    if (nearFilmEdge(catalogue, model, contents.atFace(which).pH)) {
        side.otherRestVolts = otherFilmState(compiled, contents, which, side.restVolts);
    }
    return side;
}

/// Short circuit and the most power of one moment, and the curve they were found on.
std::pair<MomentResult, SampledCurve> limitsOf(const Polarisation& curve, double nearVolts) {
    MomentResult limits;
    limits.shortCircuitAmps = curve.shortCircuitAmps();
    SampledCurve sampled(curve, limits.shortCircuitAmps, nearVolts);
    limits.maximumPower = sampled.maximumPower();
    return {limits, std::move(sampled)};
}

void requireFinite(const Evaluation& evaluation) {
    const std::pair<const char*, double> values[] = {
        {"thermodynamic voltage", evaluation.thermodynamicVolts},
        {"open-circuit voltage", evaluation.openCircuitVolts},
        {"junction", evaluation.junctionVolts},
        {"short circuit", evaluation.first.shortCircuitAmps},
        {"settled short circuit", evaluation.settled.shortCircuitAmps},
        {"maximum power", evaluation.first.maximumPower.watts},
        {"settled maximum power", evaluation.settled.maximumPower.watts},
        {"resistance", evaluation.resistance.totalOhm},
        {"expected capacity", evaluation.capacity.expectedCoulombs},
        {"theoretical capacity", evaluation.capacity.theoreticalCoulombs},
        {"self-discharge", evaluation.selfDischargeAmps},
        {"crossover", evaluation.crossoverAmps},
        {"drying", evaluation.dryingKgPerSecond},
        {"meter reading", evaluation.meterVolts},
        {"heat at rest", evaluation.heatAtRestWatts},
        {"heat at maximum power", evaluation.heatAtPowerWatts},
        {"hydrogen", evaluation.hydrogenM3PerSecond}};
    for (const auto& [law, value] : values) {
        if (!std::isfinite(value)) {
            throw base::Fault(base::Fault::Kind::OutsideDomain, law, value);
        }
    }
}

} // namespace

Evaluation evaluate(const CompiledCell& compiled, std::shared_ptr<const state::Contents> shared,
                    const EvaluationOptions& options) {
    const state::Contents& contents = *shared;
    const Catalogue& catalogue = compiled.catalogue;
    const Cell& cell = compiled.cell;
    const Polarisation settled(compiled, contents, Moment::Settled);
    const Polarisation first = settled.atFirst(contents);
    Evaluation evaluation;
    evaluation.contents = std::move(shared);
    evaluation.openCircuitVolts = first.openCircuitVolts();
    evaluation.junctionVolts = first.junctionVolts();
    evaluation.resistance = resistanceBudget(compiled, contents);
    const auto [limits, sampled] = limitsOf(first, SampledCurve::kToDraw);
    evaluation.first = limits;
    evaluation.curve = sampled.points(options.curvePoints);
    evaluation.settled = limitsOf(settled, SampledCurve::kToFindPower).first;
    for (const Side side : {Side::Negative, Side::Positive}) {
        evaluation.sides[static_cast<std::size_t>(side)] = sideResult(
            compiled, contents, side, settled, evaluation.settled.maximumPower.amps, evaluation.drives());
    }
    evaluation.thermodynamicVolts =
        evaluation.sides[1].equilibriumVolts - evaluation.sides[0].equilibriumVolts;
    evaluation.capacity =
        capacityOf(compiled, contents, evaluation.sides[0].couple, evaluation.sides[1].couple);
    if (!evaluation.drives()) {
        evaluation.capacity.expectedCoulombs = 0.0;
        evaluation.capacity.firstCoulombs = 0.0;
    }
    evaluation.crossoverAmps =
        crossoverAmps(compiled, contents, catalogue.reactions[evaluation.sides[1].couple.reaction]);
    evaluation.selfDischargeAmps =
        std::max(evaluation.sides[0].corrosionAmps, evaluation.sides[1].corrosionAmps) +
        evaluation.crossoverAmps;
    if (evaluation.selfDischargeAmps > 0.0 && evaluation.capacity.expectedCoulombs > 0.0) {
        evaluation.restLifeSeconds = evaluation.capacity.expectedCoulombs / evaluation.selfDischargeAmps;
    }
    evaluation.dryingKgPerSecond = dryingKgPerSecond(cell, contents);
    if (const auto dry = secondsToDry(contents, evaluation.dryingKgPerSecond)) {
        evaluation.restLifeSeconds = std::min(evaluation.restLifeSeconds.value_or(*dry), *dry);
    }
    evaluation.sharedLiquidAmps = sharedLiquidAmps(evaluation.resistance, evaluation.openCircuitVolts);
    evaluation.meterVolts = settled.voltsThrough(kMeterInputOhm);
    evaluation.heatAtRestWatts = heatWatts(catalogue, settled, 0.0);
    evaluation.heatAtPowerWatts = heatWatts(catalogue, settled, evaluation.settled.maximumPower.amps);
    const double hydrogenAmps = evaluation.sides[0].hydrogenAmps + evaluation.sides[1].hydrogenAmps;
    evaluation.hydrogenM3PerSecond = hydrogenAmps / (2.0 * base::kFaraday) * kGasM3PerMole;
    requireFinite(evaluation);
    return evaluation;
}

Evaluation evaluate(const Catalogue& catalogue, const Cell& cell, const EvaluationOptions& options) {
    return evaluate(compile(catalogue, cell),
                    std::make_shared<const state::Contents>(state::asBuilt(catalogue, cell)), options);
}

LossPart lossPartOf(ResistancePart part) {
    switch (part) {
    case ResistancePart::NegativeLiquid:
    case ResistancePart::PositiveLiquid:
    case ResistancePart::NegativePores:
    case ResistancePart::PositivePores:
    case ResistancePart::Measured:
        return LossPart::Liquid;
    case ResistancePart::Separator:
    case ResistancePart::Bridge:
        return LossPart::Separator;
    case ResistancePart::NegativeBody:
    case ResistancePart::PositiveBody:
    case ResistancePart::NegativeCollector:
    case ResistancePart::PositiveCollector:
        return LossPart::Collectors;
    case ResistancePart::NegativeTouch:
    case ResistancePart::PositiveTouch:
    case ResistancePart::Contacts:
        return LossPart::Contacts;
    }
    return LossPart::Contacts;
}

std::vector<Loss> lossesAt(const Catalogue& catalogue, const Cell& cell, const Evaluation& evaluation,
                           double amps, Moment moment) {
    const CompiledCell compiled = compile(catalogue, cell);
    const Polarisation curve(compiled, *evaluation.contents, moment);
    const double negativeShift = curve.potentialAt(Side::Negative, amps) - curve.restVolts(Side::Negative);
    const double positiveShift = curve.restVolts(Side::Positive) - curve.potentialAt(Side::Positive, amps);
    std::vector<Loss> losses = {{LossPart::Mixed, evaluation.thermodynamicVolts - curve.openCircuitVolts()},
                                {LossPart::NegativePolarisation, negativeShift},
                                {LossPart::PositivePolarisation, positiveShift}};
    const auto add = [&](LossPart part, double volts) {
        for (Loss& loss : losses) {
            if (loss.part == part) {
                loss.volts += volts;
                return;
            }
        }
        losses.push_back({part, volts});
    };
    for (const ResistanceShare& share : evaluation.resistance.shares) {
        add(lossPartOf(share.part), amps * share.ohm);
    }
    return losses;
}

} // namespace anodex::cell
