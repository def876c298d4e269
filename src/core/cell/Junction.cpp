#include "core/cell/Junction.h"

#include "core/base/Constants.h"
#include "core/base/RootFinding.h"

#include <algorithm>
#include <cmath>

namespace anodex::cell {
namespace {

using chemistry::Catalogue;
using Concentrations = std::vector<double>; // mol/m³ by species

constexpr double kConductivityPerKelvin = 0.02; // of most salts in water (from memory)

Concentrations concentrationsOf(const Catalogue& catalogue, const liquid::Solution& solution) {
    Concentrations values(catalogue.species.size(), 0.0);
    for (std::size_t s = 0; s < values.size(); ++s) {
        if (catalogue.species[s].formula.charge != 0) {
            values[s] = solution.concentration(s);
        }
    }
    return values;
}

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

/// Potential inside a charged membrane over that of the liquid beside it, in RT/F, where the ions outweigh
/// its fixed charge: Σ z c e^(-z φ) + X = 0, falling in φ.
double donnan(const Catalogue& catalogue, const Concentrations& outside, double fixedCharge) {
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
                    excess -= z * outside[s] * std::exp(std::clamp(-z * potential, -600.0, 600.0));
                }
            }
            return excess;
        },
        0.0, options);
}

/// Teorell, Meyer and Sievers: a Donnan step on either face and diffusion between them.
double acrossMembrane(const Catalogue& catalogue, const Concentrations& left, const Concentrations& right,
                      double fixedCharge) {
    const auto inside = [&](const Concentrations& outside, double potential) {
        Concentrations values = outside;
        for (std::size_t s = 0; s < values.size(); ++s) {
            const double z = catalogue.species[s].formula.charge;
            values[s] *= std::exp(std::clamp(-z * potential, -600.0, 600.0));
        }
        return values;
    };
    const double atLeft = donnan(catalogue, left, fixedCharge);
    const double atRight = donnan(catalogue, right, fixedCharge);
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
        return slowed(catalogue, concentrationsOf(catalogue, solution), solution.freeConductivity / warmth);
    };
    const Concentrations left = carriers(contents.solutions[0]);
    const Concentrations right = carriers(contents.solutions[1]);
    if (!cell.barrier) {
        return thermal * henderson(catalogue, left, right);
    }
    const chemistry::SeparatorMaterial& separator = catalogue.separators[cell.barrier->separator];
    if (separator.fixedCharge != 0.0) {
        return thermal * acrossMembrane(catalogue, concentrationsOf(catalogue, contents.solutions[0]),
                                        concentrationsOf(catalogue, contents.solutions[1]),
                                        separator.fixedCharge);
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
