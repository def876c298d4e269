// src/formats/catalogue/Context.h - what the readers of the catalogue's files share while they run.
#pragma once
#include "core/chemistry/Catalogue.h"
#include "formats/JsonObject.h"
#include <map>
#include <string>
#include <vector>

namespace anodex::formats::catalogue {

struct Context {
    chemistry::Catalogue catalogue;
    std::map<std::string, std::string> sources; ///< Key to citation.

    /// The entry's citations; an entry without one is a fault.
    std::vector<std::string> sourcesOf(JsonObject& entry) const;
    chemistry::Formula formulaOf(JsonObject& entry, const char* key, const std::string& text) const;
    chemistry::SpeciesIndex speciesNamed(JsonObject& entry, const char* key, const std::string& name) const;
    /// Of those that stand before the entry.
    std::size_t materialNamed(JsonObject& entry, const char* key, const std::string& id) const;
    static std::vector<chemistry::Hazard> hazardsOf(JsonObject& entry);
    /// Pairs of numbers by rising first number.
    static base::Table tableOf(JsonObject& entry, const char* key);
};

/// Nothing that is solid or liquid is heavier than 22.6 g/mL; kg/m³ typed for it is.
inline constexpr NumberRange kDensity{0.0, 25.0, false, "g/mL, above 0 and at most 25"};

// One reader for each file; each needs those above it to have run.
void readSources(Context& context, JsonObject& root);
void readElements(Context& context, JsonObject& root);
void readSpecies(Context& context, JsonObject& root);
void readPitzer(Context& context, JsonObject& root);
void readSubstances(Context& context, JsonObject& root);
void readLiquids(Context& context, JsonObject& root);
void readMaterials(Context& context, JsonObject& root);
void readSeparators(Context& context, JsonObject& root);
void readCases(Context& context, JsonObject& root);
void readFamilies(Context& context, JsonObject& root);
void readMeasures(Context& context, JsonObject& root);
void readLoads(Context& context, JsonObject& root);
void readReactions(Context& context, JsonObject& root);
void readRefused(Context& context, JsonObject& root);
void readRules(Context& context, JsonObject& root);

} // namespace anodex::formats::catalogue
