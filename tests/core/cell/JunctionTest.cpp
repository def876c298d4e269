#include "core/cell/Junction.h"
#include "core/cell/Resistance.h"
#include "core/electrode/Transport.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace anodex::cell {
namespace {

using design::Cell;
using electrode::Moment;

using Json = nlohmann::ordered_json;

Cell twoLiquids(const std::string& salt, double left, double right, const char* separator) {
    Json json = {{"temperature_C", 25},
                 {"negative", {{"material", "copper"}, {"wetted_area_cm2", 10}}},
                 {"positive", {{"material", "copper"}, {"wetted_area_cm2", 10}}}};
    const auto liquid = [&](double strength) {
        return Json{{"water_g", 100},
                    {"solutes", Json::array({{{"substance", salt}, {"mol_per_kg", strength}}})}};
    };
    json["electrolyte"] = {{"negative", liquid(left)}, {"positive", liquid(right)}};
    if (separator != nullptr) {
        json["separator"] = {{"material", separator}};
    }
    return test::cellOf(json.dump());
}

double voltsOf(const Cell& cell) {
    const test::Filled filled(cell);
    return junctionVolts(filled.compiled, filled.contents);
}

TEST(Junction, OneLiquidHasNone) {
    EXPECT_EQ(voltsOf(test::cellOf(test::lemon())), 0.0);
}

TEST(Junction, EqualLiquidsHaveNone) {
    EXPECT_NEAR(voltsOf(twoLiquids("NaCl", 0.1, 0.1, nullptr)), 0.0, 1e-9);
}

TEST(Junction, FollowsHendersonForOneSaltAtTwoStrengths) {
    // For one salt Henderson's equation is (t+ - t-) RT/F ln(c1/c2): with hydrochloric acid t+ is 0.821.
    const double kcl = voltsOf(twoLiquids("KCl", 0.1, 0.01, nullptr));
    const double hcl = voltsOf(twoLiquids("HCl", 0.1, 0.01, nullptr));
    EXPECT_NEAR(kcl, 0.0, 0.002);
    EXPECT_NEAR(hcl, (0.821 - 0.179) * 0.025693 * std::log(10.0), 0.002);
}

TEST(Junction, TurnsItsSignWithTheSides) {
    const double one = voltsOf(twoLiquids("HCl", 0.1, 0.01, nullptr));
    const double other = voltsOf(twoLiquids("HCl", 0.01, 0.1, nullptr));
    EXPECT_NEAR(one, -other, 1e-6);
}

TEST(Junction, IonsThatWalkInPairsMoveNoCharge) {
    // One salt at two strengths: (t+ - t-) RT/F ln(κ1/κ2), which for strong copper sulfate is far less than
    // by its strengths; t+ is 53.6/133.6 at infinite dilution.
    const Cell cell = twoLiquids("CuSO4", 1.0, 0.01, nullptr);
    const auto liquids = state::asBuilt(test::catalogue(), cell).solutions;
    const double byConductivity =
        (53.6 - 80.0) / 133.6 * 0.025693 / 2.0 * std::log(liquids[0].conductivity / liquids[1].conductivity);
    EXPECT_NEAR(voltsOf(cell), byConductivity, 0.0005);
}

TEST(Junction, ABridgeOfStrongSaltTakesMostOfItAway) {
    const double open = voltsOf(twoLiquids("HCl", 0.1, 0.01, nullptr));
    const double bridged = voltsOf(twoLiquids("HCl", 0.1, 0.01, "salt bridge"));
    EXPECT_LT(std::abs(bridged), 0.25 * std::abs(open));
}

TEST(Resistance, FollowsLengthOverAreaAndConductivity) {
    Json json = Json::parse(test::lemon());
    json["gap_mm"] = 8;
    const test::Filled filled(json.dump());
    const ResistanceBudget budget = resistanceBudget(filled.compiled, filled.contents);
    ASSERT_EQ(budget.shares.front().part, ResistancePart::NegativeLiquid);
    EXPECT_NEAR(budget.shares.front().ohm, 0.008 / (filled.contents.solutions[0].conductivity * 2e-4), 1e-9);
}

TEST(Resistance, ASeparatorMultipliesItsLayerByTheMacMullinNumber) {
    Json json = Json::parse(test::lemon());
    json["separator"] = {{"material", "blotter"}, {"layers", 2}, {"thickness_mm", 0.5}};
    const test::Filled filled(json.dump());
    const ResistanceBudget budget = resistanceBudget(filled.compiled, filled.contents);
    ASSERT_EQ(budget.shares.front().part, ResistancePart::Separator);
    const double number = test::catalogue().separators[filled.cell.barrier->separator].macMullin.value;
    EXPECT_NEAR(budget.shares.front().ohm,
                number * 0.001 / (filled.contents.solutions[0].conductivity * 2e-4), 1e-9);
}

TEST(Resistance, CollectorsContactsAndMeasuredElectrodesCount) {
    Json json = Json::parse(test::lemon());
    json["negative"]["collector"] = {{"material", "copper"}, {"resistance_mohm", 40}};
    json["positive"]["measured_resistance_mohm"] = 70;
    json["contact_mohm"] = 90;
    const test::Filled filled(json.dump());
    double rest = 0.0;
    for (const ResistanceShare& share : resistanceBudget(filled.compiled, filled.contents).shares) {
        rest += share.part == ResistancePart::NegativeLiquid ? 0.0 : share.ohm;
    }
    EXPECT_NEAR(rest, 0.040 + 0.070 + 0.090, 1e-9);
}

double oxygenLimit(const char* air, Moment moment) {
    Json json = Json::parse(test::foilInSalt());
    json["temperature_C"] = 25;
    json["positive"]["air"] = air;
    json["electrolyte"].erase("solutes");
    const test::Filled filled(json.dump());
    const electrode::Situation here = filled.at(design::Side::Positive);
    for (const auto& reaction : filled.compiled.electrode(design::Side::Positive).reactions) {
        if (reaction.reaction->id == "oxygen-four") {
            return electrode::Supplies(here, electrode::secondsOf(moment)).limits(reaction).cathodic;
        }
    }
    return -1.0;
}

TEST(Transport, OxygenInStillLiquidGivesAboutFourTenthsOfAnAmpPerSquareMetre) {
    EXPECT_NEAR(oxygenLimit("still", Moment::Settled), 0.4, 0.06);
    EXPECT_NEAR(oxygenLimit("none", Moment::Settled), 0.4e-3, 0.1e-3) << "what boiled water keeps";
}

TEST(Transport, TheFirstSecondsFindAThinnerLayer) {
    EXPECT_GT(oxygenLimit("still", Moment::First), 2.0 * oxygenLimit("still", Moment::Settled));
}

} // namespace
} // namespace anodex::cell
