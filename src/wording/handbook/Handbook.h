// src/wording/handbook/Handbook.h - the pages that travel inside the program, and which of them tells of what.
//
// Pages      data/handbook/LANGUAGE/PAGE.md, Markdown; English where a language lacks one. Their order, and what
//            leads to them, in data/handbook/contents.json.
// Places     "PAGE", or "PAGE#SECTION" with the section's heading as sectionId() writes it.
#pragma once
#include "core/findings/Finding.h"
#include <string>
#include <string_view>
#include <vector>

namespace anodex::wording {

struct HandbookPage {
    std::string id;
    std::string chapter; ///< In words.
    std::string title;
    std::string
        text; ///< Markdown without its notes to tests; empty where the program writes the page itself.
};

/// In reading order, in the language in use.
[[nodiscard]] std::vector<HandbookPage> handbookPages();
/// A page as its file stands, notes included; empty when there is none.
[[nodiscard]] std::string_view handbookFile(const std::string& page);

/// Where it is told what a finding means; empty when nowhere.
[[nodiscard]] std::string handbookPlace(const findings::Finding& finding);
/// Where it is told what a view is for; empty when nowhere.
[[nodiscard]] std::string handbookPlaceOfView(const std::string& view);

/// "Bad air, and more" is "bad-air-and-more".
[[nodiscard]] std::string sectionId(std::string_view heading);

} // namespace anodex::wording
