// The cell on charge: balances, direction, limits and what is stored.
#include "core/charge/Charge.h"
#include "core/base/Constants.h"
#include "core/cell/AfterUse.h"
#include "core/charge/Capacitor.h"
#include "core/explain/Explain.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>
#include <numeric>

namespace anodex::charge {
namespace {

using cell::Evaluation;
using chemistry::SpeciesIndex;
using design::Cell;

using namespace test::json;

Charging charged(const Json& json) {
    const Cell cell = test::cellOf(json.dump());
    return chargingOf(test::catalogue(), cell, cell::evaluate(test::catalogue(), cell, {0}));
}

Json asking(Json cell, double amps) {
    return with(std::move(cell), "charge", {{"current_A", amps}});
}

Json lead() {
    Json negative = electrodeJson("spongy lead", 50);
    Json positive = electrodeJson("lead dioxide", 50);
    negative["mass_g"] = 20;
    positive["mass_g"] = 20;
    return cellWith(negative, positive, water({{"H2SO4", 5}}));
}

Json jar() {
    return apart(cellWith(electrodeJson("zinc", 20), electrodeJson("copper", 20), water({{"ZnSO4", 1}})),
                 water({{"CuSO4", 1}}), "porous pot");
}

Json bromide() {
    return cellWith(electrodeJson("graphite", 20), electrodeJson("graphite", 20), water({{"ZnBr2", 2}}));
}

Json sheets() {
    return cellWith(electrodeJson("lead", 50), electrodeJson("lead", 50), water({{"H2SO4", 4}}));
}

Json inert(double amps) {
    return asking(cellWith(electrodeJson("platinised titanium", 20), electrodeJson("platinised titanium", 20),
                           water({{"Na2SO4", 1}})),
                  amps);
}

Json air(const char* metal) {
    return cellWith(electrodeJson(metal, 40), breathing(electrodeJson("activated carbon", 40)),
                    water({{"KOH", 4}}));
}

SpeciesIndex species(const char* name) {
    return *test::catalogue().findSpecies(name);
}

double molesPerSecond(const ChargeDetail& detail, const char* gas) {
    for (const cell::GasFlow& flow : detail.gas) {
        if (flow.species == species(gas)) {
            return flow.molesPerSecond;
        }
    }
    return 0.0;
}

TEST(Charge, TheReactionsOfASideAddUpToTheCurrent) {
    for (const Json& cell : {lead(), jar(), bromide(), sheets(), inert(0.3), air("zinc")}) {
        const Charging charging = charged(asking(cell, 0.05));
        for (const auto& reactions : charging.asked->reactions) {
            const double sum =
                std::accumulate(reactions.begin(), reactions.end(), 0.0,
                                [](double total, const ChargeReaction& r) { return total + r.amps; });
            EXPECT_NEAR(sum, 0.05, 1e-6) << cell.dump();
        }
    }
}

TEST(Charge, TheVoltageRisesWithTheCurrentAndNoShareLeavesItsRange) {
    for (const Json& cell : {lead(), jar(), bromide(), sheets(), air("aluminium")}) {
        const Charging charging = charged(cell);
        double last = charging.restVolts;
        for (const ChargePoint& point : charging.curve) {
            EXPECT_GE(point.volts, last);
            EXPECT_GE(point.efficiency, 0.0);
            EXPECT_LE(point.efficiency, 1.0);
            last = point.volts;
        }
    }
}

TEST(Charge, InertElectrodesGiveHydrogenAndOxygenByFaraday) {
    const Charging charging = charged(inert(1.0));
    EXPECT_FALSE(charging.possible);
    EXPECT_NEAR(molesPerSecond(*charging.asked, "H2(g)"), 1.0 / (2.0 * base::kFaraday), 2e-8);
    EXPECT_NEAR(molesPerSecond(*charging.asked, "O2(g)"), 1.0 / (4.0 * base::kFaraday), 2e-8);
}

TEST(Charge, AMetalThatOutlastsTheHydroxideIsStillAnswered) {
    // Half of five kilograms of it is more than the lye holds hydroxide for.
    Json lye = water({{"KOH", 11}});
    lye["water_mL"] = 420;
    Json rods = airless(electrodeJson("magnesium rod", 3000));
    const Charging charging = charged(asking(cellWith(rods, electrodeJson("lead", 0.03), lye), 0.001));
    EXPECT_TRUE(std::isfinite(charging.restVolts));
    EXPECT_TRUE(std::isfinite(charging.asked->point.volts));
}

TEST(Charge, WhatCanBeChargedIsToldFromWhatCannot) {
    for (const Json& cell :
         {lead(), jar(), bromide(), sheets(), air("zinc"),
          cellWith(electrodeJson("zinc"), electrodeJson("silver"), water({{"NaCl", 1}}))}) {
        EXPECT_TRUE(charged(cell).possible) << cell.dump();
    }
    for (const Json& cell :
         {cellWith(electrodeJson("zinc"), electrodeJson("copper"), ready("lemon juice")),
          cellWith(electrodeJson("magnesium"), electrodeJson("graphite"), water({{"NaCl", 1}})),
          cellWith(electrodeJson("zinc"), electrodeJson("graphite"), water({{"NaCl", 3}})), air("aluminium"),
          inert(0.1)}) {
        EXPECT_FALSE(charged(cell).possible) << cell.dump();
    }
}

TEST(Charge, ACellThatIsFullIsChargedFromHalf) {
    const Charging charging = charged(asking(lead(), 0.05));
    EXPECT_EQ(charging.state, ChargeState::HalfUsed);
    ASSERT_TRUE(charging.asked->fullVolts);
    EXPECT_GT(*charging.asked->fullVolts, charging.asked->point.volts + 0.2);
    EXPECT_GT(charging.asked->point.efficiency, 0.9);
    // Full, all of the current is gas.
    EXPECT_NEAR(molesPerSecond(*charging.asked, "H2(g)"), 0.05 / (2.0 * base::kFaraday), 1e-8);
    EXPECT_EQ(charged(bromide()).state, ChargeState::AsBuilt);
}

TEST(Charge, AFullOxideIsChargedAfterUseThoughTheMetalCouldPlateMore) {
    const Charging dry =
        charged(asking(cellWith(electrodeJson("zinc", 20),
                                electrodeJson("manganese dioxide and carbon mix", 20), water({{"ZnCl2", 2}})),
                       0.02));
    EXPECT_TRUE(dry.possible);
    EXPECT_EQ(dry.state, ChargeState::HalfUsed);
    EXPECT_EQ(dry.asked->reactions[1].front().fate, Fate::Stored);
}

TEST(Charge, CopperPlatedOnZincIsLost) {
    const Charging one =
        charged(cellWith(electrodeJson("zinc", 20), electrodeJson("copper", 20), water({{"CuSO4", 0.5}})));
    for (const ChargeReaction& reaction : one.gentle.reactions[0]) {
        if (test::catalogue().reactions[reaction.reaction].id == "cu2-cu") {
            EXPECT_EQ(reaction.fate, Fate::Lost);
        }
    }
    EXPECT_LT(one.gentle.point.efficiency, 0.9);
}

TEST(Charge, NoVoltageIsGivenThatNoSupplyHas) {
    Json thin = bromide();
    thin["electrolyte"] = water({{"NaCl", 0.0005}});
    thin["gap_mm"] = 300;
    EXPECT_LE(charged(asking(thin, 5.0)).asked->point.volts, kHighestSupplyVolts + 1e-3);
}

TEST(Charge, AFullCellFloatsBelowItsGassing) {
    const Charging charging = charged(lead());
    ASSERT_TRUE(charging.floatVolts);
    EXPECT_LT(*charging.floatVolts, *charging.gassingVolts - 0.1);
    EXPECT_GT(*charging.floatVolts, charging.restVolts);
}

TEST(Charge, ACellThatWastesMoreThanAFloatBringsHasNone) {
    const Charging charging =
        charged(cellWith(electrodeJson("zinc", 20), electrodeJson("copper", 20), water({{"CuSO4", 0.05}})));
    EXPECT_TRUE(charging.possible);
    EXPECT_EQ(charging.state, ChargeState::HalfUsed);
    EXPECT_FALSE(charging.floatVolts);
    EXPECT_TRUE(charged(air("zinc")).floatVolts);
}

/// Before its first charge every lead cell rests at nothing, by microvolts one way or the other.
TEST(Charge, LeadAgainstItsOxidesTakesItsFirstChargeWhicheverRestsHigher) {
    for (const char* negative : {"lead", "spongy lead", "litharge paste", "discharged spongy lead"}) {
        for (const char* positive : {"litharge paste", "discharged spongy lead"}) {
            for (const double strength : {3.0, 5.0}) {
                const Charging charging = charged(cellWith(
                    electrodeJson(negative, 20), electrodeJson(positive, 20), water({{"H2SO4", strength}})));
                const std::string which = std::string(negative) + " | " + positive;
                EXPECT_TRUE(charging.possible) << which;
                EXPECT_FALSE(charging.reversed) << which;
                EXPECT_GT(charging.gentle.point.volts, 2.0) << which;
                EXPECT_LT(charging.gentle.point.volts, 2.8) << which;
            }
        }
    }
}

TEST(Charge, TwoLeadSheetsAreFormedAboveTheCouplesVoltage) {
    const Charging charging = charged(asking(sheets(), 0.05));
    ASSERT_TRUE(charging.possible);
    EXPECT_GT(charging.floorVolts, 1.95);
    EXPECT_GT(charging.asked->point.volts, 2.2);
    EXPECT_LT(charging.asked->point.volts, 3.0);
    EXPECT_GT(charging.asked->point.storedShare[1], 0.8);
}

TEST(Charge, AReversedLabelPutsThePlusOnTheOtherElectrode) {
    Json swapped = jar();
    std::swap(swapped["negative"], swapped["positive"]);
    std::swap(swapped["electrolyte"]["negative"], swapped["electrolyte"]["positive"]);
    const Charging straight = charged(asking(jar(), 0.02));
    const Charging wrong = charged(asking(swapped, 0.02));
    EXPECT_FALSE(straight.reversed);
    EXPECT_TRUE(wrong.reversed);
    EXPECT_TRUE(wrong.possible);
    EXPECT_NEAR(wrong.asked->point.volts, straight.asked->point.volts, 1e-6);
    EXPECT_NEAR(wrong.asked->point.efficiency, straight.asked->point.efficiency, 1e-6);
}

TEST(Charge, TheSupplysLowerSettingDecides) {
    const auto ask = [](Json settings) { return charged(with(jar(), "charge", std::move(settings))); };
    const double amps = ask({{"voltage_V", 1.4}}).asked->point.amps;
    EXPECT_NEAR(ask({{"voltage_V", 1.4}}).asked->point.volts, 1.4, 1e-6);
    EXPECT_NEAR(ask({{"voltage_V", 1.4}, {"current_A", 5.0}}).asked->point.amps, amps, 1e-9);
    EXPECT_NEAR(ask({{"voltage_V", 1.4}, {"current_A", 0.001}}).asked->point.amps, 0.001, 1e-12);
    EXPECT_EQ(ask({{"voltage_V", 0.5}}).asked->point.amps, 0.0);
}

TEST(Charge, TheWindowLiesBetweenTheFloorAndTheFastest) {
    for (const Json& cell : {lead(), jar(), bromide(), sheets()}) {
        const Charging charging = charged(cell);
        ASSERT_TRUE(charging.best && charging.least) << cell.dump();
        EXPECT_LE(charging.least->amps, charging.gentle.point.amps);
        EXPECT_LE(charging.gentle.point.amps, charging.best->amps * (1 + 1e-9));
        EXPECT_GE(charging.best->volts, charging.floorVolts);
    }
}

TEST(Charge, PlatingFromStillLiquidIsHeldToHalfItsLimit) {
    Json weak = jar();
    weak["electrolyte"]["negative"]["solutes"][0]["mol_per_L"] = 0.1;
    weak["gap_mm"] = 10;
    const Charging still = charged(weak);
    EXPECT_EQ(still.bestLimit, ChargeLimit::Plating);
    const Charging stirred = charged(with(weak, "stirred", true));
    EXPECT_GT(stirred.best->amps, 1.5 * still.best->amps);
}

TEST(Charge, AUsedCellTakesInAnHourNoMoreThanItLacks) {
    const Cell cell = test::cellOf(lead().dump());
    const Evaluation evaluation = cell::evaluate(test::catalogue(), cell, {0});
    const Charging charging = chargingOf(test::catalogue(), cell, evaluation);
    EXPECT_LE(charging.best->amps, 0.5 * evaluation.capacity.expectedCoulombs / 3600.0 * (1.0 + 1e-6));
}

TEST(Charge, ItsDoubtHoldsTheValue) {
    const Cell cell = test::cellOf(asking(lead(), 0.1).dump());
    const Evaluation evaluation = cell::evaluate(test::catalogue(), cell, {0});
    const Charging charging = chargingOf(test::catalogue(), cell, evaluation);
    const auto range = chargeVoltsDoubt(test::catalogue(), cell, evaluation, charging, 0.1, 60);
    ASSERT_TRUE(range);
    EXPECT_TRUE(range->contains(charging.asked->point.volts));
    EXPECT_GT(range->width(), 0.005);
    EXPECT_LT(range->width(), 0.4);
    EXPECT_FALSE(chargeVoltsDoubt(test::catalogue(), cell, evaluation, charging, 0.1, 0));
}

TEST(Charge, ItsExplanationAddsUp) {
    const Cell cell = test::cellOf(jar().dump());
    const Evaluation evaluation = cell::evaluate(test::catalogue(), cell, {0});
    const explain::Explanation tree = explain::explain(test::catalogue(), cell, evaluation,
                                                       {explain::Quantity::ChargeVoltage, {}, 0, 0.02});
    ASSERT_GE(tree.inputs.size(), 5U);
    EXPECT_NEAR(tree.value,
                tree.inputs[0].value - tree.inputs[1].value + tree.inputs[2].value +
                    tree.inputs[3].value * tree.inputs[4].value,
                1e-6);
    EXPECT_FALSE(tree.inputs[0].inputs.front().sources.empty());
    for (const std::size_t side : {0U, 1U}) {
        double sum = 0.0;
        for (const explain::Explanation& current : tree.inputs[side].inputs) {
            EXPECT_GT(current.value, 0.0);
            sum += current.value;
        }
        EXPECT_NEAR(sum, 0.02, 2e-4) << side;
    }
}

double molesOf(const liquid::Solution& solution, const char* master) {
    return solution.composition.moles(species(master));
}

state::Contents usedUp(const test::Filled& filled, double coulombs) {
    const Evaluation e = cell::evaluate(test::catalogue(), filled.cell, {0});
    return state::changedTo(
        test::catalogue(), filled.cell, filled.contents,
        cell::afterUse(filled.compiled, filled.contents, e.sides[0].couple, e.sides[1].couple, coulombs));
}

double restVolts(const test::Filled& filled, const state::Contents& contents) {
    return cell::Polarisation(filled.compiled, contents, electrode::Moment::Settled).openCircuitVolts();
}

TEST(AfterUse, TheJarsIonsMoveByFaraday) {
    const test::Filled filled(jar().dump());
    const state::Contents used = usedUp(filled, 0.05 * 2.0 * base::kFaraday); // half of 0.1 mol
    const auto change = [&](std::size_t side, const char* ion) {
        return molesOf(used.solutions[side], ion) - molesOf(filled.contents.solutions[side], ion);
    };
    EXPECT_NEAR(change(0, "Zn2+") + change(1, "Zn2+"), 0.05, 1e-4);
    EXPECT_NEAR(change(1, "Cu2+"), -0.05, 1e-4);
    EXPECT_NEAR(change(0, "SO4^2-") + change(1, "SO4^2-"), 0.0, 1e-6);
    // Sulfate crosses to the side that gains zinc, zinc to the side that loses copper.
    EXPECT_GT(change(0, "SO4^2-"), 0.01);
    EXPECT_GT(change(1, "Zn2+"), 0.01);
    EXPECT_NEAR(used.solutions[0].pH, filled.contents.solutions[0].pH, 0.6);
}

TEST(AfterUse, DischargingLeadUsesTheAcidAndLeavesSulfateOnBothPlates) {
    const test::Filled filled(lead().dump());
    const double faradays = 0.05;
    const state::Contents used = usedUp(filled, faradays * base::kFaraday);
    EXPECT_NEAR(molesOf(filled.contents.solutions[0], "SO4^2-") - molesOf(used.solutions[0], "SO4^2-"),
                faradays, 1e-9);
    for (const design::Side side : {design::Side::Negative, design::Side::Positive}) {
        EXPECT_NEAR(state::molesOf(used.state.electrode(side), species("PbSO4(s)")), 0.5 * faradays, 1e-9);
    }
    EXPECT_LT(restVolts(filled, used), restVolts(filled, filled.contents));
}

TEST(Charge, OfAJarThatIsAlikeOnBothSidesThePlusIsWhereItIsWritten) {
    const Json jar = cellWith(electrodeJson("graphite"), electrodeJson("carbon felt"), water({{"ZnI2", 1}}));
    const Charging charging = charged(jar);
    EXPECT_TRUE(charging.possible);
    EXPECT_FALSE(charging.reversed) << "a tenth of a millivolt says nothing";
}

TEST(Charge, WhatNothingDrivesGivesNothing) {
    for (const char* material : {"graphite", "zinc", "lead"}) {
        const auto one = test::evaluated(
            cellWith(electrodeJson(material), electrodeJson(material), water({{"ZnBr2", 1}})).dump());
        EXPECT_EQ(one.capacity.expectedCoulombs, 0.0) << material;
    }
}

TEST(Capacitor, OfTwoCarbonsIsHalfOfEachAndNeedsBoth) {
    const auto of = [](const char* negative, const char* positive) {
        const Cell cell = test::cellOf(
            cellWith(electrodeJson(negative), electrodeJson(positive), water({{"Na2SO4", 1}})).dump());
        return capacitorOf(test::catalogue(), cell, cell::evaluate(test::catalogue(), cell));
    };
    const auto two = of("activated carbon", "activated carbon");
    ASSERT_TRUE(two);
    const double gram = test::cellOf(cellWith(electrodeJson("activated carbon"),
                                              electrodeJson("activated carbon"), water({{"Na2SO4", 1}}))
                                         .dump())
                            .electrodes[0]
                            .massKg *
                        1e3;
    EXPECT_GT(two->farads, 10.0 * gram)
        << "50 to 150 F a gram of each, in series; common practice, no source";
    EXPECT_LT(two->farads, 75.0 * gram);
    EXPECT_DOUBLE_EQ(two->coulombs, two->farads * kCapacitorVolts);
    EXPECT_FALSE(of("graphite", "copper"));
    EXPECT_FALSE(of("zinc", "activated carbon")) << "it is a source of its own";
}

TEST(AirAround, FillsAsAMassBalanceSays) {
    const Json room = with(inert(1.0), "place", {{"room_m3", 10}, {"air_changes_per_h", 2}});
    const auto airOf = [](const Json& json) {
        const Cell cell = test::cellOf(json.dump());
        return cell::airAround(test::catalogue(), cell, {{test::catalogue().key.hydrogenGas, 1e-3}});
    };
    const double flow = 1e-3 * cell::kGasM3PerMole;
    ASSERT_EQ(airOf(room).size(), 1U);
    EXPECT_NEAR(airOf(room)[0].share, flow / (10.0 * 2.0 / 3600.0), 1e-6);
    EXPECT_FALSE(airOf(room)[0].secondsToLimit);

    Json sealed = with(inert(1.0), "case", {{"material", "glass"}, {"closed", true}, {"head_space_mL", 100}});
    const cell::SpaceAir head = airOf(sealed).front();
    EXPECT_EQ(head.space, cell::Space::HeadSpace);
    ASSERT_TRUE(head.secondsToLimit);
    EXPECT_NEAR(*head.secondsToLimit, 0.01 * 1e-4 / flow, 1e-6);

    const Json many = with(room, "string", {{"series", 3}, {"parallel", 2}});
    EXPECT_NEAR(airOf(many)[0].share, 6.0 * airOf(room)[0].share, 1e-9);
}

TEST(AirAround, OpenAirIsGentlerThanARoom) {
    const auto share = [](const Json& place) {
        const Cell cell = test::cellOf(with(inert(1.0), "place", place).dump());
        return cell::airAround(test::catalogue(), cell, {{species("Cl2(aq)"), 1e-6}}).front().share;
    };
    EXPECT_LT(share({{"outdoors", true}}), 0.1 * share({{"room_m3", 20}}));
}

TEST(AirAround, NoMoreThanAllOfItIsGas) {
    for (const Json& place : {Json{{"outdoors", true}}, Json{{"room_m3", 20}}}) {
        const Cell cell = test::cellOf(with(inert(1.0), "place", place).dump());
        const std::vector<cell::SpaceAir> spaces =
            cell::airAround(test::catalogue(), cell, {{test::catalogue().key.hydrogenGas, 1e6}});
        EXPECT_EQ(spaces.front().share, 1.0) << place.dump();
    }
}

} // namespace
} // namespace anodex::charge
