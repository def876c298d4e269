#include "formats/run/RunCsv.h"
#include "core/run/RunAnalysis.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <gtest/gtest.h>

namespace anodex::formats {
namespace {

CsvRun readAll(const std::string& text) {
    const auto preview = previewCsv(text);
    if (!preview) {
        ADD_FAILURE() << "no preview of: " << text.substr(0, 60);
        return {};
    }
    auto run = readCsv(text, preview->mapping);
    if (!run) {
        ADD_FAILURE() << "not read: " << text.substr(0, 60);
        return {};
    }
    return std::move(*run);
}

TEST(RunCsv, NewestFirstIsSeenThoughTheUnitsChange) {
    const CsvRun run =
        readAll("time,voltage\n3 min,1.1 V\n2 min,1.2 V\n90 s,1.3 V\n1 min,1.4 V\n0.5 min,1.5 V\n");
    ASSERT_EQ(run.samples.size(), 5U);
    EXPECT_NEAR(run.samples.volts[0], 1.5, 1e-9);
    EXPECT_NEAR(run.samples.seconds[4] - run.samples.seconds[0], 150.0, 1e-6);
}

struct Layout {
    const char* name;
    const char* text;
};

class RunCsvReads : public testing::TestWithParam<Layout> {};

// Each holds 0 s, 60 s and 120 s; 1.5, 1.4 and 1.25 V; 0, 0.02 and 0.02 A on discharge.
TEST_P(RunCsvReads, TheSameRunFromEveryLayout) {
    const CsvRun run = readAll(GetParam().text);
    ASSERT_EQ(run.samples.size(), 3U) << GetParam().name;
    EXPECT_NEAR(run.samples.seconds[1], 60.0, 1e-6) << GetParam().name;
    EXPECT_NEAR(run.samples.seconds[2], 120.0, 1e-6) << GetParam().name;
    EXPECT_NEAR(run.samples.volts[0], 1.5, 1e-9) << GetParam().name;
    EXPECT_NEAR(run.samples.volts[2], 1.25, 1e-9) << GetParam().name;
    EXPECT_NEAR(run.samples.amps[0], 0.0, 1e-12) << GetParam().name;
    EXPECT_NEAR(run.samples.amps[2], 0.02, 1e-12) << GetParam().name;
}

INSTANTIATE_TEST_SUITE_P(
    Layouts, RunCsvReads,
    testing::Values(
        Layout{"plain", "time (s),voltage (V),current (A)\n0,1.5,0\n60,1.4,0.02\n120,1.25,0.02\n"},
        Layout{"no header", "0,1.5,0\n60,1.4,0.02\n120,1.25,0.02\n"},
        Layout{"semicolons and decimal commas",
               "Zeit / s;Spannung / V;Strom / mA\n0;1,5;0\n60;1,4;20\n120;1,25;20\n"},
        Layout{"three header lines",
               "logger 3\nallotment shed\nt [min];U [mV];I [mA]\n0;1500;0\n1;1400;20\n2;1250;20\n"},
        Layout{"units in cells",
               "time,voltage,current\n0 s,1.5 V,0 mA\n60 s,1.4 V,20 mA\n120 s,1.25 V,20 mA\n"},
        Layout{"units that change from cell to cell",
               "time,voltage,current\n0 s,1.5 V,0\n60 s,1400 mV,20 mA\n2 min,1.25 V,20000 µA\n"},
        Layout{"units in cells and decimal commas",
               "0 s;1,5 V;0 A\n60 s;1,4 V;0,02 A\n120 s;1,25 V;0,02 A\n"},
        Layout{"names with values and units",
               "t: 0 s, U: 1.5 V, I: 0 mA\nt: 60 s, U: 1.4 V, I: 20 mA\nt: 120 s, U: 1.25 V, I: 20 mA\n"},
        Layout{"lines of objects", "{\"t_s\": 0, \"volts\": 1.5, \"amps\": 0}\n"
                                   "{\"t_s\": 60, \"volts\": 1.4, \"amps\": 0.02}\n"
                                   "{\"t_s\": 120, \"volts\": \"1.25\", \"amps\": 0.02}\n"},
        Layout{"a monitor's times before names with values",
               "12:00:00.000 -> U=1.5 V I=0 mA\n12:01:00.000 -> U=1.4 V I=20 mA\n12:02:00.000 -> U=1.25 V "
               "I=20 mA\n"},
        Layout{"names that are units as well", "s=0 V=1.5 A=0\ns=60 V=1.4 A=0.02\ns=120 V=1.25 A=0.02\n"},
        Layout{"seconds with fractions under minutes",
               "elapsed,voltage (V),current (A)\n0:00.0,1.5,0\n1:00.0,1.4,0.02\n2:00.0,1.25,0.02\n"},
        Layout{"words of another country", "Sekunden;Volt;Ampere\n0;1,5;0\n60;1,4;0,02\n120;1,25;0,02\n"},
        Layout{"stamps without marks", "time,voltage (V),current (A)\n20260301T120000,1.5,0\n"
                                       "20260301T120100,1.4,0.02\n20260301T120200,1.25,0.02\n"},
        Layout{"a row of unit words", "t;U;I\nsec;volt;amp\n0;1.5;0\n60;1.4;0.02\n120;1.25;0.02\n"},
        Layout{"a row of units in brackets", "t;U;I\n[min];[mV];[mA]\n0;1500;0\n1;1400;20\n2;1250;20\n"},
        Layout{"tabs", "elapsed_s\tvolts\tamps\n0\t1.5\t0\n60\t1.4\t0.02\n120\t1.25\t0.02\n"},
        Layout{"windows line ends", "time,voltage,current\r\n0,1.5,0\r\n60,1.4,0.02\r\n120,1.25,0.02\r\n"},
        Layout{"no line end at the end", "time,voltage,current\n0,1.5,0\n60,1.4,0.02\n120,1.25,0.02"},
        Layout{"byte order mark", "\xEF\xBB\xBFtime,voltage,current\n0,1.5,0\n60,1.4,0.02\n120,1.25,0.02\n"},
        Layout{"battery data format",
               "Test Time / s,Voltage / V,Current / A\n0,1.5,0\n60,1.4,-0.02\n120,1.25,-0.02\n"},
        Layout{"positive on charge", "time,voltage,current\n0,1.5,0\n60,1.4,-0.02\n120,1.25,-0.02\n"},
        Layout{"calendar time", "date,V,A\n2026-03-01 12:00:00,1.5,0\n2026-03-01 "
                                "12:01:00,1.4,0.02\n2026-03-01 12:02:00,1.25,0.02\n"},
        Layout{"day first", "date;V;A\n01.03.2026 12:00:00;1,5;0\n01.03.2026 12:01:00;1,4;0,02\n01.03.2026 "
                            "12:02:00;1,25;0,02\n"},
        Layout{"other columns between", "no,time (s),note,voltage (V),temp,current "
                                        "(A)\n1,0,a,1.5,20,0\n2,60,b,1.4,20,0.02\n3,120,c,1.25,20,0.02\n"},
        Layout{"quoted", "\"time\",\"voltage\",\"current\"\n\"0\",\"1.5\",\"0\"\n\"60\",\"1.4\",\"0."
                         "02\"\n\"120\",\"1.25\",\"0.02\"\n"},
        Layout{"typographic minus",
               "Test Time / s,Voltage / V,Current / A\n0,1.5,0\n60,1.4,\u22120.02\n120,1.25,\u22120.02\n"}),
    test::named(&Layout::name));

TEST(RunCsv, ReadsVoltageAloneAsARest) {
    const CsvRun run = readAll("time,voltage\n0,1.05\n10,1.04\n20,1.04\n");
    EXPECT_EQ(run.samples.amps, (std::vector<double>{0, 0, 0}));
}

TEST(RunCsv, SkipsUnreadableRowsAndCountsThem) {
    const CsvRun run = readAll("time,voltage,current\n0,1.5,0\n60,--,0.02\n120,1.25,0.02\n180,1.2,0.02\n");
    EXPECT_EQ(run.samples.size(), 3U);
    EXPECT_EQ(run.rowsSkipped, 1U);
    EXPECT_EQ(run.firstSkippedLine, 3U);
}

/// What the settings say is taken, and nothing is asked about it.
CsvRun readWith(const std::string& text, const CsvSettings& settings) {
    const auto preview = previewCsv(text, settings);
    if (!preview || !preview->questions().empty()) {
        ADD_FAILURE() << "not settled: " << text.substr(0, 60);
        return {};
    }
    auto run = readCsv(text, preview->mapping);
    if (!run) {
        ADD_FAILURE() << "not read: " << text.substr(0, 60);
        return {};
    }
    return std::move(*run);
}

TEST(RunCsv, TakesWhatItIsTold) {
    CsvSettings settings;
    settings.timeUnit = "min";
    settings.voltage = "2";
    settings.voltageUnit = "mV";
    settings.current = "b";
    settings.currentUnit = "mA";
    settings.currentPositiveOnCharge = true;
    const CsvRun run = readWith("t,a,b\n0,1500,-20\n1,1400,-20\n2,1300,-20\n", settings);
    ASSERT_EQ(run.samples.size(), 3U);
    EXPECT_DOUBLE_EQ(run.samples.seconds[2], 120.0);
    EXPECT_DOUBLE_EQ(run.samples.volts[0], 1.5);
    EXPECT_DOUBLE_EQ(run.samples.amps[0], 0.02);
}

TEST(RunCsv, ReadsRowsWithoutTimeAtAnInterval) {
    CsvSettings settings;
    settings.intervalSeconds = 10.0;
    const CsvRun run = readWith("voltage (V),current (A)\n1.5,0\nOL,0\n1.4,0.02\n1.39,0.02\n", settings);
    EXPECT_EQ(run.samples.seconds, (std::vector<double>{0, 20, 30})) << "a gap still takes its time";
    EXPECT_EQ(run.skipped.front().why, SkippedRow::Why::Overload);
}

TEST(RunCsv, ReadsACurrentAsTheVoltageOverAResistor) {
    CsvSettings settings;
    settings.current = "shunt";
    settings.currentUnit = "mV/0.1ohm";
    const CsvRun run = readWith("time (s),cell (V),shunt\n0,1.5,0\n10,1.4,2\n20,1.4,2\n", settings);
    ASSERT_EQ(run.samples.size(), 3U);
    EXPECT_NEAR(run.samples.amps[1], 0.02, 1e-12);
}

TEST(RunCsv, TheRepeatedHourOfAutumnIsAskedAbout) {
    const std::string text = "time,voltage (V)\n2026-10-25 02:40:00,1.50\n2026-10-25 02:50:00,1.49\n"
                             "2026-10-25 02:00:00,1.48\n2026-10-25 02:10:00,1.47\n2026-10-25 03:10:00,1.46\n";
    const auto preview = previewCsv(text);
    ASSERT_TRUE(preview);
    const auto unsaid = readCsv(text, preview->mapping);
    ASSERT_FALSE(unsaid);
    EXPECT_EQ(unsaid.error().code, CsvError::Code::RepeatedHour);
    CsvSettings settings;
    settings.zone = "Europe/Berlin";
    const CsvRun run = readWith(text, settings);
    EXPECT_EQ(run.samples.seconds, (std::vector<double>{0, 600, 1200, 1800, 5400}));
    settings.zone = "Mars/Olympus";
    EXPECT_EQ(previewCsv(text, settings).error().code, CsvError::Code::UnknownZone);
}

TEST(RunCsv, ACurrentWithoutAVoltageIsNoRun) {
    const auto preview = previewCsv("time (s),current (A)\n0,0\n10,0.02\n20,0.02\n");
    ASSERT_TRUE(preview);
    EXPECT_FALSE(preview->complete);
    EXPECT_EQ(readCsv("time (s),current (A)\n0,0\n10,0.02\n", preview->mapping).error().code,
              CsvError::Code::NoVoltage);
}

TEST(RunCsv, OneShortRowDecidesNothing) {
    const auto preview =
        previewCsv("time (s),voltage (V),current (A)\n0,1.5,0\n10,1.4,0.02\n20,1.4,0.02\n30,1\n");
    ASSERT_TRUE(preview);
    EXPECT_EQ(preview->columnNames.size(), 3U);
}

TEST(RunCsv, TheSkippedAreCountedAndSaidWhy) {
    const std::string text =
        "time (s),voltage (V),current (A)\n0,1.5,0\n# stirred\ntime (s),voltage (V),current (A)\n"
        "10,1.4,0.02\n20,OL,0.02\n30,1.3\n40,1.3,x\n40,1.3,0.02\n40,1.3,0.02\n";
    const auto run = readCsv(text, previewCsv(text)->mapping);
    ASSERT_TRUE(run);
    EXPECT_EQ(run->samples.size(), 3U);
    EXPECT_EQ(run->rowsSkipped, 3U);
    EXPECT_EQ(run->firstSkippedLine, 6U);
    using Why = SkippedRow::Why;
    const std::vector<Why> whys = {Why::Remark, Why::HeaderAgain, Why::Overload,
                                   Why::Short,  Why::NoCurrent,   Why::SameTime};
    ASSERT_EQ(run->skipped.size(), whys.size());
    for (std::size_t i = 0; i < whys.size(); ++i) {
        EXPECT_EQ(run->skipped[i].why, whys[i]) << i;
    }
}

TEST(RunCsv, ACellLeftEmptyAtTheEndOfARowIsSaid) {
    const CsvRun run =
        readAll("time (s),voltage (V),current (A)\n0,1.5,\n60,1.4,\n120,1.25,0.02\n180,1.2,0.02\n"
                "240,1.1,0.02\n");
    EXPECT_EQ(run.samples.size(), 3U);
    ASSERT_EQ(run.skipped.size(), 2U);
    EXPECT_EQ(run.skipped[0].why, SkippedRow::Why::NoCurrent);
}

TEST(RunCsv, NothingIsNothingInAnyUnit) {
    const auto preview = previewCsv("time (s),voltage (V),current\n0,1.5,0\n60,1.4,0\n120,1.3,0\n");
    ASSERT_TRUE(preview);
    EXPECT_TRUE(preview->questions().empty());
}

TEST(RunCsv, WholeVoltsWithoutAUnitMayBeTheCountsOfAConverter) {
    const auto preview = previewCsv("time (s),voltage\n0,1020\n60,1010\n120,1005\n");
    ASSERT_TRUE(preview);
    std::vector<std::string> values;
    for (const CsvAspect& question : preview->questions()) {
        for (const CsvAspect::Choice& choice : question.choices) {
            values.push_back(choice.value);
        }
    }
    EXPECT_NE(std::find(values.begin(), values.end(), "counts"), values.end());
    EXPECT_NE(std::find(values.begin(), values.end(), "mV"), values.end());
}

TEST(RunCsv, AUnitAloneTellsADecimalCommaFromAThousandsMark) {
    const auto preview = previewCsv("t (s);jar (V)\n0;1,125\n60;1,115\n120;1,105\n");
    ASSERT_TRUE(preview);
    EXPECT_TRUE(preview->questions().empty());
    EXPECT_TRUE(preview->mapping.decimalComma);
}

TEST(RunCsv, ABareNumberAmongCellsWithUnitsIsNotGuessed) {
    const CsvRun run =
        readAll("time (s),voltage\n0,1500 mV\n60,1400 mV\n120,1.3\n180,1250 mV\n240,1200 mV\n");
    EXPECT_EQ(run.samples.size(), 4U);
    ASSERT_EQ(run.skipped.size(), 1U);
    EXPECT_EQ(run.skipped[0].why, SkippedRow::Why::NoVoltage);
}

TEST(RunCsv, ARowOfUnitsLeavesTheNamesAboveIt) {
    for (const char* units : {"sec;volt;amp", "[sec];[volt];[amp]", "(sec);(volt);(amp)"}) {
        const auto preview =
            previewCsv("clock;jar;load\n" + std::string(units) + "\n0;1.5;0\n60;1.4;0.02\n120;1.3;0.02\n");
        ASSERT_TRUE(preview) << units;
        EXPECT_TRUE(preview->columnNames.at(1).starts_with("jar"))
            << units << ": " << preview->columnNames.at(1);
    }
}

TEST(RunCsv, HeadersThatBeginWithANumberAreHeaders) {
    const auto preview = previewCsv("time (s),5 V rail,cell (V),current (A)\n0,5.01,1.5,0\n60,5.01,1.4,0.02\n"
                                    "120,5.01,1.25,0.02\n");
    ASSERT_TRUE(preview);
    EXPECT_EQ(preview->columnNames.at(1), "5 V rail");
}

TEST(RunCsv, ReadsAPackedFile) {
    // "time (s),voltage (V)\n0,1.5\n10,1.4\n20,1.3\n", packed by gzip -n.
    const std::string packed = test::readText(test::sourceDir() / "tests/data/runs/packed.csv.gz");
    const auto preview = previewCsv(packed);
    ASSERT_TRUE(preview);
    EXPECT_EQ(preview->encoding, "gzip, UTF-8");
    EXPECT_EQ(readCsv(packed, preview->mapping)->samples.volts, (std::vector<double>{1.5, 1.4, 1.3}));
    EXPECT_EQ(previewCsv(packed.substr(0, packed.size() / 2)).error().code, CsvError::Code::Binary);
}

TEST(RunCsv, WhatTheCellCanGiveTellsTheUnit) {
    const std::string text = "time (s),voltage (V),current\n0,1.5,0\n10,1.4,5\n20,1.4,5\n30,1.5,0\n";
    EXPECT_FALSE(previewCsv(text)->questions().empty()) << "5 A or 5 mA";
    CsvSettings settings;
    settings.openCircuitVolts = 1.5;
    settings.shortCircuitAmps = 0.03;
    const auto preview = previewCsv(text, settings);
    EXPECT_DOUBLE_EQ(preview->mapping.columns[2].toSi, 1e-3);
}

TEST(RunCsv, TheSameHeaderHasTheSameSignature) {
    const auto one = previewCsv("a\nb\ntime;volt\n0;1,5\n1;1,4\n");
    const auto two = previewCsv("a\nb\ntime;volt\n0;0,7\n5;0,6\n9;0,5\n");
    const auto other = previewCsv("a\nb\ntime;amp\n0;0,7\n5;0,6\n");
    ASSERT_TRUE(one && two && other);
    EXPECT_EQ(one->signature, two->signature);
    EXPECT_NE(one->signature, other->signature);
}

TEST(RunCsv, MappingsSurviveAsText) {
    const auto preview = previewCsv("t [min];U [mV];I [mA]\n0;1500;0\n1;1400;20\n");
    ASSERT_TRUE(preview);
    const auto again = mappingFromText(mappingToText(preview->mapping));
    ASSERT_TRUE(again);
    EXPECT_EQ(*again, preview->mapping);
    EXPECT_FALSE(mappingFromText("not json"));
    EXPECT_FALSE(mappingFromText("{}"));
}

TEST(RunCsv, WritesWhatItReads) {
    const record::RunSamples samples = test::straightDischarge(0.02, 600.0, 11);
    const CsvRun run = readAll(writeRunCsv(samples));
    EXPECT_EQ(run.samples, samples);
}

TEST(RunCsv, SaysWhatIsWrong) {
    using Code = CsvError::Code;
    const auto codeOf = [](const std::string& text) {
        const auto preview = previewCsv(text);
        if (!preview) {
            return preview.error().code;
        }
        const auto run = readCsv(text, preview->mapping);
        return run ? Code::Cancelled : run.error().code;
    };
    EXPECT_EQ(codeOf(""), Code::Empty);
    EXPECT_EQ(codeOf("\n\n  \n"), Code::Empty);
    EXPECT_EQ(codeOf(std::string("ab\0cd", 5)), Code::Binary);
    EXPECT_EQ(codeOf("just some words\nand more words\n"), Code::NoColumns);
    EXPECT_EQ(codeOf("time,voltage\n0,1.5\n"), Code::TooFewRows);
    EXPECT_EQ(codeOf("time,voltage\n0,1.5\n5,1.4\n3,1.3\n"), Code::TimeGoesBack);
    EXPECT_EQ(codeOf("volt,amp\n1.5,0\n1.4,0.1\n"), Code::NoTime);
    EXPECT_EQ(codeOf("time,amp\n0,0\n1,0.1\n"), Code::NoVoltage);
}

TEST(RunCsv, TellsTheLineWhereTimeGoesBack) {
    const std::string text = "time,voltage\n0,1.5\n5,1.4\n3,1.3\n";
    const auto run = readCsv(text, previewCsv(text)->mapping);
    ASSERT_FALSE(run);
    EXPECT_EQ(run.error().line, 4U);
}

TEST(RunCsv, CanBeStopped) {
    std::string text = "time,voltage\n";
    for (int i = 0; i < 20000; ++i) {
        text += fmt::format("{},1.0\n", i);
    }
    std::stop_source source;
    source.request_stop();
    const auto run = readCsv(text, previewCsv(text)->mapping, {}, source.get_token());
    ASSERT_FALSE(run);
    EXPECT_EQ(run.error().code, CsvError::Code::Cancelled);
}

TEST(RunCsv, AHundredThousandRowsGiveTheClosedFormIntegral) {
    // I(t) = 0.05 exp(-t/20000): the charge is 0.05·20000·(1 - exp(-T/20000)).
    std::string text = "shed logger\nchannel 2\nZeit [s];Spannung [V];Strom [mA]\n";
    for (int i = 0; i < 100000; ++i) {
        std::string row = fmt::format("{};{:.6f};{:.9f}\n", i, 1.2 - 1e-6 * i, 50.0 * std::exp(-i / 20000.0));
        std::replace(row.begin(), row.end(), '.', ',');
        text += row;
    }
    const CsvRun run = readAll(text);
    ASSERT_EQ(run.samples.size(), 100000U);
    const auto analysis = run::analyseRun(run.samples);
    ASSERT_TRUE(analysis);
    const double exact = 0.05 * 20000.0 * (1.0 - std::exp(-99999.0 / 20000.0));
    EXPECT_NEAR(analysis->dischargeCoulombs / exact, 1.0, 1e-4);
}

TEST(RunCsv, NoBytesMakeItCrash) {
    // Seeded bytes of every kind; only an answer or an error may come back.
    std::uint64_t state = 42;
    for (int round = 0; round < 400; ++round) {
        std::string text;
        const char* alphabet = "0123456789.,;\t\n\r\"-+eE:/ Vtms\x80\xff";
        for (int i = 0; i < 200; ++i) {
            state = state * 6364136223846793005ULL + 1442695040888963407ULL;
            text += alphabet[(state >> 33U) % 29U];
        }
        if (const auto preview = previewCsv(text)) {
            (void)readCsv(text, preview->mapping);
        }
    }
}

} // namespace
} // namespace anodex::formats
