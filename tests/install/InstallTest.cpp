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

TEST_F(InstallTest, BashCompletesCommandsOptionsKindsAndFiles) {
    const auto completed = [&](const std::string& words, int at_) {
        return ran("bash -c 'source \"" + at("share/bash-completion/completions/anodex-cli") +
                   "\"; COMP_WORDS=(" + words + "); COMP_CWORD=" + std::to_string(at_) +
                   "; _anodex_cli; echo ${COMPREPLY[*]}'")
            .output;
    };
    EXPECT_EQ(completed("anodex-cli s", 1), "solution screen schema\n");
    EXPECT_EQ(completed("anodex-cli catalogue ma", 2), "materials\n");
    EXPECT_EQ(completed("anodex-cli schema \"\"", 2), "cell liquid shelf\n");
    EXPECT_EQ(completed("anodex-cli evaluate --cu", 2), "--current --curve\n");
    EXPECT_EQ(completed("anodex-cli read --c", 2), "--cell --catalogue\n");
    test::writeText(m_folder.path("mine.cell.json"), "{}");
    EXPECT_EQ(completed("anodex-cli evaluate " + m_folder.path("mine").string(), 2),
              m_folder.path("mine.cell.json").string() + "\n");
}

TEST_F(InstallTest, ZshAndFishCompleteTheSame) {
    const std::string zsh = at("share/zsh/site-functions/_anodex-cli");
    expectClean("zsh -n " + quoted(zsh));
    const Ran described =
        ran("zsh -fc 'autoload -U compinit; compinit -D -u; _describe() { print -l ${(P)2}; }; "
            "_arguments() { print -l -- \"$@\"; }; CURRENT=2; words=(anodex-cli \"\"); "
            "source \"" +
            zsh + "\"; CURRENT=3; words=(anodex-cli catalogue \"\"); _anodex_cli'");
    EXPECT_NE(described.output.find("evaluate:What the model says"), std::string::npos) << described.output;
    EXPECT_NE(described.output.find("1:kind:(substances liquids materials"), std::string::npos)
        << described.output;
    const std::string fish = at("share/fish/vendor_completions.d/anodex-cli.fish");
    expectClean("fish --no-execute " + quoted(fish));
    const std::string home = "HOME=" + m_folder.path("home").string() + " ";
    const auto offered = [&](const std::string& line) {
        return ran(home + "fish --no-config -c 'source \"" + fish + "\"; complete -C \"" + line + "\"'")
            .output;
    };
    EXPECT_NE(offered("anodex-cli ev").find("evaluate"), std::string::npos) << offered("anodex-cli ev");
    EXPECT_NE(offered("anodex-cli catalogue ma").find("materials"), std::string::npos);
    EXPECT_NE(offered("anodex-cli evaluate --cur").find("--curve"), std::string::npos);
    EXPECT_EQ(offered("anodex-cli schema m").find("materials"), std::string::npos);
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
