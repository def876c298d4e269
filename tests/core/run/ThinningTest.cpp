#include "core/run/Thinning.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>
#include <vector>

namespace anodex::run {
namespace {

std::vector<double> counting(std::size_t count) {
    std::vector<double> values(count);
    for (std::size_t i = 0; i < count; ++i) {
        values[i] = static_cast<double>(i);
    }
    return values;
}

TEST(Thinning, LeavesAShortColumnWhole) {
    const std::vector<double> seconds = counting(20);
    const std::vector<double> volts = counting(20);
    const auto curve = thinned(seconds, volts, 10);
    ASSERT_EQ(curve.size(), 20U);
    EXPECT_EQ(curve[7].x, 7.0);
    EXPECT_EQ(curve[7].y, 7.0);
}

TEST(Thinning, GivesTwoPointsAStretch) {
    const std::vector<double> seconds = counting(1001);
    EXPECT_EQ(thinned(seconds, seconds, 10).size(), 20U);
}

TEST(Thinning, ShowsAPeakOfOneSample) {
    const std::vector<double> seconds = counting(100'000);
    std::vector<double> volts(seconds.size(), 1.0);
    volts[56'789] = 7.0;
    volts[12'345] = -3.0;
    const auto curve = thinned(seconds, volts, 50);
    const auto [low, high] = std::minmax_element(
        curve.begin(), curve.end(), [](const CurveSample& a, const CurveSample& b) { return a.y < b.y; });
    EXPECT_EQ(high->y, 7.0);
    EXPECT_EQ(high->x, 56'789.0);
    EXPECT_EQ(low->y, -3.0);
    EXPECT_EQ(low->x, 12'345.0);
}

TEST(Thinning, KeepsTheOrderOfTime) {
    const std::vector<double> seconds = counting(5000);
    std::vector<double> volts;
    for (const double t : seconds) {
        volts.push_back(std::sin(t));
    }
    const auto curve = thinned(seconds, volts, 77);
    EXPECT_TRUE(std::is_sorted(curve.begin(), curve.end(),
                               [](const CurveSample& a, const CurveSample& b) { return a.x < b.x; }));
}

TEST(Thinning, HasNothingToShowOfNothing) {
    EXPECT_TRUE(thinned({}, {}, 100).empty());
    const std::vector<double> one = {3.0};
    EXPECT_EQ(thinned(one, one, 100).size(), 1U);
}

TEST(Thinning, TakesTheShorterOfTwoColumns) {
    const std::vector<double> seconds = counting(10);
    const std::vector<double> volts = counting(4);
    EXPECT_EQ(thinned(seconds, volts, 100).size(), 4U);
}

} // namespace
} // namespace anodex::run
