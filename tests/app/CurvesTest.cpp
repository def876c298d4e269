// The curves' axis of current, by steps and by decades, and what stands under the pointer.
#include "app/views/couple/Curves.h"
#include "app/views/couple/CoupleView.h"
#include "tests/app/WindowFixture.h"

namespace anodex::app {
namespace {

class CurvesTest : public WindowTest {
protected:
    Curves* curves() {
        openDemo();
        m_window->showStation("couple");
        find<CoupleView>("coupleView")->showFace(CoupleView::Face::Curves);
        QCoreApplication::processEvents();
        return find<Curves>("curves");
    }
    void point(Curves* curves, const QPointF& at) {
        QMouseEvent move(QEvent::MouseMove, at, curves->mapToGlobal(at), Qt::NoButton, Qt::NoButton, {});
        QApplication::sendEvent(curves, &move);
    }
    double placeOf(Curves* curves, const char* id) { return curves->item(id)->area.center().x(); }
};

TEST_F(CurvesTest, ByDecadesTheSmallCurrentsGetRoom) {
    Curves* shown = curves();
    const double before = placeOf(shown, "load");
    const double peak = placeOf(shown, "peak");
    click(shown, "axis");
    EXPECT_GT(placeOf(shown, "load"), before + 50.0);
    EXPECT_GT(placeOf(shown, "peak"), peak);
    EXPECT_LT(placeOf(shown, "peak"), shown->width());
    QTest::keyClick(shown, Qt::Key_L);
    EXPECT_DOUBLE_EQ(placeOf(shown, "load"), before) << "the key leads back";
}

TEST_F(CurvesTest, WhatIsUnderThePointerIsRead) {
    Curves* shown = curves();
    for (const bool byDecades : {false, true}) {
        const QPointF load = shown->item("load")->area.center();
        point(shown, load);
        const QString words = shown->pointedWords();
        EXPECT_TRUE(words.contains("V") && words.contains("A") && words.contains("W")) << words.toStdString();
        // The load's own words, to the width of a pixel.
        const double volts = words.section(QChar(0xA0), 0, 0).toDouble();
        const double said = shown->item("load")->value.section(QChar(0xA0), 0, 0).toDouble();
        EXPECT_NEAR(volts, said, 0.02) << byDecades << words.toStdString();
        QTest::keyClick(shown, Qt::Key_L);
    }
    point(shown, {2.0, 2.0});
    EXPECT_TRUE(shown->pointedWords().isEmpty());
    QEvent leave(QEvent::Leave);
    QApplication::sendEvent(shown, &leave);
    EXPECT_TRUE(shown->pointedWords().isEmpty());
}

} // namespace
} // namespace anodex::app
