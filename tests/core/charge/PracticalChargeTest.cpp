// A charge that is told is one a builder can give: neither a crawl nor a blaze, and it stores what it says.
#include "core/charge/Charge.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>

namespace anodex::charge {
namespace {

using namespace test::json;

Charging charged(const Json& cell) {
    const design::Cell built = test::cellOf(cell.dump());
    return chargingOf(test::catalogue(), built, cell::evaluate(test::catalogue(), built, {0}));
}

Json airlessPair(const char* negative, const char* positive, const Json& liquid) {
    return cellWith(airless(electrodeJson(negative, 20)), airless(electrodeJson(positive, 20)), liquid);
}

double gentleDensity(const Json& cell, const Charging& charging) {
    const double area = std::min(cell["negative"]["wetted_area_cm2"].get<double>(),
                                 cell["positive"]["wetted_area_cm2"].get<double>());
    return charging.gentle.point.amps / (1e-4 * area);
}

class RechargeableCells : public testing::TestWithParam<Json> {};

TEST_P(RechargeableCells, AreChargedGentlyByACurrentThatIsGentle) {
    const Charging charging = charged(GetParam());
    ASSERT_TRUE(charging.possible);
    EXPECT_GT(gentleDensity(GetParam(), charging), 0.1);
    EXPECT_LT(gentleDensity(GetParam(), charging), 100.0);
    EXPECT_LT(charging.gentle.point.volts, 1.6 * charging.restVolts + 0.2);
    EXPECT_GT(charging.gentle.point.efficiency, 0.5);
    EXPECT_GT(charging.floatVolts.value_or(charging.restVolts + 1.0), charging.restVolts);
}

INSTANTIATE_TEST_SUITE_P(ByFamily, RechargeableCells,
                         testing::Values(airlessPair("zinc", "manganese dioxide", water({{"ZnCl2", 2}})),
                                         airlessPair("zinc", "manganese dioxide",
                                                     water({{"ZnSO4", 2}, {"MnSO4", 0.1}})),
                                         airlessPair("zinc", "manganese dioxide", water({{"NH4Cl", 4}})),
                                         airlessPair("zinc", "manganese dioxide", water({{"KOH", 6}})),
                                         airlessPair("zinc", "silver oxide", water({{"KOH", 6}})),
                                         airlessPair("lead", "lead dioxide", water({{"H2SO4", 3}})),
                                         airlessPair("zinc", "nickel hydroxide plate", water({{"KOH", 6}})),
                                         airlessPair("steel", "graphite", water({{"FeCl2", 1}})),
                                         airlessPair("zinc", "graphite", water({{"ZnBr2", 2}}))));

TEST(PracticalCharge, ZincAndAirTakeTwoVoltsOrLess) {
    // 1.9 to 2.2 V of cells with plain carbon (common practice, no source).
    Json cell =
        cellWith(electrodeJson("zinc", 20), electrodeJson("activated carbon", 20), water({{"KOH", 6}}));
    cell["positive"]["air"] = "breathing";
    cell["charge"] = {{"current_A", 0.02}};
    const Charging charging = charged(cell);
    ASSERT_TRUE(charging.possible);
    EXPECT_NEAR(charging.asked->point.volts, 2.0, 0.15);
    EXPECT_GT(charging.asked->point.storedShare[1], 0.5);
}

TEST(PracticalCharge, IronInItsChlorideStoresRustOnTheCarbon) {
    Json cell = airlessPair("steel", "graphite", water({{"FeCl2", 1}}));
    cell["charge"] = {{"current_A", 0.01}};
    const Charging charging = charged(cell);
    EXPECT_GT(charging.asked->point.efficiency, 0.9);
    EXPECT_NEAR(charging.asked->point.volts, 1.55, 0.2);
}

TEST(PracticalCharge, WhatCopperPlatesOnFasterThanZincIsNotRechargeable) {
    EXPECT_FALSE(charged(airlessPair("zinc", "copper", water({{"CuSO4", 0.5}}))).possible);
}

TEST(PracticalCharge, CarbonBurnsWhereItGivesOxygenButForTheSmallerPart) {
    Json cell = airlessPair("nickel", "graphite", water({{"Na2SO4", 0.5}}));
    cell["charge"] = {{"current_A", 0.1}};
    double burnt = 0.0;
    const Charging charging = charged(cell);
    for (const ChargeReaction& reaction : charging.asked->reactions[1]) {
        burnt +=
            test::catalogue().reactions[reaction.reaction].id == "carbon-oxidation" ? reaction.amps : 0.0;
    }
    // 0.1 to 0.4 kg of graphite for an ampere in a year, of 0.98 if nothing else came of it.
    EXPECT_NEAR(burnt / 0.1, 0.25, 0.15);
}

} // namespace
} // namespace anodex::charge
