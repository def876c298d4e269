// What a branch of the notebook is called: which way it went, in a builder's words.
#include "tests/support/Samples.h"
#include "wording/ChangeText.h"

#include <gtest/gtest.h>

namespace anodex::wording {
namespace {

design::CellDesign twoMetals() {
    design::CellDesign design;
    design.negative.material = "zinc";
    design.positive.material = "copper";
    design.negative.wettedAreaM2 = 0.002;
    design.positive.wettedAreaM2 = 0.002;
    design.gapMetres = 0.02;
    design.temperatureKelvin = 293.15;
    design::SoluteDesign salt;
    salt.substance = "zinc sulfate heptahydrate";
    salt.amount = {design::AmountUnit::MassKg, 0.006};
    design.liquid.solutes = {salt};
    return design;
}

template <typename Change> std::string after(const Change& change) {
    design::CellDesign design = twoMetals();
    change(design);
    std::string line = branchLine(twoMetals(), design);
    for (std::size_t at = line.find("\u00A0"); at != std::string::npos; at = line.find("\u00A0")) {
        line.replace(at, 2, " ");
    }
    return line;
}

TEST(BranchLine, SaysWhichWayAnAmountWent) {
    EXPECT_EQ(after([](auto& d) { d.liquid.solutes[0].amount.value = 0.040; }),
              "more zinc sulfate: 6 → 40 g");
    EXPECT_EQ(after([](auto& d) { d.liquid.solutes[0].amount.value = 0.002; }), "less zinc sulfate: 6 → 2 g");
    EXPECT_EQ(after([](auto& d) { d.gapMetres = 0.005; }), "closer: 20 → 5 mm");
    EXPECT_EQ(after([](auto& d) { d.gapMetres = 0.05; }), "further apart: 20 → 50 mm");
    EXPECT_EQ(after([](auto& d) { d.temperatureKelvin = 303.15; }), "warmer: 20 → 30 °C");
}

TEST(BranchLine, BelowZeroIsColderToo) {
    design::CellDesign cold = twoMetals();
    cold.temperatureKelvin = 263.15;
    EXPECT_TRUE(branchLine(twoMetals(), cold).starts_with("colder: ")) << branchLine(twoMetals(), cold);
    EXPECT_TRUE(branchLine(cold, twoMetals()).starts_with("warmer: ")) << branchLine(cold, twoMetals());
}

TEST(BranchLine, BothPlatesAlikeAreOneChange) {
    const auto both = [](auto& d) {
        d.negative.wettedAreaM2 = 0.006;
        d.positive.wettedAreaM2 = 0.006;
    };
    EXPECT_EQ(after(both), "larger plates: 20 → 60 cm²");
    EXPECT_EQ(after([](auto& d) { d.positive.wettedAreaM2 = 0.001; }), "smaller positive: 20 → 10 cm²");
    EXPECT_EQ(after([](auto& d) {
                  d.negative.wettedAreaM2 = 0.006;
                  d.positive.wettedAreaM2 = 0.004;
              }),
              "larger negative: 20 → 60 cm² and 1 more");
}

TEST(BranchLine, NamesWhatTookThePlaceOfWhat) {
    EXPECT_EQ(after([](auto& d) { d.negative.material = "magnesium ribbon"; }), "magnesium ribbon for zinc");
}

TEST(BranchLine, WhatNobodyHasAWordForIsToldByItsField) {
    EXPECT_EQ(after([](auto& d) { d.stirred = true; }), "stirred");
    EXPECT_EQ(branchLine(twoMetals(), twoMetals()), "nothing changed");
}

} // namespace
} // namespace anodex::wording
