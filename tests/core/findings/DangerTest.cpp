// What can hurt someone: each danger is raised by its case and silent for the near miss beside it.
#include "core/design/Resolve.h"
#include "core/findings/Findings.h"
#include "formats/CellFile.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"
#include "wording/ErrorText.h"
#include "wording/FindingText.h"

#include <algorithm>
#include <gtest/gtest.h>

namespace anodex::findings {
namespace {

using namespace test::json;

struct Danger {
    std::string code;
    Severity severity;
    Json flagged;
    Json silent;
};

void PrintTo(const Danger& danger, std::ostream* out) {
    *out << danger.code;
}

const Severity kDanger = Severity::Danger;
const Severity kWarning = Severity::Warning;
const Severity kNote = Severity::Note;

Json heavy(Json electrode, double grams) {
    electrode["mass_g"] = grams;
    return electrode;
}

Json charged(Json cell, double amps) {
    return with(std::move(cell), "charge", {{"current_A", amps}});
}

Json held(Json cell, double volts) {
    return with(std::move(cell), "charge", {{"voltage_V", volts}});
}

Json placed(Json cell, Json place) {
    return with(std::move(cell), "place", std::move(place));
}

Json leadCell() {
    return cellWith(heavy(electrodeJson("spongy lead", 100), 60),
                    heavy(electrodeJson("lead dioxide", 100), 60), water({{"H2SO4", 4}}));
}

Json jar() {
    return apart(cellWith(electrodeJson("zinc", 20), electrodeJson("copper", 20), water({{"ZnSO4", 1}})),
                 water({{"CuSO4", 1}}), "porous pot");
}

Json brineCell() {
    return cellWith(electrodeJson("zinc", 20), electrodeJson("graphite", 20), water({{"NaCl", 3}}));
}

Json bromideCell() {
    return cellWith(electrodeJson("graphite", 20), electrodeJson("graphite", 20), water({{"ZnBr2", 2}}));
}

Json alkaliCell(const char* metal) {
    return cellWith(electrodeJson(metal, 40), electrodeJson("carbon felt", 40), water({{"NaOH", 2}}));
}

Json closed(Json cell) {
    return with(std::move(cell), "case", {{"material", "glass"}, {"closed", true}});
}

Json reversed(Json cell) {
    std::swap(cell["negative"], cell["positive"]);
    std::swap(cell["electrolyte"]["negative"], cell["electrolyte"]["positive"]);
    return cell;
}

std::vector<Danger> gasAndHeat() {
    const Json outdoors = {{"outdoors", true}};
    const Json flame = {{"flame", true}};
    return {
        {"gas-in-closed-vessel", kDanger, closed(alkaliCell("aluminium")), alkaliCell("aluminium")},
        {"gas-in-closed-vessel", kDanger, closed(alkaliCell("aluminium")), closed(alkaliCell("nickel"))},
        {"gas-in-closed-vessel", kDanger,
         closed(cellWith(electrodeJson("zinc", 40), electrodeJson("copper"), water({{"HCl", 1}}))),
         closed(cellWith(electrodeJson("zinc", 40), electrodeJson("copper"), water({{"ZnSO4", 1}})))},
        {"gas-in-closed-vessel", kDanger,
         closed(cellWith(electrodeJson("magnesium", 40), electrodeJson("graphite"),
                         water({{"citric acid", 0.5}}))),
         cellWith(electrodeJson("magnesium", 40), electrodeJson("graphite"), water({{"citric acid", 0.5}}))},
        {"gas-in-head-space", kDanger, closed(alkaliCell("aluminium")), alkaliCell("aluminium")},
        {"runs-hot", kDanger,
         cellWith(heavy(electrodeJson("aluminium foil", 400), 10), electrodeJson("carbon felt", 40),
                  water({{"NaOH", 4}})),
         cellWith(heavy(electrodeJson("aluminium foil", 400), 0.5), electrodeJson("carbon felt", 40),
                  water({{"NaOH", 4}}))},
        {"gas-in-box", kDanger, placed(charged(leadCell(), 2), {{"box_L", 20}}),
         placed(charged(leadCell(), 2), {{"box_L", 2000}, {"outdoors", true}})},
        {"gas-on-charge", kWarning, charged(leadCell(), 1), leadCell()},
        {"hydrogen-near-flame", kDanger, placed(charged(leadCell(), 1), flame), charged(leadCell(), 1)},
        {"hydrogen-near-flame", kDanger, placed(alkaliCell("aluminium"), flame),
         placed(cellWith(electrodeJson("zinc"), electrodeJson("copper"), water({{"NaCl", 1}})), flame)},
        {"gas-in-room", kDanger, placed(charged(brineCell(), 0.5), {{"room_m3", 12}}),
         placed(charged(brineCell(), 0.02), outdoors)},
        {"gas-in-room", kDanger, charged(bromideCell(), 0.2), placed(charged(bromideCell(), 0.2), outdoors)},
        {"gas-outdoors", kDanger, placed(charged(brineCell(), 10), outdoors),
         placed(charged(brineCell(), 0.02), outdoors)},
        {"gas-in-room", kDanger, charged(bromideCell(), 0.2),
         placed(charged(bromideCell(), 0.2), {{"room_m3", 60}, {"air_changes_per_h", 10}})},
    };
}

std::vector<Danger> charges() {
    const auto positive = [](const char* material, Json liquid) {
        return charged(cellWith(electrodeJson("zinc"), electrodeJson(material), std::move(liquid)), 0.01);
    };
    return {
        {"charge-impossible", kDanger,
         charged(cellWith(electrodeJson("zinc", 5), electrodeJson("copper", 5), ready("lemon juice")), 0.005),
         charged(jar(), 0.01)},
        {"charge-impossible", kDanger, charged(alkaliCell("aluminium"), 0.1), alkaliCell("aluminium")},
        {"charge-impossible", kDanger, charged(brineCell(), 0.1), charged(bromideCell(), 0.1)},
        {"halogen-on-charge", kWarning, charged(bromideCell(), 0.1), bromideCell()},
        {"halogen-on-charge", kWarning,
         charged(cellWith(electrodeJson("zinc"), electrodeJson("carbon felt"), water({{"ZnI2", 1}})), 0.05),
         charged(cellWith(electrodeJson("zinc"), electrodeJson("carbon felt"), water({{"ZnSO4", 1}})), 0.05)},
        {"ammonium-halide-charged", kDanger,
         charged(cellWith(electrodeJson("zinc"), electrodeJson("graphite"), water({{"NH4Cl", 2}})), 0.05),
         charged(cellWith(electrodeJson("zinc"), electrodeJson("graphite"), water({{"ZnCl2", 2}})), 0.05)},
        {"charge-backwards", kDanger, charged(reversed(jar()), 0.01), charged(jar(), 0.01)},
        {"charge-too-fast", kWarning, charged(jar(), 1.0), charged(jar(), 0.01)},
        {"charge-voltage-too-high", kWarning, held(leadCell(), 3.2), held(leadCell(), 2.3)},
        {"charge-voltage-too-low", kWarning, held(leadCell(), 1.9), held(leadCell(), 2.3)},
        {"stainless-charged-electrode", kDanger, positive("stainless", water({{"ZnSO4", 1}})),
         positive("titanium", water({{"ZnSO4", 1}}))},
        {"stainless-charged-electrode", kDanger, positive("nichrome", water({{"ZnSO4", 1}})),
         positive("graphite", water({{"ZnSO4", 1}}))},
        {"stainless-charged-collector", kDanger,
         charged(cellWith(electrodeJson("zinc"), on(electrodeJson("carbon felt"), "stainless steel mesh"),
                          water({{"ZnI2", 1}})),
                 0.01),
         charged(cellWith(electrodeJson("zinc"), on(electrodeJson("carbon felt"), "graphite foil"),
                          water({{"ZnI2", 1}})),
                 0.01)},
        {"nickel-charged", kDanger, positive("nickel", water({{"ZnSO4", 1}})),
         positive("nickel", water({{"KOH", 4}}))},
        {"lead-alloy-charged", kDanger,
         charged(cellWith(electrodeJson("scrap lead"), electrodeJson("lead"), water({{"H2SO4", 2}})), 0.05),
         charged(cellWith(electrodeJson("lead"), electrodeJson("lead"), water({{"H2SO4", 2}})), 0.05)},
    };
}

std::vector<Danger> mixing() {
    const auto poured = [](Json liquid, const char* metal = "zinc") {
        return cellWith(electrodeJson(metal), electrodeJson("graphite"), std::move(liquid));
    };
    return {
        {"halogen-with-ammonium", kDanger, poured(water({{"NaOCl", 0.2}, {"NH4Cl", 0.3}})),
         poured(water({{"NaOCl", 0.2}, {"NaCl", 0.3}}))},
        {"bleach-with-peroxide", kDanger, poured(water({{"NaOCl", 0.2}, {"H2O2", 0.3}})),
         poured(water({{"NaCl", 0.2}, {"H2O2", 0.3}}))},
        {"bleach-with-sulfamic", kDanger, poured(water({{"NaOCl", 0.2}, {"sulfamic acid", 0.3}})),
         poured(water({{"NaCl", 0.2}, {"sulfamic acid", 0.3}}))},
        {"powder-with-halogen", kDanger, poured(water({{"KI", 0.5}, {"iodine", 0.05}}), "zinc powder"),
         poured(water({{"KI", 0.5}, {"iodine", 0.05}}), "zinc")},
        {"bromine-vapour", kDanger, poured(water({{"ZnBr2", 1}, {"bromine", 0.1}})),
         poured(water({{"ZnBr2", 1}}))},
        {"magnesium-in-acid-electrode", kDanger, poured(water({{"H2SO4", 1}}), "magnesium"),
         poured(water({{"NaCl", 1}}), "magnesium")},
        {"magnesium-fire", kNote, poured(water({{"NaCl", 1}}), "magnesium"), poured(water({{"NaCl", 1}}))},
        {"acid-into-water", kWarning, poured(water({{"H2SO4", 4}}), "lead"),
         poured(water({{"H2SO4", 0.1}}), "lead")},
        {"aluminium-chloride-boils", kWarning, poured(water({{"AlCl3", 0.5}})),
         poured(water({{"Al2(SO4)3", 0.25}}))},
        {"sulfuric-restricted", kNote, poured(water({{"H2SO4", 4}}), "lead"),
         poured(water({{"H2SO4", 1}}), "lead")},
        {"peroxide-restricted", kNote, poured(water({{"H2O2", 5}})), poured(water({{"H2O2", 1}}))},
        {"dissolved-lead", kDanger, poured(water({{"lead acetate", 0.1}})),
         poured(water({{"sodium acetate", 0.1}}))},
        {"not-food-again", kNote, poured(ready("vinegar")), poured(ready("seawater"))},
    };
}

std::vector<Danger> electricity() {
    const auto string = [](Json cell, Json many) { return with(std::move(cell), "string", std::move(many)); };
    return {
        {"shared-liquid", kWarning, string(brineCell(), {{"series", 3}, {"one_liquid", true}}),
         string(brineCell(), {{"series", 3}})},
        {"high-voltage", kWarning, string(jar(), {{"series", 30}}), string(jar(), {{"series", 20}})},
        {"high-voltage", kDanger, string(jar(), {{"series", 60}}), string(jar(), {{"series", 20}})},
        {"high-short-circuit", kDanger, string(jar(), {{"parallel", 1000}}), jar()},
    };
}

std::vector<Danger> allDangers() {
    std::vector<Danger> all;
    for (const auto& group : {gasAndHeat(), charges(), mixing(), electricity()}) {
        all.insert(all.end(), group.begin(), group.end());
    }
    return all;
}

std::vector<Finding> findingsOf(const Json& json) {
    const design::Cell cell = test::cellOf(json.dump());
    return findingsFor(test::catalogue(), cell, cell::evaluate(test::catalogue(), cell, {0}));
}

class Dangers : public testing::TestWithParam<Danger> {};

TEST_P(Dangers, AreRaisedAndTheNearMissIsSilent) {
    const auto is = [&](const Finding& finding) { return wording::findingCode(finding) == GetParam().code; };
    const std::vector<Finding> flagged = findingsOf(GetParam().flagged);
    const auto found = std::find_if(flagged.begin(), flagged.end(), is);
    ASSERT_NE(found, flagged.end());
    EXPECT_EQ(found->severity, GetParam().severity);
    const wording::FindingText text = wording::findingText(*found);
    EXPECT_GT(text.text.size(), 20U);
    EXPECT_GT(text.remedy.size(), 10U);
    const std::vector<Finding> silent = findingsOf(GetParam().silent);
    EXPECT_TRUE(std::none_of(silent.begin(), silent.end(), is));
}

INSTANTIATE_TEST_SUITE_P(All, Dangers, testing::ValuesIn(allDangers()),
                         [](const auto& test) { return test::caseName(test.index, test.param.code); });

TEST(DangerOrder, WhatCanHurtStandsFirst) {
    const std::vector<Finding> findings = findingsOf(charged(brineCell(), 0.5));
    EXPECT_TRUE(std::is_sorted(findings.begin(), findings.end(),
                               [](const Finding& a, const Finding& b) { return a.severity < b.severity; }));
    EXPECT_EQ(findings.front().severity, Severity::Danger);
}

TEST(RefusedRecipes, NameWhatIsWrongAndWhatToUseInstead) {
    const auto problem = [](const Json& json) {
        const auto cell = design::resolve(test::catalogue(), test::design(json.dump()));
        return cell ? std::string() : wording::errorText(formats::toFileError(cell.error()));
    };
    const auto of = [](const char* material, const char* substance) {
        return cellWith(electrodeJson(material), electrodeJson("graphite"), water({{substance, 1.0}}));
    };
    for (const char* material : {"mercury", "Cadmium", "HgO"}) {
        EXPECT_NE(problem(of(material, "NaCl")).find("refused"), std::string::npos) << material;
    }
    for (const char* substance : {"HF", "hydrofluoric acid", "CdSO4"}) {
        EXPECT_NE(problem(of("zinc", substance)).find("refused"), std::string::npos) << substance;
    }
    EXPECT_EQ(problem(of("zinc", "NaCl")), "");
}

TEST(AmbiguousLiquids, AreAskedForByKindAndNeverGuessed) {
    const auto problem = [](const char* liquid) {
        const auto cell = design::resolve(
            test::catalogue(),
            test::design(cellWith(electrodeJson("zinc"), electrodeJson("copper"), ready(liquid)).dump()));
        return cell ? std::string() : wording::errorText(formats::toFileError(cell.error()));
    };
    for (const char* liquid : {"drain opener", "limescale remover"}) {
        EXPECT_NE(problem(liquid).find("\" or \""), std::string::npos) << problem(liquid);
    }
    EXPECT_EQ(problem("caustic drain opener"), "");
}

} // namespace
} // namespace anodex::findings
