// A list that shows whole rows only.
#include "app/widgets/RowList.h"
#include "app/widgets/ShapedText.h"

#include <QApplication>
#include <QImage>
#include <QPainter>
#include <QTest>
#include <gtest/gtest.h>

namespace anodex::app {
namespace {

class RowListTest : public testing::Test {
protected:
    RowListTest() {
        for (int i = 0; i < 40; ++i) {
            m_list.addItem(QString::number(i));
        }
        m_list.setFrameShape(QFrame::NoFrame);
        m_list.show();
        m_row = m_list.visualItemRect(m_list.item(0)).height();
    }

    /// Inside its frame.
    void makeRoom(int height) {
        m_list.resize(200, 200);
        m_list.resize(200, height + 200 - m_list.viewport()->height());
    }
    /// Whether anything but the ground stands in the last rows of pixels.
    bool footIsBlank(int pixels) {
        const QImage image = m_list.viewport()->grab().toImage();
        const QColor ground = image.pixelColor(image.width() - 1, image.height() - 1);
        for (int y = image.height() - pixels; y < image.height(); ++y) {
            for (int x = 0; x < image.width(); ++x) {
                if (image.pixelColor(x, y) != ground) {
                    return false;
                }
            }
        }
        return true;
    }

    RowList m_list;
    int m_row = 0;
};

TEST_F(RowListTest, ARowThatWouldBeCutIsNotDrawnAndNotHit) {
    const int rest = m_row - 2;
    makeRoom(5 * m_row + rest);
    EXPECT_TRUE(footIsBlank(rest));
    EXPECT_FALSE(footIsBlank(rest + m_row));
    EXPECT_FALSE(m_list.indexAt(QPoint(20, 5 * m_row + 3)).isValid());
    EXPECT_EQ(m_list.indexAt(QPoint(20, 5 * m_row - 3)).row(), 4);
}

TEST_F(RowListTest, WhatFitsIsAllShown) {
    makeRoom(5 * m_row);
    EXPECT_FALSE(footIsBlank(m_row));
    EXPECT_EQ(m_list.indexAt(QPoint(20, 5 * m_row - 2)).row(), 4);
}

TEST_F(RowListTest, WordsTooLongForTheListTakeASecondLine) {
    m_list.setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    m_list.item(2)->setText("many words that stand in one row of a list that is not so wide");
    makeRoom(12 * m_row);
    EXPECT_TRUE(
        QTest::qWaitFor([&] { return m_list.visualItemRect(m_list.item(2)).height() > 1.4 * m_row; }, 2000));
    EXPECT_EQ(m_list.visualItemRect(m_list.item(1)).height(), m_row);
}

TEST(ShapedText, BreaksWhereTheTextDoes) {
    const QFont font = QApplication::font();
    const double one = wrappedHeight("one", 400, font);
    EXPECT_GT(wrappedHeight("one\ntwo\nthree", 400, font), 2.5 * one);
    EXPECT_LT(wordsWidth("one\ntwo", font), wordsWidth("one two", font));
}

TEST(ShapedText, AlignsEachOfItsLines) {
    // The second line is short: with all of it at the right, nothing stands at its left.
    const auto leftmost = [](int flags) {
        QImage image(200, 80, QImage::Format_RGB32);
        image.fill(Qt::white);
        QPainter painter(&image);
        drawWrapped(painter, QRectF(0, 0, 200, 80), "a line of words\nshort", flags);
        painter.end();
        const int below = static_cast<int>(wrappedHeight("a", 200, QApplication::font()) * 1.2);
        for (int x = 0; x < image.width(); ++x) {
            for (int y = below; y < image.height(); ++y) {
                if (image.pixelColor(x, y) != Qt::white) {
                    return x;
                }
            }
        }
        return image.width();
    };
    EXPECT_LT(leftmost(Qt::AlignLeft), 20);
    EXPECT_GT(leftmost(Qt::AlignHCenter), 50);
    EXPECT_GT(leftmost(Qt::AlignRight), 120);
    EXPECT_LT(leftmost(Qt::AlignRight), 200);
}

TEST_F(RowListTest, TheLastRowIsReachedByKeys) {
    makeRoom(5 * m_row + m_row / 2);
    m_list.setCurrentRow(0);
    QTest::keyClick(&m_list, Qt::Key_End);
    EXPECT_EQ(m_list.currentRow(), 39);
    const QRect last = m_list.visualItemRect(m_list.item(39));
    EXPECT_LE(last.bottom(), m_list.viewport()->height());
    EXPECT_EQ(m_list.indexAt(last.center()).row(), 39);
}

TEST_F(RowListTest, ARowTallerThanTheListIsShownAsFarAsItGoes) {
    makeRoom(m_row / 2);
    EXPECT_EQ(m_list.indexAt(QPoint(20, 2)).row(), 0);
}

} // namespace
} // namespace anodex::app
