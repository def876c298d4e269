// The whole cell, drawn in its true sizes whatever its construction.
#include "app/widgets/WholeShape.h"
#include "tests/app/WindowFixture.h"
#include "tests/support/CellJson.h"

#include <QMenu>
#include <QPushButton>
#include <QTimer>
#include <cmath>

namespace anodex::app {
namespace {

using namespace test::json;
using design::Construction;
using Kind = WholePiece::Kind;

std::vector<WholePiece> drawn(const Json& json, Construction construction) {
    const design::Cell cell = test::cellOf(json.dump());
    return wholeCell(test::catalogue(), cell, state::asBuilt(test::catalogue(), cell), construction);
}

QRectF boundsOf(const std::vector<WholePiece>& pieces, Kind kind,
                design::Side side = design::Side::Negative) {
    for (const WholePiece& piece : pieces) {
        if (piece.kind == kind && piece.side == side) {
            return piece.path.boundingRect();
        }
    }
    return {};
}

Json plates() {
    return with(cellWith(electrodeJson("zinc", 24), electrodeJson("copper", 24), water({{"NaCl", 1}})),
                "gap_mm", 12);
}

TEST(WholeShape, ABeakerHoldsItsLiquidAndStandsItsPlatesApart) {
    const Json json = plates();
    const auto pieces = drawn(json, Construction::Beaker);
    const QRectF negative = boundsOf(pieces, Kind::Electrode, design::Side::Negative);
    const QRectF positive = boundsOf(pieces, Kind::Electrode, design::Side::Positive);
    EXPECT_NEAR(positive.left() - negative.right(), 12.0, 1e-9);
    EXPECT_NEAR(negative.width(), 0.5, 1e-9);
    const QRectF liquid = boundsOf(pieces, Kind::Liquid);
    const double millilitres = test::contentsOf(json.dump()).solutions[0].volumeM3 * 1e6;
    EXPECT_NEAR(liquid.width() * liquid.width() * liquid.height() / 1000.0, millilitres, 0.02 * millilitres);
}

TEST(WholeShape, ARollCoversWhatItsLayersCover) {
    Json json = plates();
    json["gap_mm"] = 0.5;
    const QRectF roll = boundsOf(drawn(json, Construction::Rolled), Kind::Electrode);
    const double length = 2400.0 / (0.6 * std::sqrt(2400.0));
    const double pitch = 0.5 + 0.5 + 2 * 0.5; // both plates, two separators
    const double layers = length * pitch;
    const double covered = M_PI / 4.0 * roll.width() * roll.height() - M_PI * 3.0 * 3.0;
    EXPECT_NEAR(covered, layers, 0.25 * layers);
}

TEST(WholeShape, TanksHoldTheirLiquidsAndRodsTheirAreas) {
    Json flow = apart(plates(), water({{"NaCl", 1}}), "ion membrane");
    const auto pieces = drawn(flow, Construction::Flow);
    bool tank = false;
    for (const WholePiece& piece : pieces) {
        const QRectF box = piece.path.boundingRect();
        tank |= piece.kind == Kind::Liquid && std::abs(box.width() - std::cbrt(102000.0)) < 1.0;
    }
    EXPECT_TRUE(tank);
    const Json rods =
        cellWith(electrodeJson("magnesium rod", 100), electrodeJson("graphite rod", 100), ready("damp soil"));
    const QRectF rod = boundsOf(drawn(rods, Construction::Rods), Kind::Electrode);
    EXPECT_NEAR(M_PI * rod.width() * (rod.height() - 30.0), 10000.0, 1.0);
}

TEST(WholeShape, AJarShowsBothLiquidsAndWhereTheyMeet) {
    const Json bridged = apart(plates(), water({{"CuSO4", 1}}), "salt bridge");
    for (const design::Side side : {design::Side::Negative, design::Side::Positive}) {
        EXPECT_GT(boundsOf(drawn(bridged, Construction::Jar), Kind::Liquid, side).height(), 1.0);
    }
    Json layered = apart(plates(), water({{"CuSO4", 1}}), "gravity");
    layered["case"] = {{"inside_cm2", 80}};
    const auto& contents = test::contentsOf(layered.dump());
    const QRectF lower = boundsOf(drawn(layered, Construction::Jar), Kind::Liquid, design::Side::Positive);
    EXPECT_NEAR(lower.height(), contents.layers->boundaryMetres * 1e3, 1e-6);
    EXPECT_NEAR(lower.width(), std::sqrt(8000.0), 1e-6);
}

TEST(WholeShape, EveryConstructionShowsBothElectrodesOfEveryCell) {
    const std::vector<Json> cells = {plates(), apart(plates(), water({{"CuSO4", 1}}), "salt bridge"),
                                     apart(plates(), water({{"CuSO4", 1}}), "gravity"),
                                     with(plates(), "string", {{"series", 6}}),
                                     cellWith(electrodeJson("aluminium foil", 20),
                                              electrodeJson("carbon block", 20000), water({{"NaCl", 1}}))};
    for (const Json& json : cells) {
        for (int i = 0; i <= static_cast<int>(Construction::Paper); ++i) {
            const auto pieces = drawn(json, static_cast<Construction>(i));
            for (const design::Side side : {design::Side::Negative, design::Side::Positive}) {
                const QRectF box = boundsOf(pieces, Kind::Electrode, side);
                EXPECT_GT(box.width() + box.height(), 0.0) << i << json.dump();
                EXPECT_TRUE(std::isfinite(box.width()) && std::isfinite(box.height())) << i;
            }
        }
    }
}

TEST(WholeShape, AnUnstatedConstructionFollowsFromTheParts) {
    const auto of = [](const Json& json) {
        return constructionOf(test::catalogue(), test::design(json.dump()), test::cellOf(json.dump()));
    };
    EXPECT_EQ(of(plates()), Construction::Beaker);
    EXPECT_EQ(of(apart(plates(), water({{"CuSO4", 1}}), "gravity")), Construction::Jar);
    EXPECT_EQ(of(cellWith(electrodeJson("magnesium"), electrodeJson("graphite"), ready("damp soil"))),
              Construction::Rods);
    EXPECT_EQ(of(with(plates(), "construction", "rolled")), Construction::Rolled);
}

class WholeTest : public WindowTest {};

TEST_F(WholeTest, TheConstructionIsChosenByItsNameAndUndone) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    go(3);
    const QString before = picture("whole")->item("construction")->name;
    bool chosen = false;
    QTimer::singleShot(50, [&] {
        auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
        ASSERT_NE(menu, nullptr);
        for (QAction* action : menu->actions()) {
            if (action->text() == QLatin1String("Tray with fins")) {
                chosen = true;
                action->trigger();
            }
        }
        menu->close();
    });
    click(picture("whole"), "construction");
    ASSERT_TRUE(chosen);
    EXPECT_EQ(picture("whole")->item("construction")->name, QStringLiteral("Tray with fins"));
    QApplication::setActiveWindow(m_window.get());
    m_bench->undo();
    EXPECT_EQ(picture("whole")->item("construction")->name, before);
}

/// Triggers the entry of an open menu, or of one of its lists.
bool trigger(QMenu* menu, const QString& words) {
    for (QAction* action : menu->actions()) {
        if (action->text() == words) {
            action->trigger();
            return true;
        }
        if (action->menu() != nullptr && trigger(action->menu(), words)) {
            return true;
        }
    }
    return false;
}

struct MenuChoice {
    const char* picture;
    const char* item;
    const char* words;
    std::function<bool(const design::CellDesign&)> holds;
};

TEST_F(WholeTest, CollectorPowderCaseLidPlaceAndStirringAreChosen) {
    QTest::mouseClick(find<QPushButton>("doorFirst"), Qt::LeftButton);
    go(3);
    const std::vector<MenuChoice> choices = {
        {"section", "positive", "steel mesh", [](const auto& d) { return d.positive.collector.has_value(); }},
        {"section", "positive", "1 g manganese dioxide",
         [](const auto& d) { return d.positive.additives.size() == 1; }},
        {"whole", "construction", "glass", [](const auto& d) { return d.caseMaterial == "glass"; }},
        {"whole", "construction", "Tight lid", [](const auto& d) { return d.closed; }},
        {"whole", "construction", "Outdoors", [](const auto& d) { return d.place.outdoors; }},
        {"whole", "construction", "A flame or sparks are near", [](const auto& d) { return d.place.flame; }},
        {"whole", "construction", "Liquid is stirred or pumped", [](const auto& d) { return d.stirred; }}};
    for (const MenuChoice& choice : choices) {
        bool found = false;
        QTimer::singleShot(50, [&] {
            auto* menu = qobject_cast<QMenu*>(QApplication::activePopupWidget());
            ASSERT_NE(menu, nullptr) << choice.words;
            found = trigger(menu, QString::fromUtf8(choice.words));
            menu->close();
        });
        click(picture(choice.picture), choice.item);
        EXPECT_TRUE(found) << choice.words;
        EXPECT_TRUE(choice.holds(m_bench->draft().design())) << choice.words;
        QApplication::setActiveWindow(m_window.get());
    }
    for (std::size_t i = 0; i < choices.size(); ++i) {
        m_bench->undo();
    }
    EXPECT_FALSE(m_bench->draft().design().stirred || m_bench->draft().design().closed ||
                 m_bench->draft().design().positive.collector);
}

TEST_F(WholeTest, FindingsStandOnTheLayerTheyConcern) {
    Json alkali = cellWith(electrodeJson("aluminium", 40),
                           on(electrodeJson("activated carbon", 40), "copper"), water({{"NaOH", 2}}));
    m_bench->startDesign(test::design(with(alkali, "case", {{"material", "PLA"}}).dump()));
    go(3);
    for (const char* part : {"negative", "electrolyte", "whole"}) {
        const PictureItem* mark = picture("section")->item(QStringLiteral("findings:%1").arg(part));
        ASSERT_NE(mark, nullptr) << part;
        EXPECT_GT(mark->value.size(), 20) << part;
    }
    EXPECT_TRUE(picture("section")->item("findings:negative")->value.contains("hydrogen"));
    EXPECT_TRUE(picture("section")->item("findings:whole")->value.contains("PLA", Qt::CaseInsensitive) ||
                picture("section")->item("findings:whole")->value.contains("polylactide"));
    // Each stands within the picture, clear of the next.
    std::vector<QRectF> marks;
    for (const PictureItem& item : picture("section")->items()) {
        if (item.id.startsWith("findings:")) {
            EXPECT_TRUE(QRectF(picture("section")->rect()).contains(item.area)) << item.id.toStdString();
            for (const QRectF& other : marks) {
                EXPECT_FALSE(item.area.intersects(other)) << item.id.toStdString();
            }
            marks.push_back(item.area);
        }
    }
}

} // namespace
} // namespace anodex::app
