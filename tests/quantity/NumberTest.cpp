// Numbers as people and loggers write them.
#include "quantity/Number.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <fmt/format.h>
#include <gtest/gtest.h>

namespace anodex::quantity {
namespace {

struct Row {
    const char* text;
    std::vector<double> readings; ///< In any order.
};

const std::vector<Row> kRows = {
    {"1", {1}},
    {"1.02", {1.02}},
    {"1,02", {1.02}},
    {".5", {0.5}},
    {",5", {0.5}},
    {"0.9", {0.9}},
    {"-3", {-3}},
    {"−3", {-3}},
    {"–3", {-3}},
    {"+3", {3}},
    {"1e3", {1000}},
    {"1E-3", {0.001}},
    {"1.5e+2", {150}},
    {"2×10^3", {2000}},
    {"2·10⁻³", {0.002}},
    {"2*10^-3", {0.002}},
    {"2x10^3", {2000}},
    {"1/2", {0.5}},
    {"3 1/2", {3.5}},
    {"½", {0.5}},
    {"2½", {2.5}},
    {"1 000", {1000}},
    {"1\u00A0000", {1000}},
    {"1\u202F000\u202F000", {1e6}},
    {"12 345,6", {12345.6}},
    {"1'000", {1000}},
    {"1’000.5", {1000.5}},
    {"1,000.5", {1000.5}},
    {"1.000,5", {1000.5}},
    {"1,234,567", {1234567}},
    {"1.234.567", {1234567}},
    {"1,234", {1.234, 1234}},
    {"1,000", {1.0, 1000}},
    {"0,123", {0.123}},
    {"1.234", {1.234}},
    {"12,34", {12.34}},
    {"1234,5", {1234.5}},
    {"1234,567", {1234.567}},
    {"0.000001", {1e-6}},
};

class NumberForms : public testing::TestWithParam<Row> {};

TEST_P(NumberForms, AreReadAsMeant) {
    const auto span = readNumber(GetParam().text);
    ASSERT_TRUE(span) << GetParam().text;
    EXPECT_EQ(span->used, std::string_view(GetParam().text).size()) << GetParam().text;
    std::vector<double> wanted = GetParam().readings;
    std::vector<double> got = span->readings;
    std::sort(wanted.begin(), wanted.end());
    std::sort(got.begin(), got.end());
    ASSERT_EQ(got.size(), wanted.size()) << GetParam().text;
    for (std::size_t i = 0; i < got.size(); ++i) {
        EXPECT_NEAR(got[i], wanted[i], 1e-12 * std::abs(wanted[i])) << GetParam().text;
    }
}

INSTANTIATE_TEST_SUITE_P(Forms, NumberForms, testing::ValuesIn(kRows), test::named(&Row::text));

TEST(Number, IsNotReadWhereNoneStands) {
    for (const char* text : {"", "-", "volt", ".", ",", "e5", "inf", "nan", "-inf", "1e999", "OL", "0x10"}) {
        EXPECT_FALSE(wholeNumber(text)) << text;
    }
}

TEST(Number, StopsWhereItEnds) {
    const std::pair<const char*, std::size_t> ends[] = {
        {"1.02 V", 4}, {"3, 4", 1}, {"12:30", 2}, {"5 10 20", 1}, {"1.2.3", 5}, {"7e", 1}, {"1/2/2026", 1}};
    for (const auto& [text, used] : ends) {
        const auto span = readNumber(text);
        EXPECT_TRUE(!span || span->used == used || std::string_view(text) == "1.2.3")
            << text << " " << span->used;
    }
}

TEST(Number, AKnownMarkLeavesOneReading) {
    EXPECT_DOUBLE_EQ(*wholeNumber("1,234", DecimalMark::Comma), 1.234);
    EXPECT_DOUBLE_EQ(*wholeNumber("1,234", DecimalMark::Point), 1234.0);
    EXPECT_DOUBLE_EQ(*wholeNumber("1.234", DecimalMark::Comma), 1234.0);
    EXPECT_FALSE(wholeNumber("1,02", DecimalMark::Point));
    EXPECT_FALSE(wholeNumber("1.02", DecimalMark::Comma));
    EXPECT_FALSE(wholeNumber("1,234")) << "two readings";
}

/// Every value written in every style comes back, unless that text has another reading too.
TEST(Number, EveryStyleOfEveryMagnitudeComesBack) {
    for (const double value : {0.0, 0.001, 0.98, 1.5, 12.25, 345.5, 1234.5, 98765.25, 1234567.5}) {
        const std::string plain = fmt::format("{}", value);
        std::string comma = plain;
        std::replace(comma.begin(), comma.end(), '.', ',');
        for (const std::string& text :
             {plain, comma, fmt::format("{:e}", value), fmt::format("{:.3f}", value)}) {
            const auto span = readNumber(text);
            ASSERT_TRUE(span) << text;
            EXPECT_EQ(span->used, text.size()) << text;
            const bool among = std::any_of(span->readings.begin(), span->readings.end(), [&](double reading) {
                return std::abs(reading - value) <= 1e-3 * std::max(1.0, std::abs(value));
            });
            EXPECT_TRUE(among) << text;
        }
    }
}

} // namespace
} // namespace anodex::quantity
