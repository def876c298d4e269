// Every text the sources name is in data/texts, and nothing is there that no source names.
#include "wording/Texts.h"
#include "core/findings/FindingKind.h"
#include "tests/architecture/WindowTexts.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>
#include <regex>
#include <set>

namespace anodex {
namespace {

namespace fs = std::filesystem;

TEST(TextsTable, HoldsEveryStringOfTheWindowAndNoOther) {
    const std::set<std::string> named = test::windowTexts();
    EXPECT_GT(named.size(), 400U);
    const wording::Texts& table = wording::Texts::english();
    for (const std::string& text : named) {
        EXPECT_TRUE(table.has("window." + text)) << "./anodex texts adds: " << text;
    }
    for (const std::string& id : table.ids()) {
        if (id.starts_with("window.")) {
            EXPECT_TRUE(named.contains(id.substr(7))) << "./anodex texts takes out: " << id;
        }
    }
}

/// Ids whose ends are made: of choices and fields of a file, of kinds of records.
bool isMade(const std::string& id) {
    for (const char* family :
         {"window.", "field.", "choice.", "change.on.", "change.off.", "command.", "finding.", "explain.",
          "file.", "help.", "starter.", "handbook.", "property.", "branch.", "hint.", "pictogram."}) {
        if (id.starts_with(family)) {
            return true;
        }
    }
    return false;
}

TEST(TextsTable, HoldsEveryIdTheSourcesNameAndNoOther) {
    const wording::Texts& table = wording::Texts::english();
    std::set<std::string> families;
    for (const std::string& id : table.ids()) {
        families.insert(id.substr(0, id.find('.')));
    }
    const std::regex literal(R"lit("([a-z]+\.[a-z0-9_.-]*[a-z0-9])")lit");
    std::set<std::string> named;
    for (const char* folder : {"src", "demo"}) {
        for (const auto& [path, text] : test::sourcesBelow(folder)) {
            for (auto match = std::sregex_iterator(text.begin(), text.end(), literal);
                 match != std::sregex_iterator(); ++match) {
                const std::string id = (*match)[1];
                const bool isFile = id.ends_with(".json") || id.ends_with(".cell") || id.ends_with(".anodex");
                if (!isFile && families.contains(id.substr(0, id.find('.')))) {
                    EXPECT_TRUE(table.has(id)) << path << " names " << id;
                    named.insert(id);
                }
            }
        }
    }
    for (const std::string& id : table.ids()) {
        EXPECT_TRUE(isMade(id) || named.contains(id)) << "no source names " << id;
    }
}

TEST(TextsTable, NamesNoWordsThatNoSourceOrDataHolds) {
    std::string all;
    for (const char* folder : {"src/core", "src/formats", "data/catalogue"}) {
        for (const auto& entry : fs::recursive_directory_iterator(test::sourceDir() / folder)) {
            all += entry.is_regular_file() ? test::readText(entry.path()) : std::string();
        }
    }
    all = std::regex_replace(all, std::regex(R"("\s+")"), "");
    all = std::regex_replace(all, std::regex(R"(\\")"), "\"");
    for (const std::string& id : wording::Texts::english().ids()) {
        if (id.starts_with("explain.") || id.starts_with("file.")) {
            const std::string words = id.substr(id.find('.') + 1);
            EXPECT_NE(all.find(words.substr(0, words.find(", perhaps"))), std::string::npos) << id;
        }
    }
}

TEST(TextsTable, HasATitleATextAndARemedyForEveryFindingAndNoOther) {
    const wording::Texts& table = wording::Texts::english();
    std::set<std::string> wanted;
    for (int i = 0; i < static_cast<int>(findings::FindingCode::Rule); ++i) {
        for (const char* part : {".title", ".text", ".remedy"}) {
            wanted.insert(std::string("finding.") +
                          findings::kindOf(static_cast<findings::FindingCode>(i)).name + part);
        }
    }
    std::set<std::string> there;
    for (const std::string& id : table.ids()) {
        if (id.starts_with("finding.")) {
            there.insert(id);
        }
    }
    EXPECT_EQ(there, wanted);
}

} // namespace
} // namespace anodex
