#include "core/cell/Membrane.h"

#include "core/base/RootFinding.h"

#include <algorithm>
#include <cmath>

namespace anodex::cell {

using chemistry::Catalogue;

Concentrations ionsOf(const Catalogue& catalogue, const liquid::Solution& solution) {
    Concentrations values(catalogue.species.size(), 0.0);
    for (std::size_t s = 0; s < values.size(); ++s) {
        if (catalogue.species[s].formula.charge != 0) {
            values[s] = solution.concentration(s);
        }
    }
    return values;
}

double partition(double charge, double donnanPotential) {
    return std::exp(std::clamp(-charge * donnanPotential, -600.0, 600.0));
}

double donnanPotential(const Catalogue& catalogue, const Concentrations& outside, double fixedCharge) {
    base::RootOptions options;
    options.lowest = -60.0;
    options.highest = 60.0;
    options.tolerance = 1e-12;
    return base::rootOfRising(
        [&](double potential) {
            double excess = -fixedCharge;
            for (std::size_t s = 0; s < outside.size(); ++s) {
                const double z = catalogue.species[s].formula.charge;
                if (outside[s] > 0.0) {
                    excess -= z * outside[s] * partition(z, potential);
                }
            }
            return excess;
        },
        0.0, options);
}

} // namespace anodex::cell
