// The session behind the window, without the window.
#include "app/session/Workbench.h"
#include "core/record/Expect.h"
#include "formats/CellFile.h"
#include "tests/support/Samples.h"

#include <QSignalSpy>
#include <QTest>
#include <gtest/gtest.h>
#include <memory>
#include <set>

namespace anodex::app {
namespace {

class WorkbenchTest : public testing::Test {
protected:
    WorkbenchTest() { makeBench(); }

    void makeBench() {
        m_bench.reset();
        Services services;
        services.now = [this] { return m_now += 1000; };
        services.documentsFolder = QString::fromStdString(m_folder.path().string());
        services.faulted = [](const QString& law) { ADD_FAILURE() << "a fault of " << law.toStdString(); };
        services.log = std::make_shared<Log>(m_folder.path("state/anodex.log").string());
        m_bench = std::make_unique<Workbench>(test::catalogue(), services);
        QObject::connect(m_bench.get(), &Workbench::refused,
                         [this](const QString& text) { m_refused = text; });
        QObject::connect(m_bench.get(), &Workbench::said, [this](const QString& text) { m_said = text; });
    }

    void startLemon() { m_bench->startDesign(test::design(test::lemon())); }
    void setGap(double metres) {
        design::CellDesign design = m_bench->design();
        design.gapMetres = metres;
        m_bench->edit(design);
    }

    /// As after quitting.
    void reopen() {
        const QString path = m_bench->notebookPath();
        makeBench();
        ASSERT_TRUE(m_bench->openNotebook(path, false)) << m_refused.toStdString();
    }

