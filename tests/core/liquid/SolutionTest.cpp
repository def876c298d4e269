#include "core/liquid/Solution.h"
#include "core/chemistry/NameLookup.h"
#include "core/liquid/SolveSolution.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>

namespace anodex::liquid {

using chemistry::findSubstance;
using chemistry::SpeciesTerm;
using chemistry::Substance;

namespace {

Solution solved(const std::vector<std::pair<const char*, double>>& molal, double celsius = 25.0) {
    Mixture mixture;
    mixture.solventKg = 1.0;
    mixture.temperatureKelvin = celsius + 273.15;
    for (const auto& [name, molality] : molal) {
        mixture.portions.push_back({findSubstance(test::catalogue(), name)->substance, molality});
    }
    return solveSolution(test::catalogue(), mixture);
}

double totalCharge(const Solution& solution) {
    double charge = 0.0;
    for (std::size_t s = 0; s < solution.molality.size(); ++s) {
        charge += test::catalogue().species[s].formula.charge * solution.molality[s];
    }
    return charge;
}

TEST(Solution, PureSolventIsNeutral) {
    const Solution solution = solved({});
    EXPECT_NEAR(solution.pH, 7.0, 0.02);
    EXPECT_NEAR(solution.solventActivity, 1.0, 1e-6);
    EXPECT_LT(solution.conductivity, 1e-5);
}

TEST(Solution, ChargesBalanceAndNothingIsLost) {
    for (const auto& mixture :
         std::vector<std::vector<std::pair<const char*, double>>>{{{"H2SO4", 0.5}},
                                                                  {{"NaHCO3", 0.1}, {"NaCl", 1.0}},
                                                                  {{"citric acid", 0.3}, {"NaOH", 0.2}},
                                                                  {{"ZnSO4", 0.5}, {"NaOH", 3.0}},
                                                                  {{"CuSO4", 1.0}, {"H2SO4", 1e-6}},
                                                                  {{"KOH", 6.0}},
                                                                  {{"HCl", 1e-9}}}) {
        const Solution solution = solved(mixture);
        EXPECT_NEAR(totalCharge(solution), 0.0, 1e-9 * (1.0 + solution.ionicStrength));
        for (const auto& [name, molality] : mixture) {
            const Substance& substance =
                test::catalogue().substances[findSubstance(test::catalogue(), name)->substance];
            for (const SpeciesTerm& ion : substance.dissolvesTo) {
                const bool master = !test::catalogue().species[ion.species].formation &&
                                    ion.species != test::catalogue().key.hydrogenIon;
                if (master && mixture.size() == 1) {
                    EXPECT_NEAR(solution.labileMoles(test::catalogue(), ion.species), molality * ion.count,
                                1e-7 * molality);
                }
            }
        }
    }
}

TEST(Solution, MeasuredValuesWin) {
    Mixture mixture;
    mixture.solventKg = 1.0;
    mixture.portions.push_back({findSubstance(test::catalogue(), "NaCl")->substance, 1.0});
    mixture.measuredPh = 4.4;
    mixture.measuredDensity = 1234.0;
    mixture.measuredConductivity = 3.3;
    const Solution solution = solveSolution(test::catalogue(), mixture);
    EXPECT_NEAR(solution.pH, 4.4, 1e-9);
    EXPECT_DOUBLE_EQ(solution.densityKgPerM3, 1234.0);
    EXPECT_DOUBLE_EQ(solution.conductivity, 3.3);
}

TEST(Solution, WhatIsPouredTwiceDissolvesOnce) {
    const Solution twice = solved({{"NaHCO3", 1.0}, {"NaHCO3", 2.0}});
    ASSERT_EQ(twice.undissolved.size(), 1U);
    EXPECT_NEAR(twice.undissolved[0].kilograms, 0.156, 0.001);
    EXPECT_NEAR(twice.pH, solved({{"NaHCO3", 3.0}}).pH, 1e-9);
}

TEST(Solution, WhatDoesNotDissolveIsReported) {
    const Solution solution = solved({{"NaHCO3", 3.0}});
    ASSERT_EQ(solution.undissolved.size(), 1U);
    // 3 mol are 252 g; 96 g dissolve in a kilogram.
    EXPECT_NEAR(solution.undissolved[0].kilograms, 0.156, 0.001);
}

TEST(Solution, SaltDrivesOutOxygen) {
    const auto oxygen = test::catalogue().key.dissolvedOxygen;
    const Solution fresh = solved({});
    const Solution salty = solved({{"NaCl", 1.0}});
    EXPECT_NEAR(fresh.molality[oxygen], 2.65e-4, 0.2e-4);
    EXPECT_NEAR(std::log10(fresh.molality[oxygen] / salty.molality[oxygen]), 0.15, 0.01);
    const Solution syrup = solved({{"KOH", 20.0}});
    EXPECT_NEAR(std::log10(fresh.molality[oxygen] / syrup.molality[oxygen]), 1.5, 1e-6) << "held at the end";
}

TEST(Solution, StrengthsBeyondTheFitsAreSaid) {
    EXPECT_FALSE(solved({{"NaCl", 1.0}}).notes.beyondActivityRange);
    EXPECT_FALSE(solved({{"KOH", 12.0}}).notes.beyondActivityRange);
    EXPECT_TRUE(solved({{"KOH", 18.0}}).notes.beyondActivityRange);
    EXPECT_TRUE(solved({{"NaBr", 6.0}}).notes.beyondActivityRange);
}

TEST(Solution, IodideCarriesIodineFarBeyondItsOwnSolubility) {
    const auto iodine = *test::catalogue().findSpecies("I2(aq)");
    const double alone = solved({{"iodine", 0.05}}).labileMoles(test::catalogue(), iodine);
    const Solution carried = solved({{"iodine", 0.05}, {"KI", 0.3}});
    EXPECT_NEAR(alone, 0.00133, 0.0001);
    EXPECT_NEAR(carried.labileMoles(test::catalogue(), iodine), 0.05, 1e-9);
    EXPECT_TRUE(carried.precipitates.empty());
}

TEST(Solution, ComplexesCarryAMetalThatIsNotThereYet) {
    const auto copper = *test::catalogue().findSpecies("Cu2+");
    const double plain = solved({{"NaNO3", 0.3}}).labileConcentrationAt(test::catalogue(), copper, 1e-6);
    const double ammonia =
        solved({{"NaNO3", 0.3}, {"ammonia", 0.5}}).labileConcentrationAt(test::catalogue(), copper, 1e-6);
    EXPECT_NEAR(plain, 1e-3, 4e-3);
    EXPECT_GT(ammonia, 1e6 * plain);
}

TEST(Solution, MoleculesLeaveIonsLessRoom) {
    const double plain = solved({{"KCl", 0.1}}).conductivity;
    const double sweet = solved({{"KCl", 0.1}, {"sugar", 1.0}}).conductivity;
    EXPECT_LT(sweet, 0.75 * plain);
    EXPECT_GT(sweet, 0.45 * plain) << "34 % sugar halves it (Landolt-Bornstein; from memory)";
}

TEST(Solution, StaysFiniteAtAnyStrength) {
    for (const double molality : {1e-9, 1e-5, 0.1, 5.0, 30.0, 100.0}) {
        for (const char* name : {"H2SO4", "NaOH", "HCl", "NaCl", "citric acid"}) {
            const Solution solution = solved({{name, molality}});
            EXPECT_TRUE(std::isfinite(solution.pH)) << name << molality;
            EXPECT_TRUE(std::isfinite(solution.conductivity)) << name << molality;
            EXPECT_GT(solution.solventActivity, 0.0) << name << molality;
            EXPECT_GT(solution.densityKgPerM3, 900.0) << name << molality;
        }
    }
}

TEST(Solution, SaysWhenItsConductivityIsAGuess) {
    EXPECT_FALSE(solved({{"NaCl", 1.0}}).notes.estimatedConductivity);
    // Sodium from the salt and nitrate from the other: the pair has no table, and carries little or much.
    const double little = solved({{"NaCl", 1.0}}).conductivity;
    EXPECT_GT(little, 0.0);
    EXPECT_FALSE(solved({{"NaCl", 1.0}, {"citric acid", 0.001}}).notes.estimatedConductivity)
        << "a trace of something without a table does not make the whole a guess";
    EXPECT_TRUE(solved({{"citric acid", 1.0}, {"KOH", 2.5}}).notes.estimatedConductivity)
        << "citrate carries much of it and has no table";
}

TEST(Solution, WithoutATableItConductsAsItsIonsDoWhenThin) {
    // Limiting conductivities at 25 °C (CRC, from memory): K+ 73.5, citrate 1/3 70.2, Zn 1/2 52.8, NO3- 71.4,
    // in 1e-4 S m²/eq.
    const Solution citrate = solved({{"potassium citrate", 0.0005}});
    EXPECT_NEAR(citrate.conductivity, 1.5 * (73.5 + 70.2) * 1e-4, 0.025);
    const Solution nitrate = solved({{"zinc nitrate", 0.0005}});
    EXPECT_NEAR(nitrate.conductivity, 1.0 * (52.8 + 71.4) * 1e-4, 0.0012);
    EXPECT_NEAR(solved({{"zinc nitrate", 0.0005}}, 35.0).conductivity / nitrate.conductivity, 1.2, 0.03);
    // And less per ion the stronger it is, without ever falling.
    double before = 0.0;
    for (const double molality : {0.001, 0.01, 0.1, 0.5, 1.0}) {
        const double now = solved({{"zinc nitrate", molality}}).conductivity;
        EXPECT_GT(now, before) << molality;
        EXPECT_LT(now / molality, 2.0 * (52.8 + 71.4) * 0.1) << molality;
        before = now;
    }
    EXPECT_NEAR(before, 11.5, 4.0) << "1 mol/kg zinc nitrate (from memory: about 10 to 12 S/m)";
}

TEST(Solution, ConductivityRisesWithTemperature) {
    EXPECT_GT(solved({{"NaCl", 1.0}}, 40.0).conductivity, 1.2 * solved({{"NaCl", 1.0}}, 20.0).conductivity);
}

TEST(Solution, MixturesConductBetweenTheirParts) {
    const double sodium = solved({{"NaCl", 1.0}}).conductivity;
    const double potassium = solved({{"KCl", 1.0}}).conductivity;
    const double mixed = solved({{"NaCl", 0.5}, {"KCl", 0.5}}).conductivity;
    EXPECT_GT(mixed, sodium);
    EXPECT_LT(mixed, potassium);
}

} // namespace
} // namespace anodex::liquid
