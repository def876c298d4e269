#include "core/cell/Evaluation.h"
#include "core/state/Contents.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>

namespace anodex::state {
namespace {

using namespace test::json;
using chemistry::SpeciesIndex;
using design::Side;

SpeciesIndex named(const char* name) {
    return *test::catalogue().findSpecies(name);
}

double restOf(const test::Filled& filled, const Contents& contents, Side side) {
    return electrode::ElectrodeModel(filled.compiled.at(side, contents),
                                     electrode::secondsOf(electrode::Moment::Settled))
        .potentialAt(0.0);
}

Contents changedBy(const test::Filled& filled, State state) {
    return changedTo(test::catalogue(), filled.cell, filled.contents, std::move(state));
}

TEST(State, AsBuiltHoldsSolidsByAmount) {
    Json zinc = electrodeJson("zinc");
    zinc["mass_g"] = 6.538;
    const test::Filled filled(
        cellWith(zinc, electrodeJson("galvanised steel"), water({{"NaCl", 0.5}})).dump());
    EXPECT_NEAR(molesOf(filled.contents.state.electrodes[0], named("Zn(s)")), 0.1, 0.002);
    const auto& coat = filled.contents.state.electrodes[1].solids;
    const auto plated = std::find_if(coat.begin(), coat.end(),
                                     [](const Solid& solid) { return solid.place == Place::Plating; });
    ASSERT_NE(plated, coat.end());
    EXPECT_EQ(plated->species, named("Zn(s)"));
    EXPECT_EQ(filled.contents.state.liquids.size(), 1U);
    EXPECT_TRUE(filled.contents.state.headSpace.empty()) << "open";
}

TEST(State, APlateHoldsAsMuchOfEachAsItIsCharged) {
    const auto leadOf = [](const char* material, const Json& percent) {
        Json plate = electrodeJson(material);
        plate["mass_g"] = 100;
        if (!percent.is_null()) {
            plate["charged_percent"] = percent;
        }
        const test::Filled filled(
            cellWith(plate, electrodeJson("lead dioxide"), water({{"H2SO4", 4}})).dump());
        const ElectrodeState& negative = filled.contents.state.electrodes[0];
        return std::pair(molesOf(negative, named("Pb(s)")), molesOf(negative, named("PbSO4(s)")));
    };
    const auto full = leadOf("spongy lead", nullptr);
    EXPECT_EQ(full.second, 0.0);
    EXPECT_EQ(leadOf("spongy lead", 100), full);
    const auto empty = leadOf("discharged spongy lead", nullptr);
    EXPECT_EQ(leadOf("spongy lead", 0), empty) << "either name may be the one that is written";
    const auto half = leadOf("discharged spongy lead", 50);
    EXPECT_NEAR(half.first, 0.5 * (full.first + empty.first), 1e-12);
    EXPECT_NEAR(half.second, 0.5 * empty.second, 1e-12);
}

TEST(State, ASolidIsTakenFromEveryPlaceByItsShare) {
    ElectrodeState electrode;
    const SpeciesIndex zinc = named("Zn(s)");
    electrode.solids = {{zinc, Place::Body, 3.0}, {zinc, Place::Plating, 1.0}};
    addSolid(electrode, zinc, -1.0);
    EXPECT_NEAR(electrode.solids[0].moles, 2.25, 1e-12);
    EXPECT_NEAR(electrode.solids[1].moles, 0.75, 1e-12);
    addSolid(electrode, named("Cu(s)"), 0.5);
    EXPECT_NEAR(molesOf(electrode, named("Cu(s)")), 0.5, 1e-12);
    EXPECT_EQ(electrode.solids.back().place, Place::Deposit);
    addSolid(electrode, zinc, -4.0);
    EXPECT_NEAR(molesOf(electrode, zinc), -1.0, 1e-12) << "owed, not erased";
    addSolid(electrode, zinc, 1.5);
    EXPECT_NEAR(molesOf(electrode, zinc), 0.5, 1e-12);
}

TEST(State, ADepositGrowsOnADepositOfItsKindAlone) {
    ElectrodeState electrode;
    const SpeciesIndex zinc = named("Zn(s)");
    const SpeciesIndex copper = named("Cu(s)");
    electrode.solids = {{zinc, Place::Body, 3.0}, {copper, Place::Deposit, 1.0}};
    addSolid(electrode, zinc, 0.5);
    ASSERT_EQ(electrode.solids.size(), 3U);
    EXPECT_EQ(electrode.solids[0].moles, 3.0) << "the body stays what it was";
    EXPECT_EQ(electrode.solids[1].moles, 1.0) << "copper does not become zinc";
    EXPECT_EQ(electrode.solids[2].place, Place::Deposit);
    addSolid(electrode, zinc, 0.25);
    ASSERT_EQ(electrode.solids.size(), 3U);
    EXPECT_EQ(electrode.solids[2].moles, 0.75);
}

TEST(State, TellsWhatWasTakenBeyondWhatIsThere) {
    const test::Filled filled(test::beakers());
    State state = filled.contents.state;
    EXPECT_TRUE(shortfalls(test::catalogue(), state).empty());
    const double zinc = molesOf(state.electrodes[0], named("Zn(s)"));
    addSolid(state.electrodes[0], named("Zn(s)"), -zinc - 0.25);
    liquid::add(test::catalogue(), state.liquids[1], named("Cu2+"), -1.0);
    state.liquids[1].solventKg = -0.01;
    const auto missing = shortfalls(test::catalogue(), state);
    ASSERT_EQ(missing.size(), 3U);
    EXPECT_EQ(missing[0].species, named("Cu2+"));
    EXPECT_EQ(missing[1].species, test::catalogue().key.solvent);
    EXPECT_NEAR(missing[2].moles, 0.25, 1e-12);
}

TEST(Contents, InTheSameStateAreTheSame) {
    for (const std::string& json :
         {test::beakers(), test::lemon(), test::leadAcid(30), test::foilInAlkali()}) {
        const test::Filled filled(json);
        const Contents again = changedBy(filled, filled.contents.state);
        EXPECT_EQ(again.state, filled.contents.state);
        for (const Side side : {Side::Negative, Side::Positive}) {
            EXPECT_NEAR(restOf(filled, again, side), restOf(filled, filled.contents, side), 1e-6) << json;
        }
    }
}

TEST(Contents, AnElectrodeMeetsTheLiquidAtItsFace) {
    const test::Filled filled(
        cellWith(electrodeJson("copper"), electrodeJson("graphite"), water({{"KCl", 0.5}})).dump());
    State state = filled.contents.state;
    liquid::Composition face = state.liquids[0];
    liquid::add(test::catalogue(), face, named("OH-"), 0.01);
    liquid::add(test::catalogue(), face, named("K+"), 0.01);
    state.electrodes[1].face = face;
    const Contents contents = changedBy(filled, state);
    EXPECT_GT(contents.atFace(Side::Positive).pH, 12.0);
    EXPECT_LT(contents.solution(Side::Positive).pH, 8.0);
    EXPECT_LT(restOf(filled, contents, Side::Positive),
              restOf(filled, filled.contents, Side::Positive) - 0.05);
    EXPECT_NEAR(restOf(filled, contents, Side::Negative), restOf(filled, filled.contents, Side::Negative),
                1e-6);
}

TEST(Contents, UnderAClosedLidTheOxygenIsCounted) {
    Json json = cellWith(electrodeJson("zinc"), electrodeJson("graphite"), water({{"NaCl", 0.5}}));
    json["case"] = {{"material", "glass"}, {"closed", true}, {"head_space_mL", 100}};
    const test::Filled filled(json.dump());
    const SpeciesIndex gas = test::catalogue().key.oxygenGas;
    ASSERT_EQ(filled.contents.state.headSpace.size(), 1U);
    // 0.2095 bar in 100 mL at 20 °C.
    EXPECT_NEAR(filled.contents.state.headSpace[0].count, 0.2095e5 * 1e-4 / (8.314462618 * 293.15), 1e-9);
    State state = filled.contents.state;
    addGas(state, gas, -0.5 * state.headSpace[0].count);
    EXPECT_NEAR(changedBy(filled, state).solutions[0].activity[gas], 0.5 * 0.2095, 1e-9);
    addGas(state, gas, -1.0);
    EXPECT_EQ(changedBy(filled, state).solutions[0].activity[gas], 0.0);
    EXPECT_LT(state.headSpace[0].count, 0.0) << "kept";
}

TEST(Contents, AFilmCoversAsFarAsItsShare) {
    const test::Filled filled(test::leadAcid(30));
    const auto limitAt = [&](double coverage) {
        Contents contents = filled.contents;
        contents.state.electrodes[1].filmCoverage = coverage;
        return electrode::ElectrodeModel(filled.compiled.at(Side::Positive, contents),
                                         electrode::secondsOf(electrode::Moment::Settled))
            .currentAt(1.9);
    };
    EXPECT_GE(limitAt(0.0), limitAt(0.5));
    EXPECT_GE(limitAt(0.5), limitAt(1.0));
}

TEST(Contents, TheDoubleLayerStartsWhereItStands) {
    const test::Filled filled(
        cellWith(electrodeJson("zinc"), electrodeJson("activated carbon"), water({{"KCl", 1.0}})).dump());
    const auto voltsAt = [&](std::optional<double> shift) {
        Contents contents = filled.contents;
        if (shift) {
            contents.state.electrodes[1].doubleLayerVolts =
                restOf(filled, filled.contents, Side::Positive) + *shift;
        }
        return cell::Polarisation(filled.compiled, contents, electrode::Moment::First).voltsAt(0.01);
    };
    EXPECT_NEAR(voltsAt(std::nullopt), voltsAt(0.0), 1e-9);
    EXPECT_LT(voltsAt(-0.1), voltsAt(0.0) - 0.05) << "a carbon that gave current a moment ago";
}

} // namespace
} // namespace anodex::state
