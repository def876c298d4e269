// Nothing is cut or lies on something else: at any font, in any window size, with long names, with nothing.
#include "app/session/Deeds.h"
#include "tests/app/CutTexts.h"
#include "tests/app/Overlaps.h"
#include "tests/app/WindowFixture.h"

#include <QPaintEvent>
#include <QRegion>

namespace anodex::app {
namespace {

/// What of a widget is painted while this stands.
class PaintedRegion : public QObject {
public:
    explicit PaintedRegion(QWidget& widget) { widget.installEventFilter(this); }
    [[nodiscard]] const QRegion& region() const { return m_region; }

protected:
    bool eventFilter(QObject* /*widget*/, QEvent* event) override {
        if (event->type() == QEvent::Paint) {
            m_region += static_cast<QPaintEvent*>(event)->region();
        }
        return false;
    }

private:
    QRegion m_region;
};

class LayoutTest : public WindowTest {
protected:
    ~LayoutTest() override { QApplication::setFont(m_usual); }

    void openAt(double scale, const QSize& size, const QString& notebook = {}) {
        QFont font = m_usual;
        font.setPointSizeF(m_usual.pointSizeF() * scale);
        QApplication::setFont(font);
        start(notebook);
        m_window->resize(size);
        if (notebook.isEmpty()) {
            openDemo();
        }
    }

