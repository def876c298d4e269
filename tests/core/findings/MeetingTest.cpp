// What must not meet, in one liquid, across a separator or at a metal; and labels by the regulations' limits.
#include "core/findings/Findings.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"
#include "wording/FindingText.h"

#include <algorithm>
#include <gtest/gtest.h>

namespace anodex::findings {
namespace {

using namespace test::json;

struct Meeting {
    std::string code;
    Json flagged;
    Json silent;
};

void PrintTo(const Meeting& meeting, std::ostream* out) {
    *out << meeting.code;
}

Json carbons(Json liquid) {
    return cellWith(electrodeJson("graphite"), electrodeJson("carbon felt"), std::move(liquid));
}

Json beside(Json one, Json other, const char* separator = "kitchen paper") {
    return apart(carbons(std::move(one)), std::move(other), separator);
}

Json facing(const char* metal, Json liquid) {
    return cellWith(electrodeJson(metal), electrodeJson("graphite"), std::move(liquid));
}

std::vector<Meeting> meetings() {
    const Json bleach = ready("bleach");
    const Json brine = water({{"NaCl", 1}});
    const Json peroxide = water({{"hydrogen peroxide", 0.9}});
    const Json strong = water({{"H2SO4", 8}});
    return {
        {"bleach-beside-acid", beside(bleach, ready("vinegar")), beside(bleach, brine)},
        {"bleach-beside-acid", beside(ready("lemon juice"), bleach, "porous pot"),
         beside(water({{"NaHCO3", 0.5}}), bleach, "porous pot")},
        {"bleach-beside-acid", beside(water({{"HCl", 0.5}}), bleach, "cation exchange membrane"),
         beside(water({{"NaOH", 0.5}}), bleach, "cation exchange membrane")},
        {"bleach-beside-ammonium", beside(bleach, water({{"NH4Cl", 1}})),
         beside(bleach, water({{"KCl", 1}}))},
        {"bleach-beside-urea", beside(water({{"urea", 0.5}}), bleach),
         beside(water({{"sugar", 0.3}}), bleach)},
        {"bleach-beside-peroxide", beside(bleach, peroxide), beside(bleach, brine)},
        {"bleach-beside-halide", beside(bleach, water({{"KI", 0.5}})), beside(bleach, brine)},
        {"halogen-beside-ammonia", beside(water({{"ammonia", 1}}), water({{"KI", 1}, {"iodine", 0.1}})),
         beside(water({{"ammonia", 1}}), water({{"KI", 1}}))},
        {"alkali-beside-ammonium", beside(water({{"NaOH", 1}}), water({{"NH4Cl", 1}})),
         beside(water({{"NaOH", 1}}), water({{"ZnCl2", 1}}))},
        {"silver-beside-ammonia", beside(water({{"AgNO3", 0.1}}), water({{"ammonia", 1}})),
         beside(water({{"AgNO3", 0.1}}), water({{"KNO3", 1}}))},
        {"acid-beside-carbonate", beside(water({{"HCl", 0.5}}), water({{"Na2CO3", 0.5}})),
         beside(brine, water({{"Na2CO3", 0.5}}))},
        {"silver-in-ammonia", carbons(water({{"AgNO3", 0.1}, {"ammonia", 1}})),
         carbons(water({{"AgNO3", 0.1}}))},
        {"peroxide-with-acetic", carbons(water({{"hydrogen peroxide", 0.9}, {"acetic acid", 0.8}})),
         carbons(peroxide)},
        {"peroxide-in-strong-acid", carbons(water({{"hydrogen peroxide", 0.9}, {"H2SO4", 8}})),
         carbons(water({{"hydrogen peroxide", 0.9}, {"H2SO4", 0.5}}))},
        {"nitrate-acid-metal", facing("copper", water({{"KNO3", 1}, {"H2SO4", 1}})),
         facing("copper", water({{"Cu(NO3)2", 1}}))},
        {"nitrate-alkali-metal", facing("aluminium", water({{"NaNO3", 1}, {"NaOH", 1}})),
         facing("aluminium", water({{"NaNO3", 1}}))},
        {"chloride-in-strong-acid", carbons(water({{"NaCl", 0.5}, {"H2SO4", 8}})), carbons(strong)},
        {"bromide-in-strong-acid", carbons(water({{"KBr", 0.5}, {"H2SO4", 8}})),
         carbons(water({{"KBr", 0.5}, {"H2SO4", 1}}))},
        {"hydrochloric-fumes", carbons(water({{"HCl", 9}})), carbons(water({{"HCl", 2}}))},
        {"magnesium-with-halogen", facing("magnesium", water({{"KBr", 1}, {"bromine", 0.1}})),
         facing("magnesium", water({{"KBr", 1}}))},
        {"light-metal-in-copper-chloride", facing("aluminium", water({{"CuCl2", 0.5}})),
         facing("aluminium", water({{"ZnCl2", 0.5}}))},
        {"light-metal-in-copper-chloride", facing("magnesium", water({{"FeCl3", 0.5}})),
         facing("zinc", water({{"CuSO4", 0.5}}))},
        {"magnesium-in-copper-salt", facing("magnesium", water({{"CuSO4", 0.5}})),
         facing("magnesium", water({{"MgSO4", 0.5}}))},
    };
}

std::vector<Finding> findingsOf(const Json& json) {
    const design::Cell cell = test::cellOf(json.dump());
    return findingsFor(test::catalogue(), cell, cell::evaluate(test::catalogue(), cell, {0}));
}

const Finding* findIn(const std::vector<Finding>& findings, const std::string& code) {
    const auto found = std::find_if(findings.begin(), findings.end(), [&](const Finding& finding) {
        return wording::findingCode(finding) == code;
    });
    return found == findings.end() ? nullptr : &*found;
}

class Meetings : public testing::TestWithParam<Meeting> {};

TEST_P(Meetings, AreRaisedAndTheNearMissIsSilent) {
    EXPECT_NE(findIn(findingsOf(GetParam().flagged), GetParam().code), nullptr);
    EXPECT_EQ(findIn(findingsOf(GetParam().silent), GetParam().code), nullptr);
}

INSTANTIATE_TEST_SUITE_P(All, Meetings, testing::ValuesIn(meetings()),
                         [](const auto& test) { return test::caseName(test.index, test.param.code); });

struct Label {
    const char* substance;
    double burnsFromPercent;
    double irritatesFromPercent;
};

class Labels : public testing::TestWithParam<Label> {};

Json percent(const char* substance, double massPercent) {
    return carbons(
        {{"water_mL", 100}, {"solutes", {{{"substance", substance}, {"mass_percent", massPercent}}}}});
}

TEST_P(Labels, ApplyFromTheRegulationsLimits) {
    const auto& [substance, burns, irritates] = GetParam();
    const auto strong = findingsOf(percent(substance, 1.1 * burns));
    ASSERT_NE(findIn(strong, "corrosive-liquid"), nullptr);
    EXPECT_EQ(findIn(strong, "corrosive-liquid")->severity, Severity::Danger);
    const auto middling = findingsOf(percent(substance, 0.5 * (burns + irritates)));
    EXPECT_EQ(findIn(middling, "corrosive-liquid"), nullptr);
    ASSERT_NE(findIn(middling, "irritating-liquid"), nullptr);
    EXPECT_EQ(findIn(middling, "irritating-liquid")->severity, Severity::Note);
    const auto weak = findingsOf(percent(substance, 0.8 * irritates));
    EXPECT_EQ(findIn(weak, "corrosive-liquid"), nullptr);
    EXPECT_EQ(findIn(weak, "irritating-liquid"), nullptr);
}

// Regulation (EC) No 1272/2008, annex VI, specific concentration limits; from memory.
INSTANTIATE_TEST_SUITE_P(Annex, Labels,
                         testing::Values(Label{"H2SO4", 15, 5}, Label{"NaOH", 2, 0.5}, Label{"KOH", 2, 0.5},
                                         Label{"HCl", 25, 10}, Label{"H3PO4", 25, 10},
                                         Label{"acetic acid", 25, 10}, Label{"ZnCl2", 5, 1}),
                         [](const auto& test) { return test::caseName(test.index, test.param.substance); });

TEST(Labels, AnAcidThatWasNeutralisedBurnsNoLonger) {
    const Json salt = carbons(water({{"NaOH", 2}, {"HCl", 2}}));
    EXPECT_EQ(findIn(findingsOf(salt), "corrosive-liquid"), nullptr);
    EXPECT_NE(findIn(findingsOf(carbons(water({{"NaOH", 2}}))), "corrosive-liquid"), nullptr);
}

TEST(Collectors, ThatGiveHydrogenOffEatTheElectrode) {
    const auto behind = [](const char* collector) {
        Json negative = on(electrodeJson("zinc paste", 10), collector);
        negative["mass_g"] = 1;
        return findingsOf(cellWith(negative, electrodeJson("graphite"), water({{"H2SO4", 1}})));
    };
    const auto raised = behind("nickel");
    const Finding* wastes = findIn(raised, "collector-wastes");
    ASSERT_NE(wastes, nullptr);
    EXPECT_EQ(wastes->part, FindingPart::Collector);
    EXPECT_GT(wastes->value, 0.0);
    EXPECT_EQ(findIn(behind("zinc"), "collector-wastes"), nullptr);
}

TEST(Polarity, OfTwoAlikeThatWaitForTheirChargeIsNotCalledSwapped) {
    const Json bromide = water({{"ZnBr2", 1}});
    const Json alike =
        apart(cellWith(electrodeJson("carbon felt", 20), electrodeJson("carbon felt", 10), bromide), bromide,
              "ion membrane");
    EXPECT_EQ(findIn(findingsOf(alike), "polarity-reversed"), nullptr);
    EXPECT_NE(
        findIn(findingsOf(cellWith(electrodeJson("copper"), electrodeJson("zinc"), water({{"NaCl", 1}}))),
               "polarity-reversed"),
        nullptr);
}

TEST(Hydrogen, IsGradedByItsRate) {
    const auto graded = [](double area) {
        const auto findings = findingsOf(
            cellWith(electrodeJson("aluminium", area), electrodeJson("graphite", 10), water({{"NaOH", 2}})));
        return findIn(findings, "hydrogen-gas")->severity;
    };
    EXPECT_EQ(graded(200), Severity::Danger);
    EXPECT_EQ(graded(5), Severity::Warning);
    EXPECT_EQ(graded(0.5), Severity::Note);
}

} // namespace
} // namespace anodex::findings
