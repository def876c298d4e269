#include "cli/OneLine.h"
#include "notebook/Notebook.h"
#include "tests/cli/CliFixture.h"

#include <algorithm>
#include <filesystem>
#include <fstream>

namespace anodex::cli {
namespace {

int lines(const std::string& text) {
    return static_cast<int>(std::count(text.begin(), text.end(), '\n'));
}

bool anyNull(const Json& json) {
    if (json.is_null()) {
        return true;
    }
    if (json.is_structured()) {
        return std::any_of(json.begin(), json.end(), [](const Json& inner) { return anyNull(inner); });
    }
    return false;
}

TEST_F(Files, EvaluateGivesTheContractsKeys) {
    const Result result =
        call({"evaluate", cell(test::foilInSalt()), "--json", "--current", "0.01", "--curve", "5"});
    ASSERT_EQ(result.exit, kGood) << result.errors;
    EXPECT_EQ(result.errors, "");
    const Json json = result.json();
    for (const char* key : {"thermodynamic_voltage_V", "open_circuit_voltage_V", "short_circuit_current_A",
                            "maximum_power_W", "current_at_maximum_power_A", "settled", "resistance_ohm",
                            "resistance_budget", "negative", "positive", "capacity_Ah", "self_discharge_A",
                            "hydrogen_mL_per_h", "losses", "findings", "curve", "interval", "assumed"}) {
        EXPECT_TRUE(json.contains(key)) << key;
    }
    EXPECT_EQ(json["curve"].size(), 5U);
    EXPECT_FALSE(anyNull(json));
    for (const char* key : {"thermodynamic_voltage_V", "open_circuit_voltage_V", "short_circuit_current_A",
                            "maximum_power_W", "capacity_Ah"}) {
        EXPECT_EQ(json["interval"][key].size(), 2U) << key;
    }
    EXPECT_EQ(json["assumed"]["temperature_C"], 20.0);
    EXPECT_EQ(json["assumed"]["contact_mohm"], 30.0);
    for (const char* key : {"potential_V", "reaction", "equilibrium_potential_V", "competing"}) {
        EXPECT_TRUE(json["negative"].contains(key)) << key;
    }
    double sum = 0.0;
    for (const Json& part : json["resistance_budget"]) {
        sum += part["ohm"].get<double>();
    }
    EXPECT_NEAR(sum, json["resistance_ohm"].get<double>(), 1e-9);
}

TEST_F(Files, AVoltageToFloatAtIsGivenOnlyWhereThereIsOne) {
    const std::string wasting = R"({"negative": {"material": "zinc", "wetted_area_cm2": 20},
        "positive": {"material": "copper", "wetted_area_cm2": 20},
        "electrolyte": {"volume_mL": 100, "solutes": [{"substance": "CuSO4", "mol_per_L": 0.05}]}})";
    const Json charge = call({"evaluate", cell(wasting), "--json", "--samples", "0"}).json()["charge"];
    EXPECT_TRUE(charge.contains("gassing_V"));
    EXPECT_FALSE(charge.contains("float_V"));
}

TEST_F(Files, EvaluateSaysHowACellIsCharged) {
    Json design = Json::parse(test::beakers());
    design["charge"] = {{"current_A", 0.02}};
    design["case"] = {{"closed", true}};
    const Json json = call({"evaluate", cell(design.dump()), "--json", "--samples", "20"}).json();
    EXPECT_FALSE(anyNull(json));
    EXPECT_EQ(json["assumed"]["case.head_space_mL"], 50.0);
    const Json& charge = json["charge"];
    EXPECT_EQ(charge["possible"], true);
    EXPECT_EQ(charge["plus_on"], "positive");
    EXPECT_LT(charge["window"]["lowest_V"], charge["window"]["highest_V"]);
    EXPECT_GT(charge["asked"]["voltage_V"], json["open_circuit_voltage_V"]);
    EXPECT_LE(charge["asked"]["voltage_interval_V"][0], charge["asked"]["voltage_V"]);
    EXPECT_EQ(charge["asked"]["negative"][0]["fate"], "stored");
    EXPECT_EQ(charge["air"][0]["space"], "head space");
    const Json fruit = call({"evaluate", cell(test::lemon()), "--json", "--samples", "0"}).json()["charge"];
    EXPECT_EQ(fruit["possible"], false);
    EXPECT_FALSE(fruit.contains("window"));
    EXPECT_GT(fruit["instead"]["gas_mL_per_h"]["H2(g)"], 0.0);
}

