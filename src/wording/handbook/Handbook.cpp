#include "wording/handbook/Handbook.h"

#include "formats/EmbeddedData.h"
#include "wording/FindingText.h"
#include "wording/Texts.h"

#include <cctype>
#include <nlohmann/json.hpp>

namespace anodex::wording {
namespace {

constexpr const char* kFolder = "handbook/";

const nlohmann::json& contents() {
    static const nlohmann::json read =
        nlohmann::json::parse(formats::embeddedFile(std::string(kFolder) + "contents.json"));
    return read;
}

/// Comments are for the tests that recompute what a page says.
std::string withoutNotes(std::string_view page) {
    constexpr std::string_view kFrom = "<!--";
    constexpr std::string_view kTo = "-->";
    std::string text;
    while (true) {
        const std::size_t from = page.find(kFrom);
        text += page.substr(0, from);
        if (from == std::string_view::npos) {
            return text;
        }
        page.remove_prefix(page.find(kTo, from) + kTo.size());
        if (page.starts_with(' ')) {
            page.remove_prefix(1);
        }
    }
}

std::string placeIn(const char* table, const std::string& key) {
    return contents()[table].value(key, std::string());
}

} // namespace

std::string_view handbookFile(const std::string& page) {
    const std::string own = kFolder + Texts::current().language() + "/" + page + ".md";
    const std::string_view found = formats::embeddedFile(own);
    return found.empty() ? formats::embeddedFile(kFolder + Texts::english().language() + "/" + page + ".md")
                         : found;
}

std::vector<HandbookPage> handbookPages() {
    std::vector<HandbookPage> pages;
    for (const nlohmann::json& chapter : contents()["chapters"]) {
        const std::string words = text({"handbook." + chapter["id"].get<std::string>()});
        for (const std::string id : chapter["pages"]) {
            const std::string written = withoutNotes(handbookFile(id));
            const std::string own = "handbook." + id;
            const std::string heading =
                written.empty() ? text({own})
                                : Texts::current().textOr(own, written.substr(2, written.find('\n') - 2));
            pages.push_back({id, words, heading, written});
        }
    }
    return pages;
}

std::string handbookPlace(const findings::Finding& finding) {
    return placeIn("findings", finding.code == findings::FindingCode::Rule ? "rule" : findingCode(finding));
}

std::string handbookPlaceOfView(const std::string& view) {
    return placeIn("stations", view);
}

std::string sectionId(std::string_view heading) {
    std::string id;
    for (const char c : heading) {
        if (std::isalnum(static_cast<unsigned char>(c)) != 0) {
            id += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
        } else if (!id.empty() && id.back() != '-') {
            id += '-';
        }
    }
    while (!id.empty() && id.back() == '-') {
        id.pop_back();
    }
    return id;
}

} // namespace anodex::wording
