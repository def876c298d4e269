// A hundred and thirty plain ways to write a reading down, and what must never be kept unasked.
#include "tests/wording/entry/EntrySamples.h"

#include <cmath>
#include <gtest/gtest.h>
#include <iostream>
#include <iterator>

namespace anodex::wording {
namespace {

using Kind = Entry::Kind;

struct Plain {
    const char* text;
    ReadingQuantity quantity;
    double value;
    double loadOhm = 0.0;
};

// As a person with wet gloves types them, of a lemon cell that gives about a volt and a milliampere.
constexpr Plain kPlain[] = {
    {"1.02 V", kOcv, 1.02},
    {"1,02 V", kOcv, 1.02},
    {"1.02v", kOcv, 1.02},
    {"1.02 volt", kOcv, 1.02},
    {"1020 mv", kOcv, 1.02},
    {"1 020 mV", kOcv, 1.02},
    {"1.020,5 mV", kOcv, 1.0205},
    {"1,020.5 mV", kOcv, 1.0205},
    {"1020 millivolts", kOcv, 1.02},
    {"V 1.02 V", kOcv, 1.02},
    {"open 1.02", kOcv, 1.02},
    {"open circuit 1.02 V", kOcv, 1.02},
    {"ocv: 1.02 V", kOcv, 1.02},
    {"OCV=1.02V", kOcv, 1.02},
    {"voc 980 mV", kOcv, 0.98},
    {"voltage is 0.98 V", kOcv, 0.98},
    {"reads 0.98 V", kOcv, 0.98},
    {"now 0.98 V", kOcv, 0.98},
    {"0.98 V now", kOcv, 0.98},
    {".98 V", kOcv, 0.98},
    {"0.98 V, warm", kOcv, 0.98},
    {"0.98 V after stirring", kOcv, 0.98},
    {"0.98 ± 0.02 V", kOcv, 0.98},
    {"9.8e-1 V", kOcv, 0.98},
    {"+0.98 V", kOcv, 0.98},
    {"~0.98 V", kOcv, 0.98},
    {"about 0.98 V", kOcv, 0.98},
    {"V=0.98", kOcv, 0.98},
    {"V 0.98", kOcv, 0.98},
    {"no load 0.98 V", kOcv, 0.98},
    {"no-load 0.98 V", kOcv, 0.98},
    {"0.98 V without the LED", kOcv, 0.98},
    {"0.98 V without a load", kOcv, 0.98},
    {"LED off 0.98 V", kOcv, 0.98},
    {"0.98 V, LED disconnected", kOcv, 0.98},
    {"0.98 V under the lamp", kOcv, 0.98},
    {"0.98 V (open)", kOcv, 0.98},
    {"watch out 0.98 V", kOcv, 0.98},
    {"short 3", kShort, 0.003},
    {"isc 2", kShort, 0.002},
    {"I=1", kAmps, 0.001},
    {"I = 1 mA", kAmps, 0.001},
    {"short 3 mA after 5 s", kShort, 0.003},
    {"0.71 V @10k", kLoad, 0.71, 10000},
    {"0.71V@10k", kLoad, 0.71, 10000},
    {"0.71 V/10k", kLoad, 0.71, 10000},
    {"10k: 0.71 V", kLoad, 0.71, 10000},
    {"10k 0.71", kLoad, 0.71, 10000},
    {"R=10k V=0.71", kLoad, 0.71, 10000},
    {"0.71 V on a 10k resistor", kLoad, 0.71, 10000},
    {"0.71 loaded", kLoad, 0.71},
    {"load 0.71", kLoad, 0.71},
    {"0.71 V under 1 mA", kLoad, 0.71, 710},
    {"it buzzes, 0.9 V", kLoad, 0.9},
    {"0.9 on the buzzer", kLoad, 0.9},
    {"0,71 v at 1k after 10 min", kLoad, 0.71, 1000},
    {"0.71 V (1k, 10 min)", kLoad, 0.71, 1000},
    {"shorted 3 ma", kShort, 0.003},
    {"short 3 mA", kShort, 0.003},
    {"short circuit 3 mA", kShort, 0.003},
    {"3 mA short", kShort, 0.003},
    {"3 ma shorted", kShort, 0.003},
    {"isc 3mA", kShort, 0.003},
    {"sc 0,003 A", kShort, 0.003},
    {"shorted: 850 uA", kShort, 0.00085},
    {"shorted 850 µA", kShort, 0.00085},
    {"short 850 microamps", kShort, 0.00085},
    {"short 1/2 mA", kShort, 0.0005},
    {"short ½ mA", kShort, 0.0005},
    {"short current 1 milliamp", kShort, 0.001},
    {"0.9 V 10 ohm", kLoad, 0.9, 10},
    {"0.9V 10R", kLoad, 0.9, 10},
    {"10 ohm 0.9 V", kLoad, 0.9, 10},
    {"0.9 V through 10 ohm", kLoad, 0.9, 10},
    {"0.9 V at 10 Ω", kLoad, 0.9, 10},
    {"0.9 V with 10 ohms", kLoad, 0.9, 10},
    {"0.9 V across 1 kohm", kLoad, 0.9, 1000},
    {"0.9 V over 4.7k", kLoad, 0.9, 4700},
    {"0.9 V load 22 ohm", kLoad, 0.9, 22},
    {"0.9 V across 4k7", kLoad, 0.9, 4700},
    {"0.9 V 2R2", kLoad, 0.9, 2.2},
    {"0.9 V @ 1 kohm", kLoad, 0.9, 1000},
    {"0.9 V on 22 ohm", kLoad, 0.9, 22},
    {"0.98 V across the terminals", kOcv, 0.98},
    {"0.98 V, may be falling", kOcv, 0.98},
    {"U = 0,98 V", kOcv, 0.98},
    {"0.98 V.", kOcv, 0.98},
    {"0.98 VDC", kOcv, 0.98},
    {"shorting gives 3 mA", kShort, 0.003},
    {"dead short 3 mA", kShort, 0.003},
    {"0.9 V through my toy", kLoad, 0.9},
    {"0.9 V driving a toy", kLoad, 0.9},
    {"emf 0.98 V", kOcv, 0.98},
    {"sg 1.265", kDensity, 1265},
    {"specific gravity 1.265", kDensity, 1265},
    {"weighs 12,3 g", kMass, 0.0123},
    {"900 mV 22 Ohm", kLoad, 0.9, 22},
    {"loaded 0.9 V", kLoad, 0.9},
    {"0.9 V under load", kLoad, 0.9},
    {"0.9 V with the LED", kLoad, 0.9},
    {"0.9 V on the motor", kLoad, 0.9},
    {"buzzer 0.9 V", kLoad, 0.9},
    {"0.9 V 1 mA", kLoad, 0.9, 900},
    {"0.9 V at 1 mA", kLoad, 0.9, 900},
    {"1 mA", kAmps, 0.001},
    {"1 mA through 470 ohm", kAmps, 0.001, 470},
    {"1 ma 470 ohm", kAmps, 0.001, 470},
    {"current 1 mA", kAmps, 0.001},
    {"pH 4.2", kPh, 4.2},
    {"ph 4,2", kPh, 4.2},
    {"PH=2.3", kPh, 2.3},
    {"pH is 2.3", kPh, 2.3},
    {"12 ohm", kOhm, 12},
    {"resistance 12", kOhm, 12},
    {"resistance 1.2 kohm", kOhm, 1200},
    {"20 mohm", kOhm, 0.02},
    {"20 °C", kTemp, 293.15},
    {"20 C", kTemp, 293.15},
    {"temp 20", kTemp, 293.15},
    {"68 F", kTemp, 293.15},
    {"68 °F", kTemp, 293.15},
    {"density 1.28", kDensity, 1280},
    {"1.28 g/mL", kDensity, 1280},
    {"1,28 kg/l", kDensity, 1280},
    {"mass 12.3 g", kMass, 0.0123},
    {"weight 0.5 kg", kMass, 0.5},
    {"level 34 mm", kLevel, 0.034},
    {"1.02 V 12 min ago", kOcv, 1.02},
    {"2 hours ago 1.02 V", kOcv, 1.02},
    {"1.02 V 3 days ago", kOcv, 1.02},
    {"1.02 V an hour in the sun", kOcv, 1.02},
};

TEST(EntryLine, PlainPhrasesAreUnderstoodUnasked) {
    ASSERT_GE(std::size(kPlain), 80U);
    std::size_t right = 0;
    for (const Plain& plain : kPlain) {
        const bool light = plain.loadOhm == 0.0 || plain.loadOhm > 500.0;
        const Entry entry = readEntry(plain.text, kNow, light ? lemon() : jar());
        const bool good =
            entry.kind == Kind::Reading && entry.reading.quantity == plain.quantity &&
            std::abs(entry.reading.value - plain.value) < 1e-9 + 1e-6 * std::abs(plain.value) &&
            std::abs(entry.reading.loadOhm.value_or(0.0) - plain.loadOhm) < 1e-6 + 1e-6 * plain.loadOhm;
        right += good ? 1 : 0;
        if (!good) {
            std::cout << plain.text << " → " << entry.echo << "\n";
        }
        // Asked about or kept as words, but never kept as something else.
        EXPECT_TRUE(good || entry.kind != Kind::Reading) << plain.text << " → " << entry.echo;
    }
    EXPECT_GE(right, std::size(kPlain) - 5);
}

TEST(EntryLine, TrapsAreNeverKeptUnasked) {
    const char* traps[] = {"1,234 mV",
                           "1,000 mV",
                           "short 1,500 mA",
                           "102 V",
                           "1020 V",
                           "1.02 mV",
                           "12 V",
                           "short 3 A",
                           "shorted 30 A",
                           "short 1 nA",
                           "3 A",
                           "5 MOHM",
                           "1.02",
                           "42",
                           "pH 42",
                           "pH -9",
                           "temp 900 C",
                           "900 °C",
                           "density 90",
                           "-5 ohm",
                           "1.02 V 0.98 V",
                           "1.02 V or 1.1 V",
                           "3 mA 4 mA",
                           "ocv 1.02 V 10 ohm",
                           "open 1.02 V under load",
                           "open circuit 0.9 V with the LED",
                           "1.02 V yesterday",
                           "1.02 V tomorrow",
                           "1.02 V on Monday",
                           "12:30 1.02 V",
                           "1.02 V at 12:30",
                           "1.02 V in 5 min",
                           "1.02 V later",
                           "0.001 V",
                           "5,000 mV",
                           "short 0,5 A",
                           "1,234 V",
                           "short 2,000 µA",
                           "1.02 kV",
                           "voltage 1020",
                           "isc 35",
                           "0.8 V through ten ohm",
                           "0.8 V into a few kohm",
                           "between 0.9 and 1.0 V",
                           "0.9 to 1.0 V",
                           "0.9 - 1.0 V",
                           "rose from 0.9 to 1.02 V",
                           "1.02 V on 3 March",
                           "March 3 1.02 V",
                           "1.02 V 2026-03-01",
                           "1.02 V 3.3.2026",
                           "1.02 V this morning",
                           "1.02 V last night",
                           "1.02 V an hour ago",
                           "1 ,02 V",
                           "1. 02 V",
                           "1 .02 V",
                           "3 1.02 V",
                           "1.02 V at noon",
                           "-0.98 V",
                           "\u22120.98 V",
                           "short 35 mA",
                           "0.9 V through 10 ohm",
                           "0.9 V through 1000",
                           "0.9 V at 20",
                           "0.9 V through 10M",
                           "temp 68",
                           "sg 1265",
                           "0.8 V at 10k, 0.95 V",
                           "0.95 V, 0.8 mA",
                           "1.8 V on the red LED",
                           "14h30 1.02 V",
                           "1.02 V fell to 0.8 V",
                           "0.9 / 0.8 mA",
                           "meter says 42"};
    ASSERT_GE(std::size(traps), 40U);
    for (const char* trap : traps) {
        const Entry entry = readEntry(trap, kNow, lemon());
        EXPECT_EQ(entry.kind, Kind::Question) << trap << " → " << entry.echo;
        EXPECT_FALSE(entry.question.text.empty()) << trap;
    }
}

} // namespace
} // namespace anodex::wording
