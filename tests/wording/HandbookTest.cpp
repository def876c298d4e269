// Every page of the handbook: what leads to it and from it, and every example and number in it tried out.
#include "wording/handbook/Handbook.h"
#include "core/cell/Evaluation.h"
#include "core/design/Resolve.h"
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"
#include "tests/support/Samples.h"
#include "wording/Texts.h"
#include "wording/entry/EntryLine.h"

#include <algorithm>
#include <cmath>
#include <fstream>
#include <gtest/gtest.h>
#include <map>
#include <regex>
#include <set>
#include <sstream>

namespace anodex::wording {
namespace {

std::vector<std::string> all(const std::string& text, const std::regex& pattern) {
    std::vector<std::string> found;
    for (auto at = std::sregex_iterator(text.begin(), text.end(), pattern); at != std::sregex_iterator();
         ++at) {
        found.push_back((*at)[1]);
    }
    return found;
}

std::string fileOf(const std::string& page) {
    return std::string(handbookFile(page));
}

/// "PAGE" or "PAGE#SECTION" leads to something that is there.
bool leads(const std::string& place) {
    const std::string page = place.substr(0, place.find('#'));
    const auto pages = handbookPages();
    const bool known =
        std::any_of(pages.begin(), pages.end(), [&](const HandbookPage& one) { return one.id == page; });
    if (!known || place.find('#') == std::string::npos) {
        return known;
    }
    for (const std::string& heading : all(fileOf(page), std::regex("(?:^|\n)#+ ([^\n]*)"))) {
        if (sectionId(heading) == place.substr(place.find('#') + 1)) {
            return true;
        }
    }
    return false;
}

TEST(Handbook, HoldsSmallPagesWithAHeadingAndAChapterInWords) {
    std::set<std::string> ids;
    for (const HandbookPage& page : handbookPages()) {
        EXPECT_TRUE(ids.insert(page.id).second) << page.id << " stands twice";
        EXPECT_FALSE(page.title.empty()) << page.id;
        EXPECT_EQ(page.chapter.find("handbook."), std::string::npos) << page.id;
        EXPECT_EQ(page.text.find("<!--"), std::string::npos) << page.id;
        EXPECT_LT(std::count(page.text.begin(), page.text.end(), '\n'), 80) << page.id;
        EXPECT_TRUE(page.id == "keys" || page.text.starts_with("# " + page.title + "\n")) << page.id;
    }
    for (const formats::EmbeddedFile& file : formats::embeddedFiles()) {
        if (file.name.starts_with("handbook/en/")) {
            const std::string id(file.name.substr(12, file.name.size() - 15));
            EXPECT_TRUE(ids.count(id)) << id << " is in no chapter";
        }
    }
}

TEST(Handbook, EveryFindingAndEveryViewHasItsPlace) {
    for (int code = 0; code <= static_cast<int>(findings::FindingCode::Rule); ++code) {
        findings::Finding finding;
        finding.code = static_cast<findings::FindingCode>(code);
        EXPECT_TRUE(leads(handbookPlace(finding))) << code << ": " << handbookPlace(finding);
    }
    for (const char* view : {"notebook", "couple", "cell", "bench", "judge", "shelf", "catalogue", "compare",
                             "history", "handbook"}) {
        EXPECT_TRUE(leads(handbookPlaceOfView(view))) << view;
    }
}

TEST(Handbook, EveryLinkLeadsSomewhere) {
    const std::set<std::string> stations{"notebook", "couple", "cell",     "bench",
                                         "judge",    "shelf",  "catalogue"};
    for (const HandbookPage& page : handbookPages()) {
        for (const std::string& link : all(page.text, std::regex(R"(\]\(([^)]*)\))"))) {
            const bool station = link.starts_with("station:");
            EXPECT_TRUE(station ? stations.count(link.substr(8)) > 0
                                : leads(std::regex_replace(link, std::regex("\\.md"), "")))
                << page.id << ": " << link;
        }
    }
}

/// What a note says a page's number is, and where the number comes from.
double valueOf(const std::string& what) {
    constexpr double kFaraday = 96485.33212;     // C/mol, CODATA 2018
    constexpr double kMoles = 3600.0 / kFaraday; // of electrons in an ampere-hour
    constexpr double kLitres = 24.465;           // of a mole of gas at 25 °C and 1 atm
    const std::map<std::string, double> constants{
        {"metal zinc", 65.38 * kMoles / 2.0},
        {"metal aluminium", 26.9815 * kMoles / 3.0},
        {"hydrogen of aluminium", 1.5 / 26.9815 * kLitres},
        {"litres of hydrogen", kMoles / 2.0 * kLitres},
        {"litres of oxygen", kMoles / 4.0 * kLitres},
        {"litres of chlorine", kMoles / 2.0 * kLitres},
        {"grams of chlorine", 70.90 * kMoles / 2.0},
        {"grams of bromine", 159.808 * kMoles / 2.0},
        {"rules", static_cast<double>(test::catalogue().rules.size())}};
    if (const auto found = constants.find(what); found != constants.end()) {
        return found->second;
    }
    const std::smatch starter = [&] {
        static std::string kept;
        kept = what;
        std::smatch match;
        std::regex_match(kept, match, std::regex("starter ([a-z-]+): (\\w+)"));
        return match;
    }();
    if (starter.empty()) {
        ADD_FAILURE() << "a note of no known kind: " << what;
        return 0.0;
    }
    const auto design =
        formats::readCellFile(formats::embeddedFile("starters/" + starter[1].str() + ".cell.json"));
    const auto cell = design::resolve(test::catalogue(), *design);
    const cell::Evaluation e = cell::evaluate(test::catalogue(), *cell);
    const std::map<std::string, double> figures{{"open_circuit_voltage_V", e.openCircuitVolts},
                                                {"thermodynamic_voltage_V", e.thermodynamicVolts},
                                                {"short_circuit_current_A", e.first.shortCircuitAmps},
                                                {"maximum_power_W", e.first.maximumPower.watts},
                                                {"resistance_ohm", e.resistance.totalOhm}};
    return figures.at(starter[2]);
}

TEST(Handbook, EveryNumberItNamesIsRecomputed) {
    int numbers = 0;
    std::stringstream table;
    table << std::ifstream(ANODEX_SOURCE_DIR "/docs/verification.md").rdbuf();
    for (const HandbookPage& page : handbookPages()) {
        const std::string file = fileOf(page.id);
        const std::regex note("<!-- ([^=>]*) = ([0-9.]+)( m)? -->");
        for (auto at = std::sregex_iterator(file.begin(), file.end(), note); at != std::sregex_iterator();
             ++at) {
            const std::string what = (*at)[1];
            const std::string shown = (*at)[2];
            ++numbers;
            EXPECT_NE(page.text.find(shown), std::string::npos) << page.id << " does not say " << shown;
            if (what == "verification") {
                EXPECT_NE(
                    table.str().find(shown + (shown == "86" ? " cells with" : " of the readings lie in")),
                    std::string::npos)
                    << shown;
                continue;
            }
            const std::size_t point = shown.find('.');
            const double digits =
                point == std::string::npos ? 0.0 : static_cast<double>(shown.size() - point - 1);
            const double scale = (*at)[3].matched ? 1e-3 : 1.0;
            EXPECT_NEAR(valueOf(what) / scale, std::stod(shown), 0.51 * std::pow(10.0, -digits))
                << page.id << ": " << what;
        }
    }
    EXPECT_GT(numbers, 15);
}

TEST(Handbook, EveryLineItTypesIsUnderstoodUnasked) {
    int lines = 0;
    for (const HandbookPage& page : handbookPages()) {
        for (const std::string& line :
             all(fileOf(page.id), std::regex("([^\n]*(?:\n[^\n]*)?)<!-- entry line -->"))) {
            const std::string last =
                line.substr(line.rfind('\n') == std::string::npos ? 0 : line.rfind('\n'));
            for (const std::string& typed : all(last, std::regex("`([^`]*)`"))) {
                ++lines;
                EntryContext context;
                context.devices = &test::catalogue().loads;
                const Entry entry = readEntry(typed, 0, context);
                EXPECT_EQ(entry.kind, Entry::Kind::Reading) << typed << ": " << entry.echo;
            }
        }
    }
    EXPECT_GE(lines, 7);
}

TEST(Handbook, EveryFileItShowsIsRead) {
    int files = 0;
    for (const HandbookPage& page : handbookPages()) {
        for (const std::string& block : all(page.text, std::regex("```json\n([^`]*)```"))) {
            ++files;
            const auto design = formats::readCellFile(block);
            ASSERT_TRUE(design.has_value()) << page.id << ": " << block;
            EXPECT_TRUE(design::resolve(test::catalogue(), *design).has_value()) << page.id;
        }
    }
    EXPECT_GE(files, 1);
}

TEST(Handbook, SectionsAreNamedByTheirWords) {
    EXPECT_EQ(sectionId("Bad air"), "bad-air");
    EXPECT_EQ(sectionId("Charging makes chlorine, bromine or iodine"),
              "charging-makes-chlorine-bromine-or-iodine");
    EXPECT_EQ(sectionId("  (Odd)  "), "odd");
}

} // namespace
} // namespace anodex::wording
