// Which way a logger counts its current, by what the voltage does.
#include "formats/run/RunCsv.h"

#include <fmt/format.h>
#include <gtest/gtest.h>

namespace anodex::formats {
namespace {

/// Odds of 1 that the current of a file is counted positive while it charges; nothing where nothing tells.
std::optional<double> onCharge(const std::string& text) {
    const auto preview = previewCsv(text);
    if (!preview) {
        ADD_FAILURE() << "no preview of: " << text;
        return std::nullopt;
    }
    for (const CsvAspect& aspect : preview->aspects) {
        for (const CsvAspect::Choice& choice : aspect.choices) {
            if (aspect.kind == CsvAspect::Kind::Sign && choice.value == "charge") {
                return choice.odds;
            }
        }
        if (aspect.kind == CsvAspect::Kind::Sign) {
            return 0.0; // so little that it is not offered
        }
    }
    return std::nullopt;
}

struct Row {
    double volts;
    double amps;
};

std::string file(const std::vector<Row>& rows, const std::string& current = "current (A)") {
    std::string text = "time (s),voltage (V)," + current + "\n";
    for (std::size_t i = 0; i < rows.size(); ++i) {
        text += fmt::format("{},{},{}\n", 60 * i, rows[i].volts, rows[i].amps);
    }
    return text;
}

TEST(RunSign, AVoltageThatFallsWithACurrentIsADischarge) {
    EXPECT_NEAR(*onCharge(file({{1.5, 0.0}, {1.3, 0.1}, {1.29, 0.1}})), 0.0005, 1e-6);
    EXPECT_NEAR(*onCharge(file({{1.5, 0.0}, {1.3, -0.1}, {1.29, -0.1}})), 0.9995, 1e-6);
    EXPECT_NEAR(*onCharge(file({{1.3, 0.1}, {1.5, 0.0}, {1.5, 0.0}})), 0.0005, 1e-6);
}

TEST(RunSign, StepsThatDisagreeAreWeighedByWhatTheyMove) {
    EXPECT_NEAR(*onCharge(file({{1.5, 0.0}, {1.2, 0.1}, {1.4, 0.0}, {1.5, 0.1}})), 1.0 / 6.0, 1e-3);
}

TEST(RunSign, ASmallStepOfTheCurrentTellsNothing) {
    // A tenth of the largest: the voltage's course decides instead.
    EXPECT_NEAR(*onCharge(file({{1.50, 0.100}, {1.45, 0.098}, {1.40, 0.100}, {1.35, 0.099}})), 0.005, 1e-6);
}

TEST(RunSign, WithoutStepsTheCourseOfTheVoltageTells) {
    EXPECT_NEAR(*onCharge(file({{1.50, 0.1}, {1.45, 0.1}, {1.40, 0.1}})), 0.005, 1e-6);
    EXPECT_NEAR(*onCharge(file({{1.50, -0.1}, {1.45, -0.1}, {1.40, -0.1}})), 0.995, 1e-6);
    EXPECT_NEAR(*onCharge(file({{1.40, 0.1}, {1.45, 0.1}, {1.50, 0.1}})), 0.995, 1e-6);
    EXPECT_NEAR(*onCharge(file({{1.40, -0.1}, {1.45, -0.1}, {1.50, -0.1}})), 0.005, 1e-6);
}

TEST(RunSign, ACourseThatIsLostInTheNoiseTellsNothing) {
    EXPECT_NEAR(*onCharge(file({{1.500, 0.1}, {1.504, 0.1}, {1.498, 0.1}, {1.503, 0.1}, {1.497, 0.1}})), 0.5,
                1e-6);
    EXPECT_NEAR(*onCharge(file({{1.5000, 0.1}, {1.4998, 0.1}, {1.4997, 0.1}})), 0.5, 1e-6);
    // A few millivolts tell where nothing scatters.
    std::vector<Row> calm;
    for (int i = 0; i < 40; ++i) {
        calm.push_back({1.5 - 1e-4 * i, 0.1});
    }
    EXPECT_NEAR(*onCharge(file(calm)), 0.005, 1e-6);
}

TEST(RunSign, TheNameCountsUntilTheVoltageContradictsIt) {
    const std::vector<Row> falls{{1.5, 0.0}, {1.3, 0.1}, {1.29, 0.1}};
    const std::vector<Row> rises{{1.3, 0.0}, {1.5, 0.1}, {1.51, 0.1}};
    EXPECT_NEAR(*onCharge(file(falls, "discharge current (A)")), 0.002, 1e-6);
    EXPECT_NEAR(*onCharge(file(rises, "discharge current (A)")), 0.5, 1e-6);
    EXPECT_NEAR(*onCharge(file(rises, "charging current (A)")), 0.998, 1e-6);
    EXPECT_NEAR(*onCharge(file(falls, "charging current (A)")), 0.5, 1e-6);
}

TEST(RunSign, AFileFromItsEndIsReadFromItsBeginning) {
    std::string text = "time (s),voltage (V),current (A)\n";
    for (int i = 5; i >= 0; --i) {
        text += fmt::format("{},{},0.1\n", 60 * i, 1.5 - 0.05 * i);
    }
    EXPECT_NEAR(*onCharge(text), 0.005, 1e-6);
}

TEST(RunSign, NoCurrentTellsNothing) {
    EXPECT_FALSE(onCharge(file({{1.5, 0.0}, {1.4, 0.0}})));
}

} // namespace
} // namespace anodex::formats
