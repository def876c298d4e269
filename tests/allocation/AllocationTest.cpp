// Counts what the model takes from the heap where a simulation would run in a loop.
#include "core/cell/CompiledCell.h"
#include "core/design/Resolve.h"
#include "core/electrode/ElectrodeModel.h"
#include "core/liquid/SolveSolution.h"
#include "formats/CellFile.h"
#include "formats/EmbeddedData.h"
#include "tests/support/Samples.h"

#include <cstdlib>
#include <gtest/gtest.h>
#include <new>

namespace {
std::size_t taken = 0;
}

void* operator new(std::size_t size) {
    ++taken;
    if (void* memory = std::malloc(size)) {
        return memory;
    }
    throw std::bad_alloc();
}
void operator delete(void* memory) noexcept {
    std::free(memory);
}
void operator delete(void* memory, std::size_t) noexcept {
    std::free(memory);
}

namespace anodex {
namespace {

using design::Side;

std::vector<std::pair<std::string, design::Cell>> starters() {
    std::vector<std::pair<std::string, design::Cell>> cells;
    for (const formats::EmbeddedFile& file : formats::embeddedFiles()) {
        if (file.name.starts_with("starters/")) {
            cells.emplace_back(file.name,
                               *design::resolve(test::catalogue(), *formats::readCellFile(file.content)));
        }
    }
    return cells;
}

/// A little more or less of everything, neutral.
void nudge(const liquid::Composition& from, std::size_t step, liquid::Composition& to) {
    to.hydrogenMoles = from.hydrogenMoles;
    for (std::size_t i = 0; i < from.masters.size(); ++i) {
        const double more = 1e-3 * static_cast<double>((step + i) % 5) * from.masters[i].count;
        to.masters[i].count = from.masters[i].count + more;
        to.hydrogenMoles -= more * test::catalogue().species[from.masters[i].species].formula.charge;
    }
}

TEST(Allocation, ThisTestSeesWhatIsTaken) {
    const std::size_t before = taken;
    const auto one = std::make_unique<int>(1);
    EXPECT_EQ(taken, before + 1);
}

TEST(Allocation, ALiquidNearItsLastAnswerTakesNothing) {
    for (const auto& [name, cell] : starters()) {
        for (const liquid::Mixture& poured : cell.poured) {
            liquid::LiquidSolver solver(test::catalogue());
            const liquid::Composition start = solver.pour(poured).composition;
            liquid::Composition now = start;
            const liquid::Surroundings around{poured.temperatureKelvin, poured.oxygenPressureBar};
            solver.change(now, around); // from a measured pH to a free one, where there was one
            nudge(start, 1, now);
            solver.change(now, around);
            const std::size_t before = taken;
            for (std::size_t step = 2; step < 12; ++step) {
                nudge(start, step, now);
                solver.change(now, around);
            }
            EXPECT_EQ(taken - before, 0U) << name;
        }
    }
}

TEST(Allocation, RoutesAtANewStateTakeNothing) {
    for (const auto& [name, cell] : starters()) {
        const test::Filled filled(cell);
        for (const electrode::Moment moment : {electrode::Moment::First, electrode::Moment::Settled}) {
            const double seconds = electrode::secondsOf(moment);
            for (const Side side : {Side::Negative, Side::Positive}) {
                const electrode::Situation here = filled.at(side);
                electrode::ElectrodeModel model(here, seconds);
                double sum = 0.0;
                const std::size_t before = taken;
                model.bind(here, seconds);
                for (const electrode::Route& route : model.routes()) {
                    const base::Sloped now = route.at(0.1);
                    sum += now.value * now.slope;
                }
                sum += model.potentialAt(0.0) + model.potentialAt(1e-3);
                EXPECT_EQ(taken - before, 0U) << name;
                EXPECT_TRUE(std::isfinite(sum)) << name;
            }
        }
    }
}

} // namespace
} // namespace anodex
