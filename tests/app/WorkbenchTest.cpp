// The session behind the window, without the window.
#include "app/session/Workbench.h"
#include "app/session/Deeds.h"
#include "core/record/Expect.h"
#include "formats/CellFile.h"
#include "notebook/RunWriter.h"
#include "tests/app/Importing.h"
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
        design::CellDesign design = m_bench->draft().design();
        design.gapMetres = metres;
        m_bench->edit(design);
    }

    /// As after quitting.
    void reopen() {
        const QString path = m_bench->store().path();
        makeBench();
        ASSERT_TRUE(m_bench->files().open(path, false)) << m_refused.toStdString();
    }

    test::TemporaryFolder m_folder;
    record::Millis m_now = 1'790'000'000'000;
    QString m_refused;
    QString m_said;
    std::unique_ptr<Workbench> m_bench;
};

TEST_F(WorkbenchTest, TheFirstDesignMakesANotebookInTheDocuments) {
    EXPECT_FALSE(m_bench->store().isOpen());
    startLemon();
    EXPECT_TRUE(m_bench->store().path().endsWith("cells.anodex"));
    EXPECT_EQ(m_bench->contents().projects.size(), 1U);
    EXPECT_EQ(m_bench->contents().revisions.size(), 1U);
}

TEST_F(WorkbenchTest, AnExistingNotebookIsNotWrittenOver) {
    test::writeText(m_folder.path("cells.anodex"), "someone else's");
    startLemon();
    EXPECT_TRUE(m_bench->store().path().endsWith("cells-2.anodex"));
    EXPECT_EQ(test::readText(m_folder.path("cells.anodex")), "someone else's");
}

TEST_F(WorkbenchTest, AnUnbuiltRevisionIsEditedInPlace) {
    startLemon();
    setGap(0.02);
    setGap(0.03);
    EXPECT_EQ(m_bench->contents().revisions.size(), 1U);
    EXPECT_NEAR(*m_bench->selection().revision()->design.gapMetres, 0.03, 1e-12);
    EXPECT_EQ(m_bench->store().history().size(), 3U);
}

TEST_F(WorkbenchTest, ADraftChangesNothingUntilItSettles) {
    startLemon();
    design::CellDesign design = m_bench->draft().design();
    design.gapMetres = 0.05;
    m_bench->draft().change(design);
    EXPECT_NEAR(m_bench->draft().outcome().cell->gapMetres, 0.05, 1e-12);
    EXPECT_FALSE(m_bench->selection().revision()->design.gapMetres.has_value());
    m_bench->draft().drop();
    EXPECT_NEAR(m_bench->draft().outcome().cell->gapMetres, 0.01, 1e-12);
    EXPECT_EQ(m_bench->store().history().size(), 1U);
}

TEST_F(WorkbenchTest, ManyDraftsAreOneCommand) {
    startLemon();
    design::CellDesign design = m_bench->draft().design();
    for (int i = 1; i <= 20; ++i) {
        design.gapMetres = 0.001 * i;
        m_bench->draft().change(design);
    }
    m_bench->settle();
    EXPECT_EQ(m_bench->store().history().size(), 2U);
    m_bench->undo();
    EXPECT_FALSE(m_bench->selection().revision()->design.gapMetres.has_value());
}

TEST_F(WorkbenchTest, AnEditThatChangesNothingWritesNothing) {
    startLemon();
    m_bench->edit(m_bench->draft().design());
    EXPECT_EQ(m_bench->store().history().size(), 1U);
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
    EXPECT_FALSE(storedDesign(m_bench->store().path(), m_bench->selection().revision()->id)
                     .negative.material.id.empty());
    design::CellDesign design = m_bench->draft().design();
    design.positive.material = "graphite";
    design.liquid.solutes.push_back({"NaCl", {design::AmountUnit::MassKg, 0.001}});
    m_bench->edit(design);
    const design::CellDesign stored =
        storedDesign(m_bench->store().path(), m_bench->selection().revision()->id);
    EXPECT_EQ(stored.positive.material.written, "graphite");
    EXPECT_FALSE(stored.positive.material.id.empty());
    EXPECT_FALSE(stored.liquid.solutes.at(0).substance.id.empty());
    EXPECT_EQ(stored, m_bench->selection().revision()->design);
}

TEST_F(WorkbenchTest, ANotebookOfNamesAloneIsIdentifiedAndNotWritten) {
    const QString path = QString::fromStdString(m_folder.path("old.anodex").string());
    std::filesystem::copy_file(test::sourceDir() / "tests/data/notebooks/version-3.anodex",
                               path.toStdString());
    ASSERT_TRUE(m_bench->files().open(path, false)) << m_refused.toStdString();
    ASSERT_FALSE(m_bench->contents().revisions.empty());
    const std::size_t steps = m_bench->store().history().size();
    EXPECT_FALSE(m_bench->draft().design().negative.material.id.empty());
    m_bench->edit(m_bench->draft().design());
    EXPECT_EQ(m_bench->store().history().size(), steps);
}

