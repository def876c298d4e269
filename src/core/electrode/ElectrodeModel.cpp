#include "core/electrode/ElectrodeModel.h"

#include "core/base/Constants.h"
#include "core/electrode/Nernst.h"
#include "core/electrode/PorousLayer.h"

#include <algorithm>
#include <cmath>

namespace anodex::electrode {
namespace {

using chemistry::Branch;
using chemistry::Reaction;
using chemistry::ReferenceKind;
using chemistry::SpeciesIndex;
using chemistry::SurfaceKinetics;

constexpr double kPresent = 1e-6; // activity from which a species acts on a surface (from memory)
constexpr double kLnNoActivity = -30.0 * base::kLn10; // keeps a logarithm finite
// ln of the activity below which a reference moves no further (from memory)
constexpr double kLnLeastShifting = -16.0 * base::kLn10;
// Acidities that rates were measured at; beyond, their doubt doubles with every unit (estimate).
constexpr double kMeasuredFromPh = -2.0;
constexpr double kMeasuredToPh = 15.5;
const double kLnDoubtPerPh = std::log(2.0);
constexpr double kLowestVolts = -30.0;    // no couple comes near these ends
constexpr double kHighestVolts = 30.0;    // nor this one
constexpr double kVoltsTolerance = 1e-11; // of the searches
constexpr double kLeastOther = 0.05;      // of both slopes that the branch not stored keeps

/// What a reaction meets in the liquid, whatever phase it runs on.
class RouteBuilder {
public:
    RouteBuilder(const Situation& here, std::size_t reactionIndex, double acidityShift)
        : m_here(here), m_acidityShift(acidityShift), m_parameters(here.parameters.reactions[reactionIndex]),
          m_reaction(*m_parameters.reaction),
          m_anodicAbsent(absentReactant(here, m_parameters, Branch::Anodic).has_value()),
          m_cathodicAbsent(absentReactant(here, m_parameters, Branch::Cathodic).has_value()) {}

    /// Works out what every route of the reaction shares, once.
    void prepare(Supplies& supplies) {
        if (!m_prepared) {
            m_prepared = true;
            m_equilibrium = nernstVolts(m_parameters, m_here.atFace());
            m_anodicSupply = supplies.limit(m_parameters, Branch::Anodic);
            m_cathodicSupply = supplies.limit(m_parameters, Branch::Cathodic);
        }
    }

    [[nodiscard]] Route build(const RouteParameters& parameters) const {
        const SurfaceKinetics& kinetics = *parameters.kinetics;
        Route route;
        route.reaction = parameters.reaction;
        route.phase = parameters.phase;
        route.equilibriumVolts = m_equilibrium;
        const double temperature = m_here.temperatureKelvin();
        const bool storedAnodic = kinetics.storedBranch == Branch::Anodic;
        const double stored = base::kLn10 / (kinetics.slopeVolts * temperature / base::kStandardTemperature);
        const double both = base::kLn10 * m_reaction.electrons /
                            (m_reaction.rateDeterminingRepeats * base::nernstDecadeVolts(temperature));
        const double other = std::max(both - stored, kLeastOther * both);
        RateLaw& law = route.law;
        law.equilibriumVolts = m_equilibrium;
        law.anodicPerVolt = storedAnodic ? stored : other;
        law.cathodicPerVolt = storedAnodic ? other : stored;
        law.lnExchange = lnExchange(parameters, stored, storedAnodic);
        law.anodicLimit = anodicLimit(parameters);
        law.cathodicLimit =
            std::min(m_cathodicSupply * parameters.geometricAreaM2, parameters.cathodicLimitAmps);
        // What nobody put in cannot be used up, though its build-up at the electrode sets the potential.
        law.anodicOnly = (kinetics.oneWay && storedAnodic) || m_cathodicAbsent;
        law.cathodicOnly = (kinetics.oneWay && !storedAnodic) || (m_anodicAbsent && !kinetics.onTraces);
        law.porousCrossover = parameters.porousCrossover;
        block(route, kinetics);
        return route;
    }

