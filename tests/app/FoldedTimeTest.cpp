// Long silences fold, everything else keeps its length, and every place leads back to its time.
#include "app/widgets/FoldedTime.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>

namespace anodex::app {
namespace {

TEST(FoldedTime, WithoutRunsNothingFolds) {
    for (const FoldedTime& time : {FoldedTime(), FoldedTime({{0.0, 0.0}, {700.0, 700.0}})}) {
        EXPECT_TRUE(time.folds().empty());
        EXPECT_DOUBLE_EQ(time.at(350.0), 350.0);
    }
}

TEST(FoldedTime, AShortPauseBetweenRunsStays) {
    const FoldedTime time({{0.0, 10.0}, {14.0, 24.0}});
    EXPECT_TRUE(time.folds().empty());
    EXPECT_DOUBLE_EQ(time.at(24.0) - time.at(0.0), 24.0);
}

TEST(FoldedTime, MonthsBetweenRunsTakeLittleRoom) {
    const FoldedTime time({{0.0, 20.0}, {3000.0, 3030.0}, {6000.0, 6010.0}});
    ASSERT_EQ(time.folds().size(), 2U);
    EXPECT_DOUBLE_EQ(time.folds()[0].silent, 2980.0);
    EXPECT_LT(time.at(6010.0) - time.at(0.0), 75.0) << "sixty hours of runs are seen";
    EXPECT_DOUBLE_EQ(time.at(3030.0) - time.at(3000.0), 30.0) << "a run keeps its length";
}

TEST(FoldedTime, PlacesRiseAndLeadBack) {
    const FoldedTime time({{5.0, 20.0}, {300.0, 330.0}, {331.0, 340.0}, {9000.0, 9000.0}});
    double before = time.at(-50.0);
    for (double moment = -49.0; moment < 9500.0; moment += 0.5) {
        const double place = time.at(moment);
        ASSERT_GT(place, before) << moment;
        ASSERT_NEAR(time.timeAt(place), moment, 1e-6) << moment;
        before = place;
    }
}

TEST(FoldedTime, MarksAreRoundApartAndInEveryStretchThatHasRoom) {
    const FoldedTime time({{0.0, 20.0}, {3003.0, 3033.0}});
    const base::Interval places{time.at(0.0), time.at(3033.0)};
    const std::vector<double> marks = marksOf(time, places, 7);
    ASSERT_GE(marks.size(), 4U);
    EXPECT_TRUE(std::any_of(marks.begin(), marks.end(), [](double at) { return at > 3000.0; }));
    for (std::size_t i = 1; i < marks.size(); ++i) {
        EXPECT_GT(time.at(marks[i]) - time.at(marks[i - 1]), (places.high - places.low) / 15.0);
    }
    for (const double mark : marks) {
        EXPECT_DOUBLE_EQ(mark, std::round(mark)) << mark;
        EXPECT_FALSE(mark > 20.0 && mark < 3003.0) << "in a fold";
    }
    EXPECT_EQ(marksOf(FoldedTime(), {0.0, 70.0}, 7).size(), 8U);
    EXPECT_TRUE(marksOf(FoldedTime(), {1.0, 1.0}, 7).empty());
}

} // namespace
} // namespace anodex::app
