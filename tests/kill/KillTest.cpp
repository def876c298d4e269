// A child process is killed at two hundred seeded moments, some of them inside an import. Every acknowledged
// change must be there, and nothing but the one change in flight besides.
#include "notebook/Notebook.h"
#include "tests/support/InUse.h"
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
    std::size_t hash = 0;
};

std::optional<Acknowledged> acknowledged(const std::string& line) {
    if (!line.starts_with("ack ")) {
        return std::nullopt;
    }
    return Acknowledged{std::strtoull(line.c_str() + 4, nullptr, 10)};
}

std::size_t hashOf(const notebook::Notebook& book) {
    const auto dump = book.dump();
    EXPECT_TRUE(dump) << dump.error().detail;
    return dump ? std::hash<std::string>{}(test::inUse(*dump)) : 0;
}

/// What was acknowledged last stands there; or the one change in flight besides, which a single step takes
/// back.
void expectStateOrOneStepBeyond(notebook::Notebook& book, std::size_t acknowledgedHash, unsigned seed) {
    if (hashOf(book) == acknowledgedHash) {
        return;
    }
    ASSERT_TRUE(book.undo());
    const bool changeInFlight = hashOf(book) == acknowledgedHash;
    ASSERT_TRUE(book.redo());
    if (changeInFlight) {
        return;
    }
    ASSERT_TRUE(book.redo());
    EXPECT_EQ(hashOf(book), acknowledgedHash) << "an acknowledged change is lost, seed " << seed;
    ASSERT_TRUE(book.undo());
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

        auto book = notebook::Notebook::open(path, notebook::OpenMode::Write, "parent");
        ASSERT_TRUE(book) << book.error().detail;
        const auto faults = book->check();
        ASSERT_TRUE(faults);
        EXPECT_TRUE(faults->empty()) << faults->front();
        expectStateOrOneStepBeyond(*book, last->hash, seed);
    }
    EXPECT_GE(insideImports, 1);
}

INSTANTIATE_TEST_SUITE_P(Seeds, Killed, testing::Range(1U, 21U));

} // namespace
} // namespace anodex
