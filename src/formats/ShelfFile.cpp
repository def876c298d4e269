#include "formats/ShelfFile.h"

#include "core/shelf/ShelfNames.h"
#include "formats/CellIds.h"
#include "formats/JsonObject.h"
#include "formats/Scaled.h"

namespace anodex::formats {
namespace {

using Code = FileError::Code;
using namespace shelf;

constexpr const char* kShelfFormat = "anodex-shelf/1";

std::vector<OwnedPart> readParts(JsonObject& root, const char* key) {
    std::vector<OwnedPart> parts;
    root.eachObject(key, [&](JsonObject& entry) {
        parts.push_back({{entry.text("material"), {}}, entry.maybeNumber("price", kNotNegative)});
    });
    return parts;
}

Shelf readShelf(JsonObject& root) {
    Shelf shelf;
    const std::string format = root.text("format");
    if (!root.failed() && format != kShelfFormat) {
        root.fail(Code::WrongFormat, "format", "\"" + format + "\"", std::string("\"") + kShelfFormat + "\"");
    }
    root.eachObject("materials", [&](JsonObject& entry) {
        OwnedMaterial owned;
        owned.material.written = entry.text("material");
        owned.areaM2 = 1e-4 * entry.number("area_cm2", kPositive);
        if (const auto grams = entry.maybeNumber("mass_g", kPositive)) {
            owned.massKg = 1e-3 * *grams;
        }
        owned.price = entry.maybeNumber("price", kNotNegative);
        shelf.materials.push_back(std::move(owned));
    });
    root.eachObject("substances", [&](JsonObject& entry) {
        shelf.substances.push_back({{entry.text("substance"), {}},
                                    1e-3 * entry.number("mass_g", kPositive),
                                    entry.maybeNumber("price", kNotNegative)});
    });
    root.eachObject("liquids", [&](JsonObject& entry) {
        shelf.liquids.push_back({{entry.text("ready"), {}},
                                 1e-6 * entry.number("volume_mL", kPositive),
                                 entry.maybeNumber("price", kNotNegative)});
    });
    shelf.separators = readParts(root, "separators");
    shelf.cases = readParts(root, "cases");
    readIds(root, [&](const NameVisitor& visit) { shelf::eachName(shelf, visit); });
    return shelf;
}

} // namespace

tl::expected<Shelf, FileError> readShelfFile(std::string_view text) {
    Json json;
    std::optional<FileError> problem = parseJson(text, json);
    if (problem) {
        return tl::unexpected(*problem);
    }
    JsonObject root(json, "", problem);
    Shelf shelf;
    if (!problem) {
        shelf = readShelf(root);
        root.finish();
    }
    if (problem) {
        return tl::unexpected(*problem);
    }
    return shelf;
}

std::string writeShelfFile(const Shelf& shelf) {
    Json json = {{"format", kShelfFormat}};
    const auto add = [&](const char* list, Json entry, const std::optional<double>& price) {
        put(entry, "price", price, 1.0);
        json[list].push_back(std::move(entry));
    };
    for (const OwnedMaterial& owned : shelf.materials) {
        Json entry = {{"material", writtenName(owned.material)}, {"area_cm2", tidy(1e4 * owned.areaM2)}};
        put(entry, "mass_g", owned.massKg, 1e3);
        add("materials", std::move(entry), owned.price);
    }
    for (const OwnedSubstance& owned : shelf.substances) {
        add("substances", {{"substance", writtenName(owned.substance)}, {"mass_g", tidy(1e3 * owned.massKg)}},
            owned.price);
    }
    for (const OwnedLiquid& owned : shelf.liquids) {
        add("liquids", {{"ready", writtenName(owned.ready)}, {"volume_mL", tidy(1e6 * owned.volumeM3)}},
            owned.price);
    }
    for (const auto& [list, parts] :
         {std::pair<const char*, const std::vector<OwnedPart>&>{"separators", shelf.separators},
          {"cases", shelf.cases}}) {
        for (const OwnedPart& part : parts) {
            add(list, {{"material", writtenName(part.material)}}, part.price);
        }
    }
    IdBlock ids;
    shelf::eachName(shelf, [&](design::EntryKind kind, const design::Named& named) { ids.add(kind, named); });
    ids.writeTo(json);
    return json.dump(2) + "\n";
}

} // namespace anodex::formats
