// Liquids in layers: where they meet, and what an electrode that lies beyond that meets.
#include "core/cell/Resistance.h"
#include "core/findings/Findings.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <gtest/gtest.h>

namespace anodex::state {
namespace {

using namespace test::json;
using design::Side;

/// Zinc sulfate over copper sulfate, 100 mL of each, electrodes half a millimetre thick and 40 mm apart.
Json jar(std::optional<double> insideCm2) {
    Json cell = apart(cellWith(electrodeJson("zinc"), electrodeJson("copper"), water({{"ZnSO4", 0.1}})),
                      water({{"CuSO4", 1.0}}), "gravity");
    cell["gap_mm"] = 40;
    if (insideCm2) {
        cell["case"] = {{"inside_cm2", *insideCm2}};
    }
    return cell;
}

double partOf(const Json& cell, cell::ResistancePart part) {
    const test::Filled filled(cell.dump());
    for (const cell::ResistanceShare& share :
         cell::resistanceBudget(filled.compiled, filled.contents).shares) {
        if (share.part == part) {
            return share.ohm;
        }
    }
    return 0.0;
}

bool raises(const Json& cell, findings::FindingCode code) {
    const design::Cell built = test::cellOf(cell.dump());
    const auto found =
        findings::findingsFor(test::catalogue(), built, cell::evaluate(test::catalogue(), built));
    return std::any_of(found.begin(), found.end(),
                       [&](const findings::Finding& finding) { return finding.code == code; });
}

TEST(Layers, MeetHalfwayWhereNothingTellsOfTheVessel) {
    const Contents contents = test::contentsOf(jar({}).dump());
    ASSERT_TRUE(contents.layers);
    EXPECT_EQ(contents.layers->upper, Side::Negative) << "the lighter one";
    EXPECT_NEAR(contents.layers->shareOfGap(Side::Negative), 0.5, 1e-12);
    EXPECT_FALSE(test::contentsOf(test::beakers()).layers);
}

TEST(Layers, MeetWhereTheLowerVolumeFillsTheVessel) {
    const Contents contents = test::contentsOf(jar(40).dump());
    EXPECT_NEAR(contents.layers->boundaryMetres, 0.0255, 0.001) << "some 102 mL over 40 cm²";
    const double above = contents.layers->shareOfGap(Side::Negative);
    EXPECT_NEAR(above, 0.40, 0.03);
    EXPECT_NEAR(partOf(jar(40), cell::ResistancePart::NegativeLiquid) /
                    partOf(jar({}), cell::ResistancePart::NegativeLiquid),
                above / 0.5, 1e-6);
    EXPECT_GT(partOf(jar(40), cell::ResistancePart::PositiveLiquid),
              partOf(jar({}), cell::ResistancePart::PositiveLiquid));
    EXPECT_FALSE(raises(jar(40), findings::FindingCode::LiesInOtherLayer));
}

TEST(Layers, ZincBelowTheBoundaryLiesInCopperSulfate) {
    const test::Filled filled(jar(20).dump());
    EXPECT_TRUE(filled.contents.layers->strayed[0]);
    EXPECT_FALSE(filled.contents.layers->strayed[1]);
    EXPECT_EQ(&filled.contents.solution(Side::Negative), &filled.contents.solution(Side::Positive));
    EXPECT_NE(&filled.contents.poured(Side::Negative), &filled.contents.poured(Side::Positive));
    EXPECT_TRUE(raises(jar(20), findings::FindingCode::LiesInOtherLayer));
    EXPECT_TRUE(raises(jar(20), findings::FindingCode::PlatesOnNegative));
    EXPECT_FALSE(raises(jar(40), findings::FindingCode::PlatesOnNegative));
    const auto below = test::evaluated(jar(20).dump());
    const auto above = test::evaluated(jar(40).dump());
    EXPECT_GT(below.sides[0].corrosionAmps, 10.0 * above.sides[0].corrosionAmps) << "copper plates on it";
}

TEST(Layers, TooLittleOfTheLowerLeavesItsElectrodeDry) {
    Json cell = jar(400);
    EXPECT_FALSE(test::contentsOf(cell.dump()).layers->strayed[1]) << "2.5 mm cover it";
    cell["positive"]["thickness_mm"] = 6;
    EXPECT_TRUE(test::contentsOf(cell.dump()).layers->strayed[1]);
    EXPECT_TRUE(raises(cell, findings::FindingCode::LiesInOtherLayer));
}

} // namespace
} // namespace anodex::state
