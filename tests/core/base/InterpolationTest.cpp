#include "core/base/Interpolation.h"

#include <gtest/gtest.h>

namespace anodex::base {
namespace {

const Table kTable = {{0.0, 10.0}, {1.0, 20.0}, {3.0, 0.0}};

TEST(Interpolation, RunsStraightBetweenPoints) {
    EXPECT_DOUBLE_EQ(interpolated(kTable, 0.5), 15.0);
    EXPECT_DOUBLE_EQ(interpolated(kTable, 2.0), 10.0);
    EXPECT_DOUBLE_EQ(interpolated(kTable, 1.0), 20.0);
}

TEST(Interpolation, HoldsTheEndsOutsideTheTable) {
    EXPECT_DOUBLE_EQ(interpolated(kTable, -5.0), 10.0);
    EXPECT_DOUBLE_EQ(interpolated(kTable, 9.0), 0.0);
}

TEST(Interpolation, GivesZeroForAnEmptyTable) {
    EXPECT_DOUBLE_EQ(interpolated({}, 1.0), 0.0);
}

} // namespace
} // namespace anodex::base
