// The cell's curve and what is read off it, against theorems of circuits.
#include "core/cell/Polarisation.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace anodex::cell {
namespace {

using design::Side;
using electrode::Moment;

using Json = nlohmann::ordered_json;

Polarisation curveOf(const std::string& json, Moment moment = Moment::First) {
    const test::Filled filled(json);
    return {filled.compiled, filled.contents, moment};
}

/// A cell whose own reactions are so fast that only a resistor of 50 ohm counts.
std::string resistorLike() {
    Json json = Json::parse(test::beakers());
    json["measured_resistance_mohm"] = 50000;
    for (const char* side : {"negative", "positive"}) {
        json[side]["wetted_area_cm2"] = 1000;
        json[side]["mass_g"] = 100;
    }
    return json.dump();
}

TEST(Polarisation, MaximumPowerTransfersAtHalfTheVoltage) {
    // Jacobi's theorem: P = V²/4R at V/2 when only a resistance opposes the current.
    const Polarisation curve = curveOf(resistorLike());
    const double open = curve.openCircuitVolts();
    const PowerPoint best = curve.maximumPower(curve.shortCircuitAmps());
    EXPECT_NEAR(best.watts, open * open / 200.0, 0.01 * best.watts);
    EXPECT_NEAR(best.amps, open / 100.0, 0.03 * best.amps);
    EXPECT_NEAR(curve.voltsAt(best.amps) * best.amps, best.watts, 1e-9);
}

TEST(Polarisation, ShortCircuitFollowsOhmsLawThroughTheMeter) {
    const Polarisation curve = curveOf(resistorLike());
    const double amps = curve.shortCircuitAmps();
    EXPECT_NEAR(amps, curve.openCircuitVolts() / (50.0 + kMeterOhm), 0.01 * amps);
    EXPECT_NEAR(curve.voltsAt(amps), amps * kMeterOhm, 1e-6);
    const double throughMore = curve.shortCircuitAmps(50.0);
    EXPECT_NEAR(throughMore, amps / 2.0, 0.01 * amps);
}

TEST(Polarisation, IsTheDifferenceOfItsElectrodesLessTheDrop) {
    for (const std::string& json :
         {test::beakers(), test::lemon(), test::foilInAlkali(), test::leadAcid(30)}) {
        const Polarisation curve = curveOf(json);
        const double amps = 0.3 * curve.shortCircuitAmps();
        EXPECT_NEAR(curve.voltsAt(amps),
                    curve.potentialAt(Side::Positive, amps) - curve.potentialAt(Side::Negative, amps) +
                        curve.junctionVolts() - amps * curve.ohm(),
                    1e-9);
    }
}

TEST(Polarisation, RestsWhereNoCurrentFlows) {
    for (const std::string& json : {test::beakers(), test::lemon(), test::foilInSalt()}) {
        const Polarisation curve = curveOf(json, Moment::Settled);
        for (const Side side : {Side::Negative, Side::Positive}) {
            const electrode::ElectrodeModel& electrode = curve.electrode(side);
            const double rest = curve.restVolts(side);
            const double slope = electrode.currentAt(rest + 0.001) - electrode.currentAt(rest - 0.001);
            EXPECT_GT(slope, 0.0);
            EXPECT_LT(std::abs(electrode.currentAt(rest)), 1e-3 * slope) << "within a microvolt of zero";
        }
    }
}

TEST(Polarisation, FallsWithoutEndPastShortCircuitAndRisesOnCharge) {
    const Polarisation curve = curveOf(test::leadAcid(30));
    const double amps = curve.shortCircuitAmps();
    double before = curve.voltsAt(-2.0 * amps);
    EXPECT_GT(before, curve.openCircuitVolts());
    for (double share = -1.9; share < 3.0; share += 0.1) {
        const double now = curve.voltsAt(share * amps);
        EXPECT_LE(now, before) << share;
        before = now;
    }
    EXPECT_LT(before, 0.0);
}

TEST(Polarisation, ElectrodesFindThePotentialOfAnyCurrent) {
    for (const std::string& json : {test::lemon(), test::foilInAlkali(), test::leadAcid(40)}) {
        const Polarisation curve = curveOf(json);
        const double scale = std::abs(curve.shortCircuitAmps());
        for (const double share : {-0.8, -0.01, 0.0, 1e-6, 0.2, 0.9}) {
            for (const Side side : {Side::Negative, Side::Positive}) {
                const electrode::ElectrodeModel& electrode = curve.electrode(side);
                const double amps = share * scale;
                const double volts = electrode.potentialAt(amps);
                EXPECT_NEAR(electrode.currentAt(volts), amps,
                            1e-6 * scale + 1e-7 * (electrode.currentAt(volts + 1e-3) -
                                                   electrode.currentAt(volts - 1e-3)));
            }
        }
    }
}

TEST(Polarisation, TheCurveHasItsEndsAndAsManyPointsAsAsked) {
    const Polarisation curve = curveOf(test::lemon());
    const double amps = curve.shortCircuitAmps();
    for (const int points : {2, 3, 50}) {
        const auto list = curve.curve(amps, points);
        ASSERT_EQ(list.size(), static_cast<std::size_t>(points));
        EXPECT_EQ(list.front().amps, 0.0);
        EXPECT_NEAR(list.back().amps, amps, 1e-15);
    }
}

TEST(Polarisation, SettledLayersNeverRaiseTheVoltageUnderLoad) {
    for (const std::string& json : {test::beakers(), test::lemon(), test::foilInSalt(), test::leadAcid(30)}) {
        const Polarisation first = curveOf(json);
        const Polarisation settled = curveOf(json, Moment::Settled);
        EXPECT_NEAR(first.openCircuitVolts(), settled.openCircuitVolts(), 1e-6);
        const double amps = 0.5 * settled.shortCircuitAmps();
        EXPECT_LE(settled.voltsAt(amps), first.voltsAt(amps) + 1e-9);
    }
}

} // namespace
} // namespace anodex::cell
