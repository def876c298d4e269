// The notebook's file under the window: kept, copied, moved away, damaged, restored, rescued; results that
// arrive aside.
#include "app/session/Commands.h"
#include "app/session/Deeds.h"
#include "notebook/Copies.h"
#include "tests/app/Importing.h"
#include "tests/app/WindowFixture.h"
#include "tests/support/DiskTrouble.h"

#include <QDir>
#include <QFile>
#include <QPushButton>
#include <filesystem>

namespace anodex::app {
namespace {

namespace fs = std::filesystem;

class FileTest : public WindowTest {
protected:
    void beginFirst() { QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton); }
    void build() { QTest::keyClick(m_window.get(), Qt::Key_B, Qt::ControlModifier); }
    void note(const QString& text) {
        go(6);
        type(find<QLineEdit>("entryLine"), text);
    }
    void setGap(double metres) {
        design::CellDesign design = m_bench->draft().design();
        design.gapMetres = metres;
        m_bench->edit(design);
    }
    bool waitForMessage(const QString& part) {
        return QTest::qWaitFor([&] { return message().contains(part); });
    }
    QString path(const char* name) const { return QString::fromStdString(m_folder.path(name).string()); }
    notebook::Notebook reader(const QString& file) const {
        auto book = notebook::Notebook::open(file.toStdString(), notebook::OpenMode::Read);
        EXPECT_TRUE(book) << (book ? "" : book.error().detail);
        return std::move(*book);
    }
    std::string log() const { return test::readText(m_folder.path("state/anodex.log")); }
    void mend() { QTest::mouseClick(find<QPushButton>("messageDeed"), Qt::LeftButton); }
};

TEST_F(FileTest, KeepingTheDemoKeepsTheWorkDoneInIt) {
    openDemo();
    const QString demo = m_bench->store().path();
    note("1.234 V");
    setGap(0.033);
    m_fileToSave = path("mine.anodex");
    m_bench->files().keepAs(m_fileToSave);
    ASSERT_TRUE(waitForMessage("Kept as")) << message().toStdString();
    EXPECT_EQ(m_bench->store().path(), m_fileToSave);
    EXPECT_FALSE(m_bench->files().isDemo());
    EXPECT_EQ(m_bench->selection().revision()->design.gapMetres, 0.033);
    bool found = false;
    for (const BuildSummary& summary : m_bench->contents().builds) {
        for (const record::Reading& reading : summary.readings) {
            found = found || reading.value == 1.234;
        }
    }
    EXPECT_TRUE(found);
    EXPECT_FALSE(QFile::exists(demo)) << "the demo's own copy is gone";
}

TEST_F(FileTest, TheDemosCopyGoesWhenItIsLeft) {
    openDemo();
    const QString demo = m_bench->store().path();
    m_window.reset();
    m_bench.reset();
    EXPECT_FALSE(QFile::exists(demo));
    EXPECT_FALSE(QDir(QFileInfo(demo).absolutePath()).exists());
}

TEST_F(FileTest, ACopyIsSavedAsideAndWhatIsOpenStays) {
    beginFirst();
    build();
    m_fileToSave = path("copy.anodex");
    QTest::keyClick(m_window.get(), Qt::Key_S, Qt::ControlModifier | Qt::ShiftModifier);
    ASSERT_TRUE(waitForMessage("A copy is in")) << message().toStdString();
    EXPECT_NE(m_bench->store().path(), m_fileToSave);
    EXPECT_EQ(reader(m_fileToSave).builds()->size(), 1U);
    QTest::keyClick(m_window.get(), Qt::Key_S, Qt::ControlModifier | Qt::ShiftModifier);
    EXPECT_TRUE(waitForMessage("not written over")) << message().toStdString();
}

TEST_F(FileTest, ADeletedNotebookIsNoticedAndWrittenBackWithTheChange) {
    beginFirst();
    build();
    note("1.01 V");
    const QString file = m_bench->store().path();
    ASSERT_TRUE(QFile::remove(file));
    note("1.02 V");
    EXPECT_TRUE(message().contains("was moved, replaced or deleted")) << message().toStdString();
    EXPECT_EQ(m_bench->selection().readings().size(), 1U)
        << "nothing is acknowledged that is not in the file";
    mend();
    EXPECT_EQ(m_bench->store().path(), file);
    EXPECT_EQ(m_bench->selection().readings().size(), 2U)
        << "the change was tried again: " << message().toStdString() << log();
    EXPECT_EQ(reader(file).readings(m_bench->selection().build()->build.id)->size(), 2U);
}

TEST_F(FileTest, AReplacedNotebookIsWrittenBesideTheOtherOne) {
    beginFirst();
    build();
    const QString file = m_bench->store().path();
    const std::string other = m_folder.path("other.anodex").string();
    { const auto made = notebook::Notebook::open(other, notebook::OpenMode::Create, "sync"); }
    fs::rename(other, file.toStdString());
    note("1.02 V");
    EXPECT_TRUE(message().contains("was moved, replaced or deleted")) << message().toStdString();
    mend();
    EXPECT_NE(m_bench->store().path(), file);
    EXPECT_EQ(m_bench->selection().readings().size(), 1U);
    EXPECT_TRUE(reader(file).builds()->empty()) << "the file that stands there is left alone";
}

TEST_F(FileTest, AMovedNotebookIsNoticedWithoutAChange) {
    beginFirst();
    fs::rename(m_bench->store().path().toStdString(), m_folder.path("elsewhere.anodex"));
    EXPECT_TRUE(waitForMessage("was moved, replaced or deleted"));
}

TEST_F(FileTest, WithinTwoSecondsTheMainFileAloneIsTheNotebook) {
    beginFirst();
    build();
    note("1.02 V");
    const fs::path file = m_bench->store().path().toStdString();
    const fs::path log = file.string() + "-wal";
    EXPECT_TRUE(QTest::qWaitFor([&] { return !fs::exists(log) || fs::file_size(log) == 0; }, 2000));
    fs::copy_file(file, m_folder.path("alone.anodex"));
    const auto alone = reader(path("alone.anodex"));
    EXPECT_EQ(alone.readings(m_bench->selection().build()->build.id)->size(), 1U);
    EXPECT_EQ(alone.remembered("station"), "bench");
}

TEST_F(FileTest, ARunThatArrivesDoesNotDropTheEditInHand) {
    beginFirst();
    build();
    ASSERT_TRUE(importRun(*m_bench, "night", 40, test::straightDischarge(0.001, 3600, 5000)));
    const QString file = m_bench->store().path();
    start(file);
    ASSERT_TRUE(m_bench->selection().build()->readingRuns);
    design::CellDesign design = m_bench->draft().design();
    design.gapMetres = 0.077;
    m_bench->draft().change(design);
    waitForRuns();
    EXPECT_EQ(m_bench->draft().design().gapMetres, 0.077);
    m_bench->settle();
    EXPECT_EQ(m_bench->selection().revision()->design.gapMetres, 0.077);
}

TEST_F(FileTest, AReadingTypedWhileAnEditIsInHandKeepsBoth) {
    beginFirst();
    build();
    const record::Id built = m_bench->selection().build()->build.id;
    design::CellDesign design = m_bench->draft().design();
    design.gapMetres = 0.077;
    m_bench->draft().change(design);
    record::Reading reading;
    reading.value = 1.0;
    app::note(*m_bench, std::vector{reading});
    EXPECT_EQ(m_bench->selection().revision()->design.gapMetres, 0.077);
    EXPECT_EQ(reader(m_bench->store().path()).readings(built)->size(), 1U);
}

TEST_F(FileTest, WhatIsAtHandChangesOnlyOnceTheChangeIsKept) {
    beginFirst();
    build();
    build();
    const record::Id revision = m_bench->selection().revision()->id;
    const record::Id built =
        m_bench->contents().buildsOf(revision).front()->build.id; // not the one that comes by itself
    m_bench->selectBuild(built);
    {
        const test::FullDisk full;
        branchDesign(*m_bench);
        EXPECT_TRUE(message().contains("disk is full")) << message().toStdString();
    }
    ASSERT_NE(m_bench->selection().build(), nullptr);
    EXPECT_EQ(m_bench->selection().revision()->id, revision);
    EXPECT_EQ(m_bench->selection().build()->build.id, built);
}

TEST_F(FileTest, AnOwnEntryIsReckonedWithAtOnceAndWorkAsideFinishesOnTheOldOne) {
    beginFirst();
    const CatalogueHandle before = m_bench->draft().outcome().catalogue;
    ASSERT_FALSE(m_bench->draft().outcome().doubt.has_value()) << "the ranges are still being worked out";
    record::Document entry{
        {},
        record::DocumentKind::OwnEntry,
        "cases.json",
        R"({"id": "user:box", "name": "tin box", "aliases": [], "lowest_pH": 4, "highest_pH": 9,
                               "attacked_by": [], "sources": ["common-practice"]})",
        false};
    m_bench->run(commands::put(entry, "Added an entry"));
    EXPECT_EQ(m_bench->draft().outcome().catalogue, m_bench->catalogueHandle()) << message().toStdString();
    if (m_bench->catalogueHandle() != before) {
        EXPECT_TRUE(QTest::qWaitFor([&] { return m_bench->draft().outcome().doubt.has_value(); }));
    }
}

