#include "core/base/Random.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>
#include <vector>

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

TEST(Random, StrataHoldOneSampleEach) {
    for (const std::uint64_t samples : {1U, 2U, 3U, 17U, 200U, 1000U}) {
        for (const std::uint64_t input : {3U, 99U}) {
            std::vector<int> held(samples, 0);
            for (std::uint64_t i = 0; i < samples; ++i) {
                const double share = stratifiedAt(5, i, samples, input);
                ASSERT_GT(share, 0.0);
                ASSERT_LT(share, 1.0);
                ++held[static_cast<std::size_t>(share * static_cast<double>(samples))];
            }
            EXPECT_EQ(std::count(held.begin(), held.end(), 1), static_cast<std::ptrdiff_t>(samples));
        }
    }
}

TEST(Random, StrataOfTwoInputsDoNotGoTogether) {
    constexpr std::uint64_t kSamples = 500;
    double product = 0.0;
    double following = 0.0;
    for (std::uint64_t i = 0; i < kSamples; ++i) {
        const double one = stratifiedAt(1, i, kSamples, 11) - 0.5;
        product += one * (stratifiedAt(1, i, kSamples, 12) - 0.5);
        following += one * (stratifiedAt(1, (i + 1) % kSamples, kSamples, 11) - 0.5);
    }
    // Of independent ones the sum has a deviation of √500 / 12 = 1.9.
    EXPECT_NEAR(product, 0.0, 6.0);
    EXPECT_NEAR(following, 0.0, 6.0);
}

TEST(Random, NamesGetDifferentAddresses) {
    EXPECT_NE(addressOf("gap"), addressOf("area"));
    EXPECT_NE(addressOf("gap", 1), addressOf("gap", 2));
    EXPECT_EQ(addressOf("gap", 1), addressOf("gap", 1));
}

} // namespace
} // namespace anodex::base
