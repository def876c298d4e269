// Every number opens, every focusable thing has a name, every view can be walked by Tab, sizes and themes
// hold.
#include "tests/app/WindowFixture.h"

#include "app/widgets/ExplainPanel.h"

#include <QAccessible>
#include <QLabel>
#include <QPushButton>
#include <QTreeWidget>
#include <set>

namespace anodex::app {
namespace {

TEST_F(WindowTest, EveryComputedNumberOpensToFormulaInputsAndSources) {
    openDemo();
    int opened = 0;
    for (const ViewEntry& view : viewList()) {
        m_window->showStation(view.id);
        for (Picture* shown : m_window->findChildren<Picture*>()) {
            if (!shown->isVisible()) {
                continue;
            }
            std::vector<QString> ids;
            for (const PictureItem& item : shown->items()) {
                if (item.opens) {
                    ids.push_back(item.id);
                }
            }
            for (const QString& id : ids) {
                click(shown, id);
                ExplainPanel* panel = m_window->explainPanel();
                EXPECT_TRUE(panel->isVisible()) << id.toStdString();
                EXPECT_GT(panel->tree()->topLevelItemCount(), 0)
                    << shown->objectName().toStdString() << " " << id.toStdString();
                QTest::keyClick(panel->tree(), Qt::Key_Escape);
                EXPECT_FALSE(panel->isVisible());
                ++opened;
            }
        }
    }
    EXPECT_GT(opened, 40);
}

TEST_F(WindowTest, EveryFocusableThingHasANameAndARole) {
    openDemo();
    for (const ViewEntry& view : viewList()) {
        m_window->showStation(view.id);
        for (QWidget* widget : m_window->findChildren<QWidget*>()) {
            if (!widget->isVisible() || widget->focusPolicy() == Qt::NoFocus) {
                continue;
            }
            QAccessibleInterface* face = QAccessible::queryAccessibleInterface(widget);
            ASSERT_NE(face, nullptr);
            const std::string who =
                widget->metaObject()->className() + std::string(" ") + widget->objectName().toStdString();
            EXPECT_FALSE(face->text(QAccessible::Name).isEmpty()) << who;
            EXPECT_NE(face->role(), QAccessible::NoRole) << who;
        }
        for (Picture* shown : m_window->findChildren<Picture*>()) {
            QAccessibleInterface* face = QAccessible::queryAccessibleInterface(shown);
            ASSERT_EQ(face->childCount(), static_cast<int>(shown->items().size()));
            for (int i = 0; i < face->childCount(); ++i) {
                EXPECT_FALSE(face->child(i)->text(QAccessible::Name).isEmpty())
                    << shown->objectName().toStdString() << i;
                EXPECT_NE(face->child(i)->role(), QAccessible::NoRole);
            }
        }
    }
}

TEST_F(WindowTest, EveryViewCanBeWalkedByTabAlone) {
    openDemo();
    for (const ViewEntry& view : viewList()) {
        m_window->showStation(view.id);
        ASSERT_EQ(m_window->station(), view.id);
        std::set<QWidget*> wanted;
        for (QWidget* widget : m_window->findChildren<QWidget*>()) {
            if (widget->isVisible() && widget->isEnabled() && (widget->focusPolicy() & Qt::TabFocus) != 0) {
                wanted.insert(widget);
            }
        }
        find<Picture>("wire")->setFocus();
        std::set<QWidget*> reached;
        for (int i = 0; i < 200; ++i) {
            QWidget* at = QApplication::focusWidget();
            ASSERT_NE(at, nullptr);
            reached.insert(at);
            QTest::keyClick(at, Qt::Key_Tab);
        }
        for (QWidget* widget : wanted) {
            EXPECT_TRUE(reached.contains(widget)) << view.id << " " << widget->metaObject()->className()
                                                  << " " << widget->objectName().toStdString();
        }
    }
}

TEST_F(WindowTest, EveryViewOnTheWireHasItsDigitAndEveryViewCanBeFound) {
    openDemo();
    for (const ViewEntry& view : viewList()) {
        m_window->showStation("notebook");
        if (view.place > 0) {
            EXPECT_NE(picture("wire")->item(view.id), nullptr) << view.id;
            go(view.place);
        } else {
            QTest::keyClick(m_window.get(), static_cast<Qt::Key>(view.keys[0].key()),
                            view.keys[0].keyboardModifiers());
        }
        EXPECT_EQ(m_window->station(), view.id);
        m_window->showStation("notebook");
        QTest::keyClick(m_window.get(), Qt::Key_F, Qt::ControlModifier);
        type(find<QLineEdit>("findField"), view.title);
        EXPECT_EQ(m_window->station(), view.id);
    }
}

TEST_F(WindowTest, DesignToJudgeWorksWithoutAMouse) {
    auto* door = find<QPushButton>("doorFirst");
    door->setFocus();
    QTest::keyClick(door, Qt::Key_Space);
    EXPECT_EQ(m_window->station(), "couple");
    auto* ladder = picture("ladder");
    ladder->setFocus();
    ladder->focusItem("foot:1");
    QTest::keyClick(ladder, Qt::Key_Return);
    type(find<QLineEdit>("materialFilter"), "graph");
    EXPECT_EQ(m_bench->draft().design().positive.material, "graphite");
    go(3);
    auto* section = picture("section");
    section->setFocus();
    section->focusItem("gap");
    QTest::keyClick(section, Qt::Key_F2);
    type(find<QLineEdit>("numberField"), "4 mm");
    EXPECT_NEAR(m_bench->draft().outcome().cell->gapMetres, 0.004, 1e-9);
    QTest::keyClick(m_window.get(), Qt::Key_B, Qt::ControlModifier);
    go(6);
    QTest::keyClicks(focused(), "1.1 V");
    QTest::keyClick(focused(), Qt::Key_Return);
    EXPECT_EQ(m_bench->selection().readings().size(), 1U);
    go(7);
    EXPECT_EQ(m_window->station(), "judge");
}

TEST_F(WindowTest, FieldsRefuseWhatDoesNotFit) {
    openDemo();
    go(3);
    auto* section = picture("section");
    const double gap = m_bench->draft().outcome().cell->gapMetres;
    for (const char* text : {"0", "-4", "five", "4 kg", "99 m"}) {
        section->setFocus();
        section->focusItem("gap");
        QTest::keyClick(section, Qt::Key_F2);
        type(find<QLineEdit>("numberField"), text);
        EXPECT_TRUE(message().contains("does not fit")) << text << ": " << message().toStdString();
        EXPECT_NEAR(m_bench->draft().outcome().cell->gapMetres, gap, 1e-12) << text;
    }
}

TEST_F(WindowTest, ArrowKeysMoveInsideAPicture) {
    openDemo();
    go(2);
    auto* ladder = picture("ladder");
    ladder->setFocus();
    ladder->focusItem("foot:0");
    QTest::keyClick(ladder, Qt::Key_Right);
    EXPECT_NE(ladder->focusedItem(), "foot:0");
    QTest::keyClick(ladder, Qt::Key_Up);
    EXPECT_NE(ladder->focusedItem(), QString());
}

TEST_F(WindowTest, TheNotebookShowsEveryRevisionAndBuildOfTheDemo) {
    openDemo();
    EXPECT_EQ(m_window->station(), "notebook");
    int revisions = 0;
    int builds = 0;
    for (const PictureItem& item : picture("timeline")->items()) {
        revisions += item.id.startsWith("rev:") ? 1 : 0;
        builds += item.id.startsWith("build:") ? 1 : 0;
    }
    EXPECT_EQ(revisions, 16);
    EXPECT_EQ(builds, 21);
}

TEST_F(WindowTest, WhatIsOnlyALowerBoundIsCalledOne) {
    openDemo();
    const auto valueOf = [&](const char* where, const QString& id) {
        const PictureItem* item = picture(where)->item(id);
        return item != nullptr ? item->value : QString();
    };
    // The jar was not run down, and the load was not the best one.
    EXPECT_TRUE(valueOf("rail", "capacity").contains("at least"));
    EXPECT_TRUE(valueOf("rail", "maximumPower").contains("at least"));
    EXPECT_TRUE(valueOf("rail", "openCircuit").contains("measured"));
    go(7);
    EXPECT_TRUE(valueOf("ledger", "capacity").contains(QStringLiteral("≥")));
    EXPECT_FALSE(valueOf("ledger", "openCircuit").contains(QStringLiteral("≥")));
    EXPECT_TRUE(valueOf("ledger", "loaded").contains("expected"));
}

TEST_F(WindowTest, TheLayeredJarIsDrawnLayered) {
    openDemo();
    go(3);
    const Picture* section = picture("section");
    const QRectF zinc = section->item("negative")->area;
    const QRectF copper = section->item("positive")->area;
    EXPECT_LT(zinc.bottom(), copper.top());
    EXPECT_GT(zinc.width(), 4.0 * zinc.height()) << "a slab, not a stave";
    // Downwards is wider apart now.
    const double before = m_bench->draft().outcome().cell->gapMetres;
    drag(picture("section"), "gap", QPoint(0, 60));
    EXPECT_GT(m_bench->draft().outcome().cell->gapMetres, 1.2 * before);
}

TEST_F(WindowTest, MassesAndLiquidsOpenAndTheirPartsStillOfferChoices) {
    openDemo();
    go(3);
    for (const char* id : {"negative.mass", "positive.mass", "liquid:0.facts", "liquid:1.facts"}) {
        click(picture("section"), id);
        EXPECT_TRUE(m_window->explainPanel()->isVisible()) << id;
        QTest::keyClick(m_window->explainPanel()->tree(), Qt::Key_Escape);
    }
    // The electrode itself, beside its numbers, is still where choices are made.
    const PictureItem* electrode = picture("section")->item("negative");
    ASSERT_NE(electrode, nullptr);
    EXPECT_FALSE(electrode->opens);
}

TEST_F(WindowTest, NumbersInWordsOpenToo) {
    openDemo();
    ExplainPanel* panel = m_window->explainPanel();
    go(2);
    QTest::mouseClick(find<QPushButton>("loadText"), Qt::LeftButton);
    EXPECT_TRUE(panel->isVisible());
    QTest::keyClick(panel->tree(), Qt::Key_Escape);
    go(6);
    int links = 0;
    for (QLabel* label : m_window->findChildren<QLabel*>()) {
        if (label->isVisible() && label->text().contains("<a href")) {
            ++links;
            label->setFocus();
            QTest::keyClick(label, Qt::Key_Tab); // onto the link
            QTest::keyClick(label, Qt::Key_Return);
        }
    }
    EXPECT_EQ(links, 1);
    EXPECT_TRUE(panel->isVisible());
    QTest::keyClick(panel->tree(), Qt::Key_Escape);
    go(7);
    click(picture("ledger"), "energy");
    ASSERT_TRUE(panel->isVisible());
    EXPECT_EQ(panel->tree()->topLevelItem(1)->text(0), "Q") << "of the run, not of the design";
}

TEST_F(WindowTest, SwappedElectrodesRaiseTheFindingOnTheRail) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    design::CellDesign design = m_bench->draft().design();
    std::swap(design.negative, design.positive);
    m_bench->edit(design);
    const PictureItem* finding = picture("rail")->item("finding");
    ASSERT_NE(finding, nullptr);
    EXPECT_EQ(finding->name, "Leads are swapped");
}

TEST_F(WindowTest, LargeFontsKeepEveryItemBetweenTheSidesOfItsPicture) {
    openDemo();
    const QFont usual = QApplication::font();
    int height = 801;
    for (const double scale : {1.5, 2.0}) {
        QFont font = usual;
        font.setPointSizeF(usual.pointSizeF() * scale);
        QApplication::setFont(font);
        for (const ViewEntry& view : viewList()) {
            m_window->resize(1280, ++height); // another each time, so that everything is laid out anew
            m_window->showStation(view.id);
            QCoreApplication::processEvents();
            for (Picture* shown : m_window->findChildren<Picture*>()) {
                for (const PictureItem& item : shown->items()) {
                    if (shown->isVisible() && item.focusable) {
                        EXPECT_GE(item.area.left(), -1.0) << scale << " " << item.id.toStdString();
                        EXPECT_LE(item.area.right(), shown->width() + 1.0)
                            << scale << " " << item.id.toStdString();
                        EXPECT_FALSE(item.tooltip.isEmpty() && item.name.isEmpty()) << item.id.toStdString();
                    }
                }
            }
        }
    }
    QApplication::setFont(usual);
}

} // namespace
} // namespace anodex::app
