// What a full disk or a folder that cannot be written does to a notebook: nothing is lost, and it is said.
#include "tests/support/DiskTrouble.h"
#include "notebook/Notebook.h"
#include "tests/support/Samples.h"

#include <filesystem>
#include <gtest/gtest.h>

namespace anodex::notebook {
namespace {

using Code = NotebookError::Code;

class DiskTrouble : public testing::Test {
protected:
    DiskTrouble() : m_path(m_folder.path("cells.anodex").string()) {
        auto book = open(OpenMode::Create);
        EXPECT_TRUE(book->commit("start", 1, {project("one")}));
        record::Revision revision;
        revision.id = "r";
        revision.project = "p";
        revision.name = "jar";
        revision.design = test::design(test::beakers());
        record::Build build;
        build.id = "b";
        build.revision = "r";
        build.asBuilt = revision.design;
        EXPECT_TRUE(book->commit("build", 2, {revision, build}));
    }
    Answer<Notebook> open(OpenMode mode) const { return Notebook::open(m_path, mode, "test"); }
    static record::Project project(const std::string& name) { return {"p", name, 1}; }
    static record::RunHeader run() {
        record::RunHeader header;
        header.id = "n";
        header.build = "b";
        header.name = "night";
        return header;
    }

    test::TemporaryFolder m_folder;
    std::string m_path;
};

TEST_F(DiskTrouble, AFullDiskRefusesAChangeAndKeepsTheRest) {
    auto book = open(OpenMode::Write);
    ASSERT_TRUE(book);
    const std::string before = *book->dump();
    {
        const test::FullDisk full;
        const auto refused = book->commit("rename", 3, {project("two")});
        ASSERT_FALSE(refused);
        EXPECT_EQ(refused.error().code, Code::DiskFull);
        EXPECT_EQ(*book->dump(), before);
    }
    EXPECT_EQ(book->history()->size(), 2U);
    ASSERT_TRUE(book->commit("rename", 4, {project("two")})) << "with room again it goes on";
    EXPECT_EQ(book->undo()->said, "rename");
    EXPECT_EQ(*book->dump(), before);
    EXPECT_TRUE(book->check()->empty());
}

TEST_F(DiskTrouble, AFullDiskStopsAnImportWithoutATrace) {
    auto book = open(OpenMode::Write);
    ASSERT_TRUE(book);
    {
        const test::FullDisk full;
        const auto refused = book->importRun("import", 3, run(), test::straightDischarge(0.1, 1e5, 200'000));
        ASSERT_FALSE(refused);
        EXPECT_EQ(refused.error().code, Code::DiskFull);
    }
    EXPECT_TRUE(book->runs("b")->empty());
    EXPECT_TRUE(book->check()->empty());
    EXPECT_TRUE(book->importRun("import", 4, run(), test::straightDischarge(0.1, 1e5, 200'000)));
    EXPECT_EQ(book->samples("n")->size(), 200'000U);
}

TEST_F(DiskTrouble, AFullDiskRefusesUndoAndRedoToo) {
    auto book = open(OpenMode::Write);
    ASSERT_TRUE(book);
    ASSERT_TRUE(book->commit("rename", 3, {project("two")}));
    const std::string before = *book->dump();
    {
        const test::FullDisk full;
        const auto undone = book->undo();
        ASSERT_FALSE(undone);
        EXPECT_EQ(undone.error().code, Code::DiskFull);
    }
    EXPECT_EQ(*book->dump(), before);
    EXPECT_EQ(book->undo()->said, "rename");
    {
        const test::FullDisk full;
        EXPECT_FALSE(book->redo());
    }
    EXPECT_EQ(book->redo()->said, "rename");
    EXPECT_EQ(*book->dump(), before);
}

TEST_F(DiskTrouble, AFullDiskLeavesNoHalfMadeNotebook) {
    const std::string fresh = m_folder.path("fresh.anodex").string();
    {
        const test::FullDisk full;
        const auto made = Notebook::open(fresh, OpenMode::Create, "test");
        ASSERT_FALSE(made);
        EXPECT_EQ(made.error().code, Code::DiskFull);
    }
    const auto again = Notebook::open(fresh, OpenMode::Create, "test");
    EXPECT_TRUE(again) << "the name is free or holds a sound notebook";
}

TEST_F(DiskTrouble, AReadOnlyFolderIsReadAndNotChanged) {
    const test::ReadOnlyFolder locked(m_folder.path());
    const auto write = open(OpenMode::Write);
    ASSERT_FALSE(write);
    EXPECT_EQ(write.error().code, Code::ReadOnly);
    auto book = open(OpenMode::Read);
    ASSERT_TRUE(book);
    EXPECT_EQ(book->builds()->size(), 1U);
    EXPECT_EQ(book->commit("rename", 3, {project("two")}).error().code, Code::ReadOnly);
    EXPECT_EQ(book->undo().error().code, Code::ReadOnly);
    EXPECT_EQ(book->redo().error().code, Code::ReadOnly);
    EXPECT_EQ(book->importRun("import", 3, run(), test::straightDischarge(0.1, 10, 10)).error().code,
              Code::ReadOnly);
    EXPECT_TRUE(book->remember("station", "bench")) << "not worth a message";
    EXPECT_TRUE(book->check()->empty());
}

TEST_F(DiskTrouble, AReadOnlyFolderTakesNoNewNotebook) {
    const std::string fresh = m_folder.path("fresh.anodex").string();
    const test::ReadOnlyFolder locked(m_folder.path());
    const auto made = Notebook::open(fresh, OpenMode::Create, "test");
    ASSERT_FALSE(made);
    EXPECT_EQ(made.error().code, Code::ReadOnly);
    EXPECT_FALSE(std::filesystem::exists(fresh));
}

} // namespace
} // namespace anodex::notebook
