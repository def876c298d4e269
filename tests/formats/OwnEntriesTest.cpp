// Entries of one's own join the catalogue by its own schema, or say what is wrong.
#include "formats/catalogue/OwnEntries.h"

#include <gtest/gtest.h>

namespace anodex::formats {
namespace {

tl::expected<chemistry::Catalogue, FileError> readWith(const std::vector<OwnEntry>& entries) {
    const auto files = withOwnEntries(builtInCatalogueFiles(), entries);
    return files ? readCatalogue(*files) : tl::unexpected(files.error());
}

TEST(OwnEntries, EveryOpenListShowsItsEntriesWithSources) {
    const CatalogueFiles files = builtInCatalogueFiles();
    for (const std::string& list : openLists()) {
        const auto entries = entriesOf(files, list);
        ASSERT_FALSE(entries.empty()) << list;
        for (const CatalogueEntry& entry : entries) {
            EXPECT_FALSE(entry.name.empty()) << list;
            EXPECT_FALSE(entry.sources.empty()) << list << entry.name;
        }
    }
}

TEST(OwnEntries, ACopyOfAnyShippedEntryTakesItsPlaceUnchanged) {
    const CatalogueFiles files = builtInCatalogueFiles();
    for (const std::string& list : openLists()) {
        const CatalogueEntry first = entriesOf(files, list).front();
        const auto catalogue = readWith({{list, first.text}});
        EXPECT_TRUE(catalogue) << list << ": " << catalogue.error().field;
        const auto again = withOwnEntries(files, {{list, first.text}});
        EXPECT_EQ(entriesOf(*again, list).size(), entriesOf(files, list).size()) << list;
    }
}

TEST(OwnEntries, FaultsNameTheFieldOfTheEntry) {
    const auto fault = [](const OwnEntry& entry) {
        const auto catalogue = readWith({entry});
        return catalogue ? std::string("none") : catalogue.error().field;
    };
    EXPECT_EQ(fault({"weather", "{}"}), "list");
    EXPECT_EQ(fault({"rules", R"({"title":"x"})"}), "id");
    EXPECT_NE(fault({"materials", R"({"id":"my-metal","name":"my metal"})"}).find("materials"),
              std::string::npos);
    EXPECT_NE(fault({"materials", "{"}), "none");
}

TEST(OwnEntries, IdsAreReadFromIdOrName) {
    EXPECT_EQ(idOf({"substances", R"({"id":"my-salt","name":"my salt"})"}), "my-salt");
    EXPECT_EQ(idOf({"species", R"({"name":"Na+"})"}), "Na+");
    EXPECT_EQ(idOf({"species", "{"}), "");
}

} // namespace
} // namespace anodex::formats
