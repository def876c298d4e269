// Curves of the catalogue's entries lie on their sources' points.
#include "core/explain/EntryCurves.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>

namespace anodex::explain {
namespace {

const chemistry::Catalogue& catalogue() {
    return test::catalogue();
}

std::size_t reaction(const std::string& equation) {
    const auto& all = catalogue().reactions;
    return static_cast<std::size_t>(
        std::find_if(all.begin(), all.end(), [&](const auto& one) { return one.equation == equation; }) -
        all.begin());
}

TEST(EntryCurves, EverySubstanceThatDissolvesHasThreeThatAreFiniteAndMeetTheSources) {
    std::size_t points = 0;
    for (std::size_t i = 0; i < catalogue().substances.size(); ++i) {
        const chemistry::Substance& substance = catalogue().substances[i];
        const auto curves = curvesOfSubstance(catalogue(), i);
        EXPECT_EQ(curves.empty(), substance.isSolvent || substance.dissolvesTo.empty()) << substance.name;
        for (const EntryCurve& curve : curves) {
            EXPECT_GT(curve.computed.size(), 20U) << substance.name;
            for (const base::TablePoint& point : curve.computed) {
                EXPECT_TRUE(std::isfinite(point.y)) << substance.name;
                EXPECT_GE(point.x, 0.0);
                EXPECT_LE(point.x, 100.0);
            }
            if (curve.of != CurveOf::Density || curve.computed.empty()) {
                continue;
            }
            for (const base::TablePoint& point : curve.given) {
                if (point.x <= curve.computed.back().x) {
                    EXPECT_NEAR(base::interpolated(curve.computed, point.x) / point.y, 1.0, 0.01)
                        << substance.name << " at " << point.x << " %";
                    ++points;
                }
            }
        }
    }
    EXPECT_GT(points, 200U);
}

TEST(EntryCurves, ASolutionHoldsItsSolventBackTheMoreTheStrongerItIs) {
    const auto salt = catalogue().substances.begin() + 1;
    ASSERT_EQ(salt->name, "sodium chloride");
    for (const EntryCurve& curve : curvesOfSubstance(catalogue(), 1)) {
        if (curve.of == CurveOf::SolventActivity) {
            EXPECT_NEAR(curve.computed.front().y, 1.0, 1e-3);
            EXPECT_NEAR(curve.computed.back().y, 0.753, 0.01); // saturated: Robinson & Stokes, from memory
        }
    }
}

TEST(EntryCurves, OxygenFallsByADecadesVoltageForEachUnitOfAcidity) {
    const auto curves = curvesOfReaction(catalogue(), reaction("O2(g) + 4 H+ + 4 e- = 2 H2O(l)"));
    ASSERT_EQ(curves.size(), 1U);
    EXPECT_NEAR(curves[0].computed.front().y, 1.229, 0.003);
    EXPECT_NEAR((curves[0].computed.back().y - curves[0].computed.front().y) / 14.0, -0.0592, 2e-4);
}

TEST(EntryCurves, WhatTakesHydroxideFallsTooAndAMetalInItsIonsStaysLevel) {
    const auto zincate = curvesOfReaction(catalogue(), reaction("Zn(OH)4^2- + 2 e- = Zn(s) + 4 OH-"));
    ASSERT_EQ(zincate.size(), 1U);
    EXPECT_NEAR(zincate[0].computed.back().y, -1.199, 0.003);
    EXPECT_LT(zincate[0].computed.back().y, zincate[0].computed.front().y);
    EXPECT_TRUE(curvesOfReaction(catalogue(), reaction("Zn2+ + 2 e- = Zn(s)")).empty());
}

} // namespace
} // namespace anodex::explain
