// The cell's curve and what is read off it, against theorems of circuits.
#include "core/cell/SampledCurve.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace anodex::cell {
namespace {

using design::Side;
using electrode::Moment;

using Json = nlohmann::ordered_json;

/// A curve with the cell it refers to.
struct CurveOf {
    explicit CurveOf(const std::string& json, Moment moment = Moment::First)
        : filled(json), curve(filled.compiled, filled.contents, moment) {}
    const test::Filled filled;
    const Polarisation curve;
};

/// Of all its routes while the cell passes `amps`, A.
double sumOfPartials(const Polarisation& curve, Side side, double amps) {
    double sum = 0.0;
    for (const electrode::Partial& partial : curve.electrode(side).partialsAt(curve.seatAt(side, amps))) {
        sum += partial.amps;
    }
    return sum;
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
    const CurveOf curveOf(resistorLike());
    const Polarisation& curve = curveOf.curve;
    const double open = curve.openCircuitVolts();
    const PowerPoint best = SampledCurve(curve, curve.shortCircuitAmps()).maximumPower();
    EXPECT_NEAR(best.watts, open * open / 200.0, 0.01 * best.watts);
    EXPECT_NEAR(best.amps, open / 100.0, 0.03 * best.amps);
    EXPECT_NEAR(curve.voltsAt(best.amps) * best.amps, best.watts, 1e-9);
}

TEST(Polarisation, ShortCircuitFollowsOhmsLawThroughTheMeter) {
    const CurveOf curveOf(resistorLike());
    const Polarisation& curve = curveOf.curve;
    const double amps = curve.shortCircuitAmps();
    EXPECT_NEAR(amps, curve.openCircuitVolts() / (50.0 + kMeterOhm), 0.01 * amps);
    EXPECT_NEAR(curve.voltsAt(amps), amps * kMeterOhm, 1e-6);
    const double throughMore = curve.shortCircuitAmps(50.0);
    EXPECT_NEAR(throughMore, amps / 2.0, 0.01 * amps);
}

TEST(Polarisation, IsTheDifferenceOfItsElectrodesLessTheDrop) {
    for (const std::string& json :
         {test::beakers(), test::lemon(), test::foilInAlkali(), test::leadAcid(30)}) {
        const CurveOf curveOf(json);
        const Polarisation& curve = curveOf.curve;
        const double amps = 0.3 * curve.shortCircuitAmps();
        EXPECT_NEAR(curve.voltsAt(amps),
                    curve.potentialAt(Side::Positive, amps) - curve.potentialAt(Side::Negative, amps) +
                        curve.junctionVolts() - amps * curve.ohm(),
                    1e-9);
    }
}

TEST(Polarisation, RestsWhereNoCurrentFlows) {
    for (const std::string& json : {test::beakers(), test::lemon(), test::foilInSalt()}) {
        const CurveOf curveOf(json, Moment::Settled);
        const Polarisation& curve = curveOf.curve;
        for (const Side side : {Side::Negative, Side::Positive}) {
            EXPECT_LT(std::abs(sumOfPartials(curve, side, 0.0)), 1e-9);
        }
    }
}

TEST(Polarisation, FallsWithoutEndPastShortCircuitAndRisesOnCharge) {
    const CurveOf curveOf(test::leadAcid(30));
    const Polarisation& curve = curveOf.curve;
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
        const CurveOf curveOf(json, Moment::Settled);
        const Polarisation& curve = curveOf.curve;
        const double scale = std::abs(curve.shortCircuitAmps());
        for (const double share : {-0.8, -0.01, 0.0, 1e-6, 0.2, 0.9}) {
            for (const Side side : {Side::Negative, Side::Positive}) {
                EXPECT_NEAR(sumOfPartials(curve, side, share * scale),
                            (side == Side::Negative ? 1.0 : -1.0) * share * scale, 1e-6 * scale);
            }
        }
    }
}

TEST(Polarisation, TheCurveHasItsEndsAndAsManyPointsAsAsked) {
    const CurveOf curveOf(test::lemon());
    const Polarisation& curve = curveOf.curve;
    const double amps = curve.shortCircuitAmps();
    for (const int points : {2, 3, 50}) {
        const auto list = SampledCurve(curve, amps).points(points);
        ASSERT_EQ(list.size(), static_cast<std::size_t>(points));
        EXPECT_EQ(list.front().amps, 0.0);
        EXPECT_NEAR(list.back().amps, amps, 1e-15);
    }
}