TEST_F(WorkbenchTest, AnUnusableDesignIsRefusedAndLeftAsItWas) {
    startLemon();
    design::CellDesign design = m_bench->draft().design();
    design.negative.material = "unobtainium";
    m_bench->edit(design);
    EXPECT_TRUE(m_refused.contains("negative.material")) << m_refused.toStdString();
    EXPECT_EQ(m_bench->draft().design().negative.material, "zinc");
    EXPECT_TRUE(m_bench->draft().outcome().usable());
}

TEST_F(WorkbenchTest, ABuildKeepsItsExpectationWhenTheDesignMovesOn) {
    startLemon();
    m_bench->writeDownBuild();
    const record::Expectation then = m_bench->selection().build()->build.expectation;
    EXPECT_TRUE(then.openCircuitVolts.range.contains(then.openCircuitVolts.value));
    EXPECT_EQ(then.catalogueVersion, test::catalogue().version);
    EXPECT_TRUE(record::expectedLoadedVolts(then, 0.3 * then.shortCircuitAmps.value));
    setGap(0.03);
    EXPECT_EQ(m_bench->contents().builds.front().build.expectation, then);
    EXPECT_EQ(m_bench->contents().revisions.size(), 2U);
    EXPECT_EQ(m_bench->selection().build(), nullptr);
}

TEST_F(WorkbenchTest, TheGhostIsTheStateBeforeTheLastEdit) {
    startLemon();
    setGap(0.02);
    setGap(0.04);
    ASSERT_TRUE(m_bench->draft().ghost());
    EXPECT_NEAR(m_bench->draft().ghost()->cell->gapMetres, 0.02, 1e-12);
}

TEST_F(WorkbenchTest, RangesArriveAfterTheHandPauses) {
    startLemon();
    EXPECT_FALSE(m_bench->draft().outcome().doubt);
    EXPECT_TRUE(QTest::qWaitFor([&] { return m_bench->draft().outcome().doubt.has_value(); }, 5000));
    EXPECT_TRUE(m_bench->draft().outcome().doubt->openCircuitVolts.contains(
        m_bench->draft().outcome().evaluation->openCircuitVolts));
}

TEST_F(WorkbenchTest, ReadingsEventsAndRunsBelongToTheBuild) {
    startLemon();
    record::Reading reading;
    reading.value = 1.0;
    note(*m_bench, {reading});
    EXPECT_EQ(m_bench->store().history().size(), 1U) << "there is no build to read";
    m_bench->writeDownBuild();
    reading.when = 10;
    note(*m_bench, {reading});
    note(*m_bench, {{}, {}, 20, "stirred", true});
    EXPECT_FALSE(m_bench->selection().build()->openCircuit) << "the reading came before the change";
    reading.when = 30;
    note(*m_bench, {reading});
    EXPECT_TRUE(m_bench->selection().build()->openCircuit);
    EXPECT_TRUE(importRun(*m_bench, "night", 40, test::straightDischarge(0.001, 3600, 100)));
    EXPECT_NEAR(*m_bench->selection().build()->deliveredCoulombs(), 3.6, 1e-9);
    m_bench->undo();
    EXPECT_FALSE(m_bench->selection().build()->deliveredCoulombs());
    m_bench->redo();
    EXPECT_TRUE(m_bench->selection().build()->deliveredCoulombs());
}

