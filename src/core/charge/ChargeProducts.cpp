#include "core/charge/ChargeProducts.h"

#include <algorithm>

namespace anodex::charge {
namespace {

using chemistry::Branch;
using chemistry::Catalogue;
using chemistry::Phase;
using chemistry::SpeciesTerm;

constexpr double kMostlyGone = 0.5; // share of a vapour that escapes (common practice, no source)

Phase phaseOf(const Catalogue& catalogue, const SpeciesTerm& term) {
    return catalogue.species[term.species].formula.phase;
}

/// Signed so that products of the branch are positive.
double made(const SpeciesTerm& term, Branch branch) {
    return branch == Branch::Anodic ? -term.count : term.count;
}

template <typename Test> bool anyTerm(const Catalogue& catalogue, std::size_t reaction, const Test& test) {
    const auto& terms = catalogue.reactions[reaction].terms;
    return std::any_of(terms.begin(), terms.end(), test);
}

bool isGone(const Catalogue& catalogue, const SpeciesTerm& term) {
    const auto& limit = catalogue.species[term.species].airLimit;
    return phaseOf(catalogue, term) == Phase::Gas || (limit && limit->escapes >= kMostlyGone);
}

/// On some surface it also runs the other way.
bool comesBack(const chemistry::Reaction& reaction, Branch branch) {
    return std::any_of(reaction.kinetics.begin(), reaction.kinetics.end(),
                       [&](const chemistry::SurfaceKinetics& kinetics) {
                           return !kinetics.oneWay || kinetics.storedBranch != branch;
                       });
}

} // namespace

bool leavesAsGas(const Catalogue& catalogue, chemistry::SpeciesIndex species) {
    return catalogue.species[species].formula.phase == Phase::Gas ||
           catalogue.species[species].airLimit.has_value();
}

bool makes(const Catalogue& catalogue, std::size_t reaction, chemistry::SpeciesIndex species) {
    return anyTerm(catalogue, reaction,
                   [&](const SpeciesTerm& term) { return term.count > 0.0 && term.species == species; });
}

bool platesMetal(const Catalogue& catalogue, std::size_t reaction) {
    const bool fromLiquid = anyTerm(catalogue, reaction, [&](const SpeciesTerm& term) {
        return term.count < 0.0 && catalogue.species[term.species].isDissolved();
    });
    return fromLiquid && anyTerm(catalogue, reaction, [&](const SpeciesTerm& term) {
               return term.count > 0.0 && phaseOf(catalogue, term) == Phase::Solid &&
                      catalogue.species[term.species].formula.elements.size() == 1;
           });
}

Fate fateOf(const Catalogue& catalogue, std::size_t reaction, Branch branch,
            const cell::WorkingCouple& discharge) {
    const auto& key = catalogue.key;
    const bool givesOxygen =
        branch == Branch::Anodic && anyTerm(catalogue, reaction, [&](const SpeciesTerm& term) {
            return term.species == key.oxygenGas && made(term, branch) > 0.0;
        });
    const bool fromAir = discharge.branch == Branch::Cathodic &&
                         anyTerm(catalogue, discharge.reaction, [&](const SpeciesTerm& term) {
                             return term.species == key.oxygenGas && made(term, Branch::Cathodic) < 0.0;
                         });
    if (givesOxygen) {
        return fromAir ? Fate::ToAir : Fate::Lost;
    }
    const bool gone = anyTerm(catalogue, reaction, [&](const SpeciesTerm& term) {
        return made(term, branch) > 0.0 && isGone(catalogue, term);
    });
    const bool usesGas = anyTerm(catalogue, reaction, [&](const SpeciesTerm& term) {
        return made(term, branch) < 0.0 && phaseOf(catalogue, term) == Phase::Gas;
    });
    if (gone || usesGas || catalogue.reactions[reaction].fades) {
        return Fate::Lost;
    }
    if (reaction == discharge.reaction && branch != discharge.branch) {
        return Fate::Stored;
    }
    const bool makesSolid = anyTerm(catalogue, reaction, [&](const SpeciesTerm& term) {
        return made(term, branch) > 0.0 && phaseOf(catalogue, term) == Phase::Solid;
    });
    const bool usesSolid = anyTerm(catalogue, reaction, [&](const SpeciesTerm& term) {
        return made(term, branch) < 0.0 && phaseOf(catalogue, term) == Phase::Solid;
    });
    const bool stays = makesSolid || (branch == Branch::Anodic && !usesSolid &&
                                      comesBack(catalogue.reactions[reaction], branch));
    return stays ? Fate::Stored : Fate::Lost;
}

} // namespace anodex::charge
