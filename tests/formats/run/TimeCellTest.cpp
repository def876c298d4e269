// Stamps, dates and clocks as loggers write them; the change of clocks.
#include "formats/run/TimeCell.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>

namespace anodex::formats {
namespace {

struct Row {
    const char* text;
    DateOrder order;
    record::Millis utc;
};
constexpr record::Millis kNoon = 1'772'366'400'000; // 2026-03-01 12:00:00 UTC

constexpr Row kRows[] = {
    {"2026-03-01 12:00:00", DateOrder::DayFirst, kNoon},
    {"2026-03-01T12:00:00", DateOrder::DayFirst, kNoon},
    {"2026-03-01T12:00:00Z", DateOrder::DayFirst, kNoon},
    {"2026-03-01T13:00:00+01:00", DateOrder::DayFirst, kNoon},
    {"2026-03-01T13:00:00+0100", DateOrder::DayFirst, kNoon},
    {"2026-03-01 07:00:00-05:00", DateOrder::DayFirst, kNoon},
    {"2026-03-01 12:00", DateOrder::DayFirst, kNoon},
    {"2026/03/01 12:00:00", DateOrder::DayFirst, kNoon},
    {"2026-03-01 12:00:00.250", DateOrder::DayFirst, kNoon + 250},
    {"2026-03-01 12:00:00,250", DateOrder::DayFirst, kNoon + 250},
    {"01.03.2026 12:00:00", DateOrder::DayFirst, kNoon},
    {"1.3.26 12:00", DateOrder::DayFirst, kNoon},
    {"01/03/2026 12:00:00", DateOrder::DayFirst, kNoon},
    {"03/01/2026 12:00:00", DateOrder::MonthFirst, kNoon},
    {"3/1/2026 12:00:00 PM", DateOrder::MonthFirst, kNoon},
    {"3/1/26 12:00 pm", DateOrder::MonthFirst, kNoon},
    {"1 Mar 2026 12:00:00", DateOrder::DayFirst, kNoon},
    {"01-Mar-2026 12:00:00", DateOrder::DayFirst, kNoon},
    {"Mar 1, 2026 12:00:00", DateOrder::DayFirst, kNoon},
    {"2026-03-01, 12:00:00", DateOrder::DayFirst, kNoon},
    {"20260301T120000Z", DateOrder::DayFirst, kNoon},
    {"20260301T130000+0100", DateOrder::DayFirst, kNoon},
    {"20260301 1200", DateOrder::DayFirst, kNoon},
    {"20260301 12:00:00", DateOrder::DayFirst, kNoon},
    {"Sun 1 Mar 2026 12:00:00", DateOrder::DayFirst, kNoon},
    {"Sunday, 01.03.2026 12:00:00", DateOrder::DayFirst, kNoon},
};

class Stamps : public testing::TestWithParam<Row> {};

TEST_P(Stamps, AreRead) {
    const auto stamp = readStamp(GetParam().text, GetParam().order);
    ASSERT_TRUE(stamp) << GetParam().text;
    EXPECT_EQ(*toUtc(*stamp, "", false), GetParam().utc) << GetParam().text;
}

INSTANTIATE_TEST_SUITE_P(Forms, Stamps, testing::ValuesIn(kRows), test::named(&Row::text));

TEST(TimeCell, RefusesWhatIsNoStamp) {
    for (const char* text :
         {"", "12", "2026-13-01 12:00", "2026-02-30 12:00", "2026-03-01", "2026-03-01 25:00",
          "2026-03-01 12:61", "13:00 PM", "2026-03-01 12:00:00 +99:00", "2026-03-01 12:00:00 later", "1.02",
          "0.0.0 1:00", "20261301T120000", "20260301T250000", "20260301 12", "Sun 12:00"}) {
        EXPECT_FALSE(readStamp(text, DateOrder::DayFirst)) << text;
    }
}

TEST(TimeCell, KnowsWhenTheOrderIsSure) {
    EXPECT_TRUE(readStamp("2026-03-01 12:00", DateOrder::DayFirst)->orderKnown);
    EXPECT_TRUE(readStamp("13/03/2026 12:00", DateOrder::DayFirst)->orderKnown);
    EXPECT_FALSE(readStamp("12/03/2026 12:00", DateOrder::DayFirst)->orderKnown);
    EXPECT_FALSE(readStamp("13/03/2026 12:00", DateOrder::MonthFirst)) << "there is no thirteenth month";
}

TEST(TimeCell, ReadsClocksAndElapsedTimes) {
    EXPECT_DOUBLE_EQ(*readClock("1:05:00"), 3900.0);
    EXPECT_DOUBLE_EQ(*readClock("0:05"), 300.0);
    EXPECT_DOUBLE_EQ(*readClock("120:00:01.5"), 432001.5);
    EXPECT_DOUBLE_EQ(*readClock("2 01:00:00"), 176400.0);
    EXPECT_DOUBLE_EQ(*readClock("2.01:00:00"), 176400.0);
    EXPECT_DOUBLE_EQ(*readClock("1:05:00 PM"), 47100.0);
    EXPECT_DOUBLE_EQ(*readMinSec("12:30"), 750.0);
    EXPECT_FALSE(readClock("1.05"));
    EXPECT_FALSE(readClock("1:65"));
}

TEST(TimeCell, LocalStampsAreLocal) {
    const auto summer = readStamp("2026-07-01 14:00:00", DateOrder::DayFirst);
    EXPECT_EQ(*toUtc(*summer, "Europe/Berlin", false),
              readStamp("2026-07-01 12:00:00", DateOrder::DayFirst)->local);
    EXPECT_FALSE(toUtc(*summer, "Nowhere/Land", false));
    EXPECT_FALSE(isZone("Nowhere/Land"));
    EXPECT_TRUE(isZone("America/New_York"));
    const auto twice = readStamp("2026-10-25 02:30:00", DateOrder::DayFirst);
    EXPECT_TRUE(comesTwice(*twice, "Europe/Berlin"));
    EXPECT_EQ(*toUtc(*twice, "Europe/Berlin", true) - *toUtc(*twice, "Europe/Berlin", false), 3'600'000);
}

} // namespace
} // namespace anodex::formats
