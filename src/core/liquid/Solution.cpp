#include "core/liquid/Solution.h"

#include <algorithm>
#include <cmath>

namespace anodex::liquid {

using chemistry::Catalogue;
using chemistry::Hydrate;
using chemistry::lnFormationConstant;
using chemistry::moietiesOf;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;
using chemistry::Substance;

namespace {

/// Fully dissociated amount of each ion, mol/kg: what poured salts bring, whatever they then turn into.
double stoichiometric(const Catalogue& catalogue, const Solution& solution, const SpeciesTerm& ion) {
    double moles = 0.0;
    for (const Portion& portion : solution.dissolved) {
        for (const SpeciesTerm& term : catalogue.substances[portion.substance].dissolvesTo) {
            moles += term.species == ion.species ? term.count * portion.moles : 0.0;
        }
    }
    return moles / solution.composition.solventKg;
}

} // namespace

std::optional<double> lnOverMaster(const Catalogue& catalogue, const Solution& solution, SpeciesIndex species,
                                   SpeciesIndex master) {
    const auto& formation = catalogue.species[species].formation;
    if (!formation) {
        return species == master ? std::optional(0.0) : std::nullopt;
    }
    double lnRatio = lnFormationConstant(*formation, solution.mixture.temperatureKelvin);
    for (const SpeciesTerm& term : formation->terms) {
        if (term.species == master) {
            if (term.count != 1.0) {
                return std::nullopt;
            }
        } else if (solution.activity[term.species] > 0.0) {
            lnRatio += term.count * solution.lnActivity[term.species];
        } else {
            return std::nullopt;
        }
    }
    return lnRatio;
}

double Solution::concentration(SpeciesIndex species) const {
    return volumeM3 > 0.0 ? molality[species] * composition.solventKg / volumeM3 : 0.0;
}

double Solution::labileMoles(const Catalogue& catalogue, SpeciesIndex species) const {
    const std::vector<SpeciesTerm>& parts = moietiesOf(catalogue, species);
    return parts.empty()
               ? molality[species] * composition.solventKg
               : moietyMolality[parts.front().species] * composition.solventKg / parts.front().count;
}

double Solution::labileConcentrationAt(const Catalogue& catalogue, SpeciesIndex species,
                                       double assumedActivity) const {
    const double kgPerM3 = volumeM3 > 0.0 ? composition.solventKg / volumeM3 : 1000.0;
    for (const SpeciesTerm& part : moietiesOf(catalogue, species)) {
        const auto lnRatio = lnOverMaster(catalogue, *this, species, part.species);
        const double supply = supplyPerActivity[part.species];
        if (lnRatio && supply > 0.0) {
            return kgPerM3 * assumedActivity * supply * std::exp(std::max(-*lnRatio, -300.0));
        }
    }
    return kgPerM3 * assumedActivity;
}

double Solution::labileConcentration(const Catalogue& catalogue, SpeciesIndex species) const {
    return volumeM3 > 0.0 ? labileMoles(catalogue, species) / volumeM3 : 0.0;
}

std::optional<std::size_t> substanceOf(const Catalogue& catalogue, SpeciesIndex solid) {
    const auto& elements = catalogue.species[solid].formula.elements;
    for (std::size_t i = 0; i < catalogue.substances.size(); ++i) {
        const Substance& substance = catalogue.substances[i];
        const bool hydrated =
            std::any_of(substance.hydrates.begin(), substance.hydrates.end(),
                        [&](const Hydrate& hydrate) { return hydrate.formula.elements == elements; });
        if (substance.formula.elements == elements || hydrated) {
            return i;
        }
    }
    return std::nullopt;
}

std::optional<double> meanActivityCoefficient(const Catalogue& catalogue, const Solution& solution,
                                              std::size_t substance) {
    const Substance& salt = catalogue.substances[substance];
    if (salt.isWeak || salt.isSolvent) {
        return std::nullopt;
    }
    double lnProduct = 0.0;
    double ions = 0.0;
    for (const SpeciesTerm& ion : salt.dissolvesTo) {
        if (ion.species == catalogue.key.solvent) {
            continue;
        }
        const double molality = stoichiometric(catalogue, solution, ion);
        if (molality <= 0.0 || solution.activity[ion.species] <= 0.0) {
            return std::nullopt;
        }
        lnProduct += ion.count * std::log(solution.activity[ion.species] / molality);
        ions += ion.count;
    }
    return std::exp(lnProduct / ions);
}

} // namespace anodex::liquid