    /// Neither side of the couple, or nothing of what this route needs, was ever poured in: no news to
    /// anyone.
    [[nodiscard]] bool isUnheardOf(const SurfaceKinetics& kinetics) const {
        const auto& solution = m_here.atFace();
        return (m_anodicAbsent && m_cathodicAbsent) ||
               std::any_of(kinetics.needs.begin(), kinetics.needs.end(),
                           [&](SpeciesIndex species) { return solution.activity[species] <= 0.0; });
    }

private:
    /// Bare and covered face work side by side, A.
    [[nodiscard]] double anodicLimit(const RouteParameters& parameters) const {
        const double covered = m_here.held().filmCoverage;
        const double supply = m_anodicSupply * parameters.geometricAreaM2;
        const double bare = std::min(supply, parameters.anodicLimitAmps);
        const double grown = std::min(supply, parameters.grownLimitAmps);
        return covered < 1.0 ? (1.0 - covered) * bare + (covered > 0.0 ? covered * grown : 0.0) : grown;
    }

    [[nodiscard]] double lnExchange(const RouteParameters& parameters, double storedPerVolt,
                                    bool storedAnodic) const {
        const SurfaceKinetics& kinetics = *parameters.kinetics;
        const auto& solution = m_here.atFace();
        const double temperature = m_here.temperatureKelvin();
        double lnRate = parameters.lnRate;
        lnRate -= kinetics.activationJoulesPerMole / base::kGasConstant *
                  (1.0 / temperature - 1.0 / base::kStandardTemperature);
        lnRate += parameters.beyondUnit * kLnDoubtPerPh *
                  std::max({kMeasuredFromPh - solution.pH, solution.pH - kMeasuredToPh, 0.0});
        for (const ActivityTerm& order : parameters.orders) {
            lnRate += order.count * std::max(lnActivityOrTrace(order, solution), kLnNoActivity);
        }
        double covered = 0.0;
        for (const chemistry::Inhibitor& inhibitor : kinetics.inhibitors) {
            covered += solution.activity[inhibitor.species] / inhibitor.halfActivity;
        }
        lnRate -= std::log1p(covered);
        double reference = m_equilibrium;
        if (kinetics.reference == ReferenceKind::Standard) {
            reference = standardVolts(m_parameters, temperature);
        } else if (kinetics.reference == ReferenceKind::Absolute) {
            reference = parameters.referenceVolts;
            for (const chemistry::ReferenceShift& shift : kinetics.referenceShifts) {
                const double ln = std::max(solution.lnActivity[shift.species], kLnLeastShifting);
                reference += shift.voltsPerDecade * (ln - std::log(shift.atActivity)) / base::kLn10;
            }
        }
        return lnRate + (storedAnodic ? 1.0 : -1.0) * storedPerVolt * (m_equilibrium - reference);
    }

    void block(Route& route, const SurfaceKinetics& kinetics) const {
        const auto& solution = m_here.atFace();
        for (const SpeciesIndex species : kinetics.absentWith) {
            if (solution.activity[species] > kPresent) {
                route.blocked = Blocked::Film;
                return;
            }
        }
        const double pH = solution.pH + m_acidityShift;
        if (pH < kinetics.window.low || pH > kinetics.window.high) {
            route.blocked = Blocked::Film;
            return;
        }
        for (const SpeciesIndex species : kinetics.needs) {
            if (solution.activity[species] < kPresent) {
                route.blocked = Blocked::NoReactant;
                route.missing = species;
                return;
            }
        }
    }

