// Installed below any prefix the programs run, and what goes with them passes its checkers without a word.
#include "tests/support/Samples.h"

#include <array>
#include <cstdio>
#include <gtest/gtest.h>
#include <sys/wait.h>

namespace anodex {
namespace {

namespace fs = std::filesystem;

struct Ran {
    int exit = -1;
    std::string output; ///< What went to either stream.
};

Ran ran(const std::string& command) {
    Ran result;
    FILE* pipe = popen((command + " 2>&1").c_str(), "r");
    std::array<char, 512> line{};
    while (pipe != nullptr && fgets(line.data(), line.size(), pipe) != nullptr) {
        result.output += line.data();
    }
    result.exit = pipe != nullptr ? WEXITSTATUS(pclose(pipe)) : -1;
    return result;
}

class InstallTest : public testing::Test {
protected:
    InstallTest() {
        const Ran installed = ran("DESTDIR=" + m_folder.path("stage").string() + " cmake --install " +
                                  ANODEX_BINARY_DIR + " --prefix \"" + std::string(kPrefix) + "\"");
        EXPECT_EQ(installed.exit, 0) << installed.output;
    }
    [[nodiscard]] std::string at(const std::string& file) const {
        return (m_folder.path("stage") / std::string(kPrefix).substr(1) / file).string();
    }
    void expectClean(const std::string& command) {
        const Ran checked = ran(command);
        EXPECT_EQ(checked.exit, 0) << command;
        EXPECT_EQ(checked.output, "") << command;
    }

    static constexpr const char* kPrefix = "/opt/some where else";
    test::TemporaryFolder m_folder;
};

std::string quoted(const std::string& path) {
    return "'" + path + "'";
}

TEST_F(InstallTest, TheCommandLineRunsFromAnyPrefixWithItsPageAndCompletion) {
    const Ran answer = ran(quoted(at("bin/anodex-cli")) + " evaluate " +
                           quoted(at("share/anodex/starters/first.cell.json")) + " --samples 0");
    EXPECT_EQ(answer.exit, 0) << answer.output;
    EXPECT_NE(answer.output.find("open circuit"), std::string::npos) << answer.output;
    expectClean("mandoc -Tlint -W style " + quoted(at("share/man/man1/anodex-cli.1")));
    expectClean("bash -n " + quoted(at("share/bash-completion/completions/anodex-cli")));
    const Ran completed = ran("bash -c 'source \"" + at("share/bash-completion/completions/anodex-cli") +
                              "\"; COMP_WORDS=(anodex-cli ev); COMP_CWORD=1; _anodex_cli; "
                              "echo ${COMPREPLY[*]}'");
    EXPECT_EQ(completed.output, "evaluate\n");
}

#ifdef ANODEX_APP
TEST_F(InstallTest, TheWindowIsKnownToTheDesktop) {
    expectClean("desktop-file-validate " + quoted(at("share/applications/anodex.desktop")));
    expectClean("mandoc -Tlint -W style " + quoted(at("share/man/man1/anodex.1")));
    expectClean("xmllint --noout " + quoted(at("share/icons/hicolor/scalable/apps/anodex.svg")));
    expectClean("XDG_DATA_DIRS=" + quoted(at("share")) + " update-mime-database " + quoted(at("share/mime")));
    const std::string globs = test::readText(at("share/mime/globs2"));
    EXPECT_NE(globs.find("application/x-anodex-notebook:*.anodex"), std::string::npos) << globs;
    const Ran window = ran("QT_QPA_PLATFORM=offscreen XDG_RUNTIME_DIR=" + m_folder.path("").string() +
                           " HOME=" + m_folder.path("home").string() + " " + quoted(at("bin/anodex")) +
                           " --demo --quit-when-shown");
    EXPECT_EQ(window.exit, 0) << window.output;
}
#endif

} // namespace
} // namespace anodex
