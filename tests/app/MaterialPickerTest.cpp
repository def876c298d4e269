// The electrode picker in the real window: by sight, by arrow keys, by typing, and the shelf first.
#include "app/session/ShelfBook.h"
#include "app/widgets/MaterialPaint.h"
#include "app/widgets/MaterialTint.h"
#include "core/design/Identify.h"
#include "tests/app/WindowFixture.h"

#include <QImage>
#include <QLabel>
#include <QListWidget>
#include <QPainter>
#include <QPushButton>
#include <set>

namespace anodex::app {
namespace {

class MaterialPickerTest : public WindowTest {
protected:
    MaterialPickerTest() { QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton); }

    QListWidget* openPicker(int side = 1) {
        go(2);
        click(picture("ladder"), QStringLiteral("foot:%1").arg(side));
        return find<QListWidget>("materialList");
    }
    static bool isHeading(const QListWidgetItem* row) { return row->flags() == Qt::NoItemFlags; }
    static QStringList headings(const QListWidget* list) {
        QStringList names;
        for (int i = 0; i < list->count(); ++i) {
            if (isHeading(list->item(i)) && !list->item(i)->isHidden()) {
                names << list->item(i)->text();
            }
        }
        return names;
    }
    QString comparison() { return find<QLabel>("materialCompared")->text().replace(QChar(0xA0), ' '); }
    void own(const char* name) {
        shelf::Shelf shelf = shelfIn(*m_bench);
        shelf.materials.push_back({design::Named(name), 1e-3, std::nullopt, std::nullopt});
        ASSERT_TRUE(keepShelf(*m_bench, shelf, base::Said("command.shelf-on", {{"name", name}})));
    }
};

TEST_F(MaterialPickerTest, EveryMaterialStandsOnceUnderItsHeading) {
    const QListWidget* list = openPicker();
    EXPECT_EQ(headings(list), (QStringList{"Metals and alloys", "Plated and coated", "Carbons",
                                           "Oxides and salts", "Powders and pastes"}));
    EXPECT_TRUE(isHeading(list->item(0)));
    EXPECT_EQ(static_cast<std::size_t>(list->count() - headings(list).size()),
              m_bench->catalogue().materials.size());
}

TEST_F(MaterialPickerTest, WhatIsOnTheShelfStandsFirstAndOnlyThere) {
    own("carbon felt");
    own("brass");
    const QListWidget* list = openPicker();
    EXPECT_EQ(headings(list).front(), "On your shelf");
    EXPECT_EQ(static_cast<std::size_t>(list->count() - headings(list).size()),
              m_bench->catalogue().materials.size());
    const std::set<QString> first{list->item(1)->text(), list->item(2)->text()};
    EXPECT_EQ(first, (std::set<QString>{"brass", "carbon felt"}));
}

TEST_F(MaterialPickerTest, TheOneUnderTheHandIsComparedWithThePresentOne) {
    QListWidget* list = openPicker(0);
    EXPECT_TRUE(comparison().contains("zinc stands there now")) << comparison().toStdString();
    find<QLineEdit>("materialFilter")->setFocus();
    QTest::keyClicks(find<QLineEdit>("materialFilter"), "magnesium ribbon");
    const QString said = comparison();
    EXPECT_TRUE(said.startsWith("zinc now: 1.00 V")) << said.toStdString();
    EXPECT_TRUE(said.contains("With magnesium ribbon: ")) << said.toStdString();
    EXPECT_TRUE(said.contains("New: ")) << said.toStdString();
    EXPECT_TRUE(QTest::qWaitFor(
        [&] { return list->currentItem()->text().contains(QStringLiteral("\u00A0V")); }, 20000));
    QTest::keyClick(find<QLineEdit>("materialFilter"), Qt::Key_Return);
    EXPECT_EQ(m_bench->draft().design().negative.material, "magnesium ribbon");
}

TEST_F(MaterialPickerTest, ArrowKeysNeverRestOnAHeading) {
    const QListWidget* list = openPicker();
    auto* filter = find<QLineEdit>("materialFilter");
    QTest::keyClicks(filter, "mesh");
    EXPECT_GT(headings(list).size(), 1);
    std::set<int> rested;
    for (int i = 0; i < list->count(); ++i) {
        rested.insert(list->currentRow());
        EXPECT_FALSE(isHeading(list->currentItem()));
        EXPECT_FALSE(list->currentItem()->isHidden());
        QTest::keyClick(filter, Qt::Key_Down);
    }
    EXPECT_GT(rested.size(), 4U);
    for (int i = 0; i < list->count(); ++i) {
        QTest::keyClick(filter, Qt::Key_Up);
    }
    EXPECT_EQ(list->currentRow(), *rested.begin());
}

TEST_F(MaterialPickerTest, NothingOfThatNameIsSaidAndNothingIsChosen) {
    const QListWidget* list = openPicker();
    type(find<QLineEdit>("materialFilter"), "unobtainium");
    EXPECT_TRUE(headings(list).isEmpty());
    EXPECT_TRUE(comparison().startsWith("Nothing of this name")) << comparison().toStdString();
    EXPECT_EQ(m_bench->draft().design().positive.material, "copper");
}

TEST_F(MaterialPickerTest, ChoosingThePresentOneChangesNothing) {
    const QString before = QString::fromStdString(m_bench->draft().design().positive.material.written);
    openPicker();
    QTest::keyClick(find<QLineEdit>("materialFilter"), Qt::Key_Return);
    EXPECT_EQ(QString::fromStdString(m_bench->draft().design().positive.material.written), before);
    EXPECT_FALSE(find<QListWidget>("materialList")->isVisible());
}

TEST(MaterialPaint, EveryMaterialHasAColourAndCanBeSeen) {
    Theme theme;
    for (const ThemeChoice choice : {ThemeChoice::Light, ThemeChoice::Dark}) {
        theme.apply(*qApp, choice);
        const Colours& c = theme.colours();
        for (const chemistry::Material& material : test::catalogue().materials) {
            EXPECT_NE(tintOf(test::catalogue(), material, c), c.rule) << material.id;
            QImage image(40, 40, QImage::Format_ARGB32);
            image.fill(c.sheet);
            QPainter painter(&image);
            paintMaterial(painter, c, test::catalogue(), material, QRectF(5, 5, 30, 30));
            painter.end();
            int drawn = 0;
            for (int y = 0; y < image.height(); ++y) {
                for (int x = 0; x < image.width(); ++x) {
                    drawn += image.pixelColor(x, y) != c.sheet ? 1 : 0;
                }
            }
            EXPECT_GT(drawn, 100) << material.id;
        }
    }
    theme.apply(*qApp, ThemeChoice::Light);
}

} // namespace
} // namespace anodex::app
