#include "core/liquid/Speciation.h"
#include "core/liquid/Pitzer.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>

namespace anodex::liquid {

using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;

namespace {

SpeciesIndex named(const char* name) {
    return *test::catalogue().findSpecies(name);
}

/// Ideal speciation: every activity coefficient is one.
SpeciationResult ideal(const std::vector<std::pair<const char*, double>>& totals,
                       std::optional<double> pH = {}) {
    SpeciationSetting setting;
    for (const auto& [master, molality] : totals) {
        setting.totals.masters.push_back({named(master), molality});
    }
    if (pH) {
        setting.fixedLnHydrogenActivity = -std::log(10.0) * *pH;
    }
    Speciation speciation(test::catalogue());
    EXPECT_FALSE(speciation.setUp(setting)) << "nothing to go on from";
    const std::vector<double> ideal(speciation.species().size(), 0.0);
    const SpeciationResult& found = speciation.solve(ideal, 0.0);
    SpeciationResult byName = found;
    byName.molality.assign(test::catalogue().species.size(), 0.0);
    byName.lnActivity = byName.molality;
    for (std::size_t i = 0; i < ideal.size(); ++i) {
        byName.molality[speciation.species()[i]] = found.molality[i];
        byName.lnActivity[speciation.species()[i]] = found.lnActivity[i];
    }
    return byName;
}

ActivityResult pitzerActivities(const std::vector<std::pair<const char*, double>>& amounts) {
    std::vector<SpeciesIndex> species;
    std::vector<double> molality;
    for (const auto& [name, amount] : amounts) {
        species.push_back(named(name));
        molality.push_back(amount);
    }
    return IonInteractions(test::catalogue(), species, species.size()).at(molality, 298.15);
}

double pHOf(const SpeciationResult& result) {
    return -result.lnHydrogenActivity / std::log(10.0);
}

TEST(Speciation, NothingButSolventIsNeutral) {
    const SpeciationResult result = ideal({});
    EXPECT_TRUE(result.converged);
    EXPECT_NEAR(pHOf(result), 6.9975, 1e-3);
}

TEST(Speciation, AStrongAcidGivesItsOwnConcentration) {
    EXPECT_NEAR(pHOf(ideal({{"Cl-", 0.01}})), 2.0, 1e-6);
    EXPECT_NEAR(pHOf(ideal({{"Na+", 0.01}})), 11.995, 1e-3);
}

TEST(Speciation, AWeakAcidFollowsItsConstant) {
    // Citric acid's first step, pKa 3.128: x²/(c - x) = Ka with c = 0.1 gives x = 8.27e-3 (the second step
    // adds little).
    const SpeciationResult result = ideal({{"C6H5O7^3-", 0.1}});
    EXPECT_NEAR(pHOf(result), 2.08, 0.02);
    EXPECT_GT(result.molality[named("C6H8O7(aq)")], 0.09);
}

TEST(Speciation, HalfNeutralisedSitsAtThePKa) {
    // Equal amounts of bicarbonate and carbonate: pH = pKa2 = 10.329 when nothing else interferes.
    const SpeciationResult result = ideal({{"Na+", 0.3}, {"CO3^2-", 0.2}});
    EXPECT_NEAR(pHOf(result), 10.329, 0.01);
}

TEST(Speciation, AFixedPhIsKept) {
    const SpeciationResult result = ideal({{"Zn2+", 0.1}}, 14.0);
    EXPECT_NEAR(pHOf(result), 14.0, 1e-12);
    EXPECT_GT(result.molality[named("Zn(OH)4^2-")], 0.09);
}

TEST(Speciation, MassIsKeptOverThirtyDecades) {
    for (const double molality : {1e-12, 1e-6, 1.0, 20.0}) {
        const SpeciationResult result = ideal({{"Zn2+", molality}, {"SO4^2-", molality}});
        double zinc = 0.0;
        for (SpeciesIndex s = 0; s < result.molality.size(); ++s) {
            for (const SpeciesTerm& part : moietiesOf(test::catalogue(), s)) {
                zinc += part.species == named("Zn2+") ? part.count * result.molality[s] : 0.0;
            }
        }
        for (const SpeciesTerm& solid : result.precipitate) {
            for (const SpeciesTerm& part : moietiesOf(test::catalogue(), solid.species)) {
                zinc += part.species == named("Zn2+") ? part.count * solid.count : 0.0;
            }
        }
        EXPECT_TRUE(result.converged) << molality;
        EXPECT_NEAR(zinc / molality, 1.0, 1e-9) << molality;
    }
}

TEST(Speciation, WhatIsOverSaturatedFallsOutUntilItIsJustSaturated) {
    // Calcium hydroxide, log *K = 22.7: a(Ca2+) = 10^(22.7 - 2 pH), and half the hydroxide goes with each
    // calcium.
    const SpeciationResult lime = ideal({{"Ca2+", 0.5}});
    ASSERT_EQ(lime.precipitate.size(), 1U);
    EXPECT_EQ(lime.precipitate.front().species, named("Ca(OH)2(s)"));
    EXPECT_NEAR(std::log10(lime.molality[named("Ca2+")]), 22.7 - 2.0 * pHOf(lime), 1e-6);
    EXPECT_NEAR(lime.precipitate.front().count + lime.molality[named("Ca2+")] + lime.molality[named("CaOH+")],
                0.5, 1e-9);
    EXPECT_TRUE(lime.converged);
}

TEST(Speciation, TwoSolidsCanStandSideBySide) {
    const SpeciationResult both =
        ideal({{"Ag+", 0.01}, {"Cl-", 0.005}, {"Br-", 0.004}, {"Na+", 0.1}, {"NO3-", 0.101}});
    ASSERT_EQ(both.precipitate.size(), 2U);
    const double chloride = both.molality[named("Cl-")];
    const double bromide = both.molality[named("Br-")];
    EXPECT_NEAR(std::log10(chloride / bromide), 12.27 - 9.75, 1e-6)
        << "the ratio of their solubility products";
}

TEST(Speciation, ASolidThatTheOtherUsesUpIsDropped) {
    // Zinc hydroxide would be over-saturated at first sight; strong alkali takes all of it as zincate.
    const SpeciationResult dissolved = ideal({{"Zn2+", 0.01}, {"Na+", 6.0}});
    EXPECT_TRUE(dissolved.precipitate.empty());
    EXPECT_GT(dissolved.molality[named("Zn(OH)4^2-")], 0.009);
}

TEST(Speciation, MoietiesLeaveHydrogenAndSolventOut) {
    EXPECT_TRUE(moietiesOf(test::catalogue(), named("H+")).empty());
    EXPECT_TRUE(moietiesOf(test::catalogue(), named("OH-")).empty());
    EXPECT_EQ(moietiesOf(test::catalogue(), named("HSO4-")),
              (std::vector<SpeciesTerm>{{named("SO4^2-"), 1.0}}));
    EXPECT_EQ(moietiesOf(test::catalogue(), named("Na+")), (std::vector<SpeciesTerm>{{named("Na+"), 1.0}}));
}

TEST(Pitzer, ApproachesTheLimitingLaw) {
    // log10 γ = -0.511 z² √I at 25 °C and very low strength.
    const ActivityResult result = pitzerActivities({{"Na+", 1e-5}, {"Cl-", 1e-5}});
    EXPECT_NEAR(result.lnGamma[0] / std::log(10.0), -0.511 * std::sqrt(1e-5), 2e-5);
    EXPECT_FALSE(result.usedTypicalPair);
}

TEST(Pitzer, GibbsAndDuhemAgree) {
    // d ln a(solvent) = -(M/1000) Σ m d ln(a): checked by a small step in strength of one salt.
    const auto at = [](double molality) { return pitzerActivities({{"Na+", molality}, {"Cl-", molality}}); };
    for (const double molality : {0.2, 1.0, 4.0}) {
        const double step = 1e-4;
        const ActivityResult low = at(molality - step);
        const ActivityResult high = at(molality + step);
        const auto lnActivity = [](const ActivityResult& r, double m) {
            return 2.0 * std::log(m) + r.lnGamma[0] + r.lnGamma[1];
        };
        const double salt = lnActivity(high, molality + step) - lnActivity(low, molality - step);
        const double solvent = high.lnSolventActivity - low.lnSolventActivity;
        EXPECT_NEAR(solvent, -0.01801528 * molality * salt, 1e-8) << molality;
    }
}

TEST(Pitzer, SaysWhenATypicalPairHadToDo) {
    const ActivityResult result = pitzerActivities({{"Pb2+", 0.1}, {"NO3-", 0.2}});
    EXPECT_TRUE(result.usedTypicalPair);
}

TEST(Pitzer, NeutralsAreSaltedOut) {
    const ActivityResult result = pitzerActivities({{"Na+", 1.0}, {"Cl-", 1.0}, {"CO2(aq)", 0.01}});
    EXPECT_NEAR(result.lnGamma[2] / std::log(10.0), 0.1, 1e-9);
}

} // namespace
} // namespace anodex::liquid