TEST_F(Files, RecipesWithPoisonAreRefusedInOneLine) {
    const Result result = call({"evaluate", cell(R"({"negative":{"material":"cadmium","wetted_area_cm2":1},
              "positive":{"material":"nickel","wetted_area_cm2":1},
              "electrolyte":{"water_mL":10,"solutes":[{"substance":"KOH","mol_per_L":6}]}})")});
    EXPECT_EQ(result.exit, kWrongInput);
    EXPECT_EQ(lines(result.errors), 1);
    EXPECT_NE(result.errors.find("negative.material: \"cadmium\" is refused"), std::string::npos)
        << result.errors;
}

TEST_F(Files, EvaluateLeavesTheIntervalOutWithoutSamples) {
    EXPECT_FALSE(
        call({"evaluate", cell(test::lemon()), "--json", "--samples", "0"}).json().contains("interval"));
}

TEST_F(Files, EvaluateWithoutJsonIsATable) {
    const Result result = call({"evaluate", cell(test::lemon())});
    EXPECT_EQ(result.exit, kGood);
    EXPECT_NE(result.output.find("open circuit"), std::string::npos);
    EXPECT_EQ(result.output.find('{'), std::string::npos);
}

TEST_F(Files, WrongInputIsOneLineAndExitOne) {
    for (const auto& [name, text] : std::vector<std::pair<std::string, std::string>>{
             {"a.cell.json", "{"}, {"b.cell.json", "{}"}, {"c.cell.json", R"({"format":"anodex-cell/9"})"}}) {
        const Result result = call({"evaluate", file(name, text), "--json"});
        EXPECT_EQ(result.exit, kWrongInput) << name;
        EXPECT_EQ(lines(result.errors), 1) << result.errors;
        EXPECT_EQ(result.output, "");
        EXPECT_NE(result.errors.find(name), std::string::npos);
        EXPECT_NE(result.errors.find("right would be"), std::string::npos);
    }
}

TEST_F(Files, WhatCannotBeReadIsExitThree) {
    EXPECT_EQ(call({"evaluate", m_folder.path("absent.cell.json").string()}).exit, kCouldNot);
    EXPECT_EQ(call({"evaluate", m_folder.path().string()}).exit, kCouldNot);
    EXPECT_EQ(call({"notebook", m_folder.path("absent.anodex").string(), "info"}).exit, kCouldNot);
}

TEST_F(Files, SolutionGivesTheContractsKeys) {
    const Result result =
        call({"solution", file("a.liquid.json", R"({"format": "anodex-liquid/1", "temperature_C": 25,
        "water_g": 100, "solutes": [{"substance": "NaCl", "mol_per_kg": 1}, {"substance": "iodine", "mass_g": 1}]})"),
              "--json"});
    ASSERT_EQ(result.exit, kGood) << result.errors;
    EXPECT_EQ(result.errors, "");
    const Json json = result.json();
    EXPECT_FALSE(anyNull(json));
    for (const char* key :
         {"pH", "density_g_per_mL", "conductivity_S_per_m", "ionic_strength_mol_per_kg", "species",
          "mean_activity_coefficient", "water_activity", "undissolved", "method"}) {
        EXPECT_TRUE(json.contains(key)) << key;
    }
    EXPECT_NEAR(json["mean_activity_coefficient"]["NaCl"].get<double>(), 0.657, 0.013);
    EXPECT_FALSE(json["mean_activity_coefficient"].contains("I2"));
    EXPECT_NEAR(json["species"]["Na+"]["molality"].get<double>(), 1.0, 1e-6);
    EXPECT_EQ(json["undissolved"][0]["substance"], "iodine");
    EXPECT_NEAR(json["undissolved"][0]["mass_g"].get<double>(), 0.97, 0.02);
}

