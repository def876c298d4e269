// Runs that grow while they are recorded, and pictures of runs of any length.
#include "notebook/RunWriter.h"
#include "notebook/Schema.h"
#include "tests/notebook/NotebookSamples.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <cmath>
#include <filesystem>
#include <random>

namespace anodex::notebook {
namespace {

using Code = NotebookError::Code;

const std::vector<record::Channel> kCell = {{"voltage", "V", 1.0}, {"current", "A", 1.0}};

class Recording : public testing::Test {
protected:
    Recording() : m_path(m_folder.path("cells.anodex").string()) {
        auto book = Notebook::open(m_path, OpenMode::Create, "test");
        fill(*book);
    }
    [[nodiscard]] RunWriter begun(const std::vector<record::Channel>& channels = kCell,
                                  const std::string& id = "n2") const {
        auto writer = RunWriter::begin(m_path, run(id, "recorded"), channels, "logger");
        EXPECT_TRUE(writer) << writer.error().detail;
        return std::move(*writer);
    }
    [[nodiscard]] Notebook reader() const { return *Notebook::open(m_path, OpenMode::Read); }
    [[nodiscard]] std::int64_t rowsOf(const std::string& table) const {
        return SQLite::Database(m_path)
            .execAndGet("SELECT count(*) FROM " + table + " WHERE run = 'n2'")
            .getInt64();
    }

