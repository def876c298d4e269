#include "formats/JsonObject.h"
#include "formats/Equation.h"
#include "formats/ExpectationJson.h"
#include "tests/support/Samples.h"
#include "wording/ErrorText.h"

#include <gtest/gtest.h>

namespace anodex::formats {
namespace {

std::optional<FileError> read(const std::string& text, const std::function<void(JsonObject&)>& reader) {
    Json json;
    std::optional<FileError> problem = parseJson(text, json);
    if (!problem) {
        JsonObject root(json, "", problem);
        if (!problem) {
            reader(root);
            root.finish();
        }
    }
    return problem;
}

TEST(JsonObject, ReadsEveryKindOfValue) {
    const auto problem =
        read(R"({"t":"x","n":1.5,"w":3,"f":true,"l":["a","b"],"o":{"k":2},"c":[{"v":1},{"v":2}]})",
             [](JsonObject& root) {
                 EXPECT_EQ(root.text("t"), "x");
                 EXPECT_EQ(root.textOr("absent", "y"), "y");
                 EXPECT_EQ(root.number("n"), 1.5);
                 EXPECT_EQ(root.numberOr("absent", 7.0), 7.0);
                 EXPECT_FALSE(root.maybeNumber("absent"));
                 EXPECT_EQ(root.maybeWhole("w", kPositive), 3);
                 EXPECT_TRUE(root.flagOr("f", false));
                 EXPECT_TRUE(root.flagOr("absent", true));
                 EXPECT_EQ(root.texts("l"), (std::vector<std::string>{"a", "b"}));
                 double sum = 0.0;
                 root.eachNumber("o", [&](const std::string& key, double value) {
                     EXPECT_EQ(key, "k");
                     sum += value;
                 });
                 root.eachObject("c", [&](JsonObject& entry) { sum += entry.number("v"); });
                 EXPECT_EQ(sum, 5.0);
             });
    EXPECT_FALSE(problem) << wording::errorText(*problem);
}

struct Fault {
    const char* text;
    const char* field;
    FileError::Code code;
};

class JsonFault : public testing::TestWithParam<Fault> {};

TEST_P(JsonFault, NamesThePlace) {
    const auto problem = read(GetParam().text, [](JsonObject& root) {
        (void)root.text("name");
        (void)root.maybeNumber("size", kPositive);
        (void)root.maybeWhole("count", kPositive);
        (void)root.flagOr("flag", false);
        (void)root.texts("list");
        root.object("inner", [](JsonObject& inner) { (void)inner.number("x"); });
        root.eachObject("rows", [](JsonObject& row) { (void)row.number("y"); });
    });
    ASSERT_TRUE(problem) << GetParam().text;
    EXPECT_EQ(problem->field, GetParam().field) << GetParam().text;
    EXPECT_EQ(problem->code, GetParam().code) << GetParam().text;
    EXPECT_FALSE(problem->expected.empty());
}

using Code = FileError::Code;
INSTANTIATE_TEST_SUITE_P(
    Places, JsonFault,
    testing::Values(Fault{R"({})", "name", Code::MissingKey}, Fault{R"({"name":1})", "name", Code::WrongType},
                    Fault{R"({"name":"a","size":0})", "size", Code::OutOfRange},
                    Fault{R"({"name":"a","size":"1"})", "size", Code::WrongType},
                    Fault{R"({"name":"a","size":null})", "size", Code::WrongType},
                    Fault{R"({"name":"a","count":1.5})", "count", Code::WrongType},
                    Fault{R"({"name":"a","flag":1})", "flag", Code::WrongType},
                    Fault{R"({"name":"a","list":"x"})", "list", Code::WrongType},
                    Fault{R"({"name":"a","list":[1]})", "list", Code::WrongType},
                    Fault{R"({"name":"a","inner":3})", "inner", Code::WrongType},
                    Fault{R"({"name":"a","inner":{}})", "inner.x", Code::MissingKey},
                    Fault{R"({"name":"a","inner":{"x":1,"z":2}})", "inner.z", Code::UnknownKey},
                    Fault{R"({"name":"a","rows":{}})", "rows", Code::WrongType},
                    Fault{R"({"name":"a","rows":[{"y":1},{"q":2}]})", "rows[1].y", Code::MissingKey},
                    Fault{R"({"name":"a","nme":"b"})", "nme", Code::UnknownKey},
                    Fault{R"([1])", "the file", Code::WrongType},
                    Fault{R"({"name":"a","name":"b"})", "name", Code::Conflict},
                    Fault{"{\n\n x", "", Code::NotJson}),
    test::named(&Fault::text));

TEST(JsonObject, CountsTheLinesOfTextThatIsNoJson) {
    Json json;
    EXPECT_EQ(parseJson("{\n\n x", json)->line, 3);
    EXPECT_EQ(parseJson("", json)->line, 1);
}

TEST(JsonObject, SuggestsTheNearestKey) {
    const auto problem = read(R"({"nam":"a"})", [](JsonObject& root) { (void)root.textOr("name", ""); });
    ASSERT_TRUE(problem);
    EXPECT_EQ(problem->expected, base::Said("the key \"{key}\"", {{"key", "name"}}));
}

TEST(JsonObject, KeepsTheFirstProblem) {
    const auto problem = read(R"({"a":"x","b":"y"})", [](JsonObject& root) {
        (void)root.number("a");
        (void)root.number("b");
    });
    ASSERT_TRUE(problem);
    EXPECT_EQ(problem->field, "a");
}

TEST(Equation, ReadsCountsSignsAndElectrons) {
    const auto equation = parseEquation(test::catalogue(), "O2(g) + 4 H+ + 4 e- = 2 H2O(l)");
    ASSERT_TRUE(equation);
    EXPECT_EQ(equation->electrons, 4.0);
    EXPECT_EQ(equation->terms.size(), 3U);
    EXPECT_TRUE(isBalanced(test::catalogue(), *equation));
    EXPECT_FALSE(
        isBalanced(test::catalogue(), *parseEquation(test::catalogue(), "O2(g) + 4 H+ + 4 e- = H2O(l)")));
    EXPECT_FALSE(
        isBalanced(test::catalogue(), *parseEquation(test::catalogue(), "O2(g) + 4 H+ + 3 e- = 2 H2O(l)")));
}

TEST(Equation, SaysWhatItCannotRead) {
    EXPECT_EQ(base::plain(parseEquation(test::catalogue(), "Zn2+ + 2 e- Zn(s)").error()),
              "no \" = \" in \"Zn2+ + 2 e- Zn(s)\"");
    EXPECT_EQ(base::plain(parseEquation(test::catalogue(), "Zq2+ + 2 e- = Zn(s)").error()),
              "the species \"Zq2+\"");
    EXPECT_EQ(base::plain(parseSide(test::catalogue(), "H+ - nothing").error()), "the species \"nothing\"");
}

TEST(Expectation, SurvivesAsText) {
    record::Expectation expectation;
    expectation.modelVersion = "1";
    expectation.catalogueVersion = "abcd";
    expectation.openCircuitVolts = {1.1, {1.0, 1.2}};
    expectation.capacityCoulombs = {3600.0, {3000.0, 4000.0}};
    expectation.resistanceOhm = {4.5, {4.0, 5.5}};
    const auto again = readExpectation(writeExpectation(expectation));
    ASSERT_TRUE(again);
    EXPECT_EQ(*again, expectation);
    EXPECT_FALSE(readExpectation("{}"));
    EXPECT_FALSE(readExpectation("broken"));
}

} // namespace
} // namespace anodex::formats
