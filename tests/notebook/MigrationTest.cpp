// Files of every version there ever was: read as they are, brought up to date step by step, with a backup
// beside them. tests/data/notebooks/version-N.anodex were written by the program as it was at that version.
#include "notebook/Copies.h"
#include "notebook/Schema.h"
#include "tests/notebook/NotebookSamples.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <filesystem>

namespace anodex::notebook {
namespace {

namespace fs = std::filesystem;
using Code = NotebookError::Code;

class EveryVersion : public testing::TestWithParam<int> {
protected:
    EveryVersion() : m_path(m_folder.path("cells.anodex").string()) {
        const auto name = "version-" + std::to_string(GetParam()) + ".anodex";
        fs::copy_file(test::sourceDir() / "tests/data/notebooks" / name, m_path);
    }

    test::TemporaryFolder m_folder;
    std::string m_path;
};

TEST_P(EveryVersion, IsReadWithoutBeingChanged) {
    const std::string before = test::readText(m_path);
    {
        auto book = Notebook::open(m_path, OpenMode::Read);
        ASSERT_TRUE(book) << book.error().detail;
        EXPECT_EQ(book->builds()->size(), 1U);
        EXPECT_EQ(book->readings("b1")->front().value, 0.97);
        EXPECT_EQ(book->samples("n1")->size(), 5000U);
        const auto faults = *book->check();
        EXPECT_TRUE(faults.empty()) << faults.front();
    }
    EXPECT_EQ(test::readText(m_path), before);
    EXPECT_FALSE(fs::exists(m_path + "-wal") || fs::exists(m_path + "-shm")) << "nothing is left beside it";
}

TEST_P(EveryVersion, IsBroughtUpToDateWithABackupBesideIt) {
    const std::string before = *Notebook::open(m_path, OpenMode::Read)->dump();
    auto book = Notebook::open(m_path, OpenMode::Write, "test");
    ASSERT_TRUE(book) << book.error().detail;
    EXPECT_EQ(*book->dump(), before);
    const auto faults = *book->check();
    EXPECT_TRUE(faults.empty()) << faults.front();
    EXPECT_EQ(*book->remembered("station"), "bench");
    EXPECT_EQ(book->redo()->said, "gap 10 → 20 mm") << "what was undone then is redone now";
    for (int step = 0; step < 6; ++step) {
        EXPECT_FALSE(book->undo()->said.empty()) << step;
    }
    EXPECT_TRUE(book->revisions()->empty());
    if (GetParam() == kSchemaVersion) {
        EXPECT_EQ(book->migrationBackup(), "");
        return;
    }
    auto backup = Notebook::open(book->migrationBackup(), OpenMode::Read);
    ASSERT_TRUE(backup) << book->migrationBackup();
    EXPECT_EQ(*backup->dump(), before);
    SQLite::Database file(book->migrationBackup(), SQLite::OPEN_READONLY);
    EXPECT_EQ(versionOf(file), GetParam());
}

INSTANTIATE_TEST_SUITE_P(Versions, EveryVersion, testing::Range(1, kSchemaVersion + 1));

TEST(Migration, WaitsUntilNobodyElseWrites) {
    const test::TemporaryFolder folder;
    const std::string path = folder.path("cells.anodex").string();
    fs::copy_file(test::sourceDir() / "tests/data/notebooks/version-1.anodex", path);
    const auto recorder = RoleLock::take(path, Role::Recorder, "the logger");
    const auto refused = Notebook::open(path, OpenMode::Write, "test");
    ASSERT_FALSE(refused);
    EXPECT_EQ(refused.error().code, Code::LockedElsewhere);
    EXPECT_EQ(refused.error().detail, "the logger");
    SQLite::Database file(path, SQLite::OPEN_READONLY);
    EXPECT_EQ(versionOf(file), 1);
}

TEST(Migration, ASecondOneKeepsTheFirstBackup) {
    const test::TemporaryFolder folder;
    const std::string path = folder.path("cells.anodex").string();
    test::writeText(folder.path("cells (version 1).anodex"), "the builder's own");
    fs::copy_file(test::sourceDir() / "tests/data/notebooks/version-1.anodex", path);
    auto book = Notebook::open(path, OpenMode::Write, "test");
    ASSERT_TRUE(book);
    EXPECT_EQ(fs::path(book->migrationBackup()).filename(), "cells (version 1 2).anodex");
    EXPECT_EQ(test::readText(folder.path("cells (version 1).anodex")), "the builder's own");
}

TEST(Migration, AReadingThatWasDamagedBeforeIsStillFound) {
    const test::TemporaryFolder folder;
    const std::string path = folder.path("cells.anodex").string();
    fs::copy_file(test::sourceDir() / "tests/data/notebooks/version-4.anodex", path);
    {
        SQLite::Database file(path, SQLite::OPEN_READWRITE);
        ASSERT_EQ(file.exec("UPDATE reading SET value = 9.7 WHERE value = 0.97"), 1);
    }
    auto book = Notebook::open(path, OpenMode::Write, "test");
    ASSERT_TRUE(book);
    const auto faults = *book->check();
    ASSERT_FALSE(faults.empty());
    EXPECT_EQ(faults.front().id, "notebook.differs");
}

} // namespace
} // namespace anodex::notebook
