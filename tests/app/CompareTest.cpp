// Versions side by side: what is chosen, what differs, and that the figures are those of each.
#include "app/views/compare/Compared.h"
#include "tests/app/WindowFixture.h"

#include <QListWidget>
#include <QPushButton>

namespace anodex::app {
namespace {

class CompareTest : public WindowTest {
protected:
    Picture* sheet() { return picture("compareSheet"); }
    QListWidget* list() { return find<QListWidget>(QStringLiteral("compareList")); }
    QString head(int column) {
        const PictureItem* item = sheet()->item(QStringLiteral("head:%1").arg(column));
        return item != nullptr ? item->name : QString();
    }
    QString value(const QString& id) {
        const PictureItem* item = sheet()->item(id);
        return item != nullptr ? item->value : QString();
    }
    int rowOf(const QString& words) {
        const auto found = list()->findItems(words, Qt::MatchContains);
        EXPECT_FALSE(found.isEmpty()) << words.toStdString();
        return found.isEmpty() ? 0 : list()->row(found.front());
    }
    void toggle(int row) {
        list()->scrollToItem(list()->item(row));
        QTest::mouseClick(list()->viewport(), Qt::LeftButton, {},
                          list()->visualItemRect(list()->item(row)).center());
    }
};

TEST_F(CompareTest, OneClickLaysTheBuildAtHandBesideTheOneBeforeIt) {
    openDemo();
    go(1);
    QTest::mouseClick(find<QPushButton>(QStringLiteral("compareVersions")), Qt::LeftButton);
    EXPECT_EQ(m_window->station(), QStringLiteral("compare"));
    EXPECT_EQ(head(0), QStringLiteral("Rain gauge jar 2 · build 2"));
    EXPECT_EQ(head(1), QStringLiteral("Rain gauge jar 3 · build 1"));
    EXPECT_TRUE(value("differs:1").contains(QStringLiteral("zinc sulfate")))
        << value("differs:1").toStdString();
    EXPECT_TRUE(value("figure:1:1").contains(QStringLiteral("measured 144")));
    EXPECT_TRUE(value("figure:2:1").contains(QStringLiteral("at least")));
}

TEST_F(CompareTest, AClickOrAKeyTakesAnotherInAndOutUpToFour) {
    openDemo();
    m_window->showStation(QStringLiteral("compare"));
    toggle(rowOf(QStringLiteral("jar 1")));
    EXPECT_EQ(head(0), QStringLiteral("Rain gauge jar 1 · build 1"));
    EXPECT_FALSE(head(2).isEmpty());
    EXPECT_TRUE(value("differs:2").contains(QStringLiteral("gap")));
    list()->setCurrentRow(rowOf(QStringLiteral("jar 2")));
    QTest::keyClick(list(), Qt::Key_Space);
    EXPECT_FALSE(head(3).isEmpty());
    m_bench->startDesign(m_bench->draft().design());
    m_window->showStation(QStringLiteral("compare"));
    ASSERT_EQ(list()->count(), 22);
    for (int row = 0; row < 3; ++row) {
        if (list()->item(row)->checkState() == Qt::Unchecked) {
            toggle(row);
        }
    }
    EXPECT_TRUE(message().contains(QStringLiteral("side by side"))) << "five columns are no longer read";
}

TEST_F(CompareTest, ADesignThatWasNotBuiltShowsWhatIsExpectedOfIt) {
    openDemo();
    design::CellDesign near = m_bench->draft().design();
    near.name = "Nearer";
    near.gapMetres = 0.03;
    m_bench->startDesign(near);
    m_window->showStation(QStringLiteral("compare"));
    EXPECT_TRUE(head(1).startsWith(QStringLiteral("Nearer"))) << head(1).toStdString();
    EXPECT_EQ(value("head:1"), QStringLiteral("not built"));
    const auto one = comparedOf(*m_bench, comparable(m_bench->contents()).back());
    ASSERT_TRUE(one.has_value());
    EXPECT_NEAR(one->figure(ComparedQuantity::OpenCircuit).expected, openCircuit(), 1e-9);
    EXPECT_FALSE(one->figure(ComparedQuantity::OpenCircuit).range.has_value());
    EXPECT_GT(one->curve.size(), 5U);
}

TEST_F(CompareTest, WhatIsSetAsideOrUndoneLeavesTheComparison) {
    openDemo();
    m_window->showStation(QStringLiteral("compare"));
    const int all = list()->count();
    m_bench->undo(); // the last note
    EXPECT_EQ(list()->count(), all);
    m_bench->travelTo(m_bench->store().history()[6].id);
    EXPECT_LT(list()->count(), all);
    EXPECT_EQ(comparable(m_bench->contents()).size(), static_cast<std::size_t>(list()->count()));
    EXPECT_FALSE(comparedOf(*m_bench, QStringLiteral("build:gone")).has_value());
    waitForRuns();
}

TEST_F(CompareTest, OneVersionAloneSaysWhatToDo) {
    QTest::mouseClick(find<QPushButton>(QStringLiteral("doorFirst")), Qt::LeftButton);
    m_window->showStation(QStringLiteral("compare"));
    EXPECT_EQ(list()->count(), 1);
    EXPECT_TRUE(sheet()->isHidden() || !sheet()->isVisible());
    QTest::keyClick(list(), Qt::Key_Escape);
    EXPECT_NE(m_window->station(), QStringLiteral("compare"));
}

} // namespace
} // namespace anodex::app