    test::TemporaryFolder m_folder;
    record::Millis m_now = 1'790'000'000'000;
    QString m_refused;
    QString m_said;
    std::unique_ptr<Workbench> m_bench;
};

TEST_F(WorkbenchTest, TheFirstDesignMakesANotebookInTheDocuments) {
    EXPECT_FALSE(m_bench->hasNotebook());
    startLemon();
    EXPECT_TRUE(m_bench->notebookPath().endsWith("cells.anodex"));
    EXPECT_EQ(m_bench->projects().size(), 1U);
    EXPECT_EQ(m_bench->revisions().size(), 1U);
}

TEST_F(WorkbenchTest, AnExistingNotebookIsNotWrittenOver) {
    test::writeText(m_folder.path("cells.anodex"), "someone else's");
    startLemon();
    EXPECT_TRUE(m_bench->notebookPath().endsWith("cells-2.anodex"));
    EXPECT_EQ(test::readText(m_folder.path("cells.anodex")), "someone else's");
}

TEST_F(WorkbenchTest, AnUnbuiltRevisionIsEditedInPlace) {
    startLemon();
    setGap(0.02);
    setGap(0.03);
    EXPECT_EQ(m_bench->revisions().size(), 1U);
    EXPECT_NEAR(*m_bench->revision()->design.gapMetres, 0.03, 1e-12);
    EXPECT_EQ(m_bench->history().size(), 3U);
}

TEST_F(WorkbenchTest, ADraftChangesNothingUntilItSettles) {
    startLemon();
    design::CellDesign design = m_bench->design();
    design.gapMetres = 0.05;
    m_bench->draft(design);
    EXPECT_NEAR(m_bench->outcome().cell->gapMetres, 0.05, 1e-12);
    EXPECT_FALSE(m_bench->revision()->design.gapMetres.has_value());
    m_bench->dropDraft();
    EXPECT_NEAR(m_bench->outcome().cell->gapMetres, 0.01, 1e-12);
    EXPECT_EQ(m_bench->history().size(), 1U);
}

TEST_F(WorkbenchTest, ManyDraftsAreOneCommand) {
    startLemon();
    design::CellDesign design = m_bench->design();
    for (int i = 1; i <= 20; ++i) {
        design.gapMetres = 0.001 * i;
        m_bench->draft(design);
    }
    m_bench->settle();
    EXPECT_EQ(m_bench->history().size(), 2U);
    m_bench->undo();
    EXPECT_FALSE(m_bench->revision()->design.gapMetres.has_value());
}

TEST_F(WorkbenchTest, AnEditThatChangesNothingWritesNothing) {
    startLemon();
    m_bench->edit(m_bench->design());
    EXPECT_EQ(m_bench->history().size(), 1U);
}

/// What the file itself holds, past whatever the session adds in memory.
design::CellDesign storedDesign(const QString& path, const record::Id& id) {
    auto book = notebook::Notebook::open(path.toStdString(), notebook::OpenMode::Read);
    EXPECT_TRUE(book);
    const auto revisions = book->revisions();
    EXPECT_TRUE(revisions);
    for (const record::Revision& revision : *revisions) {
        if (revision.id == id) {
            return revision.design;
        }
    }
    ADD_FAILURE() << "no such design";
    return {};
}

TEST_F(WorkbenchTest, TheFileKeepsTheIdsOfEveryNameThatIsPoured) {
    startLemon();
    EXPECT_FALSE(storedDesign(m_bench->notebookPath(), m_bench->revision()->id).negative.material.id.empty());
    design::CellDesign design = m_bench->design();
    design.positive.material = "graphite";
    design.liquid.solutes.push_back({"NaCl", {design::AmountUnit::MassKg, 0.001}});
    m_bench->edit(design);
    const design::CellDesign stored = storedDesign(m_bench->notebookPath(), m_bench->revision()->id);
    EXPECT_EQ(stored.positive.material.written, "graphite");
    EXPECT_FALSE(stored.positive.material.id.empty());
    EXPECT_FALSE(stored.liquid.solutes.at(0).substance.id.empty());
    EXPECT_EQ(stored, m_bench->revision()->design);
}

TEST_F(WorkbenchTest, ANotebookOfNamesAloneIsIdentifiedAndNotWritten) {
    const QString path = QString::fromStdString(m_folder.path("old.anodex").string());
    std::filesystem::copy_file(test::sourceDir() / "tests/data/notebooks/version-3.anodex",
                               path.toStdString());
    ASSERT_TRUE(m_bench->openNotebook(path, false)) << m_refused.toStdString();
    ASSERT_FALSE(m_bench->revisions().empty());
    const std::size_t steps = m_bench->history().size();
    EXPECT_FALSE(m_bench->design().negative.material.id.empty());
    m_bench->edit(m_bench->design());
    EXPECT_EQ(m_bench->history().size(), steps);
}

TEST_F(WorkbenchTest, AnUnusableDesignIsRefusedAndLeftAsItWas) {
    startLemon();
    design::CellDesign design = m_bench->design();
    design.negative.material = "unobtainium";
    m_bench->edit(design);
    EXPECT_TRUE(m_refused.contains("negative.material")) << m_refused.toStdString();
    EXPECT_EQ(m_bench->design().negative.material, "zinc");
    EXPECT_TRUE(m_bench->outcome().usable());
}

TEST_F(WorkbenchTest, ABuildKeepsItsExpectationWhenTheDesignMovesOn) {
    startLemon();
    m_bench->writeDownBuild();
    const record::Expectation then = m_bench->build()->build.expectation;
    EXPECT_TRUE(then.openCircuitVolts.range.contains(then.openCircuitVolts.value));
    EXPECT_EQ(then.catalogueVersion, test::catalogue().version);
    EXPECT_TRUE(record::expectedLoadedVolts(then, 0.3 * then.shortCircuitAmps.value));
    setGap(0.03);
    EXPECT_EQ(m_bench->builds().front().build.expectation, then);
    EXPECT_EQ(m_bench->revisions().size(), 2U);
    EXPECT_EQ(m_bench->build(), nullptr);
}

TEST_F(WorkbenchTest, TheGhostIsTheStateBeforeTheLastEdit) {
    startLemon();
    setGap(0.02);
    setGap(0.04);
    ASSERT_TRUE(m_bench->ghost());
    EXPECT_NEAR(m_bench->ghost()->cell->gapMetres, 0.02, 1e-12);
}

TEST_F(WorkbenchTest, RangesArriveAfterTheHandPauses) {
    startLemon();
    EXPECT_FALSE(m_bench->outcome().doubt);
    EXPECT_TRUE(QTest::qWaitFor([&] { return m_bench->outcome().doubt.has_value(); }, 5000));
    EXPECT_TRUE(
        m_bench->outcome().doubt->openCircuitVolts.contains(m_bench->outcome().evaluation->openCircuitVolts));
}

TEST_F(WorkbenchTest, ReadingsEventsAndRunsBelongToTheBuild) {
    startLemon();
    record::Reading reading;
    reading.value = 1.0;
    m_bench->addReading(reading);
    EXPECT_EQ(m_bench->history().size(), 1U) << "there is no build to read";
    m_bench->writeDownBuild();
    reading.when = 10;
    m_bench->addReading(reading);
    m_bench->addEvent({{}, {}, 20, "stirred", true});
    EXPECT_FALSE(m_bench->build()->openCircuit) << "the reading came before the change";
    reading.when = 30;
    m_bench->addReading(reading);
    EXPECT_TRUE(m_bench->build()->openCircuit);
    EXPECT_TRUE(m_bench->importRun("night", 40, test::straightDischarge(0.001, 3600, 100), {}, {}));
    EXPECT_NEAR(*m_bench->build()->deliveredCoulombs(), 3.6, 1e-9);
    m_bench->undo();
    EXPECT_FALSE(m_bench->build()->deliveredCoulombs());
    m_bench->redo();
    EXPECT_TRUE(m_bench->build()->deliveredCoulombs());
}

TEST_F(WorkbenchTest, ALongRunIsReadAsideAndArrives) {
    startLemon();
    m_bench->writeDownBuild();
    EXPECT_TRUE(m_bench->importRun("weeks", 40, test::straightDischarge(0.001, 3.6e6, 250'000), {}, {}));
    EXPECT_FALSE(m_bench->build()->readingRuns) << "what was just imported is in hand";
    reopen();
    EXPECT_TRUE(m_bench->build()->readingRuns);
    EXPECT_FALSE(m_bench->build()->deliveredCoulombs());
    ASSERT_TRUE(QTest::qWaitFor([&] { return m_bench->build()->deliveredCoulombs().has_value(); }, 5000));
    EXPECT_FALSE(m_bench->build()->readingRuns);
    EXPECT_NEAR(*m_bench->build()->deliveredCoulombs(), 3600.0, 1e-6);
    setGap(0.02);
    m_bench->undo();
    m_bench->selectBuild(m_bench->builds().front().build.id);
    EXPECT_FALSE(m_bench->build()->readingRuns) << "read once, kept";
}

TEST_F(WorkbenchTest, ARunIsSetAsideAndBroughtBackAsACommand) {
    startLemon();
    m_bench->writeDownBuild();
    EXPECT_TRUE(m_bench->importRun("night", 40, test::straightDischarge(0.001, 3600, 100), {}, {}));
    const record::RunHeader run = m_bench->build()->runs.front();
    m_bench->setRunAside(run, true);
    EXPECT_EQ(m_said, "Set aside the run night");
    EXPECT_TRUE(m_bench->build()->runs.empty());
    EXPECT_TRUE(m_bench->allRuns(run.build).front().setAside);
    m_bench->undo();
    EXPECT_EQ(m_bench->build()->runs.size(), 1U);
    m_bench->redo();
    m_bench->setRunAside(m_bench->allRuns(run.build).front(), false);
    EXPECT_EQ(m_said, "Brought back the run night");
    EXPECT_EQ(m_bench->build()->runs.size(), 1U);
}

TEST_F(WorkbenchTest, SettingAsideMovesToAnotherAndComesBack) {
    startLemon();
    const record::Id first = m_bench->revision()->id;
    m_bench->branchDesign();
    const record::Id second = m_bench->revision()->id;
    m_bench->setRevisionAside(second, true);
    EXPECT_EQ(m_bench->revision()->id, first);
    m_bench->setRevisionAside(second, false);
    m_bench->selectRevision(second);
    EXPECT_EQ(m_bench->revision()->id, second);
    m_bench->writeDownBuild();
    const record::Id build = m_bench->build()->build.id;
    m_bench->setBuildAside(build, true);
    EXPECT_EQ(m_bench->build(), nullptr);
    EXPECT_TRUE(m_bench->buildsOf(second).empty());
}

TEST_F(WorkbenchTest, NamesStayUnique) {
    startLemon();
    for (int i = 0; i < 3; ++i) {
        m_bench->branchDesign();
    }
    std::set<std::string> names;
    for (const record::Revision& revision : m_bench->revisions()) {
        EXPECT_TRUE(names.insert(revision.name).second) << revision.name;
    }
    m_bench->renameRevision("  The good one ");
    EXPECT_EQ(m_bench->revision()->name, "The good one");
    m_bench->renameRevision("   ");
    EXPECT_EQ(m_bench->revision()->name, "The good one");
}

TEST_F(WorkbenchTest, ReopeningRestoresWhatWasAtHand) {
    startLemon();
    m_bench->branchDesign();
    const record::Id at = m_bench->revisions().front().id;
    m_bench->selectRevision(at);
    const QString path = m_bench->notebookPath();
    Services services;
    services.now = [] { return record::Millis{1}; };
    m_bench.reset();
    Workbench again(test::catalogue(), services);
    ASSERT_TRUE(again.openNotebook(path, false));
    EXPECT_EQ(again.revision()->id, at);
}

TEST_F(WorkbenchTest, AFileThatDoesNotOpenLeavesTheOpenOneAlone) {
    startLemon();
    const QString path = m_bench->notebookPath();
    test::writeText(m_folder.path("bad.anodex"), "no notebook");
    EXPECT_FALSE(m_bench->openNotebook(QString::fromStdString(m_folder.path("bad.anodex").string()), false));
    EXPECT_TRUE(m_refused.contains("no notebook")) << m_refused.toStdString();
    EXPECT_EQ(m_bench->notebookPath(), path);
    setGap(0.02);
    EXPECT_EQ(m_bench->history().size(), 2U);
}

} // namespace
} // namespace anodex::app
