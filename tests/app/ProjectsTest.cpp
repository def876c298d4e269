// Projects in the notebook: made, named, filled, and what begins in them; by mouse and keys.
#include "tests/app/WindowFixture.h"

#include <QMenu>
#include <QPushButton>
#include <QTimer>

namespace anodex::app {
namespace {

class ProjectsTest : public WindowTest {
protected:
    /// Presses the button and clicks the entry that begins so; of an inner list, the entry of that.
    void choose(const QString& words, const QString& inner = {}) {
        QTimer::singleShot(0, m_window.get(), [=, this] {
            auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
            ASSERT_NE(menu, nullptr);
            QAction* action = startingWith(*menu, words);
            if (action == nullptr) {
                ADD_FAILURE() << "no " << words.toStdString();
            } else if (inner.isEmpty()) {
                QTest::mouseClick(menu, Qt::LeftButton, {}, menu->actionGeometry(action).center());
            } else if (QAction* found = startingWith(*action->menu(), inner)) {
                found->trigger();
            }
            menu->close();
        });
        QTest::mouseClick(find<QPushButton>(m_from), Qt::LeftButton);
        QApplication::setActiveWindow(m_window.get()); // the menu took it
    }
    QString m_from = QStringLiteral("projectChoice");
    static QAction* startingWith(QMenu& menu, const QString& words) {
        for (QAction* action : menu.actions()) {
            if (action->text().startsWith(words)) {
                return action;
            }
        }
        return nullptr;
    }
    void name(const QString& text) {
        QTest::keyClicks(focused(), text);
        QTest::keyClick(focused(), Qt::Key_Return);
    }
    int shown() {
        const auto& items = picture("timeline")->items();
        return static_cast<int>(std::count_if(items.begin(), items.end(), [](const PictureItem& item) {
            return item.id.startsWith(QLatin1String("rev:"));
        }));
    }
    QString narrowedTo() { return find<QPushButton>("projectChoice")->text(); }
    std::string projectAtHand() {
        return m_bench->contents().project(m_bench->selection().revision()->project)->name;
    }
};

TEST_F(ProjectsTest, ANewOneIsEmptyAndWhatBeginsThenStandsInIt) {
    openDemo();
    go(1);
    choose("New project");
    name("Balcony");
    EXPECT_EQ(narrowedTo(), "Balcony");
    EXPECT_EQ(shown(), 0);
    EXPECT_TRUE(picture("timeline")->item("none")->name.startsWith("Nothing in this project yet"));
    click(picture("timeline"), "begin");
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    go(1);
    EXPECT_EQ(projectAtHand(), "Balcony");
    EXPECT_EQ(shown(), 1);
    choose("All projects");
    EXPECT_EQ(shown(), 17);
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier); // the design
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier); // the project
    EXPECT_EQ(m_bench->contents().projects.size(), 1U);
    EXPECT_EQ(shown(), 16);
}

TEST_F(ProjectsTest, AWholeLineIsMovedAndMovedBack) {
    openDemo();
    go(1);
    const std::string before = projectAtHand();
    choose("New project");
    name("Balcony");
    const auto line = m_bench->contents().lineOf(m_bench->selection().revision()->id).size();
    ASSERT_GT(line, 1U);
    choose("Move", "Balcony");
    EXPECT_EQ(projectAtHand(), "Balcony");
    EXPECT_EQ(shown(), static_cast<int>(line)) << "those before and after it went along";
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(projectAtHand(), before);
}

TEST_F(ProjectsTest, ARevisionOfAnotherProjectWidensTheView) {
    openDemo();
    go(1);
    const record::Id other = m_bench->selection().revision()->id;
    choose("New project");
    name("Balcony");
    m_bench->startDesign(m_bench->draft().design());
    EXPECT_EQ(narrowedTo(), "Balcony");
    m_bench->selectRevision(other);
    EXPECT_EQ(narrowedTo(), "all projects") << "what is at hand is always on the map";
}

TEST_F(ProjectsTest, NamesAreChangedLeftAloneAndNeverDoubled) {
    openDemo();
    go(1);
    choose("New project");
    name("Balcony");
    choose("Rename this project");
    name("Roof & shed");
    EXPECT_EQ(m_bench->contents().projects.back().name, "Roof & shed");
    choose("New project");
    QTest::keyClicks(focused(), "never");
    QTest::keyClick(focused(), Qt::Key_Escape);
    EXPECT_EQ(m_bench->contents().projects.size(), 2U);
    EXPECT_TRUE(find<QPushButton>("projectChoice")->isVisible());
    choose("All projects");
    choose("New project");
    name(" Roof & shed ");
    EXPECT_EQ(m_bench->contents().projects.size(), 2U) << "the one of that name is shown";
    EXPECT_EQ(m_bench->selection().project()->name, "Roof & shed");
    choose("New project");
    name("  ");
    EXPECT_EQ(m_bench->contents().projects.size(), 2U) << "a name of blanks is none";
}

TEST_F(ProjectsTest, InAnEmptyNotebookTheFirstProjectTakesTheFirstDesign) {
    m_window->perform(QStringLiteral("newProject"));
    name("Kitchen");
    ASSERT_EQ(m_bench->contents().projects.size(), 1U);
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    EXPECT_EQ(projectAtHand(), "Kitchen");
    EXPECT_EQ(m_bench->contents().projects.size(), 1U);
}

TEST_F(ProjectsTest, TheMapIsNarrowedToOneKindOfCell) {
    openDemo();
    go(1);
    m_from = QStringLiteral("familyChoice");
    const int all = shown();
    choose("saltwater");
    const auto& revisions = m_bench->contents().revisions;
    const auto salt = std::count_if(revisions.begin(), revisions.end(), [](const record::Revision& one) {
        return !one.setAside && one.design.family == "saltwater";
    });
    EXPECT_GT(salt, 0);
    EXPECT_EQ(shown(), salt);
    EXPECT_EQ(find<QPushButton>(m_from)->text(), "saltwater");
    choose("gravity");
    EXPECT_NE(shown(), salt);
    choose("All kinds");
    EXPECT_EQ(shown(), all);
}

TEST_F(ProjectsTest, ACellOfAnotherKindWidensTheMapAgain) {
    openDemo();
    go(1);
    m_from = QStringLiteral("familyChoice");
    choose("saltwater");
    const int salt = shown();
    QTest::keyClick(m_window.get(), Qt::Key_N, Qt::ControlModifier | Qt::ShiftModifier);
    click(picture("gallery"), "starter:food-vinegar");
    go(1);
    EXPECT_GT(shown(), salt);
    EXPECT_EQ(find<QPushButton>(m_from)->text(), "all kinds");
    const auto* timeline = picture("timeline");
    EXPECT_NE(
        timeline->item(QStringLiteral("rev:") + QString::fromStdString(m_bench->selection().revision()->id)),
        nullptr);
    choose("food");
    EXPECT_GE(shown(), 1);
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(find<QPushButton>(m_from)->text(), "all kinds") << "the one at hand is never out of sight";
}

} // namespace
} // namespace anodex::app
