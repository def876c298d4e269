// Back to any step of the history, and forward again.
#include "notebook/Travel.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>

namespace anodex::notebook {
namespace {

class TravelTest : public testing::Test {
protected:
    void SetUp() override {
        auto opened = Notebook::open(m_folder.path("a.anodex").string(), OpenMode::Create, "test");
        ASSERT_TRUE(opened.has_value());
        m_book.emplace(std::move(*opened));
        for (int i = 1; i <= 5; ++i) {
            const std::string id = "p" + std::to_string(i);
            ASSERT_TRUE(m_book->commit("project", i, {record::Project{id, "Shed " + id, i}}).has_value());
            m_dumps.push_back(*m_book->dump());
        }
    }
    std::int64_t entry(std::size_t index) { return (*m_book->history())[index].id; }
    std::size_t projects() { return m_book->projects()->size(); }

    test::TemporaryFolder m_folder;
    std::optional<Notebook> m_book;
    std::vector<std::string> m_dumps;
};

TEST_F(TravelTest, GoesBackForwardAndNowhere) {
    EXPECT_EQ(*travelTo(*m_book, entry(4)), 0);
    EXPECT_EQ(*travelTo(*m_book, entry(1)), 3);
    EXPECT_EQ(projects(), 2U);
    EXPECT_EQ(*travelTo(*m_book, entry(3)), 2);
    EXPECT_EQ(projects(), 4U);
    EXPECT_EQ(*travelTo(*m_book, entry(4)), 1);
    EXPECT_EQ(*m_book->dump(), m_dumps.back()) << "there and back leaves nothing different";
}

TEST_F(TravelTest, BeforeTheFirstStepThereIsNothing) {
    EXPECT_EQ(*travelTo(*m_book, 0), 5);
    EXPECT_EQ(projects(), 0U);
}

TEST_F(TravelTest, TellsEachStepInItsOrder) {
    std::vector<record::Id> gone;
    const auto steps = travelTo(*m_book, entry(2), [&](const Step& step) {
        gone.insert(gone.end(), step.gone.begin(), step.gone.end());
    });
    EXPECT_EQ(*steps, 2);
    EXPECT_EQ(gone, (std::vector<record::Id>{"p5", "p4"}));
}

TEST_F(TravelTest, WhatIsWrittenAfterGoingBackTakesThePlaceOfWhatWasTakenBack) {
    ASSERT_TRUE(travelTo(*m_book, entry(1)).has_value());
    ASSERT_TRUE(m_book->commit("project", 9, {record::Project{"q", "Other", 9}}).has_value());
    EXPECT_EQ(m_book->history()->size(), 3U);
    EXPECT_EQ(projects(), 3U);
}

} // namespace
} // namespace anodex::notebook
