#include "core/explain/Explain.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>

namespace anodex::explain {
namespace {

using design::Side;

struct Case {
    design::Cell cell;
    cell::Evaluation evaluation;
};

Case caseOf(const std::string& json) {
    Case made;
    made.cell = test::cellOf(json);
    made.evaluation = cell::evaluate(test::catalogue(), made.cell);
    return made;
}

Explanation explained(const Case& of, Quantity quantity, Side side = Side::Negative, std::size_t index = 0) {
    return explain(test::catalogue(), of.cell, of.evaluation, {quantity, side, index, 0.0});
}

const Explanation* inputNamed(const Explanation& explanation, const std::string& symbol) {
    for (const Explanation& input : explanation.inputs) {
        if (input.symbol == symbol) {
            return &input;
        }
    }
    return nullptr;
}

/// Every leaf names where it comes from, or is a value of the design itself.
int leavesWithSource(const Explanation& explanation) {
    if (explanation.inputs.empty()) {
        return explanation.sources.empty() ? 0 : 1;
    }
    int count = 0;
    for (const Explanation& input : explanation.inputs) {
        count += leavesWithSource(input);
    }
    return count;
}

TEST(Explain, NoCapacityOpensToTheVoltageThatIsNotThere) {
    using namespace test::json;
    const Case alike =
        caseOf(cellWith(electrodeJson("zinc"), electrodeJson("zinc"), water({{"ZnSO4", 1}})).dump());
    const Explanation none = explained(alike, Quantity::Capacity);
    EXPECT_EQ(none.value, 0.0);
    ASSERT_EQ(none.inputs.size(), 1U);
    EXPECT_EQ(none.inputs[0].value, alike.evaluation.openCircuitVolts);
}

TEST(Explain, GivesTheSameValueAsTheEvaluation) {
    for (const std::string& json : {test::beakers(), test::leadAcid(30), test::lemon(), test::foilInSalt()}) {
        const Case c = caseOf(json);
        EXPECT_EQ(explained(c, Quantity::ThermodynamicVoltage).value, c.evaluation.thermodynamicVolts);
        EXPECT_EQ(explained(c, Quantity::OpenCircuitVoltage).value, c.evaluation.openCircuitVolts);
        EXPECT_EQ(explained(c, Quantity::ShortCircuitCurrent).value, c.evaluation.first.shortCircuitAmps);
        EXPECT_EQ(explained(c, Quantity::MaximumPower).value, c.evaluation.first.maximumPower.watts);
        EXPECT_EQ(explained(c, Quantity::Resistance).value, c.evaluation.resistance.totalOhm);
        EXPECT_EQ(explained(c, Quantity::Capacity).value, c.evaluation.capacity.expectedCoulombs);
        EXPECT_EQ(explained(c, Quantity::SelfDischarge).value, c.evaluation.selfDischargeAmps);
        EXPECT_EQ(explained(c, Quantity::Hydrogen).value, c.evaluation.hydrogenM3PerSecond);
    }
}

TEST(Explain, TheFormulaHoldsForItsInputs) {
    const Case c = caseOf(test::beakers());
    const Explanation open = explained(c, Quantity::OpenCircuitVoltage);
    ASSERT_EQ(open.inputs.size(), 3U);
    EXPECT_NEAR(open.inputs[0].value - open.inputs[1].value + open.inputs[2].value, open.value, 1e-9);
    const Explanation ohm = explained(c, Quantity::Resistance);
    double sum = 0.0;
    for (const Explanation& part : ohm.inputs) {
        sum += part.value;
    }
    EXPECT_NEAR(sum, ohm.value, 1e-9);
    const Explanation liquid = explained(c, Quantity::ResistancePart, Side::Negative, 0);
    EXPECT_NEAR(inputNamed(liquid, "L")->value /
                    (inputNamed(liquid, "κ")->value * inputNamed(liquid, "A")->value),
                liquid.value, 1e-9 * liquid.value);
}

TEST(Explain, ASeparatorsResistanceIsItsPoresAndItsMembranes) {
    using namespace test::json;
    std::size_t membranes = 0;
    for (const char* separator : {"porous pot", "ion membrane", "anion exchange membrane"}) {
        const Case c =
            caseOf(apart(cellWith(electrodeJson("zinc"), electrodeJson("copper"), water({{"ZnSO4", 1}})),
                         water({{"CuSO4", 1}}), separator)
                       .dump());
        for (std::size_t i = 0; i < c.evaluation.resistance.shares.size(); ++i) {
            const Explanation part = explained(c, Quantity::ResistancePart, Side::Negative, i);
            if (part.symbol != "R_separator") {
                continue;
            }
            const auto of = [&](const char* name) { return inputNamed(part, name)->value; };
            const Explanation* through = inputNamed(part, "r for 1 m²");
            membranes += through != nullptr ? 1 : 0;
            const double own = through != nullptr ? through->value / of("A") : 0.0;
            EXPECT_NEAR(of("N_M") * of("L") / (of("κ") * of("A")) + own, part.value, 0.02 * part.value)
                << separator;
            EXPECT_EQ(through != nullptr, part.formula.find("r / A") != std::string::npos) << separator;
        }
    }
    EXPECT_EQ(membranes, 2U);
}

TEST(Explain, HydrogenIsCountedOnBothElectrodes) {
    // Faraday: one cubic metre per 2 F p / RT coulombs.
    const std::string foilTwice =
        R"({"negative":{"material":"aluminium","wetted_area_cm2":20},"positive":{"material":"aluminium","wetted_area_cm2":5},
        "electrolyte":{"water_mL":50,"solutes":[{"substance":"NaOH","mol_per_L":1}]}})";
    EXPECT_GT(caseOf(foilTwice).evaluation.sides[1].hydrogenAmps, 0.0);
    for (const std::string& json : {test::foilInAlkali(), test::lemon(), test::leadAcid(30), foilTwice}) {
        const Case c = caseOf(json);
        const Explanation gas = explained(c, Quantity::Hydrogen);
        const double amps = c.evaluation.sides[0].hydrogenAmps + c.evaluation.sides[1].hydrogenAmps;
        EXPECT_EQ(inputNamed(gas, "I(H₂)")->value, amps);
        EXPECT_NEAR(gas.value, amps * 8.314462618 * 293.15 / (2.0 * 96485.33212 * 101325.0),
                    1e-6 * gas.value);
    }
}

