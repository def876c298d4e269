#include "core/cell/Capacity.h"

#include "core/base/Constants.h"
#include "core/base/SolventMass.h"
#include "core/electrode/Transport.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace anodex::cell {
namespace {

using chemistry::Branch;
using chemistry::Catalogue;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;
using design::Side;

double solidMoles(const state::ElectrodeState& electrode, SpeciesIndex species, double platingFactor) {
    double moles = 0.0;
    for (const state::Solid& solid : electrode.solids) {
        if (solid.species == species) {
            moles += solid.moles * (solid.place == state::Place::Plating ? platingFactor : 1.0);
        }
    }
    return moles;
}

/// Free, and what `carried` says every species could give.
double carriedMoles(const Catalogue& catalogue, const liquid::Solution& solution, SpeciesIndex free,
                    double chemistry::Species::*carried) {
    double molality = 0.0;
    for (SpeciesIndex s = 0; s < catalogue.species.size(); ++s) {
        molality += (s == free ? 1.0 : catalogue.species[s].*carried) * solution.molality[s];
    }
    return molality * solution.composition.solventKg;
}

double dissolvedMoles(const Catalogue& catalogue, const liquid::Solution& solution, SpeciesIndex species) {
    if (species == catalogue.key.hydrogenIon) {
        return carriedMoles(catalogue, solution, species, &chemistry::Species::acidicProtons);
    }
    if (species == catalogue.key.solvent) {
        return solution.composition.solventKg / base::kSolventKgPerMole;
    }
    if (species == catalogue.key.hydroxide) {
        return carriedMoles(catalogue, solution, species, &chemistry::Species::carriedHydroxide);
    }
    return solution.labileMoles(catalogue, species);
}

/// What the two couples take out of the liquids, mol per coulomb; what one side gives back counts against it.
class Inventory {
public:
    Inventory(const CompiledCell& compiled, const state::Contents& contents)
        : m_compiled(compiled), m_contents(contents), m_catalogue(compiled.catalogue), m_cell(compiled.cell) {
    }

    void consume(Side side, const WorkingCouple& couple) {
        const double perLead = 1.0 / (1.0 - couple.takenShare);
        consume(side, couple.reaction, couple.branch, {1.0, perLead}, couple.hasOtherWay);
        if (couple.takenShare > 0.0) {
            const Branch other = couple.branch == Branch::Anodic ? Branch::Cathodic : Branch::Anodic;
            // Where acid took its share, the solvent does once that is used up.
            consume(side, couple.taker, other, {0.0, couple.takenShare * perLead}, true);
        }
    }

    Capacity finished() {
        bindSolvent();
        for (const Demand& demand : m_demands) {
            if (demand.named && demand.perCoulomb.expected > 0.0) {
                addDissolved(demand);
            }
        }
        std::sort(m_reagents.begin(), m_reagents.end(),
                  [](const Reagent& a, const Reagent& b) { return a.expectedCoulombs < b.expectedCoulombs; });
        Capacity capacity;
        if (!m_reagents.empty()) {
            capacity.expectedCoulombs = m_reagents.front().expectedCoulombs;
            capacity.theoreticalCoulombs =
                std::min_element(m_reagents.begin(), m_reagents.end(),
                                 [](const Reagent& a, const Reagent& b) { return a.coulombs < b.coulombs; })
                    ->coulombs;
        }
        capacity.firstCoulombs = std::min(capacity.expectedCoulombs, m_replacedCoulombs);
        capacity.reagents = std::move(m_reagents);
        return capacity;
    }

private:
    /// Per coulomb in the leads: by the working couple's equation alone, and with what else runs.
    struct Taken {
        double theory = 0.0;
        double expected = 0.0;
    };

    void consume(Side side, std::size_t which, Branch branch, const Taken& coulombs, bool hasOtherWay) {
        const chemistry::Reaction& reaction = m_catalogue.reactions[which];
        for (const SpeciesTerm& term : reaction.terms) {
            const chemistry::Species& species = m_catalogue.species[term.species];
            const double perCoulomb =
                (branch == Branch::Anodic ? term.count : -term.count) / (reaction.electrons * base::kFaraday);
            const Taken taken{perCoulomb * coulombs.theory, perCoulomb * coulombs.expected};
            if (species.formula.phase == chemistry::Phase::Gas) {
                continue;
            }
            if (term.species == m_catalogue.key.solvent) {
                note(side, term.species, taken, true);
            } else if (term.species == m_catalogue.key.hydrogenIon && (hasOtherWay || !reaction.needsAcid)) {
                note(side, m_catalogue.key.hydroxide, {-taken.theory, -taken.expected}, false);
            } else if (species.isDissolved()) {
                noteIon(side, species, term.species, taken);
                // Hydroxide that ends in a solid comes from the solvent as well.
                const bool endsNothing =
                    term.species == m_catalogue.key.hydroxide && (hasOtherWay || !reaction.bindsHydroxide);
                note(side, term.species, taken, perCoulomb > 0.0 && !endsNothing);
            } else if (perCoulomb > 0.0 && coulombs.theory > 0.0) {
                addSolid(side, term.species, taken, branch == Branch::Cathodic && breathes(side));
            }
        }
    }

    struct Demand {
        SpeciesIndex species = 0;
        Side side = Side::Negative;
        bool bothSides = false;
        bool named = false; ///< Some couple has it as a reactant; a mere by-product never runs out.
        Taken perCoulomb;
    };

