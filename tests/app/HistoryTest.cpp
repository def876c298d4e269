// The list of steps, the way back to any of them, and a state kept as a notebook of its own.
#include "tests/app/WindowFixture.h"

#include <QFile>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>

namespace anodex::app {
namespace {

class HistoryTest : public WindowTest {
protected:
    QListWidget* steps() { return find<QListWidget>(QStringLiteral("historyList")); }
    QPushButton* goThere() { return find<QPushButton>(QStringLiteral("historyGo")); }
    QString words() { return find<QLabel>(QStringLiteral("historyWords"))->text(); }
    /// The row whose text holds these words, clicked.
    void clickRow(const QString& text) {
        for (int i = 0; i < steps()->count(); ++i) {
            if (steps()->item(i)->text().contains(text)) {
                QTest::mouseClick(steps()->viewport(), Qt::LeftButton, {},
                                  steps()->visualItemRect(steps()->item(i)).center());
                return;
            }
        }
        ADD_FAILURE() << "no row of " << text.toStdString();
    }
    void show() {
        QTest::keyClick(m_window.get(), Qt::Key_H, Qt::ControlModifier | Qt::ShiftModifier);
        ASSERT_EQ(m_window->station(), QStringLiteral("history"));
    }
    std::size_t builds() { return m_bench->contents().builds.size(); }
};

TEST_F(HistoryTest, BackToAnEarlierDayAndForwardAgain) {
    openDemo();
    const std::size_t all = builds();
    show();
    EXPECT_TRUE(steps()->currentItem()->text().contains(QStringLiteral("as it stands")));
    EXPECT_FALSE(goThere()->isEnabled());
    clickRow(QStringLiteral("New design Rain gauge jar 2"));
    EXPECT_TRUE(words().contains(QStringLiteral("takes back")));
    EXPECT_TRUE(words().contains(QStringLiteral("Wrote down build 1 of Rain gauge jar 3")));
    QTest::mouseClick(goThere(), Qt::LeftButton);
    EXPECT_EQ(builds(), all - 3);
    EXPECT_EQ(m_bench->contents().revisions.size(), 15U);
    EXPECT_TRUE(steps()->currentItem()->text().contains(QStringLiteral("as it stands")));
    EXPECT_TRUE(steps()->item(1)->text().contains(QStringLiteral("taken back"))) << "nothing is lost";
    clickRow(QStringLiteral("beacon bright"));
    EXPECT_TRUE(words().contains(QStringLiteral("brings forward")));
    QTest::keyClick(steps(), Qt::Key_Return);
    EXPECT_EQ(builds(), all);
    waitForRuns();
}

TEST_F(HistoryTest, AStateIsKeptAsANotebookOfItsOwnAndTheOpenOneStaysAsItIs) {
    openDemo();
    const std::size_t all = builds();
    show();
    clickRow(QStringLiteral("New design Rain gauge jar 2"));
    m_fileToSave = QString::fromStdString(m_folder.path("then.anodex").string());
    QTest::mouseClick(find<QPushButton>(QStringLiteral("historySave")), Qt::LeftButton);
    ASSERT_TRUE(QTest::qWaitFor([this] { return message().contains(QStringLiteral("then.anodex")); }));
    EXPECT_EQ(builds(), all);
    const auto then = notebook::Notebook::open(m_fileToSave.toStdString(), notebook::OpenMode::Read);
    ASSERT_TRUE(then.has_value());
    EXPECT_EQ(then->builds()->size(), all - 3);
    EXPECT_TRUE(then->check()->empty());
}

TEST_F(HistoryTest, AStateIsLookedAtAndNothingOfItCanBeChanged) {
    openDemo();
    const std::size_t all = builds();
    const QString demo = m_bench->store().path();
    show();
    clickRow(QStringLiteral("New design Rain gauge jar 2"));
    QTest::mouseClick(find<QPushButton>(QStringLiteral("historyLook")), Qt::LeftButton);
    auto* back = find<QPushButton>(QStringLiteral("backToNow"));
    ASSERT_TRUE(QTest::qWaitFor([&] { return back->isVisible(); }, 20000));
    waitForRuns();
    EXPECT_EQ(builds(), all - 3);
    EXPECT_TRUE(message().contains(QStringLiteral("to look at only"))) << message().toStdString();
    EXPECT_TRUE(m_window->windowTitle().contains(QStringLiteral("as it was")));
    EXPECT_FALSE(find<QPushButton>(QStringLiteral("undo"))->isVisible());
    const design::CellDesign shown = m_bench->draft().design();
    design::CellDesign wider = shown;
    wider.gapMetres = 0.3;
    m_bench->edit(wider);
    EXPECT_TRUE(message().contains(QStringLiteral("nothing can be changed here"))) << message().toStdString();
    EXPECT_TRUE(m_bench->draft().design() == shown) << "what is stored is shown again";
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
    m_bench->writeDownBuild();
    EXPECT_EQ(builds(), all - 3);
    const QString copy = m_bench->store().path();
    QTest::mouseClick(back, Qt::LeftButton);
    waitForRuns();
    EXPECT_EQ(builds(), all);
    EXPECT_EQ(m_bench->store().path(), demo);
    EXPECT_TRUE(QFile::exists(demo));
    EXPECT_FALSE(QFile::exists(copy)) << "the copy goes when it is left";
    EXPECT_TRUE(m_bench->files().isDemo());
    EXPECT_TRUE(find<QPushButton>(QStringLiteral("undo"))->isVisible());
}

TEST_F(HistoryTest, ADesignIsTakenAlongFromAnEarlierStateOfAnEarlierState) {
    openDemo();
    const std::size_t all = m_bench->contents().revisions.size();
    auto* back = find<QPushButton>(QStringLiteral("backToNow"));
    for (const char* step : {"New design Rain gauge jar 2", "New design Meter check 2"}) {
        show();
        clickRow(QString::fromLatin1(step));
        QTest::mouseClick(find<QPushButton>(QStringLiteral("historyLook")), Qt::LeftButton);
        const QString before = m_bench->store().path();
        ASSERT_TRUE(QTest::qWaitFor([&] { return m_bench->store().path() != before; }, 20000)) << step;
        waitForRuns();
        EXPECT_TRUE(back->isVisible());
    }
    const std::string name = m_bench->selection().revision()->name;
    QTest::mouseClick(find<QPushButton>(QStringLiteral("takeAlong")), Qt::LeftButton);
    waitForRuns();
    EXPECT_FALSE(back->isVisible());
    ASSERT_EQ(m_bench->contents().revisions.size(), all + 1);
    EXPECT_EQ(m_bench->selection().revision()->name.substr(0, 5), name.substr(0, 5));
    EXPECT_TRUE(m_bench->selection().revision()->parent.empty());
}

TEST_F(HistoryTest, FromALookAnotherNotebookOpensAndTheLookLeavesNothingBehind) {
    QTest::mouseClick(find<QPushButton>(QStringLiteral("doorFirst")), Qt::LeftButton);
    const QString own = m_bench->store().path();
    design::CellDesign wider = m_bench->draft().design();
    wider.gapMetres = 0.02;
    m_bench->edit(wider);
    show();
    clickRow(QStringLiteral("New design"));
    QTest::mouseClick(find<QPushButton>(QStringLiteral("historyLook")), Qt::LeftButton);
    ASSERT_TRUE(QTest::qWaitFor([&] { return m_bench->files().look().has_value(); }, 20000));
    EXPECT_EQ(m_bench->files().lasting(), own) << "that one is opened next time";
    const QString copy = m_bench->store().path();
    openDemo();
    EXPECT_FALSE(m_bench->files().look());
    EXPECT_FALSE(QFile::exists(copy));
    EXPECT_TRUE(QFile::exists(own));
}

TEST_F(HistoryTest, ADesignInHandIsSettledFirstAndEscapeLeadsBack) {
    QTest::mouseClick(find<QPushButton>(QStringLiteral("doorFirst")), Qt::LeftButton);
    m_window->showStation(QStringLiteral("cell"));
    design::CellDesign wider = m_bench->draft().design();
    wider.gapMetres = 0.02;
    m_bench->draft().change(wider);
    show();
    EXPECT_TRUE(steps()->currentItem()->text().contains(QStringLiteral("gap")))
        << steps()->currentItem()->text().toStdString();
    QTest::keyClick(steps(), Qt::Key_Escape);
    EXPECT_EQ(m_window->station(), QStringLiteral("cell"));
}

TEST_F(HistoryTest, WithoutANotebookItSaysSo) {
    m_window->showStation(QStringLiteral("history"));
    EXPECT_EQ(steps()->count(), 0);
    EXPECT_TRUE(words().contains(QStringLiteral("Nothing was written down yet")));
    EXPECT_FALSE(goThere()->isEnabled());
}

} // namespace
} // namespace anodex::app
