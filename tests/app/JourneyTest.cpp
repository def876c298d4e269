// The whole job through the real window: design → build → readings → import → judge → undo → reopen.
#include "app/session/Deeds.h"
#include "tests/app/WindowFixture.h"
#include "wording/Texts.h"

#include "app/views/bench/ImportSheet.h"
#include "formats/run/RunCsv.h"

#include <QComboBox>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QStackedWidget>
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace anodex::app {
namespace {

std::string loggerFile(int rows) {
    std::string text = "shed logger\nchannel 2\nZeit [s];Spannung [V];Strom [mA]\n";
    for (int i = 0; i < rows; ++i) {
        std::string row = fmt::format("{};{:.6f};{:.9f}\n", i, 1.0 - 2e-6 * i, 50.0 * std::exp(-i / 20000.0));
        std::replace(row.begin(), row.end(), '.', ',');
        text += row;
    }
    return text;
}

TEST_F(WindowTest, FirstStartAsksNothingAndOffersItsDoors) {
    EXPECT_FALSE(m_bench->store().isOpen());
    for (const char* door : {"doorFirst", "doorFile", "doorDemo"}) {
        EXPECT_TRUE(find<QPushButton>(door)->isVisible()) << door;
    }
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    EXPECT_EQ(m_window->station(), "couple");
    EXPECT_TRUE(m_bench->store().isOpen());
    EXPECT_TRUE(message().contains("documents")) << message().toStdString();
    EXPECT_NEAR(openCircuit(), 1.0, 0.12);
}

TEST_F(WindowTest, TheWholeJobByMouseAndKeys) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    // Another metal on the negative side, by typing.
    click(picture("ladder"), "foot:0");
    type(find<QLineEdit>("materialFilter"), "alum");
    EXPECT_EQ(m_bench->draft().design().negative.material, "aluminium");
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(m_bench->draft().design().negative.material, "zinc");
    // Sizes on the section.
    go(3);
    const double before = m_bench->draft().outcome().evaluation->resistance.totalOhm;
    drag(picture("section"), "gap", QPoint(-120, 0));
    EXPECT_LT(m_bench->draft().outcome().evaluation->resistance.totalOhm, 0.7 * before);
    EXPECT_TRUE(message().contains("gap")) << message().toStdString();
    // A build and two readings.
    QTest::keyClick(m_window.get(), Qt::Key_B, Qt::ControlModifier);
    ASSERT_NE(m_bench->selection().build(), nullptr);
    go(6);
    type(find<QLineEdit>("entryLine"), "1,02 V");
    type(find<QLineEdit>("entryLine"), "short 1.1 mA");
    type(find<QLineEdit>("entryLine"), "juice turned cloudy");
    EXPECT_EQ(m_bench->selection().readings().size(), 2U);
    EXPECT_EQ(m_bench->selection().events().size(), 1U);
    EXPECT_TRUE(find<QLabel>("liveValue")->text().contains("1.1"));
    // A run through the sheet.
    m_fileToOpen = QString::fromStdString(m_folder.path("night.csv").string());
    test::writeText(m_fileToOpen.toStdString(), loggerFile(500));
    QTest::keyClick(m_window.get(), Qt::Key_I, Qt::ControlModifier);
    QTest::mouseClick(find<QPushButton>("importAdd"), Qt::LeftButton);
    ASSERT_TRUE(stored());
    ASSERT_EQ(m_bench->selection().build()->runs.size(), 1U);
    // The verdict.
    go(7);
    const QString sentence = find<QLabel>("judgeSentence")->text();
    EXPECT_TRUE(sentence.contains("was expected")) << sentence.toStdString();
    EXPECT_TRUE(sentence.contains("delivered")) << sentence.toStdString();
    // Everything undone, everything redone.
    const QString path = m_bench->store().path();
    constexpr int kMoreThanEnough = 40;
    for (int i = 0; i < kMoreThanEnough && message() != "Nothing left to undo"; ++i) {
        QTest::keyClick(focused(), Qt::Key_Z, Qt::ControlModifier);
    }
    EXPECT_TRUE(m_bench->contents().revisions.empty());
    for (int i = 0; i < kMoreThanEnough && message() != "Nothing left to redo"; ++i) {
        QTest::keyClick(focused(), Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
    }
    ASSERT_EQ(m_bench->contents().builds.size(), 1U);
    EXPECT_EQ(m_window->station(), "notebook") << "with nothing left, the doors are shown";
    go(7);
    // And all of it there after quitting.
    start(path);
    ASSERT_EQ(m_bench->contents().builds.size(), 1U);
    EXPECT_EQ(m_bench->contents().builds[0].runs.size(), 1U);
    ASSERT_TRUE(m_bench->contents().builds[0].openCircuit);
    EXPECT_NEAR(m_bench->contents().builds[0].openCircuit->value, 1.02, 1e-9);
    EXPECT_EQ(m_bench->store().remembered("station"), "judge");
}

TEST_F(WindowTest, AHundredThousandRowsAreReadOnceAndAskNothingTheSecondTime) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    QTest::keyClick(m_window.get(), Qt::Key_B, Qt::ControlModifier);
    go(6);
    m_fileToOpen = QString::fromStdString(m_folder.path("long.csv").string());
    test::writeText(m_fileToOpen.toStdString(), loggerFile(100000));
    QTest::mouseClick(find<QPushButton>("importRun"), Qt::LeftButton);
    // The guess is taken away and given back by hand, so that there is something to remember.
    auto* role = find<QComboBox>("role:2");
    QTest::keyClick(role, Qt::Key_Home);
    EXPECT_EQ(role->currentText(), "leave out");
    QTest::keyClicks(role, "c");
    EXPECT_EQ(role->currentText(), "current, A");
    QTest::keyClick(role, Qt::Key_Down);
    EXPECT_EQ(role->currentText(), "current, mA");
    QTest::mouseClick(find<QPushButton>("importAdd"), Qt::LeftButton);
    ASSERT_TRUE(stored());
    ASSERT_EQ(m_bench->selection().build()->runs.size(), 1U);
    const double exact = 0.05 * 20000.0 * (1.0 - std::exp(-99999.0 / 20000.0));
    EXPECT_NEAR(*m_bench->selection().build()->deliveredCoulombs() / exact, 1.0, 1e-4);
    start(m_bench->store().path());
    go(6);
    m_fileToOpen = QString::fromStdString(m_folder.path("second.csv").string());
    test::writeText(m_fileToOpen.toStdString(), loggerFile(300));
    QTest::mouseClick(find<QPushButton>("importRun"), Qt::LeftButton);
    QTest::keyClick(find<QPushButton>("importAdd"), Qt::Key_Space);
    ASSERT_TRUE(stored());
    EXPECT_EQ(m_bench->selection().build()->runs.size(), 2U);
}

TEST_F(WindowTest, EditingWhatWasBuiltBeginsAChild) {
    openDemo();
    const auto revisions = m_bench->contents().revisions.size();
    const record::Id parent = m_bench->selection().revision()->id;
    go(2);
    type(find<QLineEdit>("amount:0:0"), "20 g");
    ASSERT_EQ(m_bench->contents().revisions.size(), revisions + 1);
    EXPECT_EQ(m_bench->selection().revision()->parent, parent);
    EXPECT_TRUE(message().contains("begins")) << message().toStdString();
    EXPECT_EQ(m_bench->selection().revision()->name, "Rain gauge jar 4");
    // The built one is as it was.
    EXPECT_NEAR(m_bench->contents().revisions[revisions - 1].design.liquid.solutes[0].amount.value, 0.040,
                1e-12);
}

TEST_F(WindowTest, AnAmountMayBeChangedByTheSpoonAndTheCup) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    type(find<QLineEdit>("pour:0"), "5 g salt");
    type(find<QLineEdit>("amount:0:0"), "half a tsp");
    EXPECT_NEAR(m_bench->draft().design().liquid.solutes[0].amount.value, 0.003, 0.0005);
    type(find<QLineEdit>("amount:0:-1"), "a cup");
    EXPECT_NEAR(m_bench->draft().design().liquid.basisValue, 245e-6, 15e-6);
    type(find<QLineEdit>("amount:0:0"), "some");
    EXPECT_TRUE(message().contains("no amount")) << message().toStdString();
    EXPECT_NEAR(m_bench->draft().design().liquid.solutes[0].amount.value, 0.003, 0.0005);
}

