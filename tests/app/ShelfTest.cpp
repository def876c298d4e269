// The shelf: typed, drawn, taken off, screened as found; a click makes a design.
#include "app/session/ShelfBook.h"
#include "app/views/shelf/Cupboard.h"
#include "app/views/shelf/OwnedText.h"
#include "app/views/shelf/Ranking.h"
#include "app/views/shelf/ShelfView.h"
#include "core/shelf/ShelfNames.h"
#include "formats/EmbeddedData.h"
#include "formats/JsonObject.h"
#include "formats/ShelfFile.h"
#include "tests/app/WindowFixture.h"

#include <QPushButton>
#include <set>

namespace anodex::app {
namespace {

shelf::Shelf typed(const std::vector<std::string>& lines, QString& problem) {
    shelf::Shelf shelf;
    for (const std::string& line : lines) {
        if (const auto next = withOwned(test::catalogue(), shelf, line, problem)) {
            shelf = *next;
        }
    }
    return shelf;
}

TEST(OwnedText, ReadsWhatBuildersWrite) {
    QString problem;
    const shelf::Shelf shelf = typed({"30 cm² zinc for 2.50", "500 g salt", "vinegar 250 mL for 0.8",
                                      "kitchen paper", "glass", "copper", "54 g aluminium foil"},
                                     problem);
    EXPECT_TRUE(problem.isEmpty()) << qPrintable(problem);
    ASSERT_EQ(shelf.materials.size(), 3U);
    EXPECT_NEAR(shelf.materials[0].areaM2, 0.003, 1e-12);
    EXPECT_EQ(shelf.materials[0].price, 2.5);
    EXPECT_NEAR(shelf.materials[1].areaM2, 1e-3, 1e-12); // a piece
    EXPECT_NEAR(*shelf.materials[2].massKg, 0.054, 1e-12);
    EXPECT_NEAR(shelf.materials[2].areaM2, 0.054 / (2700.0 * 1.6e-5), 0.1);
    EXPECT_NEAR(shelf.substances.at(0).massKg, 0.5, 1e-12);
    EXPECT_NEAR(shelf.liquids.at(0).volumeM3, 2.5e-4, 1e-12);
    EXPECT_EQ(shelf.liquids[0].price, 0.8);
    EXPECT_EQ(shelf.separators.at(0).material, "kitchen paper");
    EXPECT_EQ(shelf.cases.at(0).material, "glass");
    EXPECT_EQ(thingsOn(shelf).size(), 7U);
}

TEST(OwnedText, TheSameThingAgainTakesItsPlace) {
    QString problem;
    const shelf::Shelf shelf = typed({"30 cm² zinc", "60 cm² Zinc for 3"}, problem);
    ASSERT_EQ(shelf.materials.size(), 1U);
    EXPECT_NEAR(shelf.materials[0].areaM2, 0.006, 1e-12);
}

TEST(OwnedText, SaysWhatIsMissingOrUnknown) {
    const auto problemOf = [](const char* text) {
        QString problem;
        EXPECT_FALSE(withOwned(test::catalogue(), {}, text, problem)) << text;
        return problem;
    };
    EXPECT_TRUE(problemOf("salt").contains("how much"));
    EXPECT_TRUE(problemOf("1,500 g salt").contains("1500 g or 1.5 g"));
    EXPECT_TRUE(problemOf("500 g salt for 1,500").contains("1500 or 1.5"));
    EXPECT_TRUE(problemOf("lemon juice").contains("millilitres"));
    EXPECT_TRUE(problemOf("30 cm² zink").contains("zinc"));
    EXPECT_TRUE(problemOf("10 g mercury").contains("refused"));
}

TEST(OwnedText, WhatIsTakenOffIsGoneAndNothingElse) {
    QString problem;
    const shelf::Shelf shelf = typed({"zinc", "copper", "500 g salt"}, problem);
    const shelf::Shelf less = without(shelf, thingsOn(shelf).at(0));
    EXPECT_EQ(less.materials.size(), 1U);
    EXPECT_EQ(less.materials[0].material, "copper");
    EXPECT_EQ(less.substances, shelf.substances);
}

TEST(ShelfFile, WhatIsWrittenReadsBackAlike) {
    QString problem;
    const shelf::Shelf shelf = typed(
        {"30 cm² zinc for 2.50", "500 g salt", "vinegar 250 mL", "kitchen paper", "glass for 1"}, problem);
    EXPECT_EQ(*formats::readShelfFile(formats::writeShelfFile(shelf)), shelf);
}

class ShelfTest : public WindowTest {
protected:
    void openShelf() {
        QTest::keyClick(m_window.get(), Qt::Key_K, Qt::ControlModifier);
        ASSERT_TRUE(find<ShelfView>("shelfView")->isVisible());
    }
    void own(const QString& line) { type(find<QLineEdit>("ownedEntry"), line); }
    Ranking* ranking() { return find<ShelfView>("shelfView")->ranking(); }
    void waitForRanking() {
        EXPECT_TRUE(QTest::qWaitFor([this] { return ranking()->state().finished; }, 20000));
    }
};

TEST_F(ShelfTest, IsFilledByTypingAndUndone) {
    openShelf();
    own("30 cm² zinc");
    own("30 cm² copper");
    own("500 g salt");
    EXPECT_EQ(picture("boards")->items().size(), 3U);
    click(picture("boards"), "thing:1");
    EXPECT_EQ(picture("boards")->items().size(), 2U);
    m_bench->undo();
    EXPECT_EQ(picture("boards")->items().size(), 3U);
    own("30 cm² unobtainium");
    EXPECT_TRUE(message().contains("not known"));
    EXPECT_EQ(find<QLineEdit>("ownedEntry")->text(), QStringLiteral("30 cm² unobtainium")); // nothing lost
}

TEST_F(ShelfTest, RanksWhatCanBeMadeAndAClickMakesIt) {
    openShelf();
    own("30 cm² zinc");
    own("30 cm² copper");
    own("100 mL vinegar");
    waitForRanking();
    ASSERT_FALSE(ranking()->state().best.empty());
    EXPECT_FALSE(ranking()->state().best[0].why.isEmpty());
    const double promised = ranking()->state().best[0].openCircuitVolts;
    click(ranking(), "cell:0");
    EXPECT_TRUE(picture("ladder")->isVisible());
    EXPECT_NEAR(openCircuit(), promised, 1e-6);
    m_bench->undo();
    EXPECT_TRUE(m_bench->contents().revisions.empty());
}

TEST_F(ShelfTest, AnotherFigureRanksAnew) {
    openShelf();
    own("30 cm² zinc");
    own("30 cm² copper");
    own("100 mL vinegar");
    waitForRanking();
    QTest::mouseClick(find<QPushButton>("rankBy1"), Qt::LeftButton);
    EXPECT_TRUE(QTest::qWaitFor(
        [this] {
            const auto& state = ranking()->state();
            return state.finished && !state.best.empty() &&
                   state.best[0].figure == state.best[0].maximumWatts;
        },
        20000));
}

TEST_F(ShelfTest, TheSameThingByAnotherNameTakesItsPlace) {
    openShelf();
    auto* field = find<QLineEdit>("ownedEntry");
    const char* const kLines[] = {"500 g table salt", "200 g NaCl",       "250 g sodium chloride",
                                  "100 g NaCl",       "galvanised screw", "12 cm² zinc-plated screw"};
    for (const char* line : kLines) {
        type(field, line);
    }
    const shelf::Shelf shelf = shelfIn(*m_bench);
    ASSERT_EQ(shelf.substances.size(), 1U);
    EXPECT_NEAR(shelf.substances.front().massKg, 0.1, 1e-9);
    EXPECT_EQ(shelf.substances.front().substance, "sodium chloride") << "a formula is called by its name";
    ASSERT_EQ(shelf.materials.size(), 1U);
    EXPECT_NEAR(shelf.materials.front().areaM2, 12e-4, 1e-9);
}

TEST_F(ShelfTest, OpensAndSavesShelfFiles) {
    openShelf();
    const auto path = m_folder.path("mine.shelf.json");
    test::writeText(path, R"({"format":"anodex-shelf/1","materials":[{"material":"zinc","area_cm2":5}]})");
    m_fileToOpen = QString::fromStdString(path.string());
    const auto press = [this](const QString& words) {
        for (QPushButton* button : m_window->findChildren<QPushButton*>()) {
            if (button->isVisible() && button->text() == words) {
                QTest::mouseClick(button, Qt::LeftButton);
            }
        }
    };
    press("Open…");
    EXPECT_EQ(shelfIn(*m_bench).materials.size(), 1U);
    test::writeText(path, "{");
    press("Open…");
    EXPECT_TRUE(message().contains("mine.shelf.json"));
    EXPECT_EQ(shelfIn(*m_bench).materials.size(), 1U);
    m_fileToSave = QString::fromStdString(m_folder.path("other.shelf.json").string());
    press("Save…");
    EXPECT_TRUE(formats::readShelfFile(test::readText(m_folder.path("other.shelf.json"))));
}

TEST_F(ShelfTest, AnEmptyShelfSaysWhatIsNeeded) {
    openShelf();
    EXPECT_TRUE(picture("boards")->items().empty());
    EXPECT_TRUE(ranking()->items().empty());
    EXPECT_FALSE(find<QPushButton>("stopScreening")->isVisible());
}

TEST(Cupboard, EveryThingIsKnownToTheCatalogueAndStandsOnce) {
    formats::Json file;
    ASSERT_FALSE(formats::parseJson(formats::embeddedFile("cupboard/cupboard.json"), file));
    std::size_t named = 0;
    for (const formats::Json& place : file["places"]) {
        named += place["things"].size();
    }
    std::set<QString> ids;
    std::set<std::string> put;
    for (const CupboardPlace& place : cupboard(test::catalogue())) {
        EXPECT_GE(place.things.size(), 6U) << place.name.toStdString();
        for (const CupboardThing& thing : place.things) {
            EXPECT_TRUE(ids.insert(thing.id).second) << thing.id.toStdString();
            EXPECT_TRUE(put.insert(thing.put).second) << thing.put;
            EXPECT_TRUE(stands(thing.alone, thing)) << thing.put;
            EXPECT_TRUE(without(thing.alone, thing).empty()) << thing.put;
            EXPECT_FALSE(thing.name.isEmpty());
        }
    }
    EXPECT_EQ(ids.size(), named) << "the rest is typed as no catalogue knows it";
    EXPECT_GE(named, 50U);
}

TEST(Cupboard, AnotherAmountOfAThingIsTheSameThing) {
    QString problem;
    shelf::Shelf shelf = typed({"3 kg salt", "30 cm² zinc"}, problem);
    shelf::identify(test::catalogue(), shelf);
    for (const CupboardPlace& place : cupboard(test::catalogue())) {
        for (const CupboardThing& thing : place.things) {
            EXPECT_EQ(stands(shelf, thing),
                      thing.id == QLatin1String("table-salt") || thing.id == QLatin1String("zinc-sheet"))
                << thing.put;
        }
    }
}

TEST_F(ShelfTest, TheCupboardIsShownWhileNothingIsOwnedAndTicksThingsOnAndOff) {
    openShelf();
    Picture* things = picture("cupboard");
    ASSERT_TRUE(things->isVisible());
    click(things, "cupboard:table-salt");
    click(things, "cupboard:vinegar");
    EXPECT_EQ(shelfIn(*m_bench).substances.size(), 1U);
    EXPECT_TRUE(things->item("cupboard:vinegar")->value.contains("on the shelf"));
    click(things, "cupboard:vinegar");
    EXPECT_TRUE(shelfIn(*m_bench).liquids.empty());
    m_bench->undo();
    EXPECT_EQ(shelfIn(*m_bench).liquids.size(), 1U) << "ticking is undone like anything else";
    QTest::mouseClick(find<QPushButton>("showCupboard"), Qt::LeftButton);
    EXPECT_TRUE(picture("boards")->isVisible());
    EXPECT_EQ(picture("boards")->items().size(), 2U);
    go(1);
    openShelf();
    EXPECT_TRUE(picture("boards")->isVisible()) << "what is owned is shown where there is something";
}

} // namespace
} // namespace anodex::app