TEST_F(FileTest, ASetAsideRunOfAnUndoneImportIsBroughtBack) {
    beginFirst();
    build();
    ASSERT_TRUE(importRun(*m_bench, "night", 40, test::straightDischarge(0.001, 3600, 100)));
    m_bench->undo();
    note("1.0 V"); // what was undone can no longer be redone
    EXPECT_TRUE(m_bench->selection().build()->runs.empty());
    ASSERT_EQ(m_bench->contents().runsOf(m_bench->selection().build()->build.id).size(), 1U);
    setRunAside(*m_bench, m_bench->contents().runsOf(m_bench->selection().build()->build.id).front(), false);
    waitForRuns();
    EXPECT_TRUE(m_bench->selection().build()->deliveredCoulombs());
}

TEST_F(FileTest, OpeningWhatIsOpenAlreadySaysSoAndStaysThere) {
    beginFirst();
    build();
    m_fileToOpen = m_bench->store().path();
    QTest::keyClick(m_window.get(), Qt::Key_O, Qt::ControlModifier);
    EXPECT_TRUE(message().contains("open already")) << message().toStdString();
    EXPECT_EQ(m_bench->contents().builds.size(), 1U);
    note("1.0 V");
    EXPECT_EQ(m_bench->selection().readings().size(), 1U);
}

