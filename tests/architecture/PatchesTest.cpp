// The patches in docs/patches, which show how a view, a finding and a command are added, still apply, and touch
// their own folder and at most one line elsewhere.
#include "tests/support/Samples.h"

#include <cstdlib>
#include <gtest/gtest.h>
#include <sstream>

namespace anodex {
namespace {

struct Patch {
    const char* name;
    const char* folder;
};

class Patches : public testing::TestWithParam<Patch> {};

TEST_P(Patches, ApplyAndTouchTheirFolderAndALineElsewhere) {
    const auto file = test::sourceDir() / "docs/patches" / GetParam().name;
    const std::string command = "patch --dry-run --silent --force -p1 -d '" + test::sourceDir().string() +
                                "' < '" + file.string() + "'";
    EXPECT_EQ(std::system(command.c_str()), 0);
    std::istringstream lines(test::readText(file));
    std::string path;
    int elsewhere = 0;
    int here = 0;
    for (std::string line; std::getline(lines, line);) {
        if (line.starts_with("+++ b/")) {
            path = line.substr(6);
        } else if (line.starts_with("+") || (line.starts_with("-") && !line.starts_with("---"))) {
            ++(path.starts_with(GetParam().folder) ? here : elsewhere);
        }
    }
    EXPECT_GT(here, 3);
    EXPECT_LE(elsewhere, 1);
}

INSTANTIATE_TEST_SUITE_P(Of, Patches,
                         testing::Values(Patch{"view.patch", "src/app/views/tally/"},
                                         Patch{"finding.patch", "src/core/findings/"},
                                         Patch{"command.patch", "src/cli/"}),
                         [](const auto& patch) { return test::caseName(patch.index, patch.param.name); });

} // namespace
} // namespace anodex
