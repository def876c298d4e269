#include "core/liquid/SolveSolution.h"

#include "core/base/Constants.h"
#include "core/base/Fault.h"
#include "core/liquid/Conductivity.h"
#include "core/liquid/Density.h"
#include "core/liquid/Pitzer.h"
#include "core/liquid/Speciation.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace anodex::liquid {

using chemistry::Catalogue;
using chemistry::KeySpecies;
using chemistry::lnFormationConstant;
using chemistry::moietiesOf;
using chemistry::molarMassKg;
using chemistry::Species;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;
using chemistry::Substance;

namespace {

constexpr double kTrace = 1e-12;         // mol/kg
constexpr double kMostPerWater = 60.0;   // mol/kg, beyond which none of the laws here speaks
constexpr double kSaltedOutAtMost = 1.5; // decades; caustic has been measured about as far
constexpr double kDensest = 0.95;    // of the solvent's own volume, however much is dissolved (from memory)
constexpr double kGoodEnough = 1e-5; // of the coefficients' last change, in ln

/// What dissolves of each portion; the rest is reported.
std::vector<Portion> dissolvedPortions(const Catalogue& catalogue, const Mixture& mixture,
                                       std::vector<Undissolved>& undissolved) {
    std::vector<Portion> dissolved = mixture.portions;
    double whole = mixture.solventKg;
    for (const Portion& portion : dissolved) {
        whole += portion.moles * catalogue.substances[portion.substance].molarMassKg;
    }
    for (Portion& portion : dissolved) {
        const Substance& substance = catalogue.substances[portion.substance];
        if (!substance.solubilityKgPerKg) {
            continue;
        }
        double most = *substance.solubilityKgPerKg * mixture.solventKg / substance.molarMassKg;
        if (!mixture.hasPhScale) {
            // With hardly any water, what else is there dissolves as well as water does.
            const double others = whole - portion.moles * substance.molarMassKg;
            most = std::min(*substance.solubilityKgPerKg * others / substance.molarMassKg,
                            kMostPerWater * mixture.solventKg);
        }
        if (portion.moles > most) {
            undissolved.push_back({portion.substance, (portion.moles - most) * substance.molarMassKg});
            portion.moles = most;
        }
    }
    return dissolved;
}

Totals totalsOf(const Composition& composition) {
    Totals totals;
    for (const SpeciesTerm& master : composition.masters) {
        if (master.count > 0.0) {
            totals.masters.push_back({master.species, master.count / composition.solventKg});
        }
    }
    return totals;
}

std::vector<MolalAmount> presentAmounts(const std::vector<double>& molality) {
    std::vector<MolalAmount> amounts;
    for (SpeciesIndex s = 0; s < molality.size(); ++s) {
        if (molality[s] > 0.0) {
            amounts.push_back({s, molality[s]});
        }
    }
    return amounts;
}

void takeResult(const Catalogue& catalogue, const SpeciationResult& speciation, Solution& solution) {
    solution.molality = speciation.molality;
    for (SpeciesIndex s = 0; s < speciation.molality.size(); ++s) {
        if (speciation.molality[s] > 0.0) {
            solution.activity[s] = std::exp(speciation.lnActivity[s]);
        }
    }
    for (const SpeciesTerm& solid : speciation.precipitate) {
        const double molar =
            molarMassKg(catalogue.species[solid.species].formula, catalogue.elementGramsPerMole);
        solution.precipitates.push_back({solid.species, solid.count * solution.composition.solventKg,
                                         solid.count * solution.composition.solventKg * molar});
    }
    solution.pH = -speciation.lnHydrogenActivity / base::kLn10;
}

/// mol/kg: hydrogen ions and the masters that are there at all.
double chargeOf(const Catalogue& catalogue, const Composition& composition, const Totals& totals) {
    double charge = composition.hydrogenMoles / composition.solventKg;
    for (const SpeciesTerm& master : totals.masters) {
        charge += catalogue.species[master.species].formula.charge * master.count;
    }
    return charge;
}

/// By the charge of what is there, or by `pH` where one is given.
void solveEquilibrium(const Catalogue& catalogue, std::optional<double> pH, Solution& solution) {
    SpeciationSetting setting{totalsOf(solution.composition), solution.mixture.temperatureKelvin, 0.0,
                              std::nullopt};
    if (pH) {
        setting.fixedLnHydrogenActivity = -base::kLn10 * *pH;
    } else {
        setting.charge = chargeOf(catalogue, solution.composition, setting.totals);
    }
    Speciation speciation(catalogue, setting);
    std::vector<double> lnGamma(catalogue.species.size(), 0.0);
    double lnSolvent = 0.0;
    SpeciationResult result = speciation.solve(lnGamma, lnSolvent);
    ActivityResult activities;
    double damping = 1.0;
    std::vector<double> lastStride(catalogue.species.size(), 0.0);
    double change = 1e300;
    constexpr double kSettled = 1e-9; // change of ln γ between two rounds
    for (int round = 0; round < 600 && change > kSettled; ++round) {
        const std::vector<MolalAmount> amounts = presentAmounts(result.molality);
        activities = pitzerActivities(catalogue, amounts, setting.temperatureKelvin);
        change = std::abs(activities.lnSolventActivity - lnSolvent);
        double along = 0.0;
        for (std::size_t i = 0; i < amounts.size(); ++i) {
            double& current = lnGamma[amounts[i].species];
            const double stride = std::clamp(activities.lnGamma[i], -40.0, 40.0) - current;
            // What is hardly there may wait for its coefficient; it moves nothing else.
            if (amounts[i].molality > kTrace) {
                change = std::max(change, std::abs(stride));
                along += stride * lastStride[amounts[i].species];
            }
            lastStride[amounts[i].species] = stride;
            current += damping * stride;
        }
        lnSolvent += damping * (activities.lnSolventActivity - lnSolvent);
        result = speciation.solve(lnGamma, lnSolvent);
        // Going back and forth calls for shorter strides, going on the same way for longer ones.
        damping = along < 0.0 ? std::max(0.6 * damping, 0.02) : std::min(1.2 * damping, 1.0);
    }
    takeResult(catalogue, result, solution);
    if (!result.converged || !(change < kGoodEnough)) {
        throw base::Fault(base::Fault::Kind::DidNotEnd, "composition of a liquid", change);
    }
    solution.ionicStrength = activities.ionicStrength;
    solution.solventActivity = std::exp(lnSolvent);
    solution.notes.typicalInteractions = activities.usedTypicalPair;
    solution.notes.beyondActivityRange = activities.beyondRange;
}

void sumMoieties(const Catalogue& catalogue, Solution& solution) {
    solution.moietyMolality.assign(catalogue.species.size(), 0.0);
    for (SpeciesIndex s = 0; s < solution.molality.size(); ++s) {
        if (solution.molality[s] > 0.0 && catalogue.species[s].isDissolved()) {
            for (const SpeciesTerm& part : moietiesOf(catalogue, s)) {
                solution.moietyMolality[part.species] += part.count * solution.molality[s];
            }
        }
    }
}

/// How far complexes carry a metal that is not there yet but may be made at an electrode.
void findSupply(const Catalogue& catalogue, Solution& solution) {
    constexpr double kProbe = 1e-30; // mol/kg, so little that it moves nothing
    struct Form {
        SpeciesIndex master;
        double lnRatio;
        std::size_t position;
    };
    std::vector<MolalAmount> amounts = presentAmounts(solution.molality);
    std::vector<Form> forms;
    for (SpeciesIndex s = 0; s < catalogue.species.size(); ++s) {
        const bool absent = catalogue.species[s].isDissolved() && solution.molality[s] <= 0.0;
        if (!absent) {
            continue;
        }
        for (const SpeciesTerm& part : moietiesOf(catalogue, s)) {
            if (solution.moietyMolality[part.species] > 0.0) {
                continue;
            }
            if (const auto lnRatio = lnOverMaster(catalogue, solution, s, part.species)) {
                forms.push_back({part.species, *lnRatio, amounts.size()});
                amounts.push_back({s, kProbe});
                break;
            }
        }
    }
    const ActivityResult activities =
        pitzerActivities(catalogue, amounts, solution.mixture.temperatureKelvin);
    solution.supplyPerActivity.assign(catalogue.species.size(), 0.0);
    for (const Form& form : forms) {
        const double lnGamma = std::clamp(activities.lnGamma[form.position], -40.0, 40.0);
        solution.supplyPerActivity[form.master] += std::exp(std::min(form.lnRatio - lnGamma, 300.0));
    }
}

void findSaturation(const Catalogue& catalogue, Solution& solution) {
    solution.saturation.assign(catalogue.species.size(), std::numeric_limits<double>::infinity());
    for (const Species& solid : catalogue.species) {
        if (!solid.precipitates || !solid.formation) {
            continue;
        }
        for (const SpeciesTerm& wanted : solid.formation->terms) {
            double lnActivity = -lnFormationConstant(*solid.formation, solution.mixture.temperatureKelvin);
            const bool others = std::all_of(
                solid.formation->terms.begin(), solid.formation->terms.end(), [&](const SpeciesTerm& term) {
                    return term.species == wanted.species || solution.activity[term.species] > 0.0;
                });
            if (!others || wanted.count <= 0.0) {
                continue;
            }
            for (const SpeciesTerm& term : solid.formation->terms) {
                if (term.species != wanted.species) {
                    lnActivity -= term.count * std::log(solution.activity[term.species]);
                }
            }
            double& least = solution.saturation[wanted.species];
            least = std::min(least, std::exp(std::min(lnActivity / wanted.count, 600.0)));
        }
    }
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
    const double decades = std::min(oxygen.setchenow * solution.ionicStrength, kSaltedOutAtMost);
    solution.molality[key.dissolvedOxygen] = solution.activity[key.dissolvedOxygen] / std::pow(10.0, decades);
}

/// Charge of all that is dissolved, mol.
double chargeThere(const Catalogue& catalogue, const Solution& solution) {
    double charge = 0.0;
    for (SpeciesIndex s = 0; s < solution.molality.size(); ++s) {
        charge += solution.molality[s] * catalogue.species[s].formula.charge;
    }
    return charge * solution.composition.solventKg;
}

/// What is in the liquid itself, without what fell out.
Composition dissolvedIn(const Catalogue& catalogue, const Solution& solution) {
    Composition dissolved;
    dissolved.solventKg = solution.composition.solventKg;
    for (const SpeciesTerm& master : solution.composition.masters) {
        dissolved.addMaster(master.species, solution.moietyMolality[master.species] * dissolved.solventKg);
    }
    dissolved.hydrogenMoles = chargeThere(catalogue, solution) - chargeOfMasters(catalogue, dissolved);
    return dissolved;
}

void settle(const Catalogue& catalogue, std::optional<double> pH, Solution& solution) {
    solution.molality.assign(catalogue.species.size(), 0.0);
    solution.activity.assign(catalogue.species.size(), 0.0);
    for (SpeciesIndex s = 0; s < catalogue.species.size(); ++s) {
        if (!catalogue.species[s].isDissolved()) {
            solution.activity[s] = catalogue.species[s].defaultActivity;
        }
    }
    solveEquilibrium(catalogue, pH, solution);
    solution.activity[catalogue.key.solvent] = solution.solventActivity;
    sumMoieties(catalogue, solution);
    dissolveOxygen(catalogue, solution);
    findSupply(catalogue, solution);
    findSaturation(catalogue, solution);
}

/// The portions in the solvent there is now.
Bulk portionsOf(const Catalogue& catalogue, const Solution& solution) {
    Mixture liquidOnly = solution.mixture;
    liquidOnly.solventKg = solution.composition.solventKg;
    liquidOnly.portions = solution.dissolved;
    return bulkOf(catalogue, liquidOnly);
}

} // namespace

