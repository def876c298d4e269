// What the window holds after a command is what it would read from the file.
#include "app/session/Contents.h"
#include "tests/notebook/NotebookSamples.h"

#include <gtest/gtest.h>
#include <random>

namespace anodex::app {
namespace {

using notebook::Change;
using notebook::Notebook;

void expectSame(const Contents& now, const Contents& read) {
    EXPECT_EQ(now.projects, read.projects);
    EXPECT_EQ(now.revisions, read.revisions);
    EXPECT_EQ(now.documents, read.documents);
    EXPECT_EQ(now.unreadRuns, read.unreadRuns);
    ASSERT_EQ(now.builds.size(), read.builds.size());
    for (std::size_t i = 0; i < now.builds.size(); ++i) {
        const BuildSummary& one = now.builds[i];
        const BuildSummary& other = read.builds[i];
        EXPECT_EQ(one.build, other.build);
        EXPECT_EQ(one.readings, other.readings);
        EXPECT_EQ(one.events, other.events);
        EXPECT_EQ(one.allRuns, other.allRuns);
        EXPECT_EQ(one.runs, other.runs);
        EXPECT_EQ(one.openCircuit, other.openCircuit);
        EXPECT_EQ(one.shortCircuit, other.shortCircuit);
        EXPECT_EQ(one.readingRuns, other.readingRuns);
    }
}

/// Some change of what there is, or something new.
Change anyChange(std::mt19937& random, const Contents& now, int number) {
    const auto pick = [&](const auto& list) { return list[random() % list.size()]; };
    const auto fresh = std::to_string(number);
    const BuildSummary& build = now.builds[random() % now.builds.size()];
    switch (random() % 8) {
    case 0: {
        record::Revision revision = pick(now.revisions);
        revision.name += "'";
        revision.setAside = !revision.setAside;
        return revision;
    }
    case 1:
        return notebook::revision("r" + fresh, "r1");
    case 2: {
        record::Build changed = build.build;
        changed.setAside = !changed.setAside;
        return changed;
    }
    case 3: {
        record::Reading reading = notebook::reading("m" + fresh, 1.0 + 1e-3 * number);
        reading.build = build.build.id;
        reading.when = 1000 * static_cast<record::Millis>(random() % 50) + number; // no two at once
        return reading;
    }
    case 4: {
        if (build.readings.empty()) {
            return notebook::project();
        }
        record::Reading reading = pick(build.readings);
        reading.struckOut = !reading.struckOut;
        return reading;
    }
    case 5:
        return record::Event{"e" + fresh, build.build.id,
                             1000 * static_cast<record::Millis>(random() % 50) + number, "stirred",
                             random() % 2 == 0};
    case 6: {
        if (build.allRuns.empty()) {
            return record::Document{"d" + fresh, record::DocumentKind::Shelf, "shelf", "{}", false};
        }
        record::RunHeader run = pick(build.allRuns);
        run.setAside = !run.setAside;
        return run;
    }
    default: {
        record::Build made = notebook::build("b" + fresh);
        made.built = 3000 + number;
        return made;
    }
    }
}

TEST(Contents, AfterACommandAreWhatTheFileHolds) {
    const test::TemporaryFolder folder;
    auto book = Notebook::open(folder.path("cells.anodex").string(), notebook::OpenMode::Create, "test");
    notebook::fill(*book);
    Contents now;
    ASSERT_TRUE(now.load(*book).empty());
    std::mt19937 random(3);
    for (int number = 10; number < 160; ++number) {
        std::vector<Change> changes{anyChange(random, now, number)};
        if (random() % 3 == 0) {
            changes.push_back(anyChange(random, now, number + 1000));
        }
        const auto done = book->commit("change", number, changes);
        ASSERT_TRUE(done) << done.error().detail << changes.front().index();
        now.apply(changes);
        Contents read;
        ASSERT_TRUE(read.load(*book).empty());
        expectSame(now, read);
        if (testing::Test::HasFailure()) {
            FAIL() << "after change " << number;
        }
    }
}

/// Takes a step of the history, in the file and in what is held.
void step(Notebook& book, Contents& now, bool back) {
    const auto taken = back ? book.undo() : book.redo();
    ASSERT_TRUE(taken) << taken.error().detail;
    now.apply(taken->now);
    now.remove(taken->gone);
}

TEST(Contents, AfterUndoAndRedoAreWhatTheFileHolds) {
    const test::TemporaryFolder folder;
    auto book = Notebook::open(folder.path("cells.anodex").string(), notebook::OpenMode::Create, "test");
    notebook::fill(*book);
    Contents now;
    ASSERT_TRUE(now.load(*book).empty());
    std::mt19937 random(5);
    for (int number = 10; number < 200; ++number) {
        if (random() % 2 == 0 && !now.builds.empty()) {
            const Change change = anyChange(random, now, number);
            ASSERT_TRUE(book->commit("change", number, {change}));
            now.apply(std::vector{change});
        } else {
            step(*book, now, random() % 3 > 0);
        }
        Contents read;
        ASSERT_TRUE(read.load(*book).empty());
        expectSame(now, read);
        ASSERT_FALSE(testing::Test::HasFailure()) << "at step " << number;
    }
}

TEST(Contents, WhatWasTakenBackIsNamedByItsPart) {
    const test::TemporaryFolder folder;
    auto book = Notebook::open(folder.path("cells.anodex").string(), notebook::OpenMode::Create, "test");
    notebook::fill(*book);
    Contents now;
    ASSERT_TRUE(now.load(*book).empty());
    record::Reading reading = notebook::reading("fresh", 1.0);
    reading.build = now.builds.front().build.id;
    ASSERT_TRUE(book->commit("noted", 9, {reading}));
    now.apply(std::vector<Change>{reading});
    const auto taken = book->undo();
    EXPECT_TRUE(taken->now.empty());
    EXPECT_EQ(now.remove(taken->gone), Parts(Part::Notes));
    EXPECT_EQ(now.remove({"never there"}), Parts());
}

} // namespace
} // namespace anodex::app
