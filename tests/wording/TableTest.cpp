// data/texts: every pattern reads, every id the sources name is there, nothing is there in vain.
#include "formats/CellFile.h"
#include "tests/support/Samples.h"
#include "wording/ChangeText.h"
#include "wording/Texts.h"

#include <gtest/gtest.h>

namespace anodex::wording {
namespace {

using base::Said;

TEST(Texts, AreWholeSentencesWithNamedValuesAndPlurals) {
    const Said none("change.all", {{"changes", std::vector{Said("change.none")}}, {"more", std::int64_t{0}}});
    EXPECT_EQ(text(none), "nothing changed");
    const Said more("change.all", {{"changes", std::vector{Said("change.none"), Said("change.on.stirred")}},
                                   {"more", std::int64_t{2}}});
    EXPECT_EQ(text(more), "nothing changed · stirred and 2 more");
    EXPECT_EQ(text(Said("command.rename", {{"from", "Jar {1}"}, {"to", "it's 'mine'"}})),
              "Renamed Jar {1} to it's 'mine'");
}

TEST(Texts, WhatNoTableHasIsToldAsItStands) {
    EXPECT_EQ(text("a sentence of an earlier version {with} marks"),
              "a sentence of an earlier version {with} marks");
    EXPECT_EQ(text(Said()), "");
}

TEST(Texts, AMissingValueDoesNotStopIt) {
    EXPECT_FALSE(text("command.rename").empty());
}

TEST(Texts, EveryPatternReadsInEveryLanguage) {
    for (const char* language : {"en", kPseudo}) {
        ASSERT_TRUE(Texts::use(language));
        for (const std::string& id : Texts::current().ids()) {
            EXPECT_NO_THROW((void)text(Said(id))) << language << " " << id;
            EXPECT_FALSE(Texts::current().pattern(id).empty()) << id;
        }
    }
    Texts::use("en");
    EXPECT_FALSE(Texts::use("klingon"));
}

TEST(Texts, ThePseudoLanguageChangesWordsAndNoValues) {
    ASSERT_TRUE(Texts::use(kPseudo));
    const std::string words = text(Said("command.rename", {{"from", "Jar"}, {"to", "Pot"}}));
    EXPECT_TRUE(words.find("Jar") != std::string::npos && words.find("Pot") != std::string::npos) << words;
    EXPECT_EQ(words.find("Renamed"), std::string::npos) << words;
    EXPECT_EQ(Texts::english().text(Said("command.rename", {{"from", "Jar"}, {"to", "Pot"}})),
              "Renamed Jar to Pot");
    Texts::use("en");
}

void expectWords(const Said& said, const std::string& where) {
    EXPECT_TRUE(Texts::english().has(said.id)) << said.id << " of " << where;
    for (const auto& [name, value] : said.values) {
        if (const auto* list = std::get_if<std::vector<Said>>(&value)) {
            for (const Said& one : *list) {
                expectWords(one, where);
            }
        }
    }
}

TEST(Texts, EveryFieldOfACellFileHasWordsForAChange) {
    const design::CellDesign lemon = test::design(test::lemon());
    int files = 0;
    for (const auto& entry :
         std::filesystem::directory_iterator(test::sourceDir() / "tests/data/cells/valid")) {
        const auto design = formats::readCellFile(test::readText(entry.path()));
        ASSERT_TRUE(design) << entry.path();
        for (const auto& [from, to] : {std::pair(lemon, *design), std::pair(*design, lemon)}) {
            for (const Said& change : changesBetween(from, to)) {
                expectWords(change, entry.path().filename().string());
            }
        }
        ++files;
    }
    EXPECT_GT(files, 10);
}

} // namespace
} // namespace anodex::wording
