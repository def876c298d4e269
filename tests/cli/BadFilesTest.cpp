// Every damaged file below tests/data/bad gets one clear line; nothing is invented from it.
#include "cli/Program.h"
#include "cli/Stop.h"
#include "notebook/Notebook.h"
#include "tests/support/Samples.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <algorithm>
#include <gtest/gtest.h>
#include <set>
#include <sstream>

namespace anodex::cli {
namespace {

struct Bad {
    const char* file;
    int exit;
    const char* message; ///< Part of the one line.
};

constexpr Bad kBad[] = {
    {"empty.cell.json", kWrongInput, "ends too early"},
    {"truncated.cell.json", kWrongInput, "ends too early"},
    {"binary.cell.json", kWrongInput, "line 1: a character that does not fit"},
    {"not-json.cell.json", kWrongInput, "line 1: a character that does not fit"},
    {"key-twice.cell.json", kWrongInput, "format: the key stands twice"},
    {"trailing-comma.cell.json", kWrongInput, "a character that does not fit"},
    {"huge-number.cell.json", kWrongInput, "too large"},
    {"unknown-material.cell.json", kWrongInput,
     "negative.material: \"zink\"; right would be a material the catalogue knows, perhaps \"zinc\""},
    {"unknown-substance.cell.json", kWrongInput, "electrolyte.solutes[0].substance: \"NaCk\""},
    {"unknown-liquid.cell.json", kWrongInput, "electrolyte.ready: \"lemonade\""},
    {"unknown-separator.cell.json", kWrongInput, "separator.material: \"lace\""},
    {"unknown-case.cell.json", kWrongInput, "case.material: \"cardboard\""},
    {"wrong-version.cell.json", kWrongInput, "format: \"anodex-cell/9\"; right would be \"anodex-cell/1\""},
    {"percents-over-hundred.cell.json", kWrongInput, "percents of 100 or more in sum"},
    {"no-room.cell.json", kWrongInput, "electrolyte: solutes that fill the whole volume"},
    {"null.cell.json", kWrongInput, "an object in braces"},
    {"deep.cell.json", kWrongInput, "at most 64 levels"},
    {"latin1.cell.json", kWrongInput, "line 1: a character that does not fit"},
    {"empty.csv", kWrongInput, "the file is empty"},
    {"blank-lines.csv", kWrongInput, "the file is empty"},
    {"words.csv", kWrongInput, "no columns of numbers"},
    {"one-row.csv", kWrongInput, "fewer than two rows"},
    {"time-goes-back.csv", kWrongInput, "line 4: the time goes back"},
    {"no-time.csv", kWrongInput, "no column is marked as time"},
    {"no-voltage.csv", kWrongInput, "no column is marked as voltage"},
    {"binary.csv", kWrongInput, "this is no text file"},
    {"one-column.csv", kWrongInput, "no column is marked as time"},
    {"all-unreadable.csv", kWrongInput, "no columns of numbers"},
    {"header-only.csv", kWrongInput, "no columns of numbers"},
    {"clock-jumps-back.csv", kWrongInput, "line 3: the clock goes back"},
    {"same-time.csv", kWrongInput, "fewer than two rows"},
    {"nul-inside.csv", kWrongInput, "this is no text file"},
    {"empty.anodex", kCouldNot, "the file is empty"},
    {"text.anodex", kWrongInput, "this file is no notebook"},
    {"half-header.anodex", kWrongInput, "this file is no notebook"},
    {"zip.anodex", kWrongInput, "this file is no notebook"},
    {"newer.anodex", kWrongInput, "written by a newer version"},
    {"other-program.anodex", kWrongInput, "this file is no notebook"},
    {"truncated.anodex", kWrongInput, "the notebook is damaged"},
    {"scribbled.anodex", kWrongInput, "the notebook is damaged"},
    {"infinite.csv", kWrongInput, "no column is marked as voltage"},
    {"dates-impossible.csv", kWrongInput, "no column is marked as time"},
    {"dots-for-both.csv", kWrongInput, "no columns of numbers"},
};

class BadFile : public testing::TestWithParam<Bad> {};

TEST_P(BadFile, GetsOneClearLine) {
    const std::string name = GetParam().file;
    const test::TemporaryFolder folder; // where the storage library may put what it needs beside it
    std::filesystem::copy(test::sourceDir() / "tests/data/bad" / name, folder.path(name));
    const std::string path = folder.path(name).string();
    std::vector<std::string> arguments = {"evaluate", path, "--json"};
    if (name.ends_with(".csv")) {
        arguments = {"analyse", path, "--json"};
    } else if (name.ends_with(".anodex")) {
        arguments = {"notebook", path, "check", "--json"};
    }
    std::ostringstream output;
    std::ostringstream errors;
    EXPECT_EQ(run(arguments, output, errors), GetParam().exit) << errors.str();
    const std::string line = errors.str();
    EXPECT_NE(line.find(GetParam().message), std::string::npos) << line;
    EXPECT_EQ(std::count(line.begin(), line.end(), '\n'), 1) << line;
    EXPECT_EQ(output.str(), "");
}

INSTANTIATE_TEST_SUITE_P(Corpus, BadFile, testing::ValuesIn(kBad), test::named(&Bad::file));

// A notebook that opens but holds a design nobody can read: check prints what it found and says so in a line.
TEST(BadFiles, AnUnreadableDesignIsFoundByCheck) {
    std::ostringstream output;
    std::ostringstream errors;
    const test::TemporaryFolder folder;
    const std::string path = folder.path("design-unreadable.anodex").string();
    std::filesystem::copy(test::sourceDir() / "tests/data/bad/design-unreadable.anodex", path);
    EXPECT_EQ(run({"notebook", path, "check", "--json"}, output, errors), kWrongInput);
    EXPECT_NE(errors.str().find("the notebook is damaged"), std::string::npos) << errors.str();
    EXPECT_NE(output.str().find("a design cannot be read"), std::string::npos) << output.str();
    EXPECT_NE(output.str().find("\"ok\": false"), std::string::npos) << output.str();
}

TEST(BadFiles, EachFileOfTheFolderIsInTheTable) {
    std::set<std::string> listed = {"design-unreadable.anodex"};
    for (const Bad& bad : kBad) {
        listed.insert(bad.file);
    }
    for (const auto& entry : std::filesystem::directory_iterator(test::sourceDir() / "tests/data/bad")) {
        EXPECT_TRUE(listed.contains(entry.path().filename().string())) << entry.path();
    }
    EXPECT_GE(listed.size(), 40U);
}

struct Notebooks : testing::Test {
    std::string make() const {
        const std::string path = folder.path("n.anodex").string();
        auto book = notebook::Notebook::open(path, notebook::OpenMode::Create, "first");
        EXPECT_TRUE(book);
        for (int i = 0; i < 40; ++i) {
            EXPECT_TRUE(
                book->commit("p", i, {record::Project{"p" + std::to_string(i), std::string(200, 'x'), i}}));
        }
        return path;
    }
    static std::pair<int, std::string> check(const std::string& path) {
        std::ostringstream output;
        std::ostringstream errors;
        const int exit = run({"notebook", path, "check", "--json"}, output, errors);
        return {exit, errors.str()};
    }
    test::TemporaryFolder folder;
};

TEST_F(Notebooks, NewerOnesAreRefused) {
    const std::string path = make();
    {
        SQLite::Database database(path, SQLite::OPEN_READWRITE);
        database.exec("PRAGMA user_version = 7");
    }
    const auto [exit, line] = check(path);
    EXPECT_EQ(exit, kWrongInput);
    EXPECT_NE(line.find("newer version"), std::string::npos) << line;
}

TEST_F(Notebooks, TruncatedOnesAreRefused) {
    const std::string path = make();
    const std::string whole = test::readText(path);
    for (const double share : {0.3, 0.6, 0.9}) {
        test::writeText(path,
                        whole.substr(0, static_cast<std::size_t>(share * static_cast<double>(whole.size()))));
        const auto [exit, line] = check(path);
        EXPECT_EQ(exit, kWrongInput) << share << line;
    }
}

TEST_F(Notebooks, ScribbledOnesAreRefused) {
    const std::string path = make();
    const std::string whole = test::readText(path);
    for (std::size_t page = 1; page + 1 < whole.size() / 4096; page += 3) {
        std::string broken = whole;
        for (std::size_t i = page * 4096; i < page * 4096 + 60; ++i) {
            broken[i] = static_cast<char>(0xA5U ^ i);
        }
        test::writeText(path, broken);
        const auto [exit, line] = check(path);
        EXPECT_NE(exit, kGood) << page;
        EXPECT_EQ(std::count(line.begin(), line.end(), '\n'), 1) << line;
    }
}

TEST_F(Notebooks, AreReadWhileOpenElsewhere) {
    const std::string path = make();
    auto other = notebook::Notebook::open(path, notebook::OpenMode::Write, "the other one");
    ASSERT_TRUE(other);
    EXPECT_EQ(check(path).first, kGood);
    const auto second = notebook::Notebook::open(path, notebook::OpenMode::Write, "late");
    ASSERT_FALSE(second);
    EXPECT_EQ(second.error().detail, "the other one");
}

} // namespace
} // namespace anodex::cli
