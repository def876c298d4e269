// One question has one answer, whatever asks: open circuit is where the curve begins, the greatest power is the
// curve's, and a couple that is named can run. Held over simple cells of every kind.
#include "core/cell/Evaluation.h"
#include "core/cell/Polarisation.h"
#include "tests/support/CellJson.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <cmath>
#include <functional>
#include <gtest/gtest.h>

namespace anodex::cell {
namespace {

using namespace test::json;

const std::vector<const char*> kSurfaces = {
    "zinc",   "aluminium", "magnesium", "steel",           "copper",           "lead",    "tin",
    "nickel", "silver",    "titanium",  "stainless steel", "activated carbon", "graphite"};

std::vector<Json> sixLiquids() {
    return {water({{"NaCl", 0.6}}),  water({{"KOH", 2}}),  water({{"H2SO4", 1}}),
            water({{"ZnSO4", 0.5}}), ready("lemon juice"), water({{"CuSO4", 0.3}})};
}

Json cellOf(const char* negative, const char* positive, const Json& liquid, const char* air) {
    Json cell = cellWith(electrodeJson(negative, 10), electrodeJson(positive, 10), liquid);
    cell["negative"]["air"] = air;
    cell["positive"]["air"] = air;
    return cell;
}

Evaluation evaluated(const char* negative, const char* positive, const Json& liquid, const char* air) {
    return evaluate(test::catalogue(), test::cellOf(cellOf(negative, positive, liquid, air).dump()), {200});
}

/// Every pair of the surfaces in six liquids, with and without air.
void forEachCouple(const std::function<void(const Json& cell, const std::string& name)>& visit) {
    for (const char* air : {"none", "still"}) {
        for (const Json& liquid : sixLiquids()) {
            for (std::size_t i = 0; i < kSurfaces.size(); ++i) {
                for (std::size_t j = i + 1; j < kSurfaces.size(); ++j) {
                    visit(cellOf(kSurfaces[i], kSurfaces[j], liquid, air),
                          std::string(kSurfaces[i]) + " | " + kSurfaces[j] + " in " + liquid.dump() +
                              ", air " + air);
                }
            }
        }
    }
}

bool isOpen(const SideResult& side) {
    return std::any_of(side.competing.begin(), side.competing.end(), [&](const CompetingReaction& entry) {
        return entry.reaction == side.couple.reaction && entry.blocked != electrode::Blocked::Film;
    });
}

void expectOneAnswer(const Evaluation& e, const std::string& cell) {
    for (const SideResult& side : e.sides) {
        EXPECT_TRUE(isOpen(side)) << cell << ": "
                                  << test::catalogue().reactions[side.couple.reaction].equation;
    }
    if (e.curve.empty()) {
        EXPECT_EQ(e.openCircuitVolts, 0.0) << cell;
        return;
    }
    const bool swapped = e.first.shortCircuitAmps < 0.0;
    const double start = (swapped ? e.curve.back() : e.curve.front()).volts;
    EXPECT_NEAR(e.openCircuitVolts, start, 1e-4) << cell;
    double most = 0.0;
    for (const CurvePoint& point : e.curve) {
        most = std::max(most, point.amps * point.volts);
    }
    EXPECT_GE(e.first.maximumPower.watts, most * 0.999) << cell;
    EXPECT_LE(e.first.maximumPower.watts,
              std::abs(e.openCircuitVolts * e.first.shortCircuitAmps) * (1.0 + 1e-9))
        << cell;
}

/// A little less current leaves more voltage than the ammeter takes, a little more less. (The voltage itself is no measure:
/// a curve that ends at a limiting current is a wall there.)
void expectItsShortCircuit(const Json& json, const std::string& cell, double leastAmps) {
    constexpr double kBeside = 1e-2;   // of the current
    constexpr double kRounding = 1e-4; // V
    const design::Cell design = test::cellOf(json.dump());
    const CompiledCell compiled = compile(test::catalogue(), design);
    const state::Contents contents = state::asBuilt(test::catalogue(), design);
    const Polarisation curve(compiled, contents, electrode::Moment::First);
    const double amps = curve.shortCircuitAmps();
    if (std::abs(amps) < leastAmps) {
        return;
    }
    const double sign = amps < 0.0 ? -1.0 : 1.0;
    const auto left = [&](double share) {
        return sign * (curve.voltsAt(share * amps) - kMeterOhm * share * amps);
    };
    EXPECT_GE(left(1.0 - kBeside), -kRounding) << cell;
    EXPECT_LE(left(1.0 + kBeside), kRounding) << cell;
}

TEST(OneAnswer, TheShortCircuitIsWhereTheVoltageEnds) {
    constexpr double kToReadAmps = 1e-6; // less no ammeter of a builder's shows
    forEachCouple(
        [&](const Json& json, const std::string& name) { expectItsShortCircuit(json, name, kToReadAmps); });
    // Found where the search once stopped short of currents far below what the resistance lets through.
    expectItsShortCircuit(cellOf("lead dioxide", "nichrome wire", water({{"NaCl", 0.2052}}), "none"),
                          "nichrome", 0.0);
    expectItsShortCircuit(cellOf("lead dioxide", "silver", water({{"Na2SO4", 0.0196}}), "still"), "silver",
                          0.0);
    expectItsShortCircuit(cellOf("lead", "graphite", water({{"ZnCl2", 3.156}}), "none"), "graphite", 0.0);
}

TEST(OneAnswer, OpenCircuitPowerAndCouplesAreThoseOfTheCurve) {
    int tried = 0;
    forEachCouple([&](const Json& json, const std::string& name) {
        expectOneAnswer(evaluate(test::catalogue(), test::cellOf(json.dump()), {200}), name);
        ++tried;
    });
    EXPECT_EQ(tried, 936);
}

/// Something is oxidised and something reduced at rest, be it ever so little: no surface takes the potential of a
/// couple that does not reach it.
TEST(OneAnswer, NoSurfaceFloats) {
    constexpr double kLeastAmps = 1e-13; // of 10 cm²
    std::vector<Json> liquids = sixLiquids();
    for (const auto& [name, strength] : std::vector<std::pair<const char*, double>>{{"Na2SO4", 1},
                                                                                    {"NaHCO3", 0.5},
                                                                                    {"NH4Cl", 3},
                                                                                    {"KI", 1},
                                                                                    {"KOH", 8},
                                                                                    {"H2SO4", 0.05},
                                                                                    {"H2SO4", 14},
                                                                                    {"HCl", 0.1},
                                                                                    {"HCl", 10},
                                                                                    {"NH3", 5},
                                                                                    {"H3PO4", 3},
                                                                                    {"acetic acid", 1},
                                                                                    {"ZnCl2", 5},
                                                                                    {"AlCl3", 1},
                                                                                    {"KNO3", 1},
                                                                                    {"NaBr", 2},
                                                                                    {"Na2CO3", 1},
                                                                                    {"sodium silicate", 1}}) {
        liquids.push_back({{"water_mL", 100}, {"solutes", {{{"substance", name}, {"mol_per_L", strength}}}}});
    }
    for (const char* name : {"seawater", "tap water", "bleach", "damp soil"}) {
        liquids.push_back(ready(name));
    }
    const auto floats = [&](const SideResult& side) {
        double oxidised = 0.0;
        double reduced = 0.0;
        bool poised = false; // at a couple's own potential, which passes no net current
        for (const CompetingReaction& entry : side.competing) {
            (entry.amps > 0.0 ? oxidised : reduced) += std::abs(entry.amps);
            poised = poised || (entry.blocked == electrode::Blocked::No &&
                                std::abs(entry.equilibriumVolts - side.restVolts) < 5e-3);
        }
        return !poised && std::min(oxidised, reduced) < kLeastAmps;
    };
    for (const chemistry::Material& material : test::catalogue().materials) {
        for (const Json& liquid : liquids) {
            for (const char* air : {"none", "still"}) {
                const Evaluation e = evaluated(material.name.c_str(), material.name.c_str(), liquid, air);
                EXPECT_FALSE(floats(e.sides[1])) << material.name << " in " << liquid.dump() << ", air "
                                                 << air << ": " << e.sides[1].restVolts;
            }
        }
    }
}

} // namespace
} // namespace anodex::cell
