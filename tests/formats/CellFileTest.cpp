#include "formats/CellFile.h"
#include "core/design/Resolve.h"
#include "tests/support/Samples.h"
#include "wording/ErrorText.h"

#include <gtest/gtest.h>

namespace anodex::formats {
namespace {

constexpr const char* kPouch =
    R"({ "format": "anodex-cell/1", "name": "Foil pouch", "family": "air", "temperature_C": 20,
  "negative": { "material": "aluminium", "mass_g": 2, "wetted_area_cm2": 46, "collector": {"material": "copper", "resistance_mohm": 5}, "air": "still" },
  "positive": { "material": "activated carbon", "wetted_area_cm2": 46, "air": "breathing", "open_percent": 5, "filled_pores_percent": 70, "additives": [{"material": "MnO2", "mass_g": 3}] },
  "electrolyte": { "water_mL": 100, "solutes": [ {"substance": "NaCl", "mass_g": 5}, {"substance": "NaHCO3", "mass_g": 5} ] },
  "separator": { "material": "kitchen paper", "layers": 2, "thickness_mm": 0.4 }, "gap_mm": 0.8, "contact_mohm": 20, "case": { "material": "ABS" } })";

TEST(CellFile, ReadsTheContractsExample) {
    const auto design = readCellFile(kPouch);
    ASSERT_TRUE(design) << design.error().field;
    EXPECT_EQ(design->name, "Foil pouch");
    EXPECT_NEAR(*design->temperatureKelvin, 293.15, 1e-9);
    EXPECT_NEAR(design->negative.wettedAreaM2, 0.0046, 1e-12);
    EXPECT_NEAR(*design->negative.massKg, 0.002, 1e-12);
    EXPECT_NEAR(*design->negative.collector->resistanceOhm, 0.005, 1e-12);
    EXPECT_EQ(design->positive.air, design::Air::Breathing);
    EXPECT_NEAR(design->positive.openShare.value_or(0.0), 0.05, 1e-12);
    EXPECT_NEAR(design->positive.filledPores.value_or(0.0), 0.7, 1e-12);
    EXPECT_EQ(design->positive.additives.front().material, "MnO2");
    EXPECT_EQ(design->liquid.solutes.size(), 2U);
    EXPECT_EQ(*design->separator->layers, 2);
    EXPECT_NEAR(*design->gapMetres, 0.0008, 1e-15);
    EXPECT_NEAR(*design->contactOhm, 0.020, 1e-15);
    EXPECT_EQ(design->caseMaterial, "ABS");
}

TEST(CellFile, KeepsHowFarAPlateIsChargedAndHowWideTheJarIs) {
    const auto read = readCellFile(
        R"({"format":"anodex-cell/1","negative":{"material":"spongy lead","wetted_area_cm2":10,"charged_percent":40},
            "positive":{"material":"lead dioxide","wetted_area_cm2":10},"electrolyte":{"water_mL":10},"case":{"inside_cm2":35}})");
    ASSERT_TRUE(read);
    EXPECT_NEAR(read->negative.charged.value_or(0.0), 0.4, 1e-12);
    EXPECT_FALSE(read->positive.charged);
    EXPECT_NEAR(read->insideM2.value_or(0.0), 0.0035, 1e-12);
    EXPECT_EQ(*readCellFile(writeCellFile(*read)), *read);
}

TEST(CellFile, WritingAndReadingGivesTheSameDesign) {
    for (const std::string& json :
         {std::string(kPouch), test::beakers(), test::leadAcid(30), test::lemon()}) {
        const design::CellDesign first = json == kPouch ? *readCellFile(json) : test::design(json);
        const std::string text = writeCellFile(first);
        const auto again = readCellFile(text);
        ASSERT_TRUE(again) << again.error().field;
        EXPECT_EQ(writeCellFile(*again), text);
    }
}

