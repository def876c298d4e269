// Each finding is raised by its fault and silent for the near miss beside it.
#include "core/findings/Findings.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace anodex::findings {
namespace {

using Json = nlohmann::ordered_json;

std::vector<Finding> findingsOf(const Json& json) {
    const design::Cell cell = test::cellOf(json.dump());
    return findingsFor(test::catalogue(), cell, cell::evaluate(test::catalogue(), cell, {0}));
}

const Finding* findIn(const std::vector<Finding>& findings, FindingCode code) {
    const auto found =
        std::find_if(findings.begin(), findings.end(), [&](const Finding& f) { return f.code == code; });
    return found == findings.end() ? nullptr : &*found;
}

struct Pair {
    const char* what;
    FindingCode code;
    Severity severity;
    FindingPart part;
    std::function<Json()> fault;
    std::function<Json()> nearMiss;
};

Json with(const std::string& base, const std::function<void(Json&)>& change) {
    Json json = Json::parse(base);
    change(json);
    return json;
}

std::vector<Pair> pairs() {
    const auto alkali = [] { return Json::parse(test::foilInAlkali()); };
    const auto salt = [] { return Json::parse(test::foilInSalt()); };
    const auto jar = [] { return Json::parse(test::beakers()); };
    const auto fruit = [] { return Json::parse(test::lemon()); };
    const auto strength = [](double molar) {
        return with(test::foilInSalt(),
                    [=](Json& j) { j["electrolyte"]["solutes"][0]["mol_per_L"] = molar; });
    };
    const auto cased = [](const std::string& base, const char* name) {
        return with(base, [=](Json& j) { j["case"] = {{"material", name}}; });
    };
    const auto gapOf = [](double millimetres) {
        return with(test::lemon(), [=](Json& j) { j["gap_mm"] = millimetres; });
    };
    return {
        {"foil in alkali, in salt", FindingCode::HydrogenGas, Severity::Warning, FindingPart::Negative,
         alkali, salt},
        {"strong alkali, a salt", FindingCode::CorrosiveLiquid, Severity::Danger, FindingPart::Electrolyte,
         alkali, salt},
        {"lead, zinc", FindingCode::HazardousMaterial, Severity::Warning, FindingPart::Negative,
         [] { return Json::parse(test::leadAcid(30)); }, fruit},
        {"big plates close together, far apart", FindingCode::HighShortCircuit, Severity::Danger,
         FindingPart::Whole,
         [] {
             return with(test::leadAcid(30), [](Json& j) {
                 j["negative"]["wetted_area_cm2"] = 2000;
                 j["positive"]["wetted_area_cm2"] = 2000;
                 j["electrolyte"]["volume_mL"] = 2000;
                 j["gap_mm"] = 3;
             });
         },
         [] {
             return with(test::leadAcid(30), [](Json& j) {
                 j["negative"]["wetted_area_cm2"] = 5;
                 j["positive"]["wetted_area_cm2"] = 5;
             });
         }},
        {"a bottle plastic in alkali, in salt", FindingCode::CaseAttacked, Severity::Warning,
         FindingPart::Case, [=] { return cased(test::foilInAlkali(), "PET"); },
         [=] { return cased(test::foilInSalt(), "PET"); }},
        {"leads swapped, straight", FindingCode::PolarityReversed, Severity::Warning, FindingPart::Whole,
         [] { return with(test::lemon(), [](Json& j) { std::swap(j["negative"], j["positive"]); }); }, fruit},
        {"two liquids with nothing between, a bridge", FindingCode::OpenJunction, Severity::Warning,
         FindingPart::Separator, [] { return with(test::beakers(), [](Json& j) { j.erase("separator"); }); },
         jar},
        {"a puddle, enough", FindingCode::TooLittleLiquid, Severity::Warning, FindingPart::Electrolyte,
         [=] { return gapOf(200); }, [=] { return gapOf(100); }},
        {"pure solvent, a salt", FindingCode::NoCarriers, Severity::Warning, FindingPart::Electrolyte,
         [] { return with(test::foilInSalt(), [](Json& j) { j["electrolyte"].erase("solutes"); }); }, salt},
        {"over saturation, below", FindingCode::Undissolved, Severity::Warning, FindingPart::Electrolyte,
         [=] { return strength(7.5); }, [=] { return strength(4.0); }},
        {"the same twice, two metals", FindingCode::SameMaterial, Severity::Note, FindingPart::Whole,
         [] { return with(test::lemon(), [](Json& j) { j["positive"]["material"] = "zinc"; }); }, fruit},
        {"brass with copper, zinc with copper", FindingCode::RestAlike, Severity::Note, FindingPart::Whole,
         [] {
             return with(test::lemon(), [](Json& j) {
                 j["negative"]["material"] = "brass";
                 j["positive"]["material"] = "copper";
             });
         },
         fruit},
        {"graphite with platinum where no air is, with zinc", FindingCode::HardlyAnyCurrent, Severity::Note,
         FindingPart::Whole,
         [] {
             return Json(
                 test::json::cellWith(test::json::airless(test::json::electrodeJson("platinised titanium")),
                                      test::json::airless(test::json::electrodeJson("graphite")),
                                      test::json::water({{"KOH", 6}})));
         },
         [] {
             return Json(test::json::cellWith(test::json::airless(test::json::electrodeJson("zinc")),
                                              test::json::airless(test::json::electrodeJson("graphite")),
                                              test::json::water({{"KOH", 6}})));
         }},
        {"two plain sheets of lead, formed ones", FindingCode::NeedsForming, Severity::Note,
         FindingPart::Whole,
         [] {
             return with(test::leadAcid(30), [](Json& j) {
                 j["negative"]["material"] = "lead";
                 j["positive"]["material"] = "scrap lead";
             });
         },
         [] { return Json::parse(test::leadAcid(30)); }},
        {"copper salt, kitchen salt", FindingCode::HarmfulToWater, Severity::Note, FindingPart::Electrolyte,
         jar, salt},
        {"chalk from two salts, either alone", FindingCode::Precipitate, Severity::Note,
         FindingPart::Electrolyte,
         [] {
             return with(test::foilInSalt(), [](Json& j) {
                 j["electrolyte"]["solutes"] = {{{"substance", "zinc sulfate"}, {"mol_per_L", 0.5}},
                                                {{"substance", "sodium carbonate"}, {"mol_per_L", 0.5}}};
             });
         },
         salt},
        {"hardly any water, water", FindingCode::NoPhScale, Severity::Note, FindingPart::Electrolyte,
         [] {
             return with(test::foilInSalt(), [](Json& j) {
                 j["electrolyte"] = {{"ready", "deep eutectic"}, {"volume_mL", 50}};
             });
         },
         salt},
        {"salt beyond water's solubility, a liquid with hardly any water", FindingCode::Undissolved,
         Severity::Warning, FindingPart::Electrolyte,
         [] {
             return with(test::foilInSalt(), [](Json& j) {
                 j["electrolyte"]["solutes"] = {{{"substance", "urea"}, {"mass_g", 80}}};
             });
         },
         [] {
             return with(test::foilInSalt(), [](Json& j) {
                 j["electrolyte"] = {{"ready", "deep eutectic"}, {"volume_mL", 50}};
             });
         }},
        {"a film near its limit, far from it", FindingCode::FilmUndecided, Severity::Note,
         FindingPart::Negative,
         [] {
             return with(test::foilInSalt(), [](Json& j) {
                 j["negative"]["material"] = "magnesium";
                 j["electrolyte"]["measured_pH"] = 11.6;
             });
         },
         salt},
        {"aluminium where film and air are equally fast, in brine", FindingCode::RestSways, Severity::Note,
         FindingPart::Negative,
         [] { return with(test::foilInSalt(), [](Json& j) { j["electrolyte"]["measured_pH"] = 10.1; }); },
         salt},
        {"paper squeezed, loose", FindingCode::PressedSeparator, Severity::Note, FindingPart::Separator,
         [] {
             return with(test::foilInSalt(), [](Json& j) {
                 j["separator"] = {{"material", "kitchen paper"}, {"layers", 4}, {"thickness_mm", 0.4}};
                 j["gap_mm"] = 1.5;
             });
         },
         [] {
             return with(test::foilInSalt(), [](Json& j) {
                 j["separator"] = {{"material", "kitchen paper"}, {"layers", 4}, {"thickness_mm", 0.4}};
                 j["gap_mm"] = 1.7;
             });
         }},
    };
}

TEST(Findings, AreRaisedByTheirFaultAndSilentForTheNearMiss) {
    for (const Pair& pair : pairs()) {
        const std::vector<Finding> raised = findingsOf(pair.fault());
        const Finding* finding = findIn(raised, pair.code);
        ASSERT_NE(finding, nullptr) << pair.what;
        EXPECT_EQ(finding->severity, pair.severity) << pair.what;
        EXPECT_EQ(finding->part, pair.part) << pair.what;
        EXPECT_EQ(findIn(findingsOf(pair.nearMiss()), pair.code), nullptr) << pair.what;
    }
}

TEST(Findings, TellHowMuch) {
    const auto dry = findingsOf(with(test::lemon(), [](Json& j) { j["gap_mm"] = 200; }));
    // 2 cm² over 200 mm hold 40 mL; 30 are there.
    EXPECT_NEAR(findIn(dry, FindingCode::TooLittleLiquid)->value, 10e-6, 0.5e-6);
    const auto thick = findingsOf(with(test::foilInSalt(), [](Json& j) {
        j["electrolyte"]["solutes"] = {{{"substance", "NaCl"}, {"mass_g", 30}}};
    }));
    // 50 mL of solvent take up about 18 g at 20 °C (35.9 g per 100 g).
    EXPECT_NEAR(findIn(thick, FindingCode::Undissolved)->value, 0.0121, 0.0008);
}

TEST(Findings, NameEverySubstanceOnce) {
    const auto findings = findingsOf(with(test::beakers(), [](Json& j) {
        j["electrolyte"]["negative"]["solutes"].push_back({{"substance", "CuSO4"}, {"mol_per_kg", 0.1}});
    }));
    const Finding* harmful = findIn(findings, FindingCode::HarmfulToWater);
    ASSERT_NE(harmful, nullptr);
    EXPECT_EQ(std::count(harmful->names.begin(), harmful->names.end(), "copper sulfate"), 1);
    EXPECT_EQ(std::count_if(findings.begin(), findings.end(),
                            [](const Finding& f) { return f.code == FindingCode::HarmfulToWater; }),
              1);
}

TEST(Findings, TableVinegarDoesNotBurnButItsEssenceDoes) {
    const auto filled = [](const char* json) {
        return findIn(findingsOf(with(test::lemon(), [&](Json& j) { j["electrolyte"] = Json::parse(json); })),
                      FindingCode::CorrosiveLiquid) != nullptr;
    };
    EXPECT_FALSE(filled(R"({"ready": "vinegar", "volume_mL": 50})"));
    EXPECT_TRUE(filled(R"({"water_mL": 50, "solutes": [{"substance": "acetic acid", "mass_percent": 25}]})"));
    EXPECT_TRUE(filled(R"({"water_mL": 50, "solutes": [{"substance": "bromine", "mass_percent": 2}]})"));
}

TEST(Findings, WeakAcidOfAFruitIsNotCalledCorrosive) {
    const auto findings = findingsOf(Json::parse(test::lemon()));
    EXPECT_EQ(findIn(findings, FindingCode::CorrosiveLiquid), nullptr);
}

} // namespace
} // namespace anodex::findings