TEST_F(WindowTest, TypingUpdatesAtEachKeystrokeThatParses) {
    openDemo();
    go(2);
    auto* field = find<QLineEdit>("amount:0:0");
    field->setFocus();
    field->selectAll();
    const auto before = m_bench->store().history().size();
    std::vector<double> ohms;
    for (const char* key : {"8", "0", " ", "g"}) {
        QTest::keyClicks(field, key);
        ohms.push_back(m_bench->draft().outcome().evaluation->resistance.totalOhm);
    }
    EXPECT_EQ(ohms[0], ohms[1]); // "8" and "80" have no unit yet
    EXPECT_LT(ohms[3], ohms[0]);
    EXPECT_EQ(m_bench->store().history().size(), before) << "nothing is written while typing";
    QTest::keyClick(field, Qt::Key_Return);
    EXPECT_TRUE(wording::text(m_bench->store().history().back().said).find("80") != std::string::npos);
}

TEST_F(WindowTest, ArrowsAndTheWheelStepAnAmountAndMoveTheRungs) {
    openDemo();
    go(2);
    auto* field = find<QLineEdit>("amount:1:0");
    field->setFocus();
    const auto rungAt = [&] {
        for (const PictureItem& item : picture("ladder")->items()) {
            if (item.id == "settled:1") {
                return item.value;
            }
        }
        return QString();
    };
    const QString before = rungAt();
    const auto history = m_bench->store().history().size();
    for (int i = 0; i < 30; ++i) {
        QTest::keyClick(field, Qt::Key_Down);
    }
    EXPECT_NE(rungAt(), before);
    EXPECT_LT(m_bench->draft().design().positiveLiquid->solutes[0].amount.value, 0.02);
    EXPECT_EQ(m_bench->store().history().size(), history) << "one gesture, not yet over";
    QWheelEvent wheel(QPointF(4, 4), field->mapToGlobal(QPointF(4, 4)), {}, QPoint(0, 120), Qt::NoButton,
                      Qt::NoModifier, Qt::NoScrollPhase, false);
    const double weak = m_bench->draft().design().positiveLiquid->solutes[0].amount.value;
    QApplication::sendEvent(field, &wheel);
    EXPECT_NEAR(m_bench->draft().design().positiveLiquid->solutes[0].amount.value / weak, 1.05, 0.01);
    QTest::keyClick(field, Qt::Key_Return);
    EXPECT_EQ(m_bench->contents().revisions.size(), 17U) << "the built one stays, a child begins";
    EXPECT_EQ(m_bench->store().history().size(), history + 1);
}