Solution solveSolution(const Catalogue& catalogue, const Mixture& mixture) {
    Solution solution;
    solution.mixture = mixture;
    solution.dissolved = dissolvedPortions(catalogue, mixture, solution.undissolved);
    solution.composition = compositionOf(catalogue, mixture.solventKg, solution.dissolved);
    settle(catalogue, mixture.measuredPh, solution);
    if (mixture.measuredPh) {
        solution.composition.hydrogenMoles += chargeThere(catalogue, solution);
    }
    solution.poured = dissolvedIn(catalogue, solution);
    const Bulk bulk = portionsOf(catalogue, solution);
    const double computedDensity = bulk.kilograms / bulk.volumeM3;
    solution.densityKgPerM3 = mixture.measuredDensity.value_or(computedDensity);
    solution.densityFactor = solution.densityKgPerM3 / computedDensity;
    solution.volumeM3 = bulk.kilograms / solution.densityKgPerM3;
    const ConductivityResult conductivity = mixtureConductivity(catalogue, solution);
    solution.freeConductivity = conductivity.siemensPerMetre;
    const double computed =
        mixture.readyConductivity.value_or(conductivity.siemensPerMetre) * mixture.conductivityFactor;
    solution.conductivity = mixture.measuredConductivity.value_or(computed);
    solution.conductivityFactor =
        solution.freeConductivity > 0.0 ? solution.conductivity / solution.freeConductivity : 1.0;
    solution.notes.estimatedConductivity = conductivity.estimated && !mixture.measuredConductivity;
    return solution;
}