TEST(Explain, ANernstPotentialFollowsFromItsActivities) {
    const Case c = caseOf(test::beakers());
    const Explanation potential = explained(c, Quantity::ThermodynamicVoltage).inputs[0];
    const double standard = inputNamed(potential, "E°")->value;
    const double perKelvin = inputNamed(potential, "dE°/dT per K")->value;
    const double temperature = inputNamed(potential, "T")->value;
    const double copper = inputNamed(potential, "a(Cu2+)")->value;
    const double expected = standard + perKelvin * (temperature - 298.15) +
                            8.314462618 * temperature / (2.0 * 96485.33212) * std::log(copper);
    EXPECT_NEAR(potential.value, expected, 1e-9);
}

TEST(Explain, ANernstPotentialTellsTheGradeOfItsSolid) {
    const auto potentialOf = [](const char* positive) {
        const auto json =
            test::json::cellWith(test::json::electrodeJson("zinc"), test::json::electrodeJson(positive),
                                 test::json::water({{"KOH", 6}}));
        return explained(caseOf(json.dump()), Quantity::ThermodynamicVoltage).inputs[0];
    };
    const Explanation unnamed = potentialOf("manganese dioxide");
    ASSERT_NE(inputNamed(unnamed, "g, grade of its solid"), nullptr);
    EXPECT_NEAR(inputNamed(unnamed, "g, grade of its solid")->value, -0.05, 1e-9);
    EXPECT_NE(unnamed.formula.find("+ g +"), std::string::npos);
    EXPECT_EQ(inputNamed(potentialOf("electrolytic manganese dioxide"), "g, grade of its solid"), nullptr)
        << "as published";
}

TEST(Explain, AReagentFollowsFromFaraday) {
    const Case c = caseOf(test::beakers(1.0, 0.05));
    const Explanation reagent = explained(c, Quantity::Reagent);
    EXPECT_EQ(reagent.symbol, "Q(Cu2+)");
    double product = 1.0;
    for (const Explanation& input : reagent.inputs) {
        product *= input.value;
    }
    EXPECT_NEAR(product, reagent.value, 1e-6 * reagent.value);
}

TEST(Explain, CurrentsAtRestCancel) {
    for (const std::string& json : {test::lemon(), test::foilInAlkali(), test::leadAcid(20)}) {
        const Case c = caseOf(json);
        for (const Side side : {Side::Negative, Side::Positive}) {
            const Explanation rest = explained(c, Quantity::RestPotential, side);
            double net = 0.0;
            double largest = 0.0;
            for (const Explanation& current : rest.inputs) {
                net += current.value;
                largest = std::max(largest, std::abs(current.value));
            }
            EXPECT_NEAR(net, 0.0, 1e-4 * largest + 1e-12);
        }
    }
}

TEST(Explain, LeadsDownToSources) {
    const Case c = caseOf(test::foilInSalt());
    for (const Quantity quantity :
         {Quantity::ThermodynamicVoltage, Quantity::OpenCircuitVoltage, Quantity::ShortCircuitCurrent,
          Quantity::MaximumPower, Quantity::Resistance, Quantity::Capacity, Quantity::SelfDischarge,
          Quantity::RestPotential, Quantity::EquilibriumPotential, Quantity::Acidity}) {
        EXPECT_GT(leavesWithSource(explained(c, quantity)), 0) << static_cast<int>(quantity);
    }
}

