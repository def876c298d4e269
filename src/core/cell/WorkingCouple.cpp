#include "core/cell/WorkingCouple.h"

#include <algorithm>
#include <cmath>
#include <map>

namespace anodex::cell {
namespace {

using chemistry::Branch;
using chemistry::Catalogue;
using electrode::Blocked;
using electrode::FacedElectrode;
using electrode::Partial;
using electrode::Route;
using electrode::Seat;

/// What a reaction does on all its phases, A in the direction of the load.
struct Part {
    double grows = 0.0;
    double carries = 0.0;

    [[nodiscard]] double answers() const { return std::min(grows, carries); }
    [[nodiscard]] double carried() const { return carries; }
};

bool dissolves(const chemistry::Reaction& reaction, chemistry::SpeciesIndex solid) {
    return std::any_of(reaction.terms.begin(), reaction.terms.end(), [&](const chemistry::SpeciesTerm& term) {
        return term.count > 0.0 && term.species == solid;
    });
}

class CoupleSearch {
public:
    CoupleSearch(const Catalogue& catalogue, const FacedElectrode& model, const Seat& rest, const Seat& load,
                 Branch branch)
        : m_catalogue(catalogue), m_atRest(model.partialsAt(rest)), m_underLoad(model.partialsAt(load)),
          m_load(load.volts), m_branch(branch), m_sign(branch == Branch::Anodic ? 1.0 : -1.0) {}

    [[nodiscard]] WorkingCouple found() {
        collect(true);
        if (m_parts.empty()) {
            collect(false);
        }
        WorkingCouple couple{0, m_branch};
        constexpr double kSaturated = 0.1; // of what flows, below which no growth answers the load
        const Part grown = choose(&Part::answers, couple);
        double flowing = 0.0;
        for (std::size_t i = 0; i < m_underLoad.size(); ++i) {
            flowing += m_sign * (m_underLoad[i].amps - m_atRest[i].amps);
        }
        m_byGrowth = grown.answers() >= kSaturated * flowing;
        const Part part = m_byGrowth ? grown : choose(&Part::carried, couple);
        const double amps = m_byGrowth ? part.grows : part.carries;
        takeParasite(amps, couple);
        couple.hasOtherWay = hasOtherWay(amps, couple);
        return couple;
    }

private:
    void collect(bool onlyWhatCanRun) {
        constexpr double kNearEquilibrium =
            0.010; // V; a fast couple follows the load on either side of its rest
        for (std::size_t i = 0; i < m_underLoad.size(); ++i) {
            const Route& route = m_underLoad[i].route;
            const bool otherWayOnly =
                m_branch == Branch::Anodic ? route.law.cathodicOnly : route.law.anodicOnly;
            const bool canRun =
                !otherWayOnly && m_sign * (m_load - route.equilibriumVolts) > -kNearEquilibrium;
            if (route.blocked == Blocked::No && (canRun || !onlyWhatCanRun) && route.takenShare == 0.0) {
                Part& part = m_parts[route.reaction];
                part.grows += m_sign * (m_underLoad[i].amps - m_atRest[i].amps);
                part.carries += m_sign * m_underLoad[i].amps;
            }
        }
    }

    [[nodiscard]] Part choose(double (Part::*rank)() const, WorkingCouple& couple) const {
        const auto best = std::max_element(m_parts.begin(), m_parts.end(), [&](const auto& a, const auto& b) {
            return (a.second.*rank)() < (b.second.*rank)();
        });
        if (best == m_parts.end()) {
            return {};
        }
        couple.reaction = best->first;
        return best->second;
    }

    /// How much of the couple's current others take on the spot, and which of them takes the most.
    void takeParasite(double amps, WorkingCouple& couple) const {
        constexpr double kMostTaken = 0.95; // as the catalogue allows; some always reaches the leads
        double most = 0.0;
        for (std::size_t i = 0; i < m_underLoad.size(); ++i) {
            const Route& route = m_underLoad[i].route;
            if (route.takenShare > 0.0 && route.host == couple.reaction && amps > 0.0) {
                const double before = m_byGrowth ? m_atRest[i].amps : 0.0;
                const double taken = before - m_underLoad[i].amps;
                couple.takenShare = std::min(couple.takenShare + std::max(taken, 0.0) / amps, kMostTaken);
                if (taken >= most) {
                    most = taken;
                    couple.taker = route.reaction;
                }
            }
        }
    }

    /// Another open route dissolves the same solid, binds no hydroxide and could carry a good part of the current:
    /// pits in brine, a loose hydroxide in weak alkali.
    [[nodiscard]] bool hasOtherWay(double amps, const WorkingCouple& couple) const {
        constexpr double kGoodPart = 0.2; // of the current; less is no way on (estimate)
        if (couple.branch != Branch::Anodic) {
            return false;
        }
        const auto& terms = m_catalogue.reactions[couple.reaction].terms;
        return std::any_of(m_underLoad.begin(), m_underLoad.end(), [&](const Partial& partial) {
            const Route& route = partial.route;
            const chemistry::Reaction& other = m_catalogue.reactions[route.reaction];
            const bool isOpen = route.reaction != couple.reaction && route.blocked == Blocked::No &&
                                route.takenShare == 0.0 && route.law.anodicLimit > kGoodPart * amps;
            return isOpen && !other.bindsHydroxide &&
                   std::any_of(terms.begin(), terms.end(), [&](const chemistry::SpeciesTerm& term) {
                       return term.count > 0.0 &&
                              m_catalogue.species[term.species].formula.phase == chemistry::Phase::Solid &&
                              dissolves(other, term.species);
                   });
        });
    }

    const Catalogue& m_catalogue;
    std::vector<Partial> m_atRest;
    std::vector<Partial> m_underLoad; ///< The same routes in the same order.
    double m_load;
    Branch m_branch;
    double m_sign;
    bool m_byGrowth = true;
    std::map<std::size_t, Part> m_parts; ///< By reaction.
};

} // namespace

WorkingCouple workingCouple(const Catalogue& catalogue, const FacedElectrode& model, const Seat& rest,
                            const Seat& load, Branch branch) {
    return CoupleSearch(catalogue, model, rest, load, branch).found();
}

} // namespace anodex::cell
