// The resistance of hand-made cells against R = L N / (kappa A), part by part.
#include "core/cell/Resistance.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>

namespace anodex::cell {
namespace {

using design::Cell;

/// A cell whose every number is round: 1 S/m, 10 cm² each side, 10 mm apart, no contacts.
Cell roundCell() {
    Cell cell = test::cellOf(test::beakers());
    cell.twoLiquids = false;
    cell.barrier.reset();
    cell.gapMetres = 0.010;
    cell.contactOhm = 0.0;
    for (design::Electrode& electrode : cell.electrodes) {
        electrode.areaM2 = 0.001;
        electrode.measuredOhm = 0.0;
        electrode.collectorOhm = 0.0;
    }
    return cell;
}

/// With liquids of so many S/m.
ResistanceBudget budgetOf(const Cell& cell, double negative = 1.0, double positive = 1.0) {
    test::Filled filled(cell);
    filled.contents.solutions.back().conductivity = positive;
    filled.contents.solutions.front().conductivity = negative;
    return resistanceBudget(filled.compiled, filled.contents);
}

double partOf(const ResistanceBudget& budget, ResistancePart part) {
    for (const ResistanceShare& share : budget.shares) {
        if (share.part == part) {
            return share.ohm;
        }
    }
    return 0.0;
}

TEST(Resistance, OfALiquidIsLengthOverConductivityAndArea) {
    const ResistanceBudget budget = budgetOf(roundCell());
    ASSERT_EQ(budget.shares.size(), 1U);
    EXPECT_EQ(budget.shares.front().part, ResistancePart::NegativeLiquid);
    EXPECT_NEAR(budget.totalOhm, 10.0, 1e-12);
}

TEST(Resistance, CrossesTheMeanOfTwoAreas) {
    Cell cell = roundCell();
    cell.electrodes[0].areaM2 = 0.0001;
    cell.electrodes[1].areaM2 = 0.01;
    EXPECT_NEAR(design::currentArea(cell), 0.001, 1e-15);
    EXPECT_NEAR(budgetOf(cell).totalOhm, 10.0, 1e-9);
}

TEST(Resistance, HalvesTheGapBetweenTwoLiquids) {
    Cell cell = roundCell();
    cell.twoLiquids = true;
    const ResistanceBudget budget = budgetOf(cell, 1.0, 4.0);
    EXPECT_NEAR(partOf(budget, ResistancePart::NegativeLiquid), 5.0, 1e-12);
    EXPECT_NEAR(partOf(budget, ResistancePart::PositiveLiquid), 1.25, 1e-12);
}

TEST(Resistance, ASeparatorTakesItsShareOfTheGapAndLengthensThePaths) {
    Cell cell = roundCell();
    const auto& separators = test::catalogue().separators;
    for (std::size_t i = 0; i < separators.size(); ++i) {
        if (separators[i].bridge) {
            continue;
        }
        cell.barrier = design::Barrier{i, 0.004, false};
        const ResistanceBudget budget = budgetOf(cell);
        const double number = std::max(1.0, separators[i].macMullin.value);
        const double own = separators[i].areaOhmM2.value / 1e-3;
        EXPECT_NEAR(partOf(budget, ResistancePart::NegativeLiquid), 6.0, 1e-9) << separators[i].id;
        EXPECT_NEAR(partOf(budget, ResistancePart::Separator), 4.0 * number + own, 1e-9) << separators[i].id;
    }
}

TEST(Resistance, ABridgeHasOhmsOfItsOwn) {
    Cell cell = roundCell();
    const auto& separators = test::catalogue().separators;
    int bridges = 0;
    for (std::size_t i = 0; i < separators.size(); ++i) {
        if (separators[i].bridge) {
            cell.barrier = design::Barrier{i, 0.0, false};
            EXPECT_NEAR(partOf(budgetOf(cell), ResistancePart::Bridge), separators[i].bridge->ohms, 1e-9);
            EXPECT_NEAR(partOf(budgetOf(cell, 100.0), ResistancePart::Bridge), separators[i].bridge->ohms,
                        1e-9)
                << "it does not follow the cell's liquid";
            ++bridges;
        }
    }
    EXPECT_GT(bridges, 0);
}

TEST(Resistance, ListsOnlyPartsThatExistAndSumsThem) {
    Cell cell = roundCell();
    cell.contactOhm = 0.25;
    cell.electrodes[0].collector = 0;
    cell.electrodes[0].collectorOhm = 0.5;
    cell.electrodes[1].measuredOhm = 0.125;
    const ResistanceBudget budget = budgetOf(cell);
    ASSERT_EQ(budget.shares.size(), 4U);
    EXPECT_EQ(partOf(budget, ResistancePart::Contacts), 0.25);
    EXPECT_EQ(partOf(budget, ResistancePart::NegativeCollector), 0.5);
    EXPECT_EQ(partOf(budget, ResistancePart::PositiveBody), 0.125);
    EXPECT_NEAR(budget.totalOhm, 10.875, 1e-12);
}

TEST(Resistance, ACollectorReplacesTheElectrodesOwnPath) {
    Cell cell = roundCell();
    cell.electrodes[0].measuredOhm.reset();
    const double bare = partOf(budgetOf(cell), ResistancePart::NegativeBody);
    EXPECT_GT(bare, 0.0);
    cell.electrodes[0].thicknessMetres *= 2.0;
    EXPECT_NEAR(partOf(budgetOf(cell), ResistancePart::NegativeBody), bare / 2.0, 1e-12);
    cell.electrodes[0].collector = cell.electrodes[1].material;
    EXPECT_EQ(partOf(budgetOf(cell), ResistancePart::NegativeBody), 0.0);
}

TEST(Resistance, LooseLayersTouchTheirCollectorAtPoints) {
    using namespace test::json;
    const auto touchOf = [](const char* layer, double area, bool measured) {
        Json positive = on(electrodeJson(layer, area), "steel mesh");
        if (measured) {
            positive["measured_resistance_mohm"] = 100;
        }
        const test::Filled filled(cellWith(electrodeJson("zinc"), positive, water({{"NaCl", 1}})).dump());
        return partOf(resistanceBudget(filled.compiled, filled.contents), ResistancePart::PositiveTouch);
    };
    EXPECT_NEAR(touchOf("charcoal", 20.0, false), 0.5, 1e-9) << "10 Ω·cm² over 20 cm²";
    EXPECT_NEAR(touchOf("charcoal", 40.0, false), 0.25, 1e-9);
    EXPECT_LT(touchOf("carbon felt", 20.0, false), 0.1);
    EXPECT_EQ(touchOf("lead dioxide", 20.0, false), 0.0) << "grown on its grid";
    EXPECT_EQ(touchOf("charcoal", 20.0, true), 0.0) << "measured together with it";
}

TEST(Resistance, AMeasuredTotalStandsForEverything) {
    Cell cell = roundCell();
    cell.measuredResistanceOhm = 3.5;
    const ResistanceBudget budget = budgetOf(cell);
    ASSERT_EQ(budget.shares.size(), 1U);
    EXPECT_EQ(budget.shares.front().part, ResistancePart::Measured);
    EXPECT_EQ(budget.totalOhm, 3.5);
}

TEST(Resistance, OfPureSolventIsLargeButFinite) {
    Cell cell = roundCell();
    const double ohm = budgetOf(cell, 0.0, 0.0).totalOhm;
    EXPECT_GT(ohm, 1e5);
    EXPECT_LT(ohm, 1e8);
}

} // namespace
} // namespace anodex::cell
