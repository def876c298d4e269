// The file is moved, replaced or deleted under the open notebook; or its disk lacks what a shared log needs.
#include "notebook/Connection.h"
#include "notebook/Copies.h"
#include "tests/notebook/NotebookSamples.h"
#include "tests/support/LossyStorage.h"

#include <csignal>
#include <filesystem>
#include <sys/resource.h>

namespace anodex::notebook {
namespace {

using Code = NotebookError::Code;
namespace fs = std::filesystem;

class WhereItStands : public testing::Test {
protected:
    WhereItStands() : m_path(m_folder.path("cells.anodex").string()), m_book(open(OpenMode::Create)) {
        fill(m_book);
    }
    Notebook open(OpenMode mode) const {
        auto opened = Notebook::open(m_path, mode, "test");
        EXPECT_TRUE(opened) << (opened ? "" : opened.error().detail);
        return std::move(*opened);
    }
    void expectRefusedAndWrittenBack() {
        for (const auto& refused :
             {m_book.commit("reading", 9, {reading("m2", 1.0)}).error(), m_book.undo().error(),
              m_book.redo().error(),
              m_book.importRun("run", 9, run("n2"), test::straightDischarge(0.1, 10, 10)).error()}) {
            EXPECT_EQ(refused.code, Code::Moved);
        }
        const std::string back = m_folder.path("written back.anodex").string();
        ASSERT_TRUE(m_book.copyTo(back));
        auto copy = Notebook::open(back, OpenMode::Read);
        ASSERT_TRUE(copy);
        EXPECT_EQ(*copy->dump(), *m_book.dump());
        EXPECT_TRUE(copy->check()->empty());
    }

    test::TemporaryFolder m_folder;
    std::string m_path;
    Notebook m_book;
};

TEST_F(WhereItStands, ADeletedFileTakesNoMoreChanges) {
    fs::remove(m_path);
    expectRefusedAndWrittenBack();
}

TEST_F(WhereItStands, AMovedFileTakesNoMoreChanges) {
    fs::rename(m_path, m_folder.path("elsewhere.anodex"));
    expectRefusedAndWrittenBack();
}

TEST_F(WhereItStands, AReplacedFileTakesNoMoreChanges) {
    const std::string other = m_folder.path("other.anodex").string();
    ASSERT_TRUE(copyNotebook(m_path, other));
    fs::rename(other, m_path);
    expectRefusedAndWrittenBack();
    EXPECT_EQ(m_book.copyTo(m_path).error().code, Code::Exists) << "the other file is not written over";
}

TEST_F(WhereItStands, ALogThatIsTakenAwayLosesNothing) {
    for (const char* what : {"deleted", "replaced"}) {
        fs::remove(m_path + "-wal");
        if (std::string(what) == "replaced") {
            test::writeText(m_path + "-wal", "someone's");
        }
        const std::string id = std::string("m-") + what;
        ASSERT_TRUE(m_book.commit("reading", 9, {reading(id, 1.0)})) << what;
        // As another program would see it that finds the main file only.
        const std::string alone = m_folder.path("alone.anodex").string();
        fs::remove(alone);
        fs::copy_file(m_path, alone);
        auto copy = Notebook::open(alone, OpenMode::Read);
        ASSERT_TRUE(copy);
        EXPECT_EQ(copy->readings("b1")->back().id, id) << what;
    }
}

TEST_F(WhereItStands, FoldedItIsOneWholeFile) {
    ASSERT_TRUE(*m_book.fold());
    const std::string alone = m_folder.path("alone.anodex").string();
    fs::copy_file(m_path, alone);
    auto copy = Notebook::open(alone, OpenMode::Read);
    ASSERT_TRUE(copy);
    EXPECT_EQ(*copy->dump(), *m_book.dump());
}

TEST_F(WhereItStands, AReaderSeesWhatAWriterJustWrote) {
    auto reader = open(OpenMode::Read);
    ASSERT_TRUE(m_book.commit("reading", 9, {reading("m2", 1.0)}));
    EXPECT_EQ(reader.readings("b1")->size(), 2U) << "an unchanging view would not";
}

TEST_F(WhereItStands, AtRestItIsReadWithoutLeavingAnything) {
    { const Notebook closed = std::move(m_book); }
    {
        auto reader = open(OpenMode::Read);
        EXPECT_EQ(reader.builds()->size(), 1U);
    }
    int files = 0;
    for ([[maybe_unused]] const auto& entry : fs::directory_iterator(m_folder.path())) {
        ++files;
    }
    EXPECT_EQ(files, 1);
    m_book = open(OpenMode::Write);
}

TEST_F(WhereItStands, ALimitOnTheFilesSizeRefusesAndKeepsTheRest) {
    const std::string before = *m_book.dump();
    ASSERT_TRUE(*m_book.fold());
    rlimit limit{};
    getrlimit(RLIMIT_FSIZE, &limit);
    const rlimit small{fs::file_size(m_path) + 20'000, limit.rlim_max};
    setrlimit(RLIMIT_FSIZE, &small);
    const auto refused = m_book.importRun("run", 9, run("n2"), test::straightDischarge(0.1, 1e5, 100'000));
    setrlimit(RLIMIT_FSIZE, &limit);
    ASSERT_FALSE(refused);
    EXPECT_EQ(refused.error().code, Code::DiskFull) << refused.error().detail;
    EXPECT_TRUE(m_book.commit("reading", 9, {reading("m2", 1.0)})) << "it goes on";
    EXPECT_TRUE(m_book.undo());
    { const Notebook closed = std::move(m_book); }
    m_book = open(OpenMode::Write);
    EXPECT_EQ(*m_book.dump(), before);
    EXPECT_TRUE(m_book.check()->empty());
}

TEST(WithoutSharedMemory, ItWorksWithoutALogAndSaysSo) {
    const test::TemporaryFolder folder;
    const std::string path = folder.path("cells.anodex").string();
    {
        auto book = Notebook::open(path, OpenMode::Create, "test"); // made where a log works
        ASSERT_TRUE(book);
        EXPECT_TRUE(book->sharesWell());
        fill(*book);
        fs::copy_file(path, folder.path("crashed.anodex")); // with its log, as a crash leaves it
        fs::copy_file(path + "-wal", folder.path("crashed.anodex-wal"));
    }
    const test::LossyStorage network({1, false});
    for (const char* name : {"cells.anodex", "crashed.anodex", "fresh.anodex"}) {
        auto book = Notebook::open(folder.path(name).string(), OpenMode::Create, "test");
        ASSERT_TRUE(book) << name << ": " << book.error().detail;
        EXPECT_FALSE(book->sharesWell());
        if (std::string(name) == "fresh.anodex") {
            fill(*book);
        }
        EXPECT_EQ(book->readings("b1")->size(), 1U) << name;
        ASSERT_TRUE(book->commit("reading", 9, {reading("m2", 1.0)})) << name;
        auto reader = Notebook::open(folder.path(name).string(), OpenMode::Read);
        ASSERT_TRUE(reader) << reader.error().detail;
        EXPECT_EQ(reader->readings("b1")->size(), 2U) << name;
        EXPECT_TRUE(*book->fold());
    }
}

} // namespace
} // namespace anodex::notebook
