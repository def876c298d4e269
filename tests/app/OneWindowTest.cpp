// A second start hands what it was asked for to the window that is open.
#include "app/frame/OneWindow.h"
#include "tests/app/WindowFixture.h"

#include <QFile>
#include <QLocalSocket>
#include <thread>

namespace anodex::app {
namespace {

class OneWindowTest : public WindowTest {
protected:
    QString socket() { return QString::fromStdString(m_folder.path("anodex.socket").string()); }
    /// As another process would, while this one goes on.
    bool handOver(const OneWindow::Wish& wish) {
        std::atomic<int> taken = -1;
        std::thread other([&] { taken = OneWindow(socket()).handOver(wish) ? 1 : 0; });
        EXPECT_TRUE(QTest::qWaitFor([&] { return taken >= 0; }));
        other.join();
        return taken == 1;
    }
};

TEST_F(OneWindowTest, WithoutAWindowAStartKeepsItsWish) {
    EXPECT_FALSE(handOver({"/tmp/cells.anodex", false}));
}

TEST_F(OneWindowTest, TheOpenWindowTakesANotebookAndTheDemo) {
    OneWindow one(socket());
    ASSERT_TRUE(one.listen());
    QObject::connect(&one, &OneWindow::wished, m_window.get(), &MainWindow::grant);
    m_bench->startDesign(test::design(test::lemon()));
    const QString first = m_bench->store().path();
    EXPECT_TRUE(handOver({{}, true}));
    EXPECT_TRUE(m_bench->files().isDemo());
    EXPECT_TRUE(handOver({first, false}));
    EXPECT_EQ(m_bench->store().path(), first);
    EXPECT_TRUE(handOver({{}, false})) << "it only comes to the front";
    EXPECT_EQ(m_bench->store().path(), first);
    EXPECT_TRUE(handOver({"/nowhere/cells.anodex", false}));
    EXPECT_TRUE(message().contains("/nowhere/cells.anodex")) << message().toStdString();
    EXPECT_EQ(m_bench->store().path(), first);
}

TEST_F(OneWindowTest, ASocketThatACrashLeftIsTakenOver) {
    QFile left(socket());
    ASSERT_TRUE(left.open(QIODevice::WriteOnly));
    left.close();
    OneWindow one(socket());
    EXPECT_TRUE(one.listen());
    EXPECT_TRUE(handOver({{}, false}));
}

TEST_F(OneWindowTest, ASecondWindowDoesNotTakeTheFirstOnesPlace) {
    OneWindow one(socket());
    ASSERT_TRUE(one.listen());
    EXPECT_FALSE(OneWindow(socket()).listen());
}

TEST_F(OneWindowTest, WhatIsNoWishIsNotTaken) {
    OneWindow one(socket());
    ASSERT_TRUE(one.listen());
    bool wished = false;
    QObject::connect(&one, &OneWindow::wished, [&] { wished = true; });
    QLocalSocket stranger;
    stranger.connectToServer(socket());
    ASSERT_TRUE(stranger.waitForConnected(500));
    stranger.write("hello");
    stranger.flush();
    QTest::qWait(50);
    EXPECT_FALSE(wished);
}

} // namespace
} // namespace anodex::app
