#include "formats/SaidJson.h"

#include <gtest/gtest.h>

namespace anodex::formats {
namespace {

using base::Said;

TEST(SaidJson, ComesBackAsItWas) {
    for (const Said& said : {Said(), Said("command.noted"), Said("a", {{"name", "Jar \"2\""}}),
                             Said("b", {{"count", std::int64_t{3}}, {"text", "µ Ω"}}),
                             Said("c", {{"what", std::vector{Said("d", {{"x", "1"}}), Said("e")}},
                                        {"more", std::int64_t{0}}})}) {
        EXPECT_EQ(readSaid(writeSaid(said)), said) << writeSaid(said);
    }
}

TEST(SaidJson, ASentenceOfAnEarlierVersionStaysASentence) {
    for (const char* old : {"gap 10 → 20 mm", "Noted \"warm\"", "{half", "17", "[1]", "", R"({"no": "id"})",
                            R"({"id": 3})", R"({"id": "x", "values": {"y": 1.5e400}})"}) {
        EXPECT_EQ(readSaid(old).id, old);
    }
}

} // namespace
} // namespace anodex::formats
