// Random designs whose curve once jumped, whose charge fell back or whose power passed all bounds: kept as they were drawn.
#include "core/design/Resolve.h"
#include "formats/CellFile.h"
#include "tests/fuzz/Faults.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <filesystem>
#include <gtest/gtest.h>

namespace anodex::fuzz {
namespace {

std::vector<std::filesystem::path> onceBroken() {
    std::vector<std::filesystem::path> files;
    for (const auto& entry :
         std::filesystem::directory_iterator(test::sourceDir() / "tests/data/cells/once-broken")) {
        files.push_back(entry.path());
    }
    return files;
}

class OnceBroken : public testing::TestWithParam<std::filesystem::path> {};

TEST_P(OnceBroken, HoldsLikeAnyOther) {
    const auto design = formats::readCellFile(test::readText(GetParam()));
    ASSERT_TRUE(design);
    const auto cell = design::resolve(test::catalogue(), *design);
    ASSERT_TRUE(cell);
    const cell::Evaluation evaluation = cell::evaluate(test::catalogue(), *cell, {60});
    EXPECT_EQ(faultOf(evaluation), "");
    EXPECT_EQ(faultOf(charge::chargingOf(test::catalogue(), *cell, evaluation)), "");
}

INSTANTIATE_TEST_SUITE_P(Designs, OnceBroken, testing::ValuesIn(onceBroken()), [](const auto& each) {
    std::string name = each.param.filename().string();
    name.resize(name.find('.'));
    std::replace(name.begin(), name.end(), '-', '_');
    return name;
});

} // namespace
} // namespace anodex::fuzz
