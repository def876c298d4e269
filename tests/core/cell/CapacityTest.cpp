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
        test::evaluated(cellWith(electrodeJson("zinc"), withPowder(carbon, 0.1), water({{"KOH", 6}})).dump());
    EXPECT_EQ(firstOut(mixed), "Zn(s)");
    EXPECT_NEAR(mixed.capacity.expectedCoulombs, plain.capacity.expectedCoulombs,
                0.01 * plain.capacity.expectedCoulombs);
    EXPECT_LT(mixed.capacity.firstCoulombs, 200.0) << "0.1 g of dioxide give some 0.03 Ah";
    EXPECT_GT(mixed.capacity.firstCoulombs, 50.0);
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

} // namespace
} // namespace anodex::cell
