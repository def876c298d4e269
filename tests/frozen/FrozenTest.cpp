// The answers of starters, homemade cells and two hundred random designs are those on record.
#include "tests/frozen/Frozen.h"
#include "core/record/Expect.h"

#include <cmath>
#include <gtest/gtest.h>

namespace anodex::frozen {
namespace {

class FrozenAnswers : public testing::TestWithParam<const char*> {};

TEST_P(FrozenAnswers, HaveNotMoved) {
    const std::vector<Case> cases = readGroup(GetParam());
    ASSERT_FALSE(cases.empty());
    for (const Case& one : cases) {
        EXPECT_EQ(differenceOf(one.answer, answerOf(one.cell)), "") << one.name;
    }
}

INSTANTIATE_TEST_SUITE_P(Groups, FrozenAnswers, testing::ValuesIn(kGroups),
                         [](const auto& group) { return std::string(group.param); });

TEST(FrozenStarters, OfTheStartersBelongToThisVersionOfTheModel) {
    const Json versions = readVersions();
    ASSERT_TRUE(versions.contains(record::kModelVersion)) << "a new version of the model: freeze its answers";
    std::vector<Case> starters = readGroup("starters");
    for (Case& one : starters) {
        one.answer = answerOf(one.cell);
    }
    EXPECT_EQ(versions[record::kModelVersion], fingerprintOf(starters))
        << "the model answers otherwise: raise kModelVersion, then freeze";
}

TEST(FrozenStarters, ADifferenceIsFoundAndItsPlaceNamed) {
    const Json before = Json::parse(R"({"a": [1.0, {"b": 2.0}], "text": "x"})");
    Json now = before;
    EXPECT_EQ(differenceOf(before, now), "");
    now["a"][1]["b"] = 2.0 * (1.0 + 1e-7);
    EXPECT_EQ(differenceOf(before, now), "");
    now["a"][1]["b"] = 2.00001;
    EXPECT_EQ(differenceOf(before, now), ".a[1].b: 2 is 2.00001");
    now = before;
    now["text"] = "y";
    EXPECT_EQ(differenceOf(before, now), ".text: \"x\" is \"y\"");
    now = before;
    now.erase("text");
    now["other"] = "x";
    EXPECT_EQ(differenceOf(before, now), ".text is gone");
}

TEST(FrozenStarters, AChangedNumberChangesTheFingerprint) {
    std::vector<Case> starters = {{"one", {}, Json::parse(R"({"a": 1.0})")}};
    const std::string before = fingerprintOf(starters);
    starters[0].answer["a"] = 1.0001;
    EXPECT_NE(fingerprintOf(starters), before);
}

} // namespace
} // namespace anodex::frozen
