// What would help most, held to its promise.
#include "core/shelf/Changes.h"
#include "core/design/Resolve.h"
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <gtest/gtest.h>

namespace anodex::shelf {
namespace {

using design::CellDesign;

std::vector<Change> changesOf(const CellDesign& design, RankBy by, std::size_t top = 20,
                              bool riskyToo = false) {
    return helpfulChanges(test::catalogue(), design, {by, top, {}, riskyToo}).value();
}

const Change* kindIn(const std::vector<Change>& changes, ChangeKind kind) {
    const auto found = std::find_if(changes.begin(), changes.end(),
                                    [&](const Change& change) { return change.kind == kind; });
    return found == changes.end() ? nullptr : &*found;
}

TEST(Changes, TheTopThreeOfTwentyDesignsDoWhatWasPromised) {
    int designs = 0;
    for (const formats::EmbeddedFile& file : formats::embeddedFiles()) {
        if (!file.name.starts_with("starters/")) {
            continue;
        }
        ++designs;
        const CellDesign design = *formats::readCellFile(file.content);
        for (const Change& change : changesOf(design, RankBy::SteadyPower, 3)) {
            const CellDesign again = *formats::readCellFile(formats::writeCellFile(change.design));
            const design::Cell cell = *design::resolve(test::catalogue(), again);
            const double watts = cell::evaluate(test::catalogue(), cell).settled.maximumPower.watts;
            if (change.kind == ChangeKind::Powder) {
                EXPECT_GE(watts, change.after * (1.0 - 1e-6))
                    << file.name << ": less over an hour than at once";
            } else {
                EXPECT_NEAR(watts, change.after, 0.01 * change.after) << file.name;
            }
            EXPECT_GT(change.after, change.before) << file.name;
        }
    }
    EXPECT_GE(designs, 20);
}

TEST(Changes, ALongPathIsShortenedAndALargerAreaHelps) {
    const auto changes = changesOf(test::design(test::beakers()), RankBy::SteadyPower);
    const auto foil = changesOf(test::design(test::foilInSalt()), RankBy::SteadyPower);
    ASSERT_FALSE(changes.empty());
    const Change* gap = kindIn(foil, ChangeKind::Gap);
    ASSERT_NE(gap, nullptr);
    EXPECT_NEAR(*gap->design.gapMetres, 0.005, 1e-9) << "half of 10 mm";
    ASSERT_NE(kindIn(foil, ChangeKind::Area), nullptr);
    for (std::size_t i = 1; i < foil.size(); ++i) {
        EXPECT_LE(foil[i].after, foil[i - 1].after);
    }
}

TEST(Changes, ACarbonShutOffIsGivenAir) {
    CellDesign design = test::design(test::foilInSalt());
    design.positive.air = design::Air::Still;
    const auto changes = changesOf(design, RankBy::SteadyPower);
    const Change* air = kindIn(changes, ChangeKind::Air);
    ASSERT_NE(air, nullptr);
    EXPECT_EQ(air->design.positive.air, design::Air::Breathing);
}

TEST(Changes, ANewDangerComesOnlyWhereItIsAskedFor) {
    const auto brings = [](const std::vector<Change>& changes) {
        return std::any_of(changes.begin(), changes.end(),
                           [](const Change& change) { return change.danger.has_value(); });
    };
    int risky = 0;
    for (const std::string& json : {test::lemon(), test::foilInSalt(), test::beakers(), test::leadAcid(30)}) {
        for (const RankBy by : {RankBy::SteadyPower, RankBy::Voltage, RankBy::Life}) {
            EXPECT_FALSE(brings(changesOf(test::design(json), by)));
            risky += brings(changesOf(test::design(json), by, 20, true)) ? 1 : 0;
        }
    }
    EXPECT_GT(risky, 0);
}

TEST(Changes, WhatIsNeitherOwnedNorEverydayIsNotProposed) {
    const auto isProposed = [](const Shelf& shelf, const std::string& name) {
        for (const RankBy by : {RankBy::Voltage, RankBy::SteadyPower}) {
            const CellDesign jar = test::design(test::lemon());
            const auto changes = helpfulChanges(test::catalogue(), jar, {by, 20, shelf, true});
            for (const Change& change : *changes) {
                if (change.design.positive.material == name || change.design.negative.material == name) {
                    return true;
                }
            }
        }
        return false;
    };
    Shelf shelf;
    EXPECT_FALSE(isProposed(shelf, "lead dioxide"));
    shelf.materials = {{"lead dioxide", 0.002, {}, {}}};
    EXPECT_TRUE(isProposed(shelf, "lead dioxide"));
}

TEST(Changes, ADangerTheDesignHasIsNotNew) {
    const CellDesign design = test::design(test::foilInAlkali());
    const auto cell = design::resolve(test::catalogue(), design);
    ASSERT_TRUE(cell);
    const auto had =
        findings::findingsFor(test::catalogue(), *cell, cell::evaluate(test::catalogue(), *cell, {0}));
    ASSERT_TRUE(std::any_of(had.begin(), had.end(), [](const findings::Finding& finding) {
        return finding.severity == findings::Severity::Danger;
    })) << "hydrogen, and lye burns";
    for (const Change& change : changesOf(design, RankBy::SteadyPower)) {
        EXPECT_FALSE(change.danger &&
                     std::any_of(had.begin(), had.end(), [&](const findings::Finding& finding) {
                         return finding.code == change.danger->code && finding.rule == change.danger->rule &&
                                finding.part == change.danger->part;
                     }));
    }
}

TEST(Changes, NothingIsStrongerThanItDissolves) {
    CellDesign design = test::design(test::foilInSalt());
    design.liquid.solutes[0].amount = {design::AmountUnit::MolPerKg, 5.5};
    for (const Change& change : changesOf(design, RankBy::SteadyPower)) {
        EXPECT_LT(change.design.liquid.solutes[0].amount.value, 6.0);
    }
}

TEST(Changes, NeitherStrongerLyeNorAnotherCellIsProposed) {
    const CellDesign foil = test::design(test::foilInAlkali());
    const CellDesign jar = test::design(test::beakers());
    for (const RankBy by : {RankBy::SteadyPower, RankBy::Voltage, RankBy::Life}) {
        for (const Change& change : changesOf(foil, by)) {
            EXPECT_LE(change.design.liquid.solutes[0].amount.value, foil.liquid.solutes[0].amount.value);
        }
        for (const Change& change : changesOf(jar, by)) {
            const auto cell = design::resolve(test::catalogue(), change.design);
            ASSERT_TRUE(cell);
            EXPECT_GT(cell::evaluate(test::catalogue(), *cell, {0}).openCircuitVolts, 0.9);
        }
    }
}

TEST(Changes, AStopGivesNothingAndABadDesignNoChanges) {
    std::stop_source source;
    source.request_stop();
    EXPECT_FALSE(helpfulChanges(test::catalogue(), test::design(test::lemon()), {}, source.get_token()));
    CellDesign bad = test::design(test::lemon());
    bad.negative.material = "unobtainium";
    EXPECT_TRUE(changesOf(bad, RankBy::SteadyPower).empty());
}

} // namespace
} // namespace anodex::shelf
