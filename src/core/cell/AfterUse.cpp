#include "core/cell/AfterUse.h"

#include "core/base/Constants.h"
#include "core/base/SolventMass.h"

#include <algorithm>
#include <cmath>

namespace anodex::cell {
namespace {

using chemistry::Branch;
using chemistry::Catalogue;
using chemistry::Phase;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;
using design::Side;

constexpr double kMostOfAnIon = 0.9; ///< What may leave a liquid before others take over.

class User {
public:
    User(const CompiledCell& compiled, const state::Contents& contents)
        : m_catalogue(compiled.catalogue), m_cell(compiled.cell), m_contents(contents),
          m_state(contents.state) {}

    void react(Side side, const WorkingCouple& couple, double coulombs) {
        const double perLead = 1.0 / (1.0 - couple.takenShare);
        react(side, couple.reaction, couple.branch, perLead * coulombs);
        if (couple.takenShare > 0.0) {
            const Branch other = couple.branch == Branch::Anodic ? Branch::Cathodic : Branch::Anodic;
            react(side, couple.taker, other, couple.takenShare * perLead * coulombs);
        }
    }

    /// Positive charge goes from the negative side to the positive side within the cell.
    void carry(double coulombs) {
        const std::vector<Carrier> carriers = carriersBetween();
        double total = 0.0;
        for (const Carrier& carrier : carriers) {
            total += carrier.conductivity;
        }
        double left = coulombs / base::kFaraday;
        for (const Carrier& carrier : carriers) {
            if (carrier.ion == m_catalogue.key.hydrogenIon || carrier.ion == m_catalogue.key.hydroxide) {
                continue;
            }
            const double charge = std::abs(m_catalogue.species[carrier.ion].formula.charge);
            const auto& solution = m_contents.solution(carrier.from);
            const double there = solution.molality[carrier.ion] * solution.composition.solventKg;
            const double moles = std::min(kMostOfAnIon * there, carrier.conductivity / total * coulombs /
                                                                    (charge * base::kFaraday));
            const Side to = carrier.from == Side::Negative ? Side::Positive : Side::Negative;
            liquid::add(m_catalogue, liquidOf(carrier.from), carrier.ion, -moles);
            liquid::add(m_catalogue, liquidOf(to), carrier.ion, moles);
            left -= charge * moles;
        }
        liquidOf(Side::Negative).hydrogenMoles -= left;
        liquidOf(Side::Positive).hydrogenMoles += left;
    }

    [[nodiscard]] state::State finished() { return std::move(m_state); }

private:
    struct Carrier {
        SpeciesIndex ion;
        Side from;
        double conductivity; ///< S/m
    };

    void react(Side side, std::size_t which, Branch branch, double coulombs) {
        const chemistry::Reaction& reaction = m_catalogue.reactions[which];
        for (const SpeciesTerm& term : reaction.terms) {
            const double made = (branch == Branch::Anodic ? -term.count : term.count) * coulombs /
                                (reaction.electrons * base::kFaraday);
            // Where the law counts more electrons than the equation, its product falls apart at once.
            const bool passing = reaction.supplyElectrons > reaction.electrons && made > 0.0;
            take(side, term.species, made, passing);
        }
    }

    liquid::Composition& liquidOf(Side side) { return m_state.liquids[m_state.liquidIndex(side)]; }

    void take(Side side, SpeciesIndex species, double made, bool passing) {
        switch (m_catalogue.species[species].formula.phase) {
        case Phase::Solid:
            state::addSolid(m_state.electrodes[static_cast<std::size_t>(side)], species, made);
            return;
        case Phase::Gas:
            if (m_cell.closed) {
                state::addGas(m_state, species, made);
            }
            return;
        default:
            liquid::add(m_catalogue, liquidOf(side), species, made);
            if (passing) {
                fallApart(side, species, made);
            }
        }
    }

    /// Peroxide leaves solvent and oxygen; what holds other elements stays.
    void fallApart(Side side, SpeciesIndex species, double moles) {
        for (const SpeciesTerm& part : chemistry::moietiesOf(m_catalogue, species)) {
            const auto& elements = m_catalogue.species[part.species].formula.elements;
            if (elements.size() != 2 || !elements.contains("H") || !elements.contains("O")) {
                continue;
            }
            const double solvent = 0.5 * elements.at("H") * part.count * moles;
            const double oxygen = 0.5 * (elements.at("O") * part.count * moles - solvent);
            liquidOf(side).addMaster(part.species, -part.count * moles);
            liquidOf(side).solventKg += solvent * base::kSolventKgPerMole;
            if (m_cell.closed) {
                state::addGas(m_state, m_catalogue.key.oxygenGas, oxygen);
            }
        }
    }

    /// Whether the ion can cross what stands between: a charged membrane holds back ions of its own sign.
    [[nodiscard]] bool crosses(SpeciesIndex ion) const {
        return !m_cell.barrier || m_catalogue.separators[m_cell.barrier->separator].fixedCharge *
                                          m_catalogue.species[ion].formula.charge <=
                                      0.0;
    }

    [[nodiscard]] std::vector<Carrier> carriersBetween() const {
        std::vector<Carrier> carriers;
        for (SpeciesIndex ion = 0; ion < m_catalogue.species.size(); ++ion) {
            const double charge = m_catalogue.species[ion].formula.charge;
            const Side from = charge > 0.0 ? Side::Negative : Side::Positive;
            const double concentration = m_contents.solution(from).concentration(ion);
            if (charge != 0.0 && concentration > 0.0 && crosses(ion)) {
                carriers.push_back(
                    {ion, from, concentration * m_catalogue.species[ion].limitingConductivity});
            }
        }
        return carriers;
    }

    const Catalogue& m_catalogue;
    const design::Cell& m_cell;
    const state::Contents& m_contents;
    state::State m_state;
};

} // namespace

state::State afterUse(const CompiledCell& compiled, const state::Contents& contents,
                      const WorkingCouple& negative, const WorkingCouple& positive, double coulombs) {
    User user(compiled, contents);
    user.react(Side::Negative, negative, coulombs);
    user.react(Side::Positive, positive, coulombs);
    if (compiled.cell.twoLiquids) {
        user.carry(coulombs);
    }
    return user.finished();
}

} // namespace anodex::cell
