// A view says once what it is for: until it is used, and not a second time.
#include "tests/app/WindowFixture.h"

#include <QPushButton>
#include <set>

namespace anodex::app {
namespace {

class HintsTest : public WindowTest {
protected:
    HintsTest() {
        m_services.settingsFile = QString::fromStdString(m_folder.path("settings.ini").string());
        start();
        openDemo();
        m_window->strip()->hide(); // what opening the notebook said
    }
    bool hints() { return m_window->strip()->isHinting(); }
};

TEST_F(HintsTest, EveryViewHasOneOfItsOwnButTheHandbook) {
    std::set<QString> told;
    for (const ViewEntry& view : viewList()) {
        m_window->showStation(view.id);
        EXPECT_EQ(hints(), view.id != std::string("handbook")) << view.id;
        told.insert(message());
    }
    EXPECT_EQ(told.size(), viewList().size()); // the handbook's is none
}

TEST_F(HintsTest, UsingTheViewEndsItForGood) {
    m_window->showStation("couple");
    ASSERT_TRUE(hints());
    QTest::mouseClick(picture("ladder"), Qt::LeftButton, {}, QPoint(3, 3));
    EXPECT_FALSE(hints());
    m_window->showStation("bench");
    EXPECT_TRUE(hints()) << "that view was not used yet";
    m_window->showStation("couple");
    EXPECT_FALSE(hints());
    start();
    openDemo();
    m_window->strip()->hide();
    m_window->showStation("couple");
    EXPECT_FALSE(hints()) << "nor in another run of the program";
    m_window->showStation("judge");
    EXPECT_TRUE(hints());
}

TEST_F(HintsTest, ClosedItStaysAway) {
    m_window->showStation("judge");
    QTest::mouseClick(find<QPushButton>("messageClose"), Qt::LeftButton);
    EXPECT_FALSE(hints());
    m_window->showStation("bench");
    m_window->showStation("judge");
    EXPECT_FALSE(hints());
}

TEST_F(HintsTest, ARefusalIsNotTakenForOneAndOutlivesAClick) {
    m_window->showStation("couple");
    m_window->strip()->refuse("no such metal");
    EXPECT_FALSE(hints());
    QTest::mouseClick(picture("ladder"), Qt::LeftButton, {}, QPoint(3, 3));
    EXPECT_EQ(message(), "no such metal");
}

} // namespace
} // namespace anodex::app