TEST_F(Files, SolutionNamesWhatIsWrong) {
    const Result result =
        call({"solution", file("b.liquid.json", R"({"format": "anodex-liquid/1", "water_g": 100,
        "solutes": [{"substance": "table slat", "mass_g": 1}]})")});
    EXPECT_EQ(result.exit, kWrongInput);
    EXPECT_EQ(lines(result.errors), 1);
    EXPECT_NE(result.errors.find("solutes[0].substance"), std::string::npos) << result.errors;
    EXPECT_NE(result.errors.find("table salt"), std::string::npos) << result.errors;
    EXPECT_EQ(call({"solution", file("c.liquid.json", "{}")}).exit, kWrongInput);
}

TEST_F(Files, UsageAndWhatIsNotBuiltYetAreExitTwo) {
    EXPECT_EQ(call(std::vector<std::string>()).exit, kUsage);
    EXPECT_EQ(call({"dance"}).exit, kUsage);
    EXPECT_EQ(call({"evaluate"}).exit, kUsage);
    EXPECT_EQ(call({"evaluate", cell(test::lemon()), "--curve", "1"}).exit, kUsage);
    EXPECT_EQ(call({"evaluate", cell(test::lemon()), "--current", "much"}).exit, kUsage);
    EXPECT_EQ(call({"evaluate", cell(test::lemon()), "--samples", "-1"}).exit, kUsage);
    EXPECT_EQ(call({"catalogue", "wines"}).exit, kUsage);
    for (const char* verb : {"mix", "simulate", "pack"}) {
        const Result result = call({verb, "x"});
        EXPECT_EQ(result.exit, kUsage);
        EXPECT_EQ(result.errors, std::string(verb) + ": not yet\n");
        EXPECT_EQ(result.output, "");
    }
    EXPECT_EQ(call({"notebook", "x", "export"}).exit, kUsage);
    EXPECT_EQ(call({"--help"}).exit, kGood);
}

TEST_F(Files, ScreenListsTheBestOfAShelf) {
    const std::string shelf = file("s.shelf.json", R"({ "format": "anodex-shelf/1",
        "materials": [ {"material": "Zn", "area_cm2": 10, "price": 1}, {"material": "Cu", "area_cm2": 10, "price": 2},
                       {"material": "silver", "area_cm2": 5} ],
        "substances": [ {"substance": "NaCl", "mass_g": 100} ],
        "liquids": [ {"ready": "vinegar", "volume_mL": 300, "price": 0.5} ] })");
    const Json json = call({"screen", shelf, "--top", "4", "--json"}).json();
    EXPECT_EQ(json["tried"], 9);
    EXPECT_EQ(json["possible"], 9);
    ASSERT_EQ(json["candidates"].size(), 3U) << "a row for each pair";
    EXPECT_FALSE(json["candidates"][0]["other_liquids"].empty());
    for (const Json& candidate : json["candidates"]) {
        const Json again =
            call({"evaluate", file("c.cell.json", candidate["cell"].dump()), "--samples", "0", "--json"})
                .json();
        EXPECT_NEAR(again["open_circuit_voltage_V"], candidate["open_circuit_voltage_V"].get<double>(), 1e-6);
        EXPECT_NEAR(again["maximum_power_W"], candidate["maximum_power_W"].get<double>(), 1e-6);
        EXPECT_EQ(candidate["figure"]["unit"], "V");
        const bool zinc = candidate["cell"]["negative"]["material"] == "Zn";
        EXPECT_TRUE(zinc || candidate["cell"]["negative"]["material"] == "Cu") << "as the shelf wrote it";
        EXPECT_NE(candidate["why"].get<std::string>().find(zinc ? "zinc at" : "copper at"),
                  std::string::npos);
        EXPECT_FALSE(anyNull(candidate));
    }
    const Json cheap = call({"screen", shelf, "--by", "cost", "--top", "9", "--json"}).json();
    EXPECT_FALSE(cheap["candidates"].back()["figure"].contains("value")) << "silver has no price";
    EXPECT_TRUE(std::any_of(cheap["candidates"].begin(), cheap["candidates"].end(),
                            [](const Json& one) { return one.contains("worst_finding"); }));
    EXPECT_EQ(call({"screen", shelf, "--by", "beauty"}).exit, kUsage);
    EXPECT_EQ(call({"screen", shelf, "--top", "0"}).exit, kUsage);
    EXPECT_EQ(call({"screen", file("bad.shelf.json", "{}")}).exit, kWrongInput);
    const Result unknown = call({"screen", file("u.shelf.json", R"({ "format": "anodex-shelf/1",
        "materials": [ {"material": "zink", "area_cm2": 10} ] })")});
    EXPECT_EQ(unknown.exit, kWrongInput);
    EXPECT_NE(unknown.errors.find("materials[0].material: \"zink\""), std::string::npos) << unknown.errors;
}

TEST_F(Files, ReversedLabelsNameTheTruePositive) {
    Json json = Json::parse(test::beakers());
    std::swap(json["negative"], json["positive"]);
    std::swap(json["electrolyte"]["negative"], json["electrolyte"]["positive"]);
    const Json out = call({"evaluate", cell(json.dump()), "--json", "--samples", "0"}).json();
    EXPECT_LT(out["open_circuit_voltage_V"].get<double>(), -1.0);
    EXPECT_GT(out["maximum_power_W"].get<double>(), 0.0);
    EXPECT_LT(out["curve"].front()["current_A"].get<double>(), 0.0);
    EXPECT_NEAR(out["curve"].back()["current_A"].get<double>(), 0.0, 1e-12);
    const Json& findings = out["findings"];
    const auto reversed = std::find_if(findings.begin(), findings.end(),
                                       [](const Json& f) { return f["code"] == "polarity-reversed"; });
    ASSERT_NE(reversed, findings.end());
    EXPECT_EQ((*reversed)["substances"], Json::array({"copper"}));
}

TEST_F(Files, EvaluateFitsOneScreenAndHasItsCurveWhenAsked) {
    for (const auto& entry : std::filesystem::directory_iterator(test::sourceDir() / "data/starters")) {
        const std::string text = call({"evaluate", entry.path().string(), "--samples", "20"}).output;
        EXPECT_LE(std::count(text.begin(), text.end(), '\n'), 40) << entry.path();
        std::istringstream lines(text);
        for (std::string line; std::getline(lines, line);) {
            EXPECT_LE(lengthOf(line), 80U) << entry.path() << ": " << line;
        }
        EXPECT_EQ(text.find("\033"), std::string::npos) << entry.path();
        EXPECT_EQ(text.find("voltage        power"), std::string::npos) << entry.path();
    }
    const std::string curve = call({"evaluate", cell(test::beakers()), "--curve", "5"}).output;
    const std::string table = curve.substr(curve.find("current"));
    EXPECT_EQ(std::count(table.begin(), table.end(), '\n'), 6) << table; // its head and five points
}

TEST_F(Files, DangersStandFirstWholeAndRedOnATerminal) {
    const std::string alkali = (test::sourceDir() / "data/starters/air-zinc.cell.json").string();
    const std::string text = call({"evaluate", alkali, "--samples", "0"}).output;
    EXPECT_TRUE(text.starts_with("danger ")) << text;
    EXPECT_EQ(text.find("…"), std::string::npos) << text;
    EXPECT_LT(text.find("danger"), text.find("warning"));
    EXPECT_LT(text.find("warning"), text.find("open circuit"));
    std::ostringstream output;
    std::ostringstream errors;
    ASSERT_EQ(run({"evaluate", alkali, "--samples", "0"}, output, errors, {60, true}), kGood);
    EXPECT_TRUE(output.str().starts_with("\033[1;31mdanger\033[0m")) << output.str();
}

TEST(Screens, BreakAtBlanksBelowTheText) {
    EXPECT_EQ(wrapped("note ", "one two three", {13, false}), "note one two\n     three\n");
    EXPECT_EQ(wrapped("", "zwölf Äpfel", {11, false}), "zwölf Äpfel\n"); // characters, not bytes
    EXPECT_EQ(cut("zwölf Äpfel", {6, false}), "zwölf…");
    EXPECT_EQ(cut("short", {6, false}), "short");
    EXPECT_EQ(coloured("x", Colour::Danger, {80, false}), "x");
}

TEST_F(Files, OutputThatCannotBeWrittenIsTold) {
    std::ostringstream errors;
    std::ofstream full("/dev/full");
    EXPECT_EQ(run({"evaluate", cell(test::beakers()), "--json"}, full, errors), kCouldNot);
    EXPECT_NE(errors.str().find("could not be written"), std::string::npos) << errors.str();
}

TEST_F(Files, WhateverStandsInANameTheErrorIsOneLine) {
    for (const char* name : {"/no/a\nb.json", "/no/a\tb\x01.json", "/no/\xff\xfe.json", "/no/a\u2028b.json",
                             "/no/\u0085.json"}) {
        const auto result = call({"evaluate", name});
        EXPECT_EQ(result.exit, kCouldNot);
        EXPECT_EQ(std::count(result.errors.begin(), result.errors.end(), '\n'), 1) << result.errors;
        EXPECT_TRUE(std::all_of(result.errors.begin(), result.errors.end() - 1,
                                [](char c) { return c < 0 || c >= 0x20; }));
    }
    const auto longName = call({"evaluate", std::string(5000, 'x') + "é"});
    EXPECT_LT(longName.errors.size(), 1100U);
    EXPECT_EQ(oneLine("a\nb\x07é"), "a\\nb\\x07é");
    EXPECT_EQ(oneLine("\xc3"), "\\xc3");
}

TEST_F(Files, AnUnknownCommandIsNamed) {
    EXPECT_NE(call({"evalute", "x"}).errors.find("\"evalute\" is no command; right would be evaluate"),
              std::string::npos);
    EXPECT_EQ(call(std::vector<std::string>()).exit, kUsage);
    for (const char* later : {"mix", "export", "import", "sheet"}) {
        EXPECT_EQ(call({later}).errors, std::string(later) + ": not yet\n");
        EXPECT_EQ(call({later}).exit, kUsage);
    }
}

TEST_F(Files, AbsurdCountsAndDepthsAreRefusedWithTheLimit) {
    const std::string path = cell(test::beakers());
    EXPECT_NE(call({"evaluate", path, "--curve", "1e9"}).errors.find("at most 1000000"), std::string::npos);
    EXPECT_EQ(call({"evaluate", path, "--curve", "2e1", "--json", "--samples", "0"}).json()["curve"].size(),
              20U);
    EXPECT_NE(call({"evaluate", file("deep.json", std::string(100'000, '['))}).errors.find("64 levels"),
              std::string::npos);
}

TEST_F(Files, AStrengthBeyondTheNeatSubstanceIsRefusedWithTheStrongestPossible) {
    nlohmann::ordered_json json = nlohmann::ordered_json::parse(test::leadAcid(30));
    for (const auto& [strength, fits] : {std::pair{18.0, true}, std::pair{30.0, false}}) {
        json["electrolyte"]["solutes"][0] = {{"substance", "H2SO4"}, {"mol_per_L", strength}};
        json["electrolyte"].erase("volume_mL");
        json["electrolyte"]["water_mL"] = 100;
        const auto result = call({"evaluate", cell(json.dump()), "--samples", "0"});
        EXPECT_EQ(result.errors.find("18.7 mol/L at most") == std::string::npos, fits) << result.errors;
    }
}

TEST_F(Files, FormulasMayHaveSmallFiguresAndBlanks) {
    for (const char* formula : {"CuSO4·5H2O", "CuSO₄·5H₂O", "CuSO4 · 5 H2O", "Cu SO4 . 5 H2O"}) {
        const std::string path =
            file("l.liquid.json",
                 std::string(R"({"format": "anodex-liquid/1", "temperature_C": 20, "water_mL": 100,
            "solutes": [{"substance": ")") +
                     formula + R"(", "mass_g": 5}]})");
        const auto result = call({"solution", path, "--json"});
        EXPECT_EQ(result.exit, kGood) << formula << result.errors;
    }
}

TEST_F(Files, ANotebookIsCopiedRescuedAndRestored) {
    const std::string book = (test::sourceDir() / "tests/data/notebooks/version-3.anodex").string();
    const std::string mine = m_folder.path("mine.anodex").string();
    EXPECT_EQ(call({"notebook", book, "copy", mine}).exit, kGood);
    EXPECT_EQ(call({"notebook", book, "copy", mine}).exit, kCouldNot) << "never over another file";
    EXPECT_EQ(call({"notebook", mine, "rescue", m_folder.path("rescued.anodex").string(), "--json"})
                  .json()["counts"]["builds"],
              1);
    EXPECT_EQ(call({"notebook", mine, "restore", book}).exit, kGood);
    EXPECT_EQ(call({"notebook", mine, "check"}).exit, kGood);
    EXPECT_EQ(call({"notebook", mine, "copy"}).exit, kUsage);
}

TEST_F(Files, CatalogueListsEveryKind) {
    for (const char* kind :
         {"substances", "liquids", "materials", "separators", "cases", "reactions", "species", "rules"}) {
        const Json json = call({"catalogue", kind, "--json"}).json();
        EXPECT_EQ(json["kind"], kind);
        ASSERT_FALSE(json["entries"].empty()) << kind;
        for (const Json& entry : json["entries"]) {
            EXPECT_TRUE(entry.contains("id") && entry.contains("name") && entry.contains("aliases")) << kind;
            EXPECT_FALSE(entry["sources"].empty()) << kind << entry["id"];
        }
    }
}

TEST_F(Files, CatalogueOfAuthorsCanReplaceTheBuiltIn) {
    for (const auto& [name, text] : formats::builtInCatalogueFiles()) {
        file(name, text);
    }
    EXPECT_EQ(call({"catalogue", "materials", "--json", "--catalogue", m_folder.path().string()}).exit,
              kGood);
    file("materials.json", "{}x");
    EXPECT_EQ(call({"catalogue", "materials", "--json", "--catalogue", m_folder.path().string()}).exit,
              kWrongInput);
}

TEST_F(Files, NotebookInfoAndCheck) {
    const std::string path = m_folder.path("n.anodex").string();
    {
        auto book = notebook::Notebook::open(path, notebook::OpenMode::Create);
        ASSERT_TRUE(book);
        ASSERT_TRUE(book->commit("start", 1, {record::Project{"p", "Shed", 1}}));
    }
    const Result info = call({"notebook", path, "info", "--json"});
    EXPECT_EQ(info.exit, kGood);
    EXPECT_EQ(info.json()["counts"]["projects"], 1);
    EXPECT_EQ(call({"notebook", path, "check"}).exit, kGood);
    EXPECT_EQ(call({"notebook", file("t.anodex", std::string(4000, 'x')), "check"}).exit, kWrongInput);
    EXPECT_EQ(call({"notebook", path, "polish"}).exit, kUsage);
}

} // namespace
} // namespace anodex::cli