TEST(Explain, TheAcidityNamesWhatTheLiquidHolds) {
    const Case c = caseOf(test::foilInSalt());
    const Explanation acidity = explained(c, Quantity::Acidity);
    const liquid::Solution& solution = c.evaluation.solution(design::Side::Negative);
    double named = 0.0;
    for (const Explanation& input : acidity.inputs) {
        named += input.value;
        EXPECT_FALSE(input.sources.empty()) << input.value;
    }
    double held = 0.0;
    for (const double molality : solution.molality) {
        held += molality > 1e-9 ? molality : 0.0;
    }
    EXPECT_GT(acidity.inputs.size(), 2U);
    EXPECT_NEAR(named, held, 1e-12);
}

TEST(Explain, TheVoltageUnderLoadIsWhatTheLossesLeave) {
    for (const std::string& json : {test::beakers(), test::lemon(), test::foilInAlkali()}) {
        const Case c = caseOf(json);
        const double amps = 0.3 * c.evaluation.first.shortCircuitAmps;
        const Explanation loaded =
            explain(test::catalogue(), c.cell, c.evaluation, {Quantity::LoadedVoltage, {}, 0, amps});
        const cell::CompiledCell compiled = cell::compile(test::catalogue(), c.cell);
        const cell::Polarisation curve(compiled, *c.evaluation.contents, electrode::Moment::First);
        EXPECT_NEAR(loaded.value, curve.voltsAt(amps), 1e-6);
        double left = loaded.inputs[1].value;
        for (std::size_t i = 2; i < loaded.inputs.size(); ++i) {
            left -= loaded.inputs[i].value;
        }
        EXPECT_NEAR(left, loaded.value, 1e-9);
        const Explanation internal =
            explain(test::catalogue(), c.cell, c.evaluation, {Quantity::InternalResistance, {}, 0, amps});
        EXPECT_NEAR(internal.value, (c.evaluation.openCircuitVolts - loaded.value) / amps, 1e-9);
    }
}

TEST(Explain, ALossInTheLiquidIsCurrentTimesItsResistances) {
    const Case c = caseOf(test::beakers());
    const double amps = 0.01;
    const auto losses = cell::lossesAt(test::catalogue(), c.cell, c.evaluation, amps);
    for (std::size_t i = 0; i < losses.size(); ++i) {
        const Explanation loss =
            explain(test::catalogue(), c.cell, c.evaluation, {Quantity::Loss, {}, i, amps});
        EXPECT_NEAR(loss.value, losses[i].volts, 1e-12);
        if (losses[i].part == cell::LossPart::Liquid) {
            double ohm = 0.0;
            for (const Explanation& part : loss.inputs) {
                ohm += part.unit == Unit::Ohm ? part.value : 0.0;
            }
            EXPECT_NEAR(loss.value, amps * ohm, 1e-12);
        }
    }
}

TEST(Explain, MassAndVolumeFollowFromTheirInputs) {
    for (const std::string& json : {test::beakers(), test::leadAcid(30), test::lemon()}) {
        const Case c = caseOf(json);
        for (const Side side : {Side::Negative, Side::Positive}) {
            const Explanation mass = explained(c, Quantity::ElectrodeMass, side);
            double product = 1.0;
            for (const Explanation& input : mass.inputs) {
                product *= input.value;
            }
            EXPECT_NEAR(mass.value, product, 1e-9 * product);
            const Explanation volume = explained(c, Quantity::LiquidVolume, side);
            double kilograms = 0.0;
            for (const Explanation& input : volume.inputs) {
                kilograms += input.unit == Unit::Kilogram ? input.value : 0.0;
            }
            EXPECT_NEAR(volume.value, kilograms / inputNamed(volume, "ρ in kg/m³")->value,
                        1e-6 * volume.value);
            EXPECT_EQ(inputNamed(volume, "pH")->value, c.evaluation.solution(side).pH);
            EXPECT_EQ(inputNamed(volume, "κ")->value, c.evaluation.solution(side).conductivity);
        }
    }
}

TEST(Explain, AnswersEvenForIndicesThatAreNotThere) {
    const Case c = caseOf(test::lemon());
    EXPECT_EQ(explained(c, Quantity::ResistancePart, Side::Negative, 99).value,
              c.evaluation.resistance.totalOhm);
    EXPECT_EQ(explained(c, Quantity::Reagent, Side::Negative, 99).value,
              c.evaluation.capacity.expectedCoulombs);
    EXPECT_FALSE(explained(c, Quantity::EquilibriumPotential, Side::Positive, 99).symbol.empty());
}

TEST(Explain, SaysWhatWasMeasured) {
    const Case c = caseOf(
        R"({"negative":{"material":"zinc","wetted_area_cm2":5},"positive":{"material":"copper","wetted_area_cm2":5},
        "electrolyte":{"ready":"lemon juice","volume_mL":30,"measured_conductivity_S_per_m":0.7},"measured_resistance_mohm":900,"measured_open_circuit_V":0.98})");
    EXPECT_EQ(explained(c, Quantity::OpenCircuitVoltage).symbol, "V_oc (measured)");
    EXPECT_EQ(explained(c, Quantity::ResistancePart).symbol, "R (measured)");
    EXPECT_TRUE(explained(c, Quantity::Conductivity).formula.empty());
}

} // namespace
} // namespace anodex::explain
