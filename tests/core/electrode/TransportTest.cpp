// Supply limits against i = n F D c / delta worked by hand.
#include "core/electrode/Transport.h"
#include "core/electrode/CompileElectrode.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>
#include <limits>
#include <nlohmann/json.hpp>

namespace anodex::electrode {
namespace {

using chemistry::Branch;
using design::Side;

using Json = nlohmann::ordered_json;

constexpr double kFaradayConstant = 96485.33;

std::size_t indexOf(const std::string& equation) {
    const auto& reactions = test::catalogue().reactions;
    const auto found = std::find_if(reactions.begin(), reactions.end(),
                                    [&](const chemistry::Reaction& r) { return r.equation == equation; });
    EXPECT_NE(found, reactions.end()) << equation;
    return static_cast<std::size_t>(found - reactions.begin());
}

const std::string kCopper = "Cu2+ + 2 e- = Cu(s)";
const std::string kZinc = "Zn2+ + 2 e- = Zn(s)";

struct Supply {
    explicit Supply(const std::string& json, Side where = Side::Positive, Moment when = Moment::Settled)
        : filled(json), side(where), moment(when) {}
    [[nodiscard]] const ReactionParameters& reaction(const std::string& equation) const {
        return filled.compiled.electrode(side).reactions[indexOf(equation)];
    }
    [[nodiscard]] double limit(const std::string& equation, Branch branch) const {
        const Situation here = filled.at(side);
        const Supplies::Limits limits = Supplies(here, secondsOf(moment)).limits(reaction(equation));
        return branch == Branch::Anodic ? limits.anodic : limits.cathodic;
    }
    [[nodiscard]] std::optional<std::string> absent(const std::string& equation, Branch branch) const {
        const auto found = Stock(filled.at(side)).lacking(reaction(equation), branch);
        return found ? std::optional(test::catalogue().species[*found].name) : std::nullopt;
    }
    test::Filled filled;
    Side side;
    Moment moment;
};

double diffusivityOf(const char* species) {
    return test::catalogue().species[*test::catalogue().findSpecies(species)].diffusivity;
}

TEST(Transport, AStillLayerIsHalfAMillimetre) {
    // 25 °C, where the catalogue's diffusivities hold; a bridge takes no room in front of the electrode.
    const Supply still(test::beakers(1.0, 0.1));
    const double c =
        still.filled.contents.solution(Side::Positive).concentration(*test::catalogue().findSpecies("Cu2+"));
    EXPECT_NEAR(c, 100.0, 5.0) << "0.1 mol/kg";
    EXPECT_NEAR(still.limit(kCopper, Branch::Cathodic),
                2.0 * kFaradayConstant * diffusivityOf("Cu2+") * c / 0.0005, 0.1);
}

TEST(Transport, TheLimitIsProportionalToStrength) {
    const double weak = Supply(test::beakers(1.0, 0.01)).limit(kCopper, Branch::Cathodic);
    const double strong = Supply(test::beakers(1.0, 0.1)).limit(kCopper, Branch::Cathodic);
    EXPECT_NEAR(strong / weak, 10.0, 0.2);
}

TEST(Transport, ANarrowGapIsTheLayerItself) {
    Json json = Json::parse(test::beakers(1.0, 0.1));
    const double free = Supply(json.dump()).limit(kCopper, Branch::Cathodic);
    json["gap_mm"] = 0.1;
    EXPECT_NEAR(Supply(json.dump()).limit(kCopper, Branch::Cathodic), 5.0 * free, 0.01 * free);
}

TEST(Transport, AfterFiveSecondsTheLayerIsAsDeepAsDiffusionReaches) {
    const std::string json = test::beakers(1.0, 0.1);
    const double settled = Supply(json).limit(kCopper, Branch::Cathodic);
    const double first = Supply(json, Side::Positive, Moment::First).limit(kCopper, Branch::Cathodic);
    EXPECT_NEAR(first / settled, 0.0005 / std::sqrt(M_PI * diffusivityOf("Cu2+") * 5.0), 1e-6);
    EXPECT_GT(first, settled);
}

TEST(Transport, WarmthHurriesDiffusion) {
    // exp(-18000/R (1/308 - 1/298)): 27 % more for ten kelvin.
    Json json = Json::parse(test::beakers(1.0, 0.1));
    const double cool = Supply(json.dump()).limit(kCopper, Branch::Cathodic);
    json["temperature_C"] = 35;
    EXPECT_NEAR(Supply(json.dump()).limit(kCopper, Branch::Cathodic) / cool, 1.266, 0.01);
}

TEST(Transport, ASolidReactantHasNoLimit) {
    EXPECT_EQ(Supply(test::beakers(), Side::Negative).limit(kZinc, Branch::Anodic),
              std::numeric_limits<double>::infinity());
}

TEST(Transport, NamesTheReactantThatIsAbsent) {
    const Supply lemon(test::lemon());
    EXPECT_EQ(lemon.absent(kCopper, Branch::Cathodic), "Cu2+");
    EXPECT_EQ(lemon.absent(kCopper, Branch::Anodic), std::nullopt);
    EXPECT_EQ(Supply(test::beakers()).absent(kCopper, Branch::Cathodic), std::nullopt);
}

TEST(Transport, ASolidThatIsNotThereGivesNothing) {
    const std::string chloride = "AgCl(s) + e- = Ag(s) + Cl-";
    const std::string oxide = "Cu2O(s) + H2O(l) + 2 e- = 2 Cu(s) + 2 OH-";
    const auto missing = [](const char* material, const std::string& equation, Branch branch) {
        Json json = Json::parse(test::foilInSalt());
        json["positive"]["material"] = material;
        return Supply(json.dump()).absent(equation, branch);
    };
    EXPECT_EQ(missing("silver", chloride, Branch::Cathodic), "AgCl(s)");
    EXPECT_EQ(missing("silver", chloride, Branch::Anodic), std::nullopt) << "silver turns to chloride";
    EXPECT_EQ(missing("silver chloride", chloride, Branch::Cathodic), std::nullopt);
    EXPECT_EQ(missing("copper", oxide, Branch::Cathodic), "Cu2O(s)");
    EXPECT_EQ(missing("copper oxide", oxide, Branch::Cathodic), std::nullopt)
        << "it comes of the black oxide";
}

TEST(Transport, OxygenIsLeftInTracesWithoutAir) {
    const auto& reactions = test::catalogue().reactions;
    const auto oxygen = std::find_if(reactions.begin(), reactions.end(), [](const chemistry::Reaction& r) {
        return r.equation.starts_with("O2(g)");
    });
    ASSERT_NE(oxygen, reactions.end());
    Json json = Json::parse(test::foilInSalt());
    const auto limitOf = [&](const char* air) {
        json["positive"]["air"] = air;
        json["negative"]["air"] = air;
        return Supply(json.dump()).limit(oxygen->equation, Branch::Cathodic);
    };
    json["negative"]["air"] = "none";
    const double none = limitOf("none");
    const double still = limitOf("still");
    const double breathing = limitOf("breathing");
    EXPECT_GT(none, 1e-4);
    EXPECT_LT(none, 1e-3);
    // MODEL: about 0.4 A/m² in still liquid, 20 to 1000 from an open face.
    EXPECT_NEAR(still, 0.4, 0.3);
    EXPECT_GE(breathing, 20.0);
    EXPECT_LE(breathing, 1000.0);
}

TEST(Transport, OnlyGasMadeOfProtonsAloneNeedsAcid) {
    const auto& catalogue = test::catalogue();
    int needing = 0;
    for (const chemistry::Reaction& reaction : catalogue.reactions) {
        if (reaction.needsAcid) {
            ++needing;
            for (const chemistry::SpeciesTerm& term : reaction.terms) {
                const bool proton = term.species == catalogue.key.hydrogenIon;
                const bool gas = term.species == catalogue.key.hydrogenGas;
                EXPECT_TRUE(proton || gas) << reaction.equation;
            }
        }
    }
    EXPECT_GE(needing, 1);
}

/// Zinc against graphite with so much manganese dioxide in ammonium chloride, at 25 °C without air.
Supply pinchOf(double grams, Moment when) {
    namespace json = test::json;
    Json graphite = json::airless(json::electrodeJson("graphite"));
    graphite["additives"] = {{{"material", "manganese dioxide"}, {"mass_g", grams}}};
    Json cell =
        json::cellWith(json::airless(json::electrodeJson("zinc")), graphite, json::water({{"NH4Cl", 3}}));
    cell["temperature_C"] = 25;
    return Supply(cell.dump(), Side::Positive, when);
}

double insertedAmps(double grams, Moment when) {
    const Supply pinch = pinchOf(grams, when);
    const Situation here = pinch.filled.at(Side::Positive);
    return Supplies(here, secondsOf(when)).inserted(pinch.reaction("MnO2(s) + H+ + e- = MnOOH(s)"));
}

TEST(Transport, ProtonsReachAllOfADioxideInAnHour) {
    // 0.1 g / 86.94 g/mol · 96485 C/mol / 3600 s
    EXPECT_NEAR(insertedAmps(0.1, Moment::Settled), 0.03083, 3e-5);
    EXPECT_NEAR(insertedAmps(0.2, Moment::Settled), 2.0 * 0.03083, 6e-5);
    // √(3600 s / (π · 5 s)) times as much at first.
    EXPECT_NEAR(insertedAmps(0.1, Moment::First), 0.03083 * 15.14, 2e-3);
}

TEST(Transport, WhatTakesNothingUpIsNotLimitedByIt) {
    const Supply pinch = pinchOf(0.1, Moment::Settled);
    const Situation here = pinch.filled.at(Side::Positive);
    const Supplies supplies(here, secondsOf(Moment::Settled));
    EXPECT_TRUE(std::isinf(supplies.inserted(pinch.reaction(kZinc))));
}

} // namespace
} // namespace anodex::electrode
