// What a part of the section is made of and how it is, chosen from its menu by mouse.
#include "tests/app/WindowFixture.h"
#include "tests/support/CellJson.h"

#include <QMenu>
#include <QPushButton>
#include <QTimer>
#include <algorithm>

namespace anodex::app {
namespace {

using namespace test::json;

class PartChoicesTest : public WindowTest {
protected:
    void show(const Json& cell) {
        QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
        m_bench->edit(test::design(cell.dump()));
        go(3);
    }

    static QAction* actionOf(QMenu& menu, const QString& words) {
        const QList<QAction*> actions = menu.actions();
        const auto found = std::find_if(actions.begin(), actions.end(), [&](const QAction* action) {
            return action->text().contains(words);
        });
        return found == actions.end() ? nullptr : *found;
    }

    /// Clicks the part, opens the list that `list` names and takes the choice with `words`; false where either is missing.
    bool choose(const char* part, const QString& list, const QString& words) {
        bool taken = false;
        QTimer::singleShot(0, [&] {
            auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
            ASSERT_NE(menu, nullptr);
            const QAction* opens = actionOf(*menu, list);
            QMenu* inner = opens == nullptr ? nullptr : opens->menu();
            QAction* action = inner == nullptr ? nullptr : actionOf(*inner, words);
            if (action != nullptr) {
                taken = true;
                inner->popup(QPoint(10, 10));
                QTest::mouseClick(inner, Qt::LeftButton, {}, inner->actionGeometry(action).center());
            }
            menu->close();
        });
        Picture* section = picture("section");
        const PictureItem* item = section->item(part);
        if (item == nullptr) {
            ADD_FAILURE() << part;
            return false;
        }
        const QRectF area = item->area;
        QTest::mouseClick(section, Qt::LeftButton, {},
                          QPoint(int(area.center().x()), int(area.bottom() - 4)));
        QApplication::setActiveWindow(m_window.get()); // the menu took it
        return taken;
    }
};

TEST_F(PartChoicesTest, APlateIsAsChargedAsItIsSaidToBe) {
    show(cellWith(electrodeJson("spongy lead"), electrodeJson("lead dioxide"), water({{"H2SO4", 4}})));
    const double full = m_bench->draft().outcome().evaluation->capacity.expectedCoulombs;
    EXPECT_TRUE(choose("negative", QStringLiteral("State of charge"), QStringLiteral("A quarter")));
    EXPECT_EQ(m_bench->draft().design().negative.charged, 0.25);
    EXPECT_TRUE(choose("positive", QStringLiteral("State of charge"), QStringLiteral("A quarter")));
    EXPECT_LT(m_bench->draft().outcome().evaluation->capacity.expectedCoulombs, 0.5 * full);
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
    EXPECT_FALSE(m_bench->draft().design().positive.charged);
    EXPECT_TRUE(choose("negative", QStringLiteral("State of charge"), QStringLiteral("As its name")));
    EXPECT_NEAR(m_bench->draft().outcome().evaluation->capacity.expectedCoulombs, full, 1e-6);
}

TEST_F(PartChoicesTest, AMetalHasNoStateOfCharge) {
    show(cellWith(electrodeJson("zinc"), electrodeJson("copper"), water({{"NaCl", 1}})));
    EXPECT_FALSE(choose("negative", QStringLiteral("State of charge"), QStringLiteral("Half")));
}

} // namespace
} // namespace anodex::app
