#include "formats/catalogue/OwnEntries.h"

#include "formats/JsonObject.h"

#include <algorithm>

namespace anodex::formats {
namespace {

using Code = FileError::Code;

std::string textAt(const Json& entry, const char* key) {
    const auto found = entry.is_object() ? entry.find(key) : entry.end();
    return entry.is_object() && found != entry.end() && found->is_string() ? found->get<std::string>()
                                                                           : std::string();
}

/// Species go by their name.
std::string idIn(const Json& entry) {
    const std::string id = textAt(entry, "id");
    return id.empty() ? textAt(entry, "name") : id;
}

std::string nameIn(const Json& entry) {
    for (const char* key : {"name", "title", "equation", "id"}) {
        std::string name = textAt(entry, key);
        if (!name.empty()) {
            return name;
        }
    }
    return {};
}

} // namespace

const std::vector<std::string>& openLists() {
    static const std::vector<std::string> lists = {"substances", "liquids",   "materials", "separators",
                                                   "cases",      "reactions", "species",   "rules"};
    return lists;
}

std::string idOf(const OwnEntry& entry) {
    Json json;
    return parseJson(entry.text, json) ? std::string() : idIn(json);
}

tl::expected<CatalogueFiles, FileError> withOwnEntries(CatalogueFiles files,
                                                       const std::vector<OwnEntry>& entries) {
    for (const OwnEntry& entry : entries) {
        const std::string name = entry.list + ".json";
        const auto file = files.find(name);
        const auto& lists = openLists();
        if (file == files.end() || std::find(lists.begin(), lists.end(), entry.list) == lists.end()) {
            return tl::unexpected(FileError{Code::UnknownName, "list", "\"" + entry.list + "\"",
                                            "a list of the catalogue, such as substances"});
        }
        Json added;
        if (const auto problem = parseJson(entry.text, added)) {
            return tl::unexpected(*problem);
        }
        if (!added.is_object() || idIn(added).empty()) {
            return tl::unexpected(FileError{Code::MissingKey, "id", "nothing", "a short name of its own"});
        }
        Json whole;
        if (const auto problem = parseJson(file->second, whole)) {
            return tl::unexpected(*problem);
        }
        Json& list = whole[entry.list];
        const auto same =
            std::find_if(list.begin(), list.end(), [&](const Json& one) { return idIn(one) == idIn(added); });
        if (same != list.end()) {
            *same = std::move(added);
        } else {
            list.push_back(std::move(added));
        }
        file->second = whole.dump();
    }
    return files;
}

std::vector<CatalogueEntry> entriesOf(const CatalogueFiles& files, const std::string& list) {
    std::vector<CatalogueEntry> entries;
    Json sources;
    Json whole;
    const auto file = files.find(list + ".json");
    const auto named = files.find("sources.json");
    if (file == files.end() || parseJson(file->second, whole) || named == files.end() ||
        parseJson(named->second, sources)) {
        return entries;
    }
    for (const Json& entry : whole[list]) {
        CatalogueEntry shown{idIn(entry), nameIn(entry), entry.dump(2), {}};
        for (const Json& key : entry.value("sources", Json::array())) {
            shown.sources.push_back(sources["sources"].value(key.get<std::string>(), key.get<std::string>()));
        }
        entries.push_back(std::move(shown));
    }
    return entries;
}

} // namespace anodex::formats
