// What a shelf allows, counted, evaluated and ranked.
#include "core/shelf/Screening.h"
#include "core/design/Resolve.h"
#include "core/shelf/Figure.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>
#include <set>

namespace anodex::shelf {
namespace {

using cell::Evaluation;

Shelf smallShelf() {
    Shelf shelf;
    shelf.materials = {
        {"zinc", 0.002, 0.02, 2.0}, {"copper", 0.002, {}, 3.0}, {"activated carbon", 0.002, {}, 1.0}};
    shelf.substances = {{"NaCl", 0.5, 1.0}, {"CuSO4·5H2O", 0.05, 4.0}};
    shelf.liquids = {{"vinegar", 0.0005, 1.0}};
    shelf.separators = {{"kitchen paper", 0.1}, {"ion membrane", 5.0}};
    return shelf;
}

Candidates candidatesOf(const Shelf& shelf) {
    auto made = Candidates::create(test::catalogue(), shelf);
    EXPECT_TRUE(made) << made.error().field;
    return std::move(*made);
}

ScreeningResult screened(const Candidates& candidates, RankBy by, int threads = 1) {
    ScreeningOptions options;
    options.by = by;
    options.threads = threads;
    return *screen(test::catalogue(), candidates, options);
}

std::string fieldAtFault(const Shelf& shelf) {
    const auto made = Candidates::create(test::catalogue(), shelf);
    return made ? "none" : made.error().field;
}

TEST(Candidates, AreCountedAsTheHeaderSays) {
    // 3 pairs; vinegar and two salts weak and strong are 5 liquids, 3 of them strong or ready-made; one
    // separator lets one liquid be, one keeps two apart.
    EXPECT_EQ(candidatesOf(smallShelf()).size(), 3U * 5U * 2U + 3U * 3U * 2U * 1U);
    Shelf bare = smallShelf();
    bare.separators.clear();
    EXPECT_EQ(candidatesOf(bare).size(), 15U);
    bare.materials.resize(1);
    EXPECT_EQ(candidatesOf(bare).size(), 0U);
    EXPECT_EQ(candidatesOf(Shelf{}).size(), 0U);
}

TEST(Candidates, AreAllDifferent) {
    const Candidates candidates = candidatesOf(smallShelf());
    for (std::size_t i = 0; i < candidates.size(); ++i) {
        for (std::size_t j = 0; j < i; ++j) {
            EXPECT_FALSE(candidates.design(i) == candidates.design(j)) << i << " and " << j;
        }
    }
}

TEST(Candidates, PutTogetherFromPartsAreWhatTheirDesignsResolveTo) {
    const Candidates candidates = candidatesOf(smallShelf());
    for (std::size_t i = 0; i < candidates.size(); ++i) {
        const auto resolved = design::resolve(test::catalogue(), candidates.design(i));
        ASSERT_TRUE(resolved) << i;
        const Evaluation one = cell::evaluate(test::catalogue(), candidates.cell(i));
        const Evaluation other = cell::evaluate(test::catalogue(), *resolved);
        EXPECT_NEAR(one.openCircuitVolts, other.openCircuitVolts, 1e-9) << i;
        EXPECT_NEAR(one.first.maximumPower.watts, other.first.maximumPower.watts,
                    1e-9 * other.first.maximumPower.watts)
            << i;
        EXPECT_EQ(one.capacity.expectedCoulombs, other.capacity.expectedCoulombs) << i;
    }
}

TEST(Candidates, PourNoMoreThanThereIsNorThanDissolves) {
    Shelf shelf = smallShelf();
    shelf.substances = {{"NaCl", 0.001, {}}, {"NaHCO3", 1.0, {}}};
    const Candidates candidates = candidatesOf(shelf);
    for (std::size_t i = 0; i < candidates.size(); ++i) {
        const auto cell = design::resolve(test::catalogue(), candidates.design(i));
        ASSERT_TRUE(cell);
        EXPECT_TRUE(state::asBuilt(test::catalogue(), *cell).solutions[0].undissolved.empty()) << i;
        for (const design::SoluteDesign& solute : candidates.design(i).liquid.solutes) {
            // 1 g of salt in 100 mL is 0.171 mol/L.
            EXPECT_LE(solute.amount.value, solute.substance == "NaCl" ? 171.2 : 3000.0);
        }
    }
}

TEST(Candidates, CostWhatIsUsedOfEach) {
    Shelf shelf = smallShelf();
    const Candidates candidates = candidatesOf(shelf);
    // The first: zinc and copper in 100 of 500 mL vinegar, nothing between.
    EXPECT_NEAR(*candidates.price(0), 2.0 + 3.0 + 0.2, 1e-9);
    shelf.materials[1].price.reset();
    EXPECT_FALSE(candidatesOf(shelf).price(0)) << "copper's price is not known";
}

TEST(Candidates, NameTheItemThatNobodyKnows) {
    Shelf shelf = smallShelf();
    shelf.materials[1].material = "coper";
    EXPECT_EQ(fieldAtFault(shelf), "materials[1].material");
    shelf = smallShelf();
    shelf.substances[1].substance = "salz";
    EXPECT_EQ(fieldAtFault(shelf), "substances[1].substance");
    shelf = smallShelf();
    shelf.liquids[0].ready = "vineger";
    EXPECT_EQ(fieldAtFault(shelf), "liquids[0].ready");
    shelf = smallShelf();
    shelf.separators[1].material = "sieve";
    EXPECT_EQ(fieldAtFault(shelf), "separators[1].material");
    shelf = smallShelf();
    shelf.cases = {{"jam", {}}};
    EXPECT_EQ(fieldAtFault(shelf), "cases[0].material");
}

class Rankings : public testing::TestWithParam<RankBy> {};

TEST_P(Rankings, TheBestComeFirstWhateverTheThreadsAndEvaluateToTheSameFigures) {
    const Candidates candidates = candidatesOf(smallShelf());
    const ScreeningResult one = screened(candidates, GetParam(), 1);
    const ScreeningResult four = screened(candidates, GetParam(), 4);
    EXPECT_EQ(one.tried, candidates.size());
    EXPECT_EQ(one.possible, one.tried);
    ASSERT_EQ(one.best.size(), candidates.numbers().pairs()) << "a row for each pair";
    const bool leastFirst = GetParam() == RankBy::Cost || GetParam() == RankBy::Safety;
    for (std::size_t i = 0; i < one.best.size(); ++i) {
        EXPECT_EQ(one.best[i].best.index, four.best[i].best.index);
        if (i > 0) {
            EXPECT_TRUE(leastFirst ? one.best[i].best.figure >= one.best[i - 1].best.figure
                                   : one.best[i].best.figure <= one.best[i - 1].best.figure);
        }
        const Screened& best = one.best[i].best;
        const auto cell = design::resolve(test::catalogue(), candidates.design(best.index, best.swapped));
        ASSERT_TRUE(cell);
        const Evaluation again = cell::evaluate(test::catalogue(), *cell);
        EXPECT_GE(again.openCircuitVolts, 0.0);
        EXPECT_NEAR(again.openCircuitVolts, best.openCircuitVolts, 1e-6);
        EXPECT_NEAR(again.first.maximumPower.watts, best.maximumWatts, 1e-6);
    }
}

INSTANTIATE_TEST_SUITE_P(Ways, Rankings,
                         testing::Values(RankBy::Voltage, RankBy::Power, RankBy::Life, RankBy::Cost,
                                         RankBy::Safety));

TEST(Figure, CostIsThePriceOfTheWorkThatACellCanDo) {
    const auto costOf = [](const std::string& json, const std::optional<double>& price) {
        const design::Cell cell = test::cellOf(json);
        const Evaluation evaluation = cell::evaluate(test::catalogue(), cell);
        return std::pair(figureOf(test::catalogue(), cell, evaluation, RankBy::Cost, price),
                         0.5 * evaluation.openCircuitVolts * evaluation.capacity.expectedCoulombs);
    };
    const auto [cost, joules] = costOf(test::beakers(), 3.0);
    EXPECT_NEAR(cost * joules, 3.0, 1e-9);
    EXPECT_TRUE(std::isinf(costOf(test::beakers(), {}).first)) << "nobody said what it costs";
}

TEST(Screening, ACellThatCannotDriveAnythingHasNoLife) {
    Shelf shelf = smallShelf();
    shelf.materials = {{"copper", 0.0001, {}, {}}, {"silver", 0.0001, {}, {}}};
    shelf.substances.clear();
    for (const ScreenedPair& one : screened(candidatesOf(shelf), RankBy::Life).best) {
        EXPECT_EQ(one.best.figure, 0.0);
    }
}

TEST(Screening, BehindAPairStandOtherLiquidsAndNoLiquidTwice) {
    const Candidates candidates = candidatesOf(smallShelf());
    for (const ScreenedPair& pair : screened(candidates, RankBy::Voltage).best) {
        EXPECT_FALSE(pair.others.empty());
        std::set<std::size_t> liquids = {candidates.numbers().liquidOf(pair.best.index)};
        double before = pair.best.figure;
        for (const Screened& other : pair.others) {
            EXPECT_EQ(candidates.numbers().pairOf(other.index), candidates.numbers().pairOf(pair.best.index));
            EXPECT_TRUE(liquids.insert(candidates.numbers().liquidOf(other.index)).second);
            EXPECT_LE(other.figure, before);
            before = other.figure;
        }
    }
}

TEST(Screening, ALargeShelfIsSampledAndItsBestIsFound) {
    Shelf shelf = smallShelf();
    shelf.materials.push_back({"magnesium", 0.002, {}, {}});
    shelf.materials.push_back({"steel", 0.002, {}, {}});
    const Candidates candidates = candidatesOf(shelf);
    ScreeningOptions options;
    options.whole = candidates.size() - 1;
    options.sampled = candidates.size() / 3;
    const ScreeningResult some = *screen(test::catalogue(), candidates, options);
    EXPECT_LE(some.tried, options.sampled);
    EXPECT_EQ(some.possible, candidates.size());
    const ScreeningResult all = screened(candidates, RankBy::Voltage);
    ASSERT_EQ(some.best.size(), all.best.size()) << "no pair is left out";
    for (std::size_t i = 0; i < 3; ++i) {
        EXPECT_NEAR(some.best[i].best.figure, all.best[i].best.figure, 0.02) << i;
    }
}

TEST(Screening, AMetalThatCopperThrowsItselfOutOnIsNoPositive) {
    Shelf shelf;
    shelf.materials = {
        {"magnesium", 0.002, {}, {}}, {"aluminium", 0.002, {}, {}}, {"graphite", 0.002, {}, {}}};
    shelf.substances = {{"NaCl", 0.5, {}}, {"CuSO4·5H2O", 0.5, {}}};
    shelf.separators = {{"ion membrane", {}}};
    const Candidates candidates = candidatesOf(shelf);
    for (const ScreenedPair& pair : screened(candidates, RankBy::Voltage).best) {
        const auto design = candidates.design(pair.best.index, pair.best.swapped);
        EXPECT_FALSE(design.positive.material == "aluminium" && design.positiveLiquid &&
                     !design.positiveLiquid->solutes.empty() &&
                     design.positiveLiquid->solutes[0].substance == "CuSO4·5H2O");
    }
}

TEST(Screening, FoodStaysFood) {
    Shelf shelf = smallShelf();
    shelf.substances.clear();
    const Candidates candidates = candidatesOf(shelf);
    const design::Cell cell = candidates.cell(0);
    EXPECT_TRUE(cell.ready[0]) << "vinegar is still vinegar";
}

TEST(CandidateNumbers, EachNumberIsOneChoice) {
    const CandidateNumbers numbers(5, 4, {0, 2, 3}, {1}, {0, 2});
    EXPECT_EQ(numbers.size(), 10U * 4U * 2U + 10U * 3U * 2U * 2U);
    for (std::size_t i = 0; i < numbers.size(); ++i) {
        const Choice choice = numbers.choice(i);
        EXPECT_LT(choice.first, choice.second);
        EXPECT_EQ(numbers.index(choice), i);
    }
}

TEST(Screening, AStopGivesNothing) {
    std::stop_source source;
    source.request_stop();
    EXPECT_FALSE(screen(test::catalogue(), candidatesOf(smallShelf()), {}, source.get_token()));
}

} // namespace
} // namespace anodex::shelf
