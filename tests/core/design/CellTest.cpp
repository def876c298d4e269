// How a design becomes a cell: names looked up, defaults chosen and told, the first unusable field named.
#include "core/design/Cell.h"
#include "core/design/Resolve.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>
#include <limits>

namespace anodex::design {
namespace {

using Code = DesignError::Code;

CellDesign plainDesign() {
    return test::design(test::beakers());
}

std::optional<Assumption> assumed(const Cell& cell, const std::string& field) {
    const auto found = std::find_if(cell.assumed.begin(), cell.assumed.end(),
                                    [&](const Assumption& a) { return a.field == field; });
    return found == cell.assumed.end() ? std::nullopt : std::optional(*found);
}

Cell resolved(const CellDesign& design) {
    auto cell = resolve(test::catalogue(), design);
    EXPECT_TRUE(cell) << (cell ? "" : cell.error().field);
    return cell ? *cell : Cell{};
}

DesignError refusal(const CellDesign& design) {
    const auto cell = resolve(test::catalogue(), design);
    EXPECT_FALSE(cell);
    return cell ? DesignError{} : cell.error();
}

TEST(Cell, TellsWhichDefaultsItTook) {
    CellDesign design = plainDesign();
    design.temperatureKelvin.reset();
    const Cell cell = resolved(design);
    EXPECT_EQ(cell.temperatureKelvin, 293.15);
    EXPECT_EQ(assumed(cell, "temperature_C")->value, 293.15);
    EXPECT_EQ(assumed(cell, "contact_mohm")->value, 0.030);
    EXPECT_EQ(assumed(cell, "negative.air")->text, "still");
    EXPECT_EQ(assumed(cell, "positive.thickness_mm")->value, 0.0005);
    EXPECT_EQ(assumed(cell, "gap_mm")->value, cell.gapMetres);
}

TEST(Cell, ABreathingPorousElectrodeIsOpenAndAsWetAsItsMaterialUsuallyIs) {
    CellDesign design = plainDesign();
    design.positive.material = "carbon felt";
    design.positive.air = Air::Breathing;
    const Cell cell = resolved(design);
    EXPECT_EQ(assumed(cell, "positive.open_percent")->value, 1.0);
    EXPECT_EQ(assumed(cell, "positive.filled_pores_percent")->value, 0.9);
    design.positive.openShare = 1.5;
    EXPECT_EQ(refusal(design).field, "positive.open_percent");
    design.positive.openShare = 0.5;
    design.positive.filledPores = -0.1;
    EXPECT_EQ(refusal(design).code, DesignError::Code::NotAShare);
}

TEST(Cell, SaysNothingOfWhatTheDesignStates) {
    CellDesign design = plainDesign();
    design.temperatureKelvin = 300.0;
    design.contactOhm = 0.0;
    design.gapMetres = 0.02;
    for (ElectrodeDesign* electrode : {&design.negative, &design.positive}) {
        electrode->air = Air::None;
        electrode->massKg = 0.01;
        electrode->thicknessMetres = 0.001;
    }
    EXPECT_TRUE(resolved(design).assumed.empty());
    EXPECT_EQ(resolved(design).contactOhm, 0.0);
}

TEST(Cell, MassFollowsFromSheetAndSheetFromMass) {
    CellDesign design = plainDesign();
    const Cell sheet = resolved(design);
    const double density = test::catalogue().materials[sheet.electrodes[0].material].densityKgPerM3;
    EXPECT_NEAR(sheet.electrodes[0].massKg, 0.001 * 0.0005 * density, 1e-12);
    design.negative.massKg = 0.02;
    const Cell weighed = resolved(design);
    EXPECT_NEAR(weighed.electrodes[0].thicknessMetres, 0.02 / (0.001 * density), 1e-12);
    design.negative.measuredMassKg = 0.03;
    EXPECT_EQ(resolved(design).electrodes[0].massKg, 0.03);
}

TEST(Cell, TheGapIsTheLayersOrTenMillimetres) {
    CellDesign design = test::design(test::foilInSalt());
    EXPECT_EQ(resolved(design).gapMetres, kDefaultOpenGapMetres);
    design.separator = SeparatorDesign{"kitchen paper", 3, 0.0004};
    EXPECT_NEAR(resolved(design).gapMetres, 0.0012, 1e-15);
    design.gapMetres = 0.005;
    const Cell wide = resolved(design);
    EXPECT_EQ(wide.gapMetres, 0.005);
    EXPECT_FALSE(wide.barrier->pressed);
    EXPECT_NEAR(wide.barrier->thicknessMetres, 0.0012, 1e-15);
    design.gapMetres = 0.0008;
    const Cell narrow = resolved(design);
    EXPECT_TRUE(narrow.barrier->pressed);
    EXPECT_EQ(narrow.barrier->thicknessMetres, 0.0008);
}

TEST(Cell, OneLiquidStandsOnBothSides) {
    const Cell one = resolved(test::design(test::lemon()));
    EXPECT_FALSE(one.twoLiquids);
    EXPECT_EQ(one.poured[0].portions, one.poured[1].portions);
    const Cell two = resolved(plainDesign());
    EXPECT_TRUE(two.twoLiquids);
    EXPECT_NE(two.poured[0].portions, two.poured[1].portions);
}

TEST(Cell, NoAirMeansTracesOfOxygenInTheLiquid) {
    CellDesign design = test::design(test::foilInSalt());
    const auto oxygen = [](const Cell& cell) {
        return state::asBuilt(test::catalogue(), cell)
            .solution(Side::Positive)
            .activity[test::catalogue().key.dissolvedOxygen];
    };
    EXPECT_GT(oxygen(resolved(design)), 0.0);
    design.negative.air = Air::None;
    EXPECT_GT(oxygen(resolved(design)), 0.0) << "it still comes in by the other side";
    design.positive.air = Air::None;
    EXPECT_NEAR(oxygen(resolved(design)), 2.7e-7, 0.5e-7) << "about 10 µg/L";
}

TEST(Cell, NamesTheFieldItCannotUse) {
    struct Case {
        const char* field;
        Code code;
        void (*spoil)(CellDesign&);
    };
    const Case cases[] = {
        {"temperature_C", Code::TemperatureOutOfRange, [](CellDesign& d) { d.temperatureKelvin = 248.0; }},
        {"temperature_C", Code::TemperatureOutOfRange, [](CellDesign& d) { d.temperatureKelvin = 333.3; }},
        {"temperature_C", Code::TemperatureOutOfRange,
         [](CellDesign& d) { d.temperatureKelvin = std::nan(""); }},
        {"family", Code::UnknownFamily, [](CellDesign& d) { d.family = "gravitty"; }},
        {"contact_mohm", Code::NotPositive, [](CellDesign& d) { d.contactOhm = -0.001; }},
        {"measured_resistance_mohm", Code::NotPositive, [](CellDesign& d) { d.measuredResistanceOhm = 0.0; }},
        {"case.material", Code::UnknownCase, [](CellDesign& d) { d.caseMaterial = "tin foil hat"; }},
        {"negative.material", Code::UnknownMaterial, [](CellDesign& d) { d.negative.material = "zinck"; }},
        {"positive.material", Code::UnknownMaterial, [](CellDesign& d) { d.positive.material = ""; }},
        {"negative.wetted_area_cm2", Code::NotPositive, [](CellDesign& d) { d.negative.wettedAreaM2 = 0.0; }},
        {"positive.wetted_area_cm2", Code::NotPositive,
         [](CellDesign& d) { d.positive.wettedAreaM2 = std::numeric_limits<double>::infinity(); }},
        {"negative.mass_g", Code::NotPositive, [](CellDesign& d) { d.negative.massKg = -1.0; }},
        {"negative.measured_mass_g", Code::NotPositive,
         [](CellDesign& d) { d.negative.measuredMassKg = 0.0; }},
        {"positive.thickness_mm", Code::NotPositive, [](CellDesign& d) { d.positive.thicknessMetres = 0.0; }},
        {"positive.measured_resistance_mohm", Code::NotPositive,
         [](CellDesign& d) { d.positive.measuredResistanceOhm = -1.0; }},
        {"negative.charged_percent", Code::NeverCharged, [](CellDesign& d) { d.negative.charged = 0.5; }},
        {"positive.charged_percent", Code::NotAShare, [](CellDesign& d) { d.positive.charged = 1.2; }},
        {"negative.additives[0].material", Code::UnknownMaterial,
         [](CellDesign& d) {
             d.negative.additives = {{"fairy dust", 0.001}};
         }},
        {"negative.additives[1].mass_g", Code::NotPositive,
         [](CellDesign& d) {
             d.negative.additives = {{"zinc", 0.001}, {"zinc", 0.0}};
         }},
        {"positive.collector.material", Code::UnknownMaterial,
         [](CellDesign& d) {
             d.positive.collector = CollectorDesign{"wishes", {}};
         }},
        {"positive.collector.resistance_mohm", Code::NotPositive,
         [](CellDesign& d) {
             d.positive.collector = CollectorDesign{"copper", -0.1};
         }},
        {"separator.material", Code::UnknownSeparator, [](CellDesign& d) { d.separator->material = "lace"; }},
        {"separator.layers", Code::NotPositive, [](CellDesign& d) { d.separator->layers = 0; }},
        {"separator.thickness_mm", Code::NotPositive,
         [](CellDesign& d) { d.separator->thicknessMetres = 0.0; }},
        {"gap_mm", Code::NotPositive, [](CellDesign& d) { d.gapMetres = 0.0; }},
        {"electrolyte.positive.solutes[0].substance", Code::UnknownSubstance,
         [](CellDesign& d) { d.positiveLiquid->solutes[0].substance = "unobtainium"; }},
    };
    for (const Case& one : cases) {
        CellDesign design = plainDesign();
        one.spoil(design);
        const DesignError error = refusal(design);
        EXPECT_EQ(error.field, one.field);
        EXPECT_EQ(error.code, one.code) << one.field;
    }
}

TEST(Cell, SuggestsTheNearestName) {
    CellDesign design = plainDesign();
    design.negative.material = "zinck";
    EXPECT_EQ(refusal(design).suggestion, "zinc");
    EXPECT_EQ(refusal(design).written, "zinck");
    design = plainDesign();
    design.separator->material = "salt brige";
    EXPECT_EQ(refusal(design).suggestion, "salt bridge");
}

TEST(Cell, TheEndsOfTheTemperatureRangeAreInside) {
    CellDesign design = plainDesign();
    for (const double kelvin : {273.15, 333.15}) {
        design.temperatureKelvin = kelvin;
        EXPECT_TRUE(resolve(test::catalogue(), design)) << kelvin;
    }
}

TEST(Cell, TheFamilyIsALabelOnly) {
    CellDesign design = plainDesign();
    design.family = "gravity";
    const Cell one = resolved(design);
    design.family = "food";
    const Cell other = resolved(design);
    EXPECT_EQ(cell::evaluate(test::catalogue(), one).openCircuitVolts,
              cell::evaluate(test::catalogue(), other).openCircuitVolts);
}

} // namespace
} // namespace anodex::design
