#include "wording/TypedLoad.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>

namespace anodex::wording {
namespace {

using Kind = load::Load::Kind;

TypedLoad typed(const char* text) {
    return typedLoad(text, test::catalogue().loads);
}

TEST(TypedLoad, IsOhmsAmperesWattsOrAShare) {
    struct Row {
        const char* text;
        Kind kind;
        double value;
    };
    for (const Row& row :
         {Row{"1 kΩ", Kind::Resistor, 1e3}, Row{"1k", Kind::Resistor, 1e3},
          Row{"1 kohm", Kind::Resistor, 1e3}, Row{"4k7", Kind::Resistor, 4.7e3},
          Row{"2R2", Kind::Resistor, 2.2}, Row{"10 ohms", Kind::Resistor, 10}, Row{"10R", Kind::Resistor, 10},
          Row{"1,5 kΩ", Kind::Resistor, 1500}, Row{"5 mA", Kind::Current, 5e-3},
          Row{"5ma", Kind::Current, 5e-3}, Row{"350 uA", Kind::Current, 350e-6},
          Row{"0,02 A", Kind::Current, 0.02}, Row{"20 mW", Kind::Power, 0.02}, Row{"25 %", Kind::Share, 0.25},
          Row{"no load", Kind::Share, 0.0}, Row{"open", Kind::Share, 0.0}, Row{"short", Kind::Share, 1.0}}) {
        const TypedLoad read = typed(row.text);
        ASSERT_TRUE(read.load) << row.text;
        EXPECT_EQ(read.load->kind, row.kind) << row.text;
        EXPECT_NEAR(read.load->value, row.value, 1e-9 * row.value) << row.text;
    }
}

TEST(TypedLoad, IsADeviceByAnyOfItsNames) {
    for (const load::Device& device : test::catalogue().loads) {
        for (const std::string& name : device.names) {
            const TypedLoad read = typed(("a " + name).c_str());
            if (device.isKnown()) {
                ASSERT_TRUE(read.load) << name;
                EXPECT_EQ(read.load->device.id, device.id) << name;
            } else {
                ASSERT_TRUE(read.question) << name;
                EXPECT_EQ(read.question->choices.size(), device.mayBe.size());
                for (const std::string& choice : read.question->choices) {
                    EXPECT_TRUE(typed(choice.c_str()).load) << choice;
                }
            }
        }
    }
}

TEST(TypedLoad, WhatIsNoneIsAskedAbout) {
    for (const char* text :
         {"1000", "5", "1 MOHM", "1,234 ohm", "spoon", "5 V", "-5 mA", "0 ohm", "200 %", "1k 5 mA"}) {
        const TypedLoad read = typed(text);
        EXPECT_FALSE(read.load) << text;
        ASSERT_TRUE(read.question) << text;
        EXPECT_FALSE(read.question->text.empty()) << text;
    }
}

TEST(TypedLoad, ReadsItsOwnWords) {
    for (const char* text : {"1 kΩ", "4.7 kΩ", "5 mA", "20 mW", "red LED", "25 %"}) {
        const load::Load load = *typed(text).load;
        const TypedLoad again = typed(loadText(load).c_str());
        ASSERT_TRUE(again.load) << loadText(load);
        EXPECT_EQ(again.load->kind, load.kind);
        EXPECT_NEAR(again.load->value, load.value, 1e-9);
        EXPECT_EQ(again.load->device.id, load.device.id);
    }
}

} // namespace
} // namespace anodex::wording
