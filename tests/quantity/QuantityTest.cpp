// Units in every spelling; quantities with doubt; what has two readings has both.
#include "quantity/Quantity.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>

namespace anodex::quantity {
namespace {

struct Row {
    const char* text;
    Dimension dimension;
    double si;
};

constexpr Row kRows[] = {
    {"1.02 V", Dimension::Volt, 1.02},
    {"1.02V", Dimension::Volt, 1.02},
    {"1.02 v", Dimension::Volt, 1.02},
    {"1.02 volts", Dimension::Volt, 1.02},
    {"1.02 Volt", Dimension::Volt, 1.02},
    {"980 mV", Dimension::Volt, 0.98},
    {"980 mv", Dimension::Volt, 0.98},
    {"980 MV", Dimension::Volt, 0.98},
    {"980 millivolts", Dimension::Volt, 0.98},
    {"3 ma", Dimension::Ampere, 0.003},
    {"3 mA", Dimension::Ampere, 0.003},
    {"3 Ma", Dimension::Ampere, 0.003},
    {"3 milliamps", Dimension::Ampere, 0.003},
    {"5 µA", Dimension::Ampere, 5e-6},
    {"5 μA", Dimension::Ampere, 5e-6},
    {"5 uA", Dimension::Ampere, 5e-6},
    {"5 microamps", Dimension::Ampere, 5e-6},
    {"2 A", Dimension::Ampere, 2.0},
    {"2 amps", Dimension::Ampere, 2.0},
    {"10 ohm", Dimension::Ohm, 10.0},
    {"10 Ohms", Dimension::Ohm, 10.0},
    {"10 Ω", Dimension::Ohm, 10.0},
    {"10 Ω", Dimension::Ohm, 10.0},
    {"10R", Dimension::Ohm, 10.0},
    {"4.7k", Dimension::Ohm, 4700.0},
    {"4.7 kohm", Dimension::Ohm, 4700.0},
    {"20 mohm", Dimension::Ohm, 0.02},
    {"1 Mohm", Dimension::Ohm, 1e6},
    {"12 min", Dimension::Second, 720.0},
    {"12 minutes", Dimension::Second, 720.0},
    {"2 h", Dimension::Second, 7200.0},
    {"2 hrs", Dimension::Second, 7200.0},
    {"3 days", Dimension::Second, 259200.0},
    {"20 °C", Dimension::Kelvin, 293.15},
    {"20 degC", Dimension::Kelvin, 293.15},
    {"20 C", Dimension::Kelvin, 293.15},
    {"68 °F", Dimension::Kelvin, 293.15},
    {"5 g", Dimension::Kilogram, 0.005},
    {"5 grams", Dimension::Kilogram, 0.005},
    {"100 mL", Dimension::CubicMetre, 1e-4},
    {"100 ml", Dimension::CubicMetre, 1e-4},
    {"100 ML", Dimension::CubicMetre, 1e-4},
    {"46 cm²", Dimension::SquareMetre, 0.0046},
    {"46 cm2", Dimension::SquareMetre, 0.0046},
    {"46 cm^2", Dimension::SquareMetre, 0.0046},
    {"1.28 g/cm3", Dimension::Density, 1280.0},
    {"1.28 kg/L", Dimension::Density, 1280.0},
    {"2 mol/l", Dimension::MolPerM3, 2000.0},
    {"2 M", Dimension::MolPerM3, 2000.0},
    {"5 %", Dimension::Percent, 0.05},
    {"1,5 mA", Dimension::Ampere, 0.0015},
    {"1 000 mV", Dimension::Volt, 1.0},
    {"1.000,5 mV", Dimension::Volt, 1.0005},
    {"-3,5 °C", Dimension::Kelvin, 269.65},
    {"7", Dimension::None, 7.0},
};

class Quantities : public testing::TestWithParam<Row> {};

TEST_P(Quantities, AreReadWithTheirUnit) {
    const auto reading = wholeQuantity(GetParam().text);
    ASSERT_TRUE(reading) << GetParam().text;
    EXPECT_EQ(reading->unit.dimension, GetParam().dimension) << GetParam().text;
    EXPECT_NEAR(reading->value, GetParam().si, 1e-9 * std::abs(GetParam().si)) << GetParam().text;
}

INSTANTIATE_TEST_SUITE_P(Spellings, Quantities, testing::ValuesIn(kRows), test::named(&Row::text));

TEST(Quantity, WhatHasTwoReadingsHasBoth) {
    for (const auto& [text, first, second] :
         {std::tuple{"1,234 mV", 1.234, 0.001234}, std::tuple{"5 MOHM", 5e-3, 5e6},
          std::tuple{"1,000 ohm", 1000.0, 1.0}}) {
        const auto span = readQuantity(text);
        ASSERT_TRUE(span) << text;
        ASSERT_EQ(span->readings.size(), 2U) << text;
        EXPECT_FALSE(wholeQuantity(text));
        std::vector<double> values = {span->readings[0].value, span->readings[1].value};
        EXPECT_NE(std::find(values.begin(), values.end(), first), values.end()) << text;
        EXPECT_NE(std::find(values.begin(), values.end(), second), values.end()) << text;
    }
}

TEST(Quantity, CarriesItsDoubt) {
    const std::pair<const char*, double> doubts[] = {{"0.98 ± 0.02 V", 0.02},  {"0.98 V ± 0.02", 0.02},
                                                     {"0.98 V ± 20 mV", 0.02}, {"0.98 V +/- 0.02 V", 0.02},
                                                     {"100 mV ± 5 %", 0.005},  {"980 ± 20 mV", 0.02}};
    for (const auto& [text, doubt] : doubts) {
        const auto span = readQuantity(text);
        ASSERT_TRUE(span && span->doubt) << text;
        EXPECT_EQ(span->used, std::string_view(text).size()) << text;
        EXPECT_NEAR(*span->doubt, doubt, 1e-12) << text;
        EXPECT_EQ(span->dimension(), Dimension::Volt) << text;
    }
    EXPECT_FALSE(readQuantity("0.98 V")->doubt);
}

TEST(Quantity, StopsBeforeTheNextWord) {
    const std::pair<const char*, std::size_t> ends[] = {{"5 g salt", 3},      {"3 lemons", 1},
                                                        {"20 mL vinegar", 5}, {"1.02 V, warm", 6},
                                                        {"10 ohm load", 6},   {"4 mAh", 5}};
    for (const auto& [text, used] : ends) {
        EXPECT_EQ(readQuantity(text)->used, used) << text;
    }
}

TEST(Units, EverySymbolReadsAsItself) {
    for (const Row& row : kRows) {
        const auto reading = wholeQuantity(row.text);
        if (reading && !reading->unit.symbol.empty()) {
            const auto again = readingsOf(reading->unit.symbol);
            ASSERT_EQ(again.size(), 1U) << reading->unit.symbol;
            EXPECT_EQ(again.front(), reading->unit);
        }
    }
}

TEST(Units, WhatIsNoUnitIsNone) {
    for (const char* word : {"", "salt", "Vinegar", "lemons", "mm/s", "ohmic", "Am", "x"}) {
        EXPECT_TRUE(readingsOf(word).empty()) << word;
    }
}

TEST(ResistorMarks, ALetterStandsForTheDecimalMark) {
    for (const auto& [text, ohms] : std::vector<std::pair<const char*, double>>{
             {"4k7", 4700.0}, {"4K7", 4700.0}, {"2R2", 2.2}, {"0R47", 0.47}, {"1M5", 1.5e6}, {"10k0", 1e4}}) {
        const auto found = wholeQuantity(text);
        ASSERT_TRUE(found) << text;
        EXPECT_EQ(found->unit.dimension, Dimension::Ohm) << text;
        EXPECT_NEAR(found->value, ohms, 1e-9 * ohms) << text;
    }
    for (const char* text : {"4k7V", "2V5", "4k", "k7", "4k7k"}) {
        const auto found = wholeQuantity(text);
        EXPECT_FALSE(found && found->value == 4700.0) << text;
    }
}

} // namespace
} // namespace anodex::quantity
