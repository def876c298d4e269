// What runs out first: air that goes on where a powder ends, and sludge that takes the solvent along.
#include "core/cell/Capacity.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <gtest/gtest.h>

namespace anodex::cell {
namespace {

using namespace test::json;

std::string firstOut(const Evaluation& evaluation) {
    return evaluation.capacity.reagents.empty()
               ? std::string{}
               : test::catalogue().species[evaluation.capacity.reagents.front().species].name;
}

Json withPowder(Json electrode, double grams) {
    electrode["additives"] = {{{"material", "manganese dioxide"}, {"mass_g", grams}}};
    return electrode;
}

TEST(Capacity, AirGoesOnWhereAPowderEnds) {
    const Json carbon = breathing(electrodeJson("activated carbon"));
    const Evaluation plain =
        test::evaluated(cellWith(electrodeJson("zinc"), carbon, water({{"KOH", 6}})).dump());
    const Evaluation mixed =
        test::evaluated(cellWith(electrodeJson("zinc"), withPowder(carbon, 1), water({{"KOH", 6}})).dump());
    EXPECT_EQ(firstOut(mixed), "Zn(s)");
    EXPECT_NEAR(mixed.capacity.expectedCoulombs, plain.capacity.expectedCoulombs,
                0.01 * plain.capacity.expectedCoulombs);
    EXPECT_LT(mixed.capacity.firstCoulombs, 2000.0) << "1 g of dioxide gives some 0.25 Ah";
    EXPECT_GT(mixed.capacity.firstCoulombs, 500.0);
    EXPECT_EQ(plain.capacity.firstCoulombs, plain.capacity.expectedCoulombs);
}

TEST(Capacity, WithoutAnOpenFaceThePowderEndsIt) {
    const Evaluation wetted =
        test::evaluated(cellWith(electrodeJson("zinc"), withPowder(electrodeJson("activated carbon"), 0.1),
                                 water({{"KOH", 6}}))
                            .dump());
    EXPECT_EQ(firstOut(wetted), "MnO2(s)");
    EXPECT_EQ(wetted.capacity.firstCoulombs, wetted.capacity.expectedCoulombs);
}

/// Of thick metal in 5 mL, C.
double inLittleLiquid(const char* metal, Json liquid, std::string& first) {
    Json sheet = electrodeJson(metal);
    sheet["mass_g"] = 50;
    liquid[liquid.contains("ready") ? "volume_mL" : "water_mL"] = 5;
    const Evaluation evaluation =
        test::evaluated(cellWith(sheet, breathing(electrodeJson("activated carbon")), liquid).dump());
    first = firstOut(evaluation);
    return evaluation.capacity.expectedCoulombs;
}

TEST(Capacity, SludgeTakesTheWaterOfAPuddle) {
    std::string first;
    const double aluminium = inLittleLiquid("aluminium", water({{"NaCl", 1}}), first);
    EXPECT_EQ(first, "H2O(l)");
    EXPECT_GT(aluminium, 0.1 * 3600.0) << "a gel of some 6 % oxide, 0.1 Ah/mL at most";
    EXPECT_LT(aluminium, 0.6 * 3600.0);
    const double zinc = inLittleLiquid("zinc", water({{"NaCl", 1}}), first);
    EXPECT_GT(zinc, aluminium) << "its hydroxide packs more closely";
}

TEST(Capacity, SludgeWaitsUntilTheAcidIsUsedUp) {
    std::string first;
    const double brine = inLittleLiquid("zinc", water({{"NaCl", 1}}), first);
    EXPECT_EQ(first, "H2O(l)");
    const double sour = inLittleLiquid("zinc", water({{"acetic acid", 1}}), first);
    // 5 mL and what the acid takes up itself hold 5.3 mmol of it, which keep half as much zinc dissolved: 512 C.
    EXPECT_NEAR(sour - brine, 512.0, 30.0);
    const double more = inLittleLiquid("zinc", water({{"acetic acid", 2}}), first);
    EXPECT_NEAR(more - sour, 577.0, 30.0) << "and 11.3 mmol";
}

TEST(Capacity, MagnesiumGathersSludgeWhereverTheLiquidBegan) {
    std::string first;
    for (const Json& liquid : {water({{"NaCl", 1}}), water({{"Na2SO4", 1}}), water({{"MgSO4", 0.5}})}) {
        const double coulombs = inLittleLiquid("magnesium", liquid, first);
        EXPECT_EQ(first, "H2O(l)") << liquid.dump();
        EXPECT_GT(coulombs, 0.1 * 3600.0) << liquid.dump();
        EXPECT_LT(coulombs, 0.8 * 3600.0) << liquid.dump();
    }
}

/// A metal over 0.2 V lasts at least minutes at a tenth of its short circuit, whatever it stands in: no trace that
/// another reagent takes over from ends it.
TEST(Capacity, NoTraceEndsACell) {
    for (const char* metal : {"magnesium", "aluminium", "zinc", "steel", "tin", "lead"}) {
        for (const Json& liquid :
             {water({{"NaCl", 1}}), water({{"NaCl", 0.01}}), water({{"KOH", 6}}), water({{"KOH", 0.1}}),
              water({{"H2SO4", 1}}), water({{"HCl", 0.1}}), water({{"acetic acid", 1}}),
              water({{"NH4Cl", 3}}), water({{"Na2CO3", 1}}), water({{"NaHCO3", 0.5}}), water({{"ZnSO4", 1}}),
              water({{"CuSO4", 0.5}}), water({{"AlCl3", 1}}), water({{"Na2SO4", 1}}), ready("seawater"),
              ready("lemon juice"), ready("damp soil"), ready("tap water")}) {
            const Evaluation e = test::evaluated(
                cellWith(electrodeJson(metal), breathing(electrodeJson("activated carbon")), liquid).dump());
            if (e.openCircuitVolts > 0.2) {
                EXPECT_GT(e.capacity.expectedCoulombs, 18.0) << metal << " in " << liquid.dump();
                EXPECT_LE(e.capacity.expectedCoulombs, e.capacity.theoreticalCoulombs * (1.0 + 1e-9))
                    << metal << " in " << liquid.dump();
            }
        }
    }
}

} // namespace
} // namespace anodex::cell
