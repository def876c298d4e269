// What plates on the minus side is purer than the metal of the shop, and gives less hydrogen.
#include "core/cell/Polarisation.h"
#include "core/charge/Charge.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>

namespace anodex::charge {
namespace {

using design::Side;
using namespace test::json;

Charging chargedAt(const Json& cell, double amps) {
    const design::Cell built = test::cellOf(with(cell, "charge", {{"current_A", amps}}).dump());
    return chargingOf(test::catalogue(), built, cell::evaluate(test::catalogue(), built, {0}));
}

double storedOnTheMinus(const Json& cell, double amps) {
    return chargedAt(cell, amps).asked->point.storedShare[static_cast<std::size_t>(Side::Negative)];
}

Json zincIn(const Json& liquid) {
    return cellWith(airless(electrodeJson("zinc", 20)), airless(electrodeJson("graphite", 20)), liquid);
}

TEST(FreshPlate, ZincPlatesFromItsAcidSulfateForTheMostPart) {
    // Nine tenths in the stirred cells of a zinc works (from memory); still liquid gives less.
    EXPECT_GT(storedOnTheMinus(zincIn(water({{"ZnSO4", 1.0}, {"H2SO4", 0.5}})), 0.4), 0.65);
}

TEST(FreshPlate, ZincPlatesFromStaleZincateByNineTenthsAndMore) {
    Json oxide = cellWith(electrodeJson("zinc", 20), electrodeJson("silver oxide", 20), water({{"KOH", 6}}));
    EXPECT_GT(chargedAt(oxide, 0.01).gentle.point.efficiency, 0.9);
}

TEST(FreshPlate, WithNothingToPlateTheZincOfTheShopGivesItsHydrogen) {
    const Json bare = zincIn(water({{"H2SO4", 0.5}}));
    const test::Filled filled(bare.dump());
    const cell::Polarisation curve(filled.compiled, filled.contents, electrode::Moment::Settled);
    const Charging charging = chargedAt(bare, 0.02);
    EXPECT_NEAR(charging.asked->point.potentialVolts[0], curve.potentialAt(Side::Negative, -0.02), 1e-3);
}

TEST(FreshPlate, CoversAsFarAsItsShare) {
    const test::Filled filled(zincIn(water({{"H2SO4", 0.5}})).dump());
    const auto hydrogenAt = [&](double coverage) {
        state::Contents contents = filled.contents;
        contents.state.electrodes[0].freshCoverage = coverage;
        return -electrode::ElectrodeModel(filled.compiled.at(Side::Negative, contents),
                                          electrode::secondsOf(electrode::Moment::Settled))
                    .currentAt(-0.85);
    };
    EXPECT_GT(hydrogenAt(0.0), 1.5 * hydrogenAt(0.5));
    EXPECT_GT(hydrogenAt(0.5), 5.0 * hydrogenAt(1.0));
}

} // namespace
} // namespace anodex::charge
