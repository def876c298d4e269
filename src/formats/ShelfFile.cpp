#include "formats/ShelfFile.h"

#include "formats/JsonObject.h"

namespace anodex::formats {
namespace {

using Code = FileError::Code;
using namespace shelf;

constexpr const char* kShelfFormat = "anodex-shelf/1";

std::vector<OwnedPart> readParts(JsonObject& root, const char* key) {
    std::vector<OwnedPart> parts;
    root.eachObject(key, [&](JsonObject& entry) {
        parts.push_back({entry.text("material"), entry.maybeNumber("price", kNotNegative)});
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
        owned.material = entry.text("material");
        owned.areaM2 = 1e-4 * entry.number("area_cm2", kPositive);
        if (const auto grams = entry.maybeNumber("mass_g", kPositive)) {
            owned.massKg = 1e-3 * *grams;
        }
        owned.price = entry.maybeNumber("price", kNotNegative);
        shelf.materials.push_back(std::move(owned));
    });
    root.eachObject("substances", [&](JsonObject& entry) {
        shelf.substances.push_back({entry.text("substance"), 1e-3 * entry.number("mass_g", kPositive),
                                    entry.maybeNumber("price", kNotNegative)});
    });
    root.eachObject("liquids", [&](JsonObject& entry) {
        shelf.liquids.push_back({entry.text("ready"), 1e-6 * entry.number("volume_mL", kPositive),
                                 entry.maybeNumber("price", kNotNegative)});
    });
    shelf.separators = readParts(root, "separators");
    shelf.cases = readParts(root, "cases");
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

} // namespace anodex::formats
