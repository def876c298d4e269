#include "core/electrode/Transport.h"

#include "core/base/Constants.h"
#include "core/electrode/Nernst.h"
#include "core/electrode/PorousLayer.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace anodex::electrode {
namespace {

using chemistry::Branch;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;
using design::Air;
using design::Electrode;
using design::Side;

constexpr double kDiffusionActivation = 18000.0; // J/mol
constexpr double kAbsentConcentration = 1e-9;    // mol/m³

double layer(const Situation& here, Moment moment, double diffusivity) {
    const double undisturbed = here.cell.stirred ? kStirredLayerMetres : kStillLayerMetres;
    double thickness = std::min(undisturbed, here.cell.gapMetres);
    if (moment == Moment::First) {
        thickness = std::min(thickness, std::sqrt(M_PI * diffusivity * kFirstMomentSeconds));
    }
    return thickness;
}

/// F c D / δ in A/m² per electron and stoichiometric unit.
double flux(const Situation& here, Moment moment, SpeciesIndex species, double concentration) {
    const double d = diffusivity(here.catalogue.species[species], here.temperatureKelvin());
    double obstruction = 1.0;
    if (here.cell.barrier && here.cell.barrier->thicknessMetres > 0.5 * here.cell.gapMetres) {
        obstruction = here.catalogue.separators[here.cell.barrier->separator].macMullin.value;
    }
    double perUnit = d / layer(here, moment, d) / obstruction;
    if (moment == Moment::First) {
        // What fills the pores is used before any has to come from outside.
        const Electrode& electrode = here.electrode();
        perUnit += here.material().porosity * electrode.thicknessMetres / kFirstMomentSeconds;
    }
    return base::kFaraday * concentration * perUnit;
}

/// Hydrogen ions arrive free and carried by weak acids.
double protonFlux(const Situation& here, Moment moment) {
    const auto& solution = here.solution();
    double total = 0.0;
    for (SpeciesIndex s = 0; s < here.catalogue.species.size(); ++s) {
        const double protons =
            s == here.catalogue.key.hydrogenIon ? 1.0 : here.catalogue.species[s].acidicProtons;
        if (protons > 0.0 && solution.molality[s] > 0.0) {
            total += protons * flux(here, moment, s, solution.concentration(s));
        }
    }
    return total * here.parameters.supplyFactor;
}

double oxygenLimit(const Situation& here, Moment moment, double electrons) {
    constexpr double kOpenFace = 4.0; // times as much as through liquid (common practice, no source)
    const Electrode& electrode = here.electrode();
    if (electrode.air == Air::None) {
        return 0.0;
    }
    const auto& solution = here.solution();
    const SpeciesIndex dissolved = here.catalogue.key.dissolvedOxygen;
    const double still = electrons * flux(here, moment, dissolved, solution.concentration(dissolved)) *
                         solution.mixture.stillOxygenFactor * here.parameters.stillOxygenFactor;
    if (electrode.air == Air::Still) {
        return still;
    }
    return std::max(still, breathingLimit(here, kOpenFace * still));
}

/// mol/m³. The rate law divides a branch by its limit, and both fall with the concentration alike; so an
/// absent product takes the same trace here as in the Nernst potential.
double presentOrTrace(const Situation& here, const ActivityTerm& term) {
    const auto& solution = here.solution();
    const double used = activityOrTrace(term, solution);
    return used != solution.activity[term.species]
               ? solution.labileConcentrationAt(here.catalogue, term.species, used)
               : solution.labileConcentration(here.catalogue, term.species);
}

template <typename Term> bool isReactant(const Term& term, Branch branch) {
    return branch == Branch::Cathodic ? term.count < 0.0 : term.count > 0.0;
}

bool holds(const chemistry::Material& material, SpeciesIndex solid) {
    return std::any_of(material.composition.begin(), material.composition.end(),
                       [&](const chemistry::CompositionPart& part) { return part.species == solid; }) ||
           std::any_of(material.surfaces.begin(), material.surfaces.end(),
                       [&](const chemistry::SurfacePart& part) { return part.phase == solid; }) ||
           (material.plating && material.plating->species == solid);
}

/// In the electrode, its powders or a collector that its pores lay bare.
bool holds(const Situation& here, SpeciesIndex solid) {
    const Electrode& electrode = here.electrode();
    const auto& materials = here.catalogue.materials;
    return state::molesOf(here.held(), solid) > 0.0 || holds(materials[electrode.material], solid) ||
           (electrode.collector && holds(materials[*electrode.collector], solid)) ||
           std::any_of(electrode.additives.begin(), electrode.additives.end(),
                       [&](const design::ElectrodeAdditive& additive) {
                           return holds(materials[additive.material], solid);
                       });
}

/// Held from the start, or made from such a solid by a reaction that runs the same way.
bool canHave(const Situation& here, SpeciesIndex solid, Branch branch) {
    const auto makesIt = [&](const chemistry::Reaction& reaction) {
        bool makes = false;
        bool fromHeld = false;
        for (const SpeciesTerm& term : reaction.terms) {
            makes |= term.species == solid && !isReactant(term, branch);
            fromHeld |= isReactant(term, branch) &&
                        here.catalogue.species[term.species].formula.phase == chemistry::Phase::Solid &&
                        holds(here, term.species);
        }
        return makes && fromHeld;
    };
    return holds(here, solid) ||
           std::any_of(here.catalogue.reactions.begin(), here.catalogue.reactions.end(), makesIt);
}

} // namespace

