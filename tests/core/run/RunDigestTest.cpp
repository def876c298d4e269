#include "core/run/RunDigest.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <gtest/gtest.h>

namespace anodex::run {
namespace {

TEST(RunDigest, DrawsTheVoltageOverTheChargeDelivered) {
    // 0.1 A for an hour: 360 C, from 1.5 V to 1.0 V in a straight line.
    const auto digest = digestRun(test::straightDischarge(0.1, 3600.0, 101));
    ASSERT_TRUE(digest);
    ASSERT_EQ(digest->voltsOverCoulombs.size(), 101U);
    EXPECT_EQ(digest->voltsOverCoulombs.front().x, 0.0);
    EXPECT_NEAR(digest->voltsOverCoulombs.back().x, 360.0, 1e-9);
    EXPECT_NEAR(digest->voltsOverCoulombs[50].x, 180.0, 1e-9);
    EXPECT_NEAR(digest->voltsOverCoulombs[50].y, 1.25, 1e-12);
    EXPECT_NEAR(digest->analysis.dischargeCoulombs, 360.0, 1e-9);
}

TEST(RunDigest, NeverRunsToTheLeftWhileCharging) {
    record::RunSamples samples;
    for (int i = 0; i < 60; ++i) {
        samples.seconds.push_back(i);
        samples.volts.push_back(1.0);
        samples.amps.push_back(i % 20 < 10 ? 0.2 : -0.2);
    }
    const auto digest = digestRun(samples);
    ASSERT_TRUE(digest);
    EXPECT_TRUE(std::is_sorted(digest->voltsOverCoulombs.begin(), digest->voltsOverCoulombs.end(),
                               [](const CurveSample& a, const CurveSample& b) { return a.x < b.x; }));
    EXPECT_GT(digest->analysis.chargeCoulombs, 0.0);
}

TEST(RunDigest, StaysSmallHoweverLongTheRun) {
    const auto digest = digestRun(test::straightDischarge(0.1, 1e6, 300'000));
    ASSERT_TRUE(digest);
    EXPECT_LE(digest->voltsOverCoulombs.size(), 1000U);
    EXPECT_NEAR(digest->voltsOverCoulombs.back().x, 1e5, 1.0);
}

TEST(RunDigest, PassesOnWhatIsWrongWithTheRun) {
    EXPECT_EQ(digestRun(record::RunSamples{}).error().code, RunError::Code::TooFewSamples);
    record::RunSamples samples = test::straightDischarge(0.1, 10.0, 5);
    samples.seconds[3] = samples.seconds[2];
    const auto wrong = digestRun(samples);
    ASSERT_FALSE(wrong);
    EXPECT_EQ(wrong.error().code, RunError::Code::TimeNotIncreasing);
    EXPECT_EQ(wrong.error().sample, 3U);
}

} // namespace
} // namespace anodex::run
