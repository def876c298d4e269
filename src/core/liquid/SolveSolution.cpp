#include "core/liquid/SolveSolution.h"

#include "core/base/Constants.h"
#include "core/liquid/Density.h"

#include <algorithm>
#include <cmath>
#include <limits>
#include <map>

namespace anodex::liquid {

using chemistry::Catalogue;
using chemistry::SpeciesIndex;
using chemistry::SpeciesTerm;

namespace {

constexpr double kMostPerWater = 60.0;   // mol/kg, beyond which none of the laws here speaks
constexpr double kSaltedOutAtMost = 1.5; // decades; caustic has been measured about as far
constexpr double kDensest = 0.95; // of the solvent's own volume, however much is dissolved (from memory)
constexpr double kNothing = -std::numeric_limits<double>::infinity();

/// mol that the solvent takes up of a substance, whose solubility is known.
double mostDissolved(const chemistry::Substance& substance, double moles, const Mixture& mixture,
                     double wholeKg) {
    const double solubility = *substance.solubilityKgPerKg;
    if (mixture.hasPhScale) {
        return solubility * mixture.solventKg / substance.molarMassKg;
    }
    // With hardly any water, what else is there dissolves as well as water does.
    const double others = wholeKg - moles * substance.molarMassKg;
    return std::min(solubility * others / substance.molarMassKg, kMostPerWater * mixture.solventKg);
}

/// What dissolves of each substance, however many portions bring it; the rest is reported.
std::vector<Portion> dissolvedPortions(const Catalogue& catalogue, const Mixture& mixture,
                                       std::vector<Undissolved>& undissolved) {
    std::vector<Portion> dissolved = mixture.portions;
    std::map<std::size_t, double> moles; // by substance
    double whole = mixture.solventKg;
    for (const Portion& portion : dissolved) {
        whole += portion.moles * catalogue.substances[portion.substance].molarMassKg;
        moles[portion.substance] += portion.moles;
    }
    for (const auto& [index, poured] : moles) {
        const chemistry::Substance& substance = catalogue.substances[index];
        if (!substance.solubilityKgPerKg) {
            continue;
        }
        const double most = mostDissolved(substance, poured, mixture, whole);
        if (poured <= most) {
            continue;
        }
        undissolved.push_back({index, (poured - most) * substance.molarMassKg});
        for (Portion& portion : dissolved) {
            portion.moles *= portion.substance == index ? most / poured : 1.0;
        }
    }
    return dissolved;
}

} // namespace

LiquidSolver::LiquidSolver(const Catalogue& catalogue)
    : m_catalogue(catalogue), m_equilibrium(catalogue), m_traces(catalogue) {}

void LiquidSolver::setTotals() {
    const Composition& composition = m_solution.composition;
    m_setting.totals.masters.clear();
    m_setting.charge = composition.hydrogenMoles / composition.solventKg;
    for (const SpeciesTerm& master : composition.masters) {
        if (master.count > 0.0) {
            const double molality = master.count / composition.solventKg;
            m_setting.totals.masters.push_back({master.species, molality});
            m_setting.charge += m_catalogue.species[master.species].formula.charge * molality;
        }
    }
    m_setting.temperatureKelvin = m_solution.mixture.temperatureKelvin;
}

/// By the charge of what is there, or by `pH` where one is given.
void LiquidSolver::settle(std::optional<double> pH) {
    setTotals();
    m_setting.fixedLnHydrogenActivity = pH ? std::optional(-base::kLn10 * *pH) : std::nullopt;
    m_equilibrium.settle(m_setting);
    takeResult();
    sumMoieties();
    dissolveOxygen();
    if (m_equilibrium.changedSpecies()) {
        m_traces.setUp(m_equilibrium.species());
    }
    m_traces.find(m_solution);
}

void LiquidSolver::takeResult() {
    Solution& solution = m_solution;
    const std::size_t count = m_catalogue.species.size();
    solution.molality.assign(count, 0.0);
    solution.activity.assign(count, 0.0);
    solution.lnActivity.assign(count, kNothing);
    for (SpeciesIndex s = 0; s < count; ++s) {
        if (!m_catalogue.species[s].isDissolved()) {
            solution.activity[s] = m_catalogue.species[s].defaultActivity;
            solution.lnActivity[s] = std::log(solution.activity[s]);
        }
    }
    const SpeciationResult& result = m_equilibrium.result();
    for (std::size_t i = 0; i < m_equilibrium.species().size(); ++i) {
        const SpeciesIndex s = m_equilibrium.species()[i];
        solution.molality[s] = result.molality[i];
        if (result.molality[i] > 0.0) {
            solution.activity[s] = std::exp(result.lnActivity[i]);
            solution.lnActivity[s] = result.lnActivity[i];
        }
    }
    solution.precipitates.clear();
    solution.precipitates.reserve(m_setting.totals.masters.size()); // no more can stand side by side
    for (const SpeciesTerm& solid : result.precipitate) {
        const double moles = solid.count * solution.composition.solventKg;
        solution.precipitates.push_back(
            {solid.species, moles, moles * m_catalogue.species[solid.species].molarMassKg});
    }
    const ActivityResult& activities = m_equilibrium.activities();
    solution.pH = -result.lnHydrogenActivity / base::kLn10;
    solution.ionicStrength = activities.ionicStrength;
    solution.solventActivity = std::exp(m_equilibrium.lnSolventActivity());
    solution.activity[m_catalogue.key.solvent] = solution.solventActivity;
    solution.lnActivity[m_catalogue.key.solvent] = m_equilibrium.lnSolventActivity();
    solution.notes.typicalInteractions = activities.usedTypicalPair;
    solution.notes.beyondActivityRange = activities.beyondRange;
}

void LiquidSolver::sumMoieties() {
    m_solution.moietyMolality.assign(m_catalogue.species.size(), 0.0);
    for (const SpeciesIndex s : m_equilibrium.species()) {
        for (const SpeciesTerm& part : chemistry::moietiesOf(m_catalogue, s)) {
            m_solution.moietyMolality[part.species] += part.count * m_solution.molality[s];
        }
    }
}

void LiquidSolver::dissolveOxygen() {
    const chemistry::KeySpecies& key = m_catalogue.key;
    const chemistry::Species& oxygen = m_catalogue.species[key.dissolvedOxygen];
    const double pressure = m_solution.mixture.oxygenPressureBar;
    m_solution.activity[key.oxygenGas] = pressure;
    m_solution.lnActivity[key.oxygenGas] = pressure > 0.0 ? std::log(pressure) : kNothing;
    if (!oxygen.formation || pressure <= 0.0) {
        return;
    }
    const double ln =
        chemistry::lnFormationConstant(*oxygen.formation, m_solution.mixture.temperatureKelvin) +
        std::log(pressure);
    m_solution.lnActivity[key.dissolvedOxygen] = ln;
    m_solution.activity[key.dissolvedOxygen] = std::exp(ln);
    const double decades = std::min(oxygen.setchenow * m_solution.ionicStrength, kSaltedOutAtMost);
    m_solution.molality[key.dissolvedOxygen] = std::exp(ln - base::kLn10 * decades);
}

/// Charge of all that is dissolved, mol.
double LiquidSolver::chargeThere() const {
    double charge = 0.0;
    for (const SpeciesIndex s : m_equilibrium.species()) {
        charge += m_solution.molality[s] * m_catalogue.species[s].formula.charge;
    }
    return charge * m_solution.composition.solventKg;
}

/// What is in the liquid itself, without what fell out.
void LiquidSolver::takeDissolved(Composition& dissolved) const {
    dissolved.solventKg = m_solution.composition.solventKg;
    dissolved.masters.clear();
    for (const SpeciesTerm& master : m_solution.composition.masters) {
        dissolved.masters.push_back(
            {master.species, m_solution.moietyMolality[master.species] * dissolved.solventKg});
    }
    dissolved.hydrogenMoles = chargeThere() - chargeOfMasters(m_catalogue, dissolved);
}

const Solution& LiquidSolver::pour(const Mixture& mixture) {
    Solution& solution = m_solution;
    solution = {};
    solution.mixture = mixture;
    solution.dissolved = dissolvedPortions(m_catalogue, mixture, solution.undissolved);
    solution.composition = compositionOf(m_catalogue, mixture.solventKg, solution.dissolved);
    settle(mixture.measuredPh);
    if (mixture.measuredPh) {
        solution.composition.hydrogenMoles += chargeThere();
    }
    takeDissolved(solution.poured);
    const Bulk bulk = bulkOf(m_catalogue, mixture.solventKg, solution.dissolved, mixture.temperatureKelvin);
    const double computedDensity = bulk.kilograms / bulk.volumeM3;
    solution.densityKgPerM3 = mixture.measuredDensity.value_or(computedDensity);
    solution.densityFactor = solution.densityKgPerM3 / computedDensity;
    solution.volumeM3 = bulk.kilograms / solution.densityKgPerM3;
    const ConductivityResult conductivity = conductivityOf(solution);
    solution.freeConductivity = conductivity.siemensPerMetre;
    const double computed =
        mixture.readyConductivity.value_or(conductivity.siemensPerMetre) * mixture.conductivityFactor;
    solution.conductivity = mixture.measuredConductivity.value_or(computed);
    solution.conductivityFactor =
        solution.freeConductivity > 0.0 ? solution.conductivity / solution.freeConductivity : 1.0;
    solution.notes.estimatedConductivity = conductivity.estimated && !mixture.measuredConductivity;
    return solution;
}

void LiquidSolver::beginWith(const Solution& before) {
    m_solution = before;
    startFrom(before);
}

void LiquidSolver::startFrom(const Solution& before) {
    Equilibrium::Start start;
    start.lnActivity = before.lnActivity;
    start.lnGamma.assign(before.molality.size(), 0.0);
    for (SpeciesIndex s = 0; s < start.lnGamma.size(); ++s) {
        start.lnGamma[s] =
            before.molality[s] > 0.0 ? before.lnActivity[s] - std::log(before.molality[s]) : 0.0;
    }
    for (const Precipitate& solid : before.precipitates) {
        start.solids.push_back(solid.species);
    }
    start.lnSolventActivity = std::log(before.solventActivity);
    m_equilibrium.beginWith(std::move(start));
}

const Solution& LiquidSolver::change(const Composition& composition, const Surroundings& around) {
    Solution& solution = m_solution;
    solution.mixture.temperatureKelvin = around.temperatureKelvin;
    solution.mixture.oxygenPressureBar = around.oxygenPressureBar;
    solution.composition = composition;
    settle(std::nullopt);
    Bulk bulk = bulkOf(m_catalogue, composition.solventKg, solution.dissolved, around.temperatureKelvin);
    takeDissolved(m_dissolved);
    const Bulk change = changeBetween(m_catalogue, solution.poured, m_dissolved, around.temperatureKelvin);
    const double solventM3 = composition.solventKg / solventDensity(around.temperatureKelvin);
    bulk.kilograms += change.kilograms;
    bulk.volumeM3 = std::max(bulk.volumeM3 + change.volumeM3, kDensest * solventM3);
    solution.densityKgPerM3 = bulk.kilograms / bulk.volumeM3 * solution.densityFactor;
    solution.volumeM3 = bulk.volumeM3 / solution.densityFactor;
    const ConductivityResult conductivity = conductivityOf(solution);
    solution.freeConductivity = conductivity.siemensPerMetre;
    solution.conductivity = solution.freeConductivity * solution.conductivityFactor;
    return solution;
}

const Solution& LiquidSolver::titrate(const Solution& from, double pH) {
    startFrom(from);
    settle(pH);
    return m_solution;
}

ConductivityResult LiquidSolver::conductivityOf(const Solution& solution) {
    if (!m_conductivity) {
        m_conductivity.emplace(m_catalogue);
    }
    return m_conductivity->of(solution);
}

Solution solveSolution(const Catalogue& catalogue, const Mixture& mixture) {
    LiquidSolver solver(catalogue);
    return solver.pour(mixture);
}

Solution solveChanged(const Catalogue& catalogue, const Solution& before, const Composition& composition,
                      const Surroundings& around) {
    LiquidSolver solver(catalogue);
    solver.beginWith(before);
    return solver.change(composition, around);
}

} // namespace anodex::liquid
