#include "tests/reference/Homemade.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <fmt/format.h>
#include <gtest/gtest.h>
#include <set>

namespace anodex::test {
namespace {

std::vector<HomemadeCell> notFitted() {
    std::vector<HomemadeCell> cells;
    for (const HomemadeCell& cell : homemadeCells()) {
        if (cell.fitted.empty()) {
            cells.push_back(cell);
        }
    }
    return cells;
}

TEST(Homemade, CoversEveryFamilyWithTwentyFiveCells) {
    std::set<std::string> families;
    for (const HomemadeCell& cell : notFitted()) {
        families.insert(cell.family);
    }
    for (const std::string& family : catalogue().families) {
        EXPECT_TRUE(families.contains(family)) << family;
    }
    EXPECT_GE(notFitted().size(), 25U);
}

TEST(Homemade, OpenCircuitMeetsItsTargetOrIsListedAsAMiss) {
    std::size_t met = 0;
    for (const HomemadeCell& cell : homemadeCells()) {
        EXPECT_EQ(cell.meetsVolts(), cell.missed.empty())
            << fmt::format("{}: reads {} V, computed {:.3f} V, target ±{} V", cell.file, cell.readingVolts,
                           cell.computedVolts, cell.targetVolts());
        met += cell.meetsVolts() && cell.fitted.empty() ? 1 : 0;
    }
    EXPECT_GE(met, 25U);
}

TEST(Homemade, EveryFamilyHasACellThatMeetsBothTargets) {
    std::set<std::string> families;
    for (const HomemadeCell& cell : homemadeCells()) {
        if (cell.meetsBoth()) {
            families.insert(cell.family);
        }
    }
    EXPECT_EQ(families.size(), catalogue().families.size());
}

TEST(Homemade, ShortCircuitMeetsItsTargetOrIsListedAsAMiss) {
    std::size_t met = 0;
    for (const HomemadeCell& cell : homemadeCells()) {
        if (!cell.readingAmps) {
            continue;
        }
        EXPECT_EQ(cell.meetsAmps(), cell.ampsMissed.empty()) << fmt::format(
            "{}: reads {:.3g} to {:.3g} A, computed {:.3g} A, target x{:g}", cell.file, cell.readingAmps->low,
            cell.readingAmps->high, cell.computedAmps, cell.targetFactor());
        met += cell.meetsBoth() ? 1 : 0;
    }
    EXPECT_GE(met, 25U) << "cells that meet both targets";
}

TEST(Homemade, RangesHoldFourOfFiveReadingsAndAreNarrow) {
    const std::vector<HomemadeCell> cells = notFitted();
    const auto held =
        std::count_if(cells.begin(), cells.end(), [](const HomemadeCell& cell) { return cell.inRange(); });
    EXPECT_GE(static_cast<double>(held), 0.8 * static_cast<double>(cells.size()));
    std::vector<double> widths;
    for (const HomemadeCell& cell : cells) {
        widths.push_back(cell.range.high - cell.range.low);
        EXPECT_LT(widths.back(), 0.7) << cell.file;
        if (!cell.inRange()) {
            std::printf("outside its range: %s reads %.3f, [%.3f, %.3f]\n", cell.file.c_str(),
                        cell.readingVolts, cell.range.low, cell.range.high);
        }
    }
    std::nth_element(widths.begin(), widths.begin() + static_cast<long>(widths.size() / 2), widths.end());
    EXPECT_LT(widths[widths.size() / 2], 0.25);
}

} // namespace
} // namespace anodex::test
