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

/// mol/m³. The rate law divides a branch by its limit, and both fall with the concentration alike; so an
/// absent product takes the same trace here as in the Nernst potential.
double presentOrTrace(const Situation& here, const ActivityTerm& term) {
    const auto& solution = here.solution();
    const double used = lnActivityOrTrace(term, solution);
    return used != solution.lnActivity[term.species]
               ? solution.labileConcentrationAt(here.catalogue, term.species, std::exp(used))
               : solution.labileConcentration(here.catalogue, term.species);
}

bool holds(const Situation& here, SpeciesIndex solid) {
    return state::molesOf(here.held(), solid) > 0.0;
}

/// In the electrode by now, or made from such a solid by a reaction that runs the same way.
bool canHave(const Situation& here, SpeciesIndex solid, Branch branch) {
    const auto& precursors = chemistry::precursorsOf(here.catalogue, branch, solid);
    return holds(here, solid) || std::any_of(precursors.begin(), precursors.end(),
                                             [&](SpeciesIndex other) { return holds(here, other); });
}

double warmthOf(double temperatureKelvin) {
    return std::exp(-kDiffusionActivation / base::kGasConstant *
                    (1.0 / temperatureKelvin - 1.0 / base::kStandardTemperature));
}

double obstructionOf(const Situation& here) {
    const auto& barrier = here.cell.barrier;
    return barrier && barrier->thicknessMetres > 0.5 * here.cell.gapMetres
               ? here.catalogue.separators[barrier->separator].macMullin.value
               : 1.0;
}

} // namespace

double diffusivity(const chemistry::Species& species, double temperatureKelvin) {
    return species.diffusivity * warmthOf(temperatureKelvin);
}

double secondsOf(Moment moment) {
    return moment == Moment::First ? kFirstMomentSeconds : std::numeric_limits<double>::infinity();
}

Supplies::Supplies(const Situation& here, double seconds)
    : m_here(here), m_seconds(seconds), m_warmth(warmthOf(here.temperatureKelvin())),
      m_undisturbed(
          std::min(here.cell.stirred ? kStirredLayerMetres : kStillLayerMetres, here.cell.gapMetres)),
      m_obstruction(obstructionOf(here)),
      m_poresPerSecond(here.material().porosity * here.electrode().thicknessMetres / seconds) {}

/// F c D / δ in A/m² per electron and stoichiometric unit.
double Supplies::flux(SpeciesIndex species, double concentration) const {
    const double d = m_here.catalogue.species[species].diffusivity * m_warmth;
    const double layer = std::min(m_undisturbed, std::sqrt(M_PI * d * m_seconds));
    return base::kFaraday * concentration * (d / (layer * m_obstruction) + m_poresPerSecond);
}

/// Hydrogen ions arrive free and carried by weak acids, hydroxide free and carried by weak bases.
double Supplies::carried(const std::vector<Carrier>& carriers, std::optional<double>& known) const {
    if (!known) {
        const auto& solution = m_here.solution();
        double total = 0.0;
        for (const Carrier& carrier : carriers) {
            if (solution.molality[carrier.species] > 0.0) {
                total += carrier.units * flux(carrier.species, solution.concentration(carrier.species));
            }
        }
        known = total * m_here.parameters.supplyFactor;
    }
    return *known;
}

double Supplies::oxygen(double electrons) const {
    constexpr double kOpenFace = 4.0; // times as much as through liquid (common practice, no source)
    const Air air = m_here.electrode().air;
    const auto& solution = m_here.solution();
    const SpeciesIndex dissolved = m_here.catalogue.key.dissolvedOxygen;
    const double still = electrons * flux(dissolved, solution.concentration(dissolved)) *
                         solution.mixture.stillOxygenFactor * m_here.parameters.stillOxygenFactor;
    if (air == Air::None) {
        const double pressure = solution.mixture.oxygenPressureBar;
        const double left = std::min(liquid::kAirlessOxygenBar, pressure);
        return pressure > 0.0 ? still * left / pressure * m_here.parameters.airlessOxygenFactor : 0.0;
    }
    return air == Air::Still ? still : std::max(still, breathingLimit(m_here, kOpenFace * still));
}

