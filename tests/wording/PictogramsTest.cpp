#include "wording/catalogue/Pictograms.h"

#include "formats/EmbeddedData.h"
#include "formats/JsonObject.h"
#include "wording/Texts.h"

#include <filesystem>
#include <fmt/format.h>
#include <gtest/gtest.h>

namespace anodex::wording {
namespace {

using Ids = std::vector<std::string>;

TEST(Pictograms, EachOnceInTheOrderOfTheTable) {
    EXPECT_EQ(pictogramsFor({"H410", "H272", "H400", "H314"}), (Ids{"oxidiser", "corrosion", "environment"}));
}

TEST(Pictograms, WhatExplodesAndBurnsHasBoth) {
    EXPECT_EQ(pictogramsFor({"H241"}), (Ids{"explosion", "flame"}));
}

TEST(Pictograms, LettersBehindACodeChangeNothing) {
    EXPECT_EQ(pictogramsFor({"H350i"}), (Ids{"health"}));
    EXPECT_EQ(pictogramsFor({"H360Fd"}), (Ids{"health"}));
}

TEST(Pictograms, SomeStatementsHaveNone) {
    EXPECT_EQ(pictogramsFor({"H412", "H221", "H999", ""}), Ids());
}

TEST(Pictograms, TheMilderGivesWayToTheGraver) {
    EXPECT_EQ(pictogramsFor({"H301", "H312"}), (Ids{"skull"}));
    EXPECT_EQ(pictogramsFor({"H314", "H315", "H319"}), (Ids{"corrosion"}));
    EXPECT_EQ(pictogramsFor({"H334", "H317"}), (Ids{"health"}));
}

TEST(Pictograms, ButNotWhereItSaysSomethingElse) {
    EXPECT_EQ(pictogramsFor({"H314", "H302"}), (Ids{"corrosion", "exclamation"}));
    EXPECT_EQ(pictogramsFor({"H318", "H335"}), (Ids{"corrosion", "exclamation"}));
    EXPECT_EQ(pictogramsFor({"H351", "H317"}), (Ids{"health", "exclamation"}));
}

TEST(Pictograms, EachHasItsNameAndItsDrawing) {
    formats::Json table;
    ASSERT_FALSE(formats::parseJson(formats::embeddedFile("hazards/pictograms.json"), table));
    for (const formats::Json& one : table["pictograms"]) {
        const auto id = one["id"].get<std::string>();
        EXPECT_FALSE(Texts::current().textOr(fmt::format("pictogram.{}", id), "").empty()) << id;
        const auto drawing = fmt::format("{}/data/icons/hazard-{}.svg", ANODEX_SOURCE_DIR, id);
        EXPECT_TRUE(std::filesystem::exists(drawing)) << drawing;
    }
}

} // namespace
} // namespace anodex::wording
