#include "core/cell/Evaluation.h"
#include "core/chemistry/NameLookup.h"
#include "core/design/Resolve.h"
#include "formats/CellFile.h"
#include "tests/support/Samples.h"

#include <gtest/gtest.h>
#include <nlohmann/json.hpp>

namespace anodex::formats {
namespace {

using Json = nlohmann::ordered_json;

std::string faultOf(const CatalogueFiles& files) {
    const auto read = readCatalogue(files);
    return read ? "none" : read.error().field + ": " + base::plain(read.error().found);
}

CatalogueFiles replaced(const std::string& file, const std::string& from, const std::string& to) {
    CatalogueFiles files = builtInCatalogueFiles();
    const std::size_t at = files.at(file).find(from);
    EXPECT_NE(at, std::string::npos) << from;
    files[file].replace(at, from.size(), to);
    return files;
}

TEST(CatalogueReader, TheShippedCatalogueLoads) {
    const auto read = readCatalogue(builtInCatalogueFiles());
    ASSERT_TRUE(read) << read.error().field << ": " << base::plain(read.error().found);
    EXPECT_GT(read->species.size(), 30U);
    EXPECT_GT(read->reactions.size(), 10U);
    EXPECT_EQ(read->version.size(), 8U);
}

TEST(CatalogueReader, EveryEntryHasASource) {
    const auto& catalogue = test::catalogue();
    for (const auto& entry : catalogue.materials) {
        EXPECT_FALSE(entry.sources.empty()) << entry.id;
    }
    for (const auto& entry : catalogue.reactions) {
        EXPECT_FALSE(entry.sources.empty()) << entry.id;
        for (const auto& kinetics : entry.kinetics) {
            EXPECT_FALSE(kinetics.sources.empty()) << entry.id;
            EXPECT_GE(kinetics.currentDensity.factor, 1.0) << entry.id;
        }
    }
    for (const auto& entry : catalogue.species) {
        EXPECT_FALSE(entry.sources.empty()) << entry.name;
    }
}

TEST(CatalogueReader, IdsAreUniqueAndKebabCase) {
    const auto& catalogue = test::catalogue();
    std::set<std::string> ids;
    const auto check = [&](const std::string& id) {
        EXPECT_TRUE(ids.insert(id).second) << id;
        EXPECT_EQ(id.find_first_not_of("abcdefghijklmnopqrstuvwxyz0123456789-"), std::string::npos) << id;
    };
    for (const auto& entry : catalogue.substances) {
        check(entry.id);
    }
    for (const auto& entry : catalogue.materials) {
        check(entry.id);
    }
    for (const auto& entry : catalogue.separators) {
        check(entry.id);
    }
    for (const auto& entry : catalogue.reactions) {
        check(entry.id);
    }
}

TEST(CatalogueReader, EveryElectrodeCanAlwaysReduceAndOxidiseSomething) {
    // A solve needs an unlimited route each way on every phase: the solvent's own.
    const auto& catalogue = test::catalogue();
    for (const auto& material : catalogue.materials) {
        for (const auto& surface : material.surfaces) {
            bool reduces = false;
            bool oxidises = false;
            for (const auto& reaction : catalogue.reactions) {
                for (const auto& kinetics : reaction.kinetics) {
                    const bool here = std::find(kinetics.surfaces.begin(), kinetics.surfaces.end(),
                                                surface.phase) != kinetics.surfaces.end();
                    reduces = reduces || (here && reaction.id == "hydrogen-from-water");
                    oxidises = oxidises || (here && reaction.id == "oxygen-four" &&
                                            kinetics.storedBranch == chemistry::Branch::Anodic);
                }
            }
            EXPECT_TRUE(reduces && oxidises) << material.id;
        }
    }
}

TEST(CatalogueReader, FaultsAreNamedWithFileAndPlace) {
    EXPECT_EQ(faultOf(replaced("reactions.json", "Zn2+ + 2 e- = Zn(s)", "Zn2+ + 3 e- = Zn(s)")),
              "reactions.json: reactions[0].equation: \"Zn2+ + 3 e- = Zn(s)\"");
    EXPECT_EQ(faultOf(replaced("reactions.json", "Cu2+ + 2 e- = Cu(s)", "Cx2+ + 2 e- = Cu(s)")),
              "reactions.json: reactions[3].equation: the species \"Cx2+\"");
    EXPECT_EQ(faultOf(replaced("species.json", "\"H+ + SO4^2-\"", "\"2 H+ + SO4^2-\"")).substr(0, 34),
              "species.json: species[36].formatio");
    EXPECT_EQ(faultOf(replaced("substances.json", "\"Cl-\": 1", "\"Cl-\": 2")).substr(0, 45),
              "substances.json: substances[1].dissolves_to: ");
    EXPECT_EQ(faultOf(replaced("materials.json", "\"roughness\": 2,", "\"roughnes\": 2,")),
              "materials.json: materials[0].roughnes: a key that is not known here");
    EXPECT_EQ(faultOf(replaced("materials.json", "\"sources\": [\"CRC\", \"practice\"]", "\"sources\": []")),
              "materials.json: materials[0].sources: nothing");
    EXPECT_EQ(faultOf(replaced("sources.json", "\"CRC\"", "\"CRCX\"")),
              "species.json: species[4].sources: \"CRC\"");
    EXPECT_EQ(faultOf(replaced("elements.json", "\"Zn\": 65.38", "\"Zq\": 65.38")).substr(0, 26),
              "species.json: species[13].");
    EXPECT_EQ(faultOf(replaced("pitzer.json", "\"beta0\": 0.0765", "\"beta0\": \"x\"")),
              "pitzer.json: pairs[8].beta0: the text \"x\"");
    EXPECT_EQ(faultOf(replaced("rules.json", "\"severity\": \"warning\"", "\"severity\": \"dire\"")),
              "rules.json: rules[0].severity: \"dire\"");
    EXPECT_EQ(faultOf(replaced("rules.json", "\"of\": [\"Al(s)\"]", "\"of\": [\"tinfoil\"]")),
              "rules.json: rules[0].of: \"tinfoil\"");
    EXPECT_EQ(faultOf(replaced("rules.json", "\"Br2(aq)\": 0.001", "\"Bromine\": 0.001")).substr(0, 11),
              "rules.json:");
    CatalogueFiles files = builtInCatalogueFiles();
    files.erase("cases.json");
    EXPECT_EQ(faultOf(files), "cases.json: nothing");
    files = builtInCatalogueFiles();
    files["cases.json"] = "{";
    EXPECT_EQ(faultOf(files), "cases.json: the file ends too early");
}

TEST(CatalogueReader, ASpeciesHasOneEnthalpy) {
    for (const auto& species : test::catalogue().species) {
        EXPECT_TRUE(species.enthalpyJoulesPerMole) << species.name;
    }
    const auto enthalpyOf = [](const char* name) {
        return *test::catalogue().species[*test::catalogue().findSpecies(name)].enthalpyJoulesPerMole;
    };
    EXPECT_NEAR(enthalpyOf("OH-"), -229990.0, 200.0) << "from the solvent's and that of its parting";
    EXPECT_NEAR(enthalpyOf("AgCl(s)"), -127000.0, 200.0);
    EXPECT_NE(faultOf(replaced("species.json", "\"formation\": \"H2O(l) - H+\",",
                               "\"formation\": \"H2O(l) - H+\", \"enthalpy_kJ_per_mol\": -230,"))
                  .find("enthalpy_kJ_per_mol"),
              std::string::npos)
        << "two of them could differ";
}

TEST(CatalogueReader, AShareOfHydrogenNamesItsReaction) {
    EXPECT_NE(faultOf(replaced("reactions.json", "\"hydrogen_by\": \"hydrogen-from-acid\"",
                               "\"hydrogen_by\": \"hydrogen-from-nowhere\""))
                  .find("hydrogen_by"),
              std::string::npos);
    EXPECT_NE(faultOf(replaced("reactions.json", "\"hydrogen_share\": 0.45", "\"hydrogen_share\": 1.45"))
                  .find("hydrogen_share"),
              std::string::npos);
    for (const auto& reaction : test::catalogue().reactions) {
        for (const auto& kinetics : reaction.kinetics) {
            if (kinetics.parasite) {
                const auto& taker = test::catalogue().reactions[kinetics.parasite->reaction];
                EXPECT_TRUE(taker.id.starts_with("hydrogen-from-")) << taker.id;
            }
        }
    }
}

TEST(CatalogueReader, SlopesMustLeaveRoomForDetailedBalance) {
    EXPECT_EQ(faultOf(replaced("reactions.json", "\"slope_V\": 0.04,",
                               "\"slope_V\": 0.04, \"other_slope_V\": 0.12,")),
              "none");
    EXPECT_NE(faultOf(replaced("reactions.json", "\"slope_V\": 0.04,",
                               "\"slope_V\": 0.04, \"other_slope_V\": 0.06,"))
                  .find("other_slope_V"),
              std::string::npos);
}

TEST(CatalogueReader, AnotherMetalWorksByAddingDataAlone) {
    // A metal nobody of this field uses, with numbers that are easy to check.
    CatalogueFiles files = test::withAdded("species.json", "species", R"x([
        {"name": "V2+", "diffusivity_1e-9_m2_per_s": 0.706, "limiting_conductivity_1e-4_S_m2_per_mol": 106.0, "sources": ["RobinsonStokes"]},
        {"name": "V(s)", "sources": ["CRC"]}])x");
    files = test::withAdded(files, "materials.json", "materials", R"x([
        {"id": "vanadium", "name": "vanadium", "aliases": [], "formula": "V", "form": "strip", "composition": {"V(s)": 1}, "surfaces": {"V(s)": 1},
         "roughness": 2, "roughness_spread": 1.5, "utilisation": 0.5, "utilisation_spread": 1.3, "density_g_per_mL": 1.74, "thickness_mm": 0.5, "resistivity_ohm_m": 4.4e-8, "sources": ["CRC"]}])x");
    files = test::withAdded(files, "reactions.json", "reactions", R"x([
        {"id": "v2-v", "equation": "V2+ + 2 e- = V(s)", "anodic_name": "vanadium dissolves", "cathodic_name": "vanadium plates out", "E0_V": -2.372, "E0_half_width_V": 0.01, "dE0_mV_per_K": 0.2, "sources": ["Bratsch1989"],
         "kinetics": [{"on": ["V(s)"], "branch": "anodic", "A_per_m2": 4e-9, "spread": 10, "slope_V": 0.12, "reference": "standard", "one_way": true, "hydrogen_share": 0.45, "sources": ["practice"]}]},
        {"id": "hydrogen-on-v", "equation": "2 H2O(l) + 2 e- = H2(g) + 2 OH-", "anodic_name": "hydrogen on vanadium", "cathodic_name": "water gives hydrogen on vanadium", "E0_V": -0.828, "dE0_mV_per_K": -0.836, "sources": ["Bratsch1989"],
         "kinetics": [{"on": ["V(s)"], "branch": "cathodic", "A_per_m2": 3e-7, "spread": 10, "slope_V": 0.12, "reference": "equilibrium", "sources": ["practice"]}]}])x");
    const auto catalogue = readCatalogue(files);
    ASSERT_TRUE(catalogue) << catalogue.error().field << ": " << base::plain(catalogue.error().found);
    Json json = Json::parse(test::lemon());
    json["electrolyte"] = {{"water_mL", 100},
                           {"solutes", Json::array({{{"substance", "NaCl"}, {"mol_per_L", 0.6}}})}};
    const auto zinc = design::resolve(*catalogue, test::design(json.dump()));
    json["negative"]["material"] = "vanadium";
    const auto vanadium = design::resolve(*catalogue, test::design(json.dump()));
    ASSERT_TRUE(zinc && vanadium);
    const cell::Evaluation withZinc = cell::evaluate(*catalogue, *zinc);
    const cell::Evaluation withVanadium = cell::evaluate(*catalogue, *vanadium);
    EXPECT_GT(withVanadium.openCircuitVolts, withZinc.openCircuitVolts + 0.4);
    EXPECT_EQ(catalogue->reactions[withVanadium.sides[0].couple.reaction].id, "v2-v");
    // Where its two branches cross: 2E = E°(metal) + E(hydrogen) + 0.12 log(i_H / (1-f) i_M), by hand -1.265
    // V, with the hydrogen of the face, which its own hydroxide makes alkaline.
    const double moreAlkaline = withVanadium.sides[0].facePh - withVanadium.contents->solutions[0].pH;
    EXPECT_NEAR(withVanadium.sides[0].restVolts, -1.265 - 0.5 * 0.0582 * moreAlkaline, 0.01);
    EXPECT_GT(moreAlkaline, 3.0);
}

