// How an electrode meets the air, chosen in the section by mouse and told in its words.
#include "tests/app/WindowFixture.h"

#include <QMenu>
#include <QPushButton>
#include <QTimer>

namespace anodex::app {
namespace {

class AirTest : public WindowTest {
protected:
    /// Clicks the electrode and takes the choice that holds `words`.
    void choose(const char* electrode, const QString& words) {
        bool taken = false;
        QTimer::singleShot(0, [&] {
            auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
            ASSERT_NE(menu, nullptr);
            for (QAction* action : menu->actions()) {
                if (action->text().contains(words)) {
                    taken = true;
                    QTest::mouseClick(menu, Qt::LeftButton, {}, menu->actionGeometry(action).center());
                    return;
                }
            }
            menu->close();
        });
        Picture* section = picture("section");
        const PictureItem* item = section->item(electrode);
        ASSERT_NE(item, nullptr);
        const QRectF area = item->area;
        QTest::mouseClick(section, Qt::LeftButton, {},
                          QPoint(int(area.center().x()), int(area.bottom() - 4)));
        EXPECT_TRUE(taken) << words.toStdString();
    }

    QString told(const char* electrode) { return picture("section")->item(electrode)->value; }
};

TEST_F(AirTest, HolesAndSoakedPoresAreChosenToldAndUndone) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    design::CellDesign design = m_bench->draft().design();
    design.positive = {"activated carbon", 0.002, {}, {}, {}, {}, design::Air::Breathing, {}, {}, {}, {}, {}};
    m_bench->edit(design);
    go(3);
    const double open = m_bench->draft().outcome().evaluation->settled.shortCircuitAmps;
    choose("positive", QStringLiteral("holes in 1"));
    EXPECT_TRUE(told("positive").contains("breathing through 1"));
    EXPECT_EQ(m_bench->draft().design().positive.openShare, 0.01);
    choose("positive", QStringLiteral("soaked"));
    EXPECT_TRUE(told("positive").contains("pores 100"));
    EXPECT_LT(m_bench->draft().outcome().evaluation->settled.shortCircuitAmps, 0.5 * open);
    choose("positive", QStringLiteral("as usual"));
    choose("positive", QStringLiteral("One face open"));
    EXPECT_FALSE(m_bench->draft().design().positive.openShare);
    EXPECT_FALSE(m_bench->draft().design().positive.filledPores);
    EXPECT_NEAR(m_bench->draft().outcome().evaluation->settled.shortCircuitAmps, open, 1e-9);
    QApplication::setActiveWindow(m_window.get()); // the menu took it
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
    EXPECT_EQ(m_bench->draft().design().positive.openShare, 0.01);
}

} // namespace
} // namespace anodex::app