    const Situation& m_here;
    double m_acidityShift;
    const ReactionParameters& m_parameters;
    const Reaction& m_reaction;
    bool m_anodicAbsent;
    bool m_cathodicAbsent;
    bool m_prepared = false;
    double m_equilibrium = 0.0;
    double m_anodicSupply = 0.0;   // A/m²
    double m_cathodicSupply = 0.0; // A/m²
};

} // namespace

base::Sloped Route::at(double volts) const {
    if (blocked != Blocked::No) {
        return {};
    }
    const base::Sloped own = law.at(volts);
    if (takenShare == 0.0) {
        return own;
    }
    return own.value > 0.0 ? base::Sloped{-takenShare * own.value, -takenShare * own.slope} : base::Sloped{};
}

ElectrodeModel::ElectrodeModel(const Situation& here, double seconds, double acidityShift) {
    bind(here, seconds, acidityShift);
}

void ElectrodeModel::bind(const Situation& here, double seconds, double acidityShift) {
    m_routes.clear();
    m_running.clear();
    m_routes.reserve(2 * here.parameters.routes.size()); // each may have a parasite
    m_running.reserve(here.parameters.routes.size());
    Supplies supplies(here, seconds);
    std::optional<RouteBuilder> builder;
    std::size_t built = 0;
    for (const RouteParameters& parameters : here.parameters.routes) {
        if (!builder || built != parameters.reaction) {
            builder.emplace(here, parameters.reaction, acidityShift);
            built = parameters.reaction;
        }
        if (builder->isUnheardOf(*parameters.kinetics)) {
            continue;
        }
        builder->prepare(supplies);
        const Route route = builder->build(parameters);
        m_routes.push_back(route);
        if (route.blocked != Blocked::No) {
            continue;
        }
        const auto& parasite = parameters.kinetics->parasite;
        if (parasite) {
            Route taking = route;
            taking.host = route.reaction;
            taking.reaction = parasite->reaction;
            taking.takenShare = parasite->share;
            taking.equilibriumVolts =
                nernstVolts(here.parameters.reactions[parasite->reaction], here.atFace());
            m_routes.push_back(taking);
        }
        m_running.push_back({route.law, parasite ? 1.0 - parasite->share : 1.0});
    }
    m_capacitancePerSecond = std::isinf(seconds) ? 0.0 : chargedFarads(here, seconds) / seconds;
    m_residual = 0.0;
}

base::Sloped ElectrodeModel::at(double volts) const {
    base::Sloped sum{m_capacitancePerSecond * (volts - m_doubleLayerVolts) - m_residual,
                     m_capacitancePerSecond};
    for (const Running& running : m_running) {
        const base::Sloped route = running.law.at(volts);
        const double share = route.value > 0.0 ? running.toLeads : 1.0;
        sum.value += share * route.value;
        sum.slope += share * route.slope;
    }
    return sum;
}

/// Where every route that runs one way has ended and none that runs the other way has begun, the middle of that
/// span: the same whatever was asked before.
double ElectrodeModel::restVolts() const {
    const auto edge = [&](const auto& isAbove) {
        double low = kLowestVolts;
        double high = kHighestVolts;
        while (high - low > kVoltsTolerance) {
            const double middle = 0.5 * (low + high);
            (isAbove(currentAt(middle)) ? high : low) = middle;
        }
        return 0.5 * (low + high);
    };
    base::RootOptions options;
    options.lowest = kLowestVolts;
    options.highest = kHighestVolts;
    options.tolerance = kVoltsTolerance;
    const double found =
        base::rootOfRisingBySlope([&](double volts) { return at(volts); }, m_lastVolts, options);
    constexpr double kBeside = 1e-6; // V
    if (currentAt(found - kBeside) != 0.0 && currentAt(found + kBeside) != 0.0) {
        return found;
    }
    return 0.5 *
           (edge([](double amps) { return amps >= 0.0; }) + edge([](double amps) { return amps > 0.0; }));
}

double ElectrodeModel::potentialAt(double amps) const {
    base::RootOptions options;
    options.lowest = kLowestVolts;
    options.highest = kHighestVolts;
    options.tolerance = kVoltsTolerance;
    if (amps == 0.0) {
        m_lastVolts = restVolts();
        return m_lastVolts;
    }
    m_lastVolts = base::rootOfRisingBySlope(
        [&](double volts) {
            const base::Sloped here = at(volts);
            return base::Sloped{here.value - amps, here.slope};
        },
        m_lastVolts, options); // along a curve the next answer lies near the last
    return m_lastVolts;
}

void ElectrodeModel::startFrom(double restVolts, double doubleLayerVolts) {
    m_doubleLayerVolts = restVolts;
    m_residual = 0.0;
    m_residual = currentAt(restVolts);
    m_doubleLayerVolts = doubleLayerVolts;
    m_lastVolts = restVolts;
}

} // namespace anodex::electrode
