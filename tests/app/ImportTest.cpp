// The import sheet with files that take their time, and with second thoughts.
#include "tests/app/WindowFixture.h"

#include "formats/run/RunCsv.h"

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QProgressBar>
#include <QPushButton>
#include <fmt/format.h>
#include <gmock/gmock.h>

namespace anodex::app {
namespace {

constexpr int kLongest = 60000; // ms: under sanitizers beside other work, too

std::string rows(int count) {
    std::string text = "time (s),voltage (V),current (A)\n";
    for (int i = 0; i < count; ++i) {
        text += fmt::format("{},{:.4f},0.0500\n", i, 1.2 - 0.3 * i / count);
    }
    return text;
}

class ImportTest : public WindowTest {
protected:
    ImportTest() {
        openDemo();
        go(6);
    }
    void choose(const std::string& text) {
        m_fileToOpen = QString::fromStdString(m_folder.path("run.csv").string());
        test::writeText(m_fileToOpen.toStdString(), text);
        QTest::mouseClick(find<QPushButton>("importRun"), Qt::LeftButton);
    }
    QPushButton* add() { return find<QPushButton>("importAdd"); }
    QPushButton* cancel() { return find<QPushButton>("importCancel"); }
    std::size_t runs() { return m_bench->selection().build()->runs.size(); }
};

TEST_F(ImportTest, ALongFileIsReadAsideAndAddedWhole) {
    constexpr int kRows = 400'000;
    choose(rows(kRows));
    EXPECT_FALSE(add()->isEnabled()) << "nothing to add while it is read";
    ASSERT_TRUE(QTest::qWaitFor([&] { return add()->isEnabled(); }, kLongest));
    QTest::mouseClick(add(), Qt::LeftButton);
    ASSERT_TRUE(stored());
    ASSERT_EQ(runs(), 2U);
    EXPECT_EQ(m_bench->selection().build()->runs.back().samples, kRows);
}

TEST_F(ImportTest, CancelWhileReadingLeavesNothing) {
    choose(rows(400'000));
    QTest::mouseClick(cancel(), Qt::LeftButton);
    EXPECT_FALSE(add()->isVisible());
    QTest::qWait(50);
    EXPECT_EQ(runs(), 1U);
    // And the sheet is as good as new.
    choose(rows(20));
    QTest::mouseClick(add(), Qt::LeftButton);
    ASSERT_TRUE(stored());
    EXPECT_EQ(runs(), 2U);
}

TEST_F(ImportTest, CancelWhileStoringLeavesNothing) {
    choose(rows(400'000));
    ASSERT_TRUE(QTest::qWaitFor([&] { return add()->isEnabled(); }, kLongest));
    const auto history = m_bench->store().history().size();
    QTest::mouseClick(add(), Qt::LeftButton);
    ASSERT_TRUE(m_bench->runImport().isBusy());
    QTest::mouseClick(cancel(), Qt::LeftButton);
    EXPECT_EQ(runs(), 1U);
    EXPECT_EQ(m_bench->store().history().size(), history);
    EXPECT_TRUE(message().contains("stopped")) << message().toStdString();
    EXPECT_TRUE(add()->isEnabled()) << "it can be added after all";
    QTest::mouseClick(add(), Qt::LeftButton);
    ASSERT_TRUE(stored());
    EXPECT_EQ(runs(), 2U);
}

TEST_F(ImportTest, OtherWorkGoesOnWhileStoring) {
    choose(rows(400'000));
    ASSERT_TRUE(QTest::qWaitFor([&] { return add()->isEnabled(); }, kLongest));
    QTest::mouseClick(add(), Qt::LeftButton);
    ASSERT_TRUE(m_bench->runImport().isBusy());
    go(3);
    design::CellDesign design = m_bench->draft().design();
    design.gapMetres = 0.033;
    m_bench->edit(design);
    m_bench->undo();
    EXPECT_TRUE(message().contains("Undone")) << message().toStdString();
    ASSERT_TRUE(stored());
    m_bench->undo();
    EXPECT_TRUE(message().contains("Added the run")) << "the import is a step of its own";
}

TEST_F(ImportTest, AnotherNotebookOpenedMeanwhileLeavesNothingOfTheRun) {
    start();
    m_bench->startDesign(test::design(test::lemon()));
    m_bench->writeDownBuild();
    go(6);
    const std::string path = m_bench->store().path().toStdString();
    choose(rows(400'000));
    ASSERT_TRUE(QTest::qWaitFor([&] { return add()->isEnabled(); }, kLongest));
    QTest::mouseClick(add(), Qt::LeftButton);
    ASSERT_TRUE(m_bench->runImport().isBusy());
    ASSERT_TRUE(m_bench->files().open(QString::fromStdString(m_folder.path("other.anodex").string()), true));
    EXPECT_FALSE(m_bench->runImport().isBusy());
    const auto left = notebook::Notebook::open(path, notebook::OpenMode::Read);
    EXPECT_EQ(left->counts()->runs, 0);
    EXPECT_TRUE(left->check()->empty());
}

TEST_F(ImportTest, AnotherRoleReadsTheFileAnew) {
    choose("a;b;c\n0;1,2;5\n10;1,1;5\n20;1,0;5\n");
    const auto give = [&](int column, const QString& role) {
        auto* box = find<QComboBox>(QString("role:%1").arg(column));
        box->setCurrentIndex(box->findText(role));
    };
    give(0, "time, min");
    give(1, "voltage, V");
    give(2, "current, mA");
    ASSERT_TRUE(add()->isEnabled()) << find<QLabel>("importState")->text().toStdString();
    QTest::mouseClick(add(), Qt::LeftButton);
    ASSERT_EQ(runs(), 2U);
    EXPECT_NEAR(m_bench->selection().build()->runs.back().durationSeconds, 1200.0, 1e-9);
}

/// A current of one sign for a minute in the middle, and what the voltage does meanwhile.
std::string stepped(double amps, double volts) {
    std::string text = "time (s),voltage (V),current (A)\n";
    for (int i = 0; i < 180; ++i) {
        const bool flows = i >= 60 && i < 120;
        text += fmt::format("{},{},{}\n", i, flows ? volts : 1.2, flows ? amps : 0.0);
    }
    return text;
}

TEST_F(ImportTest, CurrentStandsBesideTheVoltageSoThatItsSignCanBeJudged) {
    auto* state = find<QLabel>("importState");
    const auto said = [&] { return state->text().replace(QChar(0xA0), ' ').toStdString(); };
    using testing::HasSubstr;
    using testing::Not;
    choose(stepped(-0.36, 0.9));
    EXPECT_TRUE(find<QWidget>("importCurrent")->isVisible());
    EXPECT_THAT(said(), HasSubstr("drawn from the cell 6.00 mAh, put in 0 Ah"));
    EXPECT_THAT(said(), Not(HasSubstr("other way round")));
    auto* sign = find<QCheckBox>("importSign");
    QTest::mouseClick(sign, Qt::LeftButton, Qt::NoModifier, QPoint(8, sign->height() / 2));
    EXPECT_THAT(said(), HasSubstr("drawn from the cell 0 Ah, put in 6.00 mAh"));
    EXPECT_THAT(said(), HasSubstr("is the sign the other way round?"));
    QTest::mouseClick(cancel(), Qt::LeftButton);
    choose(stepped(-0.36, 1.6)); // charged, though the sign is the same
    EXPECT_THAT(said(), HasSubstr("drawn from the cell 0 Ah, put in 6.00 mAh"));
    EXPECT_THAT(said(), Not(HasSubstr("other way round")));
}

TEST_F(ImportTest, TheLastFilesCurrentDoesNotStandBesideOneStillBeingRead) {
    choose(stepped(-0.36, 0.9));
    QTest::mouseClick(cancel(), Qt::LeftButton);
    choose(rows(400'000));
    EXPECT_FALSE(find<QWidget>("importCurrent")->isVisible());
    ASSERT_TRUE(QTest::qWaitFor([&] { return add()->isEnabled(); }, kLongest));
    EXPECT_TRUE(find<QWidget>("importCurrent")->isVisible());
}

TEST_F(ImportTest, AFileWithoutACurrentHasNoSignToSet) {
    choose("time (s),voltage (V)\n0,1.2\n1,1.1\n2,1.0\n");
    EXPECT_FALSE(find<QWidget>("importCurrent")->isVisible());
    EXPECT_FALSE(find<QCheckBox>("importSign")->isVisible());
    EXPECT_TRUE(add()->isEnabled());
}

TEST_F(ImportTest, WhatIsNotSureIsAskedBeforeItCanBeAdded) {
    choose("time,voltage,current\n0,1.02,0\n60,1.01,0.001\n120,1.0,0.001\n180,1.01,0\n");
    auto* question = find<QWidget>("importQuestion");
    ASSERT_TRUE(question->isVisible());
    EXPECT_FALSE(add()->isEnabled());
    for (int answers = 0; question->isVisible() && answers < 4; ++answers) {
        auto* choice = question->findChild<QPushButton*>(answers == 0 ? "choice:min" : "choice:A");
        ASSERT_NE(choice, nullptr) << answers;
        QTest::mouseClick(choice, Qt::LeftButton);
        QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    }
    EXPECT_FALSE(question->isVisible());
    ASSERT_TRUE(add()->isEnabled());
    QTest::mouseClick(add(), Qt::LeftButton);
    EXPECT_NEAR(m_bench->selection().build()->runs.back().durationSeconds, 180.0 * 60.0, 1e-9);
    // The next file of that logger is read the same way without a word.
    choose("time,voltage,current\n0,1.02,0\n60,1.01,0.001\n120,1.0,0.001\n180,1.01,0\n");
    EXPECT_FALSE(question->isVisible());
    EXPECT_TRUE(add()->isEnabled());
}

} // namespace
} // namespace anodex::app
