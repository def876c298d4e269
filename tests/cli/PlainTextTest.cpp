// Answers as people read them: every command without --json fits a screen and says what counts.
#include "cli/Command.h"
#include "cli/Screen.h"
#include "tests/cli/CliFixture.h"

#include <algorithm>

namespace anodex::cli {
namespace {

std::size_t widest(const std::string& text) {
    std::size_t most = 0;
    std::istringstream lines(text);
    for (std::string line; std::getline(lines, line);) {
        most = std::max(most, lengthOf(line));
    }
    return most;
}

bool has(const std::string& text, const std::string& part) {
    return text.find(part) != std::string::npos;
}

TEST_F(Files, ASolutionIsTenLines) {
    const Result result = call({"solution", file("a.liquid.json", R"({"format": "anodex-liquid/1",
        "water_mL": 100, "solutes": [{"substance": "NaCl", "mass_g": 50}]})")});
    ASSERT_EQ(result.exit, kGood) << result.errors;
    EXPECT_LE(widest(result.output), 80U);
    EXPECT_LE(std::count(result.output.begin(), result.output.end(), '\n'), 14);
    EXPECT_TRUE(has(result.output, "g sodium chloride")) << result.output;
    EXPECT_TRUE(has(result.output, "S/m"));
    EXPECT_TRUE(has(result.output, "Cl-"));
}

TEST_F(Files, TheLinesAreToldAsTheWindowTellsThem) {
    EXPECT_EQ(call({"read", "short 35 mA"}).output, "short circuit 35.0\u00A0mA · now\n");
    const std::string asked = call({"read", "1,234 mV"}).output;
    EXPECT_TRUE(asked.starts_with("? ")) << asked;
    EXPECT_EQ(std::count(asked.begin(), asked.end(), '\n'), 3) << asked;
    EXPECT_TRUE(call({"pour", "2 tsp salt"}).output.starts_with("12 g salt ("))
        << call({"pour", "2 tsp salt"}).output;
    EXPECT_TRUE(call({"pour", "1,500 g salt"}).output.starts_with("? "));
}

TEST_F(Files, TheCatalogueIsALineAnEntry) {
    const Json entries = call({"catalogue", "liquids", "--json"}).json()["entries"];
    const std::string text = call({"catalogue", "liquids"}).output;
    EXPECT_EQ(static_cast<std::size_t>(std::count(text.begin(), text.end(), '\n')), entries.size());
    EXPECT_LE(widest(text), 80U);
    EXPECT_TRUE(has(text, "vinegar"));
}

TEST_F(Files, AScreenedShelfIsARankedList) {
    const std::string shelf = file("a.shelf.json", R"({"format": "anodex-shelf/1",
        "materials": [{"material": "zinc", "area_cm2": 30}, {"material": "copper", "area_cm2": 30},
                      {"material": "lead", "area_cm2": 30}],
        "liquids": [{"ready": "vinegar", "volume_mL": 100}]})");
    const std::string text = call({"screen", shelf}).output;
    EXPECT_LE(widest(text), 80U);
    EXPECT_TRUE(has(text, "zinc and copper in vinegar")) << text;
    EXPECT_TRUE(has(text, "danger: ")) << "danger is shown";
    EXPECT_TRUE(has(text, "tried of"));
}

TEST_F(Files, SchemasArePrintedAndUnknownKindsNamed) {
    for (const char* kind : {"cell", "liquid", "shelf"}) {
        const Result result = call({"schema", kind});
        ASSERT_EQ(result.exit, kGood);
        EXPECT_EQ(result.json()["type"], "object") << kind;
        EXPECT_TRUE(result.json()["properties"].contains("format")) << kind;
    }
    EXPECT_EQ(call({"schema", "liquid"}).json()["properties"]["format"]["const"], "anodex-liquid/1");
    const Result wrong = call({"schema", "soup"});
    EXPECT_EQ(wrong.exit, kUsage);
    EXPECT_TRUE(has(wrong.errors, "cell, liquid or shelf")) << wrong.errors;
}

TEST_F(Files, EveryCommandHelpsWithAnExample) {
    for (const Command& command : commands()) {
        const std::string help = call({command.name, "--help"}).output;
        EXPECT_TRUE(has(help, std::string("Example: anodex-cli ") + command.name)) << help;
    }
}

} // namespace
} // namespace anodex::cli
