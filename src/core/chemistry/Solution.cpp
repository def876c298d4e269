#include "core/chemistry/Solution.h"

#include "core/base/Constants.h"
#include "core/chemistry/Conductivity.h"
#include "core/chemistry/Pitzer.h"
#include "core/chemistry/Speciation.h"

#include <algorithm>
#include <cmath>

namespace anodex::chemistry {
namespace {

/// What dissolves of each portion; the rest is reported.
std::vector<Portion> dissolvedPortions(const Catalogue& catalogue, const Mixture& mixture,
                                       std::vector<Undissolved>& undissolved) {
    std::vector<Portion> dissolved = mixture.portions;
    for (Portion& portion : dissolved) {
        const Substance& substance = catalogue.substances[portion.substance];
        if (!substance.solubilityKgPerKg) {
            continue;
        }
        const double most = *substance.solubilityKgPerKg * mixture.solventKg / substance.molarMassKg;
        if (portion.moles > most) {
            undissolved.push_back({portion.substance, (portion.moles - most) * substance.molarMassKg});
            portion.moles = most;
        }
    }
    return dissolved;
}

Totals totalsOf(const Catalogue& catalogue, const std::vector<Portion>& portions, double solventKg) {
    Totals totals;
    const auto add = [&](SpeciesIndex master, double molality) {
        for (SpeciesTerm& total : totals.masters) {
            if (total.species == master) {
                total.count += molality;
                return;
            }
        }
        totals.masters.push_back({master, molality});
    };
    for (const Portion& portion : portions) {
        for (const SpeciesTerm& ion : catalogue.substances[portion.substance].dissolvesTo) {
            for (const SpeciesTerm& part : moietiesOf(catalogue, ion.species)) {
                if (portion.moles > 0.0) {
                    add(part.species, part.count * ion.count * portion.moles / solventKg);
                }
            }
        }
    }
    return totals;
}

void solveEquilibrium(const Catalogue& catalogue, const Totals& totals, Solution& solution) {
    SpeciationInput input;
    input.totals = totals;
    input.temperatureKelvin = solution.mixture.temperatureKelvin;
    input.lnGamma.assign(catalogue.species.size(), 0.0);
    if (solution.mixture.measuredPh) {
        input.fixedLnHydrogenActivity = -base::kLn10 * *solution.mixture.measuredPh;
    }
    SpeciationResult speciation = speciate(catalogue, input);
    ActivityResult activities;
    double damping = 1.0;
    double lastChange = 1e300;
    for (int round = 0; round < 120; ++round) {
        std::vector<Amount> amounts;
        for (SpeciesIndex s = 0; s < speciation.molality.size(); ++s) {
            if (speciation.molality[s] > 0.0) {
                amounts.push_back({s, speciation.molality[s]});
            }
        }
        activities = pitzerActivities(catalogue, amounts, input.temperatureKelvin);
        double change = std::abs(activities.lnSolventActivity - input.lnSolventActivity);
        for (std::size_t i = 0; i < amounts.size(); ++i) {
            double& current = input.lnGamma[amounts[i].species];
            const double bounded = std::clamp(activities.lnGamma[i], -40.0, 40.0);
            change = std::max(change, std::abs(bounded - current));
            current += damping * (bounded - current);
        }
        input.lnSolventActivity += damping * (activities.lnSolventActivity - input.lnSolventActivity);
        speciation = speciate(catalogue, input, &speciation);
        if (change < 1e-9) {
            break;
        }
        if (change > 0.7 * lastChange) {
            damping = std::max(0.7 * damping, 0.1);
        }
        lastChange = change;
    }
    solution.molality = speciation.molality;
    for (SpeciesIndex s = 0; s < speciation.molality.size(); ++s) {
        if (speciation.molality[s] > 0.0) {
            solution.activity[s] = std::exp(speciation.lnActivity[s]);
        }
    }
    solution.pH = -speciation.lnHydrogenActivity / base::kLn10;
    solution.ionicStrength = activities.ionicStrength;
    solution.solventActivity = std::exp(input.lnSolventActivity);
    solution.notes.typicalInteractions = activities.usedTypicalPair;
    solution.notes.beyondActivityRange = activities.beyondRange;
}

void dissolveOxygen(const Catalogue& catalogue, Solution& solution) {
    const KeySpecies& key = catalogue.key;
    const Species& oxygen = catalogue.species[key.dissolvedOxygen];
    const double pressure = solution.mixture.oxygenPressureBar;
    solution.activity[key.oxygenGas] = pressure;
    if (!oxygen.formation || pressure <= 0.0) {
        return;
    }
    const double lnK = base::kLn10 * oxygen.formation->log10K -
                       oxygen.formation->enthalpyJoulesPerMole / base::kGasConstant *
                           (1.0 / solution.mixture.temperatureKelvin - 1.0 / base::kStandardTemperature);
    solution.activity[key.dissolvedOxygen] = std::exp(lnK) * pressure;
    solution.molality[key.dissolvedOxygen] =
        solution.activity[key.dissolvedOxygen] / std::pow(10.0, oxygen.setchenow * solution.ionicStrength);
}

} // namespace

double Solution::concentration(SpeciesIndex species) const {
    return volumeM3 > 0.0 ? molality[species] * mixture.solventKg / volumeM3 : 0.0;
}

double Solution::moiety(const Catalogue& catalogue, SpeciesIndex master) const {
    double moles = 0.0;
    for (SpeciesIndex s = 0; s < molality.size(); ++s) {
        if (molality[s] <= 0.0) {
            continue;
        }
        for (const SpeciesTerm& part : moietiesOf(catalogue, s)) {
            if (part.species == master) {
                moles += part.count * molality[s] * mixture.solventKg;
            }
        }
    }
    return moles;
}

Solution solveSolution(const Catalogue& catalogue, const Mixture& mixture) {
    Solution solution;
    solution.mixture = mixture;
    solution.molality.assign(catalogue.species.size(), 0.0);
    solution.activity.assign(catalogue.species.size(), 0.0);
    for (SpeciesIndex s = 0; s < catalogue.species.size(); ++s) {
        if (!catalogue.species[s].isDissolved()) {
            solution.activity[s] = catalogue.species[s].defaultActivity;
        }
    }
    const std::vector<Portion> portions = dissolvedPortions(catalogue, mixture, solution.undissolved);
    solveEquilibrium(catalogue, totalsOf(catalogue, portions, mixture.solventKg), solution);
    solution.activity[catalogue.key.solvent] = solution.solventActivity;
    dissolveOxygen(catalogue, solution);

    Mixture liquidOnly = mixture;
    liquidOnly.portions = portions;
    solution.densityKgPerM3 =
        mixture.measuredDensity ? *mixture.measuredDensity : mixtureDensity(catalogue, liquidOnly);
    double kilograms = mixture.solventKg;
    for (const Portion& portion : portions) {
        kilograms += portion.moles * catalogue.substances[portion.substance].molarMassKg;
    }
    solution.volumeM3 = kilograms / solution.densityKgPerM3;
    const ConductivityResult conductivity = mixtureConductivity(catalogue, solution);
    solution.conductivity = mixture.measuredConductivity
                                ? *mixture.measuredConductivity
                                : conductivity.siemensPerMetre * mixture.conductivityFactor;
    solution.notes.estimatedConductivity = conductivity.estimated && !mixture.measuredConductivity;
    return solution;
}

} // namespace anodex::chemistry
