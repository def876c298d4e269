#include "core/liquid/Conductivity.h"

#include <algorithm>
#include <cmath>
#include <cstdlib>

namespace anodex::liquid {

using chemistry::Catalogue;
using chemistry::ConductivityTable;
using chemistry::molarMassKg;
using chemistry::Species;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;
using chemistry::Substance;

namespace {

struct Carrier {
    SpeciesIndex species = 0;
    double equivalents = 0.0; // per m³
};

double charge(const Catalogue& catalogue, SpeciesIndex species) {
    return std::abs(static_cast<double>(catalogue.species[species].formula.charge));
}

void add(std::vector<Carrier>& carriers, SpeciesIndex species, double equivalents) {
    for (Carrier& carrier : carriers) {
        if (carrier.species == species) {
            carrier.equivalents += equivalents;
            return;
        }
    }
    carriers.push_back({species, equivalents});
}

double limitingEquivalent(const Catalogue& catalogue, SpeciesIndex species) {
    return catalogue.species[species].limitingConductivity / std::max(charge(catalogue, species), 1.0);
}

double estimatedPair(const Catalogue& catalogue, SpeciesIndex cation, SpeciesIndex anion, double equivalents,
                     double temperatureKelvin) {
    const double limiting = limitingEquivalent(catalogue, cation) + limitingEquivalent(catalogue, anion);
    const double fall = 0.47 * std::pow(charge(catalogue, cation) * charge(catalogue, anion), 1.3);
    const double warm = 1.0 + 0.02 * (temperatureKelvin - 298.15);
    return limiting * warm / (1.0 + fall * std::sqrt(equivalents / 1000.0));
}

/// Equivalent conductivity against the root of equivalents per m³, from a table by mass fraction.
double tabulatedPair(const Catalogue& catalogue, const Substance& substance, double equivalents,
                     double temperatureKelvin) {
    const ConductivityTable& table = *substance.conductivity;
    double perMole = 0.0;
    for (const SpeciesTerm& term : substance.dissolvesTo) {
        if (term.species == table.cation) {
            perMole = term.count * charge(catalogue, table.cation);
        }
    }
    base::Table byRoot;
    const double limiting =
        limitingEquivalent(catalogue, table.cation) + limitingEquivalent(catalogue, table.anion);
    byRoot.push_back({0.0, limiting * (1.0 + table.perKelvin * (table.temperatureKelvin - 298.15))});
    for (const base::TablePoint& point : table.siemensPerMetreByMassFraction) {
        const double density = base::interpolated(substance.densityByMassFraction, point.x);
        const double n = point.x * density / substance.molarMassKg * perMole;
        byRoot.push_back({std::sqrt(n), point.y / n});
    }
    const double warm = 1.0 + table.perKelvin * (temperatureKelvin - table.temperatureKelvin);
    const double root = std::sqrt(equivalents);
    double value = base::interpolated(byRoot, root);
    if (root < byRoot[1].x) {
        // Below the table it bends up to the limit as Kohlrausch's law does.
        value = byRoot[0].y / (1.0 + (byRoot[0].y / byRoot[1].y - 1.0) * root / byRoot[1].x);
    }
    if (root > byRoot.back().x) {
        // Beyond the table the conductivity itself, not the equivalent one, is held.
        value = byRoot.back().y * (byRoot.back().x * byRoot.back().x) / equivalents;
    }
    return value * warm;
}

/// Uncharged molecules leave the ions less room and make the liquid stiffer: (1 - volume share)^2.5
/// (Bruggeman 1935 for the room, Walden's rule with Einstein's viscosity for the rest).
double passageBetweenMolecules(const Catalogue& catalogue, const Solution& solution) {
    constexpr double kMolecularDensity = 1500.0; // kg/m³, common for small organic molecules
    double share = 0.0;
    for (SpeciesIndex s = 0; s < solution.molality.size(); ++s) {
        const Species& species = catalogue.species[s];
        if (solution.molality[s] > 0.0 && species.formula.charge == 0 && species.isDissolved() &&
            s != catalogue.key.solvent) {
            share += solution.concentration(s) * molarMassKg(species.formula, catalogue.elementGramsPerMole) /
                     kMolecularDensity;
        }
    }
    return std::pow(1.0 - std::min(share, 0.9), 2.5);
}

const Substance* tableFor(const Catalogue& catalogue, SpeciesIndex cation, SpeciesIndex anion) {
    for (const Substance& substance : catalogue.substances) {
        if (substance.conductivity && substance.conductivity->cation == cation &&
            substance.conductivity->anion == anion) {
            return &substance;
        }
    }
    return nullptr;
}

} // namespace

ConductivityResult mixtureConductivity(const Catalogue& catalogue, const Solution& solution) {
    std::vector<Carrier> cations;
    std::vector<Carrier> anions;
    double cationSum = 0.0;
    double anionSum = 0.0;
    const auto count = [&](SpeciesIndex ion, double concentration) {
        const double equivalents = concentration * charge(catalogue, ion);
        const bool positive = catalogue.species[ion].formula.charge > 0;
        add(positive ? cations : anions, ion, equivalents);
        (positive ? cationSum : anionSum) += equivalents;
    };
    for (SpeciesIndex s = 0; s < solution.molality.size(); ++s) {
        const double concentration = solution.concentration(s);
        if (concentration <= 0.0) {
            continue;
        }
        const Species& species = catalogue.species[s];
        if (!species.conductsAs.empty()) {
            for (const SpeciesTerm& part : species.conductsAs) {
                count(part.species, part.count * concentration);
            }
        } else if (species.formula.charge != 0) {
            count(s, concentration);
        }
    }
    ConductivityResult result;
    const double passage = passageBetweenMolecules(catalogue, solution);
    const double total = 0.5 * (cationSum + anionSum);
    if (total <= 0.0) {
        return result;
    }
    double estimatedPart = 0.0;
    for (const Carrier& cation : cations) {
        for (const Carrier& anion : anions) {
            const double weight = cation.equivalents / cationSum * anion.equivalents / anionSum;
            if (weight < 1e-9) {
                continue;
            }
            const Substance* table = tableFor(catalogue, cation.species, anion.species);
            const double temperature = solution.mixture.temperatureKelvin;
            const double pair = table != nullptr ? tabulatedPair(catalogue, *table, total, temperature)
                                                 : estimatedPair(catalogue, cation.species, anion.species,
                                                                 total, temperature);
            result.siemensPerMetre += passage * weight * pair * total;
            if (table == nullptr) {
                estimatedPart += passage * weight * pair * total;
            }
        }
    }
    result.estimated = estimatedPart > 0.1 * result.siemensPerMetre;
    return result;
}

} // namespace anodex::liquid
