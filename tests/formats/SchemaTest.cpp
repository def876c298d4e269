// The JSON Schema and the reader agree on a corpus of valid and invalid cell files.
#include "core/design/Resolve.h"
#include "formats/CellFile.h"
#include "formats/ShelfFile.h"
#include "tests/support/Samples.h"

#include <array>
#include <cstdio>
#include <gtest/gtest.h>
#include <map>
#include <nlohmann/json.hpp>
#include <regex>

namespace anodex::formats {
namespace {

constexpr const char* kValidate = R"PY(
import json, sys, pathlib, jsonschema
root = pathlib.Path(sys.argv[1])
validator = jsonschema.Draft7Validator(json.loads((root / 'data/schema/cell.schema.json').read_text()))
for path in sorted((root / 'tests/data/cells').rglob('*.cell.json')):
    print(path.name, 1 if validator.is_valid(json.loads(path.read_text())) else 0)
)PY";

std::map<std::string, bool> verdictsOfTheSchema() {
    const test::TemporaryFolder folder;
    test::writeText(folder.path("validate.py"), kValidate);
    const std::string command =
        "/usr/bin/python3 " + folder.path("validate.py").string() + " " + test::sourceDir().string();
    std::map<std::string, bool> verdicts;
    FILE* pipe = popen(command.c_str(), "r");
    std::array<char, 256> line{};
    while (pipe != nullptr && fgets(line.data(), line.size(), pipe) != nullptr) {
        const std::string text = line.data();
        const std::size_t blank = text.rfind(' ');
        verdicts[text.substr(0, blank)] = text[blank + 1] == '1';
    }
    if (pipe != nullptr) {
        EXPECT_EQ(pclose(pipe), 0);
    }
    return verdicts;
}

TEST(Schema, AgreesWithTheReaderOnEveryFileOfTheCorpus) {
    const auto schema = verdictsOfTheSchema();
    int files = 0;
    for (const char* kind : {"valid", "invalid"}) {
        for (const auto& entry :
             std::filesystem::directory_iterator(test::sourceDir() / "tests/data/cells" / kind)) {
            const std::string name = entry.path().filename().string();
            const auto design = readCellFile(test::readText(entry.path()));
            const bool reads = design && design::resolve(test::catalogue(), *design);
            EXPECT_EQ(reads, std::string(kind) == "valid") << name;
            ASSERT_TRUE(schema.contains(name)) << name;
            EXPECT_EQ(schema.at(name), reads) << name;
            ++files;
        }
    }
    EXPECT_GE(files, 50);
}

TEST(Schema, OfAShelfAgreesWithItsReader) {
    const test::TemporaryFolder folder;
    const std::string head = R"({"format": "anodex-shelf/1")";
    const std::vector<std::pair<std::string, bool>> files = {
        {head + "}", true},
        {head + R"(, "materials": [{"material": "zinc", "area_cm2": 30, "mass_g": 40, "price": 2.5}]})",
         true},
        {head + R"(, "substances": [{"substance": "NaCl", "mass_g": 500}], "x-note": 1})", true},
        {head + R"(, "liquids": [{"ready": "vinegar", "volume_mL": 500}], "cases": [{"material": "glass"}]})",
         true},
        {head + R"(, "materials": [{"material": "zinc"}]})", false},
        {head + R"(, "materials": [{"material": "zinc", "area_cm2": 0}]})", false},
        {head + R"(, "substances": [{"substance": "NaCl", "mass_g": 5, "price": -1}]})", false},
        {head + R"(, "liquids": [{"ready": "vinegar", "volume_ml": 5}]})", false},
        {R"({"format": "anodex-shelf/2"})", false},
        {R"({"materials": []})", false}};
    std::string script = "import json, sys, jsonschema\n"
                         "v = jsonschema.Draft7Validator(json.load(open(sys.argv[1])))\n"
                         "for path in sys.argv[2:]: print(1 if v.is_valid(json.load(open(path))) else 0)\n";
    test::writeText(folder.path("v.py"), script);
    std::string command = "/usr/bin/python3 " + folder.path("v.py").string() + " " +
                          (test::sourceDir() / "data/schema/shelf.schema.json").string();
    for (std::size_t i = 0; i < files.size(); ++i) {
        const auto path = folder.path(std::to_string(i) + ".shelf.json");
        test::writeText(path, files[i].first);
        command += " " + path.string();
    }
    FILE* pipe = popen(command.c_str(), "r");
    ASSERT_NE(pipe, nullptr);
    for (const auto& [text, right] : files) {
        std::array<char, 16> line{};
        ASSERT_NE(fgets(line.data(), line.size(), pipe), nullptr);
        EXPECT_EQ(line[0] == '1', right) << "the schema: " << text;
        EXPECT_EQ(readShelfFile(text).has_value(), right) << "the reader: " << text;
    }
    EXPECT_EQ(pclose(pipe), 0);
}

TEST(Schema, EveryJsonBlockInTheDocsReads) {
    const std::regex block("```json\n([\\s\\S]*?)```");
    int blocks = 0;
    for (const auto& entry : std::filesystem::recursive_directory_iterator(test::sourceDir() / "docs")) {
        if (entry.path().extension() != ".md") {
            continue;
        }
        const std::string text = test::readText(entry.path());
        for (auto match = std::sregex_iterator(text.begin(), text.end(), block);
             match != std::sregex_iterator(); ++match) {
            const std::string shown = (*match)[1].str();
            ++blocks;
            if (shown.find("anodex-shelf/") != std::string::npos) {
                const auto shelf = readShelfFile(shown);
                EXPECT_TRUE(shelf) << entry.path() << ": " << (shelf ? "" : shelf.error().field);
                continue;
            }
            const auto cell = readCellFile(shown);
            EXPECT_TRUE(cell) << entry.path() << ": " << (cell ? "" : cell.error().field);
        }
    }
    EXPECT_GE(blocks, 2);
}

TEST(Schema, TheStarterCellsReadAndEvaluate) {
    int starters = 0;
    for (const auto& entry : std::filesystem::directory_iterator(test::sourceDir() / "data/starters")) {
        const auto design = readCellFile(test::readText(entry.path()));
        ASSERT_TRUE(design) << entry.path();
        EXPECT_FALSE(design->name.empty());
        const auto cell = design::resolve(test::catalogue(), *design);
        ASSERT_TRUE(cell) << entry.path();
        EXPECT_GT(cell::evaluate(test::catalogue(), *cell).openCircuitVolts, 0.3) << entry.path();
        ++starters;
    }
    EXPECT_GE(starters, 20);
}

} // namespace
} // namespace anodex::formats