    QFont m_usual = QApplication::font();
};

/// The whole window at a font, on screens from the smallest that is supported to a large one.
class Layouts : public LayoutTest, public testing::WithParamInterface<double> {};

TEST_P(Layouts, NothingIsCutOrOutOfReachOrOnSomethingElse) {
    openAt(GetParam(), {1280, 800});
    for (const QSize& size :
         {QSize(900, 600), QSize(1000, 680), QSize(1280, 800), QSize(1600, 1000), QSize(1920, 1080)}) {
        m_window->resize(size);
        for (const ViewEntry& view : viewList()) {
            m_window->showStation(view.id);
            QCoreApplication::processEvents();
            const std::string where = std::to_string(size.width()) + " wide, " + view.id;
            EXPECT_EQ(m_window->size(), size) << where;
            EXPECT_EQ(cutTexts(*m_window).join('\n').toStdString(), "") << where;
            EXPECT_EQ(outOfReach(*m_window).join('\n').toStdString(), "") << where;
            EXPECT_EQ(overlaps(*m_window).join('\n').toStdString(), "") << where;
        }
    }
}

INSTANTIATE_TEST_SUITE_P(Fonts, Layouts, testing::Values(1.0, 1.5, 2.0));

TEST_F(LayoutTest, NothingMovesWhenAMessageComesOrGoes) {
    openAt(1.0, {1280, 800});
    for (const ViewEntry& view : viewList()) {
        m_window->showStation(view.id);
        const auto places = [this] {
            QCoreApplication::processEvents();
            QList<QRect> all;
            for (const QWidget* widget : m_window->findChildren<QWidget*>()) {
                if (widget->isVisible() && !liesOver(*widget) && !liesOver(*widget->parentWidget())) {
                    all << widget->geometry();
                }
            }
            return all;
        };
        const QList<QRect> before = places();
        m_window->strip()->refuse(QStringLiteral("that cannot be, because ").repeated(12));
        EXPECT_EQ(places(), before) << view.id;
        EXPECT_EQ(outOfReach(*m_window).join('\n').toStdString(), "") << view.id;
        m_window->strip()->hide();
        EXPECT_EQ(places(), before) << view.id;
    }
}

TEST_F(LayoutTest, ARefusalStandsAtTheFieldThatRefuses) {
    openAt(1.0, {1280, 800});
    m_window->showStation(QStringLiteral("bench"));
    auto* field = find<QLineEdit>(QStringLiteral("entryLine"));
    type(field, QStringLiteral("1.02 V 99:99"));
    m_window->strip()->refuse(QStringLiteral("no such time"));
    const QRect at(field->mapTo(m_window.get(), QPoint()), field->size());
    EXPECT_TRUE(at.adjusted(0, -80, 0, 80).intersects(m_window->strip()->geometry()))
        << m_window->strip()->y() << " for " << at.top() << " " << called(*focused()).toStdString();
    EXPECT_FALSE(at.intersects(m_window->strip()->geometry()));
}

TEST_F(LayoutTest, WhereTheRailTakesTooMuchRoomItIsAStripThatUnfolds) {
    openAt(2.0, {1280, 800});
    Picture* rail = picture("rail");
    const int narrow = rail->width();
    EXPECT_LT(narrow, 200);
    EXPECT_NE(rail->item("openCircuit"), nullptr);
    click(rail, "fold");
    QCoreApplication::processEvents();
    EXPECT_GT(rail->width(), narrow + 100);
    EXPECT_NE(rail->item("remedy"), nullptr);
    click(rail, "fold");
    QCoreApplication::processEvents();
    EXPECT_EQ(rail->width(), narrow);
    click(rail, "finding");
    QCoreApplication::processEvents();
    EXPECT_NE(rail->item("remedy"), nullptr) << "its sign unfolds what is found";
}

TEST_F(LayoutTest, TheDoorsAreWholeAtAnyFont) {
    for (const double scale : {1.0, 2.0}) {
        QFont font = m_usual;
        font.setPointSizeF(m_usual.pointSizeF() * scale);
        QApplication::setFont(font);
        start();
        EXPECT_EQ(cutTexts(*m_window).join('\n').toStdString(), "") << scale;
    }
}

TEST_F(LayoutTest, RowsOfTheLedgerAndTheRailDoNotOverlapAtAnyFont) {
    for (const double scale : {1.0, 2.0}) {
        openAt(scale, {1280, 800});
        go(7);
        QCoreApplication::processEvents();
        for (const char* name : {"ledger", "rail"}) {
            double bottom = 0.0;
            for (const PictureItem& item : picture(name)->items()) {
                if (item.opens) {
                    EXPECT_GE(item.area.top(), bottom - 1.0) << scale << item.id.toStdString();
                    EXPECT_GE(item.area.height(), Theme::em(1.3)) << scale << item.id.toStdString();
                    bottom = item.area.bottom();
                }
            }
            EXPECT_LE(bottom, picture(name)->height() + 1.0) << name;
        }
    }
}

TEST_F(LayoutTest, WhatHasTheFocusOnTheRailIsInSight) {
    openAt(2.0, {1280, 800});
    Picture* rail = picture("rail");
    rail->setFocus();
    for (int i = 0; i < 12; ++i) {
        QTest::keyClick(rail, Qt::Key_Down);
    }
    QCoreApplication::processEvents();
    const PictureItem* item = rail->item(rail->focusedItem());
    ASSERT_NE(item, nullptr);
    EXPECT_TRUE(rail->visibleRegion().boundingRect().contains(item->area.center().toPoint()))
        << item->id.toStdString();
}

TEST_F(LayoutTest, ADangerIsSeenWithoutScrolling) {
    openAt(2.0, {1280, 800});
    m_bench->startDesign(test::design(test::foilInAlkali()));
    QCoreApplication::processEvents();
    Picture* rail = picture("rail");
    const PictureItem* card = rail->item("finding");
    ASSERT_NE(card, nullptr);
    EXPECT_TRUE(rail->visibleRegion().boundingRect().contains(card->area.center().toPoint()));
}

TEST_F(LayoutTest, LongNamesFitALargeFontInASmallWindow) {
    openAt(2.0, {1000, 680});
    renameRevision(*m_bench, QString("A name that goes on for as long as a cold morning on the allotment"));
    for (const ViewEntry& view : viewList()) {
        m_window->showStation(view.id);
        EXPECT_EQ(cutTexts(*m_window).join('\n').toStdString(), "") << view.id;
    }
}

TEST_F(LayoutTest, ThePicturesAreDrawnEvenWhereThereIsNoRoomForThem) {
    openAt(1.0, {1280, 800});
    int drawn = 0;
    for (const ViewEntry& view : viewList()) {
        m_window->showStation(view.id);
        for (Picture* each : m_window->findChildren<Picture*>()) {
            for (const QSize& size : {QSize(1, 1), QSize(400, 3), QSize(3, 400)}) {
                each->resize(size);
                drawn += each->grab().isNull() ? 0 : 1; // comes back at all
            }
        }
    }
    EXPECT_GT(drawn, 20);
}

TEST_F(LayoutTest, LongNamesAreShortenedAndToldInFull) {
    openAt(1.0, {1280, 800});
    const QString name =
        QString("A name that goes on for as long as a cold morning on the allotment ").repeated(2);
    renameRevision(*m_bench, name);
    QTest::keyClick(m_window.get(), Qt::Key_D, Qt::ControlModifier);
    for (const ViewEntry& view : viewList()) {
        m_window->showStation(view.id);
        EXPECT_EQ(cutTexts(*m_window).join('\n').toStdString(), "") << view.id;
    }
    go(1);
    int told = 0;
    for (const PictureItem& item : picture("timeline")->items()) {
        told += item.tooltip.contains(name.trimmed()) ? 1 : 0;
    }
    EXPECT_GE(told, 1);
}

TEST_F(LayoutTest, TheThemeReachesEveryPicture) {
    openDemo();
    for (const ViewEntry& view : viewList()) {
        m_window->showStation(view.id);
        QCoreApplication::processEvents();
        const QImage light = m_window->grab().toImage();
        m_theme.apply(*qApp, ThemeChoice::Dark);
        QCoreApplication::processEvents();
        const QImage dark = m_window->grab().toImage();
        m_theme.apply(*qApp, ThemeChoice::Light);
        // The paper itself, at the window's lower left corner.
        EXPECT_GT(light.pixelColor(3, light.height() - 3).lightness(), 200) << view.id;
        EXPECT_LT(dark.pixelColor(3, dark.height() - 3).lightness(), 60) << view.id;
    }
}

TEST_F(LayoutTest, AnEditPaintsThePicturesAndNothingUnderThem) {
    openDemo();
    for (const ThemeChoice choice : {ThemeChoice::Light, ThemeChoice::Dark}) {
        m_theme.apply(*qApp, choice);
        m_window->showStation(QStringLiteral("cell"));
        QCoreApplication::processEvents();
        Picture* section = picture("section");
        section->focusItem(QStringLiteral("gap"));
        PaintedRegion painted(*section);
        PaintedRegion under(*m_window);
        QTest::keyClick(section, Qt::Key_Plus);
        QCoreApplication::processEvents();
        EXPECT_FALSE(painted.region().isEmpty());
        for (const Picture* each : m_window->findChildren<Picture*>()) {
            const QRect area(each->mapTo(m_window.get(), QPoint()), each->size());
            EXPECT_FALSE(each->isVisible() && under.region().intersects(area & m_window->rect()))
                << each->objectName().toStdString();
        }
    }
}

TEST_F(LayoutTest, APicturePaintsEveryPixelOfItself) {
    openDemo();
    for (const ViewEntry& view : viewList()) {
        m_window->showStation(view.id);
        QCoreApplication::processEvents();
        for (Picture* each : m_window->findChildren<Picture*>()) {
            if (!each->isVisible()) {
                continue;
            }
            QImage image(each->size(), QImage::Format_RGB32);
            image.fill(Qt::green);
            each->render(&image, {}, {}, QWidget::RenderFlags());
            int left = 0;
            for (int y = 0; y < image.height(); ++y) {
                for (int x = 0; x < image.width(); ++x) {
                    left += image.pixelColor(x, y) == QColor(Qt::green) ? 1 : 0;
                }
            }
            EXPECT_EQ(left, 0) << view.id << ": " << each->objectName().toStdString();
        }
    }
}

} // namespace
} // namespace anodex::app
