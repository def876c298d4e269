// The load in a builder's words: typed beside the slider, kept while the design changes.
#include "app/views/couple/CoupleView.h"
#include "app/views/couple/Ladder.h"
#include "tests/app/WindowFixture.h"

#include <QPushButton>
#include <QSlider>
#include <cmath>

namespace anodex::app {
namespace {

class LoadFieldTest : public WindowTest {
protected:
    LoadFieldTest() { QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton); }
    QLineEdit* field() { return find<QLineEdit>("loadField"); }
    QSlider* slider() { return find<QSlider>("loadSlider"); }
    std::optional<double> amps() { return m_window->findChild<CoupleView*>()->ladder()->loadAmps(); }
    double shorted() { return m_bench->draft().outcome().evaluation->first.shortCircuitAmps; }
    QString said() { return find<QPushButton>("loadText")->text(); }
};

TEST_F(LoadFieldTest, OhmsHoldWhileTheDesignChanges) {
    type(field(), "1k");
    const double before = *amps();
    EXPECT_LT(before, openCircuit() / 1e3);
    EXPECT_GT(before, 0.1 * openCircuit() / 1e3);
    go(3);
    drag(picture("section"), "gap", QPoint(-120, 0));
    go(2);
    EXPECT_GT(*amps(), before) << "less in the way, the same resistor";
    EXPECT_EQ(field()->text(), "1k");
}

TEST_F(LoadFieldTest, TheSliderFollowsAndTakesOver) {
    type(field(), "0.1 mA");
    EXPECT_NEAR(*amps(), 1e-4, 1e-12);
    const int there = slider()->value();
    EXPECT_GT(there, 0);
    EXPECT_LT(there, slider()->maximum());
    slider()->setFocus();
    QTest::keyClick(slider(), Qt::Key_End);
    EXPECT_NEAR(*amps(), shorted(), 1e-9);
    EXPECT_TRUE(field()->text().isEmpty()) << "what was typed no longer holds";
    QTest::keyClick(slider(), Qt::Key_Home);
    EXPECT_EQ(*amps(), 0.0);
    QTest::keyClick(slider(), Qt::Key_Right);
    EXPECT_NEAR(*amps() / shorted(), 1e-3, 1e-4) << "the first step is a thousandth";
}

TEST_F(LoadFieldTest, ADeviceIsDrawnOnTheCurves) {
    QTest::mouseClick(find<QPushButton>("faceCurves"), Qt::LeftButton);
    type(field(), "clock");
    const PictureItem* load = picture("curves")->item(QStringLiteral("load"));
    ASSERT_NE(load, nullptr);
    EXPECT_TRUE(load->name.contains("clock")) << load->name.toStdString();
}

TEST_F(LoadFieldTest, WhatTheCellCannotCarryIsSaid) {
    type(field(), "1 A");
    EXPECT_FALSE(amps());
    EXPECT_TRUE(message().contains("more than this cell can carry")) << message().toStdString();
    type(field(), "5 W");
    EXPECT_FALSE(amps());
    type(field(), "1k");
    EXPECT_TRUE(amps());
}

TEST_F(LoadFieldTest, WhatIsNoLoadChangesNothing) {
    const double before = *amps();
    for (const char* text : {"LED", "spoon", "1000"}) {
        type(field(), text);
        EXPECT_EQ(*amps(), before) << text;
        EXPECT_FALSE(message().isEmpty()) << text;
    }
    type(field(), "");
    EXPECT_EQ(*amps(), before);
}

TEST_F(LoadFieldTest, AReadingOnADeviceIsJudgedAtThatLoad) {
    QTest::keyClick(m_window.get(), Qt::Key_B, Qt::ControlModifier);
    go(6);
    type(find<QLineEdit>("entryLine"), "0.9 on the clock after 10 min");
    ASSERT_EQ(m_bench->selection().readings().size(), 1U) << message().toStdString();
    const record::Reading reading = m_bench->selection().readings().front();
    ASSERT_TRUE(reading.device);
    EXPECT_EQ(reading.device->id, "clock");
    EXPECT_EQ(reading.loadedSeconds, 600.0);
    go(7);
    const PictureItem* row = picture("ledger")->item(QStringLiteral("onLoad"));
    ASSERT_NE(row, nullptr);
    EXPECT_TRUE(row->name.contains("clock")) << row->name.toStdString();
    EXPECT_TRUE(row->value.contains("expected 0.9") || row->value.contains("expected 1"))
        << row->value.toStdString();
    EXPECT_TRUE(row->value.contains("measured 0.9")) << row->value.toStdString();
    QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
    EXPECT_TRUE(m_bench->selection().readings().empty());
}

} // namespace
} // namespace anodex::app
