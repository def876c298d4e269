#include "core/base/Random.h"

#include <cmath>
#include <gtest/gtest.h>

namespace anodex::base {
namespace {

TEST(Random, DependsOnItsAddressAlone) {
    EXPECT_EQ(uniformAt(1, 2, 3), uniformAt(1, 2, 3));
    EXPECT_NE(uniformAt(1, 2, 3), uniformAt(1, 2, 4));
    EXPECT_NE(uniformAt(1, 2, 3), uniformAt(1, 3, 3));
    EXPECT_NE(uniformAt(1, 2, 3), uniformAt(2, 2, 3));
}

TEST(Random, IsUniformInsideTheOpenInterval) {
    double sum = 0.0;
    constexpr int kCount = 20000;
    for (int i = 0; i < kCount; ++i) {
        const double value = uniformAt(7, static_cast<std::uint64_t>(i), 0);
        EXPECT_GT(value, 0.0);
        EXPECT_LT(value, 1.0);
        sum += value;
    }
    EXPECT_NEAR(sum / kCount, 0.5, 0.01);
}

TEST(Random, NormalHasUnitSpread) {
    double sum = 0.0;
    double squares = 0.0;
    constexpr int kCount = 20000;
    for (int i = 0; i < kCount; ++i) {
        const double value = normalAt(3, static_cast<std::uint64_t>(i), 9);
        sum += value;
        squares += value * value;
    }
    EXPECT_NEAR(sum / kCount, 0.0, 0.03);
    EXPECT_NEAR(squares / kCount, 1.0, 0.04);
}

TEST(Random, NamesGetDifferentAddresses) {
    EXPECT_NE(addressOf("gap"), addressOf("area"));
    EXPECT_EQ(addressOf("gap"), addressOf("gap"));
}

} // namespace
} // namespace anodex::base