TEST_F(FileTest, ADamagedRunLeavesTheRestUsable) {
    openDemo();
    m_fileToSave = path("mine.anodex");
    m_bench->files().keepAs(m_fileToSave);
    ASSERT_TRUE(waitForMessage("Kept as"));
    start();
    test::runSql(m_fileToSave.toStdString(),
                 "UPDATE run_chunk SET data = substr(data, 1, 80) WHERE rowid = 1");
    ASSERT_TRUE(m_bench->files().open(m_fileToSave, false));
    EXPECT_TRUE(waitForMessage("cannot be used") || waitForMessage("fault")) << message().toStdString();
    waitForRuns();
    for (const BuildSummary& summary : std::vector(m_bench->contents().builds)) {
        m_bench->selectBuild(summary.build.id);
        go(6);
        go(7);
    }
    std::size_t usable = 0;
    for (const BuildSummary& summary : m_bench->contents().builds) {
        usable += summary.digests.size();
    }
    EXPECT_GT(usable, 0U);
}

TEST_F(FileTest, ADamagedNotebookIsRescuedFromTheWindow) {
    beginFirst();
    build();
    const QString file = m_bench->store().path();
    start();
    test::runSql(file.toStdString(), "UPDATE build SET expectation = '['");
    EXPECT_FALSE(m_bench->files().open(file, false));
    EXPECT_TRUE(message().contains("damaged")) << message().toStdString();
    mend();
    ASSERT_TRUE(waitForMessage("Rescued into")) << message().toStdString();
    EXPECT_NE(m_bench->store().path(), file);
    EXPECT_EQ(m_bench->contents().revisions.size(), 1U);
    EXPECT_NE(log().find("recovered rescue"), std::string::npos) << log();
}

TEST_F(FileTest, WhatTheCheckFindsAfterOpeningIsSaid) {
    beginFirst();
    build();
    note("1.01 V");
    const QString file = m_bench->store().path();
    start();
    test::runSql(file.toStdString(), "UPDATE reading SET value = 2.0");
    EXPECT_TRUE(m_bench->files().open(file, false)) << "it is usable all the same";
    ASSERT_TRUE(waitForMessage("fault")) << message().toStdString();
    EXPECT_TRUE(message().contains("build 1")) << message().toStdString();
}

TEST_F(FileTest, ABackupIsRestoredFromTheWindow) {
    beginFirst();
    build();
    m_fileToSave = path("backup.anodex");
    m_bench->files().saveCopy(m_fileToSave);
    ASSERT_TRUE(waitForMessage("A copy is in"));
    note("1.01 V");
    m_bench->files().restoreFrom(m_fileToSave);
    ASSERT_TRUE(waitForMessage("Restored")) << message().toStdString();
    EXPECT_TRUE(m_bench->selection().readings().empty());
    EXPECT_TRUE(QFile::exists(path("documents/cells (before restoring).anodex")));
    note("1.02 V");
    EXPECT_EQ(m_bench->selection().readings().size(), 1U);
}

TEST_F(FileTest, TheLogHoldsKindsAndCodesAndNothingOfTheBuilders) {
    beginFirst();
    build();
    note("smelled of lemon balm");
    renameRevision(*m_bench, "Grandfather's jar");
    {
        const test::FullDisk full;
        note("1.01 V");
    }
    const std::string text = log();
    for (const char* wanted : {"command open", "command commit project revision", "command commit build",
                               "command commit event", "error commit disk-full 13"}) {
        EXPECT_NE(text.find(wanted), std::string::npos) << wanted << "\n" << text;
    }
    for (const char* unwanted : {"lemon", "Grandfather", "documents", "1.01"}) {
        EXPECT_EQ(text.find(unwanted), std::string::npos) << unwanted << "\n" << text;
    }
}

