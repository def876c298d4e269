#include "wording/ChangeText.h"

#include "formats/CellFile.h"
#include "wording/Quantities.h"
#include "wording/Texts.h"

#include <algorithm>
#include <tuple>

namespace anodex::wording {
namespace {

using base::Said;
using formats::Json;

/// One value of a cell file and what it is of; its words are under "field." and its keys.
struct Leaf {
    std::string field; ///< "wetted_area", "electrolyte.solutes": without side and unit.
    std::string side;  ///< "negative", "positive"; empty for what is of the whole cell.
    std::string name;  ///< Of the substance or material in a list.
    std::string value;
    std::string unit;
    double number = 0.0; ///< That the value says, where it is one.
    bool isFlag = false;
    bool isName = false; ///< A name and an amount may be of one field; they are never one leaf.

    [[nodiscard]] auto key() const { return std::tie(field, side, name, isName); }
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

/// The amounts a thing may be given by: one field, whatever the unit.
constexpr const char* kAmounts[] = {"mol", "mass", "volume", "water", "material", "substance", "ready"};

class Walk {
public:
    std::vector<Leaf> leaves;

    void object(const Json& json, const Leaf& above) {
        for (const auto& [key, value] : json.items()) {
            const bool untold = above.field.empty() && (key == "format" || key == "name" || key == "ids");
            if (!untold) {
                entry(key, value, above);
            }
        }
    }

private:
    void entry(std::string key, const Json& value, Leaf leaf) {
        if (key == "negative" || key == "positive") {
            leaf.side = key;
        } else {
            for (const UnitSuffix& suffix : kSuffixes) {
                if (key.ends_with(suffix.suffix)) {
                    key.resize(key.size() - std::string_view(suffix.suffix).size());
                    leaf.unit = suffix.unit;
                    break;
                }
            }
            leaf.unit = key == "mol" && leaf.unit.empty() ? "mol" : leaf.unit;
            const bool amount =
                std::find(std::begin(kAmounts), std::end(kAmounts), key) != std::end(kAmounts);
            const bool ofAbove = amount && !(leaf.field.empty() && key == "mass");
            if (!ofAbove) {
                leaf.field += (leaf.field.empty() ? "" : ".") + key;
            }
        }
        if (value.is_array()) {
            for (const Json& item : value) {
                // A solute or additive is known by its name, wherever it stands in the list.
                Json rest = item;
                leaf.name = item.value("substance", item.value("material", ""));
                rest.erase("substance");
                rest.erase("material");
                object(rest, leaf);
            }
        } else if (value.is_object()) {
            object(value, leaf);
        } else {
            leaf.isFlag = value.is_boolean();
            leaf.isName = value.is_string();
            leaf.value = leaf.isName   ? value.get<std::string>()
                         : leaf.isFlag ? std::string()
                                       : numberText(value.get<double>(), 4);
            leaf.number = value.is_number() ? value.get<double>() : 0.0;
            leaves.push_back(std::move(leaf));
        }
    }
};

std::vector<Leaf> leavesOf(const design::CellDesign& design) {
    Walk walk;
    walk.object(formats::cellToJson(design), {});
    return std::move(walk.leaves);
}

/// "choice.air.still" where the value is one of few; what was typed stays as it is.
base::SaidValue shown(const Leaf& leaf) {
    const std::string choice = "choice." + leaf.field + "." + leaf.value;
    if (leaf.isName && Texts::english().has(choice)) {
        return std::vector{Said(choice)};
    }
    return leaf.unit.empty() ? leaf.value : leaf.value + "\u00A0" + leaf.unit;
}

std::vector<Said> fieldOf(const Leaf& leaf) {
    const std::string id = "field." + (leaf.field.empty() ? "electrode" : leaf.field);
    return {Said(id, {{"side", leaf.side}, {"name", leaf.name}})};
}

Said flagSaid(const Leaf& leaf, bool on) {
    return Said((on ? "change.on." : "change.off.") + leaf.field, {{"side", leaf.side}});
}

std::vector<Leaf>::const_iterator sameAs(const std::vector<Leaf>& leaves, const Leaf& wanted) {
    return std::find_if(leaves.begin(), leaves.end(),
                        [&](const Leaf& leaf) { return leaf.key() == wanted.key(); });
}

Said changeOf(const Leaf& was, const Leaf& now) {
    Leaf from = was;
    from.unit = was.unit == now.unit ? std::string() : was.unit;
    return {"change.to", {{"field", fieldOf(now)}, {"from", shown(from)}, {"to", shown(now)}}};
}

/// Which way it went, where a builder has a word for that: "larger plates", "closer".
Said turnOf(const Leaf& was, const Leaf& now) {
    std::string id = "branch." + (now.field.empty() ? std::string("electrode") : now.field);
    if (!now.isName) {
        id += now.number > was.number ? ".up" : ".down";
    }
    if (!Texts::english().has(id) || was.unit != now.unit) {
        return changeOf(was, now);
    }
    Leaf from = was;
    from.unit.clear();
    std::string name = now.name;
    if (const std::size_t last = name.rfind(' '); last != std::string::npos && name.ends_with("hydrate")) {
        name.resize(last);
    }
    return {id, {{"side", now.side}, {"name", name}, {"from", shown(from)}, {"to", shown(now)}}};
}

/// The same change on the other side: one word does for both.
bool isTwin(const std::vector<Leaf>& old, const std::vector<Leaf>& now, const Leaf& leaf, const Leaf& was) {
    Leaf other = leaf;
    other.side = leaf.side == "negative" ? "positive" : "negative";
    const auto twin = sameAs(now, other);
    const auto before = sameAs(old, other);
    return !leaf.side.empty() && twin != now.end() && before != old.end() && twin->value == leaf.value &&
           twin->unit == leaf.unit && before->value == was.value && before->unit == was.unit;
}

enum class Words { Fields, Turns };

std::vector<Said> changes(const std::vector<Leaf>& old, const std::vector<Leaf>& now, Words words) {
    std::vector<Said> found;
    for (const Leaf& leaf : now) {
        const auto was = sameAs(old, leaf);
        if (was == old.end() && leaf.isFlag) {
            found.push_back(flagSaid(leaf, true));
        } else if (was == old.end()) {
            found.push_back({"change.added", {{"field", fieldOf(leaf)}, {"value", shown(leaf)}}});
        } else if (was->value != leaf.value || was->unit != leaf.unit) {
            Leaf shared = leaf;
            const bool twin = words == Words::Turns && isTwin(old, now, leaf, *was);
            if (twin && leaf.side == "positive") {
                continue; // told with the negative
            }
            shared.side = twin ? std::string() : leaf.side;
            found.push_back(words == Words::Turns ? turnOf(*was, shared) : changeOf(*was, leaf));
        }
    }
    for (const Leaf& leaf : old) {
        if (sameAs(now, leaf) == now.end()) {
            found.push_back(
                leaf.isFlag ? flagSaid(leaf, false)
                            : Said("change.left-out", {{"field", fieldOf(leaf)}, {"value", shown(leaf)}}));
        }
    }
    return found;
}

Said allSaid(std::vector<Said> changes, std::size_t most) {
    const std::size_t more = changes.size() > most ? changes.size() - most : 0;
    changes.resize(changes.size() - more);
    return Said("change.all", {{"changes", changes}, {"more", static_cast<std::int64_t>(more)}});
}

} // namespace

std::vector<Said> changesBetween(const design::CellDesign& before, const design::CellDesign& after) {
    return changes(leavesOf(before), leavesOf(after), Words::Fields);
}

Said changeSaid(const design::CellDesign& before, const design::CellDesign& after, std::size_t most) {
    std::vector<Said> changed = changesBetween(before, after);
    if (changed.empty()) {
        return before.name == after.name ? Said("change.none")
                                         : Said("change.renamed", {{"name", after.name}});
    }
    return allSaid(std::move(changed), most);
}

std::string changeLine(const design::CellDesign& before, const design::CellDesign& after) {
    return text(changeSaid(before, after));
}

std::string branchLine(const design::CellDesign& before, const design::CellDesign& after) {
    std::vector<Said> turns = changes(leavesOf(before), leavesOf(after), Words::Turns);
    return turns.empty() ? changeLine(before, after) : text(allSaid(std::move(turns), 1));
}

} // namespace anodex::wording