TEST(CellFile, KeepsHowACellIsChargedAndWhereItStands) {
    Json json = Json::parse(kPouch);
    json["case"] = {{"material", "ABS"}, {"closed", true}, {"head_space_mL", 40}};
    json["charge"] = {{"current_A", 0.2}, {"voltage_V", 2.4}};
    json["place"] = {{"flame", true}, {"room_m3", 12}, {"air_changes_per_h", 0.5}, {"box_L", 20}};
    json["string"] = {{"series", 6}, {"parallel", 2}, {"one_liquid", true}};
    const auto design = readCellFile(json.dump());
    ASSERT_TRUE(design) << design.error().field;
    EXPECT_TRUE(design->closed);
    EXPECT_NEAR(*design->headSpaceM3, 4e-5, 1e-15);
    EXPECT_EQ(*design->charge->amps, 0.2);
    EXPECT_EQ(*design->charge->volts, 2.4);
    EXPECT_NEAR(*design->place.airChangesPerSecond, 0.5 / 3600.0, 1e-12);
    EXPECT_NEAR(*design->place.boxM3, 0.02, 1e-12);
    EXPECT_EQ(design->string.series, 6);
    EXPECT_TRUE(design->string.oneLiquid);
    EXPECT_EQ(*readCellFile(writeCellFile(*design)), *design);
    const Json written = cellToJson(*design);
    for (const char* key : {"case", "charge", "place", "string"}) {
        EXPECT_EQ(written[key], json[key]) << key;
    }
}

TEST(CellFile, KeepsEveryUnitItWasGivenIn) {
    for (const char* unit : {"mass_g", "volume_mL", "mol", "mol_per_L", "mol_per_kg", "mass_percent"}) {
        const std::string json =
            std::string(
                R"({"format":"anodex-cell/1","negative":{"material":"zinc","wetted_area_cm2":1},"positive":{"material":"copper","wetted_area_cm2":1},"electrolyte":{"volume_mL":100,"solutes":[{"substance":"H2SO4",")") +
            unit + R"(":1.5}]}})";
        const auto design = readCellFile(json);
        ASSERT_TRUE(design) << unit;
        EXPECT_NE(writeCellFile(*design).find(std::string("\"") + unit + "\": 1.5"), std::string::npos)
            << unit;
    }
}

TEST(CellFile, ResolvesPercentsOfTheFinishedSolution) {
    const design::Cell cell = test::cellOf(test::leadAcid(30));
    const auto& mixture = cell.poured[0];
    const double acid =
        mixture.portions[0].moles * test::catalogue().substances[mixture.portions[0].substance].molarMassKg;
    EXPECT_NEAR(acid / (acid + mixture.solventKg), 0.30, 1e-9);
    EXPECT_NEAR(test::contentsOf(test::leadAcid(30)).solutions[0].volumeM3, 2e-4, 1e-9);
}

TEST(CellFile, CountsAHydratesOwnWater) {
    const design::Cell cell = test::cellOf(
        R"({"negative":{"material":"zinc","wetted_area_cm2":1},"positive":{"material":"copper","wetted_area_cm2":1},
        "electrolyte":{"water_g":100,"solutes":[{"substance":"CuSO4*5H2O","mass_g":24.968}]}})");
    EXPECT_NEAR(cell.poured[0].portions[0].moles, 0.1, 1e-5);
    EXPECT_NEAR(cell.poured[0].solventKg, 0.100 + 0.1 * 5 * 0.018015, 1e-5);
}

TEST(CellFile, ChoosesTheContractsDefaultsAndSaysSo) {
    const design::Cell cell = test::cellOf(test::lemon());
    EXPECT_NEAR(cell.temperatureKelvin, 293.15, 1e-9);
    EXPECT_NEAR(cell.contactOhm, 0.030, 1e-12);
    EXPECT_NEAR(cell.gapMetres, 0.010, 1e-12);
    EXPECT_NEAR(cell.electrodes[0].thicknessMetres, 0.0005, 1e-12);
    EXPECT_EQ(cell.electrodes[0].air, design::Air::Still);
    std::set<std::string> fields;
    for (const design::Assumption& assumption : cell.assumed) {
        fields.insert(assumption.field);
    }
    for (const char* field : {"temperature_C", "contact_mohm", "gap_mm", "negative.mass_g", "negative.air",
                              "positive.thickness_mm"}) {
        EXPECT_TRUE(fields.contains(field)) << field;
    }
}

