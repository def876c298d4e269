// Elements and charge over every reaction, run both ways in random cells, and over the liquids they leave.
#include "core/base/SolventMass.h"
#include "core/cell/AfterUse.h"
#include "core/design/Resolve.h"
#include "core/liquid/SolveSolution.h"
#include "formats/CellFile.h"
#include "tests/fuzz/RandomDesign.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>

namespace anodex::fuzz {
namespace {

using chemistry::Branch;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;

/// Moles of each element, and of charge under "".
using Tally = std::map<std::string, double>;

void count(Tally& tally, SpeciesIndex species, double moles) {
    const chemistry::Formula& formula = test::catalogue().species[species].formula;
    for (const auto& [symbol, number] : formula.elements) {
        tally[symbol] += number * moles;
    }
    tally[""] += formula.charge * moles;
}

Tally tallyOf(const liquid::Composition& composition) {
    const auto& key = test::catalogue().key;
    Tally tally;
    count(tally, key.solvent, composition.solventKg / base::kSolventKgPerMole);
    count(tally, key.hydrogenIon, composition.hydrogenMoles);
    for (const SpeciesTerm& master : composition.masters) {
        count(tally, master.species, master.count);
    }
    return tally;
}

Tally tallyOf(const state::State& state) {
    Tally tally;
    for (const liquid::Composition& composition : state.liquids) {
        for (const auto& [symbol, moles] : tallyOf(composition)) {
            tally[symbol] += moles;
        }
    }
    for (const state::ElectrodeState& electrode : state.electrodes) {
        for (const state::Solid& solid : electrode.solids) {
            count(tally, solid.species, solid.moles);
        }
    }
    for (const SpeciesTerm& gas : state.headSpace) {
        count(tally, gas.species, gas.count);
    }
    return tally;
}

/// What is dissolved and what fell out; of the solvent only what the species took or gave.
Tally tallyOf(const liquid::Solution& solution) {
    const auto& key = test::catalogue().key;
    Tally tally;
    const auto add = [&](SpeciesIndex species, double moles) {
        count(tally, species, moles);
        if (const auto& formation = test::catalogue().species[species].formation) {
            for (const SpeciesTerm& term : formation->terms) {
                if (term.species == key.solvent) {
                    count(tally, key.solvent, -term.count * moles);
                }
            }
        }
    };
    for (SpeciesIndex s = 0; s < solution.molality.size(); ++s) {
        if (s != key.dissolvedOxygen) { // the air's
            add(s, solution.molality[s] * solution.composition.solventKg);
        }
    }
    for (const liquid::Precipitate& solid : solution.precipitates) {
        add(solid.species, solid.moles);
    }
    count(tally, key.solvent, solution.composition.solventKg / base::kSolventKgPerMole);
    return tally;
}

void expectEqual(const Tally& before, const Tally& after, double scale, const std::string& what) {
    for (const auto& [symbol, moles] : before) {
        const auto found = after.find(symbol);
        const double now = found == after.end() ? 0.0 : found->second;
        EXPECT_NEAR(now, moles, 1e-9 * std::max(scale, std::abs(moles)))
            << what << ": " << (symbol.empty() ? "charge" : symbol);
    }
}

/// Of a master, or a thousandth of a mole to the kilogram where there is none.
double mostOf(const liquid::Composition& composition) {
    double most = 1e-3 * composition.solventKg;
    for (const SpeciesTerm& master : composition.masters) {
        most = std::max(most, std::abs(master.count));
    }
    return most;
}

std::vector<design::Cell> randomCells(int wanted) {
    std::vector<design::Cell> cells;
    Coverage coverage;
    for (std::uint64_t number = 0; cells.size() < static_cast<std::size_t>(wanted); ++number) {
        const auto design =
            formats::readCellFile(RandomDesign(test::catalogue(), 7, number).cell(coverage).dump());
        auto cell = design::resolve(test::catalogue(), *design);
        if (cell) {
            cell->closed = true; // so that gas stays to be counted
            cells.push_back(std::move(*cell));
        }
    }
    return cells;
}

TEST(Balance, EveryReactionKeepsElementsAndChargeBothWays) {
    const auto& reactions = test::catalogue().reactions;
    std::size_t number = 0;
    for (const design::Cell& cell : randomCells(40)) {
        const test::Filled filled(cell);
        const Tally before = tallyOf(filled.contents.state);
        for (std::size_t r = 0; r < reactions.size(); ++r) {
            const bool anodic = (r + number) % 2 == 0;
            cell::WorkingCouple one{r, anodic ? Branch::Anodic : Branch::Cathodic};
            if (anodic) {
                one.takenShare = 0.3; // by any other
                one.taker = (r + 7) % reactions.size();
            }
            const cell::WorkingCouple other{(r * 5 + number) % reactions.size(),
                                            anodic ? Branch::Cathodic : Branch::Anodic};
            constexpr double kCoulombs = 0.01 * 96485.33212;
            const state::State after =
                anodic ? cell::afterUse(filled.compiled, filled.contents, one, other, kCoulombs)
                       : cell::afterUse(filled.compiled, filled.contents, other, one, kCoulombs);
            expectEqual(before, tallyOf(after), 0.01, reactions[r].equation);
        }
        ++number;
    }
}

TEST(Balance, WhatIsDissolvedAndWhatFellOutIsWhatWasPoured) {
    for (const design::Cell& cell : randomCells(200)) {
        for (const liquid::Mixture& poured : cell.poured) {
            const liquid::Solution solution = liquid::solveSolution(test::catalogue(), poured);
            expectEqual(tallyOf(solution.composition), tallyOf(solution), mostOf(solution.composition),
                        "a liquid as poured");
        }
    }
}

TEST(Balance, ALiquidThatChangedHoldsWhatItsStateSays) {
    for (const design::Cell& cell : randomCells(60)) {
        const test::Filled filled(cell);
        const cell::Evaluation evaluation = cell::evaluate(test::catalogue(), cell, {0});
        const double coulombs = 0.2 * evaluation.capacity.expectedCoulombs;
        const state::State used = cell::afterUse(filled.compiled, filled.contents, evaluation.sides[0].couple,
                                                 evaluation.sides[1].couple, coulombs);
        if (!state::shortfalls(test::catalogue(), used).empty()) {
            continue;
        }
        const state::Contents after = state::changedTo(test::catalogue(), cell, filled.contents, used);
        for (const liquid::Solution& solution : after.solutions) {
            expectEqual(tallyOf(solution.composition), tallyOf(solution), mostOf(solution.composition),
                        "a liquid that changed");
        }
    }
}

} // namespace
} // namespace anodex::fuzz
