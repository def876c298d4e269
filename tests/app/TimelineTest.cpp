// The map of the notebook: its scale, what was not built yet, and the words that narrow it down.
#include "app/views/notebook/TimelineScale.h"
#include "tests/app/WindowFixture.h"

#include <QPushButton>
#include <cmath>

namespace anodex::app {
namespace {

TEST(TimelineScale, IsEvenWhileFiguresAreOfOneSize) {
    const TimelineScale scale({0.03, 0.15, 0.06});
    EXPECT_FALSE(scale.byDecades());
    EXPECT_EQ(scale.shareOf(0.0), 0.0);
    EXPECT_NEAR(scale.shareOf(0.06) / scale.shareOf(0.03), 2.0, 1e-9);
    EXPECT_LT(scale.shareOf(0.15), 1.0);
    EXPECT_GE(scale.lines().size(), 3U);
    EXPECT_LE(scale.lines().size(), 7U);
}

TEST(TimelineScale, GoesByDecadesWhereTheyLieFarApart) {
    const TimelineScale scale({0.0009, 0.15, 12.0});
    EXPECT_TRUE(scale.byDecades());
    const double small = scale.shareOf(0.0009);
    EXPECT_GT(small, 0.05);
    EXPECT_LT(scale.shareOf(12.0), 1.0);
    const double share = std::log(0.15 / 0.0009) / std::log(12.0 / 0.0009);
    EXPECT_NEAR(scale.shareOf(0.15) - small, share * (scale.shareOf(12.0) - small), 1e-9);
    for (const double line : scale.lines()) {
        EXPECT_NEAR(std::log10(line), std::round(std::log10(line)), 1e-9);
    }
    EXPECT_LT(scale.shareOf(-1.0), 0.0) << "a wrong sign is still seen, below the foot";
}

TEST(TimelineScale, HoldsWithNothingOrNothingAboveZero) {
    for (const TimelineScale& scale :
         {TimelineScale(), TimelineScale({0.0, 0.0}), TimelineScale({-0.2, -0.1})}) {
        EXPECT_FALSE(scale.byDecades());
        EXPECT_TRUE(std::isfinite(scale.shareOf(0.1)));
        EXPECT_FALSE(scale.lines().empty());
        EXPECT_LT(scale.lines().size(), 10U);
    }
}

class TimelineTest : public WindowTest {
protected:
    Picture* timeline() { return picture("timeline"); }
    QStringList shown(const QString& kind) {
        QStringList names;
        for (const PictureItem& item : timeline()->items()) {
            if (item.id.startsWith(kind)) {
                names << item.name;
            }
        }
        return names;
    }
};

TEST_F(TimelineTest, WhatWasNotBuiltShowsWhatIsExpectedOfIt) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    go(1);
    ASSERT_EQ(shown("expected:").size(), 1);
    QTest::mouseClick(find<QPushButton>("figure:open circuit"), Qt::LeftButton);
    const QString id =
        QStringLiteral("expected:") + QString::fromStdString(m_bench->selection().revision()->id);
    EXPECT_TRUE(timeline()->item(id)->value.contains("1.00")) << timeline()->item(id)->value.toStdString();
    design::CellDesign other = m_bench->draft().design();
    other.negative.material = "magnesium";
    m_bench->edit(other);
    EXPECT_FALSE(timeline()->item(id)->value.contains("1.00")) << "it follows the design";
    m_bench->writeDownBuild();
    EXPECT_TRUE(shown("expected:").isEmpty());
}

TEST_F(TimelineTest, WhatIsExpectedGoesWithTheCatalogueItStandsOn) {
    const auto press = [this](const char* name) {
        QTest::mouseClick(find<QPushButton>(name), Qt::LeftButton);
    };
    press("doorFirst");
    m_window->openFile("catalogue:materials/zinc");
    press("ownEntry");
    press("keepEntry");
    design::CellDesign own = m_bench->draft().design();
    own.negative.material = "my zinc";
    m_bench->edit(own);
    go(1);
    EXPECT_EQ(shown("expected:").size(), 1);
    m_window->openFile("catalogue:materials/my-zinc");
    press("removeEntry");
    go(1);
    EXPECT_TRUE(shown("expected:").isEmpty()) << "its metal is known no more";
}

TEST_F(TimelineTest, WordsNarrowItDownAndNothingIsSaid) {
    openDemo();
    auto* filter = find<QLineEdit>("notebookFilter");
    type(filter, "jar 2", false);
    EXPECT_EQ(shown("rev:"), QStringList("Rain gauge jar 2"));
    type(filter, "ZINC gravity rain", false);
    EXPECT_EQ(shown("rev:").size(), 3) << "metals and kinds are words too";
    type(filter, "palladium", false);
    EXPECT_TRUE(shown("rev:").isEmpty());
    EXPECT_EQ(shown("none").size(), 1);
    filter->clear();
    EXPECT_EQ(shown("rev:").size(), 16);
}

TEST_F(TimelineTest, WhatChangedIsWrittenWholeAndLiesOnNothing) {
    openDemo();
    for (const char* figure : {"short circuit", "open circuit", "best power", "capacity"}) {
        QTest::mouseClick(find<QPushButton>(QStringLiteral("figure:") + figure), Qt::LeftButton);
        std::vector<QRectF> labels;
        for (const PictureItem& item : timeline()->items()) {
            if (item.id.startsWith("branch:")) {
                EXPECT_TRUE(std::none_of(labels.begin(), labels.end(), [&](const QRectF& other) {
                    return other.intersects(item.area);
                })) << figure;
                labels.push_back(item.area);
            }
        }
        EXPECT_GE(labels.size(), 8U);
    }
}

TEST_F(TimelineTest, EachLineStandsTogetherInTheOrderItGrew) {
    openDemo();
    const record::Id old = m_bench->selection().revision()->id;
    m_bench->startDesign(m_bench->draft().design());
    const std::string fresh = m_bench->selection().revision()->name;
    m_bench->selectRevision(old);
    design::CellDesign wider = m_bench->draft().design();
    wider.gapMetres = 0.2;
    m_bench->edit(wider); // a child of what was built
    go(1);
    const QStringList order = shown("rev:");
    ASSERT_EQ(order.size(), 18);
    EXPECT_EQ(order.back().toStdString(), fresh) << "the other line comes after all of this one";
}

TEST_F(WindowTest, TheDesignAtHandIsInSightWheneverTheMapIsEntered) {
    openDemo();
    const auto isSeen = [this] {
        const Picture* timeline = picture("timeline");
        const PictureItem* item = timeline->item(QStringLiteral("rev:") +
                                                 QString::fromStdString(m_bench->selection().revision()->id));
        return item != nullptr && timeline->visibleRegion().contains(item->area.center().toPoint());
    };
    for (const char* face : {"faceCharge", "faceLadder"}) {
        go(2);
        QTest::mouseClick(find<QPushButton>(face), Qt::LeftButton); // it has the focus when it is left
        go(1);
        EXPECT_TRUE(QTest::qWaitFor(isSeen, 1000)) << face;
        QTest::qWait(50);
        EXPECT_TRUE(isSeen()) << face;
    }
    m_bench->selectRevision(m_bench->contents().revisions.front().id);
    go(2);
    go(1);
    EXPECT_TRUE(QTest::qWaitFor(isSeen, 1000));
}

} // namespace
} // namespace anodex::app
