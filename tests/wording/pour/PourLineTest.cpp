// The ways builders say what goes into a liquid, and what may not be taken for one of them.
#include "wording/pour/PourLine.h"
#include "tests/support/Samples.h"
#include "wording/TypedValue.h"
#include "wording/pour/PouredLiquid.h"

#include <gtest/gtest.h>

namespace anodex::wording {
namespace {

using design::AmountUnit;
using test::plain;

/// Name, amount in the unit builders use.
struct Wanted {
    const char* name;
    double amount;
    const char* unit;
};

struct PourCase {
    const char* text;
    std::vector<Wanted> pours;
    double within = 1e-6; ///< Relative.
};

std::string told(const PourLine& line) {
    if (const auto* fault = std::get_if<PourFault>(&line)) {
        return fault->text;
    }
    if (const auto* question = std::get_if<Question>(&line)) {
        return "asked: " + question->text;
    }
    std::string text;
    for (const Pour& pour : std::get<std::vector<Pour>>(line)) {
        text += plain(pourText(pour)) + "; ";
    }
    return text;
}

class Pours : public testing::TestWithParam<PourCase> {};

TEST_P(Pours, AreRead) {
    const auto result = readPours(test::catalogue(), GetParam().text);
    ASSERT_TRUE(std::holds_alternative<std::vector<Pour>>(result)) << GetParam().text << ": " << told(result);
    const auto& pours = std::get<std::vector<Pour>>(result);
    ASSERT_EQ(pours.size(), GetParam().pours.size()) << told(result);
    for (std::size_t i = 0; i < pours.size(); ++i) {
        const Wanted& wanted = GetParam().pours[i];
        const ShownAmount shown = shownAmount(pours[i].amount);
        EXPECT_EQ(pours[i].name, wanted.name);
        EXPECT_STREQ(shown.unit, wanted.unit) << told(result);
        EXPECT_NEAR(shown.value, wanted.amount, GetParam().within * wanted.amount) << told(result);
    }
}

INSTANTIATE_TEST_SUITE_P(
    Weighed, Pours,
    testing::Values(
        PourCase{"5 g salt", {{"salt", 5, "g"}}}, PourCase{"5g NaCl", {{"NaCl", 5, "g"}}},
        PourCase{"5g of table salt", {{"table salt", 5, "g"}}}, PourCase{"5 gm salt", {{"salt", 5, "g"}}},
        PourCase{"half a kilo of salt", {{"salt", 500, "g"}}},
        PourCase{"a litre of water", {{"water", 1000, "mL"}}},
        PourCase{"2 or 3 g salt", {{"salt", 2.5, "g"}}}, PourCase{"salt: 5 g", {{"salt", 5, "g"}}},
        PourCase{"salt - 5 g", {{"salt", 5, "g"}}}, PourCase{"salt (5 g)", {{"salt", 5, "g"}}},
        PourCase{"add 5 grams of salt", {{"salt", 5, "g"}}}, PourCase{"1 000 g salt", {{"salt", 1000, "g"}}},
        PourCase{"1/2 kg salt", {{"salt", 500, "g"}}}, PourCase{"2 oz salt", {{"salt", 56.699046, "g"}}},
        PourCase{"1/4 lb washing soda", {{"washing soda", 113.3980925, "g"}}},
        PourCase{"250 mg citric acid", {{"citric acid", 0.25, "g"}}},
        PourCase{"CuSO4*5H2O 12,5 g", {{"CuSO4*5H2O", 12.5, "g"}}},
        PourCase{"10 g copper sulphate", {{"copper sulphate", 10, "g"}}},
        PourCase{"0.1 mol of KCl", {{"KCl", 0.1, "mol"}}}, PourCase{"100 mmol KCl", {{"KCl", 0.1, "mol"}}},
        PourCase{"about 5 g salt", {{"salt", 5, "g"}}}, PourCase{"5 to 7 g salt", {{"salt", 6, "g"}}},
        PourCase{"5-7 g of salt", {{"salt", 6, "g"}}},
        PourCase{"20 mL lemon juice", {{"lemon juice", 20, "mL"}}},
        PourCase{"lemon juice 2 cl", {{"lemon juice", 20, "mL"}}},
        PourCase{"0.02 litres of lemon juice", {{"lemon juice", 20, "mL"}}},
        PourCase{"100 ml of warm water", {{"water", 100, "mL"}}},
        PourCase{"20 mL glycerine", {{"glycerine", 20, "mL"}}}),
    test::named(&PourCase::text));

INSTANTIATE_TEST_SUITE_P(
    Strengths, Pours,
    testing::Values(
        PourCase{"NaOH 2 mol/L", {{"NaOH", 2, "mol/L"}}}, PourCase{"NaOH 2 M", {{"NaOH", 2, "mol/L"}}},
        PourCase{"2 molar NaOH", {{"NaOH", 2, "mol/L"}}}, PourCase{"0.5 M of NaCl", {{"NaCl", 0.5, "mol/L"}}},
        PourCase{"50 mM NaCl", {{"NaCl", 0.05, "mol/L"}}},
        PourCase{"1 mol/kg ZnSO4", {{"ZnSO4", 1, "mol/kg"}}}, PourCase{"2 molal KOH", {{"KOH", 2, "mol/kg"}}},
        PourCase{"30 % sulfuric acid", {{"sulfuric acid", 30, "%"}}},
        PourCase{"sulphuric acid 30%", {{"sulphuric acid", 30, "%"}}},
        PourCase{"12,500 % salt", {{"salt", 12.5, "%"}}}, // not 12 500 %
        PourCase{"a 5% salt solution", {{"salt", 5, "%"}}}, PourCase{"5 % w/w salt", {{"salt", 5, "%"}}},
        PourCase{"5 wt% salt", {{"salt", 5, "%"}}}, PourCase{"5 % by weight salt", {{"salt", 5, "%"}}},
        PourCase{"35 g/L salt", {{"salt", 0.59890, "mol/L"}}, 1e-3},
        PourCase{"salt 35 g per litre", {{"salt", 0.59890, "mol/L"}}, 1e-3},
        PourCase{"5 g/100 mL NaCl", {{"NaCl", 0.85557, "mol/L"}}, 1e-3},
        PourCase{"5 % w/v NaCl", {{"NaCl", 0.85557, "mol/L"}}, 1e-3},
        PourCase{"saturated salt", {{"salt", 6.143, "mol/kg"}}, 1e-3},
        PourCase{"saturated solution of copper sulfate", {{"copper sulfate", 1.28, "mol/kg"}}, 0.1}),
    test::named(&PourCase::text));

// Volumes and bulk densities are common practice; the amounts here follow from them.
INSTANTIATE_TEST_SUITE_P(
    Kitchen, Pours,
    testing::Values(PourCase{"1 tsp salt", {{"salt", 6, "g"}}}, PourCase{"tsp. salt", {{"salt", 6, "g"}}},
                    PourCase{"a teaspoon of salt", {{"salt", 6, "g"}}},
                    PourCase{"half a teaspoon of salt", {{"salt", 3, "g"}}},
                    PourCase{"½ tsp salt", {{"salt", 3, "g"}}},
                    PourCase{"two teaspoons of baking soda", {{"baking soda", 9.5, "g"}}},
                    PourCase{"1 1/2 Tbsp salt", {{"salt", 27, "g"}}},
                    PourCase{"one and a half tablespoons of salt", {{"salt", 27, "g"}}},
                    PourCase{"a tablespoon and a half of salt", {{"salt", 27, "g"}}},
                    PourCase{"salt, 2 tbsp", {{"salt", 36, "g"}}},
                    PourCase{"a pinch of salt", {{"salt", 0.36, "g"}}},
                    PourCase{"pinch of salt", {{"salt", 0.36, "g"}}},
                    PourCase{"2 heaped teaspoons of citric acid", {{"citric acid", 15.3, "g"}}},
                    PourCase{"1 cup of vinegar", {{"vinegar", 240, "mL"}}},
                    PourCase{"a quarter cup vinegar", {{"vinegar", 60, "mL"}}},
                    PourCase{"10 drops of lemon juice", {{"lemon juice", 0.5, "mL"}}},
                    PourCase{"8 fl oz water", {{"water", 232, "mL"}}},
                    PourCase{"half a cup of water", {{"water", 120, "mL"}}},
                    PourCase{"20 mL salt", {{"salt", 24, "g"}}}), // grains with air between them
    test::named(&PourCase::text));

INSTANTIATE_TEST_SUITE_P(
    Lines, Pours,
    testing::Values(
        PourCase{"5 g salt in 100 mL water", {{"salt", 5, "g"}, {"water", 100, "mL"}}},
        PourCase{"5g salt 100ml water", {{"salt", 5, "g"}, {"water", 100, "mL"}}},
        PourCase{"a teaspoon of salt in the water", {{"salt", 6, "g"}}},
        PourCase{"5 g salt/100 mL water", {{"salt", 5, "g"}, {"water", 100, "mL"}}},
        PourCase{"1-2 tsp salt in half a litre of water", {{"salt", 9, "g"}, {"water", 500, "mL"}}},
        PourCase{"5 g salt per 100 mL", {{"salt", 5, "g"}, {"water", 100, "mL"}}},
        PourCase{"200 mL water with 5 g salt", {{"water", 200, "mL"}, {"salt", 5, "g"}}},
        PourCase{"2 tsp salt in a cup of water", {{"salt", 12, "g"}, {"water", 240, "mL"}}},
        PourCase{"dissolve 10 g NaOH in 100 mL distilled water",
                 {{"NaOH", 10, "g"}, {"distilled water", 100, "mL"}}},
        PourCase{"5 g salt and 5 g baking soda in 100 mL water",
                 {{"salt", 5, "g"}, {"baking soda", 5, "g"}, {"water", 100, "mL"}}},
        PourCase{"5 g salt, 2 g baking soda", {{"salt", 5, "g"}, {"baking soda", 2, "g"}}},
        PourCase{"5 g salt + 2,5 g baking soda; 1 g citric acid",
                 {{"salt", 5, "g"}, {"baking soda", 2.5, "g"}, {"citric acid", 1, "g"}}},
        PourCase{"50 mL vinegar with a pinch of salt", {{"vinegar", 50, "mL"}, {"salt", 0.36, "g"}}},
        PourCase{"1 tbsp of salt in 200 mL tap water", {{"salt", 18, "g"}, {"tap water", 200, "mL"}}},
        PourCase{"100 g of 5 % salt solution", {{"salt", 5, "g"}, {"water", 95, "g"}}},
        PourCase{"20 mL of 30 % sulfuric acid", {{"sulfuric acid", 7.31, "g"}, {"water", 17.06, "g"}}, 3e-3},
        PourCase{"20 mL 30% H2SO4", {{"H2SO4", 7.31, "g"}, {"water", 17.06, "g"}}, 3e-3},
        PourCase{"30% sulfuric acid, 20 mL", {{"sulfuric acid", 7.31, "g"}, {"water", 17.06, "g"}}, 3e-3},
        PourCase{"100 mL of 1 M NaCl", {{"NaCl", 5.844, "g"}, {"water", 98.0, "g"}}, 5e-3},
        PourCase{"1 M NaCl 100 mL", {{"NaCl", 5.844, "g"}, {"water", 98.0, "g"}}, 5e-3},
        PourCase{"a cup of 10 % salt solution", {{"salt", 25.7, "g"}, {"water", 231.3, "g"}}, 5e-3}),
    test::named(&PourCase::text));

struct Trap {
    const char* text;
    const char* said; ///< In the question or the fault.
};

class PourTraps : public testing::TestWithParam<Trap> {};

TEST_P(PourTraps, AreNeverTakenUnasked) {
    const auto result = readPours(test::catalogue(), GetParam().text);
    ASSERT_FALSE(std::holds_alternative<std::vector<Pour>>(result))
        << GetParam().text << ": " << told(result);
    EXPECT_NE(told(result).find(GetParam().said), std::string::npos)
        << GetParam().text << ": " << told(result);
    if (const auto* question = std::get_if<Question>(&result)) {
        EXPECT_GE(question->choices.size(), 1U);
        for (const std::string& choice : question->choices) {
            const auto answered = readPours(test::catalogue(), choice);
            EXPECT_TRUE(std::holds_alternative<std::vector<Pour>>(answered))
                << choice << ": " << told(answered);
        }
    }
}

INSTANTIATE_TEST_SUITE_P(Asked, PourTraps,
                         testing::Values(Trap{"1,234 g salt", "may be 1234 g or 1.234 g"},
                                         Trap{"2,000 mL lemon juice", "may be 2000 mL or 2 mL"},
                                         Trap{"1 spoon of salt", "may be 1 teaspoon or 1 tablespoon"},
                                         Trap{"2 spoons of salt", "may be 2 teaspoons or 2 tablespoons"},
                                         Trap{"1 T salt", "may be 1 teaspoon or 1 tablespoon"},
                                         Trap{"a pint of water", "may be 1 US pint or 1 imperial pint"},
                                         Trap{"5 g salt in a pint of water", "US pint"},
                                         Trap{"20 mL hydrochloric acid", "sold dissolved"},
                                         Trap{"10 mL ammonia", "sold dissolved"},
                                         Trap{"20 g sulfuric acid", "sold dissolved"},
                                         Trap{"a cup of hydrogen peroxide", "sold dissolved"}),
                         test::named(&Trap::text));

INSTANTIATE_TEST_SUITE_P(
    Refused, PourTraps,
    testing::Values(Trap{"", "amount"}, Trap{"   ", "amount"}, Trap{"salt", "amount"},
                    Trap{"5 salt", "amount"}, Trap{"5 V salt", "amount"}, Trap{"-5 g salt", "amount"},
                    Trap{"0 g salt", "amount"}, Trap{"120 % salt", "amount"}, Trap{"some salt", "amount"},
                    Trap{"a bit of salt", "amount"}, Trap{"salt to taste", "amount"},
                    Trap{"5 g", "5 g of what"}, Trap{"100 mL", "100 mL of what"},
                    Trap{"5 g dust", "not known"}, Trap{"1,234 g dust", "not known"},
                    Trap{"5 g sald", "did you mean \"salt\""},
                    Trap{"5 g salt in 100 mL watr", "did you mean \"water\""},
                    Trap{"20 g lemon juice", "by volume"}, Trap{"3 % vinegar", "strength of its own"},
                    Trap{"5 g 3 g salt", "two amounts"}, Trap{"5 % 2 M salt", "two amounts"},
                    Trap{"5 g salt and", "not known"}, Trap{"saturated glycerol", "any share"},
                    Trap{"20 mL of 2 % cream of tartar", "how dense"}),
    test::named(&Trap::text));

TEST(PourLine, CarriesTheDoubtOfWhatWasSaid) {
    const auto doubtOf = [](const char* text) {
        const auto result = readPours(test::catalogue(), text);
        const Pour& pour = std::get<std::vector<Pour>>(result).front();
        return pour.halfWidth.value_or(0.0) / pour.amount.value;
    };
    EXPECT_NEAR(doubtOf("5 ± 0.5 g salt"), 0.1, 1e-9);
    EXPECT_NEAR(doubtOf("5 to 7 g salt"), 1.0 / 6.0, 1e-9);
    EXPECT_EQ(doubtOf("5 g salt"), 0.0);
    EXPECT_GT(doubtOf("about 5 g salt"), 0.1);
    EXPECT_GT(doubtOf("1 tsp salt"), 0.2);
    EXPECT_GT(doubtOf("a pinch of salt"), doubtOf("1 tsp salt"));
    EXPECT_GT(doubtOf("1 tsp salt"), doubtOf("1 level tsp salt"));
    EXPECT_GE(doubtOf("a small pinch of salt"), doubtOf("a pinch of salt"));
    EXPECT_GT(doubtOf("20 ± 5 mL salt"), doubtOf("20 mL salt"));
    EXPECT_NEAR(doubtOf("20 ± 2 mL of 30 % sulfuric acid"), 0.1, 0.01);
    EXPECT_GT(doubtOf("a few drops of lemon juice"), doubtOf("3 drops of lemon juice"));
    EXPECT_GT(doubtOf("1 tsp sodium bromide"), doubtOf("1 tsp salt")); // whose grains are better known
}

TEST(PourLine, SaysWhatItUnderstood) {
    EXPECT_EQ(told(readPours(test::catalogue(), "5 g salt")), "salt, 5 g; ");
    EXPECT_EQ(told(readPours(test::catalogue(), "1 tsp salt")), "salt, about 6 g (4.4 to 7.6 g); ");
}

design::LiquidDesign pouredInto(const design::LiquidDesign& liquid, const char* text) {
    return poured(test::catalogue(), liquid, std::get<std::vector<Pour>>(readPours(test::catalogue(), text)));
}

TEST(PouredLiquid, TakesWaterWhereItBelongs) {
    const design::LiquidDesign water;
    const auto own = pouredInto(water, "5 g salt in 200 mL water");
    EXPECT_DOUBLE_EQ(own.basisValue, 2e-4);
    ASSERT_EQ(own.solutes.size(), 1U);
    EXPECT_EQ(own.solutes[0].substance.written, "salt");
    EXPECT_DOUBLE_EQ(pouredInto(own, "50 mL water").basisValue, 2.5e-4);
    const auto acid = pouredInto(water, "100 g of 10 % sulfuric acid");
    EXPECT_NEAR(acid.basisValue, 1e-4 + 0.09 / 998.2, 1e-9);
    const auto weighed = pouredInto(water, "5 g salt in 150 g water");
    EXPECT_EQ(weighed.basis, design::LiquidBasis::SolventMass);
    EXPECT_DOUBLE_EQ(weighed.basisValue, 0.15);
}

TEST(PouredLiquid, KeepsAReadyMadeLiquidThatWaterThins) {
    const auto juice = pouredInto({}, "50 mL lemon juice");
    EXPECT_EQ(juice.ready.written, "lemon juice");
    const auto thinned = pouredInto(juice, "1 tsp salt in 100 mL water");
    EXPECT_EQ(thinned.ready.written, "lemon juice");
    ASSERT_EQ(thinned.solutes.size(), 2U);
    EXPECT_EQ(thinned.solutes[1].substance.written, "water");
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

TEST(Amounts, OfAThingWithANameAreMeasuredByTheSpoonToo) {
    const auto of = [](const char* text, const char* name) {
        return readAmountOf(test::catalogue(), text, name);
    };
    const AmountRead spoon = of("1 tsp", "sodium chloride");
    ASSERT_TRUE(spoon.amount);
    EXPECT_EQ(spoon.amount->unit, design::AmountUnit::MassKg);
    EXPECT_NEAR(spoon.amount->value, 0.006, 0.001);
    EXPECT_TRUE(spoon.halfWidth) << "a spoon is not a scale";
    ASSERT_TRUE(of("half a cup", "water").amount);
    EXPECT_NEAR(of("half a cup", "water").amount->value, 120e-6, 15e-6);
    EXPECT_TRUE(of("two heaped tablespoons", "copper sulfate pentahydrate").amount);
    EXPECT_TRUE(of("1/2 cup", "vinegar").amount);
    EXPECT_EQ(of("5 g", "sodium chloride").amount, readAmount("5 g").amount);
    EXPECT_EQ(of("1,500 g", "sodium chloride").choices, readAmount("1,500 g").choices);
    for (const char* text :
         {"", "some", "5", "a spoon of zinc and 3 g", "1 tsp zinc sulfate and 2 g", "-1 tsp"}) {
        EXPECT_FALSE(of(text, "sodium chloride").amount) << text;
    }
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
