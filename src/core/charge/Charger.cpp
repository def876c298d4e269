#include "core/charge/Charger.h"

#include "core/base/RootFinding.h"

#include <algorithm>
#include <cmath>

namespace anodex::charge {
namespace {

using chemistry::Branch;
using design::Side;

constexpr int kPointsPerDecade = 6;      // of the sweep of currents
constexpr double kLoosePlating = 0.5;    // of the limiting current
constexpr double kHeatShare = 0.5;       // of the floor lost on top of it
constexpr double kLeastLoss = 0.5;       // V that a charge may always lose
constexpr double kLeastDifference = 0.1; // V between the couples that are driven back
constexpr double kCoversSoon = 0.05;     // of the current (estimate)

double chargedArea(const design::Cell& cell) {
    return std::min(cell.electrodes[0].areaM2, cell.electrodes[1].areaM2);
}

} // namespace

state::Contents underCharge(const cell::CompiledCell& compiled, state::Contents contents, bool reversed) {
    contents.state.electrodes[reversed ? 0 : 1].filmCoverage = 1.0;
    const Side minus = reversed ? Side::Positive : Side::Negative;
    const auto& routes = compiled.electrode(minus).routes;
    if (std::none_of(routes.begin(), routes.end(), [](const electrode::RouteParameters& route) {
            return route.kinetics->freshDivides > 1.0;
        })) {
        return contents;
    }
    const electrode::FacedElectrode face(compiled.at(minus, contents),
                                         electrode::secondsOf(electrode::Moment::Settled));
    const auto& asked = compiled.cell.charge;
    const bool isCurrent = asked && asked->amps && !asked->volts;
    const double amps = std::max(kUsualDensity * chargedArea(compiled.cell), isCurrent ? *asked->amps : 0.0);
    double plated = 0.0;
    for (const auto& [route, current] : face.partialsAt(face.seatAt(-amps))) {
        const bool own = makes(compiled.catalogue, route.reaction, route.phase);
        plated += own && platesMetal(compiled.catalogue, route.reaction) ? std::max(0.0, -current) : 0.0;
    }
    if (plated > kCoversSoon * amps) {
        contents.state.electrodes[static_cast<std::size_t>(minus)].freshCoverage = 1.0;
    }
    return contents;
}

bool isReversed(const cell::Evaluation& evaluation) {
    constexpr double kEither = 0.01; // V
    return evaluation.openCircuitVolts < -kEither;
}

Charger::Charger(const cell::CompiledCell& compiled, const state::Contents& contents,
                 const cell::Evaluation& evaluation)
    : m_catalogue(compiled.catalogue), m_evaluation(evaluation),
      m_contents(underCharge(compiled, contents, isReversed(evaluation))),
      m_sign(isReversed(evaluation) ? -1.0 : 1.0), m_curve(compiled, m_contents, electrode::Moment::Settled),
      m_area(chargedArea(compiled.cell)) {
    // A side holds nothing up only where the other one lacks what this one has, or where both have the same.
    const bool drives = evaluation.drives();
    m_full = {isFull(Side::Negative) && !(drives && holdsItsSolid(Side::Positive)),
              isFull(Side::Positive) && !(drives && holdsItsSolid(Side::Negative))};
}

double Charger::ampsAt(double volts) const {
    if (volts <= restVolts()) {
        return 0.0;
    }
    base::RootOptions options;
    options.lowest = 0.0;
    options.highest = kHighestChargeDensity * m_area;
    options.step = kLowestChargeDensity * m_area;
    options.tolerance = 1e-9 * m_area;
    return base::rootOfRisingBySlope(
        [&](double amps) {
            const base::Sloped here = m_curve.at(-m_sign * amps);
            return base::Sloped{m_sign * here.value - volts, -here.slope};
        },
        0.0, options);
}

Branch Charger::branchOf(Side side) const {
    return (side == Side::Positive) == (m_sign > 0.0) ? Branch::Anodic : Branch::Cathodic;
}

/// A metal that stays where it plated: what the side is made of gives current before it does.
bool Charger::platesTooNoble(Side side, const electrode::Route& route) const {
    constexpr double kNobler = 0.1; // V above where the side rests
    return branchOf(side) == Branch::Cathodic && platesMetal(m_catalogue, route.reaction) &&
           route.reaction != m_evaluation.side(side).couple.reaction &&
           route.equilibriumVolts > m_evaluation.side(side).restVolts + kNobler;
}

std::vector<ChargeReaction> Charger::reactionsAt(Side side, const electrode::Seat& seat) const {
    const double direction = branchOf(side) == Branch::Anodic ? 1.0 : -1.0;
    std::vector<ChargeReaction> reactions;
    for (const auto& [route, current] : m_curve.electrode(side).partialsAt(seat)) {
        const double amps = direction * current;
        const std::size_t reaction = route.reaction;
        const auto same =
            std::find_if(reactions.begin(), reactions.end(),
                         [reaction](const ChargeReaction& r) { return r.reaction == reaction; });
        if (same != reactions.end()) {
            same->amps += amps;
        } else {
            const Fate fate =
                platesTooNoble(side, route)
                    ? Fate::Lost
                    : fateOf(m_catalogue, route.reaction, branchOf(side), m_evaluation.side(side).couple);
            reactions.push_back({route.reaction, route.equilibriumVolts, amps, fate});
        }
    }
    std::sort(reactions.begin(), reactions.end(),
              [](const ChargeReaction& a, const ChargeReaction& b) { return a.amps > b.amps; });
    return reactions;
}

ChargePoint Charger::pointAt(double amps) const {
    const std::array<electrode::Seat, 2> seats{seatAt(Side::Negative, amps), seatAt(Side::Positive, amps)};
    ChargePoint point{amps, m_sign * m_curve.between(seats[0], seats[1], -m_sign * amps).value, {}, {}, 0.0,
                      0.0};
    std::array<Kept, 2> kept;
    for (const Side side : {Side::Negative, Side::Positive}) {
        const auto index = static_cast<std::size_t>(side);
        point.potentialVolts[index] = seats[index].volts;
        kept[index] = keptAt(side, amps, seats[index]);
        point.storedShare[index] = kept[index].share;
    }
    const bool any = std::max(kept[0].stored, kept[1].stored) >= kWorthCharging;
    if (any && kept[0].coupleVolts && kept[1].coupleVolts) {
        point.storedVolts = m_sign * (*kept[1].coupleVolts - *kept[0].coupleVolts);
    }
    if (point.storedVolts > kLeastDifference) {
        const auto share = [&](std::size_t index) {
            return m_full[index] ? std::max(0.0, 1.0 - kept[index].wasted) : kept[index].share;
        };
        point.efficiency = std::min(share(0), share(1));
    }
    return point;
}

ChargeLimit Charger::limitAt(const ChargePoint& point, double bestEfficiency, const ChargeCaps& caps) const {
    if (point.efficiency < kStillGood * bestEfficiency) {
        return ChargeLimit::SideReactions;
    }
    if (platingShare(point) > kLoosePlating) {
        return ChargeLimit::Plating;
    }
    if (caps.volts && point.volts > *caps.volts) {
        return ChargeLimit::Gassing;
    }
    if (caps.amps && point.amps > *caps.amps) {
        return ChargeLimit::Missing;
    }
    return point.volts - caps.floorVolts > std::max(kHeatShare * caps.floorVolts, kLeastLoss)
               ? ChargeLimit::Resistance
               : ChargeLimit::None;
}

std::vector<ChargePoint> Charger::sweep() const {
    std::vector<ChargePoint> points;
    constexpr double kFarAbove = 3.0; // V
    const double rest = restVolts();
    const int last = static_cast<int>(std::lround(std::log10(kHighestChargeDensity / kLowestChargeDensity))) *
                     kPointsPerDecade;
    for (int i = 0; i <= last; ++i) {
        const double decades = static_cast<double>(i) / kPointsPerDecade;
        points.push_back(pointAt(kLowestChargeDensity * m_area * std::pow(10.0, decades)));
        if (points.back().volts > rest + kFarAbove) {
            break;
        }
    }
    return points;
}

Charger::Kept Charger::keptAt(Side side, double amps, const electrode::Seat& seat) const {
    Kept kept;
    for (const ChargeReaction& reaction : reactionsAt(side, seat)) {
        if (amps <= 0.0) {
            continue;
        }
        if (reaction.fate == Fate::Lost) {
            const bool gas = m_catalogue.reactions[reaction.reaction].gasSign != 0;
            kept.wasted += gas ? 0.0 : std::max(0.0, reaction.amps / amps);
            continue;
        }
        kept.share += reaction.amps / amps;
        kept.wasted += std::max(0.0, -reaction.amps / amps);
        kept.stored += reaction.fate == Fate::Stored ? reaction.amps / amps : 0.0;
        if (!kept.coupleVolts && reaction.amps >= 0.5 * kWorthCharging * amps) {
            kept.coupleVolts = reaction.equilibriumVolts;
        }
    }
    kept.share = std::clamp(kept.share, 0.0, 1.0);
    if (m_full[static_cast<std::size_t>(side)]) {
        kept.coupleVolts = m_evaluation.side(side).equilibriumVolts;
    }
    return kept;
}

bool Charger::isFull(Side side) const {
    constexpr double kTried[] = {0.1, 3.0, 100.0}; // A/m²
    return holdsItsSolid(side) && std::none_of(std::begin(kTried), std::end(kTried),
                                               [&](double density) { return stores(side, density); });
}

bool Charger::stores(Side side, double density) const {
    const double amps = density * m_area;
    return keptAt(side, amps, seatAt(side, amps)).stored >= kWorthCharging;
}

std::optional<Side> Charger::fullSide() const {
    for (const Side side : {Side::Negative, Side::Positive}) {
        if (m_full[static_cast<std::size_t>(side)]) {
            return side;
        }
    }
    return std::nullopt;
}

/// The discharge couple lives on a solid that the electrode has: nothing has to be stored on that side.
bool Charger::holdsItsSolid(Side side) const {
    const auto& reagents = m_evaluation.capacity.reagents;
    return std::any_of(reagents.begin(), reagents.end(), [&](const cell::Reagent& reagent) {
        return reagent.side == side && reagent.moles > 0.0 &&
               m_catalogue.species[reagent.species].formula.phase == chemistry::Phase::Solid;
    });
}

double Charger::platingShare(const ChargePoint& point) const {
    double most = 0.0;
    for (const Side side : {Side::Negative, Side::Positive}) {
        if (branchOf(side) != Branch::Cathodic) {
            continue;
        }
        for (const auto& [route, current] : partialsAt(side, point.amps)) {
            const double amps = -current;
            if (route.blocked == electrode::Blocked::No && amps > 0.0 &&
                platesMetal(m_catalogue, route.reaction)) {
                most = std::max(most, amps / route.law.cathodicLimit);
            }
        }
    }
    return most;
}

} // namespace anodex::charge
