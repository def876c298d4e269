#include "core/load/Device.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>
#include <set>

namespace anodex::load {
namespace {

Device diode() {
    Device device;
    device.id = "d";
    device.names = {"diode"};
    device.amps = {{1.5, 0.0}, {2.0, 0.01}, {2.2, 0.02}};
    device.blocksReversed = true;
    return device;
}

TEST(Device, TakesNothingBelowItsFirstPoint) {
    EXPECT_EQ(ampsAt(diode(), 0.0), 0.0);
    EXPECT_EQ(ampsAt(diode(), 1.49), 0.0);
}

TEST(Device, LiesOnStraightLinesAndGoesOnBeyondTheLast) {
    EXPECT_NEAR(ampsAt(diode(), 1.75), 0.005, 1e-12);
    EXPECT_NEAR(ampsAt(diode(), 2.1), 0.015, 1e-12);
    EXPECT_NEAR(ampsAt(diode(), 2.4), 0.030, 1e-12);
}

TEST(Device, BlocksOrTakesAsMuchTheOtherWayRound) {
    EXPECT_EQ(ampsAt(diode(), -2.0), 0.0);
    Device lamp = diode();
    lamp.blocksReversed = false;
    EXPECT_NEAR(ampsAt(lamp, -2.0), -0.01, 1e-12);
}

TEST(Device, OneThatIsNotKnownTakesNothing) {
    Device led;
    led.mayBe = {"d"};
    EXPECT_FALSE(led.isKnown());
    EXPECT_EQ(ampsAt(led, 2.0), 0.0);
}

TEST(Device, ThoseOfTheCatalogueRiseAndNoNameIsTwoOfThem) {
    const auto& loads = test::catalogue().loads;
    ASSERT_GE(loads.size(), 10U);
    std::set<std::string> names;
    for (const Device& device : loads) {
        for (const std::string& name : device.names) {
            EXPECT_TRUE(names.insert(name).second) << name;
        }
        double before = 0.0;
        for (int step = 0; device.isKnown() && step <= 350; ++step) {
            const double amps = ampsAt(device, 0.01 * step);
            EXPECT_GE(amps, before) << device.id << " at " << 0.01 * step << " V";
            before = amps;
        }
        EXPECT_EQ(device.isKnown(), device.mayBe.empty()) << device.id;
        EXPECT_TRUE(!device.isKnown() || before > 1e-6) << device.id << " does something below 3.5 V";
    }
}

} // namespace
} // namespace anodex::load
