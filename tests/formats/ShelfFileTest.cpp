#include "formats/ShelfFile.h"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace anodex::formats {
namespace {

using Json = nlohmann::ordered_json;

const char* const kExample = R"({ "format": "anodex-shelf/1",
  "materials": [ {"material": "zinc", "area_cm2": 30, "mass_g": 40, "price": 2.5} ],
  "substances": [ {"substance": "NaCl", "mass_g": 500} ],
  "liquids": [ {"ready": "vinegar", "volume_mL": 500} ], "separators": [], "cases": [ {"material": "glass"} ] })";

std::string faultWith(const Json& patch) {
    Json json = Json::parse(kExample);
    json.merge_patch(patch);
    const auto shelf = readShelfFile(json.dump());
    return shelf ? "none" : shelf.error().field + ": " + base::plain(shelf.error().expected);
}

TEST(ShelfFile, ReadsTheContractsExample) {
    const auto shelf = readShelfFile(kExample);
    ASSERT_TRUE(shelf);
    ASSERT_EQ(shelf->materials.size(), 1U);
    EXPECT_EQ(shelf->materials[0].material, "zinc");
    EXPECT_NEAR(shelf->materials[0].areaM2, 0.003, 1e-12);
    EXPECT_NEAR(shelf->materials[0].massKg.value_or(0.0), 0.040, 1e-12);
    EXPECT_EQ(shelf->materials[0].price, 2.5);
    EXPECT_NEAR(shelf->substances.at(0).massKg, 0.5, 1e-12);
    EXPECT_NEAR(shelf->liquids.at(0).volumeM3, 5e-4, 1e-12);
    EXPECT_TRUE(shelf->separators.empty());
    EXPECT_EQ(shelf->cases.at(0).material, "glass");
}

TEST(ShelfFile, NamesTheFault) {
    EXPECT_EQ(faultWith({{"format", "anodex-cell/1"}}), "format: \"anodex-shelf/1\"");
    EXPECT_EQ(faultWith({{"materials", {{{"material", "zinc"}}}}}).substr(0, 22), "materials[0].area_cm2:");
    EXPECT_EQ(faultWith({{"liquids", {{{"ready", "vinegar"}, {"volume_mL", 0}}}}}),
              "liquids[0].volume_mL: a number above 0");
    EXPECT_EQ(faultWith({{"metals", Json::array()}}).substr(0, 7), "metals:");
    EXPECT_EQ(faultWith({{"cases", "glass"}}).substr(0, 6), "cases:");
    EXPECT_FALSE(readShelfFile("{"));
}

} // namespace
} // namespace anodex::formats
