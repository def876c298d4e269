#include "core/electrode/ElectrodeModel.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <cmath>
#include <gtest/gtest.h>

namespace anodex::electrode {
namespace {

using namespace test::json;

TEST(Route, ItsSlopeIsThatOfItsCurrentAlsoWhereItTakesAShareOfAnothers) {
    const test::Filled filled(
        cellWith(electrodeJson("magnesium", 20), electrodeJson("graphite", 20), water({{"NaCl", 1}})).dump());
    const ElectrodeModel model(filled.at(design::Side::Negative), secondsOf(Moment::Settled));
    int taking = 0;
    for (const Route& route : model.routes()) {
        for (const double volts : {-1.45, -1.35, -1.2}) {
            constexpr double kStep = 1e-5; // V
            const double rise = (route.current(volts + kStep) - route.current(volts - kStep)) / (2.0 * kStep);
            EXPECT_NEAR(route.at(volts).slope, rise, 1e-4 * std::abs(rise) + 1e-12)
                << test::catalogue().reactions[route.reaction].id << " at " << volts;
            taking += route.takenShare > 0.0 && rise < -1e-9 ? 1 : 0;
        }
    }
    EXPECT_GT(taking, 0) << "magnesium gives hydrogen with its current";
}

} // namespace
} // namespace anodex::electrode
