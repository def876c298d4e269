#include "core/electrode/Route.h"

#include "core/base/Constants.h"
#include "core/electrode/Nernst.h"

#include <algorithm>
#include <cmath>

namespace anodex::electrode {
namespace {

using chemistry::Branch;
using chemistry::Reaction;
using chemistry::ReferenceKind;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;
using chemistry::SurfaceKinetics;

constexpr double kPresent = 1e-6; // activity from which a species acts on a surface (from memory)
constexpr double kLnNoActivity = -30.0 * base::kLn10; // keeps a logarithm finite
// ln of the activity below which a reference moves no further (from memory)
constexpr double kLnLeastShifting = -16.0 * base::kLn10;
// Acidities that rates were measured at; beyond, their doubt doubles with every unit (estimate).
constexpr double kMeasuredFromPh = -2.0;
constexpr double kMeasuredToPh = 15.5;
const double kLnDoubtPerPh = std::log(2.0);
constexpr double kLeastOther = 0.05; // of both slopes that the branch not stored keeps

/// A reaction whose own reagent is acid or alkali finds that of the liquid: its limit counts what it uses up itself.
const liquid::Solution& metBy(const Situation& here, const ReactionParameters& parameters) {
    return parameters.usesUpItsAcidity ? here.given() : here.atFace();
}

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

RouteBuilder::RouteBuilder(const Situation& here, const ReactionParameters& parameters, Absences absent,
                           double acidityShift)
    : m_here(here), m_acidityShift(acidityShift), m_parameters(parameters),
      m_reaction(*m_parameters.reaction), m_solution(metBy(here, m_parameters)), m_absent(absent) {}

void RouteBuilder::prepare(Supplies& supplies) {
    if (!m_prepared) {
        m_prepared = true;
        m_equilibrium = nernstVolts(m_parameters, m_solution);
        const Supplies::Limits limits = supplies.limits(m_parameters);
        m_anodicSupply = limits.anodic;
        m_cathodicSupply = limits.cathodic;
        const double temperature = m_here.temperatureKelvin();
        m_perKelvinOver = 1.0 / temperature - 1.0 / base::kStandardTemperature;
        m_bothPerVolt = base::kLn10 * m_reaction.electrons /
                        (m_reaction.rateDeterminingRepeats * base::nernstDecadeVolts(temperature));
        m_inserted = supplies.inserted(m_parameters);
        findSolid(supplies);
    }
}

void RouteBuilder::build(const RouteParameters& parameters, Route& route) const {
    const SurfaceKinetics& kinetics = *parameters.kinetics;
    route.reaction = parameters.reaction;
    route.phase = parameters.phase;
    route.equilibriumVolts = m_equilibrium;
    const bool storedAnodic = kinetics.storedBranch == Branch::Anodic;
    const double stored = parameters.storedPerVolt;
    const double other = std::max(m_bothPerVolt - stored, kLeastOther * m_bothPerVolt);
    RateLaw& law = route.law;
    law.equilibriumVolts = m_equilibrium;
    law.anodicPerVolt = storedAnodic ? stored : other;
    law.cathodicPerVolt = storedAnodic ? other : stored;
    law.lnExchange = lnExchange(parameters, storedAnodic);
    law.anodicLimit = anodicLimit(parameters);
    law.cathodicLimit = cathodicLimit(parameters);
    // What nobody put in cannot be used up, though its build-up at the electrode sets the potential.
    law.anodicOnly = (kinetics.oneWay && storedAnodic) || m_absent.cathodic;
    law.cathodicOnly = (kinetics.oneWay && !storedAnodic) || (m_absent.anodic && !kinetics.onTraces);
    law.porousCrossover = parameters.porousCrossover;
    route.hydroxidePerAmp = m_reaction.hydroxidePerAmp;
    route.gasSign = m_reaction.gasSign;
    route.solubleAmps = m_solubleSupply * parameters.geometricAreaM2;
    route.solidHydroxidePerAmp = m_solidHydroxide;
    block(route, kinetics);
}

bool RouteBuilder::isUnheardOf(const SurfaceKinetics& kinetics) const {
    return std::any_of(kinetics.needs.begin(), kinetics.needs.end(),
                       [&](SpeciesIndex species) { return m_solution.activity[species] <= 0.0; });
}

/// Bare and covered face work side by side, A.
double RouteBuilder::anodicLimit(const RouteParameters& parameters) const {
    const double covered = m_here.held().filmCoverage;
    const double supply = m_anodicSupply * parameters.geometricAreaM2;
    const double bare = std::min(supply, parameters.anodicLimitAmps);
    const double grown = std::min(supply, parameters.grownLimitAmps);
    return covered < 1.0 ? (1.0 - covered) * bare + (covered > 0.0 ? covered * grown : 0.0) : grown;
}

double RouteBuilder::cathodicLimit(const RouteParameters& parameters) const {
    const double supply = m_cathodicSupply * parameters.geometricAreaM2;
    const double reached =
        std::isinf(m_inserted) || supply <= 0.0 ? supply : 1.0 / (1.0 / supply + 1.0 / m_inserted);
    return std::min(reached, parameters.cathodicLimitAmps);
}

double RouteBuilder::lnExchange(const RouteParameters& parameters, bool storedAnodic) const {
    const SurfaceKinetics& kinetics = *parameters.kinetics;
    double lnRate = parameters.lnRate - parameters.activationKelvin * m_perKelvinOver;
    lnRate += parameters.beyondUnit * kLnDoubtPerPh *
              std::max({kMeasuredFromPh - m_solution.pH, m_solution.pH - kMeasuredToPh, 0.0});
    for (const ActivityTerm& order : parameters.orders) {
        lnRate += order.count * std::max(lnActivityOrTrace(order, m_solution), kLnNoActivity);
    }
    double covered = 0.0;
    for (const chemistry::Inhibitor& inhibitor : kinetics.inhibitors) {
        // What quickens the route itself levels off where it works; all else covers as films do.
        const bool quickens =
            std::any_of(parameters.orders.begin(), parameters.orders.end(),
                        [&](const ActivityTerm& order) { return order.species == inhibitor.species; });
        const liquid::Solution& there = quickens ? m_solution : m_here.given();
        covered += there.activity[inhibitor.species] / inhibitor.halfActivity;
    }
    if (covered > 0.0) {
        lnRate -= std::log1p(covered);
    }
    if (m_here.held().freshCoverage > 0.0) {
        lnRate += std::log1p(m_here.held().freshCoverage * (1.0 / kinetics.freshDivides - 1.0));
    }
    double reference = m_equilibrium;
    if (kinetics.reference == ReferenceKind::Standard) {
        reference = standardVolts(m_parameters, m_here.temperatureKelvin());
    } else if (kinetics.reference == ReferenceKind::Absolute) {
        reference = parameters.referenceVolts;
        for (const chemistry::ReferenceShift& shift : kinetics.referenceShifts) {
            const double ln = std::max(m_solution.lnActivity[shift.species], kLnLeastShifting);
            reference += shift.voltsPerDecade * (ln - shift.lnAt) / base::kLn10;
        }
    }
    return lnRate + (storedAnodic ? 1.0 : -1.0) * parameters.storedPerVolt * (m_equilibrium - reference);
}

/// Films are what the liquid made before its face changed.
void RouteBuilder::block(Route& route, const SurfaceKinetics& kinetics) const {
    const liquid::Solution& before = m_here.given();
    for (const SpeciesIndex species : kinetics.absentWith) {
        if (before.activity[species] > kPresent) {
            route.blocked = Blocked::Film;
            return;
        }
    }
    const double pH = before.pH + m_acidityShift;
    if (pH < kinetics.window.low || pH > kinetics.window.high) {
        route.blocked = Blocked::Film;
        return;
    }
    for (const SpeciesIndex species : kinetics.needs) {
        if (before.activity[species] < kPresent) {
            route.blocked = Blocked::NoReactant;
            route.missing = species;
            return;
        }
    }
}

/// Of a metal that nobody put in, as much goes off as saturates the face.
void RouteBuilder::findSolid(Supplies& supplies) {
    for (const SpeciesTerm& term : m_reaction.terms) {
        const double taken = term.count < 0.0 ? m_solution.saturationHydroxide[term.species] : 0.0;
        if (taken > 0.0 && m_solution.activity[term.species] <= 0.0) {
            const double perIon = m_reaction.electrons / -term.count;
            m_solubleSupply = perIon * supplies.carriedOff(term.species, m_solution);
            m_solidHydroxide = taken / perIon;
        }
    }
}

} // namespace anodex::electrode