TEST(CellFile, TakesTheGapFromTheLayers) {
    const design::Cell cell = test::cellOf(
        R"({"negative":{"material":"zinc","wetted_area_cm2":1},"positive":{"material":"copper","wetted_area_cm2":1},
        "electrolyte":{"water_g":100},"separator":{"material":"blotter","layers":3,"thickness_mm":0.4}})");
    EXPECT_NEAR(cell.gapMetres, 0.0012, 1e-12);
}

TEST(CellFile, ReadsLiquidFiles) {
    const auto liquid = readLiquidFile(
        R"({"format":"anodex-liquid/1","temperature_C":25,"water_g":100,"solutes":[{"substance":"NaCl","mol":0.1}]})");
    ASSERT_TRUE(liquid);
    EXPECT_NEAR(liquid->temperatureKelvin, 298.15, 1e-9);
    EXPECT_FALSE(readLiquidFile(R"({"format":"anodex-cell/1","water_g":100})"));
}

struct Refusal {
    const char* change; ///< JSON merge patch on the pouch.
    const char* field;
    const char* part; ///< Part of the sentence.
};

class CellFileRefuses : public testing::TestWithParam<Refusal> {};

TEST_P(CellFileRefuses, NamingTheFieldAndWhatWouldBeRight) {
    Json json = Json::parse(kPouch);
    json.merge_patch(Json::parse(GetParam().change));
    auto design = readCellFile(json.dump());
    FileError error;
    if (design) {
        const auto cell = design::resolve(test::catalogue(), *design);
        ASSERT_FALSE(cell) << GetParam().change;
        error = toFileError(cell.error());
    } else {
        error = design.error();
    }
    EXPECT_EQ(error.field, GetParam().field) << GetParam().change;
    const std::string told = wording::errorText(error);
    EXPECT_NE(told.find(GetParam().part), std::string::npos) << told;
}

