// Laws that came with the whole model: membranes, wetted collectors, platings, spreading, heat, crossover,
// films.
#include "core/cell/AfterUse.h"
#include "core/cell/Capacity.h"
#include "core/cell/Evaluation.h"
#include "core/cell/Heat.h"
#include "core/cell/Junction.h"
#include "core/electrode/Nernst.h"
#include "core/findings/Findings.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace anodex::cell {
namespace {

using design::Cell;
using design::Side;

using Json = nlohmann::ordered_json;

Json electrode(const char* material, double cm2) {
    return {{"material", material}, {"wetted_area_cm2", cm2}};
}

Json solute(const char* name, double molPerKg) {
    return {{"substance", name}, {"mol_per_kg", molPerKg}};
}

Json water(std::vector<Json> solutes, double grams = 100) {
    return {{"water_g", grams}, {"solutes", solutes}};
}

/// Carbon on both sides, a membrane between two liquids.
Cell acrossMembrane(const Json& left, const Json& right, const char* separator = "ion membrane") {
    const Json json = {{"temperature_C", 25},
                       {"negative", electrode("carbon felt", 10)},
                       {"positive", electrode("carbon felt", 10)},
                       {"electrolyte", {{"negative", left}, {"positive", right}}},
                       {"separator", {{"material", separator}}}};
    return test::cellOf(json.dump());
}

double acrossVolts(const Cell& cell) {
    const test::Filled filled(cell);
    return junctionVolts(filled.compiled, filled.contents);
}

TEST(Membrane, PassingOnlyHydrogenIonsGivesBackTheNernstSlope) {
    // Weak acids on both sides: the only cation that differs is H+.
    const test::Filled filled(acrossMembrane(water({solute("HCl", 0.001)}), water({solute("HCl", 0.01)})));
    const auto& liquids = filled.contents.solutions;
    const double steps = std::log10(liquids[0].concentration(test::catalogue().key.hydrogenIon) /
                                    liquids[1].concentration(test::catalogue().key.hydrogenIon));
    EXPECT_NEAR(junctionVolts(filled.compiled, filled.contents), 0.05916 * steps, 0.002)
        << "right minus left";
}

TEST(Membrane, OfTheOtherChargeTurnsTheSign) {
    const Json weak = water({solute("KCl", 0.01)});
    const Json strong = water({solute("KCl", 0.1)});
    const double cation = acrossVolts(acrossMembrane(weak, strong));
    const double anion = acrossVolts(acrossMembrane(weak, strong, "anion exchange membrane"));
    EXPECT_NEAR(cation, -0.056, 0.006) << "one decade of potassium";
    EXPECT_NEAR(anion, 0.056, 0.006) << "one decade of chloride";
}

TEST(Membrane, LosesItsGripInLiquidsStrongerThanItsCharge) {
    const double weak =
        acrossVolts(acrossMembrane(water({solute("KCl", 0.01)}), water({solute("KCl", 0.1)})));
    const double strong =
        acrossVolts(acrossMembrane(water({solute("KCl", 0.4)}), water({solute("KCl", 4.0)})));
    EXPECT_LT(std::abs(strong), 0.6 * std::abs(weak));
}

Json pouch(const char* mesh) {
    Json json = {{"negative", electrode("aluminium foil", 46)},
                 {"positive", electrode("activated carbon", 46)},
                 {"electrolyte", water({solute("NaCl", 0.85), solute("NaHCO3", 0.6)})}};
    json["positive"]["air"] = "breathing";
    if (mesh != nullptr) {
        json["positive"]["collector"] = {{"material", mesh}};
    }
    return json;
}

TEST(Collector, IsPartOfAPorousElectrode) {
    const Evaluation alone = test::evaluated(pouch(nullptr).dump());
    const Evaluation steel = test::evaluated(pouch("steel mesh").dump());
    EXPECT_LT(steel.openCircuitVolts, alone.openCircuitVolts - 0.1)
        << "the mesh corrodes and pulls the carbon down";
    EXPECT_GT(steel.sides[1].corrosionAmps, 1e-3);
}

TEST(Collector, BehindASolidSheetStaysDry) {
    Json json = Json::parse(test::lemon());
    const Evaluation alone = test::evaluated(json.dump());
    json["positive"]["collector"] = {{"material", "steel mesh"}};
    EXPECT_EQ(test::evaluated(json.dump()).openCircuitVolts, alone.openCircuitVolts);
}

TEST(Collector, OfFilmAddsItsThroughResistance) {
    Json json = pouch("conductive polyethylene");
    const Evaluation film = test::evaluated(json.dump());
    json["positive"]["collector"]["material"] = "conductive polyethylene on graphite foil";
    const Evaluation layered = test::evaluated(json.dump());
    EXPECT_GT(film.resistance.totalOhm, 10.0 * layered.resistance.totalOhm);
    json["positive"]["collector"] = {{"material", "conductive polyethylene"}, {"resistance_mohm", 7}};
    const auto budget = test::evaluated(json.dump()).resistance;
    const auto part =
        std::find_if(budget.shares.begin(), budget.shares.end(), [](const ResistanceShare& share) {
            return share.part == ResistancePart::PositiveCollector;
        });
    ASSERT_NE(part, budget.shares.end());
    EXPECT_NEAR(part->ohm, 0.007, 1e-12) << "what is stated wins";
}

TEST(Plating, HoldsAsMuchAsItIsThick) {
    Json json = Json::parse(test::lemon());
    json["negative"] = electrode("galvanised screw", 10);
    const Evaluation evaluation = test::evaluated(json.dump());
    const auto reagent =
        std::find_if(evaluation.capacity.reagents.begin(), evaluation.capacity.reagents.end(),
                     [](const Reagent& r) { return test::catalogue().species[r.species].name == "Zn(s)"; });
    ASSERT_NE(reagent, evaluation.capacity.reagents.end());
    // 10 cm² of 8 µm zinc at 7.14 g/mL, 0.820 Ah/g.
    EXPECT_NEAR(reagent->coulombs / 3600.0, 10.0 * 8e-4 * 7.14 * 0.820, 0.001);
}

TEST(Grade, ShiftsOnlyTheCouplesOfItsOwnReagent) {
    const auto potentialOf = [](const char* material) {
        Json json = {{"negative", electrode("zinc", 10)},
                     {"positive", electrode(material, 10)},
                     {"electrolyte", water({solute("KOH", 6.0)})}};
        const test::Filled filled(json.dump());
        for (const auto& reaction : filled.compiled.electrode(Side::Positive).reactions) {
            if (reaction.reaction->id == "mno2-mnooh") {
                return electrode::nernstVolts(reaction, filled.contents.solution(Side::Positive));
            }
        }
        return 0.0;
    };
    EXPECT_NEAR(potentialOf("electrolytic manganese dioxide") - potentialOf("manganese dioxide"), 0.05, 1e-9);
    EXPECT_NEAR(potentialOf("manganese ore") - potentialOf("manganese dioxide"), -0.05, 1e-9);
}

TEST(Grade, OfAnAlloyMovesTheMetalThatItShows) {
    const auto potentialOf = [](const char* material, const char* salt, const std::string& reaction) {
        const Json json = {{"negative", electrode("zinc", 10)},
                           {"positive", electrode(material, 10)},
                           {"electrolyte", water({solute(salt, 0.5)})}};
        const test::Filled filled(json.dump());
        for (const auto& one : filled.compiled.electrode(Side::Positive).reactions) {
            if (one.reaction->id == reaction) {
                return electrode::nernstVolts(one, filled.contents.solution(Side::Positive));
            }
        }
        return 0.0;
    };
    const auto above = [&](const char* alloy, const char* salt, const char* reaction) {
        return potentialOf(alloy, salt, reaction) - potentialOf("copper", salt, reaction);
    };
    EXPECT_NEAR(above("brass", "NaCl", "cu2-cu"), 0.009, 1e-12) << "its copper has an activity of a half";
    EXPECT_NEAR(above("cupronickel", "NaCl", "cu2-cu"), 0.003, 1e-12);
    EXPECT_EQ(above("brass", "CuSO4", "cu2-cu"), 0.0) << "copper covers it";
    EXPECT_EQ(above("brass", "ZnSO4", "zn2-zn"), 0.0) << "zinc plates on it as the pure metal";
}

TEST(Saturation, MakesTheIonAndTheSaltCoupleOne) {
    const test::Filled filled(test::leadAcid(30));
    double ion = 0.0;
    double salt = 0.0;
    for (const auto& reaction : filled.compiled.electrode(Side::Negative).reactions) {
        const double volts = electrode::nernstVolts(reaction, filled.contents.solution(Side::Negative));
        ion = reaction.reaction->id == "pb2-pb" ? volts : ion;
        salt = reaction.reaction->id == "pbso4-pb" ? volts : salt;
    }
    EXPECT_NEAR(ion, salt, 0.010);
}

TEST(Spreading, InTheGroundDoesNotGrowWithTheDistance) {
    Json json = {{"negative", electrode("magnesium rod", 100)},
                 {"positive", electrode("graphite rod", 100)},
                 {"electrolyte", {{"ready", "damp soil"}, {"volume_mL", 5000}}},
                 {"gap_mm", 500}};
    const double near = test::evaluated(json.dump()).resistance.totalOhm;
    json["gap_mm"] = 5000;
    EXPECT_NEAR(test::evaluated(json.dump()).resistance.totalOhm / near, 1.0, 0.01);
    // Two discs of 100 cm² in soil of conductivity k: 2 / (4 a k).
    const double conductivity = test::contentsOf(json.dump()).solutions[0].conductivity;
    const double radius = std::sqrt(0.01 / M_PI);
    EXPECT_NEAR(near / (2.0 / (4.0 * radius * conductivity)), 1.0, 0.01);
}

TEST(Stirring, ThinsTheLayerFiveFold) {
    Json json = Json::parse(test::beakers(1.0, 0.01));
    const double still = test::evaluated(json.dump()).settled.shortCircuitAmps;
    json["separator"] = {{"material", "porous pot"}, {"thickness_mm", 2}};
    json["gap_mm"] = 5;
    const double pot = test::evaluated(json.dump()).settled.shortCircuitAmps;
    json["stirred"] = true;
    EXPECT_GT(test::evaluated(json.dump()).settled.shortCircuitAmps, 3.0 * pot);
    EXPECT_GT(still, 0.0);
}

TEST(Pores, GiveTheFirstSecondsWhatTheyHold) {
    const Json iodine = water({solute("ZnI2", 1.0), solute("iodine", 0.1)});
    Json json = {{"negative", electrode("zinc", 10)},
                 {"positive", electrode("carbon felt", 10)},
                 {"electrolyte", {{"negative", water({solute("ZnI2", 1.0)})}, {"positive", iodine}}},
                 {"separator", {{"material", "gravity"}}},
                 {"gap_mm", 10}};
    const Evaluation felt = test::evaluated(json.dump());
    json["positive"]["material"] = "graphite";
    const Evaluation plate = test::evaluated(json.dump());
    EXPECT_GT(felt.first.shortCircuitAmps, 1.5 * plate.first.shortCircuitAmps);
    EXPECT_NEAR(felt.settled.shortCircuitAmps / plate.settled.shortCircuitAmps, 1.0, 0.2);
}

TEST(Heat, OfAluminiumInCausticIsItsEnthalpy) {
    Json json = {{"negative", electrode("aluminium", 40)},
                 {"positive", electrode("graphite", 1)},
                 {"electrolyte", water({solute("NaOH", 2.0)}, 500)}};
    json["negative"]["air"] = "none";
    json["positive"]["air"] = "none";
    const Evaluation evaluation = test::evaluated(json.dump());
    // 415 kJ a mole of aluminium, 3 F; hydrogen 1.5 moles a mole.
    const double molesPerSecond = evaluation.hydrogenM3PerSecond * 101325.0 / (8.314462 * 293.15) / 1.5;
    EXPECT_NEAR(evaluation.heatAtRestWatts / (molesPerSecond * 415e3), 1.0, 0.06);
}

TEST(Heat, OfACellUnderLoadIsWhatTheLeadsDoNotGet) {
    Json json = Json::parse(test::beakers());
    json["negative"]["air"] = "none";
    json["positive"]["air"] = "none";
    const Evaluation jar = test::evaluated(json.dump());
    // 217 kJ a mole, 2 F: 1.126 V thermoneutral (NBS tables; from memory).
    const PowerPoint& peak = jar.settled.maximumPower;
    EXPECT_NEAR(jar.heatAtPowerWatts / (1.126 * peak.amps - peak.watts), 1.0, 0.05);
}

TEST(Crossover, FollowsFickThroughTheGap) {
    Json json = Json::parse(test::beakers(1.0, 0.5));
    json["separator"] = {{"material", "gravity"}};
    json["gap_mm"] = 50;
    const Evaluation jar = test::evaluated(json.dump());
    const auto liquids = test::contentsOf(json.dump()).solutions;
    const auto copper = *test::catalogue().findSpecies("Cu2+");
    const double flux =
        test::catalogue().species[copper].diffusivity * liquids[1].concentration(copper) / 0.05;
    EXPECT_NEAR(jar.crossoverAmps / (2.0 * 96485.33 * flux * 0.001), 1.0, 0.05);
    json["separator"] = {{"material", "ion membrane"}};
    EXPECT_LT(test::evaluated(json.dump()).crossoverAmps, 0.3 * jar.crossoverAmps);
    EXPECT_EQ(test::evaluated(test::lemon()).crossoverAmps, 0.0) << "one liquid: it is there already";
}

TEST(Crossover, AMembraneHoldsBackIonsOfItsOwnCharge) {
    Json json = Json::parse(test::beakers(1.0, 0.7));
    const auto through = [&](const char* separator) {
        json["separator"] = {{"material", separator}};
        return test::evaluated(json.dump()).crossoverAmps;
    };
    const double ratio = through("cation exchange membrane") / through("anion exchange membrane");
    EXPECT_GT(ratio, 5.0) << "copper through an anion membrane";
    EXPECT_LT(ratio, 20.0);
}

TEST(Crossover, NeutralHalogenPassesWhereItsIonIsHeldBack) {
    Json json = Json::parse(test::beakers());
    json["positive"]["material"] = "graphite";
    const auto held = [&](const char* salt, const char* halogen) {
        json["electrolyte"]["positive"] = {{"water_mL", 100}, {"solutes", Json::array()}};
        json["electrolyte"]["positive"]["solutes"].push_back({{"substance", salt}, {"mol_per_L", 0.5}});
        json["electrolyte"]["positive"]["solutes"].push_back({{"substance", halogen}, {"mol_per_L", 0.01}});
        const auto through = [&](const char* separator) {
            json["separator"] = {{"material", separator}};
            return test::evaluated(json.dump()).crossoverAmps;
        };
        return through("anion exchange membrane") / through("cation exchange membrane");
    };
    EXPECT_GT(held("KI", "iodine"), 4.0) << "triiodide";
    EXPECT_NEAR(held("Na2SO4", "bromine"), 1.0, 0.3) << "bromine without bromide";
}

TEST(Crossover, AcidOnThePositiveSideIsSpentAtTheNegative) {
    Json json = Json::parse(test::beakers());
    const double before = test::evaluated(json.dump()).crossoverAmps;
    json["electrolyte"]["positive"]["solutes"].push_back({{"substance", "H2SO4"}, {"mol_per_L", 0.5}});
    EXPECT_GT(test::evaluated(json.dump()).crossoverAmps, 1.5 * before);
}

TEST(Meter, PullsDownOnlyCellsWithHardlyAnyCarriers) {
    const Evaluation jar = test::evaluated(test::beakers());
    EXPECT_NEAR(jar.meterVolts, jar.openCircuitVolts, 1e-4);
    Json json = Json::parse(test::foilInSalt());
    json["negative"]["wetted_area_cm2"] = 0.01;
    json["positive"]["wetted_area_cm2"] = 0.01;
    json["gap_mm"] = 500;
    json["electrolyte"].erase("solutes");
    const Evaluation dry = test::evaluated(json.dump());
    EXPECT_LT(dry.meterVolts, 0.98 * dry.openCircuitVolts);
}

TEST(Idle, AnOpenFaceDriesByTheHour) {
    const Evaluation sealed = test::evaluated(test::lemon());
    EXPECT_EQ(sealed.dryingKgPerSecond, 0.0);
    const Evaluation open = test::evaluated(test::foilInSalt());
    // 20 °C: 17.3 g of vapour in a cubic metre of saturated air (CRC; from memory); 20 cm², half saturated
    // beyond.
    EXPECT_NEAR(open.dryingKgPerSecond / (0.003 * 0.002 * 0.0173 * (0.97 - 0.5)), 1.0, 0.03);
}

TEST(Idle, LifeAtRestIsCapacityOverSelfDischarge) {
    const Evaluation lemon = test::evaluated(test::lemon());
    ASSERT_TRUE(lemon.restLifeSeconds);
    EXPECT_NEAR(*lemon.restLifeSeconds * lemon.selfDischargeAmps, lemon.capacity.expectedCoulombs, 1e-6);
}

TEST(Idle, WhatDriesLivesNoLonger) {
    Json json = {{"negative", electrode("zinc", 10)},
                 {"positive", electrode("activated carbon", 10)},
                 {"electrolyte", {{"water_mL", 2}, {"solutes", {solute("KCl", 1.0)}}}}};
    json["negative"]["mass_g"] = 50;
    json["positive"]["air"] = "breathing";
    const Evaluation e = test::evaluated(json.dump());
    const double solvent = e.contents->state.liquids[0].solventKg;
    ASSERT_GT(e.capacity.expectedCoulombs / e.selfDischargeAmps, 0.5 * solvent / e.dryingKgPerSecond);
    EXPECT_NEAR(*e.restLifeSeconds, 0.5 * solvent / e.dryingKgPerSecond, 1e-6);
}

TEST(Idle, NeighboursInOneLiquidLeakThroughIt) {
    const Evaluation foil = test::evaluated(test::foilInSalt());
    double liquid = 0.0;
    for (const ResistanceShare& share : foil.resistance.shares) {
        liquid += share.part == ResistancePart::NegativeLiquid ? share.ohm : 0.0;
    }
    EXPECT_NEAR(foil.sharedLiquidAmps, foil.openCircuitVolts / liquid, 1e-9);
    EXPECT_GT(foil.sharedLiquidAmps, 0.1 * foil.first.shortCircuitAmps) << "hardly less than a short circuit";
}

TEST(Cementation, ANobleIonPlatesOnTheNegative) {
    Json json = {{"negative", electrode("zinc", 10)},
                 {"positive", electrode("copper", 10)},
                 {"electrolyte", water({solute("CuSO4", 0.3)})}};
    const Evaluation one = test::evaluated(json.dump());
    const auto plates = std::find_if(one.sides[0].competing.begin(), one.sides[0].competing.end(),
                                     [](const CompetingReaction& entry) {
                                         return test::catalogue().reactions[entry.reaction].id == "cu2-cu";
                                     });
    ASSERT_NE(plates, one.sides[0].competing.end());
    EXPECT_LT(plates->amps, -1e-3);
    EXPECT_GT(one.selfDischargeAmps, 1e-3);
}

TEST(Films, NearTheirLimitBothStatesAreReported) {
    const auto potentials = [](double pH) {
        Json json = {{"negative", electrode("steel", 10)},
                     {"positive", electrode("graphite", 10)},
                     {"electrolyte", water({solute("Na2SO4", 0.5)})}};
        json["electrolyte"]["measured_pH"] = pH;
        return test::evaluated(json.dump()).sides[0];
    };
    const SideResult near = potentials(9.0);
    ASSERT_TRUE(near.otherRestVolts);
    EXPECT_GT(*near.otherRestVolts, near.restVolts + 0.1) << "passive it would be higher";
    EXPECT_FALSE(potentials(6.0).otherRestVolts);
}

TEST(Magnesium, LosesAShareOfItsChargeToHydrogen) {
    Json json = {{"negative", electrode("magnesium", 10)},
                 {"positive", electrode("copper", 10)},
                 {"electrolyte", water({solute("NaCl", 0.6)})}};
    const Evaluation evaluation = test::evaluated(json.dump());
    EXPECT_NEAR(evaluation.sides[0].restVolts, -1.36, 0.05);
    const test::Filled filled(json.dump());
    const electrode::ElectrodeModel model(filled.at(Side::Negative),
                                          electrode::secondsOf(electrode::Moment::Settled));
    const double volts = model.potentialAt(1.0);
    double dissolving = 0.0;
    double taken = 0.0;
    double all = 0.0;
    for (const electrode::Route& route : model.routes()) {
        const double amps = route.current(volts);
        dissolving += amps > 0.0 ? amps : 0.0;
        taken -= route.takenShare > 0.0 ? amps : 0.0;
        all += amps;
    }
    EXPECT_NEAR(all, 1.0, 1e-6) << "the leads get the rest";
    EXPECT_NEAR(taken / dissolving, 0.45, 1e-6);
}

TEST(Magnesium, GivesItsHydrogenAsGasHeatAndLostCharge) {
    Json json = {{"negative", electrode("magnesium", 10)},
                 {"positive", electrode("graphite", 10)},
                 {"electrolyte", water({solute("NaCl", 0.6)})}};
    json["case"] = {{"material", "glass"}, {"closed", true}, {"head_space_mL", 100}};
    const test::Filled filled(json.dump());
    const Evaluation e = evaluate(test::catalogue(), filled.cell, {0});
    const WorkingCouple& couple = e.sides[0].couple;
    EXPECT_NEAR(couple.takenShare, 0.45, 0.01);
    EXPECT_GT(e.sides[0].hydrogenAmps, 0.4 * e.sides[0].corrosionAmps);
    const auto metal =
        std::find_if(e.capacity.reagents.begin(), e.capacity.reagents.end(), [&](const Reagent& reagent) {
            return reagent.side == Side::Negative &&
                   test::catalogue().species[reagent.species].formula.phase == chemistry::Phase::Solid;
        });
    ASSERT_NE(metal, e.capacity.reagents.end());
    const double used = test::catalogue().materials[filled.cell.electrodes[0].material].utilisation.value;
    EXPECT_NEAR(metal->expectedCoulombs / metal->coulombs, (1.0 - couple.takenShare) * used, 1e-6);

    // 0.01 F in the leads: 0.01 / 0.55 F of metal, and the difference as hydrogen under the lid.
    const state::State after =
        afterUse(filled.compiled, filled.contents, couple, e.sides[1].couple, 0.01 * 96485.33212);
    const double dissolved = 0.5 * 0.01 / (1.0 - couple.takenShare);
    const auto& key = test::catalogue().key;
    const auto magnesium = *test::catalogue().findSpecies("Mg(s)");
    EXPECT_NEAR(state::molesOf(filled.contents.state.electrodes[0], magnesium) -
                    state::molesOf(after.electrodes[0], magnesium),
                dissolved, 1e-9);
    const auto hydrogen = std::find_if(after.headSpace.begin(), after.headSpace.end(),
                                       [&](const auto& gas) { return gas.species == key.hydrogenGas; });
    ASSERT_NE(hydrogen, after.headSpace.end());
    EXPECT_NEAR(hydrogen->count, couple.takenShare * dissolved, 1e-9);
}

} // namespace
} // namespace anodex::cell
