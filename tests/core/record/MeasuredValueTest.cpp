#include "core/record/MeasuredValue.h"

#include <gtest/gtest.h>

namespace anodex::record {
namespace {

Reading volts(double value, Millis when, bool struck = false) {
    Reading reading;
    reading.value = value;
    reading.when = when;
    reading.struckOut = struck;
    return reading;
}

TEST(MeasuredValue, IsTheLastOfItsKind) {
    Reading amps = volts(0.5, 900);
    amps.quantity = ReadingQuantity::ShortCircuitCurrent;
    const auto value = measuredValue({volts(1.0, 100), volts(1.1, 300), volts(1.05, 200), amps}, {},
                                     ReadingQuantity::OpenCircuitVoltage);
    ASSERT_TRUE(value);
    EXPECT_EQ(value->value, 1.1);
}

TEST(MeasuredValue, PassesOverWhatIsStruckOut) {
    EXPECT_EQ(measuredValue({volts(1.0, 100), volts(1.1, 300, true)}, {}, ReadingQuantity::OpenCircuitVoltage)
                  ->value,
              1.0);
}

TEST(MeasuredValue, ForgetsWhatCameBeforeAChange) {
    const std::vector<Event> events = {{"", "", 200, "stirred", true}, {"", "", 400, "looked at it", false}};
    EXPECT_FALSE(measuredValue({volts(1.0, 100)}, events, ReadingQuantity::OpenCircuitVoltage));
    EXPECT_TRUE(measuredValue({volts(1.0, 300)}, events, ReadingQuantity::OpenCircuitVoltage));
}

} // namespace
} // namespace anodex::record
