#include "core/pack/OnLoad.h"
#include "core/cell/Evaluation.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>

namespace anodex::pack {
namespace {

using cell::CompiledCell;
using cell::Evaluation;
using cell::Polarisation;
using load::Load;
using Kind = Load::Kind;

class OnLoad : public testing::TestWithParam<const char*> {
protected:
    OnLoad()
        : m_cell(test::cellOf(json())), m_evaluation(cell::evaluate(test::catalogue(), m_cell)),
          m_compiled(cell::compile(test::catalogue(), m_cell)),
          m_curve(m_compiled, *m_evaluation.contents, electrode::Moment::First) {}

    static std::string json() {
        const std::string name = GetParam();
        return name == "beakers" ? test::beakers() : name == "lemon" ? test::lemon() : test::leadAcid(30);
    }
    std::optional<double> amps(const Load& load) const {
        return ampsOn(m_curve, m_evaluation.first.shortCircuitAmps, load);
    }

    design::Cell m_cell;
    Evaluation m_evaluation;
    CompiledCell m_compiled;
    Polarisation m_curve;
};

TEST_P(OnLoad, AResistorHasOhmsLaw) {
    for (const double ohm : {0.1, 10.0, 1e3, 1e6}) {
        const auto drawn = amps({Kind::Resistor, ohm, {}});
        ASSERT_TRUE(drawn) << ohm;
        EXPECT_NEAR(m_curve.voltsAt(*drawn), *drawn * ohm, 1e-4) << ohm;
    }
}

TEST_P(OnLoad, ACurrentIsCarriedUpToTheShortCircuit) {
    const double most = m_evaluation.first.shortCircuitAmps;
    EXPECT_EQ(amps({Kind::Current, 0.5 * most, {}}), 0.5 * most);
    EXPECT_FALSE(amps({Kind::Current, 1.01 * most, {}}));
}

TEST_P(OnLoad, APowerIsCarriedUpToTheBestOnTheSideOfRest) {
    const auto& best = m_evaluation.first.maximumPower;
    const auto drawn = amps({Kind::Power, 0.8 * best.watts, {}});
    ASSERT_TRUE(drawn);
    EXPECT_LT(*drawn, best.amps);
    EXPECT_NEAR(*drawn * m_curve.voltsAt(*drawn), 0.8 * best.watts, 1e-3 * best.watts);
    EXPECT_FALSE(amps({Kind::Power, 1.05 * best.watts, {}}));
}

TEST_P(OnLoad, ADeviceTakesWhatItsLineSays) {
    for (const load::Device& device : test::catalogue().loads) {
        if (!device.isKnown()) {
            continue;
        }
        const auto drawn = amps({Kind::Device, 0.0, device});
        ASSERT_TRUE(drawn) << device.id;
        const double volts = m_curve.voltsAt(*drawn);
        EXPECT_NEAR(load::ampsAt(device, volts), *drawn,
                    1e-3 * m_evaluation.first.shortCircuitAmps + 0.02 * *drawn)
            << device.id;
    }
}

TEST_P(OnLoad, AShareIsOfTheShortCircuit) {
    EXPECT_EQ(amps({Kind::Share, 0.25, {}}), 0.25 * m_evaluation.first.shortCircuitAmps);
}

INSTANTIATE_TEST_SUITE_P(Cells, OnLoad, testing::Values("beakers", "lemon", "lead"));

TEST(OnLoadOfSwappedLeads, BothSignsTurn) {
    const design::Cell cell = test::cellOf(test::lemon());
    design::Cell swapped = cell;
    std::swap(swapped.electrodes[0], swapped.electrodes[1]);
    const Evaluation evaluation = cell::evaluate(test::catalogue(), swapped);
    ASSERT_LT(evaluation.openCircuitVolts, 0.0);
    const CompiledCell compiled = cell::compile(test::catalogue(), swapped);
    const Polarisation curve(compiled, *evaluation.contents, electrode::Moment::First);
    for (const Load& load :
         {Load{Kind::Resistor, 1e3, {}}, Load{Kind::Current, 1e-4, {}}, Load{Kind::Power, 1e-5, {}}}) {
        const auto drawn = ampsOn(curve, evaluation.first.shortCircuitAmps, load);
        ASSERT_TRUE(drawn);
        EXPECT_LT(*drawn, 0.0);
        EXPECT_NEAR(load::ampsAt(load, -curve.voltsAt(*drawn)), -*drawn, 1e-6);
    }
}

} // namespace
} // namespace anodex::pack
