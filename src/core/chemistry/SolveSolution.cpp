#include "core/chemistry/SolveSolution.h"

#include "core/base/Constants.h"
#include "core/base/Fault.h"
#include "core/chemistry/Conductivity.h"
#include "core/chemistry/Density.h"
#include "core/chemistry/Pitzer.h"
#include "core/chemistry/Speciation.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace anodex::chemistry {
namespace {

constexpr double kTrace = 1e-12;         // mol/kg
constexpr double kMostPerWater = 60.0;   // mol/kg, beyond which none of the laws here speaks
constexpr double kSaltedOutAtMost = 1.5; // decades; caustic has been measured about as far
constexpr double kGoodEnough = 1e-5;     // of the coefficients' last change, in ln

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

Totals totalsOf(const Catalogue& catalogue, const std::vector<Portion>& portions, const Mixture& mixture) {
    const double solventKg = mixture.solventKg;
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
    for (const SpeciesTerm& change : mixture.changed) {
        for (const SpeciesTerm& part : moietiesOf(catalogue, change.species)) {
            add(part.species, part.count * change.count / solventKg);
        }
    }
    std::erase_if(totals.masters, [](const SpeciesTerm& total) { return total.count <= 0.0; });
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
        solution.precipitates.push_back({solid.species, solid.count * solution.mixture.solventKg,
                                         solid.count * solution.mixture.solventKg * molar});
    }
    solution.pH = -speciation.lnHydrogenActivity / base::kLn10;
}

void solveEquilibrium(const Catalogue& catalogue, const Totals& totals, Solution& solution) {
    SpeciationSetting setting{totals, solution.mixture.temperatureKelvin, std::nullopt};
    if (solution.mixture.measuredPh) {
        setting.fixedLnHydrogenActivity = -base::kLn10 * *solution.mixture.measuredPh;
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

} // namespace

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
    solution.dissolved = portions;
    solveEquilibrium(catalogue, totalsOf(catalogue, portions, mixture), solution);
    solution.activity[catalogue.key.solvent] = solution.solventActivity;
    sumMoieties(catalogue, solution);
    dissolveOxygen(catalogue, solution);
    findSupply(catalogue, solution);
    findSaturation(catalogue, solution);

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
    solution.freeConductivity = conductivity.siemensPerMetre;
    const double computed =
        mixture.readyConductivity.value_or(conductivity.siemensPerMetre) * mixture.conductivityFactor;
    solution.conductivity = mixture.measuredConductivity.value_or(computed);
    solution.notes.estimatedConductivity = conductivity.estimated && !mixture.measuredConductivity;
    return solution;
}

} // namespace anodex::chemistry
