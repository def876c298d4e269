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

} // namespace
} // namespace anodex::base
