#include "core/cell/Crossover.h"

#include "core/base/Constants.h"
#include "core/electrode/Transport.h"

#include <algorithm>
#include <cmath>

namespace anodex::cell {

double crossoverAmps(const CompiledCell& compiled, const state::Contents& contents,
                     const chemistry::Reaction& positive) {
    const chemistry::Catalogue& catalogue = compiled.catalogue;
    const design::Cell& cell = compiled.cell;
    if (!cell.twoLiquids) {
        return 0.0;
    }
    double amps = 0.0;
    for (const chemistry::SpeciesTerm& term : positive.terms) {
        const bool wanders = term.count < 0.0 && catalogue.species[term.species].isDissolved() &&
                             term.species != catalogue.key.hydrogenIon;
        if (!wanders) {
            continue;
        }
        double path = cell.gapMetres;
        double leak = 1.0;
        if (cell.barrier) {
            const auto& separator = catalogue.separators[cell.barrier->separator];
            path += cell.barrier->thicknessMetres * (separator.macMullin.value - 1.0);
            leak = separator.leak;
        }
        const auto& there = contents.solution(design::Side::Positive);
        const auto& here = contents.solution(design::Side::Negative);
        const double difference = there.labileConcentration(catalogue, term.species) -
                                  here.labileConcentration(catalogue, term.species);
        amps += positive.electrons / std::abs(term.count) * base::kFaraday * leak *
                design::currentArea(cell) *
                electrode::diffusivity(catalogue.species[term.species], contents.state.temperatureKelvin) *
                std::max(difference, 0.0) / path;
    }
    return amps;
}

} // namespace anodex::cell
