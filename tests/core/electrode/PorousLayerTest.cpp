// How deep a porous electrode works and how much air it takes in, against sums worked by hand.
#include "core/electrode/PorousLayer.h"
#include "core/cell/Evaluation.h"
#include "core/electrode/CompileElectrode.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace anodex::electrode {
namespace {

using design::Cell;
using design::Side;

using Json = nlohmann::ordered_json;

Json zincAir(const char* carbon) {
    return {{"negative", {{"material", "zinc"}, {"wetted_area_cm2", 20}}},
            {"positive", {{"material", carbon}, {"wetted_area_cm2", 20}, {"air", "breathing"}}},
            {"electrolyte",
             {{"volume_mL", 20}, {"solutes", Json::array({{{"substance", "KOH"}, {"mol_per_L", 6}}})}}},
            {"separator", {{"material", "kitchen paper"}, {"layers", 2}}}};
}

double airLimit(const Json& json) {
    return breathingLimit(test::Filled(json.dump()).at(Side::Positive), 1.0);
}

const chemistry::Material& materialOf(const Json& json) {
    return test::catalogue().materials[test::cellOf(json.dump()).electrode(Side::Positive).material];
}

TEST(PorousLayer, AThinLayerWorksWholeAndAThickOneAsDeepAsTheCurrentReaches) {
    EXPECT_NEAR(workingShare(1e-5, 1e-3), 1.0, 1e-4);
    EXPECT_NEAR(workingShare(1e-3, 1e-3), std::tanh(1.0), 1e-12);
    EXPECT_NEAR(workingShare(0.1, 1e-3), 0.01, 1e-12);
}

TEST(PorousLayer, PoresResistAsTheirLiquidAndTheirRoom) {
    Json json = zincAir("carbon felt");
    json["positive"]["thickness_mm"] = 6;
    json["positive"]["filled_pores_percent"] = 50;
    const test::Filled filled(json.dump());
    const double room = std::pow(materialOf(json).porosity * 0.5, 1.5);
    EXPECT_NEAR(poreOhm(filled.at(Side::Positive)),
                0.006 / (3.0 * filled.contents.solution(Side::Positive).conductivity * room * 0.002), 1e-9);
    EXPECT_EQ(poreOhm(filled.at(Side::Negative)), 0.0) << "a sheet";
}

TEST(PorousLayer, AThickDoubleLayerChargesAsTheRootOfTime) {
    Json json = zincAir("activated carbon");
    json["positive"]["thickness_mm"] = 100;
    json["electrolyte"]["solutes"][0]["mol_per_L"] = 0.1;
    const test::Filled thick(json.dump());
    const auto charged = [](const test::Filled& filled, double seconds) {
        return chargedFarads(filled.at(Side::Positive), seconds);
    };
    EXPECT_NEAR(charged(thick, 20.0) / charged(thick, 5.0), 2.0, 0.01);
    json["positive"]["thickness_mm"] = 0.02;
    const test::Filled thin(json.dump());
    EXPECT_NEAR(charged(thin, 5.0),
                thin.cell.electrode(Side::Positive).massKg * materialOf(json).capacitanceFaradPerKg,
                0.01 * charged(thin, 5.0));
}

TEST(PorousLayer, AsUsuallyUsedInStrongLiquidItTakesTheCataloguesAir) {
    for (const char* carbon : {"activated carbon", "carbon felt", "carbon cloth"}) {
        const double stored = materialOf(zincAir(carbon)).breathingLimit->value;
        EXPECT_NEAR(airLimit(zincAir(carbon)) / stored, 0.95, 0.05) << carbon;
    }
}

TEST(PorousLayer, ThickerTakesMoreAirButNotInProportion) {
    Json json = zincAir("activated carbon");
    const double usual = airLimit(json);
    json["positive"]["thickness_mm"] = 4;
    EXPECT_GT(airLimit(json), 1.3 * usual);
    EXPECT_LT(airLimit(json), 3.5 * usual);
    json["positive"]["thickness_mm"] = 0.1;
    EXPECT_NEAR(airLimit(json) / usual, 0.1, 0.01);
}

TEST(PorousLayer, SoakedOrDryItTakesNone) {
    Json json = zincAir("activated carbon");
    const double usual = airLimit(json);
    json["positive"]["filled_pores_percent"] = 95;
    EXPECT_LT(airLimit(json), 0.4 * usual);
    for (const double percent : {0.0, 100.0}) {
        json["positive"]["filled_pores_percent"] = percent;
        EXPECT_EQ(airLimit(json), 0.0);
        EXPECT_GT(test::evaluated(json.dump()).first.shortCircuitAmps, 0.0) << "what is dissolved remains";
    }
}

TEST(PorousLayer, HolesStandInTheWayOfAir) {
    // One hundredth open: 0.01 D / 5 mm, 4 F and 8.71 mol/m³ of oxygen at 20 °C, 2e-5 m²/s.
    Json json = zincAir("graphite");
    const double open = airLimit(json);
    EXPECT_NEAR(open, materialOf(json).breathingLimit->value, 1e-9);
    json["positive"]["open_percent"] = 1;
    const double through = 4.0 * 96485.0 * 8.71 * 0.01 / 0.99 * 2e-5 / 0.005;
    EXPECT_NEAR(airLimit(json), 1.0 / (1.0 / open + 1.0 / through), 0.01 * open);
}

TEST(PorousLayer, HolesWeakenTheCellAndKeepItMoist) {
    Json json = zincAir("activated carbon");
    const cell::Evaluation open = test::evaluated(json.dump());
    json["positive"]["open_percent"] = 0.5;
    const cell::Evaluation behind = test::evaluated(json.dump());
    EXPECT_LT(behind.settled.shortCircuitAmps, 0.6 * open.settled.shortCircuitAmps);
    EXPECT_LT(behind.dryingKgPerSecond, 0.05 * open.dryingKgPerSecond);
}

} // namespace
} // namespace anodex::electrode