TEST(SampledCurve, LiesWithinATenthOfAMillivoltOfTheCurve) {
    for (const std::string& json :
         {test::beakers(), test::lemon(), test::foilInSalt(), test::foilInAlkali(), test::leadAcid(30)}) {
        for (const Moment moment : {Moment::First, Moment::Settled}) {
            const CurveOf curveOf(json, moment);
            const double most = curveOf.curve.shortCircuitAmps();
            for (const CurvePoint& point : SampledCurve(curveOf.curve, most).points(173)) {
                EXPECT_NEAR(point.volts, curveOf.curve.voltsAt(point.amps), 1e-4)
                    << json << point.amps / most;
            }
        }
    }
}

TEST(SampledCurve, StraightLinesBetweenThePointsToDrawAreTheCurveToTheEye) {
    constexpr double kSeen = 0.005; // of either axis: a pixel of 200
    for (const std::string& json :
         {test::beakers(), test::lemon(), test::foilInSalt(), test::foilInAlkali(), test::leadAcid(30)}) {
        for (const Moment moment : {Moment::First, Moment::Settled}) {
            const CurveOf curveOf(json, moment);
            const double most = curveOf.curve.shortCircuitAmps();
            const auto points = SampledCurve(curveOf.curve, most).pointsToDraw();
            ASSERT_GT(points.size(), 8U) << json;
            EXPECT_LT(points.size(), 2000U) << json;
            for (std::size_t i = 1; i < points.size(); ++i) {
                ASSERT_GT(points[i].amps, points[i - 1].amps) << json;
                if (points[i].amps - points[i - 1].amps < kSeen * most) {
                    continue; // a fall between two points so close is upright to the eye
                }
                const double amps = 0.5 * (points[i].amps + points[i - 1].amps);
                EXPECT_NEAR(0.5 * (points[i].volts + points[i - 1].volts), curveOf.curve.voltsAt(amps),
                            kSeen * std::abs(curveOf.curve.openCircuitVolts()))
                    << json << " at " << amps;
            }
        }
    }
    EXPECT_TRUE(SampledCurve(CurveOf(test::lemon()).curve, 0.0).pointsToDraw().empty());
}

TEST(SampledCurve, ARoughOneFindsTheSamePower) {
    for (const std::string& json :
         {test::beakers(), test::lemon(), test::foilInSalt(), test::foilInAlkali()}) {
        const CurveOf curveOf(json, Moment::Settled);
        const double most = curveOf.curve.shortCircuitAmps();
        const double fine = SampledCurve(curveOf.curve, most, 1e-5).maximumPower().watts;
        const double rough =
            SampledCurve(curveOf.curve, most, SampledCurve::kToFindPower).maximumPower().watts;
        EXPECT_NEAR(rough, fine, 1e-3 * fine) << json;
    }
}

TEST(Polarisation, SlopesAreThoseOfTheCurve) {
    for (const std::string& json :
         {test::beakers(), test::lemon(), test::foilInSalt(), test::foilInAlkali()}) {
        const CurveOf curveOf(json, Moment::Settled);
        const double most = curveOf.curve.shortCircuitAmps();
        for (const double share : {0.1, 0.37, 0.8}) {
            const double step = 1e-4 * most;
            const double amps = share * most;
            const double slope =
                (curveOf.curve.voltsAt(amps + step) - curveOf.curve.voltsAt(amps - step)) / (2.0 * step);
            EXPECT_NEAR(curveOf.curve.at(amps).slope / slope, 1.0, 0.05) << json << share;
        }
    }
}

TEST(Polarisation, SettledLayersNeverRaiseTheVoltageUnderLoad) {
    for (const std::string& json : {test::beakers(), test::lemon(), test::foilInSalt(), test::leadAcid(30)}) {
        const CurveOf firstOf(json);
        const Polarisation& first = firstOf.curve;
        const CurveOf settledOf(json, Moment::Settled);
        const Polarisation& settled = settledOf.curve;
        EXPECT_NEAR(first.openCircuitVolts(), settled.openCircuitVolts(), 1e-6);
        const double amps = 0.5 * settled.shortCircuitAmps();
        EXPECT_LE(settled.voltsAt(amps), first.voltsAt(amps) + 1e-9);
    }
}

} // namespace
} // namespace anodex::cell
