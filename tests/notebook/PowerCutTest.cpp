// The power is cut at five hundred seeded moments: what was written but not synced is lost or torn, nothing
// that was acknowledged is.
#include "tests/notebook/NotebookSamples.h"
#include "tests/support/InUse.h"
#include "tests/support/LossyStorage.h"

#include <filesystem>
#include <optional>

namespace anodex::notebook {
namespace {

constexpr int kCutsEach = 50;
constexpr int kCommands = 24;

struct Cut {
    std::filesystem::path folder;
    std::string acknowledged; ///< The dump when the last change before it was acknowledged.
    bool changing = false;    ///< A change was under way.
};

/// One life of a notebook with a cut, and so an image, at each of some seeded operations.
class Life {
public:
    Life(std::uint64_t seed, bool sharedMemory)
        : m_storage({seed, sharedMemory}), m_path(m_folder.path("cells.anodex").string()), m_state(seed) {
        m_storage.context = this;
        m_storage.afterOperation = [](test::LossyStorage& storage, void* self) {
            static_cast<Life*>(self)->maybeCut(storage);
        };
        m_book.emplace(*Notebook::open(m_path, OpenMode::Create, "test"));
        acknowledge();
        fill(*m_book);
        acknowledge();
        m_counting = true;
        for (int i = 0; i < kCommands; ++i) {
            m_changing = true;
            change(i);
            acknowledge();
        }
        m_counting = false;
        m_book.reset();
    }
    [[nodiscard]] const std::vector<Cut>& cuts() const { return m_cuts; }

private:
    void acknowledge() {
        m_changing = false;
        m_acknowledged = *m_book->dump();
    }
    std::uint64_t random() {
        return (m_state = m_state * 6364136223846793005ULL + 1442695040888963407ULL) >> 33U;
    }

    void change(int i) {
        switch (random() % 5) {
        case 0:
            EXPECT_TRUE(m_book->undo());
            break;
        case 1:
            EXPECT_TRUE(m_book->redo());
            break;
        case 2:
            EXPECT_TRUE(m_book->fold());
            break;
        case 3:
            EXPECT_TRUE(m_book->importRun("run", i, run("n" + std::to_string(100 + i)),
                                          test::straightDischarge(0.1, 100.0, 2000)));
            break;
        default:
            EXPECT_TRUE(m_book->commit("reading", i, {reading("m" + std::to_string(100 + i), 1.0)}));
        }
    }

    void maybeCut(test::LossyStorage& storage) {
        if (!m_counting || m_cuts.size() >= kCutsEach || random() % 4 != 0) {
            return;
        }
        const auto folder = m_folder.path("cut-" + std::to_string(m_cuts.size()));
        std::filesystem::create_directory(folder);
        storage.writeImage(folder);
        m_cuts.push_back({folder, m_acknowledged, m_changing});
    }

    test::TemporaryFolder m_folder;
    test::LossyStorage m_storage;
    std::string m_path;
    std::uint64_t m_state;
    std::optional<Notebook> m_book;
    std::string m_acknowledged;
    bool m_changing = false;
    bool m_counting = false;
    std::vector<Cut> m_cuts;
};

void expectWhole(const Cut& cut) {
    auto book = Notebook::open((cut.folder / "cells.anodex").string(), OpenMode::Write, "after");
    ASSERT_TRUE(book) << book.error().detail;
    const auto faults = *book->check();
    EXPECT_TRUE(faults.empty()) << faults.front();
    const std::string wanted = test::inUse(cut.acknowledged);
    const auto stands = [&] { return test::inUse(*book->dump()) == wanted; };
    if (stands()) {
        return;
    }
    EXPECT_TRUE(cut.changing) << "something stands there that nobody wrote";
    ASSERT_TRUE(book->undo());
    if (stands()) {
        return; // the change under way had already come through
    }
    ASSERT_TRUE(book->redo());
    ASSERT_TRUE(book->redo());
    EXPECT_TRUE(stands()) << "an acknowledged change is missing";
}

class PowerCut : public testing::TestWithParam<int> {};

TEST_P(PowerCut, LosesNothingThatWasAcknowledged) {
    const Life life(static_cast<std::uint64_t>(GetParam()), GetParam() % 5 != 0);
    ASSERT_EQ(life.cuts().size(), static_cast<std::size_t>(kCutsEach));
    for (const Cut& cut : life.cuts()) {
        expectWhole(cut);
    }
}

INSTANTIATE_TEST_SUITE_P(Seeds, PowerCut, testing::Range(1, 11));

} // namespace
} // namespace anodex::notebook
