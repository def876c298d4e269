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

FacedElectrode::Balance FacedElectrode::balanceAt(const Seat& seat) const {
    const Point& lower = point(seat.step);
    const Flows low = lower.model.flowsAt(seat.volts);
    Flows flows = low;
    Balance balance;
    double drive = lower.drive;
    double drivePerShare = 0.0;
    double hydroxidePerShare = 0.0;
    double gasPerShare = 0.0;
    if (seat.share > 0.0) {
        const Point& upper = point(seat.step + 1);
        const Flows high = upper.model.flowsAt(seat.volts);
        const auto mixed = [&](double a, double b) { return a + seat.share * (b - a); };
        const auto both = [&](const base::Sloped& a, const base::Sloped& b) {
            return base::Sloped{mixed(a.value, b.value), mixed(a.slope, b.slope)};
        };
        flows = {both(low.amps, high.amps), both(low.hydroxide, high.hydroxide), both(low.gas, high.gas)};
        drive = mixed(lower.drive, upper.drive);
        drivePerShare = upper.drive - lower.drive;
        gasPerShare = high.gas.value - low.gas.value;
        balance.ampsPerShare = high.amps.value - low.amps.value;
        hydroxidePerShare = high.hydroxide.value - low.hydroxide.value;
    }
    const double stirring = m_ampsPerDriveAndGas * std::sqrt(flows.gas.value);
    const double perGas = flows.gas.value > 0.0 ? 0.5 * stirring * drive / flows.gas.value : 0.0;
    const double perDrive = m_ampsPerDrive + stirring;
    balance.amps = withDoubleLayer(flows.amps, seat.volts);
    balance.excess = perDrive * drive - flows.hydroxide.value + m_hydroxideOffset;
    balance.excessPerVolt = perGas * flows.gas.slope - flows.hydroxide.slope;
    balance.excessPerShare = perGas * gasPerShare + perDrive * drivePerShare - hydroxidePerShare;
    return balance;
}

base::Sloped FacedElectrode::withDoubleLayer(const base::Sloped& routes, double volts) const {
    return {routes.value + m_capacitancePerSecond * (volts - m_doubleLayerVolts) - m_residual,
            routes.slope + m_capacitancePerSecond};
}

/// Where it sits while its face is held.
Seat FacedElectrode::atFace(int step, double share, double amps, double tolerance) const {
    const ElectrodeModel& lower = point(step).model;
    const ElectrodeModel* upper = share > 0.0 ? &point(step + 1).model : nullptr;
    const auto current = [&](double volts) {
        base::Sloped routes = lower.at(volts);
        if (upper != nullptr) {
            const base::Sloped high = upper->at(volts);
            routes.value += share * (high.value - routes.value);
            routes.slope += share * (high.slope - routes.slope);
        }
        return withDoubleLayer(routes, volts);
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
    seat.volts = smooth(way, low.seat.volts, low.seat.voltsPerAmp * span, high.seat.volts,
                        high.seat.voltsPerAmp * span);
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
    if (!near) {
        near = nearBy(atFace(m_last.step, m_last.share, amps, kRoughVolts), amps);
    }
    return near ? *near : searched(amps);
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
        Partial partial{seat.share < 0.5 ? lower[i] : upper[i],
                        (1.0 - seat.share) * lower[i].current(seat.volts) +
                            seat.share * upper[i].current(seat.volts)};
        if (partial.amps != 0.0) {
            partial.route.blocked = Blocked::No;
        }
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
    return under;
}

} // namespace anodex::electrode
