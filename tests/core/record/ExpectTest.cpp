// What a build keeps of the model's answer, and what can be read off it later.
#include "core/record/Expect.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>
#include <utility>

namespace anodex::record {
namespace {

struct Kept {
    explicit Kept(const std::string& json)
        : cell(test::cellOf(json)), evaluation(cell::evaluate(test::catalogue(), cell)),
          doubt(*cell::estimateDoubt(test::catalogue(), cell, evaluation, {60, 1, 2})),
          expectation(expectationOf("7", evaluation, doubt)) {}
    design::Cell cell;
    cell::Evaluation evaluation;
    cell::Doubt doubt;
    Expectation expectation;
};

TEST(Expect, KeepsValuesWithTheirRanges) {
    const Kept kept(test::beakers());
    EXPECT_EQ(kept.expectation.catalogueVersion, "7");
    EXPECT_EQ(kept.expectation.modelVersion, kModelVersion);
    EXPECT_EQ(kept.expectation.openCircuitVolts.value, kept.evaluation.openCircuitVolts);
    EXPECT_EQ(kept.expectation.shortCircuitAmps.range, kept.doubt.shortCircuitAmps);
    EXPECT_EQ(kept.expectation.maximumWatts.value, kept.evaluation.first.maximumPower.watts);
    EXPECT_EQ(kept.expectation.capacityCoulombs.range, kept.doubt.expectedCoulombs);
    EXPECT_EQ(kept.expectation.resistanceOhm.value, kept.evaluation.resistance.totalOhm);
    EXPECT_EQ(kept.expectation.resistanceOhm.range, kept.doubt.resistanceOhm);
}

TEST(Expect, KeepsACurveFromRestToShortCircuit) {
    const Kept kept(test::foilInSalt());
    const auto& curve = kept.expectation.curve;
    ASSERT_GE(curve.size(), 20U);
    ASSERT_LE(curve.size(), 60U);
    EXPECT_EQ(curve.front(), kept.evaluation.curve.front());
    EXPECT_EQ(curve.back(), kept.evaluation.curve.back());
}

TEST(Expect, TellsTheVoltageUnderAnyLoad) {
    for (const std::string& json : {test::beakers(), test::lemon(), test::leadAcid(30)}) {
        const Kept kept(json);
        const cell::CompiledCell compiled = cell::compile(test::catalogue(), kept.cell);
        const cell::Polarisation curve(compiled, *kept.evaluation.contents, electrode::Moment::First);
        for (const double share : {0.1, 0.5, 0.93}) {
            const double amps = share * kept.evaluation.first.shortCircuitAmps;
            const auto loaded = expectedLoadedVolts(kept.expectation, amps);
            ASSERT_TRUE(loaded);
            EXPECT_NEAR(loaded->value, curve.voltsAt(amps), 0.01 * kept.evaluation.openCircuitVolts);
            EXPECT_TRUE(loaded->range.contains(loaded->value));
            EXPECT_GT(loaded->range.width(), 0.0);
        }
    }
}

TEST(Expect, InternalResistanceIsTheFallOverTheCurrent) {
    const Kept kept(test::beakers());
    const double amps = 0.4 * kept.evaluation.first.shortCircuitAmps;
    const auto ohm = expectedInternalOhm(kept.expectation, amps);
    const auto volts = expectedLoadedVolts(kept.expectation, amps);
    ASSERT_TRUE(ohm && volts);
    EXPECT_NEAR(ohm->value, (kept.evaluation.openCircuitVolts - volts->value) / amps, 1e-9);
    EXPECT_GE(ohm->value, kept.evaluation.resistance.totalOhm) << "the electrodes come on top";
    EXPECT_TRUE(ohm->range.contains(ohm->value));
}

TEST(Expect, KnowsNothingBeyondItsCurve) {
    const Kept kept(test::lemon());
    const double most = kept.evaluation.first.shortCircuitAmps;
    EXPECT_FALSE(expectedLoadedVolts(kept.expectation, 2.0 * most));
    EXPECT_FALSE(expectedInternalOhm(kept.expectation, 2.0 * most));
    EXPECT_FALSE(expectedInternalOhm(kept.expectation, 0.0));
    Expectation old = kept.expectation;
    old.curve.clear();
    EXPECT_FALSE(expectedLoadedVolts(old, 0.5 * most));
    EXPECT_FALSE(expectedInternalOhm(old, 0.5 * most));
}

TEST(Expect, HoldsForLeadsThatAreSwapped) {
    Expectation reversed;
    reversed.openCircuitVolts = {-1.0, {-1.05, -0.95}};
    reversed.shortCircuitAmps = {-0.1, {-0.12, -0.08}};
    reversed.curve = {{-0.1, 0.0}, {0.0, -1.0}};
    const auto ohm = expectedInternalOhm(reversed, -0.05);
    ASSERT_TRUE(ohm);
    EXPECT_NEAR(ohm->value, 10.0, 1e-12);
    EXPECT_NEAR(ohm->range.low, 10.0 / 1.2, 1e-9);
    EXPECT_NEAR(ohm->range.high, 12.5, 1e-9);
    const auto volts = expectedLoadedVolts(reversed, -0.05);
    ASSERT_TRUE(volts);
    EXPECT_NEAR(volts->value, -0.5, 1e-12);
    EXPECT_NEAR(volts->range.low, -1.05 + 0.05 * 10.0 / 1.2, 1e-9);
    EXPECT_NEAR(volts->range.high, -0.95 + 0.05 * 12.5, 1e-9);
}

std::string withSwappedLeads(std::string json) {
    for (const auto& [from, to] : {std::pair{"\"negative\"", "\"third\""},
                                   {"\"positive\"", "\"negative\""},
                                   {"\"third\"", "\"positive\""}}) {
        const std::string name = from;
        for (std::size_t at = json.find(name); at != std::string::npos; at = json.find(name, at)) {
            json.replace(at, name.size(), to);
        }
    }
    return json;
}

TEST(Expect, OnAResistorItIsWhereBothCurvesMeet) {
    for (const std::string& json : {test::beakers(), test::lemon(), withSwappedLeads(test::lemon())}) {
        const Kept kept(json);
        const cell::CompiledCell compiled = cell::compile(test::catalogue(), kept.cell);
        const cell::Polarisation curve(compiled, *kept.evaluation.contents, electrode::Moment::First);
        for (const double ohm : {10.0, 1000.0, 1e6}) {
            const auto met = expectedOnLoad(kept.expectation, [&](double volts) { return volts / ohm; });
            ASSERT_TRUE(met) << ohm;
            EXPECT_NEAR(met->volts.value, curve.voltsThrough(ohm),
                        0.01 * std::abs(kept.evaluation.openCircuitVolts))
                << ohm;
            EXPECT_NEAR(met->amps, met->volts.value / ohm,
                        0.02 * std::abs(kept.evaluation.first.shortCircuitAmps))
                << ohm;
        }
    }
}

TEST(Expect, ADeviceThatTakesNothingYetLeavesTheCellAtRest) {
    const Kept kept(test::beakers());
    const auto met = expectedOnLoad(kept.expectation, [](double) { return 0.0; });
    ASSERT_TRUE(met);
    EXPECT_EQ(met->amps, 0.0);
    EXPECT_EQ(met->volts, kept.expectation.openCircuitVolts);
}

TEST(Expect, AReadingIsJudgedOnWhatItNames) {
    const Kept kept(test::beakers());
    Reading reading;
    reading.quantity = ReadingQuantity::LoadedVoltage;
    EXPECT_FALSE(expectedOnLoad(kept.expectation, test::catalogue(), reading)) << "it names nothing";
    reading.device = OnDevice{"led", "LED"};
    EXPECT_FALSE(expectedOnLoad(kept.expectation, test::catalogue(), reading)) << "of no known colour";
    reading.device = OnDevice{"buzzer", "buzzer"};
    const auto buzzer = expectedOnLoad(kept.expectation, test::catalogue(), reading);
    ASSERT_TRUE(buzzer);
    EXPECT_LT(buzzer->volts.value, kept.expectation.openCircuitVolts.value);
    EXPECT_GT(buzzer->amps, 0.0);
    reading.loadOhm = 1e6;
    EXPECT_NEAR(expectedOnLoad(kept.expectation, test::catalogue(), reading)->volts.value,
                kept.expectation.openCircuitVolts.value, 0.01);
}

} // namespace
} // namespace anodex::record
