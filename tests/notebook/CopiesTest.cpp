// Copies, backups, what brings a notebook back, and what can be rescued of a damaged one.
#include "notebook/Copies.h"
#include "notebook/FreshName.h"
#include "notebook/RunStore.h"
#include "tests/notebook/NotebookSamples.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <filesystem>

namespace anodex::notebook {
namespace {

namespace fs = std::filesystem;
using Code = NotebookError::Code;

class Copies : public testing::Test {
protected:
    Copies() : m_path(path("cells.anodex")), m_book(*Notebook::open(m_path, OpenMode::Create, "test")) {
        fill(m_book);
    }
    std::string path(const std::string& name) const { return m_folder.path(name).string(); }
    void close() { const Notebook closed = std::move(m_book); }
    /// Scribbles over pages of the closed file from a table's root on.
    void scribble(const std::string& table) {
        std::int64_t page = 0;
        {
            SQLite::Database file(m_path, SQLite::OPEN_READONLY);
            SQLite::Statement root(file, "SELECT rootpage FROM sqlite_schema WHERE name = ?");
            root.bind(1, table);
            ASSERT_TRUE(root.executeStep());
            page = root.getColumn(0).getInt64();
        }
        std::string bytes = test::readText(m_path);
        for (std::size_t i = 0; i < 4096; ++i) {
            bytes[static_cast<std::size_t>(page - 1) * 4096 + i] = static_cast<char>(i * 31U);
        }
        test::writeText(m_path, bytes);
    }

