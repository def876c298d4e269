#include "core/load/Load.h"

#include <gtest/gtest.h>

namespace anodex::load {
namespace {

using Kind = Load::Kind;

TEST(Load, TakesWhatItsKindSays) {
    EXPECT_NEAR(ampsAt(Load{Kind::Resistor, 10.0, {}}, 0.5), 0.05, 1e-15);
    EXPECT_EQ(ampsAt(Load{Kind::Current, 0.005, {}}, 0.1), 0.005);
    EXPECT_NEAR(ampsAt(Load{Kind::Power, 0.02, {}}, 0.5), 0.04, 1e-15);
    EXPECT_EQ(ampsAt(Load{Kind::Share, 0.5, {}}, 0.5), 0.0) << "of what, only the cell knows";
    Device device;
    device.amps = {{1.0, 0.0}, {2.0, 0.01}};
    EXPECT_NEAR(ampsAt(Load{Kind::Device, 0.0, device}, 1.5), 0.005, 1e-15);
}

} // namespace
} // namespace anodex::load
