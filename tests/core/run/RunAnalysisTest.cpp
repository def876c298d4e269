#include "core/run/RunAnalysis.h"
#include "core/run/RunDigest.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>
#include <limits>
#include <span>

namespace anodex::run {
namespace {

TEST(RunAnalysis, ConstantCurrentForAnHour) {
    const auto analysis = analyseRun(test::straightDischarge(0.1, 3600.0, 61));
    ASSERT_TRUE(analysis);
    EXPECT_NEAR(analysis->dischargeCoulombs, 360.0, 1e-9);
    EXPECT_NEAR(analysis->chargeCoulombs, 0.0, 1e-12);
    // 1.5 V falling straight to 1.0 V: mean 1.25 V.
    EXPECT_NEAR(analysis->deliveredJoules, 0.1 * 1.25 * 3600.0, 1e-6);
    EXPECT_NEAR(analysis->meanVolts, 1.25, 1e-9);
    EXPECT_NEAR(analysis->durationSeconds, 3600.0, 1e-9);
    EXPECT_NEAR(analysis->maximumWatts, 0.15, 1e-12);
    EXPECT_NEAR(analysis->meanDischargeAmps, 0.1, 1e-12);
    EXPECT_FALSE(analysis->ranDown);
}

TEST(RunAnalysis, CutsTheCurrentAtItsZeroCrossing) {
    record::RunSamples run;
    run.seconds = {0.0, 10.0};
    run.volts = {1.0, 1.0};
    run.amps = {1.0, -1.0};
    const auto analysis = analyseRun(run);
    ASSERT_TRUE(analysis);
    EXPECT_NEAR(analysis->dischargeCoulombs, 2.5, 1e-12);
    EXPECT_NEAR(analysis->chargeCoulombs, 2.5, 1e-12);
    EXPECT_NEAR(analysis->deliveredJoules, 2.5, 1e-12);
}

TEST(RunAnalysis, FindsTheInternalResistanceFromLoadSteps) {
    record::RunSamples run;
    for (int i = 0; i < 40; ++i) {
        const bool loaded = (i / 10) % 2 == 1;
        run.seconds.push_back(i);
        run.amps.push_back(loaded ? 0.2 : 0.0);
        run.volts.push_back(loaded ? 1.1 - 0.2 * 2.5 : 1.1);
    }
    const auto analysis = analyseRun(run);
    ASSERT_TRUE(analysis && analysis->internalOhm);
    EXPECT_NEAR(*analysis->internalOhm, 2.5, 1e-9);
    EXPECT_NEAR(analysis->loadedVolts, 0.6, 1e-12);
}

TEST(RunAnalysis, LeavesTheResistanceOutWhenTheLoadNeverSteps) {
    EXPECT_FALSE(analyseRun(test::straightDischarge(0.1, 100.0, 11))->internalOhm);
}

TEST(RunAnalysis, NotesLoadsGapsChargesAndReversal) {
    record::RunSamples run;
    run.seconds = {0, 1, 2, 3, 4, 100, 101, 102, 103};
    run.volts = {1.0, 0.8, 0.8, 1.0, 1.0, 1.0, 1.2, -0.1, 0.2};
    run.amps = {0.0, 0.1, 0.1, 0.0, 0.0, 0.0, -0.1, 0.1, 0.1};
    const auto analysis = analyseRun(run);
    ASSERT_TRUE(analysis);
    std::vector<RunEvent::Kind> kinds;
    for (const RunEvent& event : analysis->events) {
        kinds.push_back(event.kind);
    }
    using Kind = RunEvent::Kind;
    EXPECT_EQ(kinds, (std::vector<Kind>{Kind::LoadOn, Kind::LoadOff, Kind::Gap, Kind::ChargeOn, Kind::LoadOn,
                                        Kind::Reversed}));
}

TEST(RunAnalysis, SeesWhenACellWasRunDown) {
    record::RunSamples run = test::straightDischarge(0.1, 100.0, 11);
    for (std::size_t i = 0; i < run.size(); ++i) {
        run.volts[i] = 1.0 - 0.09 * static_cast<double>(i);
    }
    EXPECT_TRUE(analyseRun(run)->ranDown);
}

TEST(RunAnalysis, NamesTheFirstReadingAtFault) {
    record::RunSamples run = test::straightDischarge(0.1, 100.0, 5);
    run.seconds[3] = run.seconds[2];
    EXPECT_EQ(analyseRun(run).error().sample, 3U);
    run = test::straightDischarge(0.1, 100.0, 5);
    run.volts[2] = std::numeric_limits<double>::quiet_NaN();
    EXPECT_EQ(analyseRun(run).error().code, RunError::Code::NotFinite);
    run = test::straightDischarge(0.1, 100.0, 5);
    run.seconds.resize(1);
    run.volts.resize(1);
    run.amps.resize(1);
    EXPECT_EQ(analyseRun(run).error().code, RunError::Code::TooFewSamples);
}

TEST(RunAnalysis, OnlyThePartAboveZeroCountsAsDelivered) {
    // From −0.1 A to +0.1 A while the voltage falls from 2 V to 1 V: half of the time each way.
    const auto run = analyseRun({{0.0, 100.0}, {2.0, 1.0}, {-0.1, 0.1}});
    ASSERT_TRUE(run);
    EXPECT_NEAR(run->dischargeCoulombs, 2.5, 1e-12);
    EXPECT_NEAR(run->chargeCoulombs, 2.5, 1e-12);
    // ∫ I V dt of two straight lines, 0 → 0.1 A and 1.5 → 1 V in 50 s.
    EXPECT_NEAR(run->deliveredJoules, 50.0 * (0.1 * 1.0 + 0.5 * 0.1 * 1.5) / 3.0, 1e-12);
    EXPECT_NEAR(run->meanDischargeAmps, 0.05, 1e-12);
}

TEST(RunAnalysis, FallingThroughZeroCountsTheFirstPart) {
    const auto run = analyseRun({{0.0, 30.0}, {1.0, 1.6}, {0.2, -0.1}});
    ASSERT_TRUE(run);
    EXPECT_NEAR(run->dischargeCoulombs, 0.5 * 0.2 * 20.0, 1e-12);
    EXPECT_NEAR(run->chargeCoulombs, 0.5 * 0.1 * 10.0, 1e-12);
    EXPECT_NEAR(run->deliveredJoules, 20.0 * (0.2 * 1.0 + 0.5 * 0.2 * 1.4) / 3.0, 1e-12);
}

TEST(RunAnalysis, TellsTheCurrentBehindItsResistance) {
    record::RunSamples samples;
    for (int i = 0; i < 40; ++i) {
        const bool loaded = (i / 10) % 2 == 1;
        samples.seconds.push_back(i);
        samples.volts.push_back(loaded ? 1.0 : 1.2);
        samples.amps.push_back(loaded ? 0.05 : 0.0);
    }
    const auto run = analyseRun(samples);
    ASSERT_TRUE(run && run->internalOhm);
    EXPECT_NEAR(*run->internalOhm, 4.0, 1e-9);
    EXPECT_NEAR(run->stepAmps, 0.05, 1e-12);
    EXPECT_NEAR(run->loadedVolts, 1.0, 1e-12);
    EXPECT_NEAR(run->loadedAmps, 0.05, 1e-12);
}

TEST(RunAnalysis, ARestNeverLoaded) {
    const auto run = analyseRun({{0.0, 10.0, 20.0}, {1.1, 1.1, 1.1}, {0.0, 0.0, 0.0}});
    ASSERT_TRUE(run);
    EXPECT_FALSE(run->internalOhm);
    EXPECT_EQ(run->loadedAmps, 0.0);
    EXPECT_FALSE(run->ranDown);
    EXPECT_NEAR(run->meanVolts, 1.1, 1e-12);
    EXPECT_EQ(run->deliveredJoules, 0.0);
}

/// The same samples in parts of uneven length.
RunSource inParts(const record::RunSamples& samples) {
    return [&samples](const std::function<void(const RunPart&)>& take) {
        for (std::size_t at = 0, length = 1; at < samples.size();
             at += length, length = 1 + (7 * length) % 13) {
            const std::size_t count = std::min(length, samples.size() - at);
            take({std::span(samples.seconds).subspan(at, count), std::span(samples.volts).subspan(at, count),
                  std::span(samples.amps).subspan(at, count)});
            length = count;
        }
    };
}

TEST(RunAnalysis, DoesNotDependOnHowTheRunIsParted) {
    record::RunSamples run = test::straightDischarge(0.1, 3600.0, 501);
    for (std::size_t i = 100; i < 200; ++i) {
        run.amps[i] = i % 10 < 5 ? 0.0 : -0.05;
    }
    const RunAnalysis whole = *analyseRun(run);
    const RunAnalysis parted = *analyseRun(inParts(run));
    EXPECT_EQ(parted.samples, 501U);
    EXPECT_EQ(parted.dischargeCoulombs, whole.dischargeCoulombs);
    EXPECT_EQ(parted.chargeCoulombs, whole.chargeCoulombs);
    EXPECT_EQ(parted.internalOhm, whole.internalOhm);
    EXPECT_EQ(parted.lowestVolts, whole.lowestVolts);
    ASSERT_EQ(parted.events.size(), whole.events.size());
    EXPECT_GT(whole.events.size(), 10U);
    run.seconds[77] = run.seconds[76];
    EXPECT_EQ(analyseRun(inParts(run)).error().sample, 77U);
}

TEST(RunAnalysis, ASourceThatBreaksOffInALaterPassIsSurvived) {
    const record::RunSamples run = test::straightDischarge(0.1, 3600.0, 5000);
    for (const int passes : {1, 2, 3}) {
        int asked = 0;
        const auto digest = digestRun([&](const std::function<void(const RunPart&)>& take) {
            if (asked++ < passes) {
                take({run.seconds, run.volts, run.amps});
            }
        });
        ASSERT_TRUE(digest) << passes;
        EXPECT_EQ(digest->analysis.samples, 5000U);
    }
}

} // namespace
} // namespace anodex::run
