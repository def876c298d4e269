// Where the layers of a section lie: to scale, in order, inside their room.
#include "app/views/cell/SectionLayout.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace anodex::app {
namespace {

using design::Side;
using Json = nlohmann::ordered_json;

const QRectF kRoom(100, 50, 400, 300);

SectionLayout layoutOf(const design::Cell& cell, double kept = 0.0) {
    return layoutSection(test::catalogue(), cell, state::asBuilt(test::catalogue(), cell), kRoom, kept);
}

design::Cell gravityJar(bool copperBelow = true) {
    Json json = Json::parse(test::beakers(0.05, 1.0));
    json["separator"] = {{"material", "gravity"}};
    json["gap_mm"] = 60;
    if (!copperBelow) {
        json["electrolyte"]["negative"]["solutes"][0]["mol_per_kg"] = 2.0;
        json["electrolyte"]["positive"]["solutes"][0]["mol_per_kg"] = 0.05;
    }
    return test::cellOf(json.dump());
}

TEST(SectionLayout, UprightElectrodesStandSideBySideToScale) {
    const design::Cell cell = test::cellOf(test::foilInSalt());
    const SectionLayout layout = layoutOf(cell);
    EXPECT_FALSE(layout.stacked);
    EXPECT_EQ(layout.first, Side::Negative);
    EXPECT_NEAR(layout.box(Side::Negative).right(), layout.gap.left(), 1e-9);
    EXPECT_NEAR(layout.gap.right(), layout.box(Side::Positive).left(), 1e-9);
    EXPECT_NEAR(layout.gap.width() / layout.pixelsPerMetre, cell.gapMetres, 1e-9);
    EXPECT_NEAR(layout.box(Side::Positive).bottom(), kRoom.bottom(), 1e-9);
}

TEST(SectionLayout, AreasShowAsSquareRoots) {
    design::Cell cell = test::cellOf(test::foilInSalt());
    cell.electrodes[0].areaM2 = 0.25 * cell.electrodes[1].areaM2;
    const SectionLayout layout = layoutOf(cell);
    EXPECT_NEAR(layout.box(Side::Negative).height(), 0.5 * layout.box(Side::Positive).height(), 1e-9);
    EXPECT_NEAR(layout.box(Side::Positive).height(), kRoom.height(), 1e-9);
}

TEST(SectionLayout, AThinLayerIsStillSeen) {
    design::Cell cell = test::cellOf(test::foilInSalt());
    cell.electrodes[0].thicknessMetres = 1e-6;
    EXPECT_EQ(layoutOf(cell).box(Side::Negative).width(), kThinnestDrawn);
}

TEST(SectionLayout, LayeredLiquidsLieOneOnTheOther) {
    const SectionLayout layout = layoutOf(gravityJar());
    EXPECT_TRUE(layout.stacked);
    EXPECT_EQ(layout.first, Side::Negative) << "the copper salt is denser and lies below";
    EXPECT_LT(layout.box(Side::Negative).bottom(), layout.box(Side::Positive).top());
    EXPECT_NEAR(layout.gap.height() / layout.pixelsPerMetre, 0.060, 1e-9);
    EXPECT_NEAR(layout.part(Side::Negative).bottom(), layout.part(Side::Positive).top(), 1e-9);
    EXPECT_NEAR(layout.part(Side::Negative).top(), layout.gap.top(), 1e-9);
}

TEST(SectionLayout, LiquidsMeetWhereTheVesselPutsThem) {
    design::Cell jar = gravityJar();
    EXPECT_NEAR(layoutOf(jar).part(Side::Negative).height(), 0.5 * layoutOf(jar).gap.height(), 1e-9);
    jar.insideM2 = 4e-3;
    const SectionLayout layout = layoutOf(jar);
    const state::Contents contents = state::asBuilt(test::catalogue(), jar);
    const state::Layers& layers = *contents.layers;
    EXPECT_NEAR(layout.part(Side::Negative).height() / layout.pixelsPerMetre,
                layers.upperFootMetres - layers.boundaryMetres, 1e-9);
    EXPECT_NEAR(layout.part(Side::Negative).bottom(), layout.part(Side::Positive).top(), 1e-9);
    EXPECT_NEAR(layout.strip(0.0).center().y(), layout.part(Side::Positive).top(), 1e-9);
}

TEST(SectionLayout, TheDenserLiquidGoesBelowWhicheverItIs) {
    const SectionLayout layout = layoutOf(gravityJar(false));
    EXPECT_EQ(layout.first, Side::Positive);
    EXPECT_GT(layout.box(Side::Negative).top(), layout.box(Side::Positive).bottom());
    EXPECT_NEAR(layout.part(Side::Positive).top(), layout.gap.top(), 1e-9);
}

TEST(SectionLayout, TheSeparatorIsAStripAcrossTheCurrent) {
    const SectionLayout stacked = layoutOf(gravityJar());
    EXPECT_NEAR(stacked.strip(0.0).height(), 4.0, 1e-9);
    EXPECT_NEAR(stacked.strip(0.0).width(), stacked.gap.width(), 1e-9);
    EXPECT_NEAR(stacked.strip(0.030).height() / stacked.pixelsPerMetre, 0.030, 1e-9);
    const SectionLayout upright = layoutOf(test::cellOf(test::foilInSalt()));
    EXPECT_NEAR(upright.strip(0.002).width() / upright.pixelsPerMetre, 0.002, 1e-9);
    EXPECT_NEAR(upright.strip(1.0).width(), upright.gap.width(), 1e-9) << "never wider than the gap";
}

TEST(SectionLayout, TheScaleIsKeptWhileSomethingIsDragged) {
    design::Cell cell = test::cellOf(test::foilInSalt());
    const SectionLayout before = layoutOf(cell);
    cell.gapMetres *= 2.0;
    const SectionLayout during = layoutOf(cell, before.pixelsPerMetre);
    EXPECT_EQ(during.pixelsPerMetre, before.pixelsPerMetre);
    EXPECT_NEAR(during.gap.width(), 2.0 * before.gap.width(), 1e-9);
    EXPECT_GE(during.box(Side::Negative).left(), kRoom.left());
    EXPECT_LT(layoutOf(cell).pixelsPerMetre, before.pixelsPerMetre);
}

} // namespace
} // namespace anodex::app
