#include "wording/ChangeText.h"

#include "formats/CellFile.h"
#include "wording/Quantities.h"

#include <algorithm>
#include <fmt/format.h>

namespace anodex::wording {
namespace {

using formats::Json;

struct Leaf {
    std::string path; ///< "negative area", "liquid · salt"
    std::string value;
    std::string unit;
    bool isFlag = false; ///< Its presence says it all.
    bool isName = false; ///< A name and an amount may share their words; they are never one leaf.
};

struct UnitSuffix {
    const char* suffix;
    const char* unit;
};
constexpr UnitSuffix kSuffixes[] = {
    {"_per_kg", "mol/kg"}, {"_per_L", "mol/L"}, {"_percent", "%"}, {"_g_per_mL", "g/mL"},
    {"_S_per_m", "S/m"},   {"_cm2", "cm²"},     {"_mohm", "mΩ"},   {"_mm", "mm"},
    {"_mL", "mL"},         {"_g", "g"},         {"_C", "°C"},      {"_V", "V"},
    {"_A", "A"},           {"_m3", "m³"},       {"_per_h", "/h"},  {"_L", "L"}};

struct KeyWord {
    const char* key;
    const char* word;
};
constexpr KeyWord kWords[] = {{"electrolyte", "liquid"},
                              {"wetted_area", "area"},
                              {"material", ""},
                              {"substance", ""},
                              {"ready", ""},
                              {"contact", "contacts"},
                              {"mass", ""},
                              {"solutes", ""},
                              {"volume", ""}};

std::string wordFor(std::string key, std::string& unit) {
    for (const UnitSuffix& suffix : kSuffixes) {
        if (key.ends_with(suffix.suffix)) {
            key.resize(key.size() - std::string_view(suffix.suffix).size());
            unit = suffix.unit;
            break;
        }
    }
    if (key == "mol") {
        unit = unit.empty() ? "mol" : unit;
        key.clear();
    } else if (key == "mass" && unit == "%") {
        key.clear();
    }
    for (const KeyWord& word : kWords) {
        if (key == word.key) {
            return word.word;
        }
    }
    std::replace(key.begin(), key.end(), '_', ' ');
    return key;
}

std::string joinWords(const std::string& a, const std::string& b) {
    return a.empty() ? b : b.empty() ? a : a + " " + b;
}

void flatten(const Json& json, const std::string& path, std::vector<Leaf>& leaves) {
    for (const auto& [key, value] : json.items()) {
        if (path.empty() && (key == "format" || key == "name")) {
            continue;
        }
        std::string unit;
        const std::string here = joinWords(path, wordFor(key, unit));
        if (value.is_array()) {
            for (const Json& item : value) {
                // A solute or additive is known by its name, wherever it stands in the list.
                // Its own side is named only when both sides hold it.
                Json rest = item;
                const std::string name = item.value("substance", item.value("material", ""));
                rest.erase("substance");
                rest.erase("material");
                flatten(rest, joinWords(path, name), leaves);
            }
        } else if (value.is_object()) {
            flatten(value, here, leaves);
        } else {
            const std::string shown = value.is_string()    ? value.get<std::string>()
                                      : value.is_boolean() ? (value.get<bool>() ? "yes" : "no")
                                                           : numberText(value.get<double>(), 4);
            leaves.push_back({here, shown, unit, value.is_boolean(), value.is_string()});
        }
    }
}

/// Without what the names were found under: no builder changes that.
Json asWritten(const design::CellDesign& design) {
    Json json = formats::cellToJson(design);
    json.erase("ids");
    return json;
}

std::string withUnit(const std::string& value, const std::string& unit) {
    return unit.empty() ? value : value + "\u00A0" + unit;
}

} // namespace

std::vector<std::string> changesBetween(const design::CellDesign& before, const design::CellDesign& after) {
    std::vector<Leaf> old;
    std::vector<Leaf> now;
    flatten(asWritten(before), "", old);
    flatten(asWritten(after), "", now);
    const auto find = [](std::vector<Leaf>& leaves, const Leaf& wanted) {
        return std::find_if(leaves.begin(), leaves.end(), [&](const Leaf& leaf) {
            return leaf.path == wanted.path && leaf.isName == wanted.isName;
        });
    };
    std::vector<std::string> changes;
    for (const Leaf& leaf : now) {
        const auto was = find(old, leaf);
        if (was == old.end() && leaf.isFlag) {
            changes.push_back(leaf.path);
        } else if (was == old.end()) {
            changes.push_back(joinWords(leaf.path, withUnit(leaf.value, leaf.unit)) + " added");
        } else if (was->value != leaf.value || was->unit != leaf.unit) {
            const std::string from = was->unit == leaf.unit ? was->value : withUnit(was->value, was->unit);
            changes.push_back(joinWords(leaf.path, from) + " → " + withUnit(leaf.value, leaf.unit));
        }
    }
    for (const Leaf& leaf : old) {
        if (find(now, leaf) == now.end() && leaf.isFlag) {
            changes.push_back("not " + leaf.path);
        } else if (find(now, leaf) == now.end()) {
            changes.push_back(joinWords(leaf.path, withUnit(leaf.value, leaf.unit)) + " left out");
        }
    }
    return changes;
}

std::string changeLine(const design::CellDesign& before, const design::CellDesign& after) {
    const std::vector<std::string> changes = changesBetween(before, after);
    if (changes.empty()) {
        return before.name == after.name ? "nothing changed" : "renamed " + after.name;
    }
    std::string line = changes[0];
    constexpr std::size_t kMost = 3;
    for (std::size_t i = 1; i < std::min(changes.size(), kMost); ++i) {
        line += ", " + changes[i];
    }
    if (changes.size() > kMost) {
        line += fmt::format(" and {} more", changes.size() - kMost);
    }
    return line;
}

} // namespace anodex::wording
