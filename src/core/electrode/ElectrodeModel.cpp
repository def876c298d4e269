#include "core/electrode/ElectrodeModel.h"

#include "core/electrode/Nernst.h"
#include "core/electrode/PotentialSearch.h"

namespace anodex::electrode {
namespace {

/// What takes its share of the route's current on the spot.
Route parasiteOf(const Situation& here, const Route& route, const chemistry::Parasite& parasite) {
    Route taking = route;
    taking.host = route.reaction;
    taking.reaction = parasite.reaction;
    taking.takenShare = parasite.share;
    taking.equilibriumVolts = nernstVolts(here.parameters.reactions[parasite.reaction], here.atFace());
    taking.hydroxidePerAmp = here.catalogue.reactions[parasite.reaction].hydroxidePerAmp;
    taking.solidHydroxidePerAmp = 0.0;
    taking.gasSign = here.catalogue.reactions[parasite.reaction].gasSign;
    return taking;
}

void add(const Moving& one, double times, Moving& sum) {
    sum.value += times * one.value;
    sum.perVolt += times * one.perVolt;
    sum.perShare += times * one.perShare;
}

} // namespace

ElectrodeModel::ElectrodeModel(const Situation& here, double seconds, double acidityShift) {
    bind(here, seconds, acidityShift);
}

void ElectrodeModel::bind(const Situation& here, double seconds, double acidityShift) {
    m_routes.clear();
    m_running.clear();
    m_routes.reserve(2 * here.parameters.routes.size()); // each may have a parasite
    m_running.reserve(here.parameters.routes.size());
    const Stock stock(here);
    Supplies supplies(here, seconds);
    std::optional<RouteBuilder> builder; // none: the couple is not there
    const ReactionParameters* built = nullptr;
    for (const RouteParameters& parameters : here.parameters.routes) {
        const ReactionParameters& reaction = here.parameters.reactions[parameters.reaction];
        if (built != &reaction) {
            built = &reaction;
            builder.reset();
            const Absences absent = stock.absences(reaction);
            if (!absent.ofBoth()) {
                builder.emplace(here, reaction, absent, acidityShift);
            }
        }
        if (!builder || builder->isUnheardOf(*parameters.kinetics)) {
            continue;
        }
        builder->prepare(supplies);
        builder->build(parameters, m_routes.emplace_back());
        const std::size_t own = m_routes.size() - 1;
        const auto& parasite = parameters.kinetics->parasite;
        if (parasite) {
            m_routes.push_back(parasiteOf(here, m_routes[own], *parasite));
        }
        if (m_routes[own].blocked == Blocked::No) {
            take(m_routes[own], parasite ? &m_routes.back() : nullptr);
        }
    }
}

void ElectrodeModel::take(const Route& route, const Route* parasite) {
    Running& running = m_running.emplace_back();
    running.law = route.law;
    running.hydroxideAnodic = route.hydroxidePerAmp;
    running.hydroxideCathodic = route.hydroxidePerAmp;
    running.solubleAmps = route.solubleAmps;
    running.solidHydroxidePerAmp = route.solidHydroxidePerAmp;
    running.gasAnodic = route.gasSign > 0 ? 1.0 : 0.0;
    running.gasCathodic = route.gasSign < 0 ? 1.0 : 0.0;
    if (parasite != nullptr) {
        running.toLeads -= parasite->takenShare;
        running.hydroxideAnodic -= parasite->takenShare * parasite->hydroxidePerAmp;
        running.gasAnodic += parasite->gasSign < 0 ? parasite->takenShare : 0.0;
    }
}

base::Sloped ElectrodeModel::at(double volts) const {
    base::Sloped sum;
    for (const Running& running : m_running) {
        if (!running.law.runsAt(volts)) {
            continue;
        }
        const base::Sloped route = running.law.at(volts);
        const double share = route.value > 0.0 ? running.toLeads : 1.0;
        sum.value += share * route.value;
        sum.slope += share * route.slope;
    }
    return sum;
}

Flows ElectrodeModel::flowsAt(double volts, const ElectrodeModel& other, double share) const {
    Flows sum;
    for (std::size_t i = 0; i < m_running.size(); ++i) {
        const Running& low = m_running[i];
        const Running& high = other.m_running[i];
        const Moving route = currentBetween(low.law, high.law, share, volts);
        if (route.value == 0.0) {
            continue;
        }
        const bool anodic = route.value > 0.0;
        add(route, anodic ? low.toLeads : 1.0, sum.amps);
        Moving hydroxide;
        add(route, anodic ? low.hydroxideAnodic : low.hydroxideCathodic, hydroxide);
        const Moving lowSolid = solidOf(low, route);
        const Moving highSolid = solidOf(high, route);
        add(lowSolid, share - 1.0, hydroxide);
        add(highSolid, -share, hydroxide);
        hydroxide.perShare -= highSolid.value - lowSolid.value;
        const double gas = anodic ? low.gasAnodic : -low.gasCathodic;
        add(hydroxide, 1.0, sum.hydroxide);
        add(hydroxide, gas == 0.0 ? 1.0 : 0.0, sum.besideGas);
        add(route, gas, sum.gas);
    }
    return sum;
}

/// Hydroxide that its metal ions take along as they fall out.
Moving ElectrodeModel::solidOf(const Running& running, const Moving& route) {
    Moving solid;
    if (route.value > running.solubleAmps) {
        add(route, running.solidHydroxidePerAmp, solid);
        solid.value -= running.solidHydroxidePerAmp * running.solubleAmps;
    }
    return solid;
}

double ElectrodeModel::potentialAt(double amps) const {
    const auto current = [&](double volts) { return at(volts); };
    m_lastVolts = amps == 0.0 ? restWhere(current, m_lastVolts) : potentialWhere(current, amps, m_lastVolts);
    return m_lastVolts; // along a curve the next answer lies near the last
}

} // namespace anodex::electrode
