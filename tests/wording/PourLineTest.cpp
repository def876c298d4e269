#include "wording/PourLine.h"
#include "tests/support/Samples.h"
#include "wording/TypedValue.h"

#include <gtest/gtest.h>

namespace anodex::wording {
namespace {

using design::AmountUnit;
using test::plain;

struct PourCase {
    const char* text;
    const char* name;
    AmountUnit unit;
    double value;
    bool ready = false;
};

class Pours : public testing::TestWithParam<PourCase> {};

TEST_P(Pours, AreRead) {
    const auto result = readPour(test::catalogue(), GetParam().text);
    ASSERT_TRUE(std::holds_alternative<Pour>(result)) << GetParam().text;
    const Pour& pour = std::get<Pour>(result);
    EXPECT_EQ(pour.name, GetParam().name);
    EXPECT_EQ(pour.amount.unit, GetParam().unit);
    EXPECT_NEAR(pour.amount.value, GetParam().value, 1e-9 * GetParam().value);
    EXPECT_EQ(pour.readyLiquid, GetParam().ready);
}

INSTANTIATE_TEST_SUITE_P(
    Phrases, Pours,
    testing::Values(PourCase{"5 g salt", "salt", AmountUnit::MassKg, 0.005},
                    PourCase{"5g NaCl", "NaCl", AmountUnit::MassKg, 0.005},
                    PourCase{"NaOH 2 mol/L", "NaOH", AmountUnit::MolPerM3, 2000.0},
                    PourCase{"NaOH 2 M", "NaOH", AmountUnit::MolPerM3, 2000.0},
                    PourCase{"0.5 M of NaCl", "NaCl", AmountUnit::MolPerM3, 500.0},
                    PourCase{"CuSO4*5H2O 12,5 g", "CuSO4*5H2O", AmountUnit::MassKg, 0.0125},
                    PourCase{"30 % sulfuric acid", "sulfuric acid", AmountUnit::MassFraction, 0.3},
                    PourCase{"sulfuric acid 30%", "sulfuric acid", AmountUnit::MassFraction, 0.3},
                    PourCase{"12,500 % salt", "salt", AmountUnit::MassFraction, 0.125}, // not 12 500 %
                    PourCase{"0.1 mol of KCl", "KCl", AmountUnit::Moles, 0.1},
                    PourCase{"100 mmol KCl", "KCl", AmountUnit::Moles, 0.1},
                    PourCase{"1 mol/kg ZnSO4", "ZnSO4", AmountUnit::MolPerKg, 1.0},
                    PourCase{"1 000 g salt", "salt", AmountUnit::MassKg, 1.0},
                    PourCase{"1/2 kg salt", "salt", AmountUnit::MassKg, 0.5},
                    PourCase{"250 mg citric acid", "citric acid", AmountUnit::MassKg, 2.5e-4},
                    PourCase{"20 mL lemon juice", "lemon juice", AmountUnit::VolumeM3, 2e-5, true},
                    PourCase{"lemon juice 2 cl", "lemon juice", AmountUnit::VolumeM3, 2e-5, true},
                    PourCase{"0.02 litres of lemon juice", "lemon juice", AmountUnit::VolumeM3, 2e-5, true}),
    test::named(&PourCase::text));

TEST(PourLine, KeepsTheDoubtThatWasWritten) {
    const auto result = readPour(test::catalogue(), "5 ± 0.5 g salt");
    ASSERT_TRUE(std::holds_alternative<Pour>(result));
    EXPECT_NEAR(std::get<Pour>(result).halfWidth.value_or(0.0), 5e-4, 1e-12);
}

TEST(PourLine, AsksWhereTwoAmountsArePossible) {
    for (const auto& [text, first, second] : std::vector<std::array<const char*, 3>>{
             {"1,234 g salt", "1234 g salt", "1.234 g salt"},
             {"2,000 mL lemon juice", "2000 mL lemon juice", "2 mL lemon juice"}}) {
        const auto result = readPour(test::catalogue(), text);
        ASSERT_TRUE(std::holds_alternative<Question>(result)) << text;
        EXPECT_EQ(std::get<Question>(result).choices, (std::vector<std::string>{first, second}));
        EXPECT_NE(std::get<Question>(result).text.find("may be"), std::string::npos);
    }
}

TEST(PourLine, TellsWhatIsWrongInOneClearLine) {
    for (const auto& [text, part] :
         std::vector<std::pair<const char*, const char*>>{{"", "amount"},
                                                          {"salt", "amount"},
                                                          {"5 salt", "amount"},
                                                          {"5 V salt", "amount"},
                                                          {"-5 g salt", "amount"},
                                                          {"120 % salt", "amount"},
                                                          {"5 g", "not known"},
                                                          {"5 g dust", "not known"},
                                                          {"1,234 g dust", "not known"},
                                                          {"5 g sald", "did you mean \"salt\""},
                                                          {"20 g lemon juice", "by volume"}}) {
        const auto result = readPour(test::catalogue(), text);
        ASSERT_TRUE(std::holds_alternative<PourFault>(result)) << text;
        EXPECT_NE(std::get<PourFault>(result).text.find(part), std::string::npos)
            << text << ": " << std::get<PourFault>(result).text;
    }
}

TEST(Amounts, ComeBackAsTheyWereWritten) {
    for (const char* text : {"5 g", "20 mL", "0.1 mol", "2 mol/L", "1.5 mol/kg", "30 %"}) {
        const auto amount = readAmount(text).amount;
        ASSERT_TRUE(amount) << text;
        EXPECT_EQ(plain(amountText(*amount)), text);
    }
    for (const char* text : {"5", "0 g", "100 %"}) {
        EXPECT_FALSE(readAmount(text).amount) << text;
        EXPECT_TRUE(readAmount(text).choices.empty()) << text;
    }
    EXPECT_EQ(readAmount("1,500 g").choices, (std::vector<std::string>{"1500 g", "1.5 g"}));
}

TEST(TypedValues, AreTakenAskedOrRefused) {
    const auto upToMetre = [](double metres) { return metres < 1.0; };
    EXPECT_EQ(typedValue("5 mm", Dimension::Metre, 1e-3).si, 0.005);
    EXPECT_EQ(typedValue("5", Dimension::Metre, 1e-3).si, 0.005);
    EXPECT_EQ(typedValue("1,234", Dimension::Metre, 1e-3).choices,
              (std::vector<std::string>{"1234", "1.234"}));
    // Only one of the two fits the place.
    EXPECT_EQ(typedValue("1,234", Dimension::Metre, 1e-3, upToMetre).si, 1.234e-3);
    for (const char* text : {"", "five", "5 V", "5 mm thick", "2 m"}) {
        const TypedValue value = typedValue(text, Dimension::Metre, 1e-3, upToMetre);
        EXPECT_FALSE(value.si) << text;
        EXPECT_TRUE(value.choices.empty()) << text;
    }
    EXPECT_EQ(whichOf(" 1,234 mm ", {"1234 mm", "1.234 mm"}),
              "\"1,234 mm\" may be 1234 mm or 1.234 mm; write the one that is meant");
}

} // namespace
} // namespace anodex::wording