    test::TemporaryFolder m_folder;
    std::string m_path;
    Notebook m_book;
};

TEST_F(Copies, ACopyHasEverythingWhileTheNotebookIsOpen) {
    ASSERT_TRUE(copyNotebook(m_path, path("copy.anodex"))); // what was written last still stands in the log
    auto copy = Notebook::open(path("copy.anodex"), OpenMode::Write, "other");
    ASSERT_TRUE(copy);
    EXPECT_EQ(*copy->dump(), *m_book.dump());
    EXPECT_EQ(*copy->samples("n1"), *m_book.samples("n1"));
    EXPECT_TRUE(copy->check()->empty());
    EXPECT_EQ(copy->undo()->said, "run") << "its history came with it";
}

TEST_F(Copies, ACopyNeverTakesAnothersPlace) {
    test::writeText(path("taken.anodex"), "mine");
    EXPECT_EQ(copyNotebook(m_path, path("taken.anodex")).error().code, Code::Exists);
    EXPECT_EQ(test::readText(path("taken.anodex")), "mine");
    EXPECT_EQ(copyNotebook(path("absent.anodex"), path("new.anodex")).error().code, Code::CannotOpen);
    EXPECT_FALSE(fs::exists(path("new.anodex")));
    EXPECT_EQ(copyNotebook(m_path, path("no such folder/new.anodex")).error().code, Code::NoRoom);
}

TEST_F(Copies, ABackupTakesThePlaceAndWhatStoodThereIsKept) {
    const std::string before = *m_book.dump();
    ASSERT_TRUE(copyNotebook(m_path, path("backup.anodex")));
    ASSERT_TRUE(m_book.commit("reading", 9, {reading("m2", 0.2)}));
    EXPECT_EQ(restoreNotebook(m_path, path("backup.anodex")).error().code, Code::LockedElsewhere);
    close();
    const auto aside = restoreNotebook(m_path, path("backup.anodex"));
    ASSERT_TRUE(aside) << aside.error().detail;
    EXPECT_EQ(*Notebook::open(m_path, OpenMode::Read)->dump(), before);
    EXPECT_EQ(Notebook::open(*aside, OpenMode::Read)->readings("b1")->size(), 2U);
    m_book = *Notebook::open(m_path, OpenMode::Write, "test");
}

TEST_F(Copies, ADamagedBackupTakesNoPlace) {
    close();
    const std::string sound = test::readText(m_path);
    test::writeText(path("backup.anodex"), sound);
    SQLite::Database(path("backup.anodex"), SQLite::OPEN_READWRITE).exec("UPDATE reading SET value = 9");
    const auto refused = restoreNotebook(m_path, path("backup.anodex"));
    ASSERT_FALSE(refused);
    EXPECT_EQ(refused.error().code, Code::Damaged);
    EXPECT_EQ(test::readText(m_path), sound);
    m_book = *Notebook::open(m_path, OpenMode::Write, "test");
}

TEST_F(Copies, OfASoundNotebookEverythingIsRescued) {
    const auto rescued = rescueNotebook(m_path, path("rescued.anodex"));
    ASSERT_TRUE(rescued) << rescued.error().detail;
    EXPECT_TRUE(rescued->lost.empty()) << rescued->lost.front();
    EXPECT_EQ(rescued->kept, *m_book.counts());
    auto fresh = Notebook::open(path("rescued.anodex"), OpenMode::Write, "test");
    EXPECT_EQ(*fresh->dump(), *m_book.dump());
    EXPECT_EQ(*fresh->samples("n1"), *m_book.samples("n1"));
    EXPECT_TRUE(fresh->check()->empty());
    EXPECT_EQ(rescueNotebook(m_path, path("rescued.anodex")).error().code, Code::Exists);
}

TEST_F(Copies, OfAnEarlierVersionNothingIsMissedThatItNeverHad) {
    const std::string old = path("old.anodex");
    std::filesystem::copy_file(test::sourceDir() / "tests/data/notebooks/version-3.anodex", old);
    const auto rescued = rescueNotebook(old, path("rescued.anodex"));
    ASSERT_TRUE(rescued) << rescued.error().detail;
    EXPECT_TRUE(rescued->lost.empty()) << rescued->lost.front();
}

TEST_F(Copies, WithOneTableGoneTheOthersAreRescued) {
    close();
    scribble("reading");
    const auto rescued = rescueNotebook(m_path, path("rescued.anodex"));
    ASSERT_TRUE(rescued) << rescued.error().detail;
    EXPECT_FALSE(rescued->lost.empty());
    auto fresh = Notebook::open(path("rescued.anodex"), OpenMode::Read);
    EXPECT_EQ(fresh->builds()->size(), 1U);
    EXPECT_EQ(fresh->samples("n1")->size(), 10'000U);
    EXPECT_TRUE(fresh->check()->empty());
}

TEST_F(Copies, ARunIsRescuedUpToItsDamage) {
    close();
    SQLite::Database(m_path, SQLite::OPEN_READWRITE)
        .exec("UPDATE run_chunk SET data = zeroblob(length(data)) WHERE chunk = 1 AND column_name = 1");
    const auto rescued = rescueNotebook(m_path, path("rescued.anodex"));
    ASSERT_TRUE(rescued) << rescued.error().detail;
    ASSERT_EQ(rescued->lost.size(), 1U);
    EXPECT_NE(test::told(rescued->lost[0]).find("4096 of 10000"), std::string::npos) << rescued->lost[0];
    auto fresh = Notebook::open(path("rescued.anodex"), OpenMode::Read);
    EXPECT_EQ(fresh->samples("n1")->size(), kChunkSamples);
    EXPECT_TRUE(fresh->check()->empty());
    m_book = *Notebook::open(m_path, OpenMode::Write, "test");
}

TEST_F(Copies, ADesignThatDoesNotReadIsLeftOutWithWhatHangsOnIt) {
    ASSERT_TRUE(m_book.commit("second", 9, {revision("r2", "r1")}));
    close();
    SQLite::Database(m_path, SQLite::OPEN_READWRITE).exec("UPDATE revision SET design = '{' WHERE id = 'r1'");
    const auto rescued = rescueNotebook(m_path, path("rescued.anodex"));
    ASSERT_TRUE(rescued);
    EXPECT_EQ(rescued->kept.revisions, 1);
    EXPECT_EQ(rescued->kept.builds, 0);
    auto fresh = Notebook::open(path("rescued.anodex"), OpenMode::Read);
    EXPECT_EQ(fresh->revisions()->front().parent, "");
    EXPECT_TRUE(fresh->check()->empty()) << fresh->check()->front();
}

TEST_F(Copies, AFreshNameIsFree) {
    EXPECT_EQ(freshNameBeside(m_path, "copy"), path("cells (copy).anodex"));
    test::writeText(path("cells (copy).anodex"), "");
    EXPECT_EQ(freshNameBeside(m_path, "copy"), path("cells (copy 2).anodex"));
}

} // namespace
} // namespace anodex::notebook
