#include "tests/reference/Rows.h"

#include <algorithm>
#include <fmt/format.h>
#include <gtest/gtest.h>

namespace anodex::test {
namespace {

const std::vector<Row>& rows() {
    static const std::vector<Row> kRows = publishedRows();
    return kRows;
}

TEST(Published, EveryRowMeetsItsTargetOrIsListedAsAMiss) {
    for (const Row& row : rows()) {
        EXPECT_EQ(row.meets(), row.whyMissed.empty())
            << fmt::format("{} | {} | published {:.5g} computed {:.5g} deviation {:+.4f} target {}",
                           row.group, row.what, row.published, row.computed, row.deviation(), row.target);
    }
}

TEST(Published, AtMostOneInTwentyOfThoseThatCountMisses) {
    const auto counted =
        std::count_if(rows().begin(), rows().end(), [](const Row& row) { return !row.entered; });
    const auto misses = std::count_if(rows().begin(), rows().end(),
                                      [](const Row& row) { return !row.entered && !row.meets(); });
    EXPECT_GE(counted, 150);
    EXPECT_LE(misses, counted / 20);
}

TEST(Published, EveryRowNamesItsSource) {
    for (const Row& row : rows()) {
        EXPECT_FALSE(row.source.empty()) << row.what;
    }
}

} // namespace
} // namespace anodex::test
