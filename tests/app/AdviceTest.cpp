// What would help most: found aside, told in words, made by a click and undone.
#include "tests/app/WindowFixture.h"

#include <QPushButton>

namespace anodex::app {
namespace {

class AdviceTest : public WindowTest {
protected:
    void openCell() {
        QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
        go(3);
        waitForChanges();
    }

    void waitForChanges() {
        EXPECT_TRUE(
            QTest::qWaitFor([this] { return picture("advice")->item("change:0") != nullptr; }, 20000));
    }

    QString title() { return picture("advice")->item("figure")->name; }
};

TEST_F(AdviceTest, AClickDoesWhatWasPromisedAndUndoTakesItBack) {
    openCell();
    const double before = m_bench->draft().outcome().evaluation->settled.maximumPower.watts;
    const design::CellDesign design = m_bench->draft().design();
    const PictureItem* first = picture("advice")->item("change:0");
    EXPECT_FALSE(first->name.contains("nothing changed")) << first->name.toStdString();
    EXPECT_TRUE(first->value.contains(QStringLiteral("×")) || first->value.contains("%"));
    click(picture("advice"), "change:0");
    EXPECT_GT(m_bench->draft().outcome().evaluation->settled.maximumPower.watts, 1.01 * before);
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(m_bench->draft().design() == design);
}

TEST_F(AdviceTest, TheFigureIsChosenByTheTitle) {
    openCell();
    EXPECT_TRUE(title().contains("power"));
    click(picture("advice"), "figure");
    EXPECT_TRUE(title().contains("voltage"));
    waitForChanges();
    const double before = m_bench->draft().outcome().evaluation->openCircuitVolts;
    click(picture("advice"), "change:0");
    EXPECT_GT(m_bench->draft().outcome().evaluation->openCircuitVolts, 1.01 * before);
    click(picture("advice"), "figure");
    EXPECT_TRUE(title().contains("life"));
}

} // namespace
} // namespace anodex::app