    /// An ion that comes off a metal and whose hydroxide keeps solvent, mol per coulomb in the leads.
    struct Ion {
        Side side = Side::Negative;
        SpeciesIndex species = 0;
        double perCoulomb = 0.0;
    };

    void noteIon(Side side, const chemistry::Species& species, SpeciesIndex index, const Taken& taken) {
        if (taken.expected < 0.0 && species.sludgeWater > 0.0) {
            m_ions.push_back({side, index, -taken.expected});
        }
    }

    /// How much of the ions of a side falls out as hydroxide, and after how many coulombs the first does.
    struct FallsOut {
        double share = 0.0;
        double afterCoulombs = 0.0;
    };

    /// In one liquid by the hydroxide that the couples make beyond the acid which the liquid holds: ions and hydroxide
    /// meet, wherever they came off. Where something parts the liquids, by what the ion's own liquid holds of it.
    [[nodiscard]] FallsOut fallsOut(const Ion& ion) const {
        const liquid::Solution& solution = m_contents.solution(ion.side);
        if (m_cell.twoLiquids) {
            constexpr double kHeld =
                0.1; // activity that the liquid holds of it before half falls out (from memory)
            return {1.0 / (1.0 + solution.saturation[ion.species] / kHeld), 0.0};
        }
        double made = 0.0;
        for (const Demand& demand : m_demands) {
            made -= demand.species == m_catalogue.key.hydroxide ? demand.perCoulomb.expected : 0.0;
        }
        double needed = 0.0;
        for (const Ion& other : m_ions) {
            needed += m_catalogue.species[other.species].formula.charge * other.perCoulomb;
        }
        if (made <= 0.0 || needed <= 0.0) {
            return {};
        }
        const double acid = dissolvedMoles(m_catalogue, solution, m_catalogue.key.hydrogenIon);
        return {std::min(1.0, made / needed), acid / made};
    }

    /// No equation asks for the solvent of a sludge, so theory does not count it.
    void bindSolvent() {
        constexpr double kWorthCounting = 0.05; // of it falling out: less never ends a cell
        for (const Ion& ion : m_ions) {
            const FallsOut out = fallsOut(ion);
            if (out.share >= kWorthCounting) {
                const double perCoulomb =
                    out.share * m_catalogue.species[ion.species].sludgeWater * ion.perCoulomb;
                note(ion.side, m_catalogue.key.solvent, {0.0, perCoulomb}, true);
                m_solventSpared += perCoulomb * out.afterCoulombs;
            }
        }
    }

    void note(Side side, SpeciesIndex species, const Taken& perCoulomb, bool named) {
        for (Demand& demand : m_demands) {
            if (demand.species == species && (demand.side == side || !m_cell.twoLiquids)) {
                demand.bothSides = demand.bothSides || demand.side != side;
                demand.named = demand.named || named;
                demand.perCoulomb.theory += perCoulomb.theory;
                demand.perCoulomb.expected += perCoulomb.expected;
                return;
            }
        }
        m_demands.push_back({species, side, false, named, perCoulomb});
    }

    [[nodiscard]] bool breathes(Side side) const {
        const design::Electrode& electrode = m_cell.electrode(side);
        return electrode.air == design::Air::Breathing &&
               m_catalogue.materials[electrode.material].breathingLimit.has_value();
    }

    void addSolid(Side side, SpeciesIndex species, const Taken& perCoulomb, bool airGoesOn) {
        const electrode::ElectrodeParameters& parameters = m_compiled.electrode(side);
        const double moles = solidMoles(m_contents.state.electrode(side), species, parameters.platingFactor);
        const double share = parameters.utilisation;
        const double expected = share * moles / perCoulomb.expected;
        if (airGoesOn) {
            m_replacedCoulombs = std::min(m_replacedCoulombs, expected);
            return;
        }
        m_reagents.push_back({species, side, moles, moles / perCoulomb.theory, expected});
    }

    void addDissolved(const Demand& demand) {
        const double moles = dissolvedMoles(m_catalogue, m_contents.solution(demand.side), demand.species);
        const bool isSolvent = demand.species == m_catalogue.key.solvent;
        const double share = isSolvent ? m_compiled.solventShare : m_compiled.dissolvedShare;
        const std::optional<Side> side = demand.bothSides ? std::nullopt : std::optional(demand.side);
        const double spared = isSolvent ? m_solventSpared : 0.0;
        // What only the loss takes has no other theory.
        const double theory = demand.perCoulomb.theory > 0.0 ? moles / demand.perCoulomb.theory
                                                             : (moles + spared) / demand.perCoulomb.expected;
        const double expected = std::min(theory, (share * moles + spared) / demand.perCoulomb.expected);
        m_reagents.push_back({demand.species, side, moles, theory, expected});
    }

    const CompiledCell& m_compiled;
    const state::Contents& m_contents;
    const Catalogue& m_catalogue;
    const design::Cell& m_cell;
    std::vector<Demand> m_demands;
    std::vector<Ion> m_ions;
    double m_solventSpared = 0.0; ///< mol that no sludge keeps while acid still takes the hydroxide.
    std::vector<Reagent> m_reagents;
    double m_replacedCoulombs = std::numeric_limits<double>::infinity();
};

} // namespace

Capacity capacityOf(const CompiledCell& compiled, const state::Contents& contents,
                    const WorkingCouple& negative, const WorkingCouple& positive) {
    Inventory inventory(compiled, contents);
    inventory.consume(Side::Negative, negative);
    inventory.consume(Side::Positive, positive);
    return inventory.finished();
}

} // namespace anodex::cell
