#include "wording/catalogue/Pictograms.h"

#include "formats/EmbeddedData.h"
#include "formats/JsonObject.h"

#include <algorithm>
#include <set>

namespace anodex::wording {
namespace {

using formats::Json;

constexpr std::size_t kCodeLength = 4; // "H314"

Json readTable() {
    Json table;
    if (formats::parseJson(formats::embeddedFile("hazards/pictograms.json"), table)) {
        return {{"pictograms", Json::array()}, {"gives_way", Json::array()}};
    }
    return table;
}

const Json& table() {
    static const Json read = readTable();
    return read;
}

using Codes = std::set<std::string>;

Codes among(const Codes& codes, const Json& listed) {
    Codes found;
    for (const Json& code : listed) {
        if (codes.contains(code.get<std::string>())) {
            found.insert(code.get<std::string>());
        }
    }
    return found;
}

const Json& codesOf(const Json& id) {
    const Json& all = table()["pictograms"];
    return (*std::find_if(all.begin(), all.end(), [&](const Json& one) { return one["id"] == id; }))["codes"];
}

/// Codes of this picture that no other picture stands for.
Codes leftOf(const Json& pictogram, const Codes& codes) {
    Codes left = among(codes, pictogram["codes"]);
    for (const Json& rule : table()["gives_way"]) {
        const bool meant = rule["pictogram"] == pictogram["id"];
        const bool because = rule.contains("because_of")
                                 ? codes.contains(rule["because_of"].get<std::string>())
                                 : !among(codes, codesOf(rule["to"])).empty();
        if (meant && because) {
            for (const Json& code : rule["codes"]) {
                left.erase(code.get<std::string>());
            }
        }
    }
    return left;
}

} // namespace

std::vector<std::string> pictogramsFor(const std::vector<std::string>& codes) {
    Codes plain;
    for (const std::string& code : codes) {
        plain.insert(code.substr(0, kCodeLength));
    }
    std::vector<std::string> pictograms;
    for (const Json& one : table()["pictograms"]) {
        if (!leftOf(one, plain).empty()) {
            pictograms.push_back(one["id"].get<std::string>());
        }
    }
    return pictograms;
}

} // namespace anodex::wording
