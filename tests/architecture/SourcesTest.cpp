// Reads the sources: layers that include upwards, bans, names of things that belong in data, long files.
#include "tests/support/Samples.h"

#include <algorithm>
#include <gtest/gtest.h>
#include <iostream>
#include <map>
#include <regex>
#include <set>
#include <sstream>

namespace anodex {
namespace {

namespace fs = std::filesystem;

struct Source {
    std::string path; ///< Below src/.
    std::string text;
};

const std::vector<Source>& sources() {
    static const std::vector<Source> kSources = [] {
        std::vector<Source> list;
        const fs::path root = test::sourceDir() / "src";
        for (const auto& entry : fs::recursive_directory_iterator(root)) {
            const std::string extension = entry.path().extension().string();
            if (extension == ".h" || extension == ".cpp") {
                list.push_back({fs::relative(entry.path(), root).string(), test::readText(entry.path())});
            }
        }
        return list;
    }();
    return kSources;
}

std::string roomOf(const std::string& path) {
    const std::size_t first = path.find('/');
    const std::string top = path.substr(0, first);
    if (top != "core") {
        return top;
    }
    return path.substr(0, path.find('/', first + 1));
}

/// What each room may include besides itself.
const std::map<std::string, int> kLevel = {{"core/base", 0},      {"core/load", 1},    {"core/chemistry", 2},
                                           {"core/liquid", 3},    {"core/design", 4},  {"core/state", 5},
                                           {"core/electrode", 6}, {"core/cell", 7},    {"core/charge", 8},
                                           {"core/findings", 9},  {"core/explain", 9}, {"core/record", 8},
                                           {"core/pack", 8},      {"core/shelf", 10},  {"core/run", 11},
                                           {"quantity", 12},      {"formats", 13},     {"notebook", 14},
                                           {"wording", 15},       {"app", 16},         {"cli", 16}};

TEST(Architecture, EveryRoomIncludesOnlyWhatStandsBelowIt) {
    const std::regex include("#include \"([^\"]+)\"");
    int seen = 0;
    for (const Source& source : sources()) {
        const std::string here = roomOf(source.path);
        ASSERT_TRUE(kLevel.contains(here)) << source.path;
        for (auto match = std::sregex_iterator(source.text.begin(), source.text.end(), include);
             match != std::sregex_iterator(); ++match) {
            const std::string there = roomOf((*match)[1].str());
            ASSERT_TRUE(kLevel.contains(there)) << source.path << " includes " << (*match)[1];
            ++seen;
            if (there != here) {
                EXPECT_LT(kLevel.at(there), kLevel.at(here)) << source.path << " includes " << (*match)[1];
            }
        }
    }
    EXPECT_GT(seen, 200);
}

void expectAbsent(const std::string& room, const std::vector<std::string>& words) {
    for (const Source& source : sources()) {
        if (!source.path.starts_with(room)) {
            continue;
        }
        for (const std::string& word : words) {
            const std::regex pattern("\\b" + word + "\\b");
            EXPECT_FALSE(std::regex_search(source.text, pattern)) << source.path << " holds " << word;
        }
    }
}

TEST(Architecture, NumbersBelowTheAppNeverFollowTheLocale) {
    for (const char* room : {"core", "quantity", "formats", "notebook", "wording", "cli"}) {
        expectAbsent(room, {"strtod", "stod", "stof", "atof", "sscanf", "setlocale", "stoi", "stol",
                            "to_string\\(double"});
    }
}

TEST(Architecture, CoreKnowsNoScreenNoFilesNoClock) {
    expectAbsent("core", {"QString", "QObject", "SQLite", "sqlite3", "fstream", "ifstream", "ofstream",
                          "system_clock", "steady_clock", "nlohmann"});
    for (const char* room : {"formats", "notebook", "wording", "cli"}) {
        expectAbsent(room, {"QString", "QObject"});
    }
    for (const char* room : {"formats", "wording", "app", "cli"}) {
        expectAbsent(room, {"SELECT", "INSERT INTO", "sqlite3_open"});
    }
}

TEST(Architecture, TheWindowAsksItsServicesForFilesMessagesAndTime) {
    for (const Source& source : sources()) {
        if (!source.path.starts_with("app") || source.path == "app/session/Services.cpp") {
            continue;
        }
        for (const char* banned : {"QFileDialog", "QMessageBox", "currentDateTime", "currentMSecsSinceEpoch",
                                   "system_clock", "QTime::currentTime"}) {
            EXPECT_EQ(source.text.find(banned), std::string::npos) << source.path << " uses " << banned;
        }
    }
}

TEST(Architecture, NoResultThatMayHoldAnErrorIsDropped) {
    // Of a call, not of a member: std::optional members have a value of their own to fall back on.
    const std::regex dropped(
        R"(\(void\)\s*(m_notebook|m_bench|bench|book|notebook|formats)\b|\)\s*\.value_or\()");
    const std::set<std::string> ofOptionals = {
        "    const bool large = m_bench.selection().build()->deliveredCoulombs().value_or(0.0) > "
        "kManyCoulombs;"};
    for (const Source& source : sources()) {
        const bool holdsResults = source.path.starts_with("app") || source.path.starts_with("cli") ||
                                  source.path.starts_with("notebook");
        std::istringstream lines(source.text);
        for (std::string line; holdsResults && std::getline(lines, line);) {
            EXPECT_FALSE(std::regex_search(line, dropped) && !ofOptionals.contains(line))
                << source.path << ": " << line;
        }
    }
    for (const char* name :
         {"commit", "importRun", "undo", "redo", "remember", "rememberMapping", "fold", "copyTo"}) {
        const std::regex declared(std::string(R"(\[\[nodiscard\]\] Answer<[^;]*> )") + name + R"(\()");
        const std::string text = test::readText(test::sourceDir() / "src/notebook/Notebook.h");
        EXPECT_TRUE(std::regex_search(text, declared)) << name;
    }
}

TEST(Architecture, OnlyTheStorageLibraryOpensANotebook) {
    // Closing another descriptor of the file would drop the library's locks.
    const std::regex opens(R"([^\w:]::open\(|fstream|fopen)");
    for (const Source& source : sources()) {
        const bool mayOpenOthers =
            source.path == "notebook/RoleLock.cpp" || source.path == "notebook/CopyInto.cpp";
        if (source.path.starts_with("notebook") && !mayOpenOthers) {
            EXPECT_FALSE(std::regex_search(source.text, opens)) << source.path;
        }
    }
}

TEST(Architecture, OneTableHoldsTheUnits) {
    // A second scanner with a table of its own is how "mV" came to mean two things. Words that only show a
    // unit are fine.
    const std::regex table(R"re(\{\s*"(ms|mV|mA|uA|mohm|kohm|mins|hours)"\s*,)re");
    for (const Source& source : sources()) {
        if (source.path != "quantity/Units.cpp") {
            EXPECT_FALSE(std::regex_search(source.text, table)) << source.path;
        }
    }
}

TEST(Architecture, OnlyTheCurvePlotKnowsThePlottingLibrary) {
    for (const Source& source : sources()) {
        if (source.path != "app/widgets/CurvePlot.cpp") {
            EXPECT_EQ(source.text.find("qcustomplot"), std::string::npos) << source.path;
        }
    }
}

TEST(Architecture, NoMaterialSubstanceOrLiquidIsNamedInTheCode) {
    const auto& catalogue = test::catalogue();
    std::vector<std::string> ids;
    const auto collect = [&](const auto& entries) {
        for (const auto& entry : entries) {
            ids.push_back(entry.id);
        }
    };
    collect(catalogue.substances);
    collect(catalogue.liquids);
    collect(catalogue.materials);
    collect(catalogue.separators);
    collect(catalogue.cases);
    collect(catalogue.reactions);
    for (const Source& source : sources()) {
        for (const std::string& id : ids) {
            std::string::size_type at = source.text.find(id);
            const auto isWord = [](char c) {
                return std::isalnum(static_cast<unsigned char>(c)) != 0 || c == '_' || c == '-';
            };
            while (at != std::string::npos) {
                const bool starts = at == 0 || !isWord(source.text[at - 1]);
                const bool ends =
                    at + id.size() >= source.text.size() || !isWord(source.text[at + id.size()]);
                const auto line = 1 + std::count(source.text.begin(),
                                                 source.text.begin() + static_cast<std::ptrdiff_t>(at), '\n');
                EXPECT_FALSE(starts && ends) << source.path << ":" << line << " names " << id;
                at = source.text.find(id, at + 1);
            }
        }
    }
}

TEST(Architecture, LongFilesSayWhyAndNoneIsVeryLong) {
    for (const Source& source : sources()) {
        const auto lines = std::count(source.text.begin(), source.text.end(), '\n');
        EXPECT_LE(lines, 600) << source.path;
        if (lines > 450) {
            EXPECT_NE(source.text.find("Length"), std::string::npos)
                << source.path << " has " << lines << " lines and does not say why";
        }
    }
}

TEST(Architecture, EveryHeaderSaysWhatItIsFor) {
    for (const Source& source : sources()) {
        if (source.path.ends_with(".h")) {
            EXPECT_TRUE(source.text.starts_with("// src/" + source.path + " - ")) << source.path;
            EXPECT_NE(source.text.find("#pragma once"), std::string::npos) << source.path;
        }
    }
}

/// "core/cell/Heat" for both its files.
std::string unitOf(const std::string& path) {
    return path.substr(0, path.rfind('.'));
}

TEST(Architecture, FilesCallEachOtherInNoCircle) {
    const std::regex include("#include \"([^\"]+\\.h)\"");
    std::map<std::string, std::set<std::string>> calls;
    for (const Source& source : sources()) {
        const std::string here = unitOf(source.path);
        for (auto match = std::sregex_iterator(source.text.begin(), source.text.end(), include);
             match != std::sregex_iterator(); ++match) {
            const std::string there = unitOf((*match)[1].str());
            if (there != here) {
                calls[here].insert(there);
            }
        }
    }
    // What calls only units already taken away can be taken away too; a circle never can.
    std::size_t before = 0;
    do {
        before = calls.size();
        for (auto it = calls.begin(); it != calls.end();) {
            std::erase_if(it->second, [&](const std::string& there) { return !calls.contains(there); });
            it = it->second.empty() ? calls.erase(it) : std::next(it);
        }
    } while (calls.size() != before);
    for (const auto& [unit, others] : calls) {
        ADD_FAILURE() << unit << " stands in a circle or above one";
    }
}

TEST(Architecture, NoFolderOfCoreHoldsMoreThanAStrangerCanTakeIn) {
    constexpr std::size_t kMost = 16;
    std::map<std::string, std::set<std::string>> units;
    for (const Source& source : sources()) {
        units[roomOf(source.path)].insert(unitOf(source.path));
    }
    for (const auto& [room, files] : units) {
        if (room.starts_with("core/")) {
            EXPECT_LE(files.size(), kMost) << room;
        }
    }
}

std::vector<std::string> linesOf(const std::string& text) {
    std::vector<std::string> lines;
    std::istringstream stream(text);
    for (std::string line; std::getline(stream, line);) {
        lines.push_back(line);
    }
    return lines;
}

/// "// Units      A, V." starts a paragraph whose further lines are indented.
TEST(Architecture, ParagraphsAtTheHeadOfAFileAreWhole) {
    const std::regex key("// [A-Za-z]+ {2,}\\S.*");
    const std::regex further("//( {11,}\\S.*)?");
    const std::regex buried(
        "//.* (Units|Law|Sign|Errors|Source|Threads|Method|Keys|Range|Rule|Length) {3,}\\S.*");
    for (const Source& source : sources()) {
        if (!source.path.ends_with(".h")) {
            continue;
        }
        bool inParagraph = false;
        int number = 0;
        for (const std::string& line : linesOf(source.text)) {
            ++number;
            if (!line.starts_with("//")) {
                break;
            }
            const bool starts = std::regex_match(line, key);
            EXPECT_TRUE(starts || !inParagraph || line.starts_with("// Durability ") ||
                        std::regex_match(line, further))
                << source.path << ":" << number << " " << line;
            EXPECT_FALSE(!starts && std::regex_match(line, buried)) << source.path << ":" << number;
            inParagraph = starts || (inParagraph && line != "//");
        }
    }
}

TEST(Architecture, ConstantsOfLawsSayWhatTheyAreOrWhenceTheyCome) {
    const std::regex constant(
        "\\s*(inline )?constexpr (double|float|chemistry::\\w+) k\\w+ = [^a-z]*[0-9].*");
    for (const Source& source : sources()) {
        if (!source.path.starts_with("core/")) {
            continue;
        }
        std::string before;
        bool said = false;
        for (const std::string& line : linesOf(source.text)) {
            if (std::regex_match(line, constant)) {
                said = line.find("//") != std::string::npos || before.find("//") != std::string::npos ||
                       (said && std::regex_match(before, constant));
                EXPECT_TRUE(said) << source.path << ": " << line;
            }
            before = line;
        }
    }
}

TEST(Architecture, TheShareOfTestsIsAQuarterToAThird) {
    const auto count = [](const fs::path& folder) {
        std::ptrdiff_t lines = 0;
        for (const auto& entry : fs::recursive_directory_iterator(test::sourceDir() / folder)) {
            const std::string extension = entry.path().extension().string();
            if (extension == ".h" || extension == ".cpp") {
                const std::string text = test::readText(entry.path());
                lines += std::count(text.begin(), text.end(), '\n');
            }
        }
        return static_cast<double>(lines);
    };
    const double tests = count("tests");
    const double all = tests + count("src") + count("demo") + count("bench");
    std::cout << "tests are " << 100.0 * tests / all << " % of " << all << " lines\n";
    EXPECT_LT(tests / all, 0.34);
}

} // namespace
} // namespace anodex
