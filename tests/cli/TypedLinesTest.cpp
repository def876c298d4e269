// `read` and `pour`: what the lines of the window understand of a text.
#include "tests/cli/CliFixture.h"

namespace anodex::cli {
namespace {

TEST_F(Files, ReadTellsWhatTheEntryLineUnderstandsAndAsks) {
    const Json load = call({"read", "0.9 V 10 ohm 12 min ago", "--json"}).json();
    EXPECT_EQ(load["understood"][0]["kind"], "loaded_voltage");
    EXPECT_EQ(load["understood"][0]["load"]["resistance_ohm"], 10.0);
    EXPECT_EQ(load["understood"][0]["ago_s"], 720.0);
    EXPECT_EQ(call({"read", "1,234 mV", "--json"}).json()["asks"][0]["choices"].size(), 2U);
    EXPECT_EQ(call({"read", "stirred", "--json"}).json()["understood"][0]["kind"], "event");
    const std::string lemon = cell(test::lemon());
    EXPECT_TRUE(call({"read", "shorted 1 ma", "--cell", lemon, "--json"}).json()["asks"].empty());
    EXPECT_FALSE(call({"read", "shorted 3 A", "--cell", lemon, "--json"}).json()["asks"].empty());
}

TEST_F(Files, PourTellsWhatThePourLineUnderstands) {
    const Json poured = call({"pour", "5 ± 0.5 g salt", "--json"}).json();
    EXPECT_TRUE(poured["asks"].empty());
    const Json& pour = poured["pours"].at(0);
    EXPECT_EQ(pour["substance"], "salt");
    EXPECT_EQ(pour["unit"], "g");
    EXPECT_NEAR(pour["amount"], 5.0, 1e-12);
    EXPECT_NEAR(pour["range"][0], 4.5, 1e-12);
    EXPECT_NEAR(pour["range"][1], 5.5, 1e-12);
    EXPECT_TRUE(call({"pour", "20 mL lemon juice", "--json"}).json()["pours"][0]["range"].is_null());
    const Json unclear = call({"pour", "1,500 g salt", "--json"}).json();
    EXPECT_TRUE(unclear["pours"].empty());
    EXPECT_EQ(unclear["asks"][0]["choices"], Json({"1500 g salt", "1.5 g salt"}));
    const auto wrong = call({"pour", "5 g sald"});
    EXPECT_EQ(wrong.exit, 1);
    EXPECT_NE(wrong.errors.find("did you mean \"salt\""), std::string::npos);
}

} // namespace
} // namespace anodex::cli