INSTANTIATE_TEST_SUITE_P(
    Faults, CellFileRefuses,
    testing::Values(
        Refusal{R"({"format":"anodex-cell/2"})", "format", "anodex-cell/1"},
        Refusal{R"({"format":null})", "format", "nothing"},
        Refusal{R"({"negative":null})", "negative", "nothing"},
        Refusal{R"({"negative":{"material":"zink"}})", "negative.material", "perhaps \"zinc\""},
        Refusal{R"({"negative":{"material":7}})", "negative.material", "the number 7"},
        Refusal{R"({"negative":{"wetted_area_cm2":0}})", "negative.wetted_area_cm2", "above 0"},
        Refusal{R"({"negative":{"wetted_area_cm2":"46"}})", "negative.wetted_area_cm2", "the text"},
        Refusal{R"({"negative":{"wetted_area_cm2":null}})", "negative.wetted_area_cm2", "nothing"},
        Refusal{R"({"negative":{"mass_g":-1}})", "negative.mass_g", "above 0"},
        Refusal{R"({"negative":{"weted_area_cm2":46}})", "negative.weted_area_cm2",
                "the key \"wetted_area_cm2\""},
        Refusal{R"({"positive":{"air":"windy"}})", "positive.air", "none, still or breathing"},
        Refusal{R"({"positive":{"open_percent":0}})", "positive.open_percent", "above 0 and up to 100"},
        Refusal{R"({"positive":{"open_percent":101}})", "positive.open_percent", "above 0 and up to 100"},
        Refusal{R"({"positive":{"charged_percent":40}})", "positive.charged_percent",
                "state of charge of activated carbon"},
        Refusal{R"({"positive":{"filled_pores_percent":-1}})", "positive.filled_pores_percent", "0 to 100"},
        Refusal{R"({"positive":{"additives":{}}})", "positive.additives", "a list"},
        Refusal{R"({"positive":{"additives":[{"material":"MnO2"}]}})", "positive.additives[0].mass_g",
                "nothing"},
        Refusal{R"({"electrolyte":null})", "electrolyte", "nothing"},
        Refusal{R"({"electrolyte":{"water_mL":null}})", "electrolyte", "one of water_mL"},
        Refusal{R"({"electrolyte":{"water_g":5}})", "electrolyte", "one of water_mL"},
        Refusal{R"({"electrolyte":{"ready":"vineger"}})", "electrolyte.ready", "volume_mL"},
        Refusal{R"({"electrolyte":{"water_mL":null,"solutes":null,"ready":"drain opener","volume_mL":50}})",
                "electrolyte.ready", "perhaps \"drain opener (caustic)\" or \"drain opener (sulfuric)\""},
        Refusal{R"({"electrolyte":{"solutes":[{"substance":"NaCl"}]}})", "electrolyte.solutes[0]",
                "0 amounts"},
        Refusal{R"({"electrolyte":{"solutes":[{"substance":"NaCl","mass_g":1,"mol":1}]}})",
                "electrolyte.solutes[0]", "2 amounts"},
        Refusal{R"({"electrolyte":{"solutes":[{"substance":"NaCk","mass_g":1}]}})",
                "electrolyte.solutes[0].substance", "perhaps"},
        Refusal{
            R"({"electrolyte":{"solutes":[{"substance":"NaCl","mass_percent":60},{"substance":"KCl","mass_percent":40}]}})",
            "electrolyte.solutes[1].mass_percent", "100 or more"},
        Refusal{R"({"electrolyte":{"solutes":[{"substance":"NaCl","mass_percent":100}]}})",
                "electrolyte.solutes[0].mass_percent", "below 100"},
        Refusal{R"({"electrolyte":{"measured_pH":"acid"}})", "electrolyte.measured_pH", "a pH"},
        Refusal{R"({"temperature_C":61})", "temperature_C", "-25 to 60"},
        Refusal{R"({"temperature_C":-26})", "temperature_C", "-25 to 60"},
        Refusal{R"({"separator":{"layers":1.5}})", "separator.layers", "whole number"},
        Refusal{R"({"separator":{"material":"kitchn paper"}})", "separator.material",
                "perhaps \"kitchen paper\""},
        Refusal{R"({"gap_mm":0})", "gap_mm", "above 0"},
        Refusal{R"({"contact_mohm":-3})", "contact_mohm", "0 or more"},
        Refusal{R"({"case":{"material":"cardboard"}})", "case.material", "a case"},
        Refusal{R"({"case":{"material":null,"closed":false}})", "case.material", "nothing"},
        Refusal{R"({"case":{"closed":true,"head_space_mL":0}})", "case.head_space_mL", "above 0"},
        Refusal{R"({"charge":{}})", "charge", "current_A, voltage_V, or both"},
        Refusal{R"({"charge":{"current_A":-1}})", "charge.current_A", "above 0"},
        Refusal{R"({"charge":{"current_A":1,"voltage":2}})", "charge.voltage", "the key \"voltage_V\""},
        Refusal{R"({"place":{"room_m3":"big"}})", "place.room_m3", "the text"},
        Refusal{R"({"place":{"outdoors":1}})", "place.outdoors", "the number 1"},
        Refusal{R"({"string":{"series":0}})", "string.series", "whole number"},
        Refusal{R"({"negative":{"material":"mercury"}})", "negative.material", "poisons"},
        Refusal{R"({"family":"airs"})", "family", "perhaps \"air\""},
        Refusal{R"({"gapmm":3})", "gapmm", "the key \"gap_mm\""},
        Refusal{R"({"negative":null,"negativ":{"material":"zinc"}})", "negativ", "the key \"negative\""},
        Refusal{R"({"negative":{"wetted_area_cm2":null,"wetted_area_cm":46}})", "negative.wetted_area_cm",
                "the key \"wetted_area_cm2\""},
        Refusal{R"({"negative":null})", "negative", "the negative electrode"}),
    test::named(&Refusal::field));

TEST(CellFile, KeepsQuietAboutKeysOfOthers) {
    Json json = Json::parse(kPouch);
    json["x-note"] = "mine";
    json["negative"]["x-shop"] = 3;
    EXPECT_TRUE(readCellFile(json.dump()));
}

TEST(CellFile, TellsBrokenTextByItsLine) {
    const auto broken = readCellFile("{\n \"format\": \"anodex-cell/1\",\n \"name\": }");
    ASSERT_FALSE(broken);
    EXPECT_EQ(broken.error().line, 3);
    EXPECT_FALSE(readCellFile(""));
    EXPECT_FALSE(readCellFile("[]"));
    EXPECT_FALSE(readCellFile(R"({"format":"anodex-cell/1","format":"anodex-cell/1"})"));
    EXPECT_FALSE(readCellFile(R"({"gap_mm":1e999})"));
}

} // namespace
} // namespace anodex::formats
