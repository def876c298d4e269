#include "core/cell/Crossover.h"

#include "core/base/Constants.h"
#include "core/electrode/Transport.h"

#include <algorithm>
#include <cmath>

namespace anodex::cell {

double crossoverAmps(const chemistry::Catalogue& catalogue, const design::Cell& cell,
                     const chemistry::Reaction& positive) {
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
        const auto& there = cell.solution(design::Side::Positive);
        const auto& here = cell.solution(design::Side::Negative);
        const double difference = there.labileConcentration(catalogue, term.species) -
                                  here.labileConcentration(catalogue, term.species);
        amps += positive.electrons / std::abs(term.count) * base::kFaraday * leak *
                design::currentArea(cell) * electrode::diffusivity(catalogue, cell, term.species) *
                std::max(difference, 0.0) / path;
    }
    return amps;
}

} // namespace anodex::cell
