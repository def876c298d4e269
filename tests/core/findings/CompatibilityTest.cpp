// What eats what: each case is flagged, and its near miss stays silent.
#include "core/findings/RuleFindings.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"
#include "wording/FindingText.h"

#include <algorithm>
#include <gtest/gtest.h>

namespace anodex::findings {
namespace {

using namespace test::json;

std::vector<Finding> findingsOf(const Json& json) {
    const design::Cell cell = test::cellOf(json.dump());
    return findingsFor(test::catalogue(), cell, cell::evaluate(test::catalogue(), cell));
}

struct Pair {
    std::string code;
    FindingPart part;
    Severity severity;
    Json flagged;
    Json silent;
};

void PrintTo(const Pair& pair, std::ostream* out) {
    *out << pair.code;
}

std::vector<Pair> pairs() {
    const Json potash = water({{"KOH", 6}});
    const Json potashCell = cellWith(electrodeJson("zinc"), electrodeJson("carbon felt"), potash);
    const Json bromine = water({{"ZnBr2", 1}, {"bromine", 0.1}});
    const Json iodine = water({{"ZnI2", 1}, {"iodine", 0.05}});
    const Json acid = water({{"H2SO4", 4}});
    const Json lye = water({{"NaOH", 2}});
    const Json salt = water({{"NaCl", 1}});
    const Json alkaliSide = cellWith(electrodeJson("zinc"), electrodeJson("carbon felt"), lye);
    const auto positive = FindingPart::Positive;
    const auto danger = Severity::Danger;
    const auto warning = Severity::Warning;
    return {
        {"polylactide-in-alkali", FindingPart::Case, warning, in(potashCell, "PLA"), in(potashCell, "ABS")},
        {"polyester-in-alkali", FindingPart::Case, warning, in(potashCell, "PETG"), in(potashCell, "ABS")},
        {"copper-with-halogen-collector", FindingPart::Collector, warning,
         cellWith(electrodeJson("zinc"), on(electrodeJson("carbon felt"), "copper"), bromine),
         cellWith(electrodeJson("zinc"), on(electrodeJson("carbon felt"), "graphite"), bromine)},
        {"copper-with-halogen-electrode", positive, warning,
         cellWith(electrodeJson("zinc"), electrodeJson("copper"), iodine),
         cellWith(electrodeJson("zinc"), electrodeJson("copper"), water({{"ZnI2", 1}}))},
        {"aluminium-in-alkali-electrode", FindingPart::Negative, warning,
         cellWith(electrodeJson("aluminium", 40), electrodeJson("carbon felt"), lye),
         cellWith(electrodeJson("aluminium", 40), electrodeJson("carbon felt"), salt)},
        {"stainless-never-charged-electrode", positive, Severity::Note,
         cellWith(electrodeJson("zinc"), electrodeJson("stainless"), salt),
         cellWith(electrodeJson("zinc"), electrodeJson("titanium"), salt)},
        {"stainless-never-charged-collector", FindingPart::Collector, Severity::Note,
         cellWith(electrodeJson("zinc"), on(electrodeJson("activated carbon"), "stainless steel mesh"), salt),
         cellWith(electrodeJson("zinc"), on(electrodeJson("activated carbon"), "graphite foil"), salt)},
        {"copper-collector-in-sulfuric-acid", FindingPart::Collector, warning,
         cellWith(electrodeJson("lead"), on(electrodeJson("lead dioxide"), "copper"), acid),
         cellWith(electrodeJson("lead"), on(electrodeJson("lead dioxide"), "lead"), acid)},
        {"aluminium-collector-in-sulfuric-acid", FindingPart::Collector, warning,
         cellWith(electrodeJson("lead"), on(electrodeJson("lead dioxide"), "aluminium"), acid),
         cellWith(electrodeJson("lead"), on(electrodeJson("lead dioxide"), "lead"), acid)},
        {"coat-wears-through", FindingPart::Negative, warning,
         cellWith(electrodeJson("galvanised screw", 2), electrodeJson("copper", 20), water({{"H2SO4", 1}})),
         cellWith(electrodeJson("zinc", 2), electrodeJson("copper", 20), water({{"H2SO4", 1}}))},
        {"film-alone", positive, warning,
         cellWith(electrodeJson("zinc", 5), electrodeJson("conductive polyethylene", 5), iodine),
         cellWith(electrodeJson("zinc", 5), electrodeJson("conductive polyethylene on graphite foil", 5),
                  iodine)},
        {"starved-of-air", positive, warning,
         cellWith(electrodeJson("zinc"), breathing(electrodeJson("activated carbon"), 0.5), potash),
         cellWith(electrodeJson("zinc"), breathing(electrodeJson("activated carbon"), 20), potash)},
        {"starved-of-air", positive, warning,
         cellWith(electrodeJson("zinc"), electrodeJson("activated carbon"), potash),
         cellWith(electrodeJson("zinc"), breathing(electrodeJson("activated carbon")), potash)},
        {"plates-on-negative", FindingPart::Negative, warning,
         cellWith(electrodeJson("zinc"), electrodeJson("copper"), water({{"CuSO4", 0.5}})),
         apart(cellWith(electrodeJson("zinc"), electrodeJson("copper"), water({{"ZnSO4", 0.5}})),
               water({{"CuSO4", 0.5}}), "porous pot")},
        {"stores-as-capacitor", FindingPart::Whole, Severity::Note,
         cellWith(electrodeJson("activated carbon"), electrodeJson("activated carbon"), salt),
         cellWith(electrodeJson("activated carbon"), electrodeJson("activated carbon"),
                  water({{"ZnBr2", 1}}))},
        {"layers-mix", FindingPart::Separator, warning,
         apart(cellWith(electrodeJson("zinc"), electrodeJson("copper"), water({{"ZnSO4", 0.5}})),
               water({{"CuSO4", 0.5}}), "gravity"),
         apart(cellWith(electrodeJson("zinc"), electrodeJson("copper"), water({{"ZnSO4", 0.2}})),
               water({{"CuSO4", 1.0}}), "gravity")},
        {"same-material", FindingPart::Whole, Severity::Note,
         cellWith(electrodeJson("copper"), electrodeJson("copper"), salt),
         cellWith(electrodeJson("zinc"), electrodeJson("copper"), salt)},
        {"lead-in-fruit-acid-electrode", FindingPart::Negative, danger,
         cellWith(electrodeJson("lead"), electrodeJson("copper"), ready("vinegar")),
         cellWith(electrodeJson("lead"), electrodeJson("copper"), acid)},
        {"halogen-with-ammonium", FindingPart::Electrolyte, danger,
         cellWith(electrodeJson("zinc"), electrodeJson("graphite"),
                  water({{"NH4Cl", 1}, {"iodine", 0.002}, {"KI", 0.1}})),
         cellWith(electrodeJson("zinc"), electrodeJson("graphite"),
                  water({{"KCl", 1}, {"iodine", 0.002}, {"KI", 0.1}}))},
        {"gas-in-closed-vessel", FindingPart::Whole, danger,
         cellWith(airless(electrodeJson("aluminium")), airless(electrodeJson("copper")), lye),
         cellWith(airless(electrodeJson("aluminium")), electrodeJson("copper"), lye)},
        {"acid-beside-alkali", FindingPart::Separator, danger,
         apart(alkaliSide, water({{"H2SO4", 2}}), "ion membrane"),
         apart(alkaliSide, water({{"NaCl", 2}}), "ion membrane")},
        {"bleach-with-acid", FindingPart::Electrolyte, danger,
         cellWith(electrodeJson("zinc"), electrodeJson("graphite"),
                  water({{"NaOCl", 0.2}, {"citric acid", 0.3}})),
         cellWith(electrodeJson("zinc"), electrodeJson("graphite"), ready("bleach"))},
        {"ammonium-in-alkali", FindingPart::Electrolyte, danger,
         cellWith(electrodeJson("zinc"), electrodeJson("graphite"), water({{"NH4Cl", 1}, {"NaOH", 1.5}})),
         cellWith(electrodeJson("zinc"), electrodeJson("graphite"), water({{"NH4Cl", 1}}))},
        {"cellulose-in-strong-acid", FindingPart::Separator, warning,
         [&] {
             Json cell = cellWith(electrodeJson("lead"), electrodeJson("lead dioxide"), acid);
             cell["separator"] = {{"material", "kitchen paper"}};
             return cell;
         }(),
         [&] {
             Json cell = cellWith(electrodeJson("lead"), electrodeJson("lead dioxide"), acid);
             cell["separator"] = {{"material", "glass mat"}};
             return cell;
         }()},
        {"peroxide-on-catalyst", positive, warning,
         cellWith(electrodeJson("zinc"), electrodeJson("silver"), water({{"NaCl", 1}, {"H2O2", 0.5}})),
         cellWith(electrodeJson("zinc"), electrodeJson("silver"), salt)},
    };
}

class Compatibility : public testing::TestWithParam<Pair> {};

TEST_P(Compatibility, IsFlaggedAndItsNearMissIsSilent) {
    const auto has = [&](const Finding& finding) { return wording::findingCode(finding) == GetParam().code; };
    const std::vector<Finding> flagged = findingsOf(GetParam().flagged);
    const auto found = std::find_if(flagged.begin(), flagged.end(), has);
    ASSERT_NE(found, flagged.end());
    EXPECT_EQ(found->part, GetParam().part);
    EXPECT_EQ(found->severity, GetParam().severity);
    const wording::FindingText text = wording::findingText(*found);
    EXPECT_EQ(text.text.find("{}"), std::string::npos);
    const std::vector<Finding> silent = findingsOf(GetParam().silent);
    EXPECT_TRUE(std::none_of(silent.begin(), silent.end(), has));
}

INSTANTIATE_TEST_SUITE_P(Pairs, Compatibility, testing::ValuesIn(pairs()),
                         [](const auto& test) { return test::caseName(test.index, test.param.code); });

TEST(StarvedOfAir, IsNotSaidOfAJarThatWaitsForItsFirstCharge) {
    const auto starved = [](const Json& json) {
        const auto findings = findingsOf(json);
        return std::any_of(findings.begin(), findings.end(),
                           [](const Finding& f) { return f.code == FindingCode::StarvedOfAir; });
    };
    EXPECT_FALSE(
        starved(cellWith(electrodeJson("zinc"), electrodeJson("carbon felt"), water({{"ZnI2", 1}}))));
    EXPECT_FALSE(
        starved(cellWith(electrodeJson("zinc"), electrodeJson("carbon felt"), water({{"ZnBr2", 1}}))));
    EXPECT_TRUE(
        starved(cellWith(electrodeJson("zinc"), electrodeJson("carbon felt"), water({{"ZnSO4", 1}}))));
}

TEST(CompatibilityRules, SixtyAndMoreEachWithWordsAndASource) {
    EXPECT_GE(test::catalogue().rules.size(), 60U);
    for (const auto& rule : test::catalogue().rules) {
        EXPECT_FALSE(rule->sources.empty()) << rule->id;
        EXPECT_GT(rule->reason.size(), 20U) << rule->id;
        EXPECT_GE(rule->remedy.size(), 10U) << rule->id;
        EXPECT_EQ(rule->id.find_first_not_of("abcdefghijklmnopqrstuvwxyz-"), std::string::npos) << rule->id;
    }
}

TEST(CompatibilityRules, AluminiumInAlkaliGivesHydrogenByTheHour) {
    // 40 cm² in 2 mol/L: 70 to 1000 mL/h, and so a life in hours.
    const cell::Evaluation e = test::evaluated(
        cellWith(electrodeJson("aluminium foil", 40), electrodeJson("carbon felt"), water({{"NaOH", 2}}))
            .dump());
    EXPECT_GT(e.hydrogenM3PerSecond * 3.6e9, 70.0);
    EXPECT_LT(e.hydrogenM3PerSecond * 3.6e9, 1000.0);
    ASSERT_TRUE(e.restLifeSeconds);
    EXPECT_LT(*e.restLifeSeconds, 24 * 3600.0);
}

} // namespace
} // namespace anodex::findings
