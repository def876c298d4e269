#include "wording/Quantities.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>

namespace anodex::wording {
namespace {

using test::plain;

TEST(Quantities, ChoosesAPrefixThatReadsWell) {
    EXPECT_EQ(plain(quantityText(0.0123, Unit::Ampere)), "12.3 mA");
    EXPECT_EQ(plain(quantityText(1.5e-7, Unit::Ampere)), "150 nA");
    EXPECT_EQ(plain(quantityText(4700.0, Unit::Ohm)), "4.70 kΩ");
    EXPECT_EQ(plain(quantityText(0.0, Unit::Ampere)), "0 A");
    EXPECT_EQ(plain(quantityText(-1.1, Unit::Volt)), "−1.10 V");
    EXPECT_EQ(plain(quantityText(0.0040, Unit::SquareMetre)), "40.0 cm²");
    EXPECT_EQ(plain(quantityText(0.00999, Unit::Ampere)), "9.99 mA");
    EXPECT_EQ(plain(quantityText(0.9996, Unit::Ampere)), "1.00 A");
}

TEST(Quantities, DigitsFollowTheRange) {
    EXPECT_EQ(plain(quantityText(1.0987, Unit::Volt, base::Interval{1.07, 1.11})), "1.10 V");
    EXPECT_EQ(plain(quantityText(0.7312, Unit::Volt, base::Interval{0.5, 0.9})), "0.7 V");
    EXPECT_EQ(plain(quantityText(0.1532, Unit::Ampere, base::Interval{0.05, 0.4})), "153 mA");
    EXPECT_EQ(plain(rangeText({0.982, 1.119}, Unit::Volt)), "0.98–1.12 V");
    EXPECT_EQ(plain(rangeText({0.0302, 0.0418}, Unit::Watt)), "30–42 mW");
}

TEST(Quantities, SaysChargeAsBuildersDo) {
    EXPECT_EQ(plain(chargeText(3600.0)), "1.00 Ah");
    EXPECT_EQ(plain(chargeText(360.0)), "100 mAh");
    EXPECT_EQ(plain(chargeText(1.8)), "500 µAh");
    EXPECT_EQ(plain(chargeText(0.0)), "0 Ah");
    EXPECT_EQ(plain(chargeRangeText({25200.0, 34560.0})), "7.0–9.6 Ah");
    EXPECT_EQ(chargeRangeText({0.0, 0.0}), "") << "nothing, for certain";
}

TEST(Quantities, SaysDurationsInTheUnitThatFits) {
    EXPECT_EQ(plain(durationText(45)), "45 s");
    EXPECT_EQ(plain(durationText(720)), "12 min");
    EXPECT_EQ(plain(durationText(108000)), "30 h");
    EXPECT_EQ(plain(durationText(1036800)), "12 days");
}

TEST(Quantities, NumbersLoseZerosThatSayNothing) {
    EXPECT_EQ(numberText(40.0), "40");
    EXPECT_EQ(numberText(0.5), "0.5");
    EXPECT_EQ(numberText(1.095, 4), "1.095");
    EXPECT_EQ(numberText(-2.50), "−2.5");
    EXPECT_EQ(numberText(0.0), "0");
    EXPECT_EQ(numberText(12345.6), "12346");
}

struct Written {
    const char* text;
    double value;
    Dimension dimension;
};

class ParsesQuantity : public testing::TestWithParam<Written> {};

TEST_P(ParsesQuantity, InWhateverWayItIsWritten) {
    const auto parsed = parseQuantity(GetParam().text);
    ASSERT_TRUE(parsed) << GetParam().text;
    EXPECT_NEAR(parsed->value, GetParam().value, 1e-12 + 1e-9 * std::abs(GetParam().value))
        << GetParam().text;
    EXPECT_EQ(parsed->dimension, GetParam().dimension) << GetParam().text;
    EXPECT_EQ(parsed->used, std::string(GetParam().text).size()) << GetParam().text;
}

INSTANTIATE_TEST_SUITE_P(
    Writings, ParsesQuantity,
    testing::Values(
        Written{"1,5 mA", 0.0015, Dimension::Ampere}, Written{"1.5mA", 0.0015, Dimension::Ampere},
        Written{"-3", -3, Dimension::None}, Written{"\u22123 V", -3, Dimension::Volt},
        Written{"12 mm", 0.012, Dimension::Metre}, Written{"40 cm²", 0.004, Dimension::SquareMetre},
        Written{"40 cm2", 0.004, Dimension::SquareMetre}, Written{"5 g", 0.005, Dimension::Kilogram},
        Written{"100 mL", 1e-4, Dimension::CubicMetre}, Written{"0.1 L", 1e-4, Dimension::CubicMetre},
        Written{"30 %", 0.3, Dimension::Percent}, Written{"2 mol/L", 2000, Dimension::MolPerM3},
        Written{"2 mol/kg", 2, Dimension::MolPerKg}, Written{"0.5 mol", 0.5, Dimension::Mole},
        Written{"10 kΩ", 1e4, Dimension::Ohm}, Written{"20 °C", 293.15, Dimension::Kelvin},
        Written{"4 min", 240, Dimension::Second}, Written{"1.28 g/mL", 1280, Dimension::Density},
        Written{"7\u00A0mV", 0.007, Dimension::Volt}),
    test::named(&Written::text));

TEST(ParseQuantity, LeavesWhatIsNoNumber) {
    for (const char* text : {"", "V", "-", ".", "abc 3", "+"}) {
        EXPECT_FALSE(parseQuantity(text)) << text;
    }
    EXPECT_EQ(parseQuantity("5 apples")->dimension, Dimension::None);
    EXPECT_EQ(parseQuantity("5 apples")->used, 1U);
    EXPECT_EQ(parseQuantity("5 Volta")->dimension, Dimension::None);
}

} // namespace
} // namespace anodex::wording
