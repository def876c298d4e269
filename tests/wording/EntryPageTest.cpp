// Every entry of every list as a page: nothing unnamed, nothing broken, every link leads somewhere.
#include "wording/catalogue/EntryPage.h"
#include "formats/JsonObject.h"
#include "tests/support/Samples.h"
#include "wording/Texts.h"

#include <algorithm>
#include <cctype>
#include <gtest/gtest.h>
#include <regex>
#include <set>

namespace anodex::wording {
namespace {

using formats::Json;

std::vector<formats::CatalogueEntry> entries(const std::string& list) {
    return formats::entriesOf(formats::builtInCatalogueFiles(), list);
}

std::string pageOf(const std::string& list, const std::string& id,
                   const std::vector<std::string>& usedIn = {}) {
    const auto all = entries(list);
    const auto found =
        std::find_if(all.begin(), all.end(), [&](const auto& entry) { return entry.id == id; });
    EXPECT_NE(found, all.end()) << id;
    return found == all.end() ? std::string() : entryPage(test::catalogue(), list, *found, usedIn);
}

std::string lower(std::string text) {
    std::transform(text.begin(), text.end(), text.begin(),
                   [](unsigned char letter) { return static_cast<char>(std::tolower(letter)); });
    return text;
}

/// Keys, but for those that are species.
void takeKeys(const Json& value, std::set<std::string>& keys) {
    for (const auto& [key, inner] : value.items()) {
        if (value.is_object() && !test::catalogue().findSpecies(key)) {
            keys.insert(key);
        }
        if (inner.is_structured()) {
            takeKeys(inner, keys);
        }
    }
}

TEST(EntryPage, EveryKeyOfEveryListHasWords) {
    std::set<std::string> keys;
    for (const std::string& list : formats::openLists()) {
        for (const formats::CatalogueEntry& entry : entries(list)) {
            Json json;
            ASSERT_FALSE(formats::parseJson(entry.text, json));
            takeKeys(json, keys);
        }
    }
    for (const char* head : {"id", "title", "aliases"}) { // the page's own head
        keys.erase(head);
    }
    EXPECT_GT(keys.size(), 100U);
    for (const std::string& key : keys) {
        EXPECT_TRUE(Texts::english().has("property." + lower(key))) << key;
    }
}

TEST(EntryPage, CountsStandBeforeTheirIonsAndCrystalWaterInLine) {
    EXPECT_NE(pageOf("substances", "sulfuric-acid").find("2 H⁺ and SO₄²⁻"), std::string::npos);
    const std::string page = pageOf("substances", "nickel-sulfate");
    EXPECT_NE(page.find("NiSO₄·6H₂O"), std::string::npos) << page;
    EXPECT_NE(page.find("![harms water life](pictogram:environment)"), std::string::npos) << page;
}

TEST(EntryPage, EveryEntryIsAPageWithItsNameItsSourcesAndLinksThatLead) {
    std::set<std::string> places;
    for (const std::string& list : formats::openLists()) {
        for (const formats::CatalogueEntry& entry : entries(list)) {
            places.insert(list + "/" + entry.id);
        }
    }
    const std::regex link(R"(\]\(catalogue:([^)]*)\))");
    std::size_t links = 0;
    for (const std::string& list : formats::openLists()) {
        for (const formats::CatalogueEntry& entry : entries(list)) {
            const std::string page = entryPage(test::catalogue(), list, entry, {});
            EXPECT_TRUE(page.starts_with("# ")) << entry.id;
            EXPECT_NE(page.find("\n## Sources"), std::string::npos) << entry.id;
            EXPECT_EQ(page.find("{}"), std::string::npos) << entry.id;
            EXPECT_EQ(page.find("null"), std::string::npos) << entry.id;
            for (auto at = std::sregex_iterator(page.begin(), page.end(), link); at != std::sregex_iterator();
                 ++at) {
                EXPECT_TRUE(places.contains((*at)[1])) << entry.id << " leads to " << (*at)[1];
                ++links;
            }
        }
    }
    EXPECT_GT(links, 800U);
}

TEST(EntryPage, ANumberStandsWithItsUnitAndItsDoubt) {
    const std::string zinc = pageOf("materials", "zinc");
    EXPECT_NE(zinc.find("| density, g/mL | 7.14 |"), std::string::npos) << zinc;
    EXPECT_NE(zinc.find("| 2, give or take a factor of 1.5 |"), std::string::npos) << zinc;
    EXPECT_NE(zinc.find("5.9×10⁻⁸"), std::string::npos) << zinc;
    EXPECT_EQ(zinc.find("roughness_spread"), std::string::npos) << "it stands beside its number";
    const std::string couple = pageOf("reactions", "zn2-zn");
    EXPECT_NE(couple.find("| −0.762 ± 0.003 |"), std::string::npos) << couple;
}

TEST(EntryPage, DangersSayWhatAndFromWhichStrength) {
    const std::string acid = pageOf("substances", "sulfuric-acid");
    EXPECT_NE(acid.find("## Dangers"), std::string::npos);
    EXPECT_NE(acid.find("**H314**"), std::string::npos) << acid;
    EXPECT_NE(acid.find("% by mass"), std::string::npos) << acid;
}

TEST(EntryPage, TellsWhatAnEntryHasToDoWith) {
    EXPECT_NE(pageOf("materials", "zinc").find("(catalogue:reactions/zn2-zn)"), std::string::npos);
    EXPECT_NE(pageOf("reactions", "zn2-zn").find("(catalogue:materials/zinc)"), std::string::npos);
    EXPECT_NE(pageOf("substances", "citric-acid").find("(catalogue:liquids/lemon-juice)"), std::string::npos);
    EXPECT_NE(pageOf("liquids", "lemon-juice").find("(catalogue:substances/citric-acid)"), std::string::npos);
    EXPECT_NE(pageOf("materials", "zinc", {"Zinc in brine"}).find("Zinc in brine"), std::string::npos);
}

TEST(EntryPage, WordsOfAnEntryOfOnesOwnStayWords) {
    const formats::CatalogueEntry mine{"my-zinc",
                                       "my *best* | zinc",
                                       R"({"id":"my-zinc","name":"my *best* | zinc","form":"a|b <i>"})",
                                       {"own"}};
    const std::string page = entryPage(test::catalogue(), "materials", mine, {});
    EXPECT_NE(page.find("my \\*best\\* \\| zinc"), std::string::npos) << page;
    EXPECT_NE(page.find("a\\|b \\<i\\>"), std::string::npos) << page;
}

} // namespace
} // namespace anodex::wording
