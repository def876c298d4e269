// Hydroxide that weak bases carry, pits that ask for a potential and not for a pH, and what silicate does.
#include "core/cell/Evaluation.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>

namespace anodex::cell {
namespace {

using namespace test::json;

Evaluation pouch(const char* metal, const Json& liquid) {
    return evaluate(test::catalogue(),
                    test::cellOf(cellWith(electrodeJson(metal, 46),
                                          breathing(electrodeJson("activated carbon", 46)), liquid)
                                     .dump()),
                    {0});
}

struct Soda {
    const char* metal;
    const char* base;
    double strength; // mol/L
};

class SodaInBrine : public testing::TestWithParam<Soda> {};

// Builders add soda to get more out of a pouch, not less.
TEST_P(SodaInBrine, TakesLittleOfTheCurrentAndOfTheCapacity) {
    const Soda& soda = GetParam();
    const Evaluation brine = pouch(soda.metal, water({{"NaCl", 1}}));
    const Evaluation with = pouch(soda.metal, water({{"NaCl", 1}, {soda.base, soda.strength}}));
    EXPECT_GT(with.settled.shortCircuitAmps, 0.25 * brine.settled.shortCircuitAmps);
    EXPECT_GT(with.capacity.expectedCoulombs, 0.04 * brine.capacity.expectedCoulombs);
    EXPECT_GT(with.openCircuitVolts, 0.85 * brine.openCircuitVolts);
}

INSTANTIATE_TEST_SUITE_P(
    Of, SodaInBrine,
    testing::Values(Soda{"aluminium foil", "NaHCO3", 0.01}, Soda{"aluminium foil", "NaHCO3", 0.5},
                    Soda{"aluminium foil", "Na2CO3", 0.01}, Soda{"aluminium foil", "Na2CO3", 0.3},
                    Soda{"aluminium foil", "NH3", 1}, Soda{"aluminium foil", "Na3PO4", 0.2},
                    Soda{"aluminium foil", "borax", 0.1}, Soda{"zinc", "NaHCO3", 0.5},
                    Soda{"zinc", "Na2CO3", 0.01}, Soda{"zinc", "Na2CO3", 0.3}, Soda{"zinc", "NH3", 1},
                    Soda{"zinc", "borax", 0.1}, Soda{"magnesium", "NaHCO3", 0.3},
                    Soda{"magnesium", "Na2CO3", 0.3}),
    [](const auto& soda) {
        return test::caseName(soda.index, std::string(soda.param.metal) + soda.param.base);
    });

TEST(Silicate, KeepsAlkaliFromEatingFoil) {
    const Evaluation soda = pouch("aluminium foil", water({{"Na2CO3", 0.3}}));
    const Evaluation glass = pouch("aluminium foil", water({{"Na2CO3", 0.3}, {"sodium silicate", 0.1}}));
    EXPECT_GT(soda.hydrogenM3PerSecond, 5.0 * glass.hydrogenM3PerSecond);
}

TEST(Silicate, HoldsBackTheMoreTheMoreThereIs) {
    double last = 1.0;
    for (const double strength : {0.001, 0.01, 0.1, 0.3}) {
        const Evaluation e = pouch("aluminium foil", water({{"Na2CO3", 0.3}, {"sodium silicate", strength}}));
        EXPECT_LT(e.sides[0].hydrogenAmps, last);
        last = e.sides[0].hydrogenAmps;
    }
}

TEST(Capacity, IsNotEndedByHydroxideThatASolidTakes) {
    const Evaluation e = pouch("magnesium", water({{"NaCl", 1}, {"NaOH", 0.01}}));
    ASSERT_FALSE(e.capacity.reagents.empty());
    EXPECT_NE(e.capacity.reagents.front().species, test::catalogue().key.hydroxide);
}

TEST(WorkingCouple, IsNeverOneThatOnlySlowsDown) {
    // In lye a film lets through what it lets through; under load less hydrogen comes off, which answers nothing.
    const Evaluation e = pouch("magnesium", water({{"NaOH", 1}}));
    EXPECT_EQ(test::catalogue().reactions[e.sides[0].couple.reaction].id, "mgoh2-mg");
    ASSERT_FALSE(e.capacity.reagents.empty());
    EXPECT_EQ(test::catalogue().species[e.capacity.reagents.front().species].name, "Mg(s)");
}

TEST(Capacity, OfTheoryIsTheSmallestOfTheories) {
    const Evaluation e = pouch("aluminium foil", water({{"NaOH", 1}}));
    for (const Reagent& reagent : e.capacity.reagents) {
        EXPECT_LE(e.capacity.theoreticalCoulombs, reagent.coulombs);
    }
}

} // namespace
} // namespace anodex::cell
