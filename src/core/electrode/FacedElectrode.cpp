#include "core/electrode/FacedElectrode.h"

#include "core/electrode/PorousLayer.h"
#include "core/electrode/PotentialSearch.h"

#include <algorithm>
#include <cmath>

namespace anodex::electrode {
namespace {

constexpr double kLastStride = 1e-5;     // V, after which Newton's next would be of the order of its square
constexpr double kLastShare = 1e-4;      // the same
constexpr double kUnmoved = 1e-5;        // of a step: a microvolt
constexpr double kRoundingVolts = 1e-9;  // what the searches leave
constexpr double kShareTolerance = 1e-9; // of the search
constexpr double kRoughVolts = 1e-3;     // from where both balances are found together
constexpr double kNearSteps = 1.0;       // between two seats that tell of what lies between
constexpr double kLongestStride = 0.05;  // V that one step of the search goes

/// Of both balances by volts and by the share.
template <typename Balance> double determinantOf(const Balance& balance) {
    return balance.amps.slope * balance.excessPerShare - balance.ampsPerShare * balance.excessPerVolt;
}

/// With a face that goes along; endless or nothing where it has no answer.
template <typename Balance> void takeSlopes(const Balance& balance, Seat& seat) {
    if (balance.excessPerShare == 0.0) {
        seat.voltsPerAmp = 1.0 / balance.amps.slope; // a face that stays
        return;
    }
    const double determinant = determinantOf(balance);
    seat.voltsPerAmp = std::max(0.0, balance.excessPerShare / determinant);
    seat.stepsPerAmp = -balance.excessPerVolt / determinant;
}

double reachOf(const Seat& seat) {
    return seat.step + seat.share;
}

/// Between two points with the slopes there, each times the span (cubic Hermite); a line where one has no end.
double smooth(double way, double low, double lowSlope, double high, double highSlope) {
    const double line = low + way * (high - low);
    if (!std::isfinite(lowSlope) || !std::isfinite(highSlope)) {
        return line;
    }
    const double back = 1.0 - way;
    return line + way * back * (back * (lowSlope - (high - low)) - way * (highSlope - (high - low)));
}

} // namespace

FacedElectrode::FacedElectrode(const Situation& here, double seconds, double acidityShift)
    : m_here(here), m_seconds(seconds), m_acidityShift(acidityShift),
      m_titration(here.contents.titration(here.parameters.side)),
      m_ampsPerDrive(Supplies(here, seconds).perDrive() * here.electrode().areaM2),
      m_ampsPerDriveAndGas(Supplies(here, seconds).perDriveOfGas() * std::sqrt(here.electrode().areaM2)),
      m_capacitancePerSecond(std::isinf(seconds) ? 0.0 : chargedFarads(here, seconds) / seconds) {
    if (m_titration != nullptr && m_titration->highest() > 0) {
        m_unmovedAmps = kUnmoved * m_ampsPerDrive * m_titration->at(1).drive;
    }
}

const FacedElectrode::Point& FacedElectrode::point(int step) const {
    const auto known = m_points.find(step);
    if (known != m_points.end()) {
        return known->second;
    }
    Situation there = m_here;
    double drive = 0.0;
    if (step != 0) {
        const liquid::Titration::Point& titrated = m_titration->at(step);
        there.face = &titrated.solution;
        drive = titrated.drive;
    }
    return m_points.emplace(step, Point{ElectrodeModel(there, m_seconds, m_acidityShift), drive})
        .first->second;
}

Flows FacedElectrode::flowsAt(const Seat& seat) const {
    const ElectrodeModel& low = point(seat.step).model;
    return low.flowsAt(seat.volts, seat.share > 0.0 ? point(seat.step + 1).model : low, seat.share);
}

FacedElectrode::Balance FacedElectrode::balanceAt(const Seat& seat) const {
    const Flows flows = flowsAt(seat);
    const Moving carried = carriedBy(flows);
    const double low = point(seat.step).drive;
    const double drivePerShare = seat.share > 0.0 ? point(seat.step + 1).drive - low : 0.0;
    const double drive = low + seat.share * drivePerShare;
    Balance balance;
    balance.amps = withDoubleLayer({flows.amps.value, flows.amps.perVolt}, seat.volts);
    balance.ampsPerShare = flows.amps.perShare;
    balance.excess = carried.value * drive - flows.hydroxide.value + m_hydroxideOffset;
    balance.excessPerVolt = carried.perVolt * drive - flows.hydroxide.perVolt;
    balance.excessPerShare =
        carried.perShare * drive + carried.value * drivePerShare - flows.hydroxide.perShare;
    return balance;
}

/// A of hydroxide for each mol/(m s). Rising gas carries off at most what comes of its own making: what others make the same
/// way meets the layer as it is.
Moving FacedElectrode::carriedBy(const Flows& flows) const {
    const double gas = flows.gas.value;
    if (gas <= 0.0) {
        return {m_ampsPerDrive, 0.0, 0.0};
    }
    const double stirring = m_ampsPerDriveAndGas * std::sqrt(gas);
    const double beside = flows.besideGas.value;
    const double whole = flows.hydroxide.value / beside;
    if (whole > 1.0 && m_ampsPerDrive * (whole - 1.0) < stirring) {
        const auto along = [&](double Moving::*by) {
            return m_ampsPerDrive * (flows.hydroxide.*by - whole * (flows.besideGas.*by)) / beside;
        };
        return {m_ampsPerDrive * whole, along(&Moving::perVolt), along(&Moving::perShare)};
    }
    const double perGas = 0.5 * stirring / gas;
    return {m_ampsPerDrive + stirring, perGas * flows.gas.perVolt, perGas * flows.gas.perShare};
}

base::Sloped FacedElectrode::withDoubleLayer(const base::Sloped& routes, double volts) const {
    return {routes.value + m_capacitancePerSecond * (volts - m_doubleLayerVolts) - m_residual,
            routes.slope + m_capacitancePerSecond};
}

/// Where it sits while its face is held.
Seat FacedElectrode::atFace(int step, double share, double amps, double tolerance) const {
    const auto current = [&](double volts) {
        const Moving routes = flowsAt({volts, step, share}).amps;
        return withDoubleLayer({routes.value, routes.perVolt}, volts);
    };
    const bool exact = amps == 0.0 && tolerance == kVoltsTolerance;
    m_last.volts =
        exact ? restWhere(current, m_last.volts) : potentialWhere(current, amps, m_last.volts, tolerance);
    return {m_last.volts, step, share};
}

Seat FacedElectrode::heldSeatAt(double amps) const {
    Seat seat = atFace(m_before.step, m_before.share, amps, kRoughVolts);
    seat.voltsPerAmp = 1.0 / balanceAt(seat).amps.slope;
    return seat;
}

FacedElectrode::KnownAt FacedElectrode::firstFrom(double amps) const {
    return std::lower_bound(m_known.begin(), m_known.end(), amps,
                            [](const Known& known, double asked) { return known.amps < asked; });
}

/// Between two known seats not far from each other, or on the tangent at one; none where that is no guess.
std::optional<Seat> FacedElectrode::guessAt(double amps) const {
    if (m_known.empty()) {
        return std::nullopt;
    }
    const auto after = firstFrom(amps);
    const bool isBetween = after != m_known.begin() && after != m_known.end();
    if (isBetween && std::abs(reachOf(after->seat) - reachOf((after - 1)->seat)) <= kNearSteps) {
        return between(*(after - 1), *after, amps);
    }
    const bool takesNext =
        after == m_known.begin() || (isBetween && after->amps - amps < amps - (after - 1)->amps);
    const Known& nearest = takesNext ? *after : *(after - 1);
    Seat seat = nearest.seat;
    seat.volts += seat.voltsPerAmp * (amps - nearest.amps);
    return std::abs(seat.volts - nearest.seat.volts) < kLongestStride ? std::optional(seat) : std::nullopt;
}

Seat FacedElectrode::between(const Known& low, const Known& high, double amps) {
    const double span = high.amps - low.amps;
    const double way = (amps - low.amps) / span;
    const double lowReach = reachOf(low.seat);
    const double highReach = reachOf(high.seat);
    const double reach = std::clamp(
        smooth(way, lowReach, low.seat.stepsPerAmp * span, highReach, high.seat.stepsPerAmp * span),
        std::min(lowReach, highReach), std::max(lowReach, highReach));
    Seat seat;
    const double volts = smooth(way, low.seat.volts, low.seat.voltsPerAmp * span, high.seat.volts,
                                high.seat.voltsPerAmp * span);
    seat.volts = std::clamp(volts, low.seat.volts, std::max(low.seat.volts, high.seat.volts));
    seat.step = static_cast<int>(std::floor(reach));
    seat.share = reach - seat.step;
    return seat;
}

Seat FacedElectrode::seatAt(double amps) const {
    const auto known = firstFrom(amps);
    if (known != m_known.end() && known->amps == amps) {
        return known->seat;
    }
    const Seat seat = foundAt(amps);
    m_known.insert(known, {amps, seat});
    m_last = seat;
    return seat;
}

Seat FacedElectrode::foundAt(double amps) const {
    const bool moves = m_titration != nullptr && m_titration->highest() != m_titration->lowest();
    std::optional<Seat> guess = guessAt(amps);
    const auto isUnmoved = [this](const Seat& seat) {
        return seat.step == m_before.step && seat.share == m_before.share;
    };
    if (!moves || isUnmoved(guess.value_or(m_last))) {
        m_last.volts = guess ? guess->volts : m_last.volts;
        Seat seat = atFace(m_before.step, m_before.share, amps, kVoltsTolerance);
        const Balance balance = balanceAt(seat);
        seat.voltsPerAmp = 1.0 / balance.amps.slope;
        if (!moves || std::abs(balance.excess) <= m_unmovedAmps) {
            return seat;
        }
        guess = seat;
    }
    std::optional<Seat> near = guess ? nearBy(*guess, amps) : std::nullopt;
    if (!near || !fitsIn(*near, amps)) {
        near = nearBy(atFace(m_last.step, m_last.share, amps, kRoughVolts), amps);
    }
    if (near && fitsIn(*near, amps)) {
        return *near;
    }
    const Seat far = searched(amps);
    return fitsIn(far, amps) ? far : besideKnown(amps);
}

/// Where no face that balances lets the potential rise with the current: with the face that a little less or more left, or
/// on the way from the one to the other.
Seat FacedElectrode::besideKnown(double amps) const {
    const auto after = firstFrom(amps);
    const auto heldAs = [&](const Known& known) {
        Seat seat = atFace(known.seat.step, known.seat.share, amps, kVoltsTolerance);
        seat.volts = amps < known.amps ? std::min(seat.volts, known.seat.volts)
                                       : std::max(seat.volts, known.seat.volts);
        seat.voltsPerAmp = 1.0 / balanceAt(seat).amps.slope;
        return seat;
    };
    if (after == m_known.begin()) {
        return heldAs(*after);
    }
    const Seat held = heldAs(*(after - 1));
    return after == m_known.end() || fitsIn(held, amps) ? held : between(*(after - 1), *after, amps);
}

/// Among what is known: the potential rises with the current.
bool FacedElectrode::fitsIn(const Seat& seat, double amps) const {
    const auto after = firstFrom(amps);
    return (after == m_known.end() || seat.volts <= after->seat.volts + kRoundingVolts) &&
           (after == m_known.begin() || seat.volts >= (after - 1)->seat.volts - kRoundingVolts);
}

/// Both balances at once (Newton) from where it sat last, over a few acidities; none where that does not end.
std::optional<Seat> FacedElectrode::nearBy(Seat seat, double amps) const {
    constexpr int kMostCalls = 20;
    for (int call = 0; call < kMostCalls && seat.step < m_titration->highest(); ++call) {
        seat.share = std::max(seat.share, kShareTolerance);
        const Balance balance = balanceAt(seat);
        const double current = balance.amps.value - amps;
        const double determinant = determinantOf(balance);
        const double volts =
            (balance.ampsPerShare * balance.excess - balance.excessPerShare * current) / determinant;
        const double share =
            (balance.excessPerVolt * current - balance.amps.slope * balance.excess) / determinant;
        if (!std::isfinite(volts) || !std::isfinite(share) || balance.excessPerShare <= 0.0) {
            return std::nullopt;
        }
        seat.volts += std::clamp(volts, -kLongestStride, kLongestStride);
        const double wanted = seat.share + share;
        if (wanted >= 0.0 && wanted <= 1.0) {
            seat.share = wanted;
            if (std::abs(volts) <= kLastStride && std::abs(share) <= kLastShare) {
                takeSlopes(balance, seat);
                return seat;
            }
            continue;
        }
        seat.step += wanted > 1.0 ? 1 : -1;
        seat.share = wanted > 1.0 ? 0.0 : 1.0;
        if (seat.step < m_titration->lowest()) {
            return std::nullopt;
        }
    }
    return std::nullopt;
}

/// From what the face was before to where the balance turns, in strides that double.
Seat FacedElectrode::searched(double amps) const {
    Seat lower = atFace(m_before.step, 0.0, amps, kVoltsTolerance);
    const bool up = balanceAt(lower).excess < 0.0;
    const int end = up ? m_titration->highest() : m_titration->lowest();
    Seat upper = lower;
    for (int stride = 1;; stride *= 2) {
        Seat& ahead = up ? upper : lower;
        if (ahead.step == end) {
            ahead.voltsPerAmp = 1.0 / balanceAt(ahead).amps.slope;
            return ahead; // the liquid can hold no more
        }
        (up ? lower : upper) = ahead;
        ahead = atFace(up ? std::min(ahead.step + stride, end) : std::max(ahead.step - stride, end), 0.0,
                       amps, kVoltsTolerance);
        if ((balanceAt(ahead).excess < 0.0) != up) {
            break;
        }
    }
    while (upper.step - lower.step > 1) {
        const Seat middle = atFace(lower.step + (upper.step - lower.step) / 2, 0.0, amps, kVoltsTolerance);
        (balanceAt(middle).excess < 0.0 ? lower : upper) = middle;
    }
    const double below = balanceAt(lower).excess;
    const double way = below / (below - balanceAt(upper).excess);
    const auto near = nearBy({lower.volts + way * (upper.volts - lower.volts), lower.step, way}, amps);
    if (near && near->step == lower.step) {
        return *near;
    }
    base::RootOptions within;
    within.lowest = 0.0;
    within.highest = 1.0;
    within.tolerance = kShareTolerance;
    const double share = base::rootOfRising(
        [&](double tried) { return balanceAt(atFace(lower.step, tried, amps, kVoltsTolerance)).excess; }, way,
        within);
    Seat seat = atFace(lower.step, share, amps, kVoltsTolerance);
    takeSlopes(balanceAt(seat), seat);
    return seat;
}

std::vector<Partial> FacedElectrode::partialsAt(const Seat& seat) const {
    const std::vector<Route>& lower = point(seat.step).model.routes();
    const std::vector<Route>& upper = seat.share > 0.0 ? point(seat.step + 1).model.routes() : lower;
    std::vector<Partial> partials;
    for (std::size_t i = 0; i < lower.size(); ++i) {
        Partial partial{seat.share < 0.5 ? lower[i] : upper[i], 0.0};
        partial.route.law = lawBetween(lower[i].law, upper[i].law, seat.share);
        partial.amps = partial.route.current(seat.volts);
        partials.push_back(partial);
    }
    return partials;
}

double FacedElectrode::facePh(const Seat& seat) const {
    return m_here.given().pH + liquid::Titration::kStep * (seat.step + seat.share);
}

FacedElectrode FacedElectrode::loaded(double seconds, const Seat& rest, double doubleLayerVolts) const {
    FacedElectrode under(m_here, seconds, m_acidityShift);
    under.m_before = rest;
    under.m_doubleLayerVolts = rest.volts;
    // What is made and carried off at rest is balanced already, and so is what little the routes pass.
    const Balance balance = under.balanceAt(rest);
    under.m_hydroxideOffset = -balance.excess;
    under.m_residual = balance.amps.value;
    under.m_doubleLayerVolts = doubleLayerVolts;
    under.m_last = rest;
    if (doubleLayerVolts == rest.volts) {
        Known unloaded{0.0, rest};
        takeSlopes(balance, unloaded.seat);
        under.m_known.push_back(unloaded);
    }
    return under;
}

} // namespace anodex::electrode
