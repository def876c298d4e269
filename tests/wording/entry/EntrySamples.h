// tests/wording/entry/EntrySamples.h - two cells that lines are typed for, and short names for what is read.
#pragma once
#include "tests/support/Samples.h"
#include "wording/entry/EntryLine.h"

namespace anodex::wording {

using record::ReadingQuantity;
using record::ReadingSide;

inline constexpr record::Millis kNow = 1'800'000'000'000;

inline constexpr auto kOcv = ReadingQuantity::OpenCircuitVoltage;
inline constexpr auto kLoad = ReadingQuantity::LoadedVoltage;
inline constexpr auto kShort = ReadingQuantity::ShortCircuitCurrent;
inline constexpr auto kAmps = ReadingQuantity::Current;
inline constexpr auto kPh = ReadingQuantity::Acidity;
inline constexpr auto kOhm = ReadingQuantity::Resistance;
inline constexpr auto kTemp = ReadingQuantity::Temperature;
inline constexpr auto kDensity = ReadingQuantity::Density;
inline constexpr auto kMass = ReadingQuantity::Mass;
inline constexpr auto kLevel = ReadingQuantity::Level;
inline constexpr auto kWhole = ReadingSide::Whole;
inline constexpr auto kNegative = ReadingSide::Negative;
inline constexpr auto kPositive = ReadingSide::Positive;

// The lemon, and a jar of the same voltage that gives two hundred times as much.
inline EntryContext lemon() {
    return {1.0, 0.001, &test::catalogue().loads};
}
inline EntryContext jar() {
    return {1.0, 0.2, &test::catalogue().loads};
}

} // namespace anodex::wording