TEST_F(WorkbenchTest, ALongRunIsReadAsideAndArrives) {
    startLemon();
    m_bench->writeDownBuild();
    EXPECT_TRUE(importRun(*m_bench, "weeks", 40, test::straightDischarge(0.001, 3.6e6, 250'000)));
    EXPECT_FALSE(m_bench->selection().build()->readingRuns) << "what was just imported is in hand";
    reopen();
    EXPECT_TRUE(m_bench->selection().build()->readingRuns);
    EXPECT_FALSE(m_bench->selection().build()->deliveredCoulombs());
    ASSERT_TRUE(
        QTest::qWaitFor([&] { return m_bench->selection().build()->deliveredCoulombs().has_value(); }, 5000));
    EXPECT_FALSE(m_bench->selection().build()->readingRuns);
    EXPECT_NEAR(*m_bench->selection().build()->deliveredCoulombs(), 3600.0, 1e-6);
    setGap(0.02);
    m_bench->undo();
    m_bench->selectBuild(m_bench->contents().builds.front().build.id);
    EXPECT_FALSE(m_bench->selection().build()->readingRuns) << "read once, kept";
}

TEST_F(WorkbenchTest, WhatARecorderAppendsIsNoticed) {
    startLemon();
    m_bench->writeDownBuild();
    record::RunHeader run;
    run.id = notebook::newId();
    run.build = m_bench->selection().build()->build.id;
    run.name = "live";
    auto writer = notebook::RunWriter::begin(m_bench->store().path().toStdString(), run,
                                             {{"voltage", "V", 1.0}, {"current", "A", 1.0}}, "recorder");
    ASSERT_TRUE(writer);
    const auto grown = [&](double second) {
        const std::vector<double> seconds{second, second + 1.0};
        const std::vector<double> volts{1.1, 1.0};
        const std::vector<double> amps{0.01, 0.01};
        return writer->append(seconds, {volts, amps}).has_value();
    };
    const auto held = [&] {
        const auto& runs = m_bench->selection().build()->runs;
        return runs.empty() ? std::int64_t{0} : runs.front().samples;
    };
    ASSERT_TRUE(grown(0.0));
    EXPECT_TRUE(QTest::qWaitFor([&] { return held() == 2; }, 4000));
    EXPECT_TRUE(
        QTest::qWaitFor([&] { return m_bench->selection().build()->deliveredCoulombs().has_value(); }, 4000));
    const double before = *m_bench->selection().build()->deliveredCoulombs();
    ASSERT_TRUE(grown(2.0));
    EXPECT_TRUE(QTest::qWaitFor([&] { return held() == 4; }, 4000));
    EXPECT_TRUE(
        QTest::qWaitFor([&] { return m_bench->selection().build()->deliveredCoulombs() > before; }, 4000));
    setGap(0.02);
    m_bench->undo();
    EXPECT_EQ(held(), 4) << "undo leaves what is recorded alone";
}

TEST_F(WorkbenchTest, ARunIsSetAsideAndBroughtBackAsACommand) {
    startLemon();
    m_bench->writeDownBuild();
    EXPECT_TRUE(importRun(*m_bench, "night", 40, test::straightDischarge(0.001, 3600, 100)));
    const record::RunHeader run = m_bench->selection().build()->runs.front();
    setRunAside(*m_bench, run, true);
    EXPECT_EQ(m_said, "Set aside the run night");
    EXPECT_TRUE(m_bench->selection().build()->runs.empty());
    EXPECT_TRUE(m_bench->contents().runsOf(run.build).front().setAside);
    m_bench->undo();
    EXPECT_EQ(m_bench->selection().build()->runs.size(), 1U);
    m_bench->redo();
    setRunAside(*m_bench, m_bench->contents().runsOf(run.build).front(), false);
    EXPECT_EQ(m_said, "Brought back the run night");
    EXPECT_EQ(m_bench->selection().build()->runs.size(), 1U);
}

TEST_F(WorkbenchTest, SettingAsideMovesToAnotherAndComesBack) {
    startLemon();
    const record::Id first = m_bench->selection().revision()->id;
    branchDesign(*m_bench);
    const record::Id second = m_bench->selection().revision()->id;
    setRevisionAside(*m_bench, second, true);
    EXPECT_EQ(m_bench->selection().revision()->id, first);
    setRevisionAside(*m_bench, second, false);
    m_bench->selectRevision(second);
    EXPECT_EQ(m_bench->selection().revision()->id, second);
    m_bench->writeDownBuild();
    const record::Id build = m_bench->selection().build()->build.id;
    setBuildAside(*m_bench, build, true);
    EXPECT_EQ(m_bench->selection().build(), nullptr);
    EXPECT_TRUE(m_bench->contents().buildsOf(second).empty());
}

TEST_F(WorkbenchTest, NamesStayUnique) {
    startLemon();
    for (int i = 0; i < 3; ++i) {
        branchDesign(*m_bench);
    }
    std::set<std::string> names;
    for (const record::Revision& revision : m_bench->contents().revisions) {
        EXPECT_TRUE(names.insert(revision.name).second) << revision.name;
    }
    renameRevision(*m_bench, "  The good one ");
    EXPECT_EQ(m_bench->selection().revision()->name, "The good one");
    renameRevision(*m_bench, "   ");
    EXPECT_EQ(m_bench->selection().revision()->name, "The good one");
}

TEST_F(WorkbenchTest, ReopeningRestoresWhatWasAtHand) {
    startLemon();
    branchDesign(*m_bench);
    const record::Id at = m_bench->contents().revisions.front().id;
    m_bench->selectRevision(at);
    const QString path = m_bench->store().path();
    Services services;
    services.now = [] { return record::Millis{1}; };
    m_bench.reset();
    Workbench again(test::catalogue(), services);
    ASSERT_TRUE(again.files().open(path, false));
    EXPECT_EQ(again.selection().revision()->id, at);
}

TEST_F(WorkbenchTest, AFileThatDoesNotOpenLeavesTheOpenOneAlone) {
    startLemon();
    const QString path = m_bench->store().path();
    test::writeText(m_folder.path("bad.anodex"), "no notebook");
    EXPECT_FALSE(m_bench->files().open(QString::fromStdString(m_folder.path("bad.anodex").string()), false));
    EXPECT_TRUE(m_refused.contains("no notebook")) << m_refused.toStdString();
    EXPECT_EQ(m_bench->store().path(), path);
    setGap(0.02);
    EXPECT_EQ(m_bench->store().history().size(), 2U);
}

} // namespace
} // namespace anodex::app
