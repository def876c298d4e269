#include "formats/catalogue/Context.h"

#include <array>
#include <memory>
#include <utility>

namespace anodex::formats::catalogue {

using namespace chemistry;
using Code = FileError::Code;

namespace {

template <typename Value, std::size_t N>
Value oneOf(JsonObject& entry, const char* key, const std::array<std::pair<const char*, Value>, N>& choices) {
    const std::string text = entry.text(key);
    std::string known;
    for (const auto& [name, value] : choices) {
        if (text == name) {
            return value;
        }
        known += (known.empty() ? "" : ", ") + std::string(name);
    }
    entry.fail(Code::UnknownName, key, "\"" + text + "\"", base::Said("one of {names}", {{"names", known}}));
    return choices.front().second;
}

constexpr std::array<std::pair<const char*, Severity>, 3> kSeverities = {
    {{"danger", Severity::Danger}, {"warning", Severity::Warning}, {"note", Severity::Note}}};
constexpr std::array<std::pair<const char*, Place>, 5> kPlaces = {{{"electrode", Place::Electrode},
                                                                   {"collector", Place::Collector},
                                                                   {"case", Place::Case},
                                                                   {"separator", Place::Separator},
                                                                   {"liquid", Place::Liquid}}};
constexpr std::array<std::pair<const char*, ChargeUse>, 3> kUses = {
    {{"either", ChargeUse::Either}, {"charged", ChargeUse::Charged}, {"not charged", ChargeUse::NotCharged}}};
constexpr std::array<std::pair<const char*, Role>, 3> kRoles = {
    {{"either", Role::Either}, {"negative", Role::Negative}, {"positive", Role::Positive}}};

template <typename Entries> bool known(const Entries& entries, const std::string& name) {
    for (const auto& entry : entries) {
        if (entry.id == name) {
            return true;
        }
        for (const std::string& carried : entry.classes) {
            if (carried == name) {
                return true;
            }
        }
    }
    return false;
}

LiquidCondition liquidCondition(const Context& context, JsonObject& entry) {
    LiquidCondition condition;
    condition.lowestPh = entry.numberOr("pH_from", condition.lowestPh);
    condition.highestPh = entry.numberOr("pH_to", condition.highestPh);
    entry.eachObject("with", [&](JsonObject& group) {
        std::vector<Presence> any;
        group.eachNumber("any_mol_per_L", [&](const std::string& name, double molPerLitre) {
            any.push_back({context.speciesNamed(group, "any_mol_per_L", name), 1000.0 * molPerLitre});
        });
        condition.together.push_back(std::move(any));
    });
    return condition;
}

/// A class nobody carries is a rule that never speaks.
void checkClasses(const Context& context, JsonObject& entry, const CompatibilityRule& rule) {
    const Catalogue& catalogue = context.catalogue;
    for (const std::string& name : rule.classes) {
        const bool carried = rule.place == Place::Case        ? known(catalogue.cases, name)
                             : rule.place == Place::Separator ? known(catalogue.separators, name)
                                                              : known(catalogue.materials, name) ||
                                                                    catalogue.findSpecies(name).has_value();
        if (!carried) {
            entry.fail(Code::UnknownName, "of", "\"" + name + "\"",
                       "a class, an id or a solid of that place");
        }
    }
}

} // namespace

void readRules(Context& context, JsonObject& root) {
    root.eachObject("rules", [&](JsonObject& entry) {
        CompatibilityRule rule;
        rule.id = entry.text("id");
        rule.title = entry.text("title");
        rule.reason = entry.text("reason");
        rule.remedy = entry.text("remedy");
        rule.severity = oneOf(entry, "severity", kSeverities);
        rule.place = oneOf(entry, "place", kPlaces);
        if (entry.has("role")) {
            rule.role = oneOf(entry, "role", kRoles);
        }
        rule.classes = entry.texts("of");
        rule.liquid = liquidCondition(context, entry);
        rule.aboveVolts = entry.numberOr("above_V", rule.aboveVolts);
        rule.belowVolts = entry.numberOr("below_V", rule.belowVolts);
        if (entry.has("use")) {
            rule.use = oneOf(entry, "use", kUses);
        }
        entry.object("beside", [&](JsonObject& other) { rule.beside = liquidCondition(context, other); });
        rule.sources = context.sourcesOf(entry);
        checkClasses(context, entry, rule);
        context.catalogue.rules.push_back(std::make_shared<const CompatibilityRule>(std::move(rule)));
    });
}

} // namespace anodex::formats::catalogue
