// The starters as drawn cells: what each card says, in what order, and that a click begins it.
#include "app/session/ShelfBook.h"
#include "app/session/Starters.h"
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"
#include "tests/app/WindowFixture.h"
#include "wording/Texts.h"

#include <QFile>
#include <QFileInfo>
#include <QMimeData>
#include <QPushButton>
#include <QUrl>
#include <algorithm>
#include <set>

namespace anodex::app {
namespace {

class GalleryTest : public WindowTest {
protected:
    Picture* gallery() { return picture("gallery"); }
    /// Cards in the order they are read.
    QStringList cards() {
        QStringList ids;
        for (const PictureItem& item : gallery()->items()) {
            if (item.id.startsWith(QLatin1String("starter:"))) {
                ids << item.id.mid(8);
            }
        }
        return ids;
    }
    QString cardText(const QString& id) {
        const PictureItem* item = gallery()->item(QStringLiteral("starter:") + id);
        return item != nullptr ? item->name + QStringLiteral(" ") + item->value : QString();
    }
    static QByteArray contentOf(const QString& path) {
        QFile file(path);
        EXPECT_TRUE(file.open(QIODevice::ReadOnly));
        return file.readAll();
    }
    void order(int which) {
        QTest::mouseClick(find<QPushButton>(QStringLiteral("order:%1").arg(which)), Qt::LeftButton);
    }
    /// As a file manager does it.
    void drop(const QString& path) {
        QMimeData data;
        data.setUrls({QUrl::fromLocalFile(path)});
        QDragEnterEvent enter(QPoint(200, 200), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(m_window.get(), &enter);
        EXPECT_TRUE(enter.isAccepted());
        QDropEvent event(QPointF(200, 200), Qt::CopyAction, &data, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(m_window.get(), &event);
    }
};

TEST_F(GalleryTest, EveryStarterIsACardThatSaysWhatToExpectAndWhatItTeaches) {
    ASSERT_EQ(static_cast<std::size_t>(cards().size()), starters().size());
    ASSERT_TRUE(QTest::qWaitFor(
        [this] {
            const QStringList all = cards();
            return std::all_of(all.begin(), all.end(), [this](const QString& id) {
                return cardText(id).contains(QStringLiteral("–")) && cardText(id).contains("shorted");
            });
        },
        30000));
    for (const Starter& starter : starters()) {
        const QString text = cardText(QString::fromStdString(starter.id));
        EXPECT_TRUE(text.contains(QString::fromStdString(starter.design.name)));
        EXPECT_TRUE(
            text.contains(QString::fromStdString(wording::text("starter." + starter.id + ".teaches"))));
    }
    EXPECT_TRUE(cardText("lead").contains("acid", Qt::CaseInsensitive)) << cardText("lead").toStdString();
}

TEST_F(GalleryTest, EachTeachesSomethingAndNoTextIsLeftOver) {
    std::set<std::string> wanted;
    for (const Starter& starter : starters()) {
        wanted.insert("starter." + starter.id + ".name");
        wanted.insert("starter." + starter.id + ".teaches");
        const auto file =
            formats::readCellFile(formats::embeddedFile("starters/" + starter.id + ".cell.json"));
        EXPECT_EQ(wording::text("starter." + starter.id + ".name"), file->name);
    }
    std::set<std::string> there;
    for (const std::string& id : wording::Texts::english().ids()) {
        if (id.starts_with("starter.")) {
            there.insert(id);
        }
    }
    EXPECT_EQ(there, wanted);
}

TEST_F(GalleryTest, OneClickBeginsAStarter) {
    click(gallery(), "starter:food-vinegar");
    EXPECT_EQ(m_window->station(), "couple");
    EXPECT_EQ(m_bench->selection().revision()->name, "Zinc and copper in vinegar");
    EXPECT_TRUE(m_bench->draft().outcome().usable());
}

TEST_F(GalleryTest, KeysGoFromCardToCard) {
    gallery()->setFocus(Qt::TabFocusReason);
    const QString first = gallery()->focusedItem();
    QTest::keyClick(gallery(), Qt::Key_Right);
    EXPECT_NE(gallery()->focusedItem(), first);
    QTest::keyClick(gallery(), Qt::Key_Return);
    EXPECT_EQ(m_window->station(), "couple");
}

TEST_F(GalleryTest, TheSameStarterTwiceGetsTwoNames) {
    click(gallery(), "starter:first");
    QTest::keyClick(m_window.get(), Qt::Key_N, Qt::ControlModifier | Qt::ShiftModifier);
    click(gallery(), "starter:first");
    ASSERT_EQ(m_bench->contents().revisions.size(), 2U);
    EXPECT_NE(m_bench->contents().revisions[0].name, m_bench->contents().revisions[1].name);
}

TEST_F(GalleryTest, StaysWhileOtherThingsArrive) {
    openDemo();
    QTest::keyClick(m_window.get(), Qt::Key_N, Qt::ControlModifier | Qt::ShiftModifier);
    ASSERT_TRUE(gallery()->isVisible());
    emit m_bench->changed(kContent); // as when a run has been read aside
    EXPECT_TRUE(gallery()->isVisible());
    go(2);
    go(1);
    EXPECT_FALSE(gallery()->isVisible());
}

TEST_F(GalleryTest, ACopyIsALineOfItsOwn) {
    click(gallery(), "starter:foil-salt");
    const record::Revision before = *m_bench->selection().revision();
    QTest::keyClick(m_window.get(), Qt::Key_N, Qt::ControlModifier | Qt::ShiftModifier);
    QTest::mouseClick(find<QPushButton>("doorCopy"), Qt::LeftButton);
    const record::Revision copy = *m_bench->selection().revision();
    EXPECT_NE(copy.id, before.id);
    EXPECT_NE(copy.name, before.name);
    EXPECT_EQ(copy.parent, "");
    EXPECT_EQ(copy.design.negative, before.design.negative);
    EXPECT_EQ(copy.design.liquid, before.design.liquid);
}

TEST_F(GalleryTest, FewestThingsFirstBeginsWithTheLemon) {
    order(1);
    const QStringList all = cards();
    ASSERT_EQ(static_cast<std::size_t>(all.size()), starters().size());
    const auto things = [](const QString& id) {
        const auto& list = starters();
        return thingsToGet(std::find_if(list.begin(), list.end(), [&](const Starter& starter) {
                               return starter.id == id.toStdString();
                           })->design);
    };
    for (int i = 1; i < all.size(); ++i) {
        EXPECT_LE(things(all[i - 1]), things(all[i]));
    }
    EXPECT_EQ(things("first"), 3) << "two metals and a lemon";
}

TEST_F(GalleryTest, WhatIsOnTheShelfComesFirst) {
    click(gallery(), "starter:first");
    shelf::Shelf shelf;
    shelf.materials.resize(2);
    shelf.materials[0].material = "copper";
    shelf.materials[1].material = "zinc";
    shelf.liquids.resize(1);
    shelf.liquids[0].ready = "vinegar";
    ASSERT_TRUE(keepShelf(*m_bench, shelf, base::Said("command.shelf-from", {{"file", std::string("x")}})));
    QTest::keyClick(m_window.get(), Qt::Key_N, Qt::ControlModifier | Qt::ShiftModifier);
    order(2);
    ASSERT_FALSE(cards().isEmpty());
    EXPECT_EQ(cards().front(), "food-vinegar");
}

TEST_F(GalleryTest, FilesAreDroppedOnTheWindow) {
    const QString path = QString::fromStdString(m_folder.path("mine.cell.json").string());
    test::writeText(path.toStdString(), formats::writeCellFile(test::design(test::foilInSalt())));
    drop(path);
    EXPECT_EQ(m_window->station(), "couple") << message().toStdString();
    ASSERT_NE(m_bench->selection().revision(), nullptr);
    const std::size_t designs = m_bench->contents().revisions.size();
    const QString broken = QString::fromStdString(m_folder.path("broken.cell.json").string());
    test::writeText(broken.toStdString(), "{");
    drop(broken);
    EXPECT_EQ(m_bench->contents().revisions.size(), designs);
    EXPECT_TRUE(message().contains("broken.cell.json")) << message().toStdString();
    const QString shelf = QString::fromStdString(m_folder.path("mine.shelf.json").string());
    test::writeText(shelf.toStdString(),
                    R"({"format": "anodex-shelf/1", "materials": [{"material": "zinc", "area_cm2": 10}]})");
    drop(shelf);
    EXPECT_EQ(m_window->station(), "shelf");
    EXPECT_EQ(shelfIn(*m_bench).materials.size(), 1U) << message().toStdString();
    const QString run = QString::fromStdString(m_folder.path("night.csv").string());
    test::writeText(run.toStdString(), "s,V\n0,1.0\n1,0.9\n");
    drop(run);
    EXPECT_EQ(m_window->station(), "bench");
    EXPECT_TRUE(message().contains("build")) << message().toStdString();
}

TEST_F(GalleryTest, ANotebookIsDroppedOnTheWindow) {
    click(gallery(), "starter:first");
    const QString path = m_bench->store().path();
    start();
    EXPECT_FALSE(m_bench->store().isOpen());
    drop(path);
    EXPECT_EQ(m_bench->contents().revisions.size(), 1U);
}

TEST_F(GalleryTest, ADesignOfAnotherNotebookIsBegunHereAndThatOneStaysAsItIs) {
    openDemo();
    const QString other = QString::fromStdString(m_folder.path("others.anodex").string());
    m_fileToSave = other;
    m_window->perform(QStringLiteral("keepDemo"));
    ASSERT_TRUE(QTest::qWaitFor([&] { return QFileInfo::exists(other) && !m_bench->files().isDemo(); }));
    start();
    m_fileToOpen = other;
    QTest::mouseClick(find<QPushButton>("doorNotebook"), Qt::LeftButton);
    ASSERT_EQ(cards().size(), 16);
    const auto& shown = gallery()->items();
    const auto wanted = std::find_if(shown.begin(), shown.end(),
                                     [](const PictureItem& item) { return item.name == "Gate bell 2"; });
    ASSERT_NE(wanted, shown.end());
    const QByteArray before = contentOf(other);
    gallery()->focusItem(wanted->id);
    QTest::keyClick(gallery(), Qt::Key_Return);
    EXPECT_EQ(m_window->station(), QStringLiteral("couple"));
    EXPECT_EQ(m_bench->contents().revisions.size(), 1U);
    EXPECT_EQ(m_bench->selection().revision()->name, "Gate bell 2");
    EXPECT_NE(m_bench->store().path(), other);
    EXPECT_EQ(contentOf(other), before);
    m_window->perform(QStringLiteral("beginAnother"));
    EXPECT_NE(gallery()->item(QStringLiteral("starter:first")), nullptr) << "the starters are back";
}

TEST_F(GalleryTest, AFileThatIsNoNotebookIsRefusedAndTheStartersStay) {
    m_fileToOpen = QString::fromStdString(m_folder.path("no.anodex").string());
    QFile file(m_fileToOpen);
    ASSERT_TRUE(file.open(QIODevice::WriteOnly));
    file.write("no notebook at all");
    file.close();
    QTest::mouseClick(find<QPushButton>("doorNotebook"), Qt::LeftButton);
    EXPECT_FALSE(message().isEmpty());
    EXPECT_NE(picture("gallery")->item(QStringLiteral("starter:first")), nullptr);
}

TEST_F(GalleryTest, NotebooksThatWereOpenLatelyAreOneStepAway) {
    m_services.settingsFile = QString::fromStdString(m_folder.path("settings.ini").string());
    start();
    const auto recent = [this] {
        QStringList names;
        for (const Deed& deed : m_window->deeds()) {
            if (deed.group == Deed::Group::Recent) {
                names << deed.words;
            }
        }
        return names;
    };
    EXPECT_TRUE(recent().isEmpty());
    for (const char* name : {"first.anodex", "second.anodex", "third.anodex"}) {
        m_fileToSave = QString::fromStdString(m_folder.path(name).string());
        m_window->perform(QStringLiteral("newNotebook"));
    }
    EXPECT_EQ(recent(), QStringList({"Open second", "Open first"})) << "the open one is not among them";
    openDemo();
    EXPECT_EQ(recent().size(), 3) << "nor is the demo";
    QFile::remove(QString::fromStdString(m_folder.path("second.anodex").string()));
    EXPECT_EQ(recent(), QStringList({"Open third", "Open first"})) << "what is gone is not offered";
    for (const Deed& deed : m_window->deeds()) {
        if (deed.words == QStringLiteral("Open first")) {
            deed.go();
            break;
        }
    }
    EXPECT_TRUE(m_bench->store().path().endsWith("first.anodex"));
}

} // namespace
} // namespace anodex::app
