// Every text the sources name is in data/texts, and nothing is there that no source names.
#include "wording/Texts.h"
#include "core/findings/FindingKind.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>
#include <regex>
#include <set>

namespace anodex {
namespace {

namespace fs = std::filesystem;

/// The literals that begin at `at`, joined; empty when none does.
std::string literalsAt(const std::string& text, std::size_t at) {
    std::string joined;
    for (;;) {
        at = text.find_first_not_of(" \t\n", at);
        if (at == std::string::npos || text[at] != '"') {
            return joined;
        }
        for (++at; text[at] != '"'; ++at) {
            if (text[at] == '\\') {
                ++at;
                const std::string unicode = text.substr(at + 1, 4);
                if (text[at] == 'u') {
                    joined += unicode == "00A0" ? "\u00A0" : unicode == "2212" ? "\u2212" : "?";
                    at += 4;
                } else {
                    joined += text[at] == 'n' ? '\n' : text[at] == 't' ? '\t' : text[at];
                }
            } else {
                joined += text[at];
            }
        }
        ++at;
    }
}

std::map<std::string, std::string> sourcesOf(const std::string& folder) {
    std::map<std::string, std::string> list;
    for (const auto& entry : fs::recursive_directory_iterator(test::sourceDir() / folder)) {
        const std::string extension = entry.path().extension().string();
        if (extension == ".h" || extension == ".cpp") {
            list[entry.path().string()] = test::readText(entry.path());
        }
    }
    return list;
}

/// What the window hands to its translator.
std::set<std::string> windowTexts() {
    const std::regex opening(R"((\btr\(|\btranslate\(\s*"[^"]*",|QT_TRANSLATE_NOOP\(\s*"[^"]*",)\s*(?="))");
    std::set<std::string> texts;
    for (const auto& [path, text] : sourcesOf("src/app")) {
        for (auto match = std::sregex_iterator(text.begin(), text.end(), opening);
             match != std::sregex_iterator(); ++match) {
            texts.insert(literalsAt(text, static_cast<std::size_t>(match->position()) + match->str().size()));
        }
    }
    return texts;
}

TEST(TextsTable, HoldsEveryStringOfTheWindowAndNoOther) {
    const std::set<std::string> named = windowTexts();
    EXPECT_GT(named.size(), 400U);
    const wording::Texts& table = wording::Texts::english();
    for (const std::string& text : named) {
        EXPECT_TRUE(table.has("window." + text)) << "data/texts/en/window.json lacks: " << text;
    }
    for (const std::string& id : table.ids()) {
        if (id.starts_with("window.")) {
            EXPECT_TRUE(named.contains(id.substr(7))) << "no source names: " << id;
        }
    }
}

/// Ids whose ends are made: of choices and fields of a file, of kinds of records.
bool isMade(const std::string& id) {
    for (const char* family :
         {"window.", "field.", "choice.", "change.on.", "change.off.", "command.", "finding.", "explain."}) {
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
        for (const auto& [path, text] : sourcesOf(folder)) {
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

TEST(TextsTable, NamesNoWordsOfExplanationsThatNoSourceOrDataHolds) {
    std::string all;
    for (const char* folder : {"src/core", "data/catalogue"}) {
        for (const auto& entry : fs::recursive_directory_iterator(test::sourceDir() / folder)) {
            all += entry.is_regular_file() ? test::readText(entry.path()) : std::string();
        }
    }
    all = std::regex_replace(all, std::regex("\"\\s+\""), "");
    for (const std::string& id : wording::Texts::english().ids()) {
        if (id.starts_with("explain.")) {
            EXPECT_NE(all.find(id.substr(8)), std::string::npos) << id;
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