TEST_F(WindowTest, ADraftSettlesByItselfAfterAMomentOfQuiet) {
    openDemo();
    go(3);
    const auto before = m_bench->store().history().size();
    auto* section = picture("section");
    section->setFocus();
    section->focusItem("gap");
    QTest::keyClick(section, Qt::Key_Plus);
    EXPECT_EQ(m_bench->store().history().size(), before);
    EXPECT_TRUE(QTest::qWaitFor([&] { return m_bench->store().history().size() == before + 1; }, 3000));
}

TEST_F(WindowTest, BranchSetAsideAndBringBack) {
    openDemo();
    const auto count = m_bench->contents().revisions.size();
    QTest::keyClick(m_window.get(), Qt::Key_D, Qt::ControlModifier);
    ASSERT_EQ(m_bench->contents().revisions.size(), count + 1);
    const record::Id fresh = m_bench->selection().revision()->id;
    setRevisionAside(*m_bench, fresh, true);
    EXPECT_NE(m_bench->selection().revision()->id, fresh);
    EXPECT_EQ(picture("timeline")->item("rev:" + QString::fromStdString(fresh)), nullptr);
    // It stays in find and comes back from there.
    QTest::keyClick(m_window.get(), Qt::Key_F, Qt::ControlModifier);
    type(find<QLineEdit>("findField"), "set aside");
    EXPECT_EQ(m_bench->selection().revision()->id, fresh);
    EXPECT_NE(picture("timeline")->item("rev:" + QString::fromStdString(fresh)), nullptr);
}

TEST_F(WindowTest, HoldPinsAStateToCompareWith) {
    openDemo();
    QTest::keyClick(m_window.get(), Qt::Key_H, Qt::ControlModifier);
    EXPECT_TRUE(m_bench->draft().isHeld());
    const double held = m_bench->draft().ghost()->evaluation->resistance.totalOhm;
    design::CellDesign design = m_bench->draft().design();
    design.gapMetres = 0.03;
    m_bench->edit(design);
    design.gapMetres = 0.02;
    m_bench->edit(design);
    EXPECT_EQ(m_bench->draft().ghost()->evaluation->resistance.totalOhm, held);
    QTest::keyClick(m_window.get(), Qt::Key_H, Qt::ControlModifier);
    EXPECT_FALSE(m_bench->draft().isHeld());
}

TEST_F(WindowTest, ReadingsCanBeStruckOutAndBroughtBack) {
    openDemo();
    go(6);
    ASSERT_TRUE(m_bench->selection().build()->openCircuit);
    auto* list = find<QListWidget>("readingList");
    for (int i = 0; i < list->count(); ++i) {
        if (list->item(i)->text().contains("open circuit")) {
            list->setCurrentRow(i);
        }
    }
    list->setFocus();
    QTest::keyClick(list, Qt::Key_Delete);
    EXPECT_FALSE(m_bench->selection().build()->openCircuit);
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(m_bench->selection().build()->openCircuit);
}

TEST_F(WindowTest, PrintableKeysOnBenchLandInTheEntryLine) {
    openDemo();
    go(6);
    auto* list = find<QListWidget>("readingList");
    list->clearFocus();
    QWidget* view = m_window->findChild<QWidget*>("benchView");
    view->setFocus();
    QTest::keyClicks(view, "4");
    EXPECT_EQ(find<QLineEdit>("entryLine")->text(), "4");
}