double diffusivity(const chemistry::Species& species, double temperatureKelvin) {
    const double warm = std::exp(-kDiffusionActivation / base::kGasConstant *
                                 (1.0 / temperatureKelvin - 1.0 / base::kStandardTemperature));
    return species.diffusivity * warm;
}

bool needsAcid(const chemistry::Catalogue& catalogue, const chemistry::Reaction& reaction) {
    const auto isProtonOrGas = [&](const SpeciesTerm& term) {
        return term.species == catalogue.key.hydrogenIon || term.species == catalogue.key.hydrogenGas;
    };
    return std::all_of(reaction.terms.begin(), reaction.terms.end(), isProtonOrGas);
}

double supplyLimit(const Situation& here, const ReactionParameters& parameters, Branch branch,
                   Moment moment) {
    const auto& key = here.catalogue.key;
    const chemistry::Reaction& reaction = *parameters.reaction;
    double inverse = 0.0;
    for (const ActivityTerm& term : parameters.terms) {
        if (!isReactant(term, branch) || term.species == key.solvent) {
            continue;
        }
        const double perUnit = reaction.electrons / std::abs(term.count);
        double limit = std::numeric_limits<double>::infinity();
        if (term.species == key.oxygenGas) {
            limit = oxygenLimit(here, moment,
                                reaction.supplyElectrons > 0.0 ? reaction.supplyElectrons : perUnit);
        } else if (term.species == key.hydrogenIon) {
            limit = needsAcid(here.catalogue, reaction) ? perUnit * protonFlux(here, moment) : limit;
        } else if (here.catalogue.species[term.species].isDissolved()) {
            limit = perUnit * flux(here, moment, term.species, presentOrTrace(here, term)) *
                    here.parameters.supplyFactor;
        } else if (here.catalogue.species[term.species].formula.phase == chemistry::Phase::Gas) {
            limit = 0.0; // nothing stores a gas at an electrode unless air brings it
        }
        inverse += limit > 0.0 ? 1.0 / limit : std::numeric_limits<double>::infinity();
    }
    return inverse > 0.0 ? 1.0 / inverse : std::numeric_limits<double>::infinity();
}

std::optional<SpeciesIndex> absentReactant(const Situation& here, const chemistry::Reaction& reaction,
                                           Branch branch) {
    const auto& key = here.catalogue.key;
    for (const SpeciesTerm& term : reaction.terms) {
        if (!isReactant(term, branch) || term.species == key.solvent) {
            continue;
        }
        if (term.species == key.hydrogenIon && !needsAcid(here.catalogue, reaction)) {
            continue;
        }
        if (term.species == key.oxygenGas) {
            if (here.electrode().air == Air::None) {
                return term.species;
            }
            continue;
        }
        if (here.catalogue.species[term.species].formula.phase == chemistry::Phase::Solid &&
            !canHave(here, term.species, branch)) {
            return term.species;
        }
        const bool assumed =
            std::any_of(reaction.traces.begin(), reaction.traces.end(),
                        [&](const chemistry::Trace& trace) { return trace.species == term.species; });
        if (!assumed && here.catalogue.species[term.species].isDissolved() &&
            here.solution().labileConcentration(here.catalogue, term.species) < kAbsentConcentration) {
            return term.species;
        }
    }
    return std::nullopt;
}

} // namespace anodex::electrode
