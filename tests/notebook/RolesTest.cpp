// Who may write: two editors, an editor beside a recorder, a migration alone; links lead to the same locks.
#include "notebook/RoleLock.h"
#include "tests/notebook/NotebookSamples.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <atomic>
#include <filesystem>
#include <optional>
#include <sqlite3.h>
#include <thread>

namespace anodex::notebook {
namespace {

using Code = NotebookError::Code;
namespace fs = std::filesystem;

class Roles : public testing::Test {
protected:
    Roles() : m_path(m_folder.path("cells.anodex").string()) {
        auto made = Notebook::open(m_path, OpenMode::Create, "first");
        EXPECT_TRUE(made);
        fill(*made);
    }
    Code refusal(const std::string& path) {
        const auto opened = Notebook::open(path, OpenMode::Write, "second");
        EXPECT_FALSE(opened);
        EXPECT_EQ(opened ? "" : opened.error().detail, "first");
        return opened ? Code::Failed : opened.error().code;
    }

    test::TemporaryFolder m_folder;
    std::string m_path;
};

TEST_F(Roles, ASecondEditorIsRefusedWhateverNameItCameBy) {
    const auto first = Notebook::open(m_path, OpenMode::Write, "first");
    ASSERT_TRUE(first);
    const std::string other = m_folder.path("other").string();
    fs::create_directory(other);
    fs::create_symlink(m_path, other + "/link.anodex");
    fs::create_hard_link(m_path, other + "/hard.anodex");
    EXPECT_EQ(refusal(m_path), Code::LockedElsewhere);
    EXPECT_EQ(refusal(other + "/link.anodex"), Code::LockedElsewhere);
    EXPECT_EQ(refusal(other + "/hard.anodex"), Code::LockedElsewhere);
    EXPECT_EQ(refusal(other + "/../cells.anodex"), Code::LockedElsewhere);
}

TEST_F(Roles, AnEditorAndARecorderWorkSideBySideButAMigrationIsAlone) {
    auto editor = RoleLock::take(m_path, Role::Editor, "first");
    ASSERT_TRUE(editor);
    {
        auto recorder = RoleLock::take(m_path, Role::Recorder, "logger");
        ASSERT_TRUE(recorder) << recorder.error().detail;
        EXPECT_FALSE(RoleLock::take(m_path, Role::Recorder, "another"));
        const auto alone = editor->holdAlone();
        ASSERT_FALSE(alone);
        EXPECT_EQ(alone.error().detail, "logger");
    }
    EXPECT_TRUE(editor->holdAlone());
    EXPECT_FALSE(RoleLock::take(m_path, Role::Recorder, "another"));
}

TEST_F(Roles, TheLockFileGoesWithTheLastHolderAndNotBefore) {
    auto editor = RoleLock::take(m_path, Role::Editor, "first");
    auto recorder = RoleLock::take(m_path, Role::Recorder, "logger");
    ASSERT_TRUE(editor && recorder);
    { const RoleLock gone = std::move(*editor); }
    EXPECT_TRUE(fs::exists(m_path + ".lock")) << "the recorder still holds it";
    EXPECT_FALSE(RoleLock::take(m_path, Role::Recorder, "another"));
    { const RoleLock gone = std::move(*recorder); }
    EXPECT_FALSE(fs::exists(m_path + ".lock"));
}

TEST_F(Roles, ALockFileTakenAwayByAnotherProgramDoesNotLetASecondEditorIn) {
    const auto first = Notebook::open(m_path, OpenMode::Write, "first");
    ASSERT_TRUE(first);
    fs::remove(m_path + ".lock");
    EXPECT_EQ(refusal(m_path), Code::LockedElsewhere) << "the inode's own lock is held";
}

TEST_F(Roles, OfManyWhoTryAtOnceOneHolds) {
    // Takes and lets go from several threads: never two at a time, whoever removes the file.
    std::atomic<int> holding{0};
    std::atomic<int> most{0};
    std::vector<std::jthread> threads;
    for (int i = 0; i < 4; ++i) {
        threads.emplace_back([&] {
            for (int turn = 0; turn < 300; ++turn) {
                const auto lock = RoleLock::take(m_path, Role::Editor, "thread");
                if (lock) {
                    const int now = ++holding;
                    most = std::max(most.load(), now);
                    std::this_thread::yield();
                    --holding;
                }
            }
        });
    }
    threads.clear();
    EXPECT_EQ(most, 1);
}

TEST_F(Roles, AnImportLetsAnotherWriterInBetweenItsPieces) {
    auto editor = Notebook::open(m_path, OpenMode::Write, "first");
    ASSERT_TRUE(editor);
    std::atomic<int> written{0};
    std::atomic<int> refused{0};
    // A recorder's connection of its own, which waits a second at most.
    std::jthread recorder([&](const std::stop_token& ended) {
        SQLite::Database own(m_path, SQLite::OPEN_READWRITE, 1000);
        while (!ended.stop_requested()) {
            const bool done =
                own.tryExec("INSERT OR REPLACE INTO view_state VALUES ('tail', '1')") == SQLITE_OK;
            ++(done ? written : refused);
            std::this_thread::sleep_for(std::chrono::milliseconds(1));
        }
    });
    std::optional<int> atFirst;
    int atLast = 0;
    const auto progress = [&](double share) {
        atFirst = atFirst ? atFirst : std::optional(written.load());
        atLast = share < 1.0 ? written.load() : atLast;
    };
    ASSERT_TRUE(
        editor->importRun("run", 9, run("n2"), test::straightDischarge(0.1, 1e6, 2'000'000), progress));
    recorder.request_stop();
    recorder.join();
    ASSERT_TRUE(atFirst);
    EXPECT_GT(atLast, *atFirst) << "it wrote while the import was at work";
    EXPECT_EQ(refused, 0);
    EXPECT_EQ(editor->samples("n2")->size(), 2'000'000U);
}

TEST_F(Roles, WhatADeadImportLeftIsTakenAwayAtTheNextOpening) {
    const std::string before = *Notebook::open(m_path, OpenMode::Read)->dump();
    {
        SQLite::Database dead(m_path, SQLite::OPEN_READWRITE);
        dead.exec("INSERT INTO run SELECT 'n9', build, 'half', started, samples, duration, 1 FROM run");
        dead.exec("INSERT INTO run_chunk SELECT 'n9', chunk, column_name, samples, first, last, low, high, "
                  "data FROM "
                  "run_chunk WHERE chunk = 0");
        dead.exec("INSERT INTO unfinished VALUES ('n9')");
    }
    {
        const auto recorder = RoleLock::take(m_path, Role::Recorder, "logger");
        auto editor = Notebook::open(m_path, OpenMode::Write, "first");
        EXPECT_EQ(editor->runs("b1")->size(), 2U) << "it may be the one being recorded";
    }
    const auto editor = Notebook::open(m_path, OpenMode::Write, "first");
    EXPECT_EQ(*editor->dump(), before);
    EXPECT_TRUE(editor->check()->empty());
}

} // namespace
} // namespace anodex::notebook
