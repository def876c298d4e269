// A liquid in every way a builder writes it: the same moles whichever unit was used, and mass kept.
#include "core/design/Liquid.h"
#include "core/chemistry/NameLookup.h"
#include "core/design/Resolve.h"
#include "core/liquid/Density.h"
#include "core/liquid/SolveSolution.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>

namespace anodex::design {
namespace {

constexpr double kRoom = 293.15;
constexpr double kSaltMolarMass = 0.05844;

liquid::Mixture mixed(const LiquidDesign& liquid, double temperature = kRoom) {
    const auto resolved = resolveLiquid(test::catalogue(), liquid, temperature, "electrolyte");
    EXPECT_TRUE(resolved) << (resolved ? "" : resolved.error().field);
    return resolved ? resolved->mixture : liquid::Mixture{};
}

LiquidDesign with(const std::string& substance, AmountUnit unit, double value, LiquidBasis basis,
                  double basisValue) {
    LiquidDesign liquid;
    liquid.basis = basis;
    liquid.basisValue = basisValue;
    liquid.solutes = {{substance, {unit, value}}};
    return liquid;
}

double kilograms(const liquid::Mixture& mixture) {
    double total = mixture.solventKg;
    for (const liquid::Portion& portion : mixture.portions) {
        total += portion.moles * test::catalogue().substances[portion.substance].molarMassKg;
    }
    return total;
}

double litres(const liquid::Mixture& mixture) {
    return 1000.0 * kilograms(mixture) / liquid::mixtureDensity(test::catalogue(), mixture);
}

TEST(Liquid, FiveGramsAreTheSameInEveryUnit) {
    // 5.844 g of salt: 0.1 mol, in 100 g of solvent 1 mol/kg and 5.521 % by mass.
    const liquid::Mixture grams =
        mixed(with("NaCl", AmountUnit::MassKg, 0.005844, LiquidBasis::SolventMass, 0.1));
    ASSERT_EQ(grams.portions.size(), 1U);
    EXPECT_NEAR(grams.portions[0].moles, 0.1, 2e-5);
    const double volume = litres(grams);
    const std::pair<AmountUnit, double> writings[] = {{AmountUnit::Moles, 0.1},
                                                      {AmountUnit::MolPerKg, 1.0},
                                                      {AmountUnit::MolPerM3, 0.1 / volume * 1000.0},
                                                      {AmountUnit::MassFraction, 0.005844 / 0.105844}};
    for (const auto& [unit, value] : writings) {
        const liquid::Mixture other = mixed(with("NaCl", unit, value, LiquidBasis::SolventMass, 0.1));
        EXPECT_NEAR(other.portions[0].moles, grams.portions[0].moles, 1e-5) << static_cast<int>(unit);
        EXPECT_NEAR(other.solventKg, 0.1, 1e-12);
    }
}

TEST(Liquid, IsMadeUpToItsFinishedVolume) {
    for (const AmountUnit unit : {AmountUnit::MassKg, AmountUnit::MolPerM3, AmountUnit::MassFraction}) {
        const double value = unit == AmountUnit::MassKg ? 0.02 : unit == AmountUnit::MolPerM3 ? 2000.0 : 0.1;
        const liquid::Mixture mixture = mixed(with("NaCl", unit, value, LiquidBasis::FinishedVolume, 2.5e-4));
        EXPECT_NEAR(litres(mixture), 0.25, 1e-6);
        if (unit == AmountUnit::MolPerM3) {
            EXPECT_NEAR(mixture.portions[0].moles, 0.5, 1e-6);
        }
        if (unit == AmountUnit::MassFraction) {
            EXPECT_NEAR(mixture.portions[0].moles * kSaltMolarMass / kilograms(mixture), 0.1, 1e-5);
        }
    }
}

TEST(Liquid, SolventByVolumeHasTheDensityOfItsTemperature) {
    LiquidDesign pure;
    pure.basis = LiquidBasis::SolventVolume;
    pure.basisValue = 1e-3;
    EXPECT_NEAR(mixed(pure, 277.13).solventKg, 0.99997, 1e-4); // Kell 1975, from memory
    EXPECT_NEAR(mixed(pure, 298.15).solventKg, 0.99705, 1e-4);
    EXPECT_NEAR(mixed(pure, 333.15).solventKg, 0.98320, 3e-4);
}

TEST(Liquid, AHydrateBringsItsSolventAlong) {
    // CuSO4·5H2O: 249.69 g/mol, of which 90.08 g are solvent.
    const liquid::Mixture hydrate =
        mixed(with("CuSO4·5H2O", AmountUnit::MassKg, 0.024969, LiquidBasis::SolventMass, 0.1));
    EXPECT_NEAR(hydrate.portions[0].moles, 0.1, 2e-5);
    EXPECT_NEAR(hydrate.solventKg, 0.109008, 1e-5);
    const liquid::Mixture dry =
        mixed(with("CuSO4", AmountUnit::MassKg, 0.015961, LiquidBasis::SolventMass, 0.1));
    EXPECT_NEAR(dry.portions[0].moles, 0.1, 2e-5);
    EXPECT_NEAR(dry.solventKg, 0.1, 1e-12);
    // By mass percent the hydrate counts as named, solvent included.
    const liquid::Mixture percent =
        mixed(with("CuSO4·5H2O", AmountUnit::MassFraction, 0.2, LiquidBasis::SolventMass, 0.1));
    EXPECT_NEAR(percent.portions[0].moles * 0.24969 / kilograms(percent), 0.2, 1e-4);
}

TEST(Liquid, SeveralStrengthsHoldTogether) {
    LiquidDesign liquid = with("NaCl", AmountUnit::MassFraction, 0.05, LiquidBasis::FinishedVolume, 1e-4);
    liquid.solutes.push_back({"KCl", {AmountUnit::MolPerM3, 500.0}});
    liquid.solutes.push_back({"NaHCO3", {AmountUnit::MolPerKg, 0.1}});
    const liquid::Mixture mixture = mixed(liquid);
    EXPECT_NEAR(litres(mixture), 0.1, 1e-6);
    EXPECT_NEAR(mixture.portions[0].moles * kSaltMolarMass / kilograms(mixture), 0.05, 1e-5);
    EXPECT_NEAR(mixture.portions[1].moles, 0.05, 1e-6);
    EXPECT_NEAR(mixture.portions[2].moles / mixture.solventKg, 0.1, 1e-8);
}

TEST(Liquid, SolventCanBeOneOfThePours) {
    LiquidDesign liquid = with("NaCl", AmountUnit::MassKg, 0.005, LiquidBasis::SolventMass, 0.1);
    liquid.solutes.push_back({test::catalogue().solvent()->name, {AmountUnit::MassKg, 0.05}});
    const liquid::Mixture mixture = mixed(liquid);
    EXPECT_NEAR(mixture.solventKg, 0.15, 1e-12);
    EXPECT_EQ(mixture.portions.size(), 1U);
}

TEST(Liquid, AReadyLiquidFillsItsVolume) {
    LiquidDesign liquid;
    liquid.ready = "lemon juice";
    liquid.basis = LiquidBasis::FinishedVolume;
    liquid.basisValue = 5e-5;
    const auto resolved = resolveLiquid(test::catalogue(), liquid, kRoom, "electrolyte");
    ASSERT_TRUE(resolved);
    EXPECT_NEAR(litres(resolved->mixture), 0.05, 1e-5);
    EXPECT_GT(resolved->doubtFactor, 1.0) << "no two fruits are alike";
    // More of it is only more of the same.
    liquid.basisValue = 1e-4;
    const liquid::Mixture twice = mixed(liquid);
    for (std::size_t i = 0; i < twice.portions.size(); ++i) {
        EXPECT_NEAR(twice.portions[i].moles / resolved->mixture.portions[i].moles, 2.0, 1e-6);
    }
}

TEST(Liquid, AGelConductsLess) {
    LiquidDesign liquid = with("NaCl", AmountUnit::MolPerKg, 1.0, LiquidBasis::SolventMass, 0.1);
    const double free = liquid::solveSolution(test::catalogue(), mixed(liquid)).conductivity;
    liquid.gel = Gel{"agar", 0.02};
    const double gelled = liquid::solveSolution(test::catalogue(), mixed(liquid)).conductivity;
    EXPECT_LT(gelled, free);
    EXPECT_GT(gelled, 0.5 * free);
    liquid.gel = Gel{"starch", 0.1};
    EXPECT_LT(liquid::solveSolution(test::catalogue(), mixed(liquid)).conductivity, 0.95 * gelled);
}

TEST(Liquid, NamesWhatCannotBeMixed) {
    using Code = DesignError::Code;
    struct Case {
        const char* field;
        Code code;
        LiquidDesign liquid;
    };
    LiquidDesign nowhere = with("NaCl", AmountUnit::MassKg, 0.01, LiquidBasis::SolventMass, 0.0);
    LiquidDesign full = with("NaCl", AmountUnit::MassKg, 0.5, LiquidBasis::FinishedVolume, 1e-4);
    LiquidDesign many = with("NaCl", AmountUnit::MassFraction, 0.6, LiquidBasis::SolventMass, 0.1);
    many.solutes.push_back({"KCl", {AmountUnit::MassFraction, 0.4}});
    LiquidDesign dense = with("NaCl", AmountUnit::MassKg, 0.01, LiquidBasis::SolventMass, 0.1);
    dense.measuredDensity = -1.0;
    LiquidDesign blank = dense;
    blank.measuredDensity.reset();
    blank.measuredConductivity = std::nan("");
    LiquidDesign ready;
    ready.ready = "lemon juce";
    const Case cases[] = {
        {"electrolyte", Code::NotPositive, nowhere},
        {"electrolyte", Code::NoRoomForSolvent, full},
        {"electrolyte.solutes[1].mass_percent", Code::PercentTooHigh, many},
        {"electrolyte.measured_density_g_per_mL", Code::NotPositive, dense},
        {"electrolyte.measured_conductivity_S_per_m", Code::NotPositive, blank},
        {"electrolyte.ready", Code::UnknownLiquid, ready},
        {"electrolyte.solutes[0]", Code::NotPositive,
         with("NaCl", AmountUnit::MassKg, 0.0, LiquidBasis::SolventMass, 0.1)},
        {"electrolyte.solutes[0].substance", Code::UnknownSubstance,
         with("salt of the earth", AmountUnit::MassKg, 0.01, LiquidBasis::SolventMass, 0.1)}};
    for (const Case& one : cases) {
        const auto resolved = resolveLiquid(test::catalogue(), one.liquid, kRoom, "electrolyte");
        ASSERT_FALSE(resolved) << one.field;
        EXPECT_EQ(resolved.error().field, one.field);
        EXPECT_EQ(resolved.error().code, one.code) << one.field;
    }
    const auto close = resolveLiquid(test::catalogue(), ready, kRoom, "electrolyte");
    EXPECT_EQ(close.error().suggestion, "lemon juice");
}

} // namespace
} // namespace anodex::design
