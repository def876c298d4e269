#include "core/base/RootFinding.h"

#include <gtest/gtest.h>

namespace anodex::base {
namespace {

TEST(RootFinding, FindsTheCrossingWhereverTheSearchBegins) {
    const auto cubic = [](double x) { return x * x * x - 8.0; };
    for (const double guess : {-100.0, -1.0, 0.0, 2.0, 50.0}) {
        EXPECT_NEAR(rootOfRising(cubic, guess), 2.0, 1e-9) << guess;
    }
}

TEST(RootFinding, GivesTheNearerEndWhenThereIsNoCrossing) {
    RootOptions options;
    options.lowest = 0.0;
    options.highest = 5.0;
    EXPECT_EQ(rootOfRising([](double x) { return x + 1.0; }, 2.0, options), 0.0);
    EXPECT_EQ(rootOfRising([](double x) { return x - 9.0; }, 2.0, options), 5.0);
}

TEST(RootFinding, StandsStillOnAnExactRoot) {
    EXPECT_EQ(rootOfRising([](double x) { return x - 3.0; }, 3.0), 3.0);
}

TEST(RootFinding, SurvivesVerySteepFunctions) {
    const auto steep = [](double x) { return std::exp(200.0 * (x - 0.7)) - 1.0; };
    EXPECT_NEAR(rootOfRising(steep, 0.0), 0.7, 1e-8);
}

Sloped steep(double x) {
    const double rise = std::exp(std::min(200.0 * (x - 0.7), 230.0));
    return {rise - 1.0, 200.0 * rise};
}

TEST(RootFinding, BySlopeFindsTheCrossingWhereverTheSearchBegins) {
    for (const double guess : {-20.0, -1.0, 0.0, 0.69, 0.7, 0.8, 20.0}) {
        EXPECT_NEAR(rootOfRisingBySlope(steep, guess), 0.7, 1e-9) << guess;
    }
}

TEST(RootFinding, BySlopeCrossesPlateausKinksAndSlopesThatSayNothing) {
    const auto plateau = [](double x) { return Sloped{x < 3.0 ? -1.0 : (x - 3.5), x < 3.0 ? 0.0 : 1.0}; };
    EXPECT_NEAR(rootOfRisingBySlope(plateau, -5.0), 3.5, 1e-9);
    const auto wrong = [](double x) { return Sloped{x - 2.0, 1e-12}; };
    EXPECT_NEAR(rootOfRisingBySlope(wrong, -5.0), 2.0, 1e-9);
    const auto kink = [](double x) {
        return Sloped{x > 1.0 ? 1e6 * (x - 1.0) : 1e-6 * (x - 1.0), x > 1.0 ? 1e6 : 1e-6};
    };
    EXPECT_NEAR(rootOfRisingBySlope(kink, 9.0), 1.0, 1e-9);
    EXPECT_NEAR(rootOfRisingBySlope(kink, -9.0), 1.0, 1e-9);
    const auto wall = [](double x) {
        return Sloped{std::min(x, 4.0) - 1.0, x < 4.0 ? 1.0 : std::numeric_limits<double>::infinity()};
    };
    EXPECT_NEAR(rootOfRisingBySlope(wall, 9.0), 1.0, 1e-9) << "a slope without end is no answer";
}

TEST(RootFinding, BySlopeGivesTheNearerEndOrFaultsLikeTheOther) {
    RootOptions options;
    options.lowest = 0.0;
    options.highest = 5.0;
    EXPECT_EQ(rootOfRisingBySlope([](double x) { return Sloped{x + 1.0, 1.0}; }, 2.0, options), 0.0);
    EXPECT_EQ(rootOfRisingBySlope([](double x) { return Sloped{x - 9.0, 1.0}; }, 2.0, options), 5.0);
    EXPECT_THROW((void)rootOfRisingBySlope([](double) { return Sloped{std::nan(""), 1.0}; }, 2.0), Fault);
}

TEST(RootFinding, BySlopeFindsASmallRootOfAWideSpan) {
    RootOptions options;
    options.lowest = 0.0;
    options.highest = 1.0;
    options.tolerance = 1e-12;
    options.nearlyZero = 1e-6;
    const auto curved = [](double x) {
        return Sloped{std::log(x + 1e-10) - std::log(3e-9), 1.0 / (x + 1e-10)};
    };
    for (const double guess : {1.0, 1e-3, 1e-8, 0.0}) {
        EXPECT_NEAR(rootOfRisingBySlope(curved, guess, options), 2.9e-9, 1e-12) << guess;
    }
}

TEST(RootFinding, BySlopeNeedsFewCallsNearTheRoot) {
    int calls = 0;
    const auto counted = [&](double x) {
        ++calls;
        return steep(x);
    };
    EXPECT_NEAR(rootOfRisingBySlope(counted, 0.701), 0.7, 1e-9);
    EXPECT_LE(calls, 7);
}

} // namespace
} // namespace anodex::base
