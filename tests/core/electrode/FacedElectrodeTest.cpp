#include "core/cell/Polarisation.h"
#include "core/design/Resolve.h"
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <array>
#include <cmath>
#include <gtest/gtest.h>

namespace anodex::electrode {
namespace {

using cell::Polarisation;
using design::Side;
using namespace test::json;

cell::Evaluation evaluated(const char* negative, const char* positive, const Json& liquid) {
    return test::evaluated(cellWith(electrodeJson(negative, 10), electrodeJson(positive, 10), liquid).dump());
}

TEST(Faces, MagnesiumMakesItsOwnAlkaliInBrine) {
    const auto e = evaluated("magnesium", "graphite", water({{"NaCl", 0.6}}));
    EXPECT_NEAR(e.side(Side::Negative).facePh, 10.3, 0.4) << "where its hydroxide falls out";
}

TEST(Faces, ALoadTurnsTheDioxideInBrineAlkalineAndASaltOfAmmoniaHoldsIt) {
    const auto brine = evaluated("zinc", "MnO2", water({{"NaCl", 2.0}}));
    const auto ammonia = evaluated("zinc", "MnO2", water({{"NH4Cl", 2.0}}));
    EXPECT_LT(ammonia.side(Side::Positive).facePhAtPower, 9.5) << "about the pK of ammonia";
    EXPECT_GT(brine.side(Side::Positive).facePhAtPower, 10.5);
    EXPECT_GT(ammonia.settled.maximumPower.watts, 1.3 * brine.settled.maximumPower.watts);
}

TEST(Faces, OfStrongLiquidsAreAsTheLiquid) {
    for (const Json& liquid : {water({{"H2SO4", 1.0}}), water({{"KOH", 4.0}}), ready("lemon juice")}) {
        const auto e = evaluated("zinc", "graphite", liquid);
        const double pH = e.contents->solution(Side::Negative).pH;
        EXPECT_NEAR(e.side(Side::Negative).facePh, pH, 0.15) << liquid.dump();
        EXPECT_NEAR(e.side(Side::Positive).facePh, pH, 0.15) << liquid.dump();
    }
}

TEST(Faces, CorrodingSteelInBrineSettlesWhereItsHydroxideFallsOut) {
    const auto e = evaluated("steel", "graphite", water({{"NaCl", 0.6}}));
    EXPECT_GT(e.side(Side::Negative).facePh, 8.0);
    EXPECT_LT(e.side(Side::Negative).facePh, 9.8);
}

/// Each answer is found from others that are known, but does not depend on which.
TEST(Faces, SitAlikeInWhateverOrderTheyAreAsked) {
    for (const formats::EmbeddedFile& file : formats::embeddedFiles()) {
        if (!file.name.starts_with("starters/")) {
            continue;
        }
        const test::Filled filled(*design::resolve(test::catalogue(), *formats::readCellFile(file.content)));
        for (const Moment moment : {Moment::First, Moment::Settled}) {
            const Polarisation up(filled.compiled, filled.contents, moment);
            const Polarisation down(filled.compiled, filled.contents, moment);
            const double most = up.shortCircuitAmps();
            std::array<double, 9> volts{};
            for (std::size_t i = 0; i < volts.size(); ++i) {
                volts[i] = up.voltsAt(most * 0.1 * static_cast<double>(i + 1));
            }
            for (std::size_t i = volts.size(); i-- > 0;) {
                EXPECT_NEAR(down.voltsAt(most * 0.1 * static_cast<double>(i + 1)), volts[i], 1e-6)
                    << file.name << ' ' << i;
            }
            EXPECT_EQ(up.voltsAt(most * 0.1 * 3.0), volts[2]) << file.name << ": asked again";
        }
    }
}

/// Every starter: a load that has just begun finds the rest, and every balance of current holds.
TEST(Faces, ALoadBeginsAtRestAndCurrentsAddUp) {
    for (const formats::EmbeddedFile& file : formats::embeddedFiles()) {
        if (!file.name.starts_with("starters/")) {
            continue;
        }
        const test::Filled filled(*design::resolve(test::catalogue(), *formats::readCellFile(file.content)));
        const Polarisation first(filled.compiled, filled.contents, Moment::First);
        const Polarisation settled(filled.compiled, filled.contents, Moment::Settled);
        const double most = settled.shortCircuitAmps();
        for (const Side side : {Side::Negative, Side::Positive}) {
            EXPECT_NEAR(first.potentialAt(side, 0.0), settled.restVolts(side), 1e-8) << file.name;
            for (const double share : {0.0, 0.01, 0.3, 1.0}) {
                double sum = side == Side::Negative ? -share * most : share * most;
                for (const Partial& partial :
                     settled.electrode(side).partialsAt(settled.seatAt(side, share * most))) {
                    sum += partial.amps;
                }
                EXPECT_NEAR(sum, 0.0, 1e-6 * std::abs(most) + 1e-12) << file.name << ' ' << share;
            }
        }
    }
}

TEST(Faces, TheVoltageNeverRisesWithTheLoad) {
    for (const char* positive : {"graphite", "copper", "MnO2", "steel", "activated carbon"}) {
        for (const char* negative : {"zinc", "aluminium", "magnesium", "steel", "tin"}) {
            for (const Json& liquid :
                 {water({{"NaCl", 0.6}}), water({{"Na2SO4", 0.5}}), ready("tap water")}) {
                const test::Filled filled(
                    cellWith(electrodeJson(negative, 10), electrodeJson(positive, 10), liquid).dump());
                const Polarisation curve(filled.compiled, filled.contents, Moment::Settled);
                const double most = curve.shortCircuitAmps();
                double last = 1e300;
                for (int i = 0; i <= 40; ++i) {
                    const double volts = std::copysign(1.0, most) * curve.voltsAt(most * i / 40.0);
                    EXPECT_LE(volts, last + 1e-7) << negative << ' ' << positive << ' ' << liquid.dump() << i;
                    last = volts;
                }
            }
        }
    }
}

/// Far beyond what the cell gives, both ways: until gas rises and what the metal takes no longer decides.
TEST(Faces, NoSurfaceFallsBackWhileItsCurrentRises) {
    for (const char* material : {"zinc", "aluminium", "magnesium", "steel", "copper", "lead", "tin", "nickel",
                                 "silver", "stainless steel", "graphite", "MnO2", "silver oxide"}) {
        for (const Json& liquid :
             {water({{"NaCl", 0.6}}), water({{"Na2SO4", 0.5}}), water({{"Na2CO3", 0.3}}),
              water({{"acetic acid", 1.0}}), water({{"KOH", 0.1}}), ready("bleach"), ready("tap water")}) {
            const test::Filled filled(
                cellWith(electrodeJson(material, 10), electrodeJson("graphite", 10), liquid).dump());
            for (const double sign : {-1.0, 1.0}) {
                const Polarisation curve(filled.compiled, filled.contents, Moment::Settled);
                double last = curve.restVolts(Side::Negative);
                for (double amps = 1e-6; amps < 10.0; amps *= 1.3) {
                    const double volts = curve.potentialAt(Side::Negative, sign * amps);
                    EXPECT_GE(sign * (volts - last), -1e-6)
                        << material << ' ' << liquid.dump() << ' ' << sign * amps;
                    last = volts;
                }
            }
        }
    }
}

TEST(Faces, AMetalMixedInAsFilingsTakesPart) {
    Json mixed = electrodeJson("graphite", 10);
    mixed["additives"] = {{{"material", "zinc"}, {"mass_g", 1.0}}};
    const auto rest = [](const Json& electrode) {
        return test::evaluated(
                   cellWith(electrode, electrodeJson("copper", 10), water({{"NaCl", 0.6}})).dump())
            .side(Side::Negative)
            .restVolts;
    };
    EXPECT_NEAR(rest(mixed), rest(electrodeJson("zinc", 10)), 0.05);
    EXPECT_GT(rest(electrodeJson("graphite", 10)), 0.0);
}

} // namespace
} // namespace anodex::electrode
