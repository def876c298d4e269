#include "core/liquid/Traces.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace anodex::liquid {

using chemistry::Catalogue;
using chemistry::Formation;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;

namespace {

constexpr double kLargestLnGamma = 40.0;   // beyond it no coefficient has a meaning
constexpr double kLargestLnSupply = 300.0; // e to it still leaves room for products
constexpr double kLargestLnSaturation = 600.0;

/// ln of a species' activity over that of its one absent master, as lnOverMaster() but for what is known to be
/// there.
double lnRatio(const Formation* formation, SpeciesIndex master, const Solution& solution) {
    if (formation == nullptr) {
        return 0.0;
    }
    double ln = chemistry::lnFormationConstant(*formation, solution.mixture.temperatureKelvin);
    for (const SpeciesTerm& term : formation->terms) {
        ln += term.species == master ? 0.0 : term.count * solution.lnActivity[term.species];
    }
    return ln;
}

} // namespace

Traces::Traces(const Catalogue& catalogue) : m_catalogue(catalogue) {
    for (SpeciesIndex s = 0; s < catalogue.species.size(); ++s) {
        if (catalogue.species[s].precipitates && catalogue.species[s].formation) {
            m_solids.push_back(s);
        }
    }
}

void Traces::setUp(const std::vector<SpeciesIndex>& species) {
    std::vector<char> there(m_catalogue.species.size(), 0);
    std::vector<char> masterThere(m_catalogue.species.size(), 0);
    for (const SpeciesIndex s : species) {
        there[s] = 1;
        for (const SpeciesTerm& part : chemistry::moietiesOf(m_catalogue, s)) {
            masterThere[part.species] = 1;
        }
    }
    for (SpeciesIndex s = 0; s < there.size(); ++s) {
        if (!m_catalogue.species[s].isDissolved()) {
            there[s] = 1; // solids, gases and the solvent have an activity of their own
        }
    }
    std::vector<SpeciesIndex> all = species;
    m_forms.clear();
    for (SpeciesIndex s = 0; s < m_catalogue.species.size(); ++s) {
        if (!m_catalogue.species[s].isDissolved() || there[s] != 0) {
            continue;
        }
        const auto& formation = m_catalogue.species[s].formation;
        for (const SpeciesTerm& part : chemistry::moietiesOf(m_catalogue, s)) {
            const bool single = !formation ? part.species == s
                                           : std::all_of(formation->terms.begin(), formation->terms.end(),
                                                         [&](const SpeciesTerm& term) {
                                                             return term.species == part.species
                                                                        ? term.count == 1.0
                                                                        : there[term.species] != 0;
                                                         });
            if (masterThere[part.species] == 0 && single) {
                m_forms.push_back({s, part.species, all.size()});
                all.push_back(s);
                break;
            }
        }
    }
    m_present = species.size();
    m_molality.assign(m_present, 0.0);
    m_interactions = std::make_unique<IonInteractions>(m_catalogue, std::move(all), m_present);
}

void Traces::find(Solution& solution) {
    findSupply(solution);
    findSaturation(solution);
}

/// Hydroxide that a solid takes as it forms; carbonate comes as bicarbonate.
double Traces::hydroxideTaken(const Formation& formation) const {
    double taken = 0.0;
    for (const SpeciesTerm& term : formation.terms) {
        if (term.species == m_catalogue.key.hydrogenIon) {
            taken -= term.count;
        } else if (m_catalogue.species[term.species].carriedHydroxide > 0.0) {
            taken += term.count;
        }
    }
    return taken;
}

/// How far complexes carry a metal that is not there yet but may be made at an electrode.
void Traces::findSupply(Solution& solution) {
    for (std::size_t i = 0; i < m_present; ++i) {
        m_molality[i] = solution.molality[m_interactions->species()[i]];
    }
    const ActivityResult& activities = m_interactions->at(m_molality, solution.mixture.temperatureKelvin);
    solution.supplyPerActivity.assign(m_catalogue.species.size(), 0.0);
    for (const Form& form : m_forms) {
        if (solution.molality[form.species] > 0.0) {
            continue;
        }
        const auto& formation = m_catalogue.species[form.species].formation;
        const double lnGamma =
            std::clamp(activities.lnGamma[form.position], -kLargestLnGamma, kLargestLnGamma);
        const double ln = lnRatio(formation ? &*formation : nullptr, form.master, solution) - lnGamma;
        solution.supplyPerActivity[form.master] += std::exp(std::min(ln, kLargestLnSupply));
    }
}

void Traces::findSaturation(Solution& solution) const {
    solution.saturation.assign(m_catalogue.species.size(), std::numeric_limits<double>::infinity());
    solution.saturationHydroxide.assign(m_catalogue.species.size(), 0.0);
    for (const SpeciesIndex solid : m_solids) {
        const Formation& formation = *m_catalogue.species[solid].formation;
        const double lnConstant =
            chemistry::lnFormationConstant(formation, solution.mixture.temperatureKelvin);
        for (const SpeciesTerm& wanted : formation.terms) {
            const bool others =
                std::all_of(formation.terms.begin(), formation.terms.end(), [&](const SpeciesTerm& term) {
                    return term.species == wanted.species || solution.activity[term.species] > 0.0;
                });
            if (!others || wanted.count <= 0.0) {
                continue;
            }
            double ln = -lnConstant;
            for (const SpeciesTerm& term : formation.terms) {
                ln -= term.species == wanted.species ? 0.0 : term.count * solution.lnActivity[term.species];
            }
            const double saturation = std::exp(std::min(ln / wanted.count, kLargestLnSaturation));
            if (saturation < solution.saturation[wanted.species]) {
                solution.saturation[wanted.species] = saturation;
                solution.saturationHydroxide[wanted.species] = hydroxideTaken(formation) / wanted.count;
            }
        }
    }
}

} // namespace anodex::liquid
