#include "core/chemistry/NameLookup.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>

namespace anodex::chemistry {
namespace {

std::string substanceId(const char* name) {
    const auto found = findSubstance(test::catalogue(), name);
    return found ? test::catalogue().substances[found->substance].id : std::string("none");
}

TEST(NameLookup, FindsSubstancesByEveryNameTheContractAllows) {
    for (const char* name : {"copper sulfate pentahydrate", "CuSO4\u00B75H2O", "CuSO4*5H2O", "CuSO4.5H2O",
                             "copper-sulfate", "Copper Sulfate", "CuSO4", "blue vitriol"}) {
        EXPECT_EQ(substanceId(name), "copper-sulfate") << name;
    }
    EXPECT_EQ(substanceId("baking soda"), "sodium-bicarbonate");
    EXPECT_EQ(substanceId("unobtainium"), "none");
}

TEST(NameLookup, TellsAHydrateFromTheAnhydrousSalt) {
    EXPECT_FALSE(findSubstance(test::catalogue(), "CuSO4")->hydrate.has_value());
    EXPECT_TRUE(findSubstance(test::catalogue(), "CuSO4*5H2O")->hydrate.has_value());
    EXPECT_NE(findSubstance(test::catalogue(), "ZnSO4*7H2O")->hydrate,
              findSubstance(test::catalogue(), "ZnSO4*H2O")->hydrate);
}

TEST(NameLookup, FindsMaterialsByNameAliasAndFormula) {
    const auto zinc = findMaterial(test::catalogue(), "zinc");
    ASSERT_TRUE(zinc);
    EXPECT_EQ(findMaterial(test::catalogue(), "Zn"), zinc);
    EXPECT_EQ(findMaterial(test::catalogue(), "ZINC sheet"), zinc);
    EXPECT_EQ(findMaterial(test::catalogue(), "aluminum"), findMaterial(test::catalogue(), "aluminium"));
    EXPECT_EQ(findMaterial(test::catalogue(), "filter block"),
              findMaterial(test::catalogue(), "carbon block"));
    EXPECT_FALSE(findMaterial(test::catalogue(), "wood"));
}

TEST(NameLookup, SuggestsTheNearestName) {
    EXPECT_EQ(nearestName("alumnium", materialNames(test::catalogue())), "aluminium");
    EXPECT_EQ(nearestName("zink", materialNames(test::catalogue())), "zinc");
    EXPECT_EQ(nearestName("qqqqqqqqqqqqqqqqqqqq", materialNames(test::catalogue())), "");
}

TEST(NameLookup, FoldsCaseHyphensAndBlanks) {
    EXPECT_EQ(foldedName("  Carbon--Felt_x "), "carbon felt x");
}

TEST(NameLookup, FindsLiquidsSeparatorsAndCases) {
    EXPECT_TRUE(findLiquid(test::catalogue(), "Lemon Juice"));
    EXPECT_TRUE(findSeparator(test::catalogue(), "salt bridge"));
    EXPECT_TRUE(findSeparator(test::catalogue(), "gravity"));
    EXPECT_TRUE(findCase(test::catalogue(), "ABS"));
    EXPECT_FALSE(findCase(test::catalogue(), "paper bag"));
}

} // namespace
} // namespace anodex::chemistry
