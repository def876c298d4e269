#include "tests/reference/Cycles.h"
#include "tests/support/Samples.h"

#include <algorithm>
#include <cmath>
#include <gtest/gtest.h>

namespace anodex::test {
namespace {

TEST(Cycles, EveryDissolvedSpeciesHasAnEnergyOfFormation) {
    for (const chemistry::Species& species : catalogue().species) {
        EXPECT_TRUE(species.gibbsJoulesPerMole.has_value()) << species.name;
        EXPECT_FALSE(species.sources.empty()) << species.name;
    }
}

TEST(Cycles, PotentialsAndConstantsAgreeWithinTenMillivolts) {
    const Cycles cycles = thermodynamicCycles();
    std::size_t conflicts = catalogue().leftOut.size();
    for (const Relation& relation : cycles.relations) {
        EXPECT_EQ(std::abs(relation.millivolts) > 10.0, !relation.knownConflict.empty())
            << relation.equation << " " << relation.millivolts << " mV";
        conflicts += relation.knownConflict.empty() ? 0 : 1;
    }
    std::printf("%zu relations, %d independent cycles, %zu known conflicts and left-out couples\n",
                cycles.relations.size(), cycles.independentCycles, conflicts);
    EXPECT_LE(conflicts * 10, catalogue().reactions.size() + catalogue().leftOut.size() + 1);
    EXPECT_GT(cycles.independentCycles, 10);
}

} // namespace
} // namespace anodex::test
