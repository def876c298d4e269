// Work aside: in order, told on the window's thread, dropped when no longer wanted, waited for by nobody.
#include "app/session/Aside.h"

#include <QTest>
#include <atomic>
#include <gtest/gtest.h>
#include <thread>

namespace anodex::app {
namespace {

using std::chrono::milliseconds;

TEST(Aside, TellsOnTheThreadThatAsked) {
    Aside aside;
    std::thread::id worked;
    std::thread::id told;
    aside.begin([&](const std::stop_token& /*stop*/, const Aside::Tell& tell) {
        worked = std::this_thread::get_id();
        tell([&] { told = std::this_thread::get_id(); });
    });
    ASSERT_TRUE(QTest::qWaitFor([&] { return told != std::thread::id(); }));
    EXPECT_EQ(told, std::this_thread::get_id());
    EXPECT_NE(worked, told);
}

TEST(Aside, ANewPieceStopsTheOldOneAndDropsWhatItTells) {
    Aside aside;
    std::atomic<bool> begun = false;
    std::string told;
    aside.begin([&](const std::stop_token& stop, const Aside::Tell& tell) {
        begun = true;
        while (!stop.stop_requested()) {
            std::this_thread::sleep_for(milliseconds(1));
        }
        tell([&] { told += "old"; });
    });
    ASSERT_TRUE(QTest::qWaitFor([&] { return begun.load(); }));
    aside.begin(
        [&](const std::stop_token& /*stop*/, const Aside::Tell& tell) { tell([&] { told += "new"; }); });
    ASSERT_TRUE(QTest::qWaitFor([&] { return !told.empty(); }));
    QTest::qWait(20);
    EXPECT_EQ(told, "new");
}

TEST(Aside, WhatWasToldBeforeAStopButNotHeardIsDropped) {
    Aside aside;
    bool told = false;
    aside.begin(
        [&](const std::stop_token& /*stop*/, const Aside::Tell& tell) { tell([&] { told = true; }); });
    aside.ended().wait();
    aside.stop();
    QTest::qWait(20);
    EXPECT_FALSE(told);
}

TEST(Aside, QueuedPiecesComeOneAfterAnother) {
    Aside aside;
    std::string order;
    for (const char* name : {"a", "b", "c"}) {
        aside.queue([&order, name](const std::stop_token& /*stop*/, const Aside::Tell& tell) {
            tell([&order, name] { order += name; });
        });
    }
    ASSERT_TRUE(QTest::qWaitFor([&] { return order.size() == 3; }));
    EXPECT_EQ(order, "abc");
}

TEST(Aside, ItsOwnerMayGoWhileWorkGoesOn) {
    std::atomic<bool> finished = false;
    std::atomic<bool> begun = false;
    bool told = false;
    {
        Aside aside;
        aside.begin([&](const std::stop_token& /*stop*/, const Aside::Tell& tell) {
            begun = true;
            std::this_thread::sleep_for(milliseconds(100));
            tell([&] { told = true; });
            finished = true;
        });
        ASSERT_TRUE(QTest::qWaitFor([&] { return begun.load(); }));
        EXPECT_FALSE(finished);
    }
    EXPECT_FALSE(finished) << "nobody waited";
    Aside::awaitAll();
    EXPECT_TRUE(finished);
    QTest::qWait(10);
    EXPECT_FALSE(told);
}

} // namespace
} // namespace anodex::app
