#include "core/findings/Findings.h"
#include "core/run/RunAnalysis.h"
#include "formats/CellFile.h"
#include "tests/support/Samples.h"
#include "wording/ChangeText.h"
#include "wording/ErrorText.h"
#include "wording/FindingText.h"
#include "wording/JudgeText.h"
#include "wording/PartText.h"

#include <gtest/gtest.h>
#include <set>

namespace anodex::wording {
namespace {

using test::plain;

TEST(ChangeText, NamesWhatDiffers) {
    const design::CellDesign before = test::design(test::beakers());
    design::CellDesign after = before;
    EXPECT_EQ(changeLine(before, after), "nothing changed");
    after.gapMetres = 0.004;
    EXPECT_EQ(plain(changeLine(before, after)), "gap 4 mm added");
    design::CellDesign wider = after;
    wider.gapMetres = 0.012;
    EXPECT_EQ(plain(changeLine(wider, after)), "gap 12 → 4 mm");
    after = before;
    after.negative.material = "aluminium";
    EXPECT_EQ(changeLine(before, after), "negative zinc → aluminium");
    after = before;
    after.negative.wettedAreaM2 = 0.002;
    EXPECT_EQ(plain(changeLine(before, after)), "negative area 10 → 20 cm²");
    after = before;
    after.liquid.solutes[0].amount.value = 2.0;
    EXPECT_EQ(plain(changeLine(before, after)), "ZnSO4 in the negative liquid 1 → 2 mol/kg");
    after.liquid.solutes.clear();
    EXPECT_EQ(plain(changeLine(before, after)), "ZnSO4 in the negative liquid 1 mol/kg left out");
}

TEST(ChangeText, KeepsAReadyLiquidsNameAndVolumeApart) {
    const design::CellDesign before = test::design(test::lemon());
    design::CellDesign after = before;
    after.negative.material = "aluminium";
    EXPECT_EQ(changeLine(before, after), "negative zinc → aluminium");
    after = before;
    after.liquid.basisValue = 5e-5;
    EXPECT_EQ(plain(changeLine(before, after)), "liquid 30 → 50 mL");
}

TEST(ChangeText, CountsSeveralChanges) {
    const design::CellDesign before = test::design(test::beakers());
    design::CellDesign after = before;
    after.gapMetres = 0.004;
    after.negative.wettedAreaM2 = 0.002;
    after.positive.wettedAreaM2 = 0.002;
    after.contactOhm = 0.01;
    EXPECT_EQ(changesBetween(before, after).size(), 4U);
    EXPECT_NE(changeLine(before, after).find("and 1 more"), std::string::npos);
}

TEST(ChangeText, AFlagSaysItAll) {
    const design::CellDesign still = test::design(test::lemon());
    design::CellDesign stirred = still;
    stirred.stirred = true;
    EXPECT_EQ(changeLine(still, stirred), "stirred");
    EXPECT_EQ(changeLine(stirred, still), "not stirred");
}

TEST(ChangeText, SaysHowItIsChargedAndWhereItStands) {
    const design::CellDesign before = test::design(test::lemon());
    design::CellDesign after = before;
    after.charge = design::ChargeDesign{0.2, std::nullopt};
    EXPECT_EQ(plain(changeLine(before, after)), "charging current 0.2 A added");
    after = before;
    after.place.flame = true;
    EXPECT_EQ(changeLine(before, after), "near a flame");
    after = before;
    after.place.roomM3 = 12.0;
    EXPECT_EQ(plain(changeLine(before, after)), "room 12 m³ added");
    after = before;
    after.string.series = 3;
    EXPECT_EQ(plain(changeLine(before, after)), "cells in series 3 added");
}

TEST(ChangeText, SaysARename) {
    const design::CellDesign before = test::design(test::beakers());
    design::CellDesign after = before;
    after.name = "Better";
    EXPECT_EQ(changeLine(before, after), "renamed Better");
}

TEST(FindingText, EveryFindingHasACodeWordsAndARemedy) {
    std::set<std::string> codes;
    for (int i = 0; i <= static_cast<int>(findings::FindingCode::NotFoodAgain); ++i) {
        findings::Finding finding;
        finding.code = static_cast<findings::FindingCode>(i);
        finding.names = {"stuff"};
        finding.value = 1e-6;
        const FindingText text = findingText(finding);
        EXPECT_FALSE(text.title.empty()) << i;
        EXPECT_GT(text.text.size(), 20U) << i;
        EXPECT_GT(text.remedy.size(), 10U) << i;
        const std::string code = findingCode(finding);
        EXPECT_TRUE(codes.insert(code).second) << code;
        EXPECT_EQ(code.find_first_not_of("abcdefghijklmnopqrstuvwxyz-"), std::string::npos) << code;
    }
    EXPECT_TRUE(codes.contains("polarity-reversed"));
}

TEST(PartText, WritesEquationsAsInABook) {
    EXPECT_EQ(prettyEquation("Zn2+ + 2 e- = Zn(s)"), "Zn²⁺ + 2 e⁻ ⇌ Zn");
    EXPECT_EQ(prettyEquation("PbO2(s) + 4 H+ + SO4^2- + 2 e- = PbSO4(s) + 2 H2O(l)"),
              "PbO₂ + 4 H⁺ + SO₄²⁻ + 2 e⁻ ⇌ PbSO₄ + 2 H₂O");
    EXPECT_EQ(prettyEquation("O2(g)"), "O₂(g)");
    EXPECT_EQ(prettyEquation("Zn(OH)4^2-"), "Zn(OH)₄²⁻");
    EXPECT_EQ(prettyEquation("CuSO4·5H2O"), "CuSO₄·5H₂O");
    EXPECT_EQ(prettyEquation("C12H22O11"), "C₁₂H₂₂O₁₁");
}

TEST(PartText, CallsReagentsByTheNameTheyWerePouredUnder) {
    const design::Cell cell = test::cellOf(test::beakers(1.0, 0.05));
    const cell::Evaluation e = cell::evaluate(test::catalogue(), cell);
    EXPECT_EQ(reagentName(test::catalogue(), cell, e.capacity.reagents.front()), "copper sulfate");
    EXPECT_EQ(reagentName(test::catalogue(), cell, e.capacity.reagents.back()), "zinc");
}

TEST(PartText, CallsACoatACoat) {
    std::string json = test::lemon();
    json.replace(json.find("\"zinc\""), 6, "\"galvanised screw\"");
    const design::Cell cell = test::cellOf(json);
    const cell::Evaluation e = cell::evaluate(test::catalogue(), cell);
    EXPECT_EQ(reagentName(test::catalogue(), cell, e.capacity.reagents.front()),
              "coat of the zinc-plated screw");
}

TEST(PartText, KeepsTheLiquidsOfTwoSidesApart) {
    using cell::ResistancePart;
    EXPECT_EQ(partText(ResistancePart::NegativeLiquid, false), "liquid");
    EXPECT_EQ(partText(ResistancePart::NegativeLiquid, true), "liquid, negative side");
    EXPECT_EQ(partText(ResistancePart::PositiveLiquid, true), "liquid, positive side");
}

TEST(ErrorText, IsOneLineWithPlaceAndRemedy) {
    const std::string text = errorText(formats::FileError{formats::FileError::Code::OutOfRange, "gap_mm",
                                                          "the number 0", "a number above 0"});
    EXPECT_EQ(text, "gap_mm: the number 0; right would be a number above 0");
    for (int i = 0; i <= static_cast<int>(formats::CsvError::Code::Cancelled); ++i) {
        const std::string line =
            errorText(formats::CsvError{static_cast<formats::CsvError::Code>(i), 4, "x"});
        EXPECT_GT(line.size(), 20U);
        EXPECT_EQ(line.find('\n'), std::string::npos);
    }
    for (int i = 0; i <= static_cast<int>(notebook::NotebookError::Code::NotFound); ++i) {
        EXPECT_GT(
            errorText(notebook::NotebookError{static_cast<notebook::NotebookError::Code>(i), "why"}).size(),
            20U);
    }
    for (int i = 0; i <= static_cast<int>(run::RunError::Code::NotFinite); ++i) {
        EXPECT_GT(errorText(run::RunError{static_cast<run::RunError::Code>(i), 2}).size(), 20U);
    }
}

record::Expectation expectation() {
    record::Expectation e;
    e.openCircuitVolts = {1.10, {1.07, 1.12}};
    e.shortCircuitAmps = {0.10, {0.08, 0.13}};
    e.capacityCoulombs = {3600.0, {3000.0, 4000.0}};
    e.resistanceOhm = {5.0, {4.0, 6.5}};
    e.curve = {{0.0, 1.10}, {0.10, 0.0}};
    return e;
}

record::Reading volts(double value) {
    record::Reading reading;
    reading.value = value;
    return reading;
}

TEST(JudgeText, SaysNormalInsideTheRange) {
    EXPECT_EQ(plain(judgeSentence({expectation(), volts(1.09), {}, {}, ""})),
              "1.09 V where 1.10 V was expected: normal.");
}

TEST(JudgeText, SaysLowerAndHigherOutsideIt) {
    EXPECT_NE(judgeSentence({expectation(), volts(0.9), {}, {}, ""}).find("lower than it should be"),
              std::string::npos);
    EXPECT_NE(judgeSentence({expectation(), volts(1.3), {}, {}, ""}).find("higher than it should be"),
              std::string::npos);
    const std::string whole = judgeSentence({expectation(), volts(1090.0), {}, {}, ""});
    EXPECT_NE(whole.find("1000 times what this cell can give"), std::string::npos) << whole;
    EXPECT_NE(whole.find("unit"), std::string::npos) << whole;
    const std::string milli = judgeSentence({expectation(), volts(1.09e-3), {}, {}, ""});
    EXPECT_NE(milli.find("1000 times less than this cell should give"), std::string::npos) << milli;
}

TEST(JudgeText, TellsAnUnfinishedRunFromAnEmptyCell) {
    const auto run = run::analyseRun(test::straightDischarge(0.1, 3600.0, 61));
    const std::string unfinished = judgeSentence({expectation(), {}, {}, *run, ""});
    EXPECT_NE(unfinished.find("10 % of what it should hold, and was not empty yet"), std::string::npos)
        << unfinished;
    EXPECT_NE(plain(unfinished).find("100 mAh"), std::string::npos);
    run::RunAnalysis down = *run;
    down.ranDown = true;
    EXPECT_NE(judgeSentence({expectation(), {}, {}, down, ""}).find("run down"), std::string::npos);
    down.internalOhm = 20.0;
    down.stepAmps = 0.05;
    EXPECT_NE(plain(judgeSentence({expectation(), {}, {}, down, ""})).find("20.0 Ω where 11 Ω"),
              std::string::npos);
}

TEST(JudgeText, JudgesTheVoltageUnderItsOwnLoad) {
    // 0.05 A on a cell of 1.10 V and 11 Ω: 0.55 V are expected, give or take a tenth of a volt or two.
    run::RunAnalysis run;
    run.dischargeCoulombs = 100.0;
    run.durationSeconds = 2000.0;
    run.loadedAmps = 0.05;
    run.loadedVolts = 0.56;
    run.lastVolts = 0.55;
    const std::string normal = plain(judgeSentence({expectation(), {}, {}, run, ""}));
    EXPECT_NE(normal.find("under load 0.6 V where 0.6 V was expected: normal"), std::string::npos) << normal;
    run.loadedVolts = 0.2;
    run.lastVolts = 0.2;
    const std::string low = plain(judgeSentence({expectation(), {}, {}, run, ""}));
    EXPECT_NE(low.find("lower than it should be"), std::string::npos) << low;
    run.loadedAmps = 0.5; // more than a short circuit gives: nothing to compare with
    EXPECT_EQ(judgeSentence({expectation(), {}, {}, run, ""}).find("under load 0.20"), std::string::npos);
}

TEST(JudgeText, ARestOnlyRests) {
    run::RunAnalysis run;
    run.durationSeconds = 7200.0;
    EXPECT_EQ(plain(judgeSentence({expectation(), {}, {}, run, ""})), "it rested for 2 h.");
}

TEST(JudgeText, SaysWhatToDoWhenNothingIsMeasured) {
    EXPECT_NE(judgeSentence({expectation(), {}, {}, {}, ""}).find("Nothing measured yet"), std::string::npos);
}

} // namespace
} // namespace anodex::wording
