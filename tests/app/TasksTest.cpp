// Fifteen things a builder does in the first hours, counted: each click and each key is one. docs/tasks.md holds the
// counts; a task that takes more than its budget, or another count than is written there, fails.
#include "app/session/Starters.h"
#include "app/views/couple/CoupleView.h"
#include "app/views/couple/Ladder.h"
#include "app/views/handbook/HandbookView.h"
#include "app/views/shelf/Ranking.h"
#include "app/views/shelf/ShelfView.h"
#include "core/chemistry/NameLookup.h"
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"
#include "tests/app/WindowFixture.h"

#include <QFile>
#include <QListWidget>
#include <QMimeData>
#include <QPushButton>
#include <QUrl>
#include <cmath>

namespace anodex::app {
namespace {

class TasksTest : public WindowTest {
protected:
    /// Nothing counts before it: what the task starts from.
    void begin() { m_count = 0; }
    void clickButton(const QString& name) {
        ++m_count;
        auto* button = find<QPushButton>(name);
        ASSERT_TRUE(button->isVisible()) << name.toStdString();
        QTest::mouseClick(button, Qt::LeftButton);
    }
    void clickItem(const QString& picture, const QString& id) {
        ++m_count;
        click(this->picture(picture), id);
    }
    void clickRow(const QString& list, const QString& text) {
        ++m_count;
        auto* rows = find<QListWidget>(list);
        for (int i = 0; i < rows->count(); ++i) {
            if (rows->item(i)->text().contains(text) && rows->item(i)->flags() != Qt::NoItemFlags) {
                rows->scrollToItem(rows->item(i));
                QTest::mouseClick(rows->viewport(), Qt::LeftButton, {},
                                  rows->visualItemRect(rows->item(i)).center());
                return;
            }
        }
        ADD_FAILURE() << "no row of " << text.toStdString();
    }
    void clickField(const QString& name) {
        ++m_count;
        QTest::mouseClick(find<QLineEdit>(name), Qt::LeftButton);
    }
    void key(Qt::Key key, Qt::KeyboardModifiers with = {}) {
        ++m_count;
        QTest::keyClick(focused(), key, with);
    }
    void keys(const QString& text) {
        m_count += static_cast<int>(text.size());
        QTest::keyClicks(focused(), text);
    }
    void drop(const QString& path) {
        ++m_count;
        QMimeData data;
        data.setUrls({QUrl::fromLocalFile(path)});
        QDragEnterEvent enter(QPoint(300, 300), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(m_window.get(), &enter);
        QDropEvent event(QPointF(300, 300), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(m_window.get(), &event);
    }
    void expectCount(const std::string& task, int budget, const std::string& way) {
        EXPECT_LE(m_count, budget) << task;
        QFile file(QStringLiteral(ANODEX_SOURCE_DIR "/docs/tasks.md"));
        ASSERT_TRUE(file.open(QIODevice::ReadOnly));
        const std::string row = "| " + task + " | " + std::to_string(budget) + " | " +
                                std::to_string(m_count) + " | " + way + " |";
        EXPECT_NE(file.readAll().toStdString().find(row), std::string::npos) << "docs/tasks.md lacks\n"
                                                                             << row;
    }
    void beginFirst() { QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton); }
    void measureSomething() {
        beginFirst();
        QTest::keyClick(m_window.get(), Qt::Key_B, Qt::ControlModifier);
        go(6);
    }
    QString write(const char* name, const std::string& text) {
        const QString path = QString::fromStdString(m_folder.path(name).string());
        test::writeText(path.toStdString(), text);
        return path;
    }

    int m_count = 0;
};

TEST_F(TasksTest, TheFirstVoltageOfAStarter) {
    begin();
    clickItem("gallery", "starter:food-vinegar");
    EXPECT_GT(openCircuit(), 0.5);
    EXPECT_NE(picture("rail")->item("openCircuit"), nullptr);
    expectCount("the first voltage of a starter", 2, "its card");
}

TEST_F(TasksTest, ASecondDesignFromAnotherStarter) {
    beginFirst();
    begin();
    key(Qt::Key_N, Qt::ControlModifier | Qt::ShiftModifier);
    clickItem("gallery", "starter:salt-pair");
    EXPECT_EQ(m_bench->contents().revisions.size(), 2U);
    expectCount("a second design, from another starter", 3, "Ctrl+Shift+N, its card");
}

TEST_F(TasksTest, AluminiumForZinc) {
    beginFirst();
    begin();
    clickItem("ladder", "foot:0");
    clickRow("materialList", "aluminium foil");
    EXPECT_EQ(m_bench->draft().design().negative.material, "aluminium foil");
    expectCount("aluminium for zinc", 4, "the metal below the ladder, the other metal");
}

TEST_F(TasksTest, TwoLiquids) {
    beginFirst();
    begin();
    clickButton("splitLiquid");
    EXPECT_TRUE(m_bench->draft().outcome().cell->twoLiquids);
    expectCount("two liquids instead of one", 2, "Two liquids");
}

TEST_F(TasksTest, ATeaspoonOfSalt) {
    beginFirst();
    begin();
    clickField("pour:0");
    keys("tsp salt");
    key(Qt::Key_Return);
    ASSERT_EQ(m_bench->draft().design().liquid.solutes.size(), 1U);
    EXPECT_NEAR(m_bench->draft().design().liquid.solutes.back().amount.value, 0.006, 0.001);
    expectCount("a teaspoon of salt", 12, "the line below the liquid, `tsp salt`, Enter");
}

TEST_F(TasksTest, ALoadOfAThousandOhms) {
    beginFirst();
    begin();
    clickField("loadField");
    keys("1k");
    key(Qt::Key_Return);
    const double amps = *m_window->findChild<CoupleView*>()->ladder()->loadAmps();
    EXPECT_GT(amps, 1e-4);
    EXPECT_LT(amps, openCircuit() / 1e3);
    expectCount("a load of 1 kΩ", 8, "the field beside the slider, `1k`, Enter");
}

TEST_F(TasksTest, ABuildAndItsFirstTwoReadings) {
    beginFirst();
    begin();
    key(Qt::Key_B, Qt::ControlModifier);
    key(Qt::Key_6, Qt::AltModifier);
    keys("1.02V");
    key(Qt::Key_Return);
    keys("short .9mA");
    key(Qt::Key_Return);
    ASSERT_NE(m_bench->selection().build(), nullptr);
    EXPECT_NEAR(m_bench->selection().build()->openCircuit->value, 1.02, 1e-9);
    EXPECT_NEAR(m_bench->selection().build()->shortCircuit->value, 0.9e-3, 1e-9);
    expectCount("a build and its first two readings", 30,
                "Ctrl+B, Alt+6, `1.02V`, Enter, `short .9mA`, Enter");
}

TEST_F(TasksTest, AWrongUnitCorrected) {
    measureSomething();
    auto* line = find<QLineEdit>("entryLine");
    type(line, "short 0.9 A");
    QTest::keyClick(line, Qt::Key_Return); // meant, it was thought
    ASSERT_NEAR(m_bench->selection().build()->shortCircuit->value, 0.9, 1e-9) << message().toStdString();
    begin();
    clickRow("readingList", "short circuit");
    key(Qt::Key_Return);
    QCoreApplication::processEvents(); // what is offered is laid out
    QPushButton* milli = nullptr;
    for (QPushButton* button : m_window->findChildren<QPushButton*>()) {
        if (button->isVisible() && button->objectName().startsWith("meant:") &&
            button->text().contains("µA")) {
            milli = button;
        }
    }
    ASSERT_NE(milli, nullptr) << find<QLineEdit>("entryLine")->text().toStdString()
                              << message().toStdString();
    clickButton(milli->objectName());
    EXPECT_NEAR(m_bench->selection().build()->shortCircuit->value, 0.9e-3, 1e-9) << message().toStdString();
    EXPECT_EQ(m_bench->selection().readings().size(), 1U);
    expectCount("a wrong unit corrected", 4, "the reading, Enter, what is offered");
}

TEST_F(TasksTest, ACellFileByDroppingIt) {
    const QString path =
        write("mine.cell.json", std::string(formats::embeddedFile("starters/gravity.cell.json")));
    begin();
    drop(path);
    EXPECT_EQ(m_window->station(), QStringLiteral("couple"));
    EXPECT_NEAR(openCircuit(), 1.1, 0.05);
    expectCount("a cell file opened", 1, "dropped on the window");
}

TEST_F(TasksTest, ARunOfALoggerSeenBefore) {
    measureSomething();
    const std::string head = "time_s,voltage_V,current_A\n";
    const auto rows = [&](double volts) {
        std::string text = head;
        for (int i = 0; i < 50; ++i) {
            text += std::to_string(10 * i) + "," + std::to_string(volts - 1e-3 * i) + ",0.0005\n";
        }
        return text;
    };
    drop(write("first.csv", rows(0.9)));
    QTest::mouseClick(find<QPushButton>("importAdd"), Qt::LeftButton);
    ASSERT_TRUE(stored());
    const QString second = write("second.csv", rows(0.8));
    begin();
    drop(second);
    clickButton("importAdd");
    ASSERT_TRUE(stored());
    EXPECT_EQ(m_bench->selection().build()->runs.size(), 2U);
    expectCount("a run of a logger seen before", 2, "dropped on the window, Add");
}

TEST_F(TasksTest, TheHandbookPageOfAFinding) {
    openDemo();
    begin();
    clickItem("rail", "readFinding");
    EXPECT_EQ(m_window->station(), QStringLiteral("handbook"));
    EXPECT_EQ(find<HandbookView>("handbookView")->place().toStdString(),
              wording::handbookPlace(m_bench->draft().outcome().findings.front()));
    expectCount("the handbook's page of a finding", 1, "Read about it");
}

TEST_F(TasksTest, AMetalOfOnesOwnFromZinc) {
    begin();
    key(Qt::Key_L, Qt::ControlModifier);
    clickRow("catalogueLists", "Materials");
    clickRow("catalogueEntries", "zinc");
    clickButton("ownEntry");
    clickButton("keepEntry");
    EXPECT_TRUE(chemistry::findMaterial(m_bench->catalogue(), "my zinc").has_value())
        << message().toStdString();
    expectCount("a metal of one's own, from zinc", 10,
                "Ctrl+L, Materials, zinc, Make my own from it, Check and keep");
}

TEST_F(TasksTest, TheBestCellFromSixTickedThings) {
    begin();
    key(Qt::Key_K, Qt::ControlModifier);
    for (const char* thing : {"foil", "drink-can", "food-can", "table-salt", "vinegar", "kitchen-paper"}) {
        clickItem("cupboard", QStringLiteral("cupboard:") + QLatin1String(thing));
    }
    Ranking* ranking = find<ShelfView>("shelfView")->ranking();
    ASSERT_TRUE(
        QTest::qWaitFor([&] { return ranking->state().finished && !ranking->state().best.empty(); }, 20000));
    const double promised = ranking->state().best[0].openCircuitVolts;
    ++m_count;
    click(ranking, "cell:0");
    EXPECT_NEAR(openCircuit(), promised, 1e-6);
    expectCount("the best cell from six ticked things", 9, "Ctrl+K, six things, the first row");
}

TEST_F(TasksTest, TwoBuildsCompared) {
    openDemo();
    go(1);
    begin();
    clickButton("compareVersions");
    clickRow("compareList", "Rain gauge jar 1");
    EXPECT_NE(picture("compareSheet")->item("head:2"), nullptr);
    expectCount("two builds compared", 3, "Compare, another build");
}

TEST_F(TasksTest, BackToYesterdaysState) {
    openDemo();
    begin();
    key(Qt::Key_H, Qt::ControlModifier | Qt::ShiftModifier);
    clickRow("historyList", "Added the run 22 ohm after mixing");
    key(Qt::Key_Return);
    EXPECT_EQ(m_bench->contents().revisions.size(), 15U);
    expectCount("back to yesterday's state", 3, "Ctrl+Shift+H, the day's last step, Enter");
    waitForRuns();
}

} // namespace
} // namespace anodex::app
