// How sure each guess about a file is: what it may be, and by how much the likeliest leads.
#include "formats/run/RunCsv.h"

#include <fmt/format.h>
#include <gtest/gtest.h>

namespace anodex::formats {
namespace {

using Kind = CsvAspect::Kind;

/// "V 71, counts 29 ?": the choices in percent, a question mark where it is asked; "-" where nothing is open.
std::string guessed(const std::string& text, Kind kind, const CsvSettings& settings = {}) {
    const auto preview = previewCsv(text, settings);
    if (!preview) {
        return "not read";
    }
    for (const CsvAspect& aspect : preview->aspects) {
        if (aspect.kind == kind) {
            std::string line;
            for (const CsvAspect::Choice& choice : aspect.choices) {
                line +=
                    fmt::format("{}{} {:.3g}", line.empty() ? "" : ", ", choice.value, choice.odds * 100.0);
            }
            return line + (aspect.asked ? " ?" : "");
        }
    }
    return "-";
}

CsvSettings ofCell(double volts, double amps) {
    CsvSettings settings;
    settings.openCircuitVolts = volts;
    settings.shortCircuitAmps = amps;
    return settings;
}

std::string volts(const std::string& name, const std::string& first, const std::string& second) {
    return "time (s)," + name + "\n0," + first + "\n60," + second + "\n";
}
std::string amps(const std::string& name, const std::string& first, const std::string& second) {
    return "time (s),voltage (V)," + name + "\n0,1.5," + first + "\n60,1.4," + second + "\n";
}

TEST(RunGuess, AVoltageWithoutAUnitIsWhatACellCanGive) {
    const auto unit = [](const char* first, const char* second) {
        return guessed(volts("voltage", first, second), Kind::VoltageUnit);
    };
    EXPECT_EQ(unit("1.52", "1.41"), "V 100");
    EXPECT_EQ(unit("1520", "1410"), "mV 71.4, counts 28.6 ?");
    EXPECT_EQ(unit("5.52", "5.41"), "V 100");
    EXPECT_EQ(unit("0.15", "0.14"), "V 100");
    EXPECT_EQ(unit("61.5", "60.5"), "mV 98.8, V 1.23 ?");
    EXPECT_EQ(unit("152.5", "141.2"), "mV 98.8, V 1.23 ?");
    EXPECT_EQ(unit("3", "2"), "V 71.4, counts 28.6 ?");
    EXPECT_EQ(unit("61", "60"), "counts 66.6, mV 33.3, V 0.166 ?");
    EXPECT_EQ(unit("0", "0"), "V 100");
    EXPECT_EQ(unit("-820.5", "-790.5"), "mV 100");
}

TEST(RunGuess, AStatedUnitIsBelievedUnlessItCannotBe) {
    const auto unit = [](const char* name, const char* first) {
        return guessed(volts(name, first, first), Kind::VoltageUnit);
    };
    EXPECT_EQ(unit("voltage (V)", "1.52"), "V 100");
    EXPECT_EQ(unit("voltage (mV)", "1520"), "mV 100");
    EXPECT_EQ(unit("voltage (mV)", "1.52"), "mV 94.1, V 5.95 ?");
    EXPECT_EQ(unit("voltage (V)", "1520"), "V 83.3, mV 16.7 ?");
    EXPECT_EQ(unit("voltage (V)", "70.5"), "V 99.9, mV 0.126");
    EXPECT_EQ(guessed(amps("current (A)", "250", "240"), Kind::CurrentUnit), "A 88.8, mA 5.61, µA 5.61 ?");
    EXPECT_EQ(guessed(amps("current (mA)", "0.00001", "0.00002"), Kind::CurrentUnit), "mA 99.4, A 0.628");
}

TEST(RunGuess, ACurrentWithoutAUnitIsAskedAbout) {
    const auto unit = [](const char* first, const char* second) {
        return guessed(amps("current", first, second), Kind::CurrentUnit);
    };
    EXPECT_EQ(unit("20", "19"), "A 33.3, mA 33.3, µA 33.3 ?");
    EXPECT_EQ(unit("25", "19"), "mA 49.5, µA 49.5, A 0.99 ?");
    EXPECT_EQ(unit("250", "240"), "mA 50, µA 50 ?");
    EXPECT_EQ(unit("0", "0"), "A 100");
    EXPECT_EQ(unit("0.00005", "0.00004"), "A 99.8, mA 0.0998, µA 0.0998");
}

TEST(RunGuess, TheCellTellsWhatItsUnitsCanBe) {
    const CsvSettings cell = ofCell(1.1, 0.05);
    EXPECT_EQ(guessed(amps("current", "20", "19"), Kind::CurrentUnit, cell), "mA 50, µA 50 ?");
    EXPECT_EQ(guessed(amps("current", "0.5", "0.4"), Kind::CurrentUnit, cell), "mA 96.2, A 1.92, µA 1.92 ?");
    EXPECT_EQ(guessed(amps("current", "0.02", "0.01"), Kind::CurrentUnit, cell), "A 50, mA 50, µA 0.05 ?");
    EXPECT_EQ(guessed(volts("voltage", "5.5", "5.4"), Kind::VoltageUnit, cell),
              "V 99.8, mV 0.0799, µV 0.0799");
    EXPECT_EQ(guessed(volts("voltage", "0.15", "0.14"), Kind::VoltageUnit, cell),
              "V 99.8, mV 0.0799, µV 0.0799");
    EXPECT_EQ(guessed(volts("voltage", "12", "13"), Kind::VoltageUnit, cell),
              "counts 99.9, V 0.025, mV 0.025, µV 0.025 ?");
    EXPECT_EQ(guessed(volts("voltage", "900", "880"), Kind::VoltageUnit, cell), "mV 71.4, counts 28.6 ?");
}

TEST(RunGuess, TimeWithoutAUnitIsAskedAbout) {
    EXPECT_EQ(guessed("time,voltage (V)\n0,1.5\n60,1.4\n120,1.3\n", Kind::TimeUnit),
              "s 60, ms 20, min 12, h 8 ?");
    EXPECT_EQ(guessed("time,voltage (V)\n0:00,1.5\n1:00,1.4\n2:00,1.3\n", Kind::TimeUnit),
              "h:mm 50, mm:ss 50 ?");
    EXPECT_EQ(guessed("time,voltage (V)\n0:00:00,1.5\n0:01:00,1.4\n", Kind::TimeUnit), "-");
    EXPECT_EQ(guessed("time,voltage (V)\n1767225600,1.5\n1767225660,1.4\n", Kind::TimeUnit), "-");
}

TEST(RunGuess, TheColumnOfTimeIsTheOneThatSaysSo) {
    EXPECT_EQ(guessed("n,elapsed (s),voltage (V)\n1,0,1.5\n2,60,1.4\n3,120,1.3\n", Kind::TimeColumn),
              "elapsed (s) 100, n 0.02");
    EXPECT_EQ(guessed("n,x,voltage (V)\n1,0,1.5\n2,60,1.4\n3,120,1.3\n", Kind::TimeColumn),
              "x 66.7, n 33.3 ?");
    EXPECT_EQ(guessed("x,n,voltage (V)\n0,1,1.5\n60,2,1.4\n120,3,1.3\n", Kind::TimeColumn),
              "x 95.2, n 4.76 ?");
    EXPECT_EQ(
        guessed("stamp,elapsed (s),voltage (V)\n2026-05-01 10:00:00,0,1.5\n2026-05-01 10:01:00,60,1.4\n",
                Kind::TimeColumn),
        "elapsed (s) 100");
    EXPECT_EQ(guessed("date,clock,voltage (V)\n2026-05-01,10:00:00,1.5\n2026-05-01,10:01:00,1.4\n",
                      Kind::TimeColumn),
              "clock 100");
    EXPECT_EQ(guessed("day,voltage (V)\n46023.50,1.5\n46023.51,1.4\n46023.52,1.3\n", Kind::TimeColumn),
              "day 100");
}

TEST(RunGuess, TheOrderOfADateIsAskedAboutWhereBothCanBe) {
    const auto order = [](const char* first, const char* second) {
        return guessed(fmt::format("time,voltage (V)\n{} 10:00,1.5\n{} 10:00,1.4\n", first, second),
                       Kind::DateOrder);
    };
    EXPECT_EQ(order("03/04/2026", "04/04/2026"), "day-first 98, month-first 1.96 ?");
    EXPECT_EQ(order("03/04/2026", "03/04/2026"), "day-first 50, month-first 50 ?");
    EXPECT_EQ(order("03/04/2026", "02/05/2026"), "day-first 50, month-first 50 ?");
    EXPECT_EQ(order("13/04/2026", "14/04/2026"), "-");
    EXPECT_EQ(order("2026-04-03", "2026-04-04"), "-");
}

TEST(RunGuess, TheColumnOfVoltageIsTheOneThatSaysSo) {
    const auto column = [](const char* names) {
        return guessed(std::string("time (s),") + names + "\n0,1.5,2.5\n60,1.4,2.4\n", Kind::VoltageColumn);
    };
    EXPECT_EQ(column("voltage,voltage limit"), "voltage 99.8, voltage limit 0.2");
    EXPECT_EQ(column("left (V),right (V)"), "left (V) 50, right (V) 50 ?");
    EXPECT_EQ(column("a,b"), "b 100");
    EXPECT_EQ(column("voltage,current"), "voltage 100");
    EXPECT_EQ(
        guessed("time (s),voltage (V),current,current limit\n0,1.5,1,2\n60,1.4,1,2\n", Kind::CurrentColumn),
        "current 99.8, current limit 0.2");
}

TEST(RunGuess, ACommaIsADecimalMarkOrAThousandsMark) {
    EXPECT_EQ(guessed("time (s);voltage\n0;1,500\n60;1,400\n", Kind::Decimal), "comma 100");
    EXPECT_EQ(guessed("time (s);voltage (mV)\n0;1,500\n60;1,400\n", Kind::Decimal), "point 100");
    EXPECT_EQ(guessed("time (s);voltage\n0;1,5\n60;1,4\n", Kind::Decimal), "-");
    EXPECT_EQ(guessed("time (s);voltage;x\n0;1,5;1.5\n60;1,4;1.5\n120;1,3;1,5\n", Kind::Decimal),
              "comma 100");
}

} // namespace
} // namespace anodex::formats