Solution solveChanged(const Catalogue& catalogue, const Solution& before, const Composition& composition,
                      const Surroundings& around) {
    Solution solution;
    solution.mixture = before.mixture;
    solution.mixture.temperatureKelvin = around.temperatureKelvin;
    solution.mixture.oxygenPressureBar = around.oxygenPressureBar;
    solution.poured = before.poured;
    solution.composition = composition;
    solution.dissolved = before.dissolved;
    solution.undissolved = before.undissolved;
    solution.densityFactor = before.densityFactor;
    solution.conductivityFactor = before.conductivityFactor;
    settle(catalogue, std::nullopt, solution);
    Bulk bulk = portionsOf(catalogue, solution);
    const Bulk change =
        changeBetween(catalogue, solution.poured, dissolvedIn(catalogue, solution), around.temperatureKelvin);
    const double solventM3 = composition.solventKg / solventDensity(around.temperatureKelvin);
    bulk.kilograms += change.kilograms;
    bulk.volumeM3 = std::max(bulk.volumeM3 + change.volumeM3, kDensest * solventM3);
    solution.densityKgPerM3 = bulk.kilograms / bulk.volumeM3 * solution.densityFactor;
    solution.volumeM3 = bulk.volumeM3 / solution.densityFactor;
    const ConductivityResult conductivity = mixtureConductivity(catalogue, solution);
    solution.freeConductivity = conductivity.siemensPerMetre;
    solution.conductivity = solution.freeConductivity * solution.conductivityFactor;
    solution.notes.estimatedConductivity = before.notes.estimatedConductivity;
    return solution;
}

} // namespace anodex::liquid
