#include "core/electrode/Draw.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>
#include <vector>

namespace anodex::electrode {
namespace {

template <typename Take> std::vector<double> manyDraws(const Take& take) {
    std::vector<double> values;
    for (std::uint64_t sample = 0; sample < 4000; ++sample) {
        values.push_back(take(Draw::sampled(11, sample, 4000)));
    }
    std::sort(values.begin(), values.end());
    return values;
}

double quantile(const std::vector<double>& sorted, double share) {
    return sorted[static_cast<std::size_t>(share * static_cast<double>(sorted.size() - 1))];
}

TEST(Draw, TheNominalWorldIsTheCatalogueItself) {
    const Draw nominal = Draw::nominal();
    EXPECT_EQ(nominal.factor({InputKind::Rate, "a"}, {3.0, 10.0}), 3.0);
    EXPECT_EQ(nominal.offset({InputKind::Rate, "a"}, {-0.7, 0.1}), -0.7);
    EXPECT_EQ(nominal.logUniform({InputKind::Rate, "a"}, 1e-6, 1e-7, 1e-4), 1e-6);
}

TEST(Draw, FactorsHoldTheirFiveAndNinetyFivePercent) {
    const auto values = manyDraws([](const Draw& draw) {
        return draw.factor({InputKind::Rate, "rate"}, {2.0, 5.0});
    });
    EXPECT_NEAR(std::log(quantile(values, 0.05)), std::log(2.0 / 5.0), 0.08);
    EXPECT_NEAR(std::log(quantile(values, 0.50)), std::log(2.0), 0.06);
    EXPECT_NEAR(std::log(quantile(values, 0.95)), std::log(2.0 * 5.0), 0.08);
}

TEST(Draw, OffsetsHoldTheirFiveAndNinetyFivePercent) {
    const auto values = manyDraws([](const Draw& draw) {
        return draw.offset({InputKind::Onset, "onset"}, {-0.5, 0.05});
    });
    EXPECT_NEAR(quantile(values, 0.05), -0.55, 0.004);
    EXPECT_NEAR(quantile(values, 0.95), -0.45, 0.004);
}

TEST(Draw, LogUniformStaysInsideItsEnds) {
    const auto values = manyDraws([](const Draw& draw) {
        return draw.logUniform({InputKind::Trace, "trace"}, 1e-6, 1e-7, 1e-4);
    });
    EXPECT_GE(values.front(), 1e-7);
    EXPECT_LE(values.back(), 1e-4);
    EXPECT_NEAR(std::log10(quantile(values, 0.5)), -5.5, 0.1);
}

TEST(Draw, ExactValuesAreLeftAlone) {
    const Draw draw = Draw::sampled(1, 1, 9);
    EXPECT_EQ(draw.factor({InputKind::Roughness, "x"}, {4.0, 1.0}), 4.0);
    EXPECT_EQ(draw.offset({InputKind::Roughness, "x"}, {4.0, 0.0}), 4.0);
    EXPECT_EQ(draw.logUniform({InputKind::Roughness, "x"}, 4.0, 2.0, 2.0), 4.0);
}

TEST(Draw, TheSameInputDeviatesAlikeWithinOneWorld) {
    std::vector<DrawnInput> log;
    const Draw draw = Draw::sampled(3, 8, 9, &log);
    const double one = draw.factor({InputKind::Roughness, "area"}, {1.0, 2.0});
    EXPECT_EQ(draw.factor({InputKind::Roughness, "area"}, {1.0, 2.0}), one);
    EXPECT_NE(draw.factor({InputKind::Contacts, "gap"}, {1.0, 2.0}), one);
    ASSERT_EQ(log.size(), 3U);
    EXPECT_EQ(log[0].deviation, log[1].deviation);
    EXPECT_EQ(log[2].input.id, "gap");
    EXPECT_EQ(log[2].input.kind, InputKind::Contacts);
}

TEST(Draw, InputsDifferByKindEntryAndNumber) {
    const Draw draw = Draw::sampled(5, 2, 9);
    const auto of = [&](InputKind kind, const char* id, int which) {
        return draw.factor({kind, id, which}, {1.0, 2.0});
    };
    const double one = of(InputKind::Rate, "a", 0);
    EXPECT_NE(of(InputKind::Onset, "a", 0), one);
    EXPECT_NE(of(InputKind::Rate, "b", 0), one);
    EXPECT_NE(of(InputKind::Rate, "a", 1), one);
}

TEST(Draw, WorldsDifferBySeedAndSample) {
    const double first = Draw::sampled(1, 1, 9).factor({InputKind::Rate, "a"}, {1.0, 2.0});
    EXPECT_NE(Draw::sampled(1, 2, 9).factor({InputKind::Rate, "a"}, {1.0, 2.0}), first);
    EXPECT_NE(Draw::sampled(2, 1, 9).factor({InputKind::Rate, "a"}, {1.0, 2.0}), first);
}

} // namespace
} // namespace anodex::electrode
