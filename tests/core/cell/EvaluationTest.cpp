// The promises of the first slice: five kinds of cell from the same equations, and how they vary.
#include "core/cell/Evaluation.h"
#include "core/cell/Doubt.h"
#include "core/findings/Findings.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace anodex::cell {
namespace {

using design::Cell;
using design::Side;
using findings::Finding;
using findings::FindingCode;

using Json = nlohmann::ordered_json;

const std::string& reactionOf(const Evaluation& evaluation, Side side) {
    return test::catalogue().reactions[evaluation.side(side).couple.reaction].equation;
}

bool has(const std::vector<Finding>& findings, FindingCode code) {
    return std::any_of(findings.begin(), findings.end(),
                       [&](const Finding& finding) { return finding.code == code; });
}

double liquidOhm(const Evaluation& evaluation) {
    double ohm = 0.0;
    for (const ResistanceShare& share : evaluation.resistance.shares) {
        if (share.part == ResistancePart::NegativeLiquid || share.part == ResistancePart::PositiveLiquid) {
            ohm += share.ohm;
        }
    }
    return ohm;
}

TEST(Evaluation, ZincCopperBeakers) {
    const Evaluation e = test::evaluated(test::beakers());
    EXPECT_NEAR(e.thermodynamicVolts, 1.10, 0.005);
    EXPECT_GE(e.openCircuitVolts, 1.06);
    EXPECT_LE(e.openCircuitVolts, 1.12);
    EXPECT_EQ(reactionOf(e, Side::Negative), "Zn2+ + 2 e- = Zn(s)");
    EXPECT_EQ(reactionOf(e, Side::Positive), "Cu2+ + 2 e- = Cu(s)");
}

TEST(Evaluation, LeadAcidInThirtyPercentAcid) {
    const Evaluation e = test::evaluated(test::leadAcid(30));
    EXPECT_GE(e.openCircuitVolts, 2.03);
    EXPECT_LE(e.openCircuitVolts, 2.08);
    EXPECT_EQ(reactionOf(e, Side::Positive), "PbO2(s) + 4 H+ + SO4^2- + 2 e- = PbSO4(s) + 2 H2O(l)");
}

TEST(Evaluation, LemonWithTwoMetals) {
    const Evaluation e = test::evaluated(test::lemon());
    EXPECT_GE(e.openCircuitVolts, 0.85);
    EXPECT_LE(e.openCircuitVolts, 1.10);
    EXPECT_LT(e.first.shortCircuitAmps, 0.002);
    EXPECT_GT(e.first.shortCircuitAmps, 0.0001);
}

TEST(Evaluation, FoilAndBreathingCarbon) {
    const Evaluation salt = test::evaluated(test::foilInSalt());
    EXPECT_GE(salt.openCircuitVolts, 0.60);
    EXPECT_LE(salt.openCircuitVolts, 0.95);
    const Evaluation alkali = test::evaluated(test::foilInAlkali());
    EXPECT_GE(alkali.openCircuitVolts, 1.35);
    EXPECT_LE(alkali.openCircuitVolts, 1.65);
    EXPECT_EQ(reactionOf(alkali, Side::Negative), "Al(OH)4- + 3 e- = Al(s) + 4 OH-");
    EXPECT_GT(alkali.hydrogenM3PerSecond, 100.0 * salt.hydrogenM3PerSecond);
}

TEST(Evaluation, NamesTheCoupleThatCarriesTheCurrent) {
    const std::string zinc = "Zn2+ + 2 e- = Zn(s)";
    EXPECT_EQ(reactionOf(test::evaluated(test::lemon()), Side::Negative), zinc);
    EXPECT_EQ(reactionOf(test::evaluated(test::leadAcid(30)), Side::Negative),
              "PbSO4(s) + 2 e- = Pb(s) + SO4^2-");
    for (const std::string& json : {test::foilInSalt(), test::foilInAlkali()}) {
        EXPECT_TRUE(reactionOf(test::evaluated(json), Side::Positive).starts_with("O2(g)")) << json;
    }
    EXPECT_TRUE(reactionOf(test::evaluated(test::foilInSalt()), Side::Negative).ends_with("Al(s)"));
    // Copper gives nothing in juice: the acid's hydrogen or the air's oxygen takes the current there.
    const std::string& other = reactionOf(test::evaluated(test::lemon()), Side::Positive);
    EXPECT_EQ(other.find("Cu"), std::string::npos) << other;
}

TEST(Evaluation, NoPointOfTheCurveGivesMoreThanTheBestPower) {
    for (const std::string& json :
         {test::beakers(), test::leadAcid(30), test::lemon(), test::foilInSalt(), test::foilInAlkali()}) {
        const Cell cell = test::cellOf(json);
        const Evaluation e = evaluate(test::catalogue(), cell, {2000});
        double best = 0.0;
        for (const CurvePoint& point : e.curve) {
            best = std::max(best, point.amps * point.volts);
        }
        EXPECT_GE(e.first.maximumPower.watts, best * (1.0 - 1e-4));
        EXPECT_NEAR(e.first.maximumPower.watts, best, 1e-4 * best);
    }
}

TEST(Evaluation, SwappedElectrodesGiveTheSameMagnitudeAndSaySo) {
    Json json = Json::parse(test::beakers());
    const Evaluation straight = test::evaluated(json.dump());
    std::swap(json["negative"], json["positive"]);
    std::swap(json["electrolyte"]["negative"], json["electrolyte"]["positive"]);
    const Cell cell = test::cellOf(json.dump());
    const Evaluation swapped = evaluate(test::catalogue(), cell);
    EXPECT_NEAR(swapped.openCircuitVolts, -straight.openCircuitVolts, 1e-6);
    EXPECT_NEAR(swapped.first.shortCircuitAmps, -straight.first.shortCircuitAmps,
                1e-4 * straight.first.shortCircuitAmps);
    EXPECT_GT(swapped.first.maximumPower.watts, 0.0);
    const auto findings = findings::findingsFor(test::catalogue(), cell, swapped);
    const auto reversed = std::find_if(findings.begin(), findings.end(), [](const Finding& f) {
        return f.code == FindingCode::PolarityReversed;
    });
    ASSERT_NE(reversed, findings.end());
    EXPECT_EQ(reversed->names, std::vector<std::string>{"copper"});
}

TEST(Evaluation, CopperConcentrationCell) {
    const Json weak = {{"water_g", 100},
                       {"solutes", Json::array({{{"substance", "CuSO4"}, {"mol_per_kg", 0.01}}})}};
    const Json strong = {{"water_g", 100},
                         {"solutes", Json::array({{{"substance", "CuSO4"}, {"mol_per_kg", 1.0}}})}};
    Json json = Json::parse(test::beakers());
    json["negative"]["material"] = "copper";
    json["electrolyte"] = {{"negative", weak}, {"positive", strong}};
    const Evaluation e = test::evaluated(json.dump());
    EXPECT_GE(e.openCircuitVolts, 0.027);
    EXPECT_LE(e.openCircuitVolts, 0.034);
}

TEST(Evaluation, BareCopperInAlkaliGivesHydrogenNotOxide) {
    Json json = Json::parse(test::foilInAlkali());
    json["positive"] = {{"material", "copper"}, {"wetted_area_cm2", 10}};
    const Evaluation e = test::evaluated(json.dump());
    EXPECT_TRUE(
        test::catalogue().reactions[e.sides[1].couple.reaction].equation.ends_with("= H2(g) + 2 OH-"));
    EXPECT_GT(e.capacity.expectedCoulombs, 3600.0) << "limited by the foil, not by an oxide nobody put in";
}

TEST(Evaluation, StrongerAcidRaisesLeadAcid) {
    const double rise = test::evaluated(test::leadAcid(40)).openCircuitVolts -
                        test::evaluated(test::leadAcid(10)).openCircuitVolts;
    EXPECT_GE(rise, 0.15);
    EXPECT_LE(rise, 0.25);
}

TEST(Evaluation, ATenFoldGapRaisesOnlyTheLiquidsPart) {
    Json json = Json::parse(test::lemon());
    json["gap_mm"] = 5;
    const Evaluation narrow = test::evaluated(json.dump());
    json["gap_mm"] = 50;
    const Evaluation wide = test::evaluated(json.dump());
    EXPECT_NEAR(liquidOhm(wide), 10.0 * liquidOhm(narrow), 1e-6 * liquidOhm(wide));
    EXPECT_NEAR(wide.resistance.totalOhm - liquidOhm(wide), narrow.resistance.totalOhm - liquidOhm(narrow),
                1e-9);
    EXPECT_NEAR(wide.openCircuitVolts, narrow.openCircuitVolts, 0.01);
}

TEST(Evaluation, TheBudgetSumsToTheResistance) {
    for (const std::string& json : {test::beakers(), test::leadAcid(30), test::lemon(), test::foilInSalt()}) {
        const Evaluation e = test::evaluated(json);
        double sum = 0.0;
        for (const ResistanceShare& share : e.resistance.shares) {
            sum += share.ohm;
        }
        EXPECT_NEAR(sum, e.resistance.totalOhm, 1e-12 + 1e-9 * sum);
    }
}

TEST(Evaluation, TheCurveFallsAndPowerStaysBelowOpenTimesShort) {
    for (const std::string& json :
         {test::beakers(), test::leadAcid(30), test::lemon(), test::foilInSalt(), test::foilInAlkali()}) {
        const Evaluation e = test::evaluated(json);
        ASSERT_EQ(e.curve.size(), 200U);
        EXPECT_EQ(e.curve.front().amps, 0.0);
        EXPECT_NEAR(e.curve.front().volts, e.openCircuitVolts, 1e-6);
        EXPECT_NEAR(e.curve.back().amps, e.first.shortCircuitAmps, 1e-12);
        EXPECT_NEAR(e.curve.back().volts, e.first.shortCircuitAmps * kMeterOhm, 1e-4);
        for (std::size_t i = 1; i < e.curve.size(); ++i) {
            EXPECT_LE(e.curve[i].volts, e.curve[i - 1].volts);
            EXPECT_GT(e.curve[i].amps, e.curve[i - 1].amps);
        }
        EXPECT_LT(e.first.maximumPower.watts, e.openCircuitVolts * e.first.shortCircuitAmps);
        EXPECT_GT(e.first.maximumPower.watts, 0.1 * e.openCircuitVolts * e.first.shortCircuitAmps * 0.25);
    }
}

TEST(Evaluation, SettledNeverGivesMoreThanTheFirstMoment) {
    for (const std::string& json :
         {test::beakers(), test::leadAcid(30), test::lemon(), test::foilInSalt(), test::foilInAlkali()}) {
        const Evaluation e = test::evaluated(json);
        EXPECT_LE(e.settled.shortCircuitAmps, e.first.shortCircuitAmps * (1.0 + 1e-6));
    }
}

TEST(Evaluation, LossesSumToWhatIsMissing) {
    for (const std::string& json : {test::beakers(), test::leadAcid(30), test::foilInSalt()}) {
        const Cell cell = test::cellOf(json);
        const Evaluation e = evaluate(test::catalogue(), cell);
        const double amps = 0.4 * e.first.shortCircuitAmps;
        double lost = 0.0;
        for (const Loss& loss : lossesAt(test::catalogue(), cell, e, amps)) {
            lost += loss.volts;
        }
        const CompiledCell compiled = compile(test::catalogue(), cell);
        const Polarisation curve(compiled, *e.contents, electrode::Moment::First);
        EXPECT_NEAR(e.thermodynamicVolts - lost, curve.voltsAt(amps), 1e-6);
    }
}

TEST(Evaluation, MeasuredValuesReplaceComputedOnes) {
    Json json = Json::parse(test::beakers());
    json["measured_resistance_mohm"] = 2500;
    json["measured_open_circuit_V"] = 1.07;
    const Evaluation e = test::evaluated(json.dump());
    EXPECT_DOUBLE_EQ(e.resistance.totalOhm, 2.5);
    EXPECT_DOUBLE_EQ(e.openCircuitVolts, 1.07);
    EXPECT_NEAR(e.curve.front().volts, 1.07, 1e-9);
    json.erase("measured_open_circuit_V");
    const Evaluation computed = test::evaluated(json.dump());
    const double lower = computed.openCircuitVolts - 1.07;
    EXPECT_GT(lower, 0.01);
    EXPECT_LT(e.first.shortCircuitAmps, computed.first.shortCircuitAmps) << "the whole curve moves with it";
    EXPECT_GT(e.first.shortCircuitAmps, computed.first.shortCircuitAmps - lower / 2.55);
}

TEST(Evaluation, BreathingCarbonGivesMoreThanStill) {
    Json json = Json::parse(test::foilInSalt());
    const double breathing = test::evaluated(json.dump()).settled.shortCircuitAmps;
    json["positive"]["air"] = "still";
    const double still = test::evaluated(json.dump()).settled.shortCircuitAmps;
    json["positive"]["air"] = "none";
    json["negative"]["air"] = "none";
    const double sealed = test::evaluated(json.dump()).settled.shortCircuitAmps;
    EXPECT_GT(breathing, 10.0 * still);
    EXPECT_LT(sealed, still);
}

TEST(Evaluation, DoublingEverythingDoublesTheCurrent) {
    Json json = Json::parse(test::leadAcid(30));
    json["contact_mohm"] = 0;
    const double one = test::evaluated(json.dump()).settled.shortCircuitAmps;
    json["negative"]["wetted_area_cm2"] = 100;
    json["positive"]["wetted_area_cm2"] = 100;
    const double two = test::evaluated(json.dump()).settled.shortCircuitAmps;
    EXPECT_GT(two, 1.7 * one);
    EXPECT_LE(two, 2.001 * one);
}

TEST(Capacity, FaradayCountsTheMetal) {
    // 0.820 Ah/g zinc, 2.980 Ah/g aluminium, 0.2587 Ah/g lead: CHECKS, from Faraday's law.
    Json json = Json::parse(test::beakers(1.0, 5.0));
    json["negative"]["mass_g"] = 1.0;
    Evaluation e = test::evaluated(json.dump());
    EXPECT_NEAR(e.capacity.theoreticalCoulombs / 3600.0, 0.820, 0.001);
    json = Json::parse(test::foilInSalt());
    json["negative"]["mass_g"] = 1.0;
    e = test::evaluated(json.dump());
    EXPECT_NEAR(e.capacity.theoreticalCoulombs / 3600.0, 2.980, 0.002);
    json = Json::parse(test::leadAcid(30));
    json["negative"]["mass_g"] = 1.0;
    e = test::evaluated(json.dump());
    EXPECT_NEAR(e.capacity.theoreticalCoulombs / 3600.0, 0.2587, 0.0003);
    json["negative"]["mass_g"] = 1000.0;
    json["positive"]["mass_g"] = 1.0;
    e = test::evaluated(json.dump());
    EXPECT_NEAR(e.capacity.theoreticalCoulombs / 3600.0, 0.2241, 0.0003);
}

TEST(Capacity, TheDissolvedReagentCanRunOutFirst) {
    const Evaluation e = test::evaluated(test::beakers(1.0, 0.05));
    ASSERT_FALSE(e.capacity.reagents.empty());
    EXPECT_EQ(test::catalogue().species[e.capacity.reagents.front().species].name, "Cu2+");
    // 0.05 mol/kg in 100 g: 5 mmol, two electrons each.
    EXPECT_NEAR(e.capacity.theoreticalCoulombs, 0.005 * 2.0 * 96485.33, 1.0);
}

TEST(Capacity, AcidIsSharedByBothLeadPlates) {
    Json json = Json::parse(test::leadAcid(30));
    json["negative"]["mass_g"] = 10000;
    json["positive"]["mass_g"] = 10000;
    const Evaluation e = test::evaluated(json.dump());
    const auto acid =
        std::find_if(e.capacity.reagents.begin(), e.capacity.reagents.end(),
                     [](const Reagent& r) { return test::catalogue().species[r.species].name == "SO4^2-"; });
    ASSERT_NE(acid, e.capacity.reagents.end());
    EXPECT_FALSE(acid->side.has_value());
    // Two sulfates for two electrons.
    EXPECT_NEAR(acid->coulombs, acid->moles * 96485.33, 1.0);
}

TEST(Findings, NameWhatIsWrong) {
    const auto of = [](const Json& json) {
        const Cell cell = test::cellOf(json.dump());
        return findings::findingsFor(test::catalogue(), cell, evaluate(test::catalogue(), cell));
    };
    EXPECT_TRUE(has(of(Json::parse(test::foilInAlkali())), FindingCode::HydrogenGas));
    EXPECT_TRUE(has(of(Json::parse(test::foilInAlkali())), FindingCode::CorrosiveLiquid));
    EXPECT_TRUE(has(of(Json::parse(test::leadAcid(30))), FindingCode::HazardousMaterial));
    Json json = Json::parse(test::beakers());
    json.erase("separator");
    EXPECT_TRUE(has(of(json), FindingCode::OpenJunction));
    json = Json::parse(test::lemon());
    json["gap_mm"] = 900;
    EXPECT_TRUE(has(of(json), FindingCode::TooLittleLiquid));
    json = Json::parse(test::lemon());
    json["positive"]["material"] = "zinc";
    EXPECT_TRUE(has(of(json), FindingCode::SameMaterial));
    json = Json::parse(test::foilInSalt());
    json["electrolyte"].erase("solutes");
    EXPECT_TRUE(has(of(json), FindingCode::NoCarriers));
    json = Json::parse(test::foilInSalt());
    json["electrolyte"]["solutes"][0]["mol_per_L"] = 9;
    EXPECT_TRUE(has(of(json), FindingCode::Undissolved));
    json = Json::parse(test::foilInAlkali());
    json["case"] = {{"material", "PET"}};
    EXPECT_TRUE(has(of(json), FindingCode::CaseAttacked));
    json = Json::parse(test::foilInSalt());
    json["separator"] = {{"material", "kitchen paper"}, {"layers", 10}};
    json["gap_mm"] = 0.5;
    EXPECT_TRUE(has(of(json), FindingCode::PressedSeparator));
}

TEST(Findings, DangerStandsFirst) {
    const Cell cell = test::cellOf(test::foilInAlkali());
    const auto findings = findings::findingsFor(test::catalogue(), cell, evaluate(test::catalogue(), cell));
    ASSERT_FALSE(findings.empty());
    EXPECT_EQ(findings.front().severity, findings::Severity::Danger);
    EXPECT_TRUE(std::is_sorted(findings.begin(), findings.end(),
                               [](const Finding& a, const Finding& b) { return a.severity < b.severity; }));
}

TEST(Doubt, IsTheSameForAnyNumberOfThreads) {
    const Cell cell = test::cellOf(test::foilInSalt());
    const Evaluation e = evaluate(test::catalogue(), cell, {0});
    const auto one = estimateDoubt(test::catalogue(), cell, e, {60, 5, 1});
    const auto three = estimateDoubt(test::catalogue(), cell, e, {60, 5, 3});
    ASSERT_TRUE(one && three);
    EXPECT_EQ(one->openCircuitVolts, three->openCircuitVolts);
    EXPECT_EQ(one->shortCircuitAmps, three->shortCircuitAmps);
    EXPECT_EQ(one->maximumWatts, three->maximumWatts);
    EXPECT_EQ(one->expectedCoulombs, three->expectedCoulombs);
}

TEST(Doubt, HoldsTheValueAndNamesWhatMatters) {
    for (const std::string& json :
         {test::beakers(), test::leadAcid(30), test::lemon(), test::foilInSalt(), test::foilInAlkali()}) {
        const Cell cell = test::cellOf(json);
        const Evaluation e = evaluate(test::catalogue(), cell, {0});
        const auto doubt = estimateDoubt(test::catalogue(), cell, e);
        ASSERT_TRUE(doubt);
        EXPECT_TRUE(doubt->openCircuitVolts.contains(e.openCircuitVolts));
        EXPECT_GT(doubt->openCircuitVolts.width(), 0.0);
        EXPECT_LT(doubt->openCircuitVolts.width(), 0.7);
        EXPECT_TRUE(doubt->expectedCoulombs.contains(e.capacity.expectedCoulombs));
        // The doubt goes both ways: the value lies inside, not at an end.
        const std::pair<base::Interval, double> ranges[] = {
            {doubt->openCircuitVolts, e.openCircuitVolts},
            {doubt->shortCircuitAmps, e.first.shortCircuitAmps},
            {doubt->maximumWatts, e.first.maximumPower.watts},
            {doubt->resistanceOhm, e.resistance.totalOhm}};
        for (const auto& [range, value] : ranges) {
            EXPECT_LT(range.low, value);
            EXPECT_GT(range.high, value);
            EXPECT_GT(value - range.low, 0.01 * range.width());
            EXPECT_GT(range.high - value, 0.01 * range.width());
        }
        ASSERT_FALSE(doubt->matterMost.empty());
        EXPECT_LE(doubt->matterMost.front().share, 1.0);
        EXPECT_GT(doubt->matterMost.front().share, 0.05);
        EXPECT_GE(doubt->matterMost.front().share, doubt->matterMost.back().share);
    }
}

TEST(Doubt, ASmallVoltageIsDoubtedNoMoreThanALargeOne) {
    using namespace test::json;
    const Cell cell = test::cellOf(
        apart(cellWith(electrodeJson("copper"), electrodeJson("copper"), water({{"CuSO4", 0.01}})),
              water({{"CuSO4", 1}}), "porous pot")
            .dump());
    const Evaluation e = evaluate(test::catalogue(), cell, {0});
    EXPECT_GT(e.openCircuitVolts, 0.02);
    EXPECT_LT(e.openCircuitVolts, 0.06);
    const auto doubt = estimateDoubt(test::catalogue(), cell, e);
    ASSERT_TRUE(doubt);
    EXPECT_LT(doubt->openCircuitVolts.width(), 0.12);
}

TEST(Doubt, MoreSamplesGiveTheSameRangeWithinItsNoise) {
    const Cell cell = test::cellOf(test::foilInSalt());
    const Evaluation e = evaluate(test::catalogue(), cell, {0});
    const auto few = estimateDoubt(test::catalogue(), cell, e, {200, 1, 2});
    const auto many = estimateDoubt(test::catalogue(), cell, e, {1500, 7, 2});
    ASSERT_TRUE(few && many);
    EXPECT_NEAR(few->openCircuitVolts.low, many->openCircuitVolts.low, 0.2 * many->openCircuitVolts.width());
    EXPECT_NEAR(few->openCircuitVolts.high, many->openCircuitVolts.high,
                0.2 * many->openCircuitVolts.width());
}

TEST(Doubt, OneSampleIsARangeToo) {
    const Cell cell = test::cellOf(test::lemon());
    const Evaluation e = evaluate(test::catalogue(), cell, {0});
    const auto one = estimateDoubt(test::catalogue(), cell, e, {1, 3, 1});
    ASSERT_TRUE(one);
    EXPECT_TRUE(one->openCircuitVolts.contains(e.openCircuitVolts));
    EXPECT_FALSE(estimateDoubt(test::catalogue(), cell, e, {0, 3, 1}));
}

TEST(Doubt, StopsWhenAsked) {
    const Cell cell = test::cellOf(test::lemon());
    const Evaluation e = evaluate(test::catalogue(), cell, {0});
    std::stop_source source;
    source.request_stop();
    EXPECT_FALSE(estimateDoubt(test::catalogue(), cell, e, {200, 1, 2}, source.get_token()));
}

TEST(Evaluation, AnIonNobodyPutInIsNeverTheWorkingCouple) {
    // In aerated vinegar copper only corrodes a little less under load; the oxygen or the acid does the work.
    nlohmann::ordered_json json = nlohmann::ordered_json::parse(test::lemon());
    json["electrolyte"]["ready"] = "vinegar";
    const Evaluation evaluation = test::evaluated(json.dump());
    EXPECT_NE(test::catalogue().reactions[evaluation.sides[1].couple.reaction].id, "cu2-cu");
    EXPECT_GT(evaluation.capacity.expectedCoulombs, 0.0);
}

} // namespace
} // namespace anodex::cell