TEST(CatalogueReader, AFaultOfALoadOrAMeasureSaysWhere) {
    EXPECT_EQ(faultOf(replaced("loads.json", "\"may_be\": [\"led-red\"", "\"may_be\": [\"led-pink\"")),
              "loads.json: loads[5].may_be: \"led-pink\"");
    EXPECT_EQ(faultOf(replaced("loads.json", "[0.85, 0], [1.0, 0.1]", "[0.85, 0.2], [1.0, 0.1]")),
              "loads.json: loads[0].volts_mA: what it holds");
    EXPECT_EQ(faultOf(replaced("loads.json", "\"names\": [\"buzzer\", ", "\"names\": [], \"older\": [")),
              "loads.json: loads[6].names: nothing");
    EXPECT_EQ(faultOf(replaced("loads.json", "\"blocks_reversed\": true", "\"blocks_reversed\": 1")),
              "loads.json: loads[0].blocks_reversed: the number 1");
    EXPECT_EQ(faultOf(replaced("measures.json", "\"mL\": 5,", "\"mL\": -5,")).substr(0, 32),
              "measures.json: measures[0].mL: t");
    EXPECT_EQ(faultOf(replaced("measures.json", "\"may_mean\": [\"", "\"may_mean\": [\"x")).substr(0, 25),
              "measures.json: measures[2");
}

} // namespace
} // namespace anodex::formats
