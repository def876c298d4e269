// A child process is killed at seeded moments, some of them inside an import. Every acknowledged change must
// be there.
#include "notebook/Notebook.h"
#include "tests/support/Samples.h"

#include <array>
#include <csignal>
#include <cstdio>
#include <cstdlib>
#include <functional>
#include <gtest/gtest.h>
#include <optional>
#include <sys/wait.h>
#include <unistd.h>

namespace anodex {
namespace {

struct Child {
    pid_t pid = -1;
    FILE* output = nullptr;
};

Child start(const std::string& notebook, unsigned seed) {
    std::array<int, 2> ends{};
    if (pipe(ends.data()) != 0) {
        return {};
    }
    const std::string seedText = std::to_string(seed);
    const pid_t pid = fork();
    if (pid == 0) {
        dup2(ends[1], STDOUT_FILENO);
        close(ends[0]);
        close(ends[1]);
        execl(ANODEX_KILL_CHILD, ANODEX_KILL_CHILD, notebook.c_str(), seedText.c_str(),
              static_cast<char*>(nullptr));
        _exit(127);
    }
    close(ends[1]);
    return {pid, fdopen(ends[0], "r")};
}

struct Acknowledged {
    long long history = 0;
    std::size_t hash = 0;
};

std::optional<Acknowledged> acknowledged(const std::string& line) {
    Acknowledged ack;
    if (!line.starts_with("ack ")) {
        return std::nullopt;
    }
    char* rest = nullptr;
    ack.history = std::strtoll(line.c_str() + 4, &rest, 10);
    ack.hash = std::strtoull(rest, nullptr, 10);
    return ack;
}

class Killed : public testing::TestWithParam<unsigned> {};

TEST_P(Killed, LosesNothingThatWasAcknowledged) {
    const test::TemporaryFolder folder;
    const std::string path = folder.path("n.anodex").string();
    int insideImports = 0;
    for (unsigned round = 0; round < 10; ++round) {
        const unsigned seed = GetParam() * 1000 + round;
        const Child child = start(path, seed);
        ASSERT_NE(child.output, nullptr);
        const bool aimAtImport = round % 5 == 0;
        const unsigned wanted = 2 + seed * 2654435761U % 20;
        std::optional<Acknowledged> last;
        unsigned lines = 0;
        std::array<char, 128> line{};
        while (fgets(line.data(), line.size(), child.output) != nullptr) {
            const auto ack = acknowledged(line.data());
            last = ack ? ack : last;
            const bool importing = std::string(line.data()) == "importing\n";
            ++lines;
            if (aimAtImport ? importing : lines >= wanted) {
                insideImports += importing ? 1 : 0;
                usleep(seed * 7919U % 4000U);
                break;
            }
        }
        kill(child.pid, SIGKILL);
        // What it printed before it died counts as acknowledged too.
        while (fgets(line.data(), line.size(), child.output) != nullptr) {
            const auto ack = acknowledged(line.data());
            last = ack ? ack : last;
        }
        fclose(child.output);
        int status = 0;
        waitpid(child.pid, &status, 0);
        ASSERT_TRUE(last) << "the child said nothing";

        const auto book = notebook::Notebook::open(path, notebook::OpenMode::Write, "parent");
        ASSERT_TRUE(book) << book.error().detail;
        const auto faults = book->check();
        ASSERT_TRUE(faults);
        EXPECT_TRUE(faults->empty()) << faults->front();
        const auto history = *book->history();
        const long long newest = history.empty() ? 0 : history.back().id;
        EXPECT_GE(newest + 1, last->history) << seed;
        const std::size_t hash = std::hash<std::string>{}(*book->dump());
        if (hash != last->hash) {
            // At most the one change in flight may be there besides; undo and redo change what is there
            // without a new entry.
            EXPECT_LE(newest, last->history + 1) << seed;
        }
    }
    EXPECT_GE(insideImports, 1);
}

INSTANTIATE_TEST_SUITE_P(Seeds, Killed, testing::Range(1U, 11U));

} // namespace
} // namespace anodex
