#include "tests/notebook/NotebookSamples.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <filesystem>
#include <functional>
#include <gtest/gtest.h>
#include <memory>
#include <sys/stat.h>

namespace anodex::notebook {
namespace {

using Code = NotebookError::Code;

struct Book {
    explicit Book(OpenMode mode = OpenMode::Create)
        : path(folder.path("cells.anodex").string()), book(open(mode)) {}

    Notebook open(OpenMode mode) const {
        auto opened = Notebook::open(path, mode, "test");
        EXPECT_TRUE(opened) << (opened ? "" : opened.error().detail);
        return std::move(*opened);
    }
    void reopen() {
        auto closed = std::make_unique<Notebook>(std::move(book));
        closed.reset();
        book = open(OpenMode::Write);
    }
    std::string dump() const { return *book.dump(); }

    test::TemporaryFolder folder;
    std::string path;
    Notebook book;
};

TEST(Notebook, GivesBackWhatWasWritten) {
    Book b;
    fill(b.book);
    EXPECT_EQ(*b.book.projects(), std::vector<record::Project>{project()});
    EXPECT_EQ(b.book.revisions()->front().design, revision("r1").design);
    EXPECT_EQ(b.book.builds()->front(), build("b1"));
    EXPECT_EQ(b.book.readings("b1")->front(), reading("m1", 1.09));
    EXPECT_EQ(b.book.events("b1")->front().text, "stirred");
    EXPECT_EQ(b.book.runs("b1")->front().samples, 10000);
    EXPECT_EQ(*b.book.samples("n1"), test::straightDischarge(0.1, 3600.0, 10000));
}

TEST(Notebook, GivesItBackAfterReopening) {
    Book b;
    fill(b.book);
    const std::string before = b.dump();
    b.reopen();
    EXPECT_EQ(b.dump(), before);
    EXPECT_EQ(*b.book.samples("n1"), test::straightDischarge(0.1, 3600.0, 10000));
}

TEST(Notebook, IsOneFileWhenClosed) {
    Book b;
    fill(b.book);
    { const Notebook closed = std::move(b.book); }
    int files = 0;
    for (const auto& entry : std::filesystem::directory_iterator(b.folder.path())) {
        ++files;
        EXPECT_EQ(entry.path().filename(), "cells.anodex");
    }
    EXPECT_EQ(files, 1);
    b.book = b.open(OpenMode::Write);
}

/// Every mutating command there is, one after the other.
struct Command {
    const char* name;
    std::function<Answer<void>(Notebook&)> run;
};

record::Reading onTheBuzzer() {
    record::Reading made = reading("m7", 0.8);
    made.loadOhm.reset();
    made.device = record::OnDevice{"buzzer", "buzzer"};
    made.loadedSeconds = 600.0;
    return made;
}

std::vector<Command> commands() {
    const record::RunHeader second = run("n2", "second");
    record::Revision changed = revision("r1");
    changed.design.gapMetres = 0.02;
    record::Revision aside = revision("r1");
    aside.setAside = true;
    record::Build buildAside = build("b1");
    buildAside.setAside = true;
    record::Reading struck = reading("m1", 1.09);
    struck.struckOut = true;
    record::Revision renamed = revision("r1");
    renamed.name = "Better jar";
    return {{"edit", [=](Notebook& n) { return n.commit("edit", 9, {changed}); }},
            {"branch", [=](Notebook& n) { return n.commit("branch", 9, {revision("r2", "r1")}); }},
            {"rename", [=](Notebook& n) { return n.commit("rename", 9, {renamed}); }},
            {"revision aside", [=](Notebook& n) { return n.commit("aside", 9, {aside}); }},
            {"build aside", [=](Notebook& n) { return n.commit("aside", 9, {buildAside}); }},
            {"second build", [=](Notebook& n) { return n.commit("build", 9, {build("b2")}); }},
            {"second reading", [=](Notebook& n) { return n.commit("reading", 9, {reading("m2", 0.5)}); }},
            {"correct a reading", [=](Notebook& n) { return n.commit("correct", 9, {reading("m1", 0.9)}); }},
            {"on a load", [=](Notebook& n) { return n.commit("reading", 9, {onTheBuzzer()}); }},
            {"strike out", [=](Notebook& n) { return n.commit("strike", 9, {struck}); }},
            {"event",
             [=](Notebook& n) {
                 return n.commit("event", 9, {record::Event{"e2", "b1", 1, "topped up", true}});
             }},
            {"two at once",
             [=](Notebook& n) {
                 return n.commit("both", 9, {changed, reading("m3", 1.0)});
             }},
            {"import", [=](Notebook& n) {
                 return n.importRun("import", 9, second, test::straightDischarge(0.2, 100.0, 500));
             }}};
}

TEST(Notebook, AReadingKeepsTheLoadItWasTakenOn) {
    Book b;
    fill(b.book);
    ASSERT_TRUE(b.book.commit("reading", 9, {onTheBuzzer()}));
    const auto readings = *b.book.readings("b1");
    EXPECT_NE(std::find(readings.begin(), readings.end(), onTheBuzzer()), readings.end());
}

TEST(Notebook, EveryCommandUndoesRedoesAndReopensEqually) {
    for (const Command& command : commands()) {
        Book b;
        fill(b.book);
        const std::string before = b.dump();
        ASSERT_TRUE(command.run(b.book)) << command.name;
        const std::string after = b.dump();
        EXPECT_NE(after, before) << command.name;
        EXPECT_FALSE(b.book.undo()->said.empty()) << command.name;
        if (std::string(command.name) != "import") {
            EXPECT_EQ(b.dump(), before) << command.name;
        } else {
            // The samples stay; undoing an import sets the run aside.
            EXPECT_TRUE(b.book.runs("b1")->back().setAside);
        }
        b.reopen();
        EXPECT_FALSE(b.book.redo()->said.empty()) << command.name;
        EXPECT_EQ(b.dump(), after) << command.name;
        b.reopen();
        EXPECT_EQ(b.dump(), after) << command.name;
    }
}

TEST(Notebook, UndoesEverythingBackToNothingAndForwardAgain) {
    Book b;
    fill(b.book);
    const std::string full = b.dump();
    int steps = 0;
    for (auto undone = b.book.undo(); undone && !undone->said.empty(); undone = b.book.undo()) {
        ++steps;
    }
    EXPECT_EQ(steps, 5);
    EXPECT_EQ(b.book.projects()->size(), 0U);
    for (auto redone = b.book.redo(); redone && !redone->said.empty(); redone = b.book.redo()) {
    }
    EXPECT_EQ(b.dump(), full);
}

TEST(Notebook, TheHistoryTellsWhatIsUndone) {
    Book b;
    fill(b.book);
    const auto undone = [&] {
        std::vector<bool> flags;
        const std::vector<HistoryEntry> entries = *b.book.history();
        for (const HistoryEntry& entry : entries) {
            flags.push_back(entry.undone);
        }
        return flags;
    };
    EXPECT_EQ(undone(), (std::vector<bool>{false, false, false, false, false}));
    ASSERT_EQ(b.book.undo()->said, "run");
    ASSERT_EQ(b.book.undo()->said, "event");
    EXPECT_EQ(undone(), (std::vector<bool>{false, false, false, true, true}));
    ASSERT_EQ(b.book.redo()->said, "event");
    EXPECT_EQ(undone(), (std::vector<bool>{false, false, false, false, true}));
    EXPECT_EQ(b.book.history()->front().said.id, "new design");
    EXPECT_EQ(b.book.history()->front().happened, 1);
}

TEST(Notebook, TellsWhetherThereIsAnythingToUndoOrRedo) {
    Book b;
    EXPECT_FALSE(b.book.stepsLeft()->back);
    ASSERT_TRUE(b.book.commit("start", 0, {project()}));
    EXPECT_TRUE(b.book.stepsLeft()->back);
    EXPECT_FALSE(b.book.stepsLeft()->forward);
    ASSERT_FALSE(b.book.undo()->said.empty());
    EXPECT_FALSE(b.book.stepsLeft()->back);
    EXPECT_TRUE(b.book.stepsLeft()->forward);
}

TEST(Notebook, ANewCommandForgetsWhatWasUndone) {
    Book b;
    fill(b.book);
    ASSERT_FALSE(b.book.undo()->said.empty());
    ASSERT_TRUE(b.book.commit("other", 9, {reading("m9", 0.1)}));
    EXPECT_TRUE(b.book.redo()->said.empty());
    EXPECT_EQ(b.book.history()->back().said.id, "other");
}

TEST(Notebook, KeepsFiveHundredSteps) {
    Book b;
    ASSERT_TRUE(b.book.commit("start", 0, {project()}));
    for (int i = 0; i < 520; ++i) {
        record::Project next = project();
        next.name = "name " + std::to_string(i);
        ASSERT_TRUE(b.book.commit("rename", i, {next}));
    }
    EXPECT_EQ(b.book.history()->size(), 500U);
}

TEST(Notebook, AFailedCommandLeavesNothingBehind) {
    Book b;
    fill(b.book);
    const std::string before = b.dump();
    record::Reading orphan = reading("m5", 1.0);
    orphan.build = "no such build";
    EXPECT_FALSE(b.book.commit("orphan", 9, {reading("m6", 1.0), orphan}));
    EXPECT_EQ(b.dump(), before);
    EXPECT_EQ(b.book.history()->back().said.id, "run");
}

TEST(Notebook, AStoppedImportLeavesNothingBehind) {
    Book b;
    fill(b.book);
    const std::string before = b.dump();
    std::stop_source source;
    const auto halfway = [&](double share) {
        if (share > 0.5) {
            source.request_stop();
        }
    };
    EXPECT_FALSE(b.book.importRun("import", 9, run("n7"), test::straightDischarge(0.1, 100.0, 50000), halfway,
                                  source.get_token()));
    EXPECT_EQ(b.dump(), before);
    EXPECT_TRUE(b.book.check()->empty());
    EXPECT_EQ(b.book.samples("n7")->size(), 0U);
}

TEST(Notebook, ARunsHeaderTellsItsLengthAndDuration) {
    Book b;
    fill(b.book);
    const auto runs = *b.book.runs("b1");
    ASSERT_EQ(runs.size(), 1U);
    EXPECT_EQ(runs[0].samples, 10'000);
    EXPECT_DOUBLE_EQ(runs[0].durationSeconds, 3600.0);
    EXPECT_FALSE(runs[0].setAside);
}

TEST(Notebook, RemembersViewsAndMappingsOutsideTheHistory) {
    Book b;
    fill(b.book);
    const std::size_t steps = b.book.history()->size();
    ASSERT_TRUE(b.book.remember("station", "bench"));
    ASSERT_TRUE(b.book.rememberMapping("sig", "text"));
    b.reopen();
    EXPECT_EQ(*b.book.remembered("station"), "bench");
    EXPECT_EQ(*b.book.rememberedMapping("sig"), "text");
    EXPECT_EQ(*b.book.rememberedMapping("other"), "");
    EXPECT_EQ(b.book.history()->size(), steps);
}

TEST(Notebook, CannotBeOpenedTwiceForWriting) {
    Book b;
    const auto second = Notebook::open(b.path, OpenMode::Write, "second");
    ASSERT_FALSE(second);
    EXPECT_EQ(second.error().code, Code::LockedElsewhere);
    EXPECT_EQ(second.error().detail, "test");
    EXPECT_TRUE(Notebook::open(b.path, OpenMode::Read));
}

TEST(Notebook, RefusesWhatIsNoNotebook) {
    const test::TemporaryFolder folder;
    const auto codeOf = [&](const std::string& name) {
        const auto opened = Notebook::open(folder.path(name).string(), OpenMode::Write);
        return opened ? Code::Failed : opened.error().code;
    };
    EXPECT_EQ(codeOf("absent.anodex"), Code::CannotOpen);
    test::writeText(folder.path("empty.anodex"), "");
    EXPECT_EQ(codeOf("empty.anodex"), Code::CannotOpen);
    test::writeText(folder.path("text.anodex"), std::string(5000, 'x'));
    EXPECT_EQ(codeOf("text.anodex"), Code::NotANotebook);
    {
        SQLite::Database other(folder.path("other.anodex").string(),
                               SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE);
        other.exec("CREATE TABLE t (x)");
    }
    EXPECT_EQ(codeOf("other.anodex"), Code::NotANotebook);
}

TEST(Notebook, KeepsDocumentsWithUndoAndRedo) {
    Book b;
    record::Document shelf{newId(), record::DocumentKind::Shelf, "shelf", "{}", false};
    ASSERT_TRUE(b.book.commit("shelf filled", 1, {shelf}));
    shelf.text = R"({"format": "anodex-shelf/1"})";
    ASSERT_TRUE(b.book.commit("shelf changed", 2, {shelf}));
    EXPECT_EQ(b.book.documents()->at(0), shelf);
    EXPECT_EQ(b.book.undo()->said, "shelf changed");
    EXPECT_EQ(b.book.documents()->at(0).text, "{}");
    EXPECT_EQ(b.book.undo()->said, "shelf filled");
    EXPECT_TRUE(b.book.documents()->empty());
    EXPECT_EQ(b.book.redo()->said, "shelf filled");
    EXPECT_EQ(b.book.documents()->size(), 1U);
    EXPECT_TRUE(b.book.check()->empty());
}

TEST(Notebook, RefusesNewerAndDamagedFiles) {
    Book b;
    fill(b.book);
    { const Notebook closed = std::move(b.book); }
    const std::string sound = test::readText(b.path);
    {
        SQLite::Database database(b.path, SQLite::OPEN_READWRITE);
        database.exec("PRAGMA user_version = 99");
    }
    EXPECT_EQ(Notebook::open(b.path, OpenMode::Read).error().code, Code::Newer);
    std::string broken = sound;
    for (std::size_t i = 4096; i < 4096 + 3000; ++i) {
        broken[i] = static_cast<char>(i * 31U);
    }
    test::writeText(b.path, broken);
    // Opening reads the first page only; the check reads all.
    const auto damaged = Notebook::open(b.path, OpenMode::Read);
    ASSERT_TRUE(damaged);
    EXPECT_FALSE(damaged->check()->empty());
    test::writeText(b.path, sound.substr(0, sound.size() / 2));
    const auto half = Notebook::open(b.path, OpenMode::Read);
    EXPECT_TRUE(!half || !half->check()->empty());
    test::writeText(b.path, sound);
    b.book = b.open(OpenMode::Write);
    EXPECT_TRUE(b.book.check()->empty());
}

TEST(Notebook, FindsMissingSamplesWhenChecked) {
    Book b;
    fill(b.book);
    { const Notebook closed = std::move(b.book); }
    {
        SQLite::Database database(b.path, SQLite::OPEN_READWRITE);
        database.exec("DELETE FROM run_chunk WHERE chunk = 1");
    }
    b.book = b.open(OpenMode::Write);
    const auto faults = *b.book.check();
    ASSERT_FALSE(faults.empty());
    for (const base::Said& fault : faults) {
        EXPECT_NE(test::told(fault).find("overnight"), std::string::npos) << fault;
        EXPECT_NE(test::told(fault).find("build b1"), std::string::npos) << fault;
    }
}

TEST(Notebook, ReadsWhereItMayNotWrite) {
    Book b;
    fill(b.book);
    { const Notebook closed = std::move(b.book); }
    auto reader = Notebook::open(b.path, OpenMode::Read);
    ASSERT_TRUE(reader);
    EXPECT_TRUE(reader->readOnly());
    EXPECT_EQ(reader->commit("no", 1, {project("p2")}).error().code, Code::ReadOnly);
    EXPECT_EQ(reader->builds()->size(), 1U);
    EXPECT_FALSE(std::filesystem::exists(b.path + "-wal"));
    b.book = b.open(OpenMode::Write);
}

TEST(Notebook, ACommandThatChangesNothingIsNoStep) {
    Book b;
    fill(b.book);
    const std::size_t steps = b.book.history()->size();
    const std::string before = b.dump();
    EXPECT_EQ(b.book.undo()->said, "run");
    ASSERT_TRUE(b.book.commit("as it was", 9, {project(), reading("m1", 1.09)}));
    EXPECT_EQ(b.book.history()->size(), steps);
    EXPECT_EQ(b.book.redo()->said, "run") << "what was undone is not lost to it";
    EXPECT_EQ(b.dump(), before);
    EXPECT_TRUE(b.book.check()->empty());
}

TEST(Notebook, IdsAreUuidsAndDiffer) {
    const record::Id one = newId();
    EXPECT_EQ(one.size(), 36U);
    EXPECT_EQ(one[14], '4');
    EXPECT_NE(one, newId());
}

} // namespace
} // namespace anodex::notebook
