#include "core/liquid/Composition.h"
#include "core/base/SolventMass.h"
#include "core/chemistry/NameLookup.h"
#include "core/liquid/SolveSolution.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>

namespace anodex::liquid {
namespace {

using chemistry::SpeciesIndex;

SpeciesIndex named(const char* name) {
    return *test::catalogue().findSpecies(name);
}

Mixture mixed(const char* substance, double molality, double celsius = 25.0) {
    Mixture mixture;
    mixture.solventKg = 1.0;
    mixture.temperatureKelvin = celsius + 273.15;
    mixture.portions = {{chemistry::findSubstance(test::catalogue(), substance)->substance, molality}};
    return mixture;
}

Solution changed(const Solution& before, const Composition& composition) {
    return solveChanged(test::catalogue(), before, composition,
                        {before.mixture.temperatureKelvin, before.mixture.oxygenPressureBar});
}

TEST(Composition, CountsASpeciesAsItsMastersHydrogenAndSolvent) {
    Composition composition;
    add(test::catalogue(), composition, named("HSO4-"), 2.0);
    add(test::catalogue(), composition, named("OH-"), 0.5);
    EXPECT_NEAR(composition.moles(named("SO4^2-")), 2.0, 1e-12);
    EXPECT_NEAR(composition.hydrogenMoles, 1.5, 1e-12);
    EXPECT_NEAR(composition.solventKg, 0.5 * base::kSolventKgPerMole, 1e-12);
    EXPECT_EQ(composition.moles(named("Na+")), 0.0);
}

TEST(Composition, KeepsWhatWasTakenBeyondWhatWasThere) {
    Composition composition = compositionOf(test::catalogue(), 1.0, mixed("CuSO4", 0.1).portions);
    add(test::catalogue(), composition, named("Cu2+"), -0.25);
    EXPECT_NEAR(composition.moles(named("Cu2+")), -0.15, 1e-12);
    const auto missing = shortfalls(test::catalogue(), composition);
    ASSERT_EQ(missing.size(), 1U);
    EXPECT_EQ(missing[0].species, named("Cu2+"));
    EXPECT_NEAR(missing[0].count, 0.15, 1e-12);
    add(test::catalogue(), composition, named("Cu2+"), 0.25);
    EXPECT_TRUE(shortfalls(test::catalogue(), composition).empty()) << "what comes back fills the gap";
}

TEST(SolveChanged, WithTheSameAmountsIsTheSameLiquid) {
    for (const char* substance : {"NaCl", "KOH", "H2SO4", "CuSO4", "acetic acid", "Na2CO3", "NaHCO3"}) {
        for (const std::optional<double> pH : {std::optional<double>(), std::optional<double>(6.2)}) {
            Mixture mixture = mixed(substance, 0.4, 12.0);
            mixture.measuredPh = pH;
            mixture.measuredDensity = 1100.0;
            mixture.measuredConductivity = 3.0;
            const Solution before = solveSolution(test::catalogue(), mixture);
            const Solution after = changed(before, before.composition);
            EXPECT_NEAR(after.pH, before.pH, 1e-8) << substance;
            EXPECT_NEAR(after.conductivity, 3.0, 1e-7) << substance;
            EXPECT_NEAR(after.densityKgPerM3, 1100.0, 1e-9) << substance;
            EXPECT_NEAR(after.volumeM3, before.volumeM3, 1e-15) << substance;
        }
    }
}

TEST(SolveChanged, PuttingInASaltIsPouringMoreOfIt) {
    struct Case {
        const char* substance;
        std::vector<std::pair<const char*, double>> ions;
    };
    for (const Case& c :
         {Case{"ZnSO4", {{"Zn2+", 1.0}, {"SO4^2-", 1.0}}}, Case{"KOH", {{"K+", 1.0}, {"OH-", 1.0}}},
          Case{"NaCl", {{"Na+", 1.0}, {"Cl-", 1.0}}}, Case{"H2SO4", {{"H+", 2.0}, {"SO4^2-", 1.0}}}}) {
        const Solution weak = solveSolution(test::catalogue(), mixed(c.substance, 0.5));
        const Solution strong = solveSolution(test::catalogue(), mixed(c.substance, 0.8));
        Composition composition = weak.composition;
        for (const auto& [ion, count] : c.ions) {
            add(test::catalogue(), composition, named(ion), 0.3 * count);
        }
        if (composition.solventKg > weak.composition.solventKg) {
            composition.solventKg = weak.composition.solventKg; // hydroxide brought some
        }
        const Solution after = changed(weak, composition);
        EXPECT_NEAR(after.pH, strong.pH, 1e-6) << c.substance;
        EXPECT_NEAR(after.densityKgPerM3 / strong.densityKgPerM3, 1.0, 0.01) << c.substance;
        EXPECT_NEAR(after.volumeM3 / strong.volumeM3, 1.0, 0.01) << c.substance;
        EXPECT_NEAR(after.conductivity / strong.conductivity, 1.0, 0.01) << c.substance;
        EXPECT_GT(after.densityKgPerM3, weak.densityKgPerM3) << c.substance;
    }
}

TEST(SolveChanged, DryingIsPouringLessSolvent) {
    Mixture mixture = mixed("NaCl", 1.0);
    const Solution wet = solveSolution(test::catalogue(), mixture);
    Composition composition = wet.composition;
    composition.solventKg = 0.5;
    mixture.solventKg = 0.5;
    const Solution fresh = solveSolution(test::catalogue(), mixture);
    const Solution dried = changed(wet, composition);
    EXPECT_NEAR(dried.volumeM3, fresh.volumeM3, 1e-12);
    EXPECT_NEAR(dried.conductivity, fresh.conductivity, 1e-9);
    EXPECT_NEAR(dried.solventActivity, fresh.solventActivity, 1e-9);
}

TEST(SolveChanged, AMeasuredAcidityStandsForIonsNobodyNamed) {
    Mixture mixture = mixed("NaCl", 0.5);
    mixture.measuredPh = 3.0;
    const Solution sour = solveSolution(test::catalogue(), mixture);
    Composition composition = sour.composition;
    const double free = sour.molality[test::catalogue().key.hydrogenIon];
    add(test::catalogue(), composition, test::catalogue().key.hydrogenIon, -0.5 * free);
    EXPECT_NEAR(changed(sour, composition).pH, 3.0 + std::log10(2.0), 1e-3) << "half of it neutralised";
}

TEST(SolveChanged, WarmthAndAirAreThoseAround) {
    const Solution before = solveSolution(test::catalogue(), mixed("NaCl", 0.5));
    const Solution warm = solveChanged(test::catalogue(), before, before.composition, {323.15, 0.1});
    Mixture mixture = mixed("NaCl", 0.5, 50.0);
    mixture.oxygenPressureBar = 0.1;
    const Solution fresh = solveSolution(test::catalogue(), mixture);
    const SpeciesIndex oxygen = test::catalogue().key.dissolvedOxygen;
    EXPECT_NEAR(warm.conductivity, fresh.conductivity, 1e-9);
    EXPECT_NEAR(warm.volumeM3, fresh.volumeM3, 1e-12);
    EXPECT_NEAR(warm.molality[oxygen], fresh.molality[oxygen], 1e-12);
}

} // namespace
} // namespace anodex::liquid
