// Two unlike surfaces show the same voltage to a millivolt only where one couple holds both, or by chance: a law that lets
// surfaces float to a potential that is none of theirs shows here.
#include "core/cell/Evaluation.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>

namespace anodex::cell {
namespace {

using namespace test::json;

const std::vector<const char*> kSurfaces = {"zinc",
                                            "aluminium",
                                            "magnesium",
                                            "steel",
                                            "copper",
                                            "lead",
                                            "tin",
                                            "nickel",
                                            "silver",
                                            "titanium",
                                            "nichrome wire",
                                            "brass",
                                            "manganese dioxide",
                                            "stainless steel",
                                            "graphite",
                                            "lead dioxide",
                                            "silver oxide",
                                            "platinised titanium"};

struct Salt {
    const char* name;
    double most; // mol/L
};
const std::vector<Salt> kSalts = {{"NaCl", 5},        {"KCl", 4},
                                  {"Na2CO3", 2},      {"NaHCO3", 1},
                                  {"NH4Cl", 5},       {"CaCl2", 5},
                                  {"MgSO4", 2.5},     {"Na2SO4", 1.3},
                                  {"NaOH", 15},       {"KOH", 12},
                                  {"H2SO4", 10},      {"HCl", 11},
                                  {"H3PO4", 12},      {"acetic acid", 10},
                                  {"citric acid", 4}, {"ZnSO4", 2.5},
                                  {"CuSO4", 1.2},     {"ZnCl2", 9},
                                  {"NaBr", 6},        {"KI", 7},
                                  {"AlCl3", 3},       {"sodium silicate", 2},
                                  {"NH3", 8}};

std::vector<Json> liquids() {
    std::vector<Json> list;
    for (const char* name : {"lemon juice", "vinegar", "seawater", "damp soil", "wood-ash lye", "bleach",
                             "tap water", "cola-type drink"}) {
        list.push_back(ready(name));
    }
    for (const Salt& salt : kSalts) {
        list.push_back(water({{salt.name, salt.most}}));
        list.push_back(water({{salt.name, 0.03 * salt.most}}));
    }
    return list;
}

SideResult positiveIn(const Json& liquid, const char* material, const char* air) {
    Json cell = cellWith(electrodeJson(material == std::string("zinc") ? "lead" : "zinc", 10),
                         electrodeJson(material, 10), liquid);
    cell["negative"]["air"] = air;
    cell["positive"]["air"] = air;
    return evaluate(test::catalogue(), test::cellOf(cell.dump()), {2}).sides[1];
}

/// Couples whose own potential the surface rests at.
std::vector<std::size_t> heldBy(const SideResult& side) {
    constexpr double kAt = 0.008; // V
    std::vector<std::size_t> couples;
    for (const CompetingReaction& entry : side.competing) {
        if (entry.blocked == electrode::Blocked::No &&
            std::abs(entry.equilibriumVolts - side.restVolts) < kAt) {
            couples.push_back(entry.reaction);
        }
    }
    return couples;
}

bool shareACouple(const SideResult& one, const SideResult& other) {
    const std::vector<std::size_t> first = heldBy(one);
    const std::vector<std::size_t> second = heldBy(other);
    return std::any_of(first.begin(), first.end(), [&](std::size_t reaction) {
        return std::find(second.begin(), second.end(), reaction) != second.end();
    });
}

TEST(Alike, SurfacesAreWhereOneCoupleHoldsBothOrByChance) {
    constexpr double kAlike = 0.0007; // V: to a millivolt
    constexpr double kMostByChance =
        0.0015; // of the pairs: 1.4 mV of the volt that they spread over, and a little
    int pairs = 0;
    std::vector<std::string> byChance;
    for (const Json& liquid : liquids()) {
        for (const char* air : {"none", "still"}) {
            std::vector<SideResult> sides;
            for (const char* surface : kSurfaces) {
                sides.push_back(positiveIn(liquid, surface, air));
                for (std::size_t i = 0; i + 1 < sides.size(); ++i) {
                    ++pairs;
                    if (std::abs(sides[i].restVolts - sides.back().restVolts) < kAlike &&
                        !shareACouple(sides[i], sides.back())) {
                        byChance.push_back(std::string(kSurfaces[i]) + " and " + surface + " in " +
                                           liquid.dump());
                    }
                }
            }
        }
    }
    std::string all;
    for (const std::string& one : byChance) {
        all += one + "\n";
    }
    EXPECT_LE(static_cast<double>(byChance.size()), kMostByChance * pairs) << all;
}

} // namespace
} // namespace anodex::cell
