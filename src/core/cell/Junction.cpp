#include "core/cell/Junction.h"

#include "core/base/Constants.h"
#include "core/cell/Membrane.h"

#include <algorithm>
#include <cmath>

namespace anodex::cell {
namespace {

using chemistry::Catalogue;
constexpr double kConductivityPerKelvin = 0.02; // of most salts in water (from memory)

/// Slows the ions to what the liquid conducts: those that walk in pairs carry nothing.
Concentrations slowed(const Catalogue& catalogue, Concentrations ions, double siemensPerMetreAt25) {
    double unhindered = 0.0;
    for (std::size_t s = 0; s < ions.size(); ++s) {
        unhindered += ions[s] * catalogue.species[s].limitingConductivity;
    }
    const double share = unhindered > 0.0 ? std::min(1.0, siemensPerMetreAt25 / unhindered) : 1.0;
    for (double& ion : ions) {
        ion *= share;
    }
    return ions;
}

/// Potential of `right` minus that of `left`, in RT/F.
double henderson(const Catalogue& catalogue, const Concentrations& left, const Concentrations& right) {
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
    if (std::abs(difference) < 1e-9 * (sumLeft + sumRight)) {
        return -numerator / sumLeft;
    }
    return -numerator / difference * std::log(sumRight / sumLeft);
}

/// Teorell, Meyer and Sievers: a Donnan step on either face and diffusion between them.
double acrossMembrane(const Catalogue& catalogue, const Concentrations& left, const Concentrations& right,
                      double fixedCharge) {
    const auto inside = [&](const Concentrations& outside, double potential) {
        Concentrations values = outside;
        for (std::size_t s = 0; s < values.size(); ++s) {
            const double z = catalogue.species[s].formula.charge;
            values[s] *= partition(z, potential);
        }
        return values;
    };
    const double atLeft = donnanPotential(catalogue, left, fixedCharge);
    const double atRight = donnanPotential(catalogue, right, fixedCharge);
    return atLeft + henderson(catalogue, inside(left, atLeft), inside(right, atRight)) - atRight;
}

} // namespace

double junctionVolts(const CompiledCell& compiled, const state::Contents& contents) {
    const Catalogue& catalogue = compiled.catalogue;
    const design::Cell& cell = compiled.cell;
    if (!cell.twoLiquids) {
        return 0.0;
    }
    const double temperature = contents.state.temperatureKelvin;
    const double thermal = base::kGasConstant * temperature / base::kFaraday;
    const double warmth = 1.0 + kConductivityPerKelvin * (temperature - base::kStandardTemperature);
    const auto carriers = [&](const liquid::Solution& solution) {
        return slowed(catalogue, ionsOf(catalogue, solution), solution.freeConductivity / warmth);
    };
    const Concentrations left = carriers(contents.solutions[0]);
    const Concentrations right = carriers(contents.solutions[1]);
    if (!cell.barrier) {
        return thermal * henderson(catalogue, left, right);
    }
    const chemistry::SeparatorMaterial& separator = catalogue.separators[cell.barrier->separator];
    if (separator.fixedCharge != 0.0) {
        return thermal * acrossMembrane(catalogue, ionsOf(catalogue, contents.solutions[0]),
                                        ionsOf(catalogue, contents.solutions[1]), separator.fixedCharge);
    }
    if (separator.bridge) {
        Concentrations middle(catalogue.species.size(), 0.0);
        for (const chemistry::SpeciesTerm& ion : separator.bridge->ions) {
            middle[ion.species] = ion.count;
        }
        middle = slowed(catalogue, std::move(middle), separator.bridge->conductivity);
        return thermal * (henderson(catalogue, left, middle) + henderson(catalogue, middle, right));
    }
    return thermal * henderson(catalogue, left, right);
}

} // namespace anodex::cell
