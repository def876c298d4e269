// Couple's other face: the charge, driven by mouse and keys.
#include "app/views/couple/ChargeLadder.h"
#include "app/widgets/ExplainPanel.h"
#include "tests/app/WindowFixture.h"

#include <QPushButton>
#include <QSlider>
#include <QTreeWidget>

namespace anodex::app {
namespace {

class ChargeFace : public WindowTest {
protected:
    ChargeLadder* open(const std::string& cell) {
        m_bench->startDesign(test::design(cell));
        go(2);
        QTest::mouseClick(find<QPushButton>("faceCharge"), Qt::LeftButton);
        return m_window->findChild<ChargeLadder*>();
    }
};

TEST_F(ChargeFace, FlipsToTheChargeAndBack) {
    ChargeLadder* picture = open(test::beakers());
    ASSERT_TRUE(picture->isVisible());
    ASSERT_TRUE(picture->charging());
    EXPECT_NE(picture->item(QStringLiteral("supply")), nullptr);
    EXPECT_NE(picture->item(QStringLiteral("window")), nullptr);
    EXPECT_TRUE(picture->item(QStringLiteral("answer"))->name.contains(QLatin1String("on charge")));
    QTest::mouseClick(find<QPushButton>("faceLadder"), Qt::LeftButton);
    EXPECT_FALSE(picture->isVisible());
}

TEST_F(ChargeFace, TheVoltageCarriesItsRange) {
    ChargeLadder* picture = open(test::beakers());
    EXPECT_TRUE(QTest::qWaitFor(
        [&] { return picture->item(QStringLiteral("answer"))->value.contains(QStringLiteral("–")); }, 5000));
}

TEST_F(ChargeFace, TheSliderMovesTheCurrentAndTheVoltage) {
    ChargeLadder* picture = open(test::beakers());
    const double amps = picture->amps();
    const QString before = picture->item(QStringLiteral("answer"))->name;
    auto* slider = find<QSlider>("loadSlider");
    slider->setFocus();
    QTest::keyClick(slider, Qt::Key_End);
    EXPECT_GT(picture->amps(), 1.5 * amps);
    EXPECT_NE(picture->item(QStringLiteral("answer"))->name, before);
}

TEST_F(ChargeFace, ACellThatCannotBeChargedSaysWhatComesOffInstead) {
    ChargeLadder* picture = open(test::lemon());
    const PictureItem* answer = picture->item(QStringLiteral("answer"));
    EXPECT_EQ(answer->name, QStringLiteral("Cannot be charged"));
    EXPECT_TRUE(answer->value.contains(QLatin1String("hydrogen"))) << qPrintable(answer->value);
    EXPECT_EQ(picture->item(QStringLiteral("window")), nullptr);
}

TEST_F(ChargeFace, PlanningAChargeIsOneCommandThatUndoTakesBack) {
    open(test::beakers());
    QTest::mouseClick(find<QPushButton>("planCharge"), Qt::LeftButton);
    ASSERT_TRUE(m_bench->draft().design().charge);
    EXPECT_GT(*m_bench->draft().design().charge->amps, 0.0);
    EXPECT_EQ(find<QPushButton>("planCharge")->text(), QStringLiteral("Plan none"));
    m_bench->undo();
    EXPECT_FALSE(m_bench->draft().design().charge);
}

TEST_F(ChargeFace, TheVoltageOpensToHowItWasFound) {
    open(test::beakers());
    QTest::mouseClick(find<QPushButton>("loadText"), Qt::LeftButton);
    ASSERT_TRUE(m_window->explainPanel()->isVisible());
    EXPECT_EQ(m_window->explainPanel()->tree()->findItems(QStringLiteral("E₊"), Qt::MatchStartsWith).size(),
              1);
}

TEST_F(ChargeFace, TheLaddersLossesAreThoseOfTheMomentChosen) {
    m_bench->startDesign(test::design(test::foilInSalt()));
    go(2);
    const auto left = [this] { return picture("ladder")->item("step:1")->value; };
    const QString first = left();
    QTest::mouseClick(find<QPushButton>("loadMoment"), Qt::LeftButton);
    EXPECT_EQ(find<QPushButton>("loadMoment")->text(), QStringLiteral("settled"));
    EXPECT_NE(left(), first);
    click(picture("ladder"), "step:1");
    EXPECT_TRUE(m_window->explainPanel()->isVisible());
    QTest::mouseClick(find<QPushButton>("loadMoment"), Qt::LeftButton);
    EXPECT_EQ(left(), first);
}

class CurvesFace : public ChargeFace {};

TEST_F(CurvesFace, ShowsTheLoadOnTheCurveAndTheBestPower) {
    m_bench->startDesign(test::design(test::beakers()));
    go(2);
    QTest::mouseClick(find<QPushButton>("faceCurves"), Qt::LeftButton);
    Picture* curves = picture("curves");
    ASSERT_TRUE(curves->isVisible());
    const QString before = curves->item("load")->value;
    auto* slider = find<QSlider>("loadSlider");
    slider->setFocus();
    QTest::keyClick(slider, Qt::Key_PageUp);
    EXPECT_NE(curves->item("load")->value, before);
    click(curves, "peak");
    EXPECT_TRUE(m_window->explainPanel()->isVisible());
}

TEST_F(CurvesFace, WithoutCurrentThereIsNothingToPointAt) {
    m_bench->startDesign(test::design(
        R"({"negative":{"material":"copper","wetted_area_cm2":5},"positive":{"material":"copper","wetted_area_cm2":5},"electrolyte":{"water_mL":50,"solutes":[{"substance":"NaCl","mol_per_L":1}]}})"));
    go(2);
    QTest::mouseClick(find<QPushButton>("faceCurves"), Qt::LeftButton);
    EXPECT_TRUE(picture("curves")->items().empty());
}

} // namespace
} // namespace anodex::app
