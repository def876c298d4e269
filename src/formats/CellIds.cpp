#include "formats/CellIds.h"

#include <map>

namespace anodex::formats {
namespace {

using design::EntryKind;
using design::Named;

struct KindKey {
    EntryKind kind;
    const char* key;
};
constexpr KindKey kKinds[] = {{EntryKind::Material, "materials"},
                              {EntryKind::Substance, "substances"},
                              {EntryKind::Liquid, "liquids"},
                              {EntryKind::Separator, "separators"},
                              {EntryKind::Case, "cases"}};

const char* keyOf(EntryKind kind) {
    for (const KindKey& entry : kKinds) {
        if (entry.kind == kind) {
            return entry.key;
        }
    }
    return "";
}

} // namespace

const std::string& writtenName(const Named& named) {
    return named.written.empty() ? named.id : named.written;
}

void readIds(JsonObject& root, const std::function<void(const NameVisitor&)>& eachName) {
    std::map<EntryKind, std::map<std::string, std::string>> ids;
    root.object("ids", [&](JsonObject& entry) {
        for (const KindKey& kind : kKinds) {
            entry.eachText(kind.key, [&](const std::string& written, const std::string& id) {
                ids[kind.kind][written] = id;
            });
        }
    });
    eachName([&](EntryKind kind, Named& named) {
        const auto& known = ids[kind];
        if (const auto found = known.find(named.written); found != known.end()) {
            named.id = found->second;
        }
    });
}

void readIds(JsonObject& root, design::CellDesign& design) {
    readIds(root, [&](const NameVisitor& visit) { design::eachName(design, visit); });
}

void IdBlock::add(EntryKind kind, const Named& named) {
    if (!named.id.empty() && !named.written.empty()) {
        m_ids[keyOf(kind)][named.written] = named.id;
    }
}

void IdBlock::writeTo(Json& json) const {
    if (!m_ids.empty()) {
        json["ids"] = m_ids;
    }
}

void writeIds(Json& json, const design::CellDesign& design) {
    IdBlock block;
    design::eachName(design, [&](EntryKind kind, const Named& named) { block.add(kind, named); });
    block.writeTo(json);
}

} // namespace anodex::formats
