// By tenths of a pH, by one kelvin, by a twentieth of strength: every metal's rest moves a little, or something is said
// of it; and none floats.
#include "core/cell/Evaluation.h"
#include "core/findings/Findings.h"
#include "core/findings/UseFindings.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <gtest/gtest.h>
#include <optional>
#include <vector>

namespace anodex::findings {
namespace {

using design::Side;
using test::json::Json;

struct Metals {
    const char* negative;
    const char* positive;
};

constexpr Metals kBase[] = {
    {"zinc", "aluminium"}, {"magnesium", "steel"}, {"copper", "lead"}, {"tin", "nickel"}};
constexpr Metals kNoble[] = {{"silver", "titanium"},
                             {"stainless steel", "nichrome wire"},
                             {"brass", "graphite"},
                             {"manganese dioxide", "lead dioxide"},
                             {"silver oxide", "platinised titanium"}};

Json cellIn(const Metals& metals, const Json& liquid, bool air) {
    const Json negative = test::json::electrodeJson(metals.negative);
    const Json positive = test::json::electrodeJson(metals.positive);
    return air ? test::json::cellWith(negative, positive, liquid)
               : test::json::cellWith(test::json::airless(negative), test::json::airless(positive), liquid);
}

/// Many small steps of one thing.
struct Walk {
    int steps;
    double mostVolts; ///< By one of them.
    void (*take)(Json& design, int step);
};

constexpr Walk kAcidity{140, 0.03,
                        [](Json& design, int step) { design["electrolyte"]["measured_pH"] = 0.1 * step; }};
constexpr Walk kWarmth{58, 0.01, [](Json& design, int step) { design["temperature_C"] = 1 + step; }};
constexpr Walk kStrength{110, 0.03, [](Json& design, int step) {
                             design["electrolyte"]["solutes"][0]["mol_per_L"] = 5e-3 * std::pow(1.05, step);
                         }};

template <typename See> void follow(const Walk& walk, Json design, const See& see) {
    for (int step = 0; step <= walk.steps; ++step) {
        walk.take(design, step);
        const design::Cell cell = test::cellOf(design.dump());
        see(step, cell, cell::evaluate(test::catalogue(), cell, {0}));
    }
}

/// A film stands at its edge there, its rest is steep, a solid appears, or a rule tells of it.
bool isExplained(const std::vector<Finding>& found, Side side) {
    return std::any_of(found.begin(), found.end(), [&](const Finding& finding) {
        const bool own = finding.code == FindingCode::FilmUndecided ||
                         finding.code == FindingCode::RestSways || finding.code == FindingCode::Rule;
        return (own && finding.part == partOf(side)) || finding.code == FindingCode::Precipitate ||
               finding.code == FindingCode::Undissolved;
    });
}

void expectExplainedSteps(const Walk& walk, const Json& design) {
    struct Before {
        std::array<double, 2> volts{};
        std::vector<Finding> found;
    };
    std::optional<Before> before;
    follow(walk, design, [&](int step, const design::Cell& cell, const cell::Evaluation& evaluation) {
        Before now{{evaluation.sides[0].restVolts, evaluation.sides[1].restVolts},
                   findingsFor(test::catalogue(), cell, evaluation)};
        for (const Side side : {Side::Negative, Side::Positive}) {
            const auto index = static_cast<std::size_t>(side);
            if (before && std::abs(now.volts[index] - before->volts[index]) > walk.mostVolts) {
                EXPECT_TRUE(isExplained(before->found, side) || isExplained(now.found, side))
                    << test::catalogue().materials[cell.electrode(side).material].name << " in "
                    << design.dump() << ": " << before->volts[index] << " to " << now.volts[index]
                    << " at step " << step;
            }
        }
        before = std::move(now);
    });
}

class SmallSteps : public testing::TestWithParam<Metals> {
protected:
    static void expectExplained(const Walk& walk, const std::vector<Json>& liquids) {
        for (const Json& liquid : liquids) {
            for (const bool air : {false, true}) {
                expectExplainedSteps(walk, cellIn(GetParam(), liquid, air));
            }
        }
    }
};

TEST_P(SmallSteps, OfAcidity) {
    expectExplained(kAcidity, {test::json::water({{"NaCl", 0.5}}), test::json::water({{"Na2SO4", 0.3}})});
}

TEST_P(SmallSteps, OfWarmth) {
    expectExplained(kWarmth, {test::json::water({{"NaCl", 0.5}}), test::json::water({{"Na2SO4", 0.3}}),
                              test::json::water({{"KOH", 3}}), test::json::water({{"Na2CO3", 0.3}}),
                              test::json::water({{"citric acid", 0.3}}), test::json::water({{"H2SO4", 2}})});
}

TEST_P(SmallSteps, OfStrength) {
    expectExplained(kStrength, {test::json::water({{"NaCl", 0.5}}), test::json::water({{"Na2CO3", 0.3}}),
                                test::json::water({{"KOH", 3}}), test::json::water({{"H2SO4", 2}})});
}

INSTANTIATE_TEST_SUITE_P(Base, SmallSteps, testing::ValuesIn(kBase));
INSTANTIATE_TEST_SUITE_P(Noble, SmallSteps, testing::ValuesIn(kNoble));

class WithoutAir : public testing::TestWithParam<Metals> {};

/// Where its couples' windows leave a gap, a metal floats to whatever else there is.
TEST_P(WithoutAir, NoBaseMetalFloats) {
    for (const char* salt : {"NaCl", "Na2SO4", "NaHCO3", "sodium acetate", "MgSO4"}) {
        const Json liquid = test::json::water({{salt, 0.3}});
        follow(kAcidity, cellIn(GetParam(), liquid, false),
               [&](int step, const design::Cell&, const cell::Evaluation& evaluation) {
                   constexpr double kCopperInAcid = 0.35; // V
                   EXPECT_LT(evaluation.sides[0].restVolts, kCopperInAcid) << salt << ", step " << step;
                   EXPECT_LT(evaluation.sides[1].restVolts, 0.05) << salt << ", step " << step;
               });
    }
}

INSTANTIATE_TEST_SUITE_P(Base, WithoutAir, testing::ValuesIn(kBase));

/// Silver in alkali without air: the last digits of a search do not choose between two potentials.
TEST(RestWithoutAnything, MovesEvenly) {
    const Json design = cellIn({"silver", "titanium"}, test::json::water({{"KOH", 3}}), false);
    std::optional<double> before;
    follow(kWarmth, design, [&](int step, const design::Cell&, const cell::Evaluation& evaluation) {
        const double volts = evaluation.sides[0].restVolts;
        EXPECT_LT(std::abs(volts - before.value_or(volts)), 0.004) << step;
        before = volts;
    });
}

} // namespace
} // namespace anodex::findings