TEST_F(WindowTest, TwoLiquidsAndOneAgain) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    auto* split = find<QPushButton>("splitLiquid");
    QTest::mouseClick(split, Qt::LeftButton);
    ASSERT_TRUE(m_bench->draft().design().positiveLiquid);
    EXPECT_TRUE(m_bench->draft().outcome().cell->twoLiquids);
    QTest::mouseClick(split, Qt::LeftButton);
    EXPECT_FALSE(m_bench->draft().design().positiveLiquid);
}

TEST_F(WindowTest, PoursAreUnderstoodOrExplained) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    auto* pour = find<QLineEdit>("pour:0");
    for (const char* text : {"5 g salt", "NaOH 2 mol/L", "10 % citric acid", "0.1 mol of KCl"}) {
        const auto before = m_bench->draft().design().liquid.solutes.size();
        type(pour, text);
        EXPECT_EQ(m_bench->draft().design().liquid.solutes.size(), before + 1)
            << text << " " << message().toStdString();
        pour = find<QLineEdit>("pour:0");
    }
    for (const auto& [text, part] :
         std::vector<std::pair<const char*, const char*>>{{"salt", "amount"},
                                                          {"5 g sald", "did you mean"},
                                                          {"5 apples", "amount"},
                                                          {"1,500 g salt", "1500 g or 1.5 g"},
                                                          {"20 g lemon juice", "by volume"}}) {
        const auto before = m_bench->draft().design().liquid.solutes.size();
        type(pour, text);
        EXPECT_EQ(m_bench->draft().design().liquid.solutes.size(), before) << text;
        EXPECT_TRUE(message().contains(part)) << text << ": " << message().toStdString();
    }
}

TEST_F(WindowTest, AKitchenMeasureIsShownInGramsBeforeItIsPoured) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    auto* pour = find<QLineEdit>("pour:0");
    auto* title = pour->parentWidget()->findChild<QLabel*>("faint");
    ASSERT_NE(title, nullptr);
    const QString before = title->text();
    const auto solutes = m_bench->draft().design().liquid.solutes.size();
    const int height = pour->y();
    QTest::keyClicks(pour, "2 tsp salt in it");
    EXPECT_TRUE(title->toolTip().contains("12") || title->text().contains("12"))
        << title->text().toStdString();
    EXPECT_EQ(pour->y(), height); // nothing moves
    QTest::keyClick(pour, Qt::Key_Return);
    const auto& liquid = m_bench->draft().design().liquid;
    ASSERT_EQ(liquid.solutes.size(), solutes + 1);
    EXPECT_NEAR(liquid.solutes.back().amount.value, 0.012, 1e-9);
    EXPECT_EQ(title->text(), before);
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(m_bench->draft().design().liquid.solutes.size(), solutes);
}

TEST_F(WindowTest, BadFilesGiveOneMessageAndLeaveTheNotebookAlone) {
    openDemo();
    const QString path = m_bench->store().path();
    const auto history = m_bench->store().history().size();
    const auto revisions = m_bench->contents().revisions;
    const auto bad = m_folder.path("bad"); // opening may bring an older file up to date
    std::filesystem::copy(test::sourceDir() / "tests/data/bad", bad);
    const std::vector<std::filesystem::directory_entry> entries{std::filesystem::directory_iterator(bad), {}};
    for (const auto& entry : entries) {
        const QString file = QString::fromStdString(entry.path().string());
        m_window->strip()->hide();
        if (file.endsWith(".csv")) {
            go(6);
            m_fileToOpen = file;
            QTest::keyClick(m_window.get(), Qt::Key_I, Qt::ControlModifier);
            if (m_window->findChild<ImportSheet*>() != nullptr &&
                find<QPushButton>("importAdd")->isVisible()) {
                EXPECT_FALSE(find<QPushButton>("importAdd")->isEnabled()) << file.toStdString();
                QTest::mouseClick(find<QPushButton>("importCancel"), Qt::LeftButton);
            } else {
                EXPECT_FALSE(message().isEmpty()) << file.toStdString();
            }
        } else if (file.endsWith(".anodex")) {
            m_fileToOpen = file;
            QTest::keyClick(m_window.get(), Qt::Key_O, Qt::ControlModifier);
            EXPECT_FALSE(message().isEmpty()) << file.toStdString();
        }
        EXPECT_EQ(m_bench->store().path(), path) << file.toStdString();
        EXPECT_EQ(m_bench->store().history().size(), history) << file.toStdString();
        EXPECT_EQ(m_bench->contents().revisions, revisions) << file.toStdString();
    }
}

} // namespace
} // namespace anodex::app