    test::TemporaryFolder m_folder;
    std::string m_path;
};

/// Tenths of a second; the voltage falls with a ripple, so that every sample is another.
double voltsAt(std::int64_t sample) {
    return 1.5 - 1e-6 * static_cast<double>(sample) + 0.01 * std::sin(0.37 * static_cast<double>(sample));
}

void appendTo(RunWriter& writer, std::int64_t from, std::int64_t count) {
    std::vector<double> seconds;
    std::vector<double> volts;
    for (std::int64_t i = from; i < from + count; ++i) {
        seconds.push_back(0.1 * static_cast<double>(i));
        volts.push_back(voltsAt(i));
    }
    const std::vector<double> amps(seconds.size(), 0.02);
    const auto done = writer.append(seconds, {volts, amps});
    ASSERT_TRUE(done) << done.error().detail;
}

TEST_F(Recording, WhatWasAppendedIsThereForEveryoneAtOnce) {
    RunWriter writer = begun();
    for (std::int64_t at = 0; at < 200; at += 10) {
        appendTo(writer, at, 10);
        const auto samples = *reader().samples("n2");
        ASSERT_EQ(samples.size(), static_cast<std::size_t>(at + 10));
        EXPECT_EQ(samples.volts.back(), voltsAt(at + 9));
    }
    EXPECT_EQ(reader().runs("b1")->size(), 2U);
    EXPECT_EQ(writer.run().samples, 200);
    EXPECT_TRUE(reader().check()->empty());
}

TEST_F(Recording, SmallRowsBecomeWholeChunks) {
    RunWriter writer = begun();
    std::int64_t at = 0;
    for (const std::int64_t count : {1, 10, 4085, 1, 9000, 10, 10}) {
        appendTo(writer, at, count);
        at += count;
        const auto samples = *reader().samples("n2");
        ASSERT_EQ(samples.size(), static_cast<std::size_t>(at));
        for (std::int64_t i = 0; i < at; ++i) {
            ASSERT_EQ(samples.volts[static_cast<std::size_t>(i)], voltsAt(i)) << i;
        }
    }
    EXPECT_EQ(rowsOf("run_chunk"), 3 * (at / 4096));
    EXPECT_LE(rowsOf("run_tail"), 3);
    EXPECT_TRUE(reader().check()->empty());
    ASSERT_TRUE(writer.finish());
    EXPECT_EQ(rowsOf("run_tail"), 0);
    EXPECT_EQ(reader().samples("n2")->size(), static_cast<std::size_t>(at));
    EXPECT_TRUE(reader().check()->empty());
}

TEST_F(Recording, AnyNumberOfNamedChannelsWithTheirUnitsAndFactors) {
    std::vector<record::Channel> channels = {{"current", "A", -0.001}, {"voltage", "V", 1.0}};
    for (int i = 0; i < 6; ++i) {
        channels.push_back({"thermometer " + std::to_string(i + 1), "K", 1.0});
    }
    {
        RunWriter writer = begun(channels);
        std::vector<std::vector<double>> values(channels.size(), {293.15, 294.15});
        values[0] = {-20.0, -30.0}; // mA, out of the cell
        values[1] = {1.1, 1.0};
        ASSERT_TRUE(writer.append(std::vector{1.0, 2.0}, Columns(values.begin(), values.end())));
    }
    const Notebook book = reader();
    const auto samples = *book.samples("n2");
    EXPECT_EQ(samples.amps, (std::vector{0.02, 0.03}));
    EXPECT_EQ(samples.volts, (std::vector{1.1, 1.0}));
    const auto kept = *book.channels("n2");
    ASSERT_EQ(kept.size(), 9U);
    EXPECT_EQ(kept[0].name, "time");
    EXPECT_EQ(kept[1], channels[0]);
    const auto warm = *book.window("n2", "thermometer 3", 0.0, 3.0, 10);
    ASSERT_EQ(warm.size(), 2U);
    EXPECT_EQ(warm[1].high, 294.15);
    EXPECT_TRUE(book.window("n2", "barometer", 0.0, 3.0, 10)->empty());
    EXPECT_EQ(book.channels("n1")->size(), 3U) << "an imported run has the usual ones";
}

TEST_F(Recording, RefusesWhatIsNoRunAndKeepsWhatItHas) {
    RunWriter writer = begun();
    appendTo(writer, 0, 10);
    const std::vector<double> one{1.0};
    const std::vector<double> later{5.0};
    const std::vector<double> nothing{std::nan("")};
    for (const auto& [seconds, values] :
         std::vector<std::pair<std::vector<double>, Columns>>{{{0.9}, {one, one}},      // not after the last
                                                              {{6.0, 5.0}, {one, one}}, // a value short
                                                              {{5.0}, {one}},           // a channel short
                                                              {{5.0}, {one, nothing}},  // no number
                                                              {{std::nan("")}, {one, one}}}) {
        EXPECT_FALSE(writer.append(seconds, values));
    }
    EXPECT_EQ(writer.run().samples, 10);
    EXPECT_TRUE(writer.append(later, {one, one}));
    EXPECT_EQ(reader().samples("n2")->size(), 11U);
    EXPECT_FALSE(RunWriter::begin(m_path, run("n3"), {}, "logger"));
    EXPECT_FALSE(RunWriter::begin(m_folder.path("none.anodex").string(), run("n3"), kCell, "logger"));
}

TEST_F(Recording, ChannelsNeedNamesOfTheirOwn) {
    for (const std::vector<record::Channel>& channels :
         {std::vector<record::Channel>{{"voltage", "V", 1.0}, {"voltage", "V", 1.0}},
          std::vector<record::Channel>{{"time", "s", 1.0}}, std::vector<record::Channel>{{"", "V", 1.0}},
          std::vector<record::Channel>{{"voltage", "V", 0.0}}}) {
        EXPECT_FALSE(RunWriter::begin(m_path, run("n2"), channels, "logger"));
    }
    EXPECT_EQ(reader().runs("b1")->size(), 1U);
}

TEST_F(Recording, OneRecordsAndAnotherEditsMeanwhile) {
    auto editor = Notebook::open(m_path, OpenMode::Write, "editor");
    RunWriter writer = begun();
    const auto second = RunWriter::begin(m_path, run("n3"), kCell, "another");
    ASSERT_FALSE(second);
    EXPECT_EQ(second.error().code, Code::LockedElsewhere);
    EXPECT_EQ(second.error().detail, "logger");
    appendTo(writer, 0, 10);
    record::RunHeader renamed = editor->runs("b1")->back();
    renamed.name = "with the new felt";
    appendTo(writer, 10, 5);
    ASSERT_TRUE(editor->commit("rename", 9, {renamed}));
    EXPECT_EQ(reader().runs("b1")->back().samples, 15) << "the editor knew of ten";
    EXPECT_EQ(reader().samples("n2")->size(), 15U);
    appendTo(writer, 15, 4095);
    EXPECT_EQ(reader().runs("b1")->back().name, "with the new felt");
    EXPECT_EQ(reader().runs("b1")->back().samples, 4110);
    EXPECT_EQ(editor->undo()->said, "rename");
    EXPECT_EQ(reader().runs("b1")->back().name, "recorded");
    EXPECT_EQ(reader().runs("b1")->back().samples, 4110) << "undo leaves what was recorded";
    EXPECT_TRUE(editor->check()->empty());
}

TEST_F(Recording, AWriterThatDiedLeavesTheRunAndRoomForTheNext) {
    {
        RunWriter writer = begun();
        appendTo(writer, 0, 5000);
    }
    auto editor = Notebook::open(m_path, OpenMode::Write, "editor");
    EXPECT_EQ(editor->samples("n2")->size(), 5000U);
    RunWriter next = begun(kCell, "n3");
    appendTo(next, 0, 10);
    EXPECT_EQ(editor->runs("b1")->size(), 3U);
    EXPECT_TRUE(editor->check()->empty());
}

TEST_F(Recording, AnOlderFileIsNotTouched) {
    const std::string old = m_folder.path("old.anodex").string();
    std::filesystem::copy_file(test::sourceDir() / "tests/data/notebooks/version-3.anodex", old);
    const std::string before = test::readText(old);
    const auto refused = RunWriter::begin(old, run("n2"), kCell, "logger");
    ASSERT_FALSE(refused);
    EXPECT_NE(test::told(refused.error().detail).find("open it for editing once"), std::string::npos);
    EXPECT_EQ(test::readText(old), before);
}

TEST_F(Recording, EachPartGoesThroughTheRunInOrder) {
    RunWriter writer = begun();
    appendTo(writer, 0, 9000);
    appendTo(writer, 9000, 7);
    std::int64_t seen = 0;
    ASSERT_TRUE(reader().eachPart("n2", [&](const Columns& columns) {
        EXPECT_EQ(columns.size(), 3U);
        EXPECT_LE(columns.front().size(), kChunkSamples);
        for (const double volts : columns[1]) {
            EXPECT_EQ(volts, voltsAt(seen++));
        }
    }));
    EXPECT_EQ(seen, 9007);
}

/// Peaks that would be lost if only every so many samples were looked at.
record::RunSamples spiky(std::size_t count) {
    record::RunSamples samples = test::straightDischarge(0.1, 3600.0, count);
    std::mt19937 random(5);
    for (int i = 0; i < 40; ++i) {
        samples.volts[random() % count] = i % 2 == 0 ? 3.0 + 0.01 * i : -1.0 - 0.01 * i;
    }
    return samples;
}

TEST(RunWindow, LosesNoPeakAndGrowsWithThePictureAlone) {
    const test::TemporaryFolder folder;
    const std::string path = folder.path("cells.anodex").string();
    auto book = Notebook::open(path, OpenMode::Create, "test");
    fill(*book);
    constexpr std::size_t kCount = 600'000;
    const record::RunSamples samples = spiky(kCount);
    ASSERT_TRUE(book->importRun("run", 9, run("n2"), samples));
    const auto span = *book->span("n2");
    EXPECT_EQ(span, std::pair(samples.seconds.front(), samples.seconds.back()));
    std::mt19937 random(7);
    for (int i = 0; i < 60; ++i) {
        const double from = static_cast<double>(random() % 3000);
        const double to = i == 0 ? 3600.0 : from + std::pow(10.0, static_cast<double>(random() % 5) - 1.0);
        const std::size_t buckets = 1 + random() % 900;
        const auto window = *book->window("n2", "voltage", i == 0 ? 0.0 : from, to, buckets);
        ASSERT_LE(window.size(), buckets);
        double low = 9.0;
        double high = -9.0;
        double last = -1.0;
        for (const Bucket& bucket : window) {
            ASSERT_LE(bucket.fromSeconds, bucket.toSeconds);
            ASSERT_GE(bucket.fromSeconds, last);
            last = bucket.toSeconds;
            low = std::min(low, bucket.low);
            high = std::max(high, bucket.high);
        }
        for (std::size_t s = 0; s < kCount; ++s) {
            if (samples.seconds[s] >= (i == 0 ? 0.0 : from) && samples.seconds[s] <= to) {
                ASSERT_GE(samples.volts[s], low) << from << " to " << to << " in " << buckets;
                ASSERT_LE(samples.volts[s], high) << from << " to " << to << " in " << buckets;
            }
        }
    }
    EXPECT_TRUE(book->window("n2", "voltage", 10.0, 10.0, 100)->empty());
    EXPECT_TRUE(book->window("n2", "voltage", 1e6, 2e6, 100)->empty());
    EXPECT_TRUE(book->window("nobody", "voltage", 0.0, 10.0, 100)->empty());
}

TEST(RunWindow, OfAnOlderFileIsReadFromTheSamples) {
    const test::TemporaryFolder folder;
    const std::string old = folder.path("old.anodex").string();
    std::filesystem::copy_file(test::sourceDir() / "tests/data/notebooks/version-2.anodex", old);
    const auto book = Notebook::open(old, OpenMode::Read);
    const auto span = *book->span("n1");
    EXPECT_GT(span.second, span.first);
    EXPECT_EQ(book->window("n1", "voltage", span.first, span.second, 100)->size(), 100U);
}

} // namespace
} // namespace anodex::notebook
