#include "formats/catalogue/Context.h"

#include "core/chemistry/NameLookup.h"

#include <algorithm>

namespace anodex::formats::catalogue {

using namespace chemistry;
using Code = FileError::Code;

std::vector<std::string> Context::sourcesOf(JsonObject& entry) const {
    std::vector<std::string> citations;
    for (const std::string& key : entry.texts("sources")) {
        const auto found = sources.find(key);
        if (found == sources.end()) {
            entry.fail(Code::UnknownName, "sources", "\"" + key + "\"", "a key of sources.json");
            return citations;
        }
        citations.push_back(found->second);
    }
    if (citations.empty()) {
        entry.fail(Code::MissingKey, "sources", "nothing", "at least one source");
    }
    return citations;
}

Formula Context::formulaOf(JsonObject& entry, const char* key, const std::string& text) const {
    const auto formula = parseFormula(text);
    if (!formula) {
        entry.fail(Code::WrongType, key, "\"" + text + "\"", "a chemical formula");
        return {};
    }
    for (const auto& [symbol, count] : formula->elements) {
        if (!catalogue.elementGramsPerMole.contains(symbol)) {
            entry.fail(Code::UnknownName, key, base::Said("the element {symbol}", {{"symbol", symbol}}),
                       "an element of elements.json");
        }
    }
    return *formula;
}

SpeciesIndex Context::speciesNamed(JsonObject& entry, const char* key, const std::string& name) const {
    const auto found = catalogue.findSpecies(name);
    if (!found) {
        std::vector<std::string> names;
        for (const Species& species : catalogue.species) {
            names.push_back(species.name);
        }
        entry.fail(
            Code::UnknownName, key, base::Said("the species \"{name}\"", {{"name", name}}),
            base::Said("a species of species.json, perhaps {near}", {{"near", nearestName(name, names)}}));
    }
    return found.value_or(0);
}

std::size_t Context::materialNamed(JsonObject& entry, const char* key, const std::string& id) const {
    const auto& materials = catalogue.materials;
    const auto found = std::find_if(materials.begin(), materials.end(),
                                    [&](const Material& material) { return material.id == id; });
    if (found == materials.end()) {
        entry.fail(Code::UnknownName, key, base::Said("the material \"{name}\"", {{"name", id}}),
                   "the id of a material that stands before");
        return 0;
    }
    return static_cast<std::size_t>(found - materials.begin());
}

std::vector<Hazard> Context::hazardsOf(JsonObject& entry) {
    std::vector<Hazard> hazards;
    entry.eachObject("hazards", [&](JsonObject& hazard) {
        hazards.push_back({hazard.text("code"), hazard.text("statement")});
        Hazard& read = hazards.back();
        read.fromShare = hazard.numberOr("from_mass_percent", 100.0 * read.fromShare) / 100.0;
        read.irritatesFromShare =
            hazard.numberOr("irritates_from_mass_percent", 100.0 * read.irritatesFromShare) / 100.0;
    });
    return hazards;
}

base::Table Context::tableOf(JsonObject& entry, const char* key) {
    base::Table table;
    const Json* rows = entry.raw(key);
    if (rows == nullptr) {
        return table;
    }
    for (const Json& row : rows->is_array() ? *rows : Json::array()) {
        if (!row.is_array() || row.size() != 2 || !row[0].is_number() || !row[1].is_number()) {
            entry.fail(Code::WrongType, key, describeJson(row), "pairs of numbers");
            return {};
        }
        table.push_back({row[0].get<double>(), row[1].get<double>()});
    }
    if (table.empty() || !std::is_sorted(table.begin(), table.end(),
                                         [](const auto& a, const auto& b) { return a.x <= b.x; })) {
        entry.fail(Code::OutOfRange, key, "rows out of order", "pairs by rising first number");
    }
    return table;
}

void readSources(Context& context, JsonObject& root) {
    root.eachText("sources", [&](const std::string& key, const std::string& citation) {
        context.sources[key] = citation;
    });
}

void readElements(Context& context, JsonObject& root) {
    (void)root.text("source");
    root.eachNumber("grams_per_mole", [&](const std::string& symbol, double grams) {
        context.catalogue.elementGramsPerMole[symbol] = grams;
    });
}

void readFamilies(Context& context, JsonObject& root) {
    context.catalogue.families = root.texts("families");
}

void readRefused(Context& context, JsonObject& root) {
    root.eachObject("refused", [&](JsonObject& entry) {
        context.catalogue.refused.push_back({entry.texts("names"), entry.text("why")});
    });
}

} // namespace anodex::formats::catalogue
