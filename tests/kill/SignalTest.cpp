// The real program asked to end by a signal leaves one whole file; one that crashes leaves its last words.
#include "app/session/Log.h"
#include "notebook/Notebook.h"
#include "tests/support/Samples.h"

#include <csignal>
#include <cstdlib>
#include <gtest/gtest.h>
#include <sys/wait.h>
#include <unistd.h>

namespace anodex {
namespace {

namespace fs = std::filesystem;

bool waitUntil(const std::function<bool()>& holds) {
    constexpr int kTries = 500;
    for (int i = 0; i < kTries && !holds(); ++i) {
        usleep(10'000);
    }
    return holds();
}

class Ended : public testing::TestWithParam<int> {};

TEST_P(Ended, BySignalLeavesTheMainFileAlone) {
    const test::TemporaryFolder home;
    const fs::path file = home.path("cells.anodex");
    { const auto made = notebook::Notebook::open(file.string(), notebook::OpenMode::Create, "test"); }
    const pid_t child = fork();
    if (child == 0) {
        setenv("HOME", home.path().c_str(), 1);
        setenv("XDG_RUNTIME_DIR", home.path().c_str(), 1);
        setenv("XDG_STATE_HOME", home.path("state").c_str(), 1);
        setenv("XDG_CONFIG_HOME", home.path("config").c_str(), 1);
        setenv("QT_QPA_PLATFORM", "offscreen", 1);
        execl(ANODEX_PROGRAM, ANODEX_PROGRAM, file.c_str(), static_cast<char*>(nullptr));
        _exit(127);
    }
    // Open, and at rest in its loop.
    ASSERT_TRUE(waitUntil([&] { return fs::exists(file.string() + "-wal"); }));
    usleep(300'000);
    kill(child, GetParam());
    int status = 0;
    waitpid(child, &status, 0);
    EXPECT_TRUE(WIFEXITED(status) && WEXITSTATUS(status) == 0) << status;
    EXPECT_FALSE(fs::exists(file.string() + "-wal"));
    EXPECT_FALSE(fs::exists(file.string() + ".lock"));
    EXPECT_TRUE(notebook::Notebook::open(file.string(), notebook::OpenMode::Write, "test"));
    EXPECT_NE(test::readText(home.path("state/anodex/anodex.log")).find("command open"), std::string::npos);
}

INSTANTIATE_TEST_SUITE_P(Signals, Ended, testing::Values(SIGTERM, SIGINT, SIGHUP));

TEST(LastWords, NameTheSignalAndTheCommand) {
    const test::TemporaryFolder folder;
    const std::string path = folder.path("anodex.log").string();
    const pid_t child = fork();
    if (child == 0) {
        app::Log log(path);
        log.writeLastWords();
        log.command("commit reading");
        raise(SIGSEGV);
        _exit(0);
    }
    int status = 0;
    waitpid(child, &status, 0);
    EXPECT_TRUE(WIFSIGNALED(status));
    EXPECT_NE(test::readText(path).find("died of signal 11 during: commit reading"), std::string::npos)
        << test::readText(path);
}

TEST(LastWords, TheLogStaysSmall) {
    const test::TemporaryFolder folder;
    {
        app::Log log(folder.path("anodex.log").string());
        for (int i = 0; i < 20'000; ++i) {
            log.command("commit reading");
        }
    }
    std::uintmax_t size = 0;
    for (const auto& entry : fs::directory_iterator(folder.path())) {
        size += entry.file_size();
    }
    EXPECT_LE(size, 400'000U);
}

} // namespace
} // namespace anodex
