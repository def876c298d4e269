#include "core/base/Interval.h"

#include <gtest/gtest.h>
#include <vector>

namespace anodex::base {
namespace {

TEST(CentralSpan, RunsFromTheFifthToTheNinetyFifthOfAHundred) {
    std::vector<double> values;
    for (int i = 100; i >= 0; --i) {
        values.push_back(i);
    }
    const Interval span = centralSpan(values, 50.0);
    EXPECT_NEAR(span.low, 5.0, 1e-9);
    EXPECT_NEAR(span.high, 95.0, 1e-9);
}

TEST(CentralSpan, LiesBetweenNeighboursWhereNoValueStands) {
    const Interval span = centralSpan({1.0, 2.0}, 1.5);
    EXPECT_NEAR(span.low, 1.05, 1e-12);
    EXPECT_NEAR(span.high, 1.95, 1e-12);
}

TEST(CentralSpan, HoldsTheNominalValueAndOneAlone) {
    EXPECT_EQ(centralSpan({1.0, 2.0, 3.0}, 9.0).high, 9.0);
    EXPECT_EQ(centralSpan({1.0, 2.0, 3.0}, -9.0).low, -9.0);
    const Interval one = centralSpan({4.0}, 4.0);
    EXPECT_EQ(one.low, 4.0);
    EXPECT_EQ(one.high, 4.0);
}

} // namespace
} // namespace anodex::base
