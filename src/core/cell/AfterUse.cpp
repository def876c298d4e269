#include "core/cell/AfterUse.h"

#include "core/base/Constants.h"
#include "core/chemistry/SolveSolution.h"

#include <algorithm>
#include <cmath>

namespace anodex::cell {
namespace {

using chemistry::Branch;
using chemistry::Catalogue;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;
using design::Cell;
using design::Side;

constexpr double kMostOfAnIon = 0.9; ///< What may leave a liquid before others take over.

bool isPoured(const Catalogue& catalogue, SpeciesIndex species) {
    return catalogue.species[species].isDissolved() && species != catalogue.key.solvent &&
           species != catalogue.key.hydrogenIon && species != catalogue.key.hydroxide;
}

void react(const Catalogue& catalogue, const WorkingCouple& couple, double coulombs,
           design::Electrode& electrode, chemistry::Mixture& mixture) {
    const chemistry::Reaction& reaction = catalogue.reactions[couple.reaction];
    for (const SpeciesTerm& term : reaction.terms) {
        const double made = (couple.branch == Branch::Anodic ? -term.count : term.count) * coulombs /
                            (reaction.electrons * base::kFaraday);
        // Where the law counts more electrons than the equation, its product falls apart at once.
        const bool passing = reaction.supplyElectrons > reaction.electrons && made > 0.0;
        if (isPoured(catalogue, term.species) && !passing) {
            mixture.changed.push_back({term.species, made});
        } else if (catalogue.species[term.species].formula.phase == chemistry::Phase::Solid && made > 0.0) {
            electrode.made.push_back(term.species);
        }
    }
}

/// Whether the ion can cross what stands between: a charged membrane holds back ions of its own sign.
bool crosses(const Catalogue& catalogue, const Cell& cell, SpeciesIndex ion) {
    if (!cell.barrier) {
        return true;
    }
    return catalogue.separators[cell.barrier->separator].fixedCharge *
               catalogue.species[ion].formula.charge <=
           0.0;
}

struct Carrier {
    SpeciesIndex ion;
    Side from;
    double conductivity; ///< S/m
};

/// Positive charge goes from the negative side to the positive side within the cell.
std::vector<Carrier> carriersOf(const Catalogue& catalogue, const Cell& cell) {
    std::vector<Carrier> carriers;
    for (SpeciesIndex ion = 0; ion < catalogue.species.size(); ++ion) {
        const double charge = catalogue.species[ion].formula.charge;
        const Side from = charge > 0.0 ? Side::Negative : Side::Positive;
        const double concentration = cell.solution(from).concentration(ion);
        if (charge != 0.0 && concentration > 0.0 && crosses(catalogue, cell, ion)) {
            carriers.push_back({ion, from, concentration * catalogue.species[ion].limitingConductivity});
        }
    }
    return carriers;
}

void carry(const Catalogue& catalogue, const Cell& cell, double coulombs,
           std::array<chemistry::Mixture, 2>& mixtures) {
    const std::vector<Carrier> carriers = carriersOf(catalogue, cell);
    double total = 0.0;
    for (const Carrier& carrier : carriers) {
        total += carrier.conductivity;
    }
    for (const Carrier& carrier : carriers) {
        if (!isPoured(catalogue, carrier.ion)) {
            continue;
        }
        const double charge = std::abs(catalogue.species[carrier.ion].formula.charge);
        const auto& solution = cell.solution(carrier.from);
        const double there = solution.molality[carrier.ion] * solution.mixture.solventKg;
        const double moles = std::min(kMostOfAnIon * there,
                                      carrier.conductivity / total * coulombs / (charge * base::kFaraday));
        const auto from = static_cast<std::size_t>(carrier.from);
        mixtures[from].changed.push_back({carrier.ion, -moles});
        mixtures[1 - from].changed.push_back({carrier.ion, moles});
    }
}

} // namespace

Cell afterUse(const Catalogue& catalogue, const Cell& cell, const WorkingCouple& negative,
              const WorkingCouple& positive, double coulombs) {
    Cell used = cell;
    std::array<chemistry::Mixture, 2> mixtures{cell.solutions[0].mixture, cell.solutions[1].mixture};
    react(catalogue, negative, coulombs, used.electrodes[0], mixtures[0]);
    react(catalogue, positive, coulombs, used.electrodes[1], mixtures[cell.twoLiquids ? 1 : 0]);
    if (cell.twoLiquids) {
        carry(catalogue, cell, coulombs, mixtures);
    }
    used.solutions[0] = chemistry::solveSolution(catalogue, mixtures[0]);
    used.solutions[1] =
        cell.twoLiquids ? chemistry::solveSolution(catalogue, mixtures[1]) : used.solutions[0];
    return used;
}

} // namespace anodex::cell
