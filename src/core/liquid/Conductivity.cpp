#include "core/liquid/Conductivity.h"

#include <algorithm>
#include <cmath>
#include <cstdlib>
#include <numeric>

namespace anodex::liquid {

using chemistry::Catalogue;
using chemistry::ConductivityTable;
using chemistry::Species;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;
using chemistry::Substance;

namespace {

double charge(const Catalogue& catalogue, SpeciesIndex species) {
    return std::abs(static_cast<double>(catalogue.species[species].formula.charge));
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
base::Table tableByRoot(const Catalogue& catalogue, const Substance& substance) {
    const ConductivityTable& table = *substance.conductivity;
    double perMole = table.equivalentsPerMole;
    for (const SpeciesTerm& term : substance.dissolvesTo) {
        if (perMole == 0.0 && term.species == table.cation) {
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
    return byRoot;
}

double tabulatedPair(const ConductivityTable& table, const base::Table& byRoot, double equivalents,
                     double temperatureKelvin) {
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
        const bool molecule =
            species.formula.charge == 0 && species.isDissolved() && species.conductsAs.empty();
        if (solution.molality[s] > 0.0 && molecule && s != catalogue.key.solvent) {
            share += solution.concentration(s) * species.molarMassKg / kMolecularDensity;
        }
    }
    return std::pow(1.0 - std::min(share, 0.9), 2.5);
}

} // namespace

Conductivity::Conductivity(const Catalogue& catalogue) : m_catalogue(catalogue) {
    for (const Substance& substance : catalogue.substances) {
        if (substance.conductivity) {
            m_salts.push_back({&substance, {}});
        }
    }
}

const Conductivity::Salt* Conductivity::saltOf(SpeciesIndex cation, SpeciesIndex anion) {
    const auto found = std::find_if(m_salts.begin(), m_salts.end(), [&](const Salt& salt) {
        return salt.table().cation == cation && salt.table().anion == anion;
    });
    if (found == m_salts.end()) {
        return nullptr;
    }
    if (found->byRoot.empty()) {
        found->byRoot = tableByRoot(m_catalogue, *found->substance);
    }
    return &*found;
}

void Conductivity::takeCarriers(const Solution& solution) {
    m_cations.clear();
    m_anions.clear();
    const auto count = [&](SpeciesIndex ion, double concentration) {
        const double equivalents = concentration * charge(m_catalogue, ion);
        std::vector<Carrier>& carriers = m_catalogue.species[ion].formula.charge > 0 ? m_cations : m_anions;
        const auto same = std::find_if(carriers.begin(), carriers.end(),
                                       [&](const Carrier& carrier) { return carrier.species == ion; });
        if (same != carriers.end()) {
            same->equivalents += equivalents;
        } else {
            carriers.push_back({ion, equivalents});
        }
    };
    for (SpeciesIndex s = 0; s < solution.molality.size(); ++s) {
        if (solution.molality[s] <= 0.0) {
            continue;
        }
        const double concentration = solution.concentration(s);
        const Species& species = m_catalogue.species[s];
        if (!species.conductsAs.empty()) {
            for (const SpeciesTerm& part : species.conductsAs) {
                count(part.species, part.count * concentration);
            }
        } else if (species.formula.charge != 0) {
            count(s, concentration);
        }
    }
}

ConductivityResult Conductivity::of(const Solution& solution) {
    takeCarriers(solution);
    const auto sum = [](const std::vector<Carrier>& carriers) {
        return std::accumulate(carriers.begin(), carriers.end(), 0.0,
                               [](double all, const Carrier& one) { return all + one.equivalents; });
    };
    const double cationSum = sum(m_cations);
    const double anionSum = sum(m_anions);
    ConductivityResult result;
    const double total = 0.5 * (cationSum + anionSum);
    if (total <= 0.0) {
        return result;
    }
    const double passage = passageBetweenMolecules(m_catalogue, solution);
    const double temperature = solution.mixture.temperatureKelvin;
    double estimatedPart = 0.0;
    for (const Carrier& cation : m_cations) {
        for (const Carrier& anion : m_anions) {
            constexpr double kNoWeight = 1e-9; // pairs so rare carry nothing
            const double weight = cation.equivalents / cationSum * anion.equivalents / anionSum;
            if (weight < kNoWeight) {
                continue;
            }
            const Salt* salt = saltOf(cation.species, anion.species);
            const double pair =
                salt != nullptr
                    ? tabulatedPair(salt->table(), salt->byRoot, total, temperature)
                    : estimatedPair(m_catalogue, cation.species, anion.species, total, temperature);
            result.siemensPerMetre += passage * weight * pair * total;
            estimatedPart += salt == nullptr ? passage * weight * pair * total : 0.0;
        }
    }
    result.estimated = estimatedPart > 0.1 * result.siemensPerMetre;
    return result;
}

} // namespace anodex::liquid
