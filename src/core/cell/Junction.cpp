#include "core/cell/Junction.h"

#include "core/base/Constants.h"

#include <cmath>

namespace anodex::cell {
namespace {

using chemistry::Catalogue;
using Concentrations = std::vector<double>; // mol/m³ by species

Concentrations concentrationsOf(const Catalogue& catalogue, const chemistry::Solution& solution) {
    Concentrations values(catalogue.species.size(), 0.0);
    for (std::size_t s = 0; s < values.size(); ++s) {
        if (catalogue.species[s].formula.charge != 0) {
            values[s] = solution.concentration(s);
        }
    }
    return values;
}

/// Potential of `right` minus that of `left`.
double henderson(const Catalogue& catalogue, const Concentrations& left, const Concentrations& right,
                 double temperatureKelvin) {
    double numerator = 0.0;
    double difference = 0.0;
    double sumLeft = 0.0;
    double sumRight = 0.0;
    for (std::size_t s = 0; s < left.size(); ++s) {
        const double z = catalogue.species[s].formula.charge;
        if (z == 0.0) {
            continue;
        }
        // Molar conductivity over z² is proportional to mobility.
        const double mobility = catalogue.species[s].limitingConductivity / (z * z);
        const double change = right[s] - left[s];
        numerator += z * mobility * change;
        difference += z * z * mobility * change;
        sumLeft += z * z * mobility * left[s];
        sumRight += z * z * mobility * right[s];
    }
    if (sumLeft <= 0.0 || sumRight <= 0.0) {
        return 0.0;
    }
    const double thermal = base::kGasConstant * temperatureKelvin / base::kFaraday;
    if (std::abs(difference) < 1e-9 * (sumLeft + sumRight)) {
        return -thermal * numerator / sumLeft;
    }
    return -thermal * numerator / difference * std::log(sumRight / sumLeft);
}

} // namespace

double junctionVolts(const Catalogue& catalogue, const Cell& cell) {
    if (!cell.twoLiquids) {
        return 0.0;
    }
    const Concentrations left = concentrationsOf(catalogue, cell.solutions[0]);
    const Concentrations right = concentrationsOf(catalogue, cell.solutions[1]);
    if (cell.barrier && catalogue.separators[cell.barrier->separator].bridge) {
        Concentrations middle(catalogue.species.size(), 0.0);
        for (const chemistry::SpeciesTerm& ion : catalogue.separators[cell.barrier->separator].bridge->ions) {
            middle[ion.species] = ion.count;
        }
        return henderson(catalogue, left, middle, cell.temperatureKelvin) +
               henderson(catalogue, middle, right, cell.temperatureKelvin);
    }
    return henderson(catalogue, left, right, cell.temperatureKelvin);
}

} // namespace anodex::cell
