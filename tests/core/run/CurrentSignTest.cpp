#include "core/run/CurrentSign.h"

#include "core/record/Record.h"

#include <gtest/gtest.h>
#include <vector>

namespace anodex::run {
namespace {

record::RunSamples loadedTwice(double sign) {
    record::RunSamples samples;
    for (int i = 0; i < 40; ++i) {
        const double amps = i / 10 % 2 == 1 ? 0.5 : 0.0;
        samples.seconds.push_back(i);
        samples.volts.push_back(1.2 - 0.4 * amps - 0.001 * i);
        samples.amps.push_back(sign * amps);
    }
    return samples;
}

double shareOf(const record::RunSamples& samples) {
    return shareMovingTogether(samples.volts, samples.amps).value_or(-1.0);
}

TEST(CurrentSign, AFallUnderLoadIsACurrentDrawn) {
    EXPECT_LT(shareOf(loadedTwice(1.0)), 0.01);
}

TEST(CurrentSign, AFallWithANegativeCurrentIsOneCountedTheOtherWay) {
    EXPECT_GT(shareOf(loadedTwice(-1.0)), 0.99);
}

TEST(CurrentSign, ASteadyCurrentSaysNothing) {
    EXPECT_FALSE(shareMovingTogether(std::vector{1.2, 1.1, 1.0}, std::vector{-0.5, -0.501, -0.499}));
}

TEST(CurrentSign, NorDoesOneThatMovesNoVoltage) {
    EXPECT_FALSE(shareMovingTogether(std::vector{1.2, 1.20002, 1.2}, std::vector{0.0, 0.5, 0.0}));
    EXPECT_FALSE(shareMovingTogether({}, {}));
}

} // namespace
} // namespace anodex::run
