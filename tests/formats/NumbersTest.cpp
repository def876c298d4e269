#include "formats/Numbers.h"

#include <clocale>
#include <gtest/gtest.h>

namespace anodex::formats {
namespace {

TEST(Numbers, ReadsWholeNumbersOnly) {
    EXPECT_EQ(parseNumber("1.5"), 1.5);
    EXPECT_EQ(parseNumber(" +2e3 "), 2000.0);
    EXPECT_EQ(parseNumber("\u22120.5"), -0.5);
    EXPECT_EQ(parseNumber("1,5", true), 1.5);
    EXPECT_FALSE(parseNumber("1,5"));
    EXPECT_FALSE(parseNumber("1.5", true));
    EXPECT_FALSE(parseNumber(""));
    EXPECT_FALSE(parseNumber("1.5 V"));
    EXPECT_FALSE(parseNumber("nan"));
    EXPECT_FALSE(parseNumber("inf"));
    EXPECT_FALSE(parseNumber("1e999"));
}

TEST(Numbers, DoNotFollowTheLocale) {
    const std::string before = std::setlocale(LC_NUMERIC, nullptr);
    for (const char* name : {"de_DE.UTF-8", "C.UTF-8"}) {
        std::setlocale(LC_NUMERIC, name);
        EXPECT_EQ(parseNumber("1.5"), 1.5);
        EXPECT_EQ(parseNumber("1,5", true), 1.5);
    }
    std::setlocale(LC_NUMERIC, before.c_str());
}

TEST(Numbers, ReadsCalendarStamps) {
    const auto noon = parseDateTime("2026-03-01 12:00:00");
    ASSERT_TRUE(noon);
    EXPECT_EQ(*noon, 1'772'366'400'000LL);
    EXPECT_EQ(parseDateTime("2026-03-01T12:00:00Z"), noon);
    EXPECT_EQ(parseDateTime("01.03.2026 12:00"), noon);
    EXPECT_EQ(parseDateTime("2026/03/01 12:00:00"), noon);
    EXPECT_EQ(parseDateTime("2026-03-01 12:00:00.250"), *noon + 250);
    EXPECT_FALSE(parseDateTime("2026-13-01 12:00:00"));
    EXPECT_FALSE(parseDateTime("2026-02-30 12:00:00"));
    EXPECT_FALSE(parseDateTime("12:00"));
    EXPECT_FALSE(parseDateTime("1.5"));
    EXPECT_FALSE(parseDateTime(""));
}

} // namespace
} // namespace anodex::formats
