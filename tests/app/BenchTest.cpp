// Readings and runs at the bench, by keys alone: correct, strike out, set aside, bring back.
#include "tests/app/WindowFixture.h"

#include "app/widgets/CurvePlot.h"
#include "app/widgets/ExplainPanel.h"

#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <qcustomplot.h>

namespace anodex::app {
namespace {

class BenchTest : public WindowTest {
protected:
    BenchTest() {
        openDemo();
        go(6);
    }
    QListWidget* list() { return find<QListWidget>("readingList"); }
    QLineEdit* entry() { return find<QLineEdit>("entryLine"); }
    void choose(const QString& part) {
        for (int i = 0; i < list()->count(); ++i) {
            if (list()->item(i)->text().contains(part)) {
                list()->setCurrentRow(i);
                list()->setFocus();
                return;
            }
        }
        ADD_FAILURE() << "no row with " << part.toStdString();
    }
    void press(int key) { QTest::keyClick(list(), static_cast<Qt::Key>(key)); }
};

TEST_F(BenchTest, EnterCorrectsAReadingInTheEntryLine) {
    const record::Reading before = *m_bench->selection().build()->openCircuit;
    choose("open circuit");
    press(Qt::Key_Return);
    EXPECT_TRUE(entry()->hasFocus());
    EXPECT_TRUE(find<QLabel>("entryEcho")->text().startsWith("corrects")) << "it says what Enter will do";
    type(entry(), "0.987 V");
    const record::Reading after = *m_bench->selection().build()->openCircuit;
    EXPECT_EQ(after.id, before.id);
    EXPECT_EQ(after.when, before.when) << "no other time was typed";
    EXPECT_NEAR(after.value, 0.987, 1e-12);
    EXPECT_TRUE(message().startsWith("Corrected")) << message().toStdString();
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(*m_bench->selection().build()->openCircuit, before);
}

TEST_F(BenchTest, ALineWithTwoMeaningsIsAskedAboutAndItsMeaningClicked) {
    const auto before = m_bench->selection().readings().size();
    type(entry(), "1,020 mV");
    EXPECT_EQ(m_bench->selection().readings().size(), before) << "nothing is kept before it is clear";
    EXPECT_EQ(entry()->text(), "1,020 mV") << "nothing typed is lost";
    EXPECT_TRUE(message().contains("may be")) << message().toStdString();
    QTest::mouseClick(find<QPushButton>("meant:1020 mV"), Qt::LeftButton);
    ASSERT_EQ(m_bench->selection().readings().size(), before + 1);
    EXPECT_NEAR(m_bench->selection().build()->openCircuit->value, 1.02, 1e-12);
}

TEST_F(BenchTest, WhatTheCellCannotGiveIsAskedAboutOnce) {
    const auto before = m_bench->selection().readings().size();
    type(entry(), "102 V");
    EXPECT_EQ(m_bench->selection().readings().size(), before);
    EXPECT_TRUE(message().contains("another range")) << message().toStdString();
    QTest::keyClick(entry(), Qt::Key_Return);
    EXPECT_EQ(m_bench->selection().readings().size(), before + 1) << "Enter again means it";
    type(entry(), "0.9 V 10 ohm 21 °C");
    EXPECT_EQ(m_bench->selection().readings().size(), before + 3);
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(m_bench->selection().readings().size(), before + 1) << "one line is one command";
}

TEST_F(BenchTest, ACorrectionThatIsNoReadingIsRefusedAndKept) {
    const auto before = m_bench->selection().readings();
    choose("open circuit");
    press(Qt::Key_Return);
    type(entry(), "looked fine");
    EXPECT_TRUE(message().contains("is no reading")) << message().toStdString();
    EXPECT_EQ(entry()->text(), "looked fine") << "nothing typed is lost";
    EXPECT_EQ(m_bench->selection().readings(), before);
    QTest::keyClick(entry(), Qt::Key_Escape);
    EXPECT_EQ(entry()->text(), "");
    type(entry(), "looked fine");
    EXPECT_EQ(m_bench->selection().events().back().text, "looked fine") << "after Escape it is a note again";
}

TEST_F(BenchTest, WhatStandsInTheLineForCorrectionReadsBackAsItIs) {
    const record::Reading before = *m_bench->selection().build()->openCircuit;
    choose("open circuit");
    press(Qt::Key_Return);
    QTest::keyClick(entry(), Qt::Key_Return);
    EXPECT_EQ(m_bench->selection().build()->openCircuit->value, before.value);
    EXPECT_EQ(m_bench->selection().build()->openCircuit->quantity, before.quantity);
    EXPECT_EQ(m_bench->selection().build()->openCircuit->note, before.note);
}

TEST_F(BenchTest, DeleteStrikesOutAndBringsBack) {
    choose("short circuit");
    press(Qt::Key_Delete);
    EXPECT_FALSE(m_bench->selection().build()->shortCircuit);
    EXPECT_TRUE(list()->currentItem()->font().strikeOut()) << "the same row stays chosen";
    press(Qt::Key_Delete);
    EXPECT_TRUE(m_bench->selection().build()->shortCircuit);
}

TEST_F(BenchTest, ARunIsSetAsideAndBroughtBackFromFind) {
    ASSERT_EQ(m_bench->selection().build()->runs.size(), 1U);
    const QString name = QString::fromStdString(m_bench->selection().build()->runs.front().name);
    choose("run ");
    press(Qt::Key_Delete);
    EXPECT_TRUE(m_bench->selection().build()->runs.empty());
    EXPECT_FALSE(m_bench->selection().build()->deliveredCoulombs());
    QTest::keyClick(m_window.get(), Qt::Key_F, Qt::ControlModifier);
    type(find<QLineEdit>("findField"), name + " set aside");
    EXPECT_EQ(m_bench->selection().build()->runs.size(), 1U);
    EXPECT_EQ(m_window->station(), "judge");
}

TEST_F(BenchTest, AnUndoneImportComesBackEvenAfterSomethingElseWasDone) {
    const QString file = QString::fromStdString(m_folder.path("x.csv").string());
    test::writeText(file.toStdString(),
                    "time (s),voltage (V),current (A)\n0,1,0.1\n10,0.9,0.1\n20,0.8,0.1\n");
    m_fileToOpen = file;
    QTest::keyClick(m_window.get(), Qt::Key_I, Qt::ControlModifier);
    QTest::mouseClick(find<QPushButton>("importAdd"), Qt::LeftButton);
    ASSERT_EQ(m_bench->selection().build()->runs.size(), 2U);
    QTest::keyClick(focused(), Qt::Key_Z, Qt::ControlModifier);
    ASSERT_EQ(m_bench->selection().build()->runs.size(), 1U);
    type(entry(), "1.01 V");
    choose("run x");
    press(Qt::Key_Delete);
    EXPECT_EQ(m_bench->selection().build()->runs.size(), 2U);
}

TEST_F(BenchTest, ANoteIsNotStruckOutAndSaysWhy) {
    const auto before = m_bench->store().history().size();
    choose("beacon");
    press(Qt::Key_Delete);
    EXPECT_TRUE(message().contains("undo")) << message().toStdString();
    EXPECT_EQ(m_bench->store().history().size(), before);
}

TEST_F(BenchTest, EnterOnARunGoesToItsVerdict) {
    choose("run ");
    press(Qt::Key_Return);
    EXPECT_EQ(m_window->station(), "judge");
}

TEST_F(BenchTest, ARowLeadsThePictureToItsMoment) {
    auto* plot = find<QWidget>("benchView")->findChild<CurvePlot*>()->plot();
    const int before = plot->itemCount();
    plot->xAxis->setRange(1000.0, 1001.0);
    QTest::mouseClick(list()->viewport(), Qt::LeftButton, {},
                      list()->visualItemRect(list()->item(list()->count() - 1)).center());
    EXPECT_EQ(plot->itemCount(), before + 1);
    EXPECT_TRUE(plot->xAxis->range().contains(1.0)) << "the first reading, an hour after it was built";
    EXPECT_FALSE(plot->xAxis->range().contains(1000.0));
    QTest::keyClick(list(), Qt::Key_Up);
    EXPECT_EQ(plot->itemCount(), before + 1) << "one mark, moved";
}

TEST_F(BenchTest, ArrowsRecallWhatWasTyped) {
    type(entry(), "1.01 V");
    type(entry(), "1.00 V");
    QTest::keyClick(entry(), Qt::Key_Up);
    EXPECT_EQ(entry()->text(), "1.00 V");
    QTest::keyClick(entry(), Qt::Key_Up);
    EXPECT_EQ(entry()->text(), "1.01 V");
    QTest::keyClick(entry(), Qt::Key_Down);
    QTest::keyClick(entry(), Qt::Key_Down);
    EXPECT_EQ(entry()->text(), "");
}

TEST_F(BenchTest, TheLargeNumberStandsBesideWhatWasExpectedOfIt) {
    type(entry(), "short 33 mA");
    const QWidget* page = find<QLabel>("liveValue")->parentWidget();
    QString note;
    for (const QLabel* label : page->findChildren<QLabel*>()) {
        note += label->text();
    }
    EXPECT_TRUE(note.contains("expected short circuit")) << note.toStdString();
    EXPECT_TRUE(find<QLabel>("liveValue")->text().contains("33"));
}

TEST_F(BenchTest, JudgeNamesItsCurves) {
    go(7);
    QCustomPlot* plot = nullptr;
    for (CurvePlot* curve : m_window->findChildren<CurvePlot*>()) {
        plot = curve->isVisible() ? curve->plot() : plot;
    }
    ASSERT_NE(plot, nullptr);
    EXPECT_TRUE(plot->legend->visible());
    EXPECT_EQ(plot->legend->itemCount(), 2);
    QStringList texts;
    for (int i = 0; i < plot->itemCount(); ++i) {
        if (const auto* text = qobject_cast<QCPItemText*>(plot->item(i))) {
            texts << text->text();
        }
    }
    EXPECT_TRUE(texts.join(' ').contains("expected open circuit")) << texts.join(' ').toStdString();
}

class AsBuiltTest : public BenchTest {
protected:
    QLineEdit* field(const QString& id) { return find<QLineEdit>("asBuilt:" + id); }
    void openSheet() { QTest::mouseClick(find<QPushButton>("asBuilt"), Qt::LeftButton); }
    void keep() { QTest::mouseClick(find<QPushButton>("asBuiltKeep"), Qt::LeftButton); }
};

TEST_F(AsBuiltTest, WhatDifferedChangesTheBuildAndItsExpectationAlone) {
    const record::Build before = m_bench->selection().build()->build;
    const auto revisions = m_bench->contents().revisions;
    openSheet();
    EXPECT_TRUE(field("gap")->hasFocus());
    EXPECT_TRUE(field("gap")->placeholderText().contains("60"));
    type(field("gap"), "90", false);
    type(field("negativeMass"), "12,5 g", false);
    keep();
    const record::Build after = m_bench->selection().build()->build;
    EXPECT_NEAR(*after.asBuilt.gapMetres, 0.090, 1e-12);
    EXPECT_NEAR(*after.asBuilt.negative.measuredMassKg, 0.0125, 1e-12);
    EXPECT_GT(after.expectation.resistanceOhm.value, 1.3 * before.expectation.resistanceOhm.value);
    EXPECT_EQ(m_bench->contents().revisions, revisions) << "the design is as it was";
    EXPECT_TRUE(message().startsWith("As built:")) << message().toStdString();
    EXPECT_TRUE(find<QPushButton>("asBuilt")->text().contains("differs"));
    // Marked on the section.
    go(3);
    EXPECT_TRUE(picture("section")->item("negative")->value.contains("built 12.5 g"));
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(m_bench->selection().build()->build, before);
}

TEST_F(AsBuiltTest, AnEmptiedFieldIsAsDesignedAgain) {
    const record::Build before = m_bench->selection().build()->build;
    openSheet();
    type(field("temperature"), "4", false);
    keep();
    EXPECT_NEAR(*m_bench->selection().build()->build.asBuilt.temperatureKelvin, 277.15, 1e-9);
    openSheet();
    EXPECT_EQ(field("temperature")->text(), "4");
    EXPECT_EQ(field("gap")->text(), "") << "only what differs is filled in";
    type(field("temperature"), "", false);
    QTest::keyClick(field("temperature"), Qt::Key_Backspace);
    keep();
    EXPECT_EQ(m_bench->selection().build()->build.asBuilt, before.asBuilt);
    EXPECT_EQ(find<QPushButton>("asBuilt")->text(), "As built");
}

TEST_F(AsBuiltTest, WhatDoesNotFitIsSaidAndNothingIsKept) {
    const record::Build before = m_bench->selection().build()->build;
    for (const auto& [id, text] : std::vector<std::pair<const char*, const char*>>{
             {"gap", "wide"}, {"gap", "5 V"}, {"gap", "-3"}, {"temperature", "90"}, {"positiveMass", "0"}}) {
        openSheet();
        type(field(id), text, false);
        keep();
        const QString fault = find<QLabel>("asBuiltFault")->text();
        EXPECT_TRUE(fault.contains("right would be")) << id << text << fault.toStdString();
        EXPECT_TRUE(field(id)->isVisible()) << "the sheet stays open";
        QTest::keyClick(field(id), Qt::Key_Escape);
        EXPECT_FALSE(field(id)->isVisible());
        EXPECT_EQ(m_bench->selection().build()->build, before) << id << text;
    }
}

TEST_F(AsBuiltTest, LeavingItAloneWritesNothing) {
    const auto history = m_bench->store().history().size();
    openSheet();
    type(field("gap"), "44", false);
    QTest::mouseClick(find<QPushButton>("asBuiltLeave"), Qt::LeftButton);
    openSheet();
    keep();
    EXPECT_EQ(m_bench->store().history().size(), history);
}

TEST_F(AsBuiltTest, TheRailShowsTheBuildAtTheBenchAndTheDesignWhereItIsDrawn) {
    const auto ohms = [&] { return picture("rail")->item("resistance")->value; };
    const QString designed = ohms();
    openSheet();
    type(field("gap"), "90", false);
    keep();
    EXPECT_NE(ohms(), designed) << "at the bench, as it was built";
    EXPECT_TRUE(picture("rail")->item("openCircuit")->value.contains("measured"));
    go(3);
    EXPECT_EQ(ohms().left(5), designed.left(5)) << "on the drawing, as designed";
    EXPECT_FALSE(picture("rail")->item("openCircuit")->value.contains("measured"))
        << "which nobody has measured";
    go(7);
    click(picture("rail"), "resistance");
    EXPECT_TRUE(m_window->explainPanel()->isVisible());
}

} // namespace
} // namespace anodex::app
