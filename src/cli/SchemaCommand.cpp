#include "cli/Command.h"
#include "formats/EmbeddedData.h"
#include "wording/Listing.h"

#include <algorithm>

namespace anodex::cli {
namespace {

using formats::Json;

const std::vector<std::string> kKinds = {"cell", "liquid", "shelf"};

Json shipped(const std::string& name) {
    return Json::parse(formats::embeddedFile("schema/" + name + ".schema.json"));
}

/// A liquid alone is what it is in a cell, with its format and temperature.
Json liquidSchema() {
    const Json cell = shipped("cell");
    Json schema = {{"$schema", cell["$schema"]}, {"title", "One liquid"}};
    schema.update(cell["definitions"]["liquid"]);
    schema["required"] = {"format"};
    schema["properties"]["format"] = {{"const", "anodex-liquid/1"}};
    schema["properties"]["temperature_C"] = cell["properties"]["temperature_C"];
    for (const char* used : {"positive", "percent", "solute"}) {
        schema["definitions"][used] = cell["definitions"][used];
    }
    return schema;
}

} // namespace

Command schemaCommand() {
    return {
        "schema", "anodex-cli schema cell", {{"KIND", "kind", true, kKinds}}, [](const Call& call) -> int {
            const std::string kind = call.text("KIND");
            if (std::find(kKinds.begin(), kKinds.end(), kind) == kKinds.end()) {
                throw misfit("schema", kind, wording::choiceOf(kKinds));
            }
            // A schema is for programs, whoever asks for it.
            call.console().output << (kind == "liquid" ? liquidSchema() : shipped(kind)).dump(2) << '\n';
            return kGood;
        }};
}

} // namespace anodex::cli