double Supplies::limitOf(const Reactant& reactant) {
    switch (reactant.kind) {
    case Reactant::Kind::Oxygen:
        return oxygen(reactant.electronsPerUnit);
    case Reactant::Kind::Acid:
        return reactant.electronsPerUnit * carried(m_here.parameters.acids, m_protons);
    case Reactant::Kind::Alkali:
        return reactant.electronsPerUnit * carried(m_here.parameters.bases, m_hydroxide);
    case Reactant::Kind::Dissolved:
        return reactant.electronsPerUnit *
               flux(reactant.term.species, presentOrTrace(m_here, reactant.term)) *
               m_here.parameters.supplyFactor;
    case Reactant::Kind::Gas:
        return 0.0;
    case Reactant::Kind::Solid:
        return std::numeric_limits<double>::infinity();
    }
    return 0.0;
}

Supplies::Limits Supplies::limits(const ReactionParameters& reaction) {
    Limits inverse;
    for (const Reactant& reactant : reaction.reactants) {
        (reactant.branch == Branch::Anodic ? inverse.anodic : inverse.cathodic) += 1.0 / limitOf(reactant);
    }
    return {1.0 / inverse.anodic, 1.0 / inverse.cathodic};
}

double Supplies::inserted(const ReactionParameters& reaction) const {
    double inverse = 0.0;
    for (const Reactant& reactant : reaction.reactants) {
        if (reactant.branch == Branch::Cathodic && reactant.insertionSeconds > 0.0) {
            const double deep = std::sqrt(reactant.insertionSeconds / (M_PI * m_seconds));
            const double moles = std::max(0.0, state::molesOf(m_here.held(), reactant.term.species));
            inverse += reactant.insertionSeconds /
                       (reactant.electronsPerUnit * base::kFaraday * moles * m_warmth * std::max(1.0, deep));
        }
    }
    return 1.0 / inverse;
}

double Supplies::carriedOff(SpeciesIndex species, const liquid::Solution& face) const {
    const double saturated = face.labileConcentrationAt(m_here.catalogue, species, face.saturation[species]);
    return flux(species, saturated) * m_here.parameters.supplyFactor;
}

double Supplies::perDrive() const {
    constexpr double kTypical = 2e-9; // m²/s: how deep a layer is that grows
    const double layer = std::min(m_undisturbed, std::sqrt(M_PI * kTypical * m_warmth * m_seconds));
    return base::kFaraday * (m_warmth / (layer * m_obstruction) + m_poresPerSecond / kTypical) *
           m_here.parameters.supplyFactor;
}

double Supplies::perDriveOfGas() const {
    constexpr double kLayerMetres = 67e-6; // from memory, see the header
    constexpr double kAtAmpsPerM2 = 100.0; // the same
    return base::kFaraday * m_warmth / (kLayerMetres * std::sqrt(kAtAmpsPerM2) * m_obstruction);
}

Stock::Stock(const Situation& here)
    : m_here(here), m_solution(here.solution()), m_leastMolality(std::numeric_limits<double>::infinity()) {
    if (m_solution.volumeM3 > 0.0 && m_solution.composition.solventKg > 0.0) {
        m_leastMolality = kAbsentConcentration * m_solution.volumeM3 / m_solution.composition.solventKg;
    }
}

bool Stock::lacks(const Requirement& required) const {
    switch (required.kind) {
    case Reactant::Kind::Oxygen:
        return m_solution.mixture.oxygenPressureBar <= 0.0;
    case Reactant::Kind::Solid:
        return !canHave(m_here, required.species, required.branch);
    case Reactant::Kind::Acid:
    case Reactant::Kind::Alkali:
    case Reactant::Kind::Dissolved:
        return required.partsEach > 0.0
                   ? m_solution.moietyMolality[required.part] < m_leastMolality * required.partsEach
                   : m_solution.molality[required.species] < m_leastMolality;
    case Reactant::Kind::Gas:
        return false;
    }
    return false;
}

std::optional<SpeciesIndex> Stock::lacking(const ReactionParameters& reaction, Branch branch) const {
    const auto& required = reaction.requirements;
    const auto absent = std::find_if(required.begin(), required.end(), [&](const Requirement& one) {
        return one.branch == branch && lacks(one);
    });
    return absent == required.end() ? std::nullopt : std::optional(absent->species);
}

Absences Stock::absences(const ReactionParameters& reaction) const {
    Absences found;
    for (const Requirement& required : reaction.requirements) {
        bool& absent = required.branch == Branch::Anodic ? found.anodic : found.cathodic;
        absent = absent || lacks(required);
    }
    return found;
}

} // namespace anodex::electrode
