// Everything the program says in words is in the table of texts; what machines read stays English.
#include "cli/Command.h"
#include "cli/Documents.h"
#include "tests/cli/CliFixture.h"
#include "wording/Texts.h"

#include <regex>
#include <set>

namespace anodex::cli {
namespace {

struct InMarkedLetters : Files {
    InMarkedLetters() { wording::Texts::use(wording::kPseudo); }
    ~InMarkedLetters() override { wording::Texts::use("en"); }

    /// Words of two letters and more that no table changed, but for `names`: what was typed, and words of the syntax.
    static std::set<std::string> unchanged(const std::string& text, const std::set<std::string>& names) {
        std::set<std::string> words;
        // A marked letter is two bytes, of which neither is a letter here: what holds one is split at it.
        const std::regex word("[^\\s\"():;,/|]+");
        for (auto match = std::sregex_iterator(text.begin(), text.end(), word);
             match != std::sregex_iterator(); ++match) {
            const std::string found = match->str();
            const bool changed =
                std::regex_search(found, std::regex("[^ -~]")) || found.find('~') != found.npos;
            if (!changed && std::regex_search(found, std::regex("[aeiou].*[a-z]|[a-z].*[aeiou]")) &&
                !names.contains(found)) {
                words.insert(found);
            }
        }
        return words;
    }
};

const std::set<std::string> kNone;

TEST_F(InMarkedLetters, EveryRefusalIsChanged) {
    const std::string fine = cell(test::lemon());
    const std::string gone = m_folder.path("gone.json").string();
    const std::string folder = m_folder.path().string();
    const std::vector<std::vector<std::string>> lines = {
        {"evaluate"},
        {"evaluate", fine, "--jsn"},
        {"evaluate", fine, "--curve"},
        {"evaluate", fine, "extra"},
        {"evaluate", fine, "--curve", "wide"},
        {"evaluate", fine, "--curve", "1"},
        {"evaluate", gone},
        {"evaluate", folder},
        {"evaluate", file("empty.cell.json", "")},
        {"screen", file("s.shelf.json", "{}"), "--by", "beauty"},
        {"analyse", file("a.csv", "time,voltage\n0,1\n1,1\n"), "--sign", "up"},
        {"analyse", file("b.csv", "time,voltage\n0,1\n1,1\n"), "--unit", "voltage"},
        {"analyse", file("c.csv", "time,voltage\n0,1\n1,1\n"), "--interval", "soon"},
        {"analyse", file("d.csv", "01/02/2026 10:00,1\n01/03/2026 10:01,1\n")},
        {"catalogue", "wines"},
        {"notebook", fine, "polish"},
        {"notebook", fine, "copy"},
        {"notebook", fine, "export"},
        {"notebook", fine, "info"},
        {"pour", "a teaspoon of moonlight"},
        {"mix"},
        {"evalute"},
        {"--unknown"},
        {}};
    for (const auto& line : lines) {
        const Result result = call(line);
        std::set<std::string> names = {
            "voltage",   "power",        "life",      "cost",       "safety", "evaluate",  "solution",
            "analyse",   "catalogue",    "screen",    "read",       "pour",   "notebook",  "charge",
            "discharge", "substances",   "liquids",   "materials",  "cases",  "reactions", "separators",
            "species",   "rules",        "info",      "check",      "copy",   "rescue",    "restore",
            "--json",    "--date-order", "day-first", "month-first"};
        for (const std::string& typed : line) {
            std::istringstream parts(typed);
            for (std::string part; std::getline(parts, part, '/');) {
                std::istringstream inner(part);
                for (std::string one; inner >> one;) {
                    names.insert(one);
                }
            }
        }
        const std::string told = line.empty() ? "(nothing)" : line.front();
        EXPECT_NE(result.exit, kGood) << told;
        EXPECT_TRUE(std::regex_search(result.errors, std::regex("[^ -~\n]")))
            << told << ": " << result.errors;
        EXPECT_EQ(unchanged(result.errors, names), kNone) << told << ": " << result.errors;
    }
}

TEST_F(InMarkedLetters, HelpAndTheScreenOfACellAreChanged) {
    std::set<std::string> names = {"anodex-cli", "-h", "--help"};
    for (const Command& command : commands()) {
        names.insert(command.name);
        for (const Option& option : command.options) {
            names.insert(option.name);
        }
    }
    for (const Option& option : commonOptions()) {
        names.insert(option.name);
    }
    EXPECT_EQ(unchanged(call({"--help"}).output, names), kNone);
    for (const Command& command : commands()) {
        std::string help = call({command.name, "--help"}).output;
        const std::size_t example = help.find(command.example); // typed so in every language
        ASSERT_NE(example, std::string::npos) << help;
        help.erase(example, std::string(command.example).size());
        EXPECT_EQ(unchanged(help, names), kNone) << command.name;
    }
    // What a cell is made of is named as the catalogue does; times have their unit.
    EXPECT_EQ(unchanged(call({"evaluate", cell(test::lemon())}).output,
                        {"zinc", "copper", "days", "juice.", "lemon"}),
              kNone);
}

TEST(Help, HasALineForEveryCommandAndOptionAndNoOther) {
    std::set<std::string> wanted = {"help.--help"};
    for (const Command& command : commands()) {
        const std::string id = std::string("help.") + command.name;
        wanted.insert(id);
        for (const Option& option : command.options) {
            wanted.insert(id + "." + option.name);
        }
    }
    for (const Option& option : commonOptions()) {
        wanted.insert(std::string("help.") + option.name);
    }
    std::set<std::string> there;
    for (const std::string& id : wording::Texts::english().ids()) {
        if (id.starts_with("help.")) {
            there.insert(id);
        }
    }
    EXPECT_EQ(there, wanted);
}

} // namespace
} // namespace anodex::cli
