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

TEST(MeasuredValue, OnALoadIsTheLastThatNamesIt) {
    Reading through = volts(0.8, 100);
    through.quantity = ReadingQuantity::LoadedVoltage;
    through.loadOhm = 10.0;
    Reading on = volts(0.7, 200);
    on.quantity = ReadingQuantity::LoadedVoltage;
    on.device = OnDevice{"buzzer", "buzzer"};
    Reading unnamed = volts(0.6, 300);
    unnamed.quantity = ReadingQuantity::LoadedVoltage;
    EXPECT_EQ(measuredOnLoad({through, on, unnamed, volts(1.0, 400)}, {})->value, 0.7);
    EXPECT_EQ(measuredOnLoad({through, unnamed}, {})->value, 0.8);
    EXPECT_FALSE(measuredOnLoad({unnamed}, {}));
}

} // namespace
} // namespace anodex::record
