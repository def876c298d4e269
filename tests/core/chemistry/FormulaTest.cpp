#include "core/chemistry/Formula.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>

namespace anodex::chemistry {
namespace {

struct Good {
    const char* text;
    std::map<std::string, double> elements;
    int charge;
    Phase phase;
};

class FormulaReads : public testing::TestWithParam<Good> {};

TEST_P(FormulaReads, ElementsChargeAndPhase) {
    const auto formula = parseFormula(GetParam().text);
    ASSERT_TRUE(formula) << GetParam().text;
    EXPECT_EQ(formula->elements, GetParam().elements) << GetParam().text;
    EXPECT_EQ(formula->charge, GetParam().charge) << GetParam().text;
    EXPECT_EQ(formula->phase, GetParam().phase) << GetParam().text;
}

INSTANTIATE_TEST_SUITE_P(
    Spellings, FormulaReads,
    testing::Values(Good{"H2O(l)", {{"H", 2}, {"O", 1}}, 0, Phase::Liquid},
                    Good{"Zn2+", {{"Zn", 1}}, 2, Phase::Unstated},
                    Good{"Na+", {{"Na", 1}}, 1, Phase::Unstated},
                    Good{"SO4^2-", {{"S", 1}, {"O", 4}}, -2, Phase::Unstated},
                    Good{"HSO4-", {{"H", 1}, {"S", 1}, {"O", 4}}, -1, Phase::Unstated},
                    Good{"Zn(OH)4^2-", {{"Zn", 1}, {"O", 4}, {"H", 4}}, -2, Phase::Unstated},
                    Good{"I3^-", {{"I", 3}}, -1, Phase::Unstated}, Good{"e-", {}, -1, Phase::Unstated},
                    Good{"PbSO4(s)", {{"Pb", 1}, {"S", 1}, {"O", 4}}, 0, Phase::Solid},
                    Good{"O2(g)", {{"O", 2}}, 0, Phase::Gas}, Good{"O2(aq)", {{"O", 2}}, 0, Phase::Aqueous},
                    Good{"CuSO4\u00B75H2O", {{"Cu", 1}, {"S", 1}, {"O", 9}, {"H", 10}}, 0, Phase::Unstated},
                    Good{"CuSO4*5H2O", {{"Cu", 1}, {"S", 1}, {"O", 9}, {"H", 10}}, 0, Phase::Unstated},
                    Good{"CuSO4.5H2O", {{"Cu", 1}, {"S", 1}, {"O", 9}, {"H", 10}}, 0, Phase::Unstated},
                    Good{"Al2(SO4)3", {{"Al", 2}, {"S", 3}, {"O", 12}}, 0, Phase::Unstated},
                    Good{"K3C6H5O7", {{"K", 3}, {"C", 6}, {"H", 5}, {"O", 7}}, 0, Phase::Unstated}),
    test::named(&Good::text));

struct Bad {
    const char* text;
    FormulaError::Code code;
};

class FormulaRefuses : public testing::TestWithParam<Bad> {};

TEST_P(FormulaRefuses, WithTheReason) {
    const auto formula = parseFormula(GetParam().text);
    ASSERT_FALSE(formula) << GetParam().text;
    EXPECT_EQ(formula.error().code, GetParam().code) << GetParam().text;
}

INSTANTIATE_TEST_SUITE_P(
    Faults, FormulaRefuses,
    testing::Values(Bad{"", FormulaError::Code::Empty}, Bad{"(s)", FormulaError::Code::Empty},
                    Bad{"+", FormulaError::Code::Empty}, Bad{"zn", FormulaError::Code::UnexpectedCharacter},
                    Bad{"Zn(OH", FormulaError::Code::UnclosedBracket},
                    Bad{"Zn(OH]2", FormulaError::Code::UnclosedBracket},
                    Bad{"SO4^x-", FormulaError::Code::BadCharge}, Bad{"Zn12+", FormulaError::Code::BadCharge},
                    Bad{"22+", FormulaError::Code::UnexpectedCharacter},
                    Bad{"NaCl.", FormulaError::Code::UnexpectedCharacter},
                    Bad{"Na Cl", FormulaError::Code::UnexpectedCharacter}),
    test::named(&Bad::text));

TEST(Formula, MolarMassAddsTheElements) {
    const auto& masses = test::catalogue().elementGramsPerMole;
    // Hand sums of IUPAC abridged masses.
    EXPECT_NEAR(molarMassKg(*parseFormula("H2O"), masses), 0.018015, 1e-6);
    EXPECT_NEAR(molarMassKg(*parseFormula("CuSO4*5H2O"), masses), 0.249677, 1e-5);
    EXPECT_NEAR(molarMassKg(*parseFormula("ZnSO4*7H2O"), masses), 0.287541, 1e-5);
    EXPECT_EQ(molarMassKg(*parseFormula("Xx2"), masses), 0.0);
}

} // namespace
} // namespace anodex::chemistry