TEST_F(FileTest, ASecondDesignIsBegunWhereThereIsOne) {
    beginFirst();
    build();
    const auto before = m_bench->contents().revisions;
    QTest::keyClick(m_window.get(), Qt::Key_N, Qt::ControlModifier | Qt::ShiftModifier);
    auto* first = find<QPushButton>("doorFirst");
    ASSERT_TRUE(first->isVisible());
    EXPECT_FALSE(find<QPushButton>("doorDemo")->isVisible());
    QTest::keyClick(first, Qt::Key_Escape);
    EXPECT_FALSE(first->isVisible()) << "Escape leads back";
    QTest::keyClick(m_window.get(), Qt::Key_N, Qt::ControlModifier | Qt::ShiftModifier);
    QTest::mouseClick(first, Qt::LeftButton);
    EXPECT_EQ(m_bench->contents().revisions.size(), before.size() + 1);
    EXPECT_EQ(m_bench->selection().revision()->parent, "") << "a line of its own";
    EXPECT_EQ(m_bench->selection().revision()->project, before.front().project);
    EXPECT_EQ(m_bench->selection().build(), nullptr);
    EXPECT_EQ(m_window->station(), "couple");
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(m_bench->contents().revisions, before);
}

TEST_F(FileTest, AnUnbuiltRevisionDrawsNoLineToZero) {
    beginFirst();
    build();
    QTest::keyClick(m_window.get(), Qt::Key_D, Qt::ControlModifier); // a line from here, not built
    go(1);
    auto* timeline = picture("timeline");
    double lowest = 0.0;
    double branch = -1.0;
    for (const PictureItem& item : timeline->items()) {
        lowest = std::max(lowest, item.id.startsWith("build:") ? item.area.bottom() : 0.0);
        branch = item.id.startsWith("branch:") ? item.area.center().y() : branch;
    }
    ASSERT_GT(branch, 0.0);
    EXPECT_LE(branch, lowest) << "level with the build it came from";
}

TEST_F(FileTest, ADesignIsSavedToACellFileAndBegunFromIt) {
    beginFirst();
    setGap(0.021);
    const auto saved = m_bench->selection().revision()->design;
    m_fileToSave = path("mine.cell.json");
    const auto choose = [this](const QString& name) {
        QTest::keyClick(m_window.get(), Qt::Key_F, Qt::ControlModifier);
        QTest::keyClicks(focused(), name);
        QTest::keyClick(focused(), Qt::Key_Return);
    };
    choose("Save this design");
    ASSERT_TRUE(QFile::exists(m_fileToSave)) << message().toStdString();
    m_fileToOpen = m_fileToSave;
    choose("Begin from a cell");
    EXPECT_EQ(m_bench->contents().revisions.size(), 2U) << message().toStdString();
    EXPECT_EQ(m_bench->selection().revision()->design.gapMetres, saved.gapMetres);
    test::writeText(m_folder.path("bad.cell.json"),
                    R"({"format": "anodex-cell/1", "negative": {"material": "zinc"}})");
    m_fileToOpen = path("bad.cell.json");
    choose("Begin from a cell");
    EXPECT_EQ(m_bench->contents().revisions.size(), 2U);
    EXPECT_TRUE(message().contains("positive: nothing")) << message().toStdString();
}

TEST_F(FileTest, WhatIsSavedGetsItsEndingAndTakesNoOtherFilesPlace) {
    beginFirst();
    const QString stem = QString::fromStdString(m_folder.path("mine").string());
    m_fileToSave = stem;
    m_window->perform(QStringLiteral("saveDesign"));
    EXPECT_TRUE(QFile::exists(stem + ".cell.json"));
    m_window->perform(QStringLiteral("saveDesign"));
    EXPECT_TRUE(QFile::exists(stem + " 2.cell.json")) << "the first was not asked about";
    m_window->perform(QStringLiteral("newNotebook"));
    EXPECT_EQ(m_bench->store().path(), stem + ".anodex");
    m_fileToSave = stem + ".other.anodex";
    m_window->perform(QStringLiteral("newNotebook"));
    EXPECT_EQ(m_bench->store().path(), stem + ".other.anodex") << "what has its ending keeps it";
}

TEST_F(FileTest, PanelsStayInsideAWindowMadeSmaller) {
    beginFirst();
    QTest::keyClick(m_window.get(), Qt::Key_F, Qt::ControlModifier);
    auto* panel = find<QLineEdit>("findField")->parentWidget();
    ASSERT_TRUE(panel->isVisible());
    m_window->resize(900, 600);
    EXPECT_TRUE(m_window->rect().contains(panel->geometry()));
}

} // namespace
} // namespace anodex::app
