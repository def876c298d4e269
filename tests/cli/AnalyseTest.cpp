// `analyse`: what a run delivered, how its file was read, what it asks.
#include "formats/run/RunCsv.h"
#include "tests/cli/CliFixture.h"

namespace anodex::cli {
namespace {

TEST_F(Files, AnalyseReadsARun) {
    const std::string run = file("run.csv", formats::writeRunCsv(test::straightDischarge(0.1, 3600.0, 61)));
    const Json json = call({"analyse", run, "--json"}).json();
    EXPECT_NEAR(json["discharge_Ah"].get<double>(), 0.1, 1e-9);
    EXPECT_NEAR(json["energy_Wh"].get<double>(), 0.125, 1e-9);
    EXPECT_NEAR(json["mean_voltage_V"].get<double>(), 1.25, 1e-9);
    EXPECT_NEAR(json["duration_s"].get<double>(), 3600.0, 1e-9);
    EXPECT_FALSE(json.contains("internal_resistance_ohm"));
    const Json with = call({"analyse", run, "--json", "--cell", cell(test::beakers())}).json();
    EXPECT_TRUE(with.contains("expected"));
    EXPECT_GT(with["discharge_Ah_per_g"].get<double>(), 0.0);
    EXPECT_EQ(call({"analyse", file("bad.csv", "no numbers here\n")}).exit, kWrongInput);
}

TEST_F(Files, AnalyseSaysHowItReadTheFile) {
    const std::string run =
        file("run.csv", "Zeit (s);Spannung (mV);Strom (mA)\n0;1500,5;0\n10;1400;20\n# stirred\n20;OL;20\n"
                        "30;1390;20\n");
    const Json json = call({"analyse", run, "--json"}).json();
    const Json& readAs = json["read_as"];
    EXPECT_EQ(readAs["columns"]["voltage"], "Spannung (mV)");
    EXPECT_EQ(readAs["units"]["voltage"], "mV");
    EXPECT_EQ(readAs["units"]["current"], "mA");
    EXPECT_EQ(readAs["units"]["time"], "s");
    EXPECT_EQ(readAs["sign"], "positive on discharge");
    EXPECT_EQ(readAs["rows"], 3);
    EXPECT_EQ(readAs["skipped"].size(), 2U);
    EXPECT_EQ(readAs["skipped"][1]["why"], "no reading: overload");
    EXPECT_GT(readAs["certainty"].get<double>(), 0.99);
}

TEST_F(Files, AnalyseAsksWhereTwoReadingsAreLikely) {
    const std::string run = file("run.csv", "time,voltage,current\n0,1.5,0\n10,1.4,20\n20,1.4,20\n");
    const auto asked = call({"analyse", run});
    EXPECT_EQ(asked.exit, kWrongInput);
    EXPECT_NE(asked.errors.find("--unit time=s, --unit time=ms"), std::string::npos) << asked.errors;
    EXPECT_EQ(std::count(asked.errors.begin(), asked.errors.end(), '\n'), 1);
    const Json told = call({"analyse", run, "--unit", "time=s,current=mA", "--json"}).json();
    EXPECT_NEAR(told["duration_s"].get<double>(), 20.0, 1e-9);
    EXPECT_NEAR(told["maximum_power_W"].get<double>(), 0.028, 1e-9);
    for (const char* bad : {"voltage", "volume=mL", "voltage=mA"}) {
        EXPECT_NE(call({"analyse", run, "--unit", bad}).exit, kGood) << bad;
    }
    EXPECT_EQ(call({"analyse", run, "--sign", "up"}).exit, kUsage);
    EXPECT_EQ(call({"analyse", run, "--voltage", "pressure", "--unit", "time=s"}).exit, kWrongInput);
}

} // namespace
} // namespace anodex::cli
