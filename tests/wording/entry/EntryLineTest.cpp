#include "wording/entry/EntryLine.h"
#include "tests/wording/entry/EntrySamples.h"
#include "wording/PartText.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>
#include <iostream>
#include <iterator>

namespace anodex::wording {
namespace {

using Kind = Entry::Kind;

struct Phrase {
    const char* text;
    ReadingQuantity quantity;
    double value;
    ReadingSide side = ReadingSide::Whole;
    double loadOhm = 0.0;
    int secondsAgo = 0;
    const char* note = "";
};

class EntryLineUnderstands : public testing::TestWithParam<Phrase> {};

TEST_P(EntryLineUnderstands, TheReading) {
    const Phrase& phrase = GetParam();
    const Entry entry = readEntry(phrase.text, kNow);
    ASSERT_EQ(entry.kind, Kind::Reading) << phrase.text << " → " << entry.echo;
    EXPECT_EQ(entry.reading.quantity, phrase.quantity) << phrase.text;
    EXPECT_NEAR(entry.reading.value, phrase.value, 1e-9 + 1e-9 * std::abs(phrase.value)) << phrase.text;
    EXPECT_EQ(entry.reading.side, phrase.side) << phrase.text;
    EXPECT_NEAR(entry.reading.loadOhm.value_or(0.0), phrase.loadOhm, 1e-9) << phrase.text;
    EXPECT_EQ(kNow - entry.reading.when, phrase.secondsAgo * 1000LL) << phrase.text;
    EXPECT_EQ(entry.reading.note, phrase.note) << phrase.text;
    EXPECT_FALSE(entry.echo.empty());
}

INSTANTIATE_TEST_SUITE_P(
    Phrases, EntryLineUnderstands,
    testing::Values(
        Phrase{"1.02 V", kOcv, 1.02}, Phrase{"1,02 V", kOcv, 1.02}, Phrase{"1,02V", kOcv, 1.02},
        Phrase{"1020 mV", kOcv, 1.02}, Phrase{"1.02 v", kOcv, 1.02}, Phrase{"1.02 volts", kOcv, 1.02},
        Phrase{"ocv 1.02", kOcv, 1.02}, Phrase{"OCV 1.02 V", kOcv, 1.02}, Phrase{"open 1.02 V", kOcv, 1.02},
        Phrase{"open circuit voltage 1.02 V", kOcv, 1.02}, Phrase{"open circuit is 1.02", kOcv, 1.02},
        Phrase{"-0.3 V", kOcv, -0.3}, Phrase{"\u22120.3 V", kOcv, -0.3}, Phrase{"+0.3 V", kOcv, 0.3},
        Phrase{"1.02 V after stirring", kOcv, 1.02, kWhole, 0, 0, "after stirring"},
        Phrase{"1.02 V 12 min ago", kOcv, 1.02, kWhole, 0, 720},
        Phrase{"12 min ago 1.02 V", kOcv, 1.02, kWhole, 0, 720},
        Phrase{"1.02 V 2 h ago", kOcv, 1.02, kWhole, 0, 7200},
        Phrase{"1.02 V 3 days ago", kOcv, 1.02, kWhole, 0, 259200},
        Phrase{"0.8 V through 10 ohm", kLoad, 0.8, kWhole, 10},
        Phrase{"0.8 V at 10 Ω", kLoad, 0.8, kWhole, 10},
        Phrase{"0.8 V across 1 kΩ", kLoad, 0.8, kWhole, 1000},
        Phrase{"load 22 ohm 0.8 V", kLoad, 0.8, kWhole, 22}, Phrase{"0.8 V into 22R", kLoad, 0.8, kWhole, 22},
        Phrase{"short 35 mA", kShort, 0.035}, Phrase{"short circuit 35 mA", kShort, 0.035},
        Phrase{"35 mA short", kShort, 0.035}, Phrase{"isc 35mA", kShort, 0.035},
        Phrase{"sc 0,035 A", kShort, 0.035}, Phrase{"shorted 350 µA", kShort, 0.00035},
        Phrase{"35 mA", kAmps, 0.035}, Phrase{"350 uA", kAmps, 0.00035},
        Phrase{"12 mA through 47 ohm", kAmps, 0.012, kWhole, 47}, Phrase{"pH 4.2", kPh, 4.2},
        Phrase{"ph 4,2", kPh, 4.2}, Phrase{"pH 4.2 neg", kPh, 4.2, kNegative},
        Phrase{"pH neg 4.2", kPh, 4.2, kNegative}, Phrase{"pH 9 pos", kPh, 9, kPositive},
        Phrase{"+ pH 9", kPh, 9, kPositive}, Phrase{"- pH 3", kPh, 3, kNegative},
        Phrase{"12.5 ohm", kOhm, 12.5}, Phrase{"resistance 3 Ω", kOhm, 3.0}, Phrase{"20 °C", kTemp, 293.15},
        Phrase{"temp 21.5", kTemp, 294.65}, Phrase{"temperature 21 C", kTemp, 294.15},
        Phrase{"density 1.28", kDensity, 1280}, Phrase{"1.28 g/mL", kDensity, 1280},
        Phrase{"mass neg 12.3 g", kMass, 0.0123, kNegative}, Phrase{"weight 0.5 kg", kMass, 0.5},
        Phrase{"0.8 V under load", kLoad, 0.8}, Phrase{"loaded 0.8 V", kLoad, 0.8},
        Phrase{"voltage 1.02 V", kOcv, 1.02}, Phrase{"current 35 mA", kAmps, 0.035},
        Phrase{"level 34 mm", kLevel, 0.034}, Phrase{"level 3.4 cm", kLevel, 0.034}),
    test::named(&Phrase::text));

struct NotAReading {
    const char* text;
    Kind kind;
};

class EntryLineKeeps : public testing::TestWithParam<NotAReading> {};

TEST_P(EntryLineKeeps, WhatIsNoReadingAsWords) {
    const Entry entry = readEntry(GetParam().text, kNow);
    EXPECT_EQ(entry.kind, GetParam().kind) << GetParam().text << " → " << entry.echo;
    if (entry.kind == Kind::Note) {
        EXPECT_EQ(entry.event.text, GetParam().text);
        EXPECT_FALSE(entry.event.changesCell);
        EXPECT_TRUE(entry.echo.starts_with("note: ")) << entry.echo;
    }
}

INSTANTIATE_TEST_SUITE_P(
    Wrong, EntryLineKeeps,
    testing::Values(NotAReading{"1.02 Q", Kind::Note}, NotAReading{"1.02 kg V", Kind::Note},
                    NotAReading{"1..02 V", Kind::Note}, NotAReading{"1.02.3 V", Kind::Note},
                    NotAReading{"V 1.02x", Kind::Note}, NotAReading{"pH", Kind::Note},
                    NotAReading{"pH 99", Kind::Question}, NotAReading{"pH acid", Kind::Note},
                    NotAReading{"pH 4 V", Kind::Note}, NotAReading{"short 1.2 V", Kind::Note},
                    NotAReading{"open 3 mA", Kind::Note}, NotAReading{"900 V", Kind::Question},
                    NotAReading{"5000 A", Kind::Question}, NotAReading{"-5 ohm", Kind::Question},
                    NotAReading{"900 °C", Kind::Question}, NotAReading{"density 90", Kind::Question},
                    NotAReading{"20 mL", Kind::Note}, NotAReading{"mass heavy", Kind::Note},
                    NotAReading{"looks cloudy", Kind::Note}, NotAReading{"level high", Kind::Note},
                    NotAReading{"12 min ago", Kind::Note}, NotAReading{"ohm", Kind::Note},
                    NotAReading{"", Kind::Nothing}, NotAReading{"   ", Kind::Nothing}),
    test::named(&NotAReading::text));

TEST(EntryLine, AChoiceIsTypedAsItIsMeant) {
    const Entry asked = readEntry("1,234 mV", kNow, lemon());
    ASSERT_EQ(asked.question.choices.size(), 2U);
    for (const std::string& choice : asked.question.choices) {
        const Entry meant = readEntry(choice, kNow, lemon(), true);
        EXPECT_EQ(meant.kind, Kind::Reading) << choice;
    }
    const Entry far = readEntry("1020 V", kNow, lemon());
    EXPECT_NE(std::find(far.question.choices.begin(), far.question.choices.end(), "1020 mV"),
              far.question.choices.end());
    EXPECT_EQ(readEntry("12 V", kNow, lemon(), true).kind, Kind::Reading) << "asked about once";
}

TEST(EntryLine, SeveralReadingsOfOneLineAreAllKept) {
    const Entry entry = readEntry("0.9 V 1 mA 21 °C", kNow, lemon());
    ASSERT_EQ(entry.kind, Kind::Reading);
    ASSERT_EQ(entry.also.size(), 2U);
    EXPECT_EQ(entry.also[0].quantity, kAmps);
    EXPECT_EQ(entry.also[1].quantity, kTemp);
}

TEST(EntryLine, OpenVoltsAndShortAmperesOfOneLineAreBothKept) {
    for (const char* text : {"1.02 V, 3 mA short", "short 3 mA 1.02 V", "open 1.02 V, short 3 mA",
                             "ocv 1.02 V isc 3 mA", "isc 3 mA; ocv 1.02 V"}) {
        const Entry entry = readEntry(text, kNow, lemon());
        ASSERT_EQ(entry.kind, Kind::Reading) << text << " → " << entry.echo;
        ASSERT_EQ(entry.also.size(), 1U) << text << " → " << entry.echo;
        const bool voltsFirst = entry.reading.quantity == kOcv;
        const record::Reading& volts = voltsFirst ? entry.reading : entry.also[0];
        const record::Reading& amps = voltsFirst ? entry.also[0] : entry.reading;
        EXPECT_EQ(volts.quantity, kOcv) << text;
        EXPECT_NEAR(volts.value, 1.02, 1e-12) << text;
        EXPECT_EQ(amps.quantity, kShort) << text;
        EXPECT_NEAR(amps.value, 0.003, 1e-12) << text;
        EXPECT_TRUE(entry.reading.note.empty()) << text << ": " << entry.reading.note;
    }
}

TEST(EntryLine, AFarCurrentIsOfferedInUnitsOfCurrent) {
    const Entry entry = readEntry("isc 2 A", kNow, lemon());
    ASSERT_EQ(entry.kind, Kind::Question);
    EXPECT_EQ(entry.question.choices, (std::vector<std::string>{"isc 2 A", "isc 2 mA"}));
}

TEST(EntryLine, EachClauseIsAReadingOfItsOwn) {
    const Entry entry = readEntry("open 1.02 V, 0.8 V at 100 ohm, 0.5 V at 10 ohm, short 90 mA", kNow, jar());
    ASSERT_EQ(entry.kind, Kind::Reading) << entry.echo;
    ASSERT_EQ(entry.also.size(), 3U);
    EXPECT_EQ(entry.reading.quantity, kOcv);
    EXPECT_EQ(entry.also[0].loadOhm, 100.0);
    EXPECT_EQ(entry.also[1].loadOhm, 10.0);
    EXPECT_EQ(entry.also[2].quantity, kShort);
    for (const char* text :
         {"1.02 open 0.7 loaded", "pH 4 and 21 C", "open: 1.0, short: 0.9", "21 °C pH 2.3", "sg 1.02 at 21 C",
          "open 1.0 V at 21 C", "1.02 V 12 min ago, 0.98 V now", "0.9 V (20°C)", "U = 1.0 V; temp 21"}) {
        const Entry two = readEntry(text, kNow, lemon());
        EXPECT_EQ(two.kind, Kind::Reading) << text << " → " << two.echo;
        EXPECT_EQ(two.also.size(), 1U) << text << " → " << two.echo;
    }
}

TEST(EntryLine, ALoadGoesByItsName) {
    struct Named {
        const char* text;
        const char* id;
    };
    for (const Named& named :
         {Named{"0.9 on the buzzer", "buzzer"}, Named{"0.1 mA into the LED", "led"},
          Named{"0.9 V with a red LED", "led-red"}, Named{"0.9 V LED (red)", "led-red"},
          Named{"clock runs on 1.1 V", "clock"}, Named{"0.4 V solar motor", "solar-motor"},
          Named{"0.4 V on two LEDs", "led"}, Named{"0.4 V lighting an infrared LED.", "led-infrared"}}) {
        const Entry entry = readEntry(named.text, kNow, lemon());
        ASSERT_EQ(entry.kind, Kind::Reading) << named.text << " → " << entry.echo;
        ASSERT_TRUE(entry.reading.device) << named.text;
        EXPECT_EQ(entry.reading.device->id, named.id) << named.text;
    }
    EXPECT_EQ(readEntry("0.9 on the buzzer", kNow, lemon()).echo, "under load 0.9\u00A0V on buzzer · now");
    EXPECT_FALSE(readEntry("0.9 V under the lamp", kNow, lemon()).reading.device);
}

TEST(EntryLine, ALoadThatHasBeenOnForAWhileSaysHowLong) {
    for (const char* text :
         {"0,71 v at 10k after 10 min", "after 10 min 0.71 V at 10k", "0.71 V 10k 10 min",
          "10 min later 0.71 V on 10k", "0.71 V (10k, 10 min)", "0.71 V at 1 mA after 600 s",
          "shorted 1 mA after 10 min", "0.71 V for 10 min on the clock"}) {
        const Entry entry = readEntry(text, kNow, lemon());
        ASSERT_EQ(entry.kind, Kind::Reading) << text << " → " << entry.echo;
        EXPECT_EQ(entry.reading.loadedSeconds, 600.0) << text;
        EXPECT_EQ(entry.reading.when, kNow) << text;
    }
    const Entry still = readEntry("at 10k 0.8 V, after 10 min 0.7 V", kNow, lemon());
    ASSERT_EQ(still.also.size(), 1U) << still.echo;
    EXPECT_EQ(still.also[0].loadOhm, 10000.0);
    EXPECT_EQ(still.also[0].loadedSeconds, 600.0);
    EXPECT_FALSE(readEntry("0.98 V after 10 min", kNow, lemon()).reading.loadedSeconds)
        << "nothing was on it";
}

TEST(EntryLine, TheLikelySlipIsNamed) {
    struct Slip {
        const char* text;
        const char* says;
        const char* choice;
    };
    for (const Slip& slip : {Slip{"short 1 A", "milli", "short 1 mA"}, Slip{"-0.98 V", "leads", "0.98 V"},
                             Slip{"102 V", "another range", "102 mV"}, Slip{"1020 V", "milli", "1020 mV"},
                             Slip{"short 35 mA", "another range", "short 35 mA"},
                             Slip{"0.9 V through 10 ohm", "load is larger", "open 0.9 V"},
                             Slip{"1.8 V on the red LED", "cells in a row", "1.8 V on the red LED"}}) {
        const Entry entry = readEntry(slip.text, kNow, lemon());
        ASSERT_EQ(entry.kind, Kind::Question) << slip.text;
        EXPECT_NE(entry.question.text.find(slip.says), std::string::npos) << entry.question.text;
        const auto& choices = entry.question.choices;
        EXPECT_NE(std::find(choices.begin(), choices.end(), slip.choice), choices.end()) << slip.text;
    }
}

TEST(EntryLine, AQuestionsChoicesAreUnderstood) {
    for (const char* text : {"0.95 V, 0.8 mA", "0.8 V at 10k, 0.95 V", "0.9 V at 20", "temp 68", "sg 1265",
                             "0.9 V through 1000", "short 30", "0.9"}) {
        const Entry asked = readEntry(text, kNow, lemon());
        ASSERT_EQ(asked.kind, Kind::Question) << text << " → " << asked.echo;
        for (const std::string& choice : asked.question.choices) {
            const Entry meant = readEntry(choice, kNow, lemon(), true);
            EXPECT_TRUE(meant.kind == Kind::Reading || choice.ends_with("(as a note)"))
                << text << " → " << choice << " → " << meant.echo;
        }
    }
}

TEST(EntryLine, DeedsBecomeEventsThatChangeTheCell) {
    for (const char* text : {"stirred", "added 20 mL water", "water added", "pressed the layers",
                             "topped up 10 mL", "cleaned the copper"}) {
        const Entry entry = readEntry(text, kNow);
        EXPECT_EQ(entry.kind, Kind::Event) << text;
        EXPECT_TRUE(entry.event.changesCell) << text;
        EXPECT_EQ(entry.event.text, text);
    }
    const Entry earlier = readEntry("stirred 5 min ago", kNow);
    EXPECT_EQ(earlier.event.when, kNow - 300'000);
    EXPECT_EQ(earlier.event.text, "stirred");
}

TEST(EntryLine, ReadsItsOwnSentences) {
    for (int quantity = 1; quantity <= 10; ++quantity) {
        for (const ReadingSide side : {ReadingSide::Whole, ReadingSide::Negative, ReadingSide::Positive}) {
            record::Reading reading;
            reading.quantity = static_cast<ReadingQuantity>(quantity);
            reading.side = side;
            reading.value = reading.quantity == ReadingQuantity::Temperature ? 295.65
                            : reading.quantity == ReadingQuantity::Density   ? 1234.0
                            : reading.quantity == ReadingQuantity::Acidity   ? 4.2
                                                                             : 0.5;
            if (reading.quantity == ReadingQuantity::LoadedVoltage) {
                reading.loadOhm = 22.0;
                reading.loadedSeconds = 600.0;
            }
            const std::string sentence = readingSentence(reading);
            const Entry entry = readEntry(sentence, kNow);
            ASSERT_EQ(entry.kind, Kind::Reading) << sentence;
            EXPECT_EQ(entry.reading.quantity, reading.quantity) << sentence;
            EXPECT_EQ(entry.reading.side, reading.side) << sentence;
            EXPECT_NEAR(entry.reading.value, reading.value, 1e-6 * reading.value) << sentence;
            EXPECT_EQ(entry.reading.loadOhm, reading.loadOhm) << sentence;
            EXPECT_EQ(entry.reading.loadedSeconds, reading.loadedSeconds) << sentence;
            EXPECT_EQ(entry.reading.note, "") << sentence;
        }
    }
}

TEST(EntryLine, EchoesItsUnderstanding) {
    EXPECT_EQ(readEntry("ocv 1.02", kNow).echo, "open circuit 1.02\u00A0V · now");
    EXPECT_EQ(readEntry("0.8 V through 10 ohm 12 min ago", kNow).echo,
              "under load 0.8\u00A0V through 10.0\u00A0Ω · 12\u00A0min ago");
    EXPECT_EQ(readEntry("pH 4.2 neg", kNow).echo, "pH 4.2, negative side · now");
}

} // namespace
} // namespace anodex::wording
