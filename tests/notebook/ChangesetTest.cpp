// Damaged steps of the history: SQLite's own changeset functions trust their bytes, so nothing here may hang,
// read past an end, or move a row.
#include "notebook/Changeset.h"
#include "tests/notebook/NotebookSamples.h"

#include <SQLiteCpp/SQLiteCpp.h>
#include <random>

namespace anodex::notebook {
namespace {

class Changesets : public testing::Test {
protected:
    Changesets() {
        auto book = Notebook::open(m_path, OpenMode::Create, "test").value();
        fill(book);
        const auto struck = book.commit("note", 6, {reading("m1", 1.07), reading("m2", 0.9)});
        EXPECT_TRUE(struck);
    }

    std::vector<Bytes> all() {
        std::vector<Bytes> found;
        SQLite::Database database(m_path);
        SQLite::Statement query(database, "SELECT changeset FROM history");
        while (query.executeStep()) {
            const SQLite::Column blob = query.getColumn(0);
            const auto* bytes = static_cast<const unsigned char*>(blob.getBlob());
            found.emplace_back(bytes, bytes + blob.getBytes());
        }
        return found;
    }

    /// The notebook in memory, to be hurt.
    SQLite::Database copy() {
        SQLite::Database memory(":memory:", SQLite::OPEN_READWRITE | SQLite::OPEN_CREATE);
        memory.backup(m_path.c_str(), SQLite::Database::Load);
        return memory;
    }

    /// Inverts and applies; what SQLite refuses is as good.
    void endure(const Bytes& changeset) {
        SQLite::Database memory = copy();
        try {
            applyTo(memory, inverted(changeset));
        } catch (const SQLite::Exception&) {
        }
    }

    test::TemporaryFolder m_folder;
    std::string m_path = m_folder.path("a.anodex").string();
};

TEST_F(Changesets, TellTheRowsTheyTouch) {
    const std::vector<Bytes> steps = all();
    ASSERT_EQ(steps.size(), 6U);
    using Rows = std::set<std::pair<std::string, std::string>>;
    EXPECT_EQ(rowsTouched(steps[0]), (Rows{{"project", "p1"}, {"revision", "r1"}}));
    EXPECT_EQ(rowsTouched(steps[5]), (Rows{{"reading", "m1"}, {"reading", "m2"}}));
    EXPECT_TRUE(rowsTouched({}).empty());
    EXPECT_TRUE(inverted({}).empty());
}

TEST_F(Changesets, CutAnywhereAreRefused) {
    for (const Bytes& whole : all()) {
        for (std::size_t length = 1; length < whole.size(); length += 1 + length / 40) {
            const Bytes cut(whole.begin(), whole.begin() + static_cast<std::ptrdiff_t>(length));
            endure(cut);
        }
        const Bytes half(whole.begin(), whole.begin() + static_cast<std::ptrdiff_t>(whole.size() / 2));
        EXPECT_THROW(static_cast<void>(inverted(half)), SQLite::Exception);
        EXPECT_THROW(static_cast<void>(rowsTouched(half)), SQLite::Exception);
        SQLite::Database memory = copy();
        EXPECT_THROW(applyTo(memory, half), SQLite::Exception);
    }
}

TEST_F(Changesets, AlteredAnywhereEndInOneWayOrTheOther) {
    std::mt19937_64 random(11);
    const std::vector<Bytes> steps = all();
    for (int i = 0; i < 600; ++i) {
        Bytes altered = steps[random() % steps.size()];
        for (std::uint64_t flips = 1 + random() % 3; flips > 0; --flips) {
            altered[random() % altered.size()] ^= static_cast<unsigned char>(1 + random() % 255);
        }
        endure(altered);
    }
}

TEST_F(Changesets, AStepThatIsNotAsItWasWrittenIsNotUndone) {
    for (const char* damage : {"UPDATE history SET changeset = substr(changeset, 1, 60) WHERE id = 6",
                               "UPDATE history SET sentence = 'something else' WHERE id = 6"}) {
        const std::string path = m_folder.path("hurt.anodex").string();
        test::writeText(path, test::readText(m_path));
        SQLite::Database(path, SQLite::OPEN_READWRITE).exec(damage);
        auto book = Notebook::open(path, OpenMode::Write, "test").value();
        const auto before = book.dump();
        const auto undone = book.undo();
        ASSERT_FALSE(undone) << damage;
        EXPECT_EQ(undone.error().code, NotebookError::Code::Damaged);
        EXPECT_EQ(book.dump().value(), before.value());
        EXPECT_TRUE(book.commit("goes on", 9, {reading("m3", 1.0)}));
    }
}

} // namespace
} // namespace anodex::notebook
