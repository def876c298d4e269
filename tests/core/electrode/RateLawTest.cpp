#include "core/electrode/RateLaw.h"
#include "core/base/RootFinding.h"
#include "core/electrode/CompileElectrode.h"
#include "core/electrode/ElectrodeModel.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>
#include <limits>

namespace anodex::electrode {
namespace {

RateLaw twoWay(double lnExchange, double anodicLimit, double cathodicLimit) {
    RateLaw law;
    law.equilibriumVolts = 0.34;
    law.lnExchange = lnExchange;
    law.anodicPerVolt = 57.6;
    law.cathodicPerVolt = 20.3;
    law.anodicLimit = anodicLimit;
    law.cathodicLimit = cathodicLimit;
    return law;
}

TEST(RateLaw, EveryTwoWayCoupleRestsAtItsNernstPotentialWhateverTheLimits) {
    for (const double ratio : {1e-6, 1e-4, 1e-2, 1.0, 1e2, 1e4, 1e6}) {
        for (const double otherRatio : {1e-6, 1.0, 1e6}) {
            const double exchange = 1e-3;
            const RateLaw law = twoWay(std::log(exchange), exchange / ratio, exchange / otherRatio);
            base::RootOptions options;
            options.tolerance = 1e-9;
            const double rest =
                base::rootOfRising([&](double volts) { return law.current(volts); }, 0.0, options);
            EXPECT_NEAR(rest, 0.34, 1e-4) << ratio << " " << otherRatio;
        }
    }
}

TEST(RateLaw, RisesWithThePotentialForAnyLimits) {
    for (const double limit : {1e-6, 1e-2, 1e3}) {
        const RateLaw law = twoWay(std::log(1e-3), limit, 10.0 * limit);
        double last = -1e300;
        for (double volts = -1.0; volts < 1.5; volts += 0.01) {
            const double now = law.current(volts);
            EXPECT_GE(now, last - 1e-12 * std::abs(last)) << volts;
            last = now;
        }
    }
}

/// The difference over a short way on either side, at many potentials of many laws.
TEST(RateLaw, TheSlopeIsThatOfTheCurrent) {
    for (const double limit : {1e-6, 1e-2, 1e3, std::numeric_limits<double>::infinity()}) {
        for (const double porous : {0.0, 1e-4}) {
            RateLaw law = twoWay(std::log(1e-3), limit, 3.0 * limit);
            law.porousCrossover = porous;
            for (double volts = -0.6; volts < 1.2; volts += 0.013) {
                constexpr double kWay = 1e-6;
                const double rise = (law.current(volts + kWay) - law.current(volts - kWay)) / (2.0 * kWay);
                const double scale = std::max(std::abs(law.current(volts)), 1e-9);
                EXPECT_NEAR(law.at(volts).slope, rise, 1e-4 * std::abs(rise) + 1e-7 * scale)
                    << volts << " " << limit << " " << porous;
            }
        }
    }
}

/// A fast couple at two acidities a quarter of a pH apart, its oxidation soon short of what it needs.
std::pair<RateLaw, RateLaw> fastCouple() {
    RateLaw low = twoWay(std::log(50.0), 0.4, 1e3);
    RateLaw high = low;
    high.equilibriumVolts -= 0.0148;
    high.lnExchange -= 0.3;
    high.anodicLimit = 0.3;
    high.porousCrossover = low.porousCrossover = 2.0;
    return {low, high};
}

TEST(RateLaw, BetweenTwoAciditiesAFastCoupleFollowsTheAcidity) {
    const auto [low, high] = fastCouple();
    for (double share = 0.0; share <= 1.0; share += 0.125) {
        const RateLaw law = lawBetween(low, high, share);
        EXPECT_DOUBLE_EQ(law.equilibriumVolts, 0.34 - 0.0148 * share);
        EXPECT_NEAR(currentBetween(low, high, share, 0.34 - 0.0148 * share).value, 0.0, 1e-12) << share;
    }
    EXPECT_EQ(currentBetween(low, high, 0.0, 0.36).value, low.current(0.36));
    EXPECT_NEAR(currentBetween(low, high, 1.0, 0.36).value, high.current(0.36), 1e-12);
}

TEST(RateLaw, BetweenTwoAciditiesTheSlopesAreThoseOfTheCurrent) {
    const std::pair<RateLaw, RateLaw> couple = fastCouple();
    const RateLaw& low = couple.first;
    const RateLaw& high = couple.second;
    constexpr double kWay = 1e-6;
    for (double share = 0.1; share < 1.0; share += 0.2) {
        for (double volts = 0.2; volts < 0.5; volts += 0.013) {
            const auto at = [&](double v, double s) { return currentBetween(low, high, s, v).value; };
            const Moving now = currentBetween(low, high, share, volts);
            const double scale = 1e-5 * std::abs(now.value);
            const double perVolt = (at(volts + kWay, share) - at(volts - kWay, share)) / (2.0 * kWay);
            const double perShare = (at(volts, share + kWay) - at(volts, share - kWay)) / (2.0 * kWay);
            EXPECT_NEAR(now.perVolt, perVolt, 1e-4 * std::abs(perVolt) + scale) << share << " " << volts;
            EXPECT_NEAR(now.perShare, perShare, 1e-4 * std::abs(perShare) + scale) << share << " " << volts;
        }
    }
}

TEST(RateLaw, BetweenTwoAciditiesWhatIsAbsentAtBothStaysAway) {
    auto [low, high] = fastCouple();
    low.anodicOnly = high.anodicOnly = true;
    EXPECT_EQ(currentBetween(low, high, 0.5, 0.1).value, 0.0);
    low.anodicOnly = false;
    EXPECT_LT(currentBetween(low, high, 0.5, 0.1).value, 0.0) << "there at one of the two";
}

TEST(RateLaw, ApproachesItsLimits) {
    const RateLaw law = twoWay(std::log(1e-3), 0.5, 0.2);
    EXPECT_NEAR(law.current(1.5), 0.5, 1e-3);
    EXPECT_NEAR(law.current(-1.5), -0.2, 1e-3);
}

TEST(RateLaw, OneWayRoutesNeverRunBackwards) {
    RateLaw law = twoWay(std::log(1e-3), 1.0, 1.0);
    law.anodicOnly = true;
    EXPECT_EQ(law.current(0.0), 0.0);
    EXPECT_GT(law.current(0.6), 0.0);
}

TEST(RateLaw, AtItsOwnPotentialAOneWayRouteDoesNotRun) {
    RateLaw law = twoWay(std::log(1e-3), 1.0, 1.0);
    EXPECT_GT(law.at(law.equilibriumVolts).slope, 0.0);
    law.anodicOnly = true;
    EXPECT_EQ(law.at(law.equilibriumVolts).slope, 0.0);
    law.anodicOnly = false;
    law.cathodicOnly = true;
    EXPECT_EQ(law.at(law.equilibriumVolts).slope, 0.0) << "a search that comes by would stay there";
}

TEST(RateLaw, PorousLayersDoubleTheSlopeAtHighRate) {
    RateLaw law = twoWay(std::log(1e-3), 1e9, 1e9);
    law.porousCrossover = 1e-2;
    const double low = 0.34 + 0.25;
    const double high = low + 0.10;
    const double plainGrowth = std::log(twoWay(std::log(1e-3), 1e9, 1e9).current(high) /
                                        twoWay(std::log(1e-3), 1e9, 1e9).current(low));
    const double porousGrowth = std::log(law.current(high) / law.current(low));
    EXPECT_NEAR(porousGrowth / plainGrowth, 0.5, 0.02);
}

TEST(ElectrodeModel, CurrentRisesWithPotentialOnEveryMaterial) {
    for (const char* material : {"zinc", "copper", "aluminium", "lead", "lead dioxide", "graphite",
                                 "activated carbon", "carbon felt", "MnO2"}) {
        for (const char* liquid :
             {R"({"ready":"lemon juice","volume_mL":50})",
              R"({"water_mL":50,"solutes":[{"substance":"NaOH","mol_per_L":2}]})",
              R"({"water_mL":50,"solutes":[{"substance":"H2SO4","mol_per_L":2}]})", R"({"water_mL":50})"}) {
            const test::Filled filled(
                std::string(R"({"negative":{"material":")") + material +
                R"(","wetted_area_cm2":10},"positive":{"material":"copper","wetted_area_cm2":10},"electrolyte":)" +
                liquid + "}");
            for (const Moment moment : {Moment::First, Moment::Settled}) {
                const ElectrodeModel model(filled.at(design::Side::Negative), secondsOf(moment));
                double last = -1e300;
                for (double volts = -3.0; volts <= 3.0; volts += 0.05) {
                    const double now = model.currentAt(volts);
                    ASSERT_GE(model.at(volts).slope, 0.0) << material << liquid << volts;
                    ASSERT_TRUE(std::isfinite(now)) << material << liquid << volts;
                    ASSERT_GE(now, last - 1e-12 * std::abs(last)) << material << liquid << volts;
                    last = now;
                }
                EXPECT_NEAR(model.currentAt(model.potentialAt(0.0)), 0.0, 1e-6) << material << liquid;
            }
        }
    }
}

} // namespace
} // namespace anodex::electrode
